import type { PatchFault } from '@/core/densitometry/patchDensity';
import type { StripFault } from '@/core/densitometry/readStrip';
import { holderIds, holders, seenShare } from '@/core/densitometry/holders';
import { UNCALIBRATED_SHARE, type StripReading } from '@/core/evidence/stripReading';
import type { StripPlan } from '@/core/evidence/stripForm';
import { ISO_GRADIENT } from '@/core/kinetics/characteristicCurve';
import { stopsBetweenSpeeds } from '@/core/units/stops';
import { lowerFirst } from '@/core/units/lowerFirst';
import { formatNumber } from '@/core/units/quantity';

export const patchFaultWords: Record<PatchFault, string> = {
  clipped: 'clipped: too bright in every picture',
  black: 'too dense for this picture',
  small: 'outside the picture',
};

export const stripFaultWords: Record<StripFault, string> = {
  'no-light': 'No bare light is marked. Put a light mark on the table beside the film.',
  'light-clipped':
    'The bare light is clipped, so nothing can be measured against it. Photograph the strip again, a stop or two darker, or add a darker exposure.',
  'light-dark':
    'The bare light is nearly black in this picture. Check that the light mark lies on the table, or photograph it brighter.',
};

/** Base + fog from which a roll counts as nearly black, D. Source: our choice. */
const NEARLY_BLACK_D = 1;

const index = (iso: number): string => formatNumber(iso, iso < 10 ? 1 : 0);

/** Speed in words: the index, and how far it lies from the metered one. */
function speedWords(reading: StripReading, plan: StripPlan): string | null {
  const { effectiveIso, curve } = reading;
  if (curve === null) return null;
  if (curve.speedLogH === null)
    return plan.meteredIso === null
      ? null
      : 'No patch stands just below 0.10 above base + fog, so the speed cannot be told. Bracket further down.';
  if (effectiveIso === null || plan.meteredIso === null) return null;
  const stops = stopsBetweenSpeeds(effectiveIso, plan.meteredIso);
  const beside =
    Math.abs(stops) < 0.1
      ? 'as metered'
      : `${formatNumber(Math.abs(stops), 1)} stops ${stops > 0 ? 'slower' : 'faster'} than metered at ${index(plan.meteredIso)}`;
  return `Effective index about ${index(effectiveIso)}: ${beside}.`;
}

/** Contrast in words, beside what ISO 6 asks for. */
function gradientWords({ curve }: StripReading): string | null {
  if (curve?.gradient == null) return null;
  const { value, se, span } = curve.gradient;
  const said = `Average gradient ${formatNumber(value, 2)} ± ${formatNumber(2 * se, 2)} over ${formatNumber(span, 2)} of log exposure.`;
  if (curve.isoContrast === null) return `${said} The row is too short for the whole 1.30 of ISO 6.`;
  if (curve.isoContrast) return `${said} That meets the contrast condition of ISO 6, so its speed may be stated.`;
  return `${said} That is ${value < ISO_GRADIENT ? 'softer' : 'harder'} than ISO 6 asks (${formatNumber(ISO_GRADIENT, 2)}), so no ISO speed may be stated.`;
}

/** What can hold the image, in words. */
function rangeWords({ clear, curve, topD }: StripReading): string | null {
  const baseD = clear?.densityD ?? curve?.baseFogD ?? null;
  if (baseD === null || topD === null || topD <= baseD) return null;
  const shares = holderIds.map((id) => ({
    ...holders[id],
    share: seenShare(baseD, topD, holders[id].rangeD, id === 'paper'),
  }));
  const whole = shares.filter(({ share }) => share >= 0.995);
  const part = shares.filter(({ share }) => share < 0.995);
  const sentences = [`From clear film to the densest patch it spans ${formatNumber(topD - baseD, 2)} D.`];
  if (part.length === 0) sentences.push('A normal paper and every scanner hold all of it.');
  else
    sentences.push(
      `${part.map(({ name, share }) => `${name} sees ${Math.round(share * 100)} %`).join('; ')}${whole.length > 0 ? `; ${whole.map(({ name }) => lowerFirst(name)).join(' and ')}, all of it` : ''}.`,
    );
  if (baseD >= NEARLY_BLACK_D)
    sentences.push(
      'Nearly black, but not lost: a long exposure on the scanner or a camera on a strong light digs deepest.',
    );
  return sentences.join(' ');
}

/** Everything that a strip says, in sentences. */
export function stripSentences(reading: StripReading, plan: StripPlan, uncalibrated: boolean): string[] {
  const { clear, curve } = reading;
  const fog =
    clear !== null
      ? `Base + fog ${formatNumber(clear.densityD, 2)} ± ${formatNumber(2 * clear.seD, 2)} D.`
      : curve !== null
        ? `No clear film is marked: the thinnest patch, ${formatNumber(curve.baseFogD, 2)} D, stands for base + fog, and speed is a guess.`
        : null;
  const unknown =
    plan.logH === null
      ? 'Nobody knows the exposures, so the strip tells fog and range, and neither contrast nor speed.'
      : null;
  const few = plan.logH !== null && curve === null ? 'Three patches at least are needed for a curve.' : null;
  const camera =
    uncalibrated && curve?.gradient != null
      ? `This camera was never held against a wedge: its densities may be ${Math.round(100 * UNCALIBRATED_SHARE)} % off, and the gradient’s doubt counts that in.`
      : null;
  return [fog, unknown, few, gradientWords(reading), camera, speedWords(reading, plan), rangeWords(reading)].filter(
    (sentence) => sentence !== null,
  );
}
