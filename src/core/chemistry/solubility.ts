import { substanceOf, type SubstanceId } from './substances';

/**
 * Least water that dissolves a mass at 20 °C.
 * @param id the substance
 * @param massG mass, g; 0 or more
 * @returns ml, or null where no limit is known. Source: CRC Handbook, solubilities from memory.
 * @example leastWaterMl('soda-anhydrous', 43) // 200
 */
export function leastWaterMl(id: SubstanceId, massG: number): number | null {
  const { solubilityGPer100Ml } = substanceOf(id);
  return solubilityGPer100Ml === null ? null : (massG / solubilityGPer100Ml) * 100;
}
