import { limits } from '../schema/limits';
import { readingLnSd } from '../kit/readable';
import { formatNumber, formatQuantity, type UnitChoice } from '../units/quantity';
import { substanceOf } from '../chemistry/substances';
import type { Batch } from './batch';
import { mixingLnSd } from './brewRate';
import { compositionOf, estimableDeveloper, phOf, type Developer } from './composition';
import { partsAsMixed, type MixProgress } from './mixRun';
import { amountDigits, amountOf, type BrewPart } from './part';

/** Share of the volume laid out below which a volume is not believed. Source: our choice. */
const LEAST_VOLUME_SHARE = 0.1;

/**
 * The least volume that is believed of a jug.
 * @param laidOutMl volume that was laid out, ml; above 0
 * @returns ml: a tenth of it, and never less than a jug may hold
 */
export function leastVolumeMl(laidOutMl: number): number {
  return Math.max(limits.jugVolumeMl.min, laidOutMl * LEAST_VOLUME_SHARE);
}

/** What a mixing made: everything of a brew that follows from what went in. */
export interface MadeBrew {
  name: string;
  use: Batch['use'];
  developer: Developer | null;
  bromideGPerL: number;
  volumeMl: number;
  parts: BrewPart[];
  temperatureC: number | null;
  ph: number | null;
  mixingLnSd: number | null;
}

/**
 * The brew that a mixing made, from what went in.
 * @param batch as it was laid out
 * @param progress what was done
 * @returns composition, pH and spread of the actual amounts. What was not measured counts as it was laid out.
 */
export function finishMix(batch: Batch, progress: MixProgress): MadeBrew {
  const volume = progress.done.find(({ stepId }) => stepId === 'top-up')?.amount ?? null;
  // Less than a tenth of what was laid out, or what no jug holds, is a slip of the hand, not a volume.
  const believed = volume !== null && volume >= leastVolumeMl(batch.volumeMl) && volume <= limits.jugVolumeMl.max;
  const volumeMl = believed ? volume : batch.volumeMl;
  const parts = partsAsMixed(batch.parts, progress, (part, amount, how) => actualLnSd(batch, part, amount, how));
  const composition = compositionOf(parts, volumeMl);
  return {
    name: batch.recipeName,
    use: batch.use,
    developer: batch.use === 'film-developer' ? estimableDeveloper(composition) : null,
    bromideGPerL: Number(composition.bromideGPerL.toFixed(4)),
    volumeMl,
    parts,
    temperatureC: progress.done.find(({ stepId }) => stepId === 'measure')?.amount ?? null,
    ph: phOf(composition)?.ph ?? null,
    mixingLnSd: mixingLnSd(parts, volumeMl),
  };
}

function actualLnSd(batch: Batch, part: BrewPart, amount: number, how: BrewPart['how']): number {
  if (amount === 0) return 0;
  if (how === 'spoons')
    return part.makeup.kind === 'substance' && part.how !== 'spoons'
      ? (substanceOf(part.makeup.substanceId).teaspoon?.lnSd ?? part.lnSd)
      : part.lnSd;
  if (part.unit === 'tablets') return part.lnSd;
  return readingLnSd(amount, part.unit === 'ml' ? batch.cylinderStepMl : batch.scaleStepG);
}

/** Letters and figures of a brew's code: none that reads as another. */
const CODE_LETTERS = 'ACDEFHJKLMNPRTUVWXY34679';
const CODE_LENGTH = 4;

/**
 * A short code that tells a jug from the others, to be written on it.
 * @param id the brew's id, random by itself
 * @returns four letters and figures, the same for the same id
 */
export function brewCode(id: string): string {
  let hash = 2166136261;
  for (const letter of id) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619) >>> 0;
  let code = '';
  for (let at = 0; at < CODE_LENGTH; at++) {
    code += CODE_LETTERS[hash % CODE_LETTERS.length] ?? '';
    hash = Math.floor(hash / CODE_LETTERS.length);
  }
  return code;
}

/** A part that went in otherwise than wanted. */
export interface Difference {
  name: string;
  unit: BrewPart['unit'];
  target: number;
  actual: number;
}

/** Difference below which it is not told. Source: our choice. */
const TOLD_SHARE = 0.01;

/** Parts whose actual amount differs from the target, largest difference first. */
export function differences(parts: readonly BrewPart[]): Difference[] {
  return parts
    .flatMap(({ name, unit, target, actual }) =>
      actual === null || target === 0 || Math.abs(actual / target - 1) < TOLD_SHARE
        ? []
        : [{ name, unit, target, actual }],
    )
    .sort(
      (a, b) => Math.abs(Math.log((b.actual || 1e-3) / b.target)) - Math.abs(Math.log((a.actual || 1e-3) / a.target)),
    );
}

/**
 * A brew's label as plain text, for its code.
 * @param brew name, code, parts and volume
 * @param mixed the date and time of mixing, as text
 * @param units how its owner reads quantities
 */
export function labelText(
  brew: { name: string; code: string; volumeMl: number; parts: readonly BrewPart[]; ph: number | null },
  mixed: string,
  units: UnitChoice = { temperature: 'C', volume: 'ml' },
): string {
  const amount = (part: BrewPart): string => {
    const digits = amountDigits(amountOf(part), part.unit);
    return part.unit === 'ml'
      ? formatQuantity(amountOf(part), 'volume', units, units.volume === 'ml' ? digits : undefined)
      : `${formatNumber(amountOf(part), digits)} ${part.unit}`;
  };
  const contents = brew.parts.map((part) => `${part.name} ${amount(part)}`).join('; ');
  return [
    `${brew.code} ${brew.name}`,
    `mixed ${mixed}, ${formatQuantity(brew.volumeMl, 'volume', units)}`,
    contents,
    ...(brew.ph === null ? [] : [`pH about ${formatNumber(brew.ph, 1)}`]),
    'NOT A DRINK',
  ].join('\n');
}
