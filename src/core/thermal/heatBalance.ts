import { failure, success, type Result } from '../schema/result';

/** Specific heat of water near 25 °C, J/(g·K). Source: CRC Handbook. Brews are reckoned as water. */
export const WATER_J_PER_G_K = 4.18;

/** A part of a mixture: how much, and how warm. Water weighs 1 g per ml. */
export interface WaterPart {
  volumeMl: number;
  temperatureC: number;
}

/**
 * Temperature of waters poured together, with what dissolving adds.
 * @param parts volumes, ml, and temperatures, °C; at least one volume above 0
 * @param heatJ heat that dissolving sets free, J; below 0 when it cools
 * @returns °C. Source: heat balance; losses to the jug are left out.
 * @example mixedTemperature([{ volumeMl: 100, temperatureC: 60 }, { volumeMl: 100, temperatureC: 20 }]) // 40
 */
export function mixedTemperature(parts: readonly WaterPart[], heatJ = 0): number {
  const volumeMl = parts.reduce((sum, part) => sum + part.volumeMl, 0);
  const contentMlC = parts.reduce((sum, part) => sum + part.volumeMl * part.temperatureC, 0);
  return (contentMlC + heatJ / WATER_J_PER_G_K) / volumeMl;
}

/**
 * Hot and cold water for a temperature.
 * @param volumeMl water altogether, ml; above 0
 * @param targetC temperature wanted at the end, °C
 * @param hotC hot water at hand, °C
 * @param coldC cold water at hand, °C; below the hot
 * @param heatJ heat that dissolving will set free, J; below 0 when it cools
 * @returns volumes that add up, or why it cannot be reached. Source: heat balance.
 * @example hotAndCold(1000, 30, 60, 20) // { ok: true, value: { hotMl: 250, coldMl: 750 } }
 */
export function hotAndCold(
  volumeMl: number,
  targetC: number,
  hotC: number,
  coldC: number,
  heatJ = 0,
): Result<{ hotMl: number; coldMl: number }> {
  if (!(hotC > coldC))
    return failure({
      path: 'hotC',
      message: `The hot water must be warmer than the cold: ${hotC} °C is not above ${coldC} °C.`,
    });
  const beforeC = targetC - heatJ / (WATER_J_PER_G_K * volumeMl);
  const share = (beforeC - coldC) / (hotC - coldC);
  if (share < 0) {
    return failure({
      path: 'coldC',
      message: `With water of ${coldC} °C it ends at ${mixedTemperature([{ volumeMl, temperatureC: coldC }], heatJ).toFixed(1)} °C at the coldest: cool the water with ice in a bag, or let the jug stand.`,
    });
  }
  if (share > 1) {
    return failure({
      path: 'hotC',
      message: `With water of ${hotC} °C it ends at ${mixedTemperature([{ volumeMl, temperatureC: hotC }], heatJ).toFixed(1)} °C at the warmest: heat the water to ${Math.ceil(beforeC)} °C.`,
    });
  }
  return success({ hotMl: share * volumeMl, coldMl: (1 - share) * volumeMl });
}

/**
 * How warm the first water must be so that the jug ends at a temperature when the rest goes in last.
 * @param first volume that everything is dissolved in, ml; above 0
 * @param rest what goes in later, with its temperature
 * @param targetC temperature wanted at the end, °C
 * @param heatJ heat that dissolving sets free, J; below 0 when it cools
 * @returns °C of the first water, which may be outside of what water can be. Source: heat balance.
 * @example startTemperature(750, [{ volumeMl: 250, temperatureC: 12 }], 20, 0) // 22.7
 */
export function startTemperature(first: number, rest: readonly WaterPart[], targetC: number, heatJ: number): number {
  const restMl = rest.reduce((sum, part) => sum + part.volumeMl, 0);
  const restMlC = rest.reduce((sum, part) => sum + part.volumeMl * part.temperatureC, 0);
  return ((first + restMl) * targetC - restMlC - heatJ / WATER_J_PER_G_K) / first;
}
