/** Part of a fixer: what decides how strong it is. */
interface FixerPart {
  unit: string;
  target: number;
  actual: number | null;
  makeup: { kind: string; substanceId?: string };
}

/** The dilution that fixing times and tallies are for: one part of concentrate in five. Source: common practice, no source. */
const USUAL_SHARE = 1 / 5;

/** Weakest and strongest that the proportion is believed. Source: our choice. */
const BELIEVED = { least: 0.1, most: 1 } as const;

/**
 * How strong a fixer from a concentrate is against the usual 1+4.
 * @param parts what it was mixed from
 * @param volumeMl its volume, ml; above 0
 * @returns 1 for 1+4 and stronger, 0.5 for 1+9; null for one that was not mixed from one concentrate: its own recipe is its measure
 * Source: common practice, no source: at twice the dilution a fixer takes about twice the time, and half the films.
 * @example fixerStrength([{ …, target: 100, makeup: { kind: 'concentrate' } }], 1000) // 0.5
 */
export function fixerStrength(parts: readonly FixerPart[], volumeMl: number): number | null {
  const concentrates = parts.filter(({ makeup }) => makeup.kind === 'concentrate');
  const [only] = concentrates;
  if (only === undefined || concentrates.length > 1) return null;
  const share = (only.actual ?? only.target) / volumeMl;
  return Math.min(BELIEVED.most, Math.max(BELIEVED.least, share / USUAL_SHARE));
}
