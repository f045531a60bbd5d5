import { dissolvingHeat } from '../chemistry/heatOfSolution';
import { leastWaterMl } from '../chemistry/solubility';
import { substanceOf } from '../chemistry/substances';
import { hotAndCold, mixedTemperature, startTemperature } from '../thermal/heatBalance';
import type { Problem } from '../schema/result';
import type { WaterPlan } from './batch';
import type { BrewPart } from './part';

/** Share of the water to start with. Source: common practice (¾–⅘), no source; the home-made fixer wants it under 700 ml a litre. */
const FIRST_SHARE = 0.75;
const FIXER_FIRST_SHARE = 0.68;

/** Water for an infusion: it is steeped in this share and cools while it stands. Source: our choice. */
const INFUSION_SHARE = 0.5;

/** Water in which a packet of powder dissolves, °C. Source: common practice (50 to 55 °C, or what the packet says), no source. */
export const PACKET_WATER_C = 52;

/** Share of the jug from which its liquids count as its water. Source: our choice. */
const LIQUID_IS_WATER_SHARE = 0.5;

/** Waters at hand, °C. */
export interface Waters {
  targetC: number;
  hotC: number;
  coldC: number;
  roomC: number;
}

/** What the water does in a batch. */
export interface WorkedWater {
  plan: WaterPlan;
  /** Temperature when everything is dissolved and before the last water, °C; null for an infusion. */
  dissolvedC: number | null;
  /** How far dissolving moves the whole jug, °C; below 0 when it cools. */
  dissolvingC: number;
  /** Substances whose heat of solution is not tabulated. */
  heatUnknown: string[];
  /** Why hot and cold water do not make it. */
  problem: Problem | null;
}

/** Beyond this no temperature means anything, °C. */
const MOST_C = 1e12;

/**
 * Water for a batch: how much first and how warm, how much last.
 * @param parts what goes in
 * @param volumeMl volume of the jug, ml; above 0
 * @param waters temperatures at hand and wanted, °C
 * @returns volumes that add up to the jug together with the liquids in it. Source: heat balance, heats of solution.
 */
export function workWater(parts: readonly BrewPart[], volumeMl: number, waters: Waters): WorkedWater {
  const { targetC, hotC, coldC, roomC } = waters;
  const liquidMl = parts.reduce((sum, part) => sum + (part.unit === 'ml' ? part.target : 0), 0);
  const waterMl = Math.max(0, volumeMl - liquidMl);
  const solids = parts.filter((part) => part.unit !== 'ml' && part.target > 0);
  const dissolving = solids.flatMap(({ makeup, target }) =>
    makeup.kind === 'substance' ? [{ substanceId: makeup.substanceId, amount: target }] : [],
  );
  const { heatJ, unknown } = dissolvingHeat(dissolving);
  const firstMl = solids.length === 0 ? waterMl : waterMl * firstShare(parts);
  const lastMl = waterMl - firstMl;
  const common = {
    dissolvingC: mixedTemperature([{ volumeMl, temperatureC: 0 }], heatJ),
    heatUnknown: unknown.map((id) => substanceOf(id).name),
  };
  // Beer and wine are the water of their jug: it is they that are warmed or cooled.
  if (liquidMl > volumeMl * LIQUID_IS_WATER_SHARE) {
    const rest = [{ volumeMl: waterMl, temperatureC: coldC }];
    const liquidC = clamped(startTemperature(liquidMl, rest, targetC, heatJ));
    return {
      ...common,
      plan: { firstMl: 0, firstC: null, hotMl: null, coldMl: null, lastMl: waterMl, lastC: coldC, liquidC },
      dissolvedC: mixedTemperature([{ volumeMl: liquidMl, temperatureC: liquidC }], heatJ),
      problem: liquidProblem(liquidC, targetC),
    };
  }
  if (parts.some(({ makeup, target }) => makeup.kind === 'packet' && target > 0)) {
    const made = hotAndCold(firstMl, PACKET_WATER_C, hotC, coldC);
    const first = { volumeMl: firstMl, temperatureC: PACKET_WATER_C };
    const liquid = { volumeMl: liquidMl, temperatureC: roomC };
    return {
      ...common,
      plan: {
        firstMl,
        firstC: PACKET_WATER_C,
        hotMl: made.ok ? made.value.hotMl : null,
        coldMl: made.ok ? made.value.coldMl : null,
        lastMl,
        lastC: coldC,
        coolsFromC: mixedTemperature([first, liquid, { volumeMl: lastMl, temperatureC: coldC }], heatJ),
      },
      dissolvedC: mixedTemperature([first, liquid], heatJ),
      problem: made.ok ? null : (made.problems[0] ?? null),
    };
  }
  if (firstMl === 0 || isInfusion(parts)) {
    return {
      ...common,
      plan: { firstMl, firstC: null, hotMl: null, coldMl: null, lastMl, lastC: coldC },
      dissolvedC: null,
      problem: null,
    };
  }
  const firstC = clamped(
    startTemperature(
      firstMl,
      [
        { volumeMl: liquidMl, temperatureC: roomC },
        { volumeMl: lastMl, temperatureC: coldC },
      ],
      targetC,
      heatJ,
    ),
  );
  const made = hotAndCold(firstMl, firstC, hotC, coldC);
  return {
    ...common,
    plan: {
      firstMl,
      firstC,
      hotMl: made.ok ? made.value.hotMl : null,
      coldMl: made.ok ? made.value.coldMl : null,
      lastMl,
      lastC: coldC,
    },
    dissolvedC: mixedTemperature(
      [
        { volumeMl: firstMl, temperatureC: firstC },
        { volumeMl: liquidMl, temperatureC: roomC },
      ],
      heatJ,
    ),
    problem: made.ok ? null : (made.problems[0] ?? null),
  };
}

/** Hardly any water would have to be absurdly hot or cold: the number stays one that can be kept, and the page refuses it. */
function clamped(temperatureC: number): number {
  return Math.max(-MOST_C, Math.min(MOST_C, temperatureC));
}

/** A liquid that would have to freeze or boil first. */
function liquidProblem(liquidC: number, targetC: number): Problem | null {
  if (liquidC >= 0 && liquidC <= 95) return null;
  return {
    path: 'targetC',
    message: `The liquids would have to start at ${Math.round(liquidC)} °C to end at ${targetC} °C: mix it as it is, and let the jug come to ${targetC} °C.`,
  };
}

/** Whether something in the batch is steeped first. */
export function isInfusion(parts: readonly BrewPart[]): boolean {
  return parts.some(
    ({ makeup, target }) =>
      makeup.kind === 'substance' && target > 0 && substanceOf(makeup.substanceId).traits.includes('infusion'),
  );
}

function firstShare(parts: readonly BrewPart[]): number {
  if (isInfusion(parts)) return INFUSION_SHARE;
  return parts.some(({ makeup }) => makeup.kind === 'substance' && makeup.substanceId === 'thiosulfate')
    ? FIXER_FIRST_SHARE
    : FIRST_SHARE;
}

/** A part that does not dissolve in its water. */
export interface Undissolved {
  key: string;
  /** Water that it wants at 20 °C, ml. */
  leastMl: number;
  /** What the jug takes, g. */
  takesG: number;
}

/**
 * Parts that do not dissolve in the whole jug at 20 °C.
 * @param parts what goes in
 * @param volumeMl volume of the jug, ml; above 0
 */
export function undissolved(parts: readonly BrewPart[], volumeMl: number): Undissolved[] {
  return parts.flatMap(({ key, makeup, target }) => {
    if (makeup.kind !== 'substance') return [];
    const leastMl = leastWaterMl(makeup.substanceId, target);
    return leastMl === null || leastMl <= volumeMl ? [] : [{ key, leastMl, takesG: (target * volumeMl) / leastMl }];
  });
}
