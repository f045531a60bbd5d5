import { Z80 } from '@/core/estimate/band';
import type { PatchFault } from '@/core/densitometry/patchDensity';
import type { StripFault } from '@/core/densitometry/readStrip';
import { holderIds, holders, seenShare } from '@/core/densitometry/holders';
import type { ReadingGains } from '@/core/densitometry/readingGains';
import type { WedgeKind } from '@/core/evidence/wedgeForm';
import type { StripReading } from '@/core/evidence/stripReading';
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
  'no-light':
    'No bare light shows around the film. Add a picture of the light alone, taken with the same settings, or mark bare light.',
  inverted:
    'This is a positive: dense film is bright in it. Scan it again as a positive film or slide, with inversion off. As it is, judge its contrast by likeness, under Judge.',
  levelled:
    'The levels of this scan were stretched until both ends clipped. Scan it again with automatic levels off, as linear 16 bits if the scanner can. As it is, judge its contrast by likeness, under Judge.',
  'light-clipped':
    'The bare light is clipped, so nothing can be measured against it. Photograph the strip again, a stop or two darker, or add a darker exposure.',
  'light-dark':
    'The bare light is nearly black in this picture. Check that the light mark lies on the table, or photograph it brighter.',
};

/** Base + fog from which a roll counts as nearly black, D. Source: our choice. */
const NEARLY_BLACK_D = 1;

const index = (iso: number): string => formatNumber(iso, iso < 10 ? 1 : 0);

/** Speed in words: the index, how far it lies from the metered one, and how sure it is. */
function speedWords(reading: StripReading, plan: StripPlan): string | null {
  const { effectiveIso, curve } = reading;
  if (curve === null) return null;
  if (curve.speedLogH === null)
    return plan.meteredIso === null
      ? null
      : 'No patch stands just below 0.10 above base + fog, so the speed cannot be told. Bracket further down.';
  if (plan.meteredIso !== null && !plan.numbered)
    return 'Say which exposure the first patch had, and the speed follows.';
  if (effectiveIso === null || plan.meteredIso === null) return null;
  const stops = stopsBetweenSpeeds(effectiveIso, plan.meteredIso);
  const beside =
    Math.abs(stops) < 0.1
      ? 'as metered'
      : `${formatNumber(Math.abs(stops), 1)} stops ${stops > 0 ? 'slower' : 'faster'} than metered at ${index(plan.meteredIso)}`;
  const factor = curve.doubt.speedSd === null ? 1 : 10 ** (Z80 * curve.doubt.speedSd);
  const range = factor < 1.03 ? '' : `; 80 % likely ${index(effectiveIso / factor)} to ${index(effectiveIso * factor)}`;
  return `Effective speed about ${index(effectiveIso)}: ${beside}${range}.`;
}

/** Contrast in words, beside what ISO 6 asks for. */
function gradientWords({ curve }: StripReading): string | null {
  if (curve?.gradient == null) return null;
  const { value, se, span } = curve.gradient;
  const reach = Z80 * se;
  const said = `Average gradient ${formatNumber(value, 2)}, 80 % likely ${formatNumber(Math.max(0, value - reach), 2)} to ${formatNumber(value + reach, 2)}, over ${formatNumber(span, 2)} of log exposure.`;
  if (curve.isoContrast === null) return `${said} The row is too short for the whole 1.30 of ISO 6.`;
  const asked = ISO_GRADIENT;
  if (Math.abs(value - asked) < reach && reach > asked * ISO_SHARE)
    return `${said} Whether it meets the contrast condition of ISO 6 (${formatNumber(asked, 2)}) cannot be told yet.`;
  if (curve.isoContrast) return `${said} That meets the contrast condition of ISO 6, so its speed may be stated.`;
  return `${said} That is ${value < asked ? 'softer' : 'harder'} than ISO 6 asks (${formatNumber(asked, 2)}), so no ISO speed may be stated.`;
}

/** Share of the gradient within which ISO 6 takes a strip: ±0.05 of 0.80. Source: ISO 6:1993. */
const ISO_SHARE = 0.0625;

/** A gradient that is better than this needs no help, ln. Source: our choice. */
const GOOD_LN_SD = 0.04;

/** Share of the doubt to which a second exposure must bring it to be asked for: about half. Source: our choice. */
const ABOUT_HALF = 0.6;

/**
 * What one thing more would win, the best first; nothing where it would win little.
 * @param lnSd spread of ln(gradient) as it is said beside: gains are shares of it
 */
function gainWords(gains: ReadingGains | null, marked: boolean, lnSd: number): string[] {
  if (gains === null || lnSd <= GOOD_LN_SD) return [];
  const percent = (then: number): string => `${Math.max(1, Math.round((100 * Z80 * lnSd * then) / gains.now))} %`;
  const sentences: string[] = [];
  if (gains.exposure <= ABOUT_HALF * gains.now)
    sentences.push(
      `Add a second exposure, two stops darker: the doubt of the gradient falls from ${percent(gains.now)} to ${percent(gains.exposure)}.`,
    );
  if (!marked && gains.coin <= 0.85 * gains.now)
    sentences.push(
      `Lay a coin or black tape beside the strip: what it shows is glare, and the doubt falls to ${percent(gains.coin)}.`,
    );
  return sentences;
}

/** Patches that glare rules. */
function atLeastWords({ steps }: StripReading): string | null {
  const dense = steps.filter(({ atLeast }) => atLeast === true).length;
  if (dense === 0) return null;
  return `Glare or doubt rules ${dense === 1 ? 'the densest patch' : `${dense} dense patches`}: read ${dense === 1 ? 'it' : 'them'} as “at least”, or cover the bare light around the strip.`;
}

/** What a person does to calibrate a camera by a strip, step by step. */
export function calibrationSteps(kind: WedgeKind, pictures: number): string[] {
  const second =
    pictures > 1
      ? 'Two exposures are open: they tell the scale.'
      : 'Photograph it again, two stops darker, and add that exposure: layers tell the shape, two exposures the scale.';
  return kind === 'layers'
    ? [
        'Cut scraps of one even piece: a developed leader, or any grey film or gel.',
        'Lay them as stairs on the light: one layer, two, three, four.',
        'Photograph the stairs, with bare light and a coin beside them.',
        second,
        'Put the row on the stairs, one layer first, and take the mark of clear film away.',
      ]
    : [
        'Lay the wedge on the light, with bare light and a coin beside it, and photograph it.',
        'Put the row on its steps, and type their densities by its table, first to last.',
      ];
}

/** What can hold the image, in words. */
function rangeWords({ clear, curve, topD, topAtLeast }: StripReading): string | null {
  const baseD = clear?.densityD ?? curve?.baseFogD ?? null;
  if (baseD === null || clear?.atLeast === true || topD === null || topD <= baseD) return null;
  const shares = holderIds.map((id) => ({
    ...holders[id],
    share: seenShare(baseD, topD, holders[id].rangeD, id === 'paper'),
  }));
  const whole = shares.filter(({ share }) => share >= 0.995);
  const part = shares.filter(({ share }) => share < 0.995);
  const span = `${formatNumber(topD - baseD, 2)} D`;
  const sentences = [
    topAtLeast
      ? `From clear film to the densest patch it spans at least ${span}.`
      : `From clear film to the densest patch it spans ${span}.`,
  ];
  // Of a range that reaches at least so far nobody can say which share is seen.
  if (!topAtLeast && part.length === 0) sentences.push('A normal paper and every scanner hold all of it.');
  else if (!topAtLeast)
    sentences.push(
      `${part.map(({ name, share }, at) => `${at === 0 ? name : lowerFirst(name)} sees ${Math.round(share * 100)} %`).join('; ')}${whole.length > 0 ? `; ${whole.map(({ name }) => lowerFirst(name)).join(' and ')}, all of it` : ''}.`,
    );
  if (baseD >= NEARLY_BLACK_D)
    sentences.push(
      'Nearly black, but not lost: a long exposure on the scanner or a camera on a strong light digs deepest.',
    );
  return sentences.join(' ');
}

/**
 * Everything that a strip says, in sentences: first what would make it surer, then its figures; the shortest first of each.
 * @param reading the strip
 * @param plan what is known of its exposures
 * @param gains what one thing more would win; null where no camera read it
 * @param marked whether something opaque is marked
 */
export function stripSentences(
  reading: StripReading,
  plan: StripPlan,
  gains: ReadingGains | null,
  marked = false,
): string[] {
  const { clear, curve } = reading;
  const fog =
    clear !== null
      ? clear.atLeast === true
        ? `Base + fog at least ${formatNumber(clear.densityD, 2)} D: over that, neither contrast nor speed is told.`
        : `Base + fog ${formatNumber(clear.densityD, 2)} ± ${formatNumber(Z80 * clear.seD, 2)} D.`
      : curve !== null
        ? `No clear film is marked: the thinnest patch, ${formatNumber(curve.baseFogD, 2)} D, stands for base + fog, and speed is a guess.`
        : null;
  const unknown =
    plan.logH === null && plan.count > 0
      ? 'Nobody knows the exposures, so the strip tells fog and range, and neither contrast nor speed.'
      : null;
  const few =
    plan.logH !== null && curve === null && clear?.atLeast !== true
      ? 'Three patches at least are needed for a curve.'
      : null;
  const figures = [fog, unknown, few, gradientWords(reading), speedWords(reading, plan), rangeWords(reading)];
  return [
    ...(curve?.gradient == null ? [] : gainWords(gains, marked, curve.gradient.se / curve.gradient.value)),
    ...[...figures, atLeastWords(reading)].flatMap((sentence) => sentence ?? []).sort((a, b) => a.length - b.length),
  ];
}
