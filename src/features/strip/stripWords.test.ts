import { describe, expect, test } from 'vitest';
import { initialStripForm, readStripForm, type StripForm, type StripPlan } from '@/core/evidence/stripForm';
import { separateDensities, stripReading } from '@/core/evidence/stripReading';
import type { ReadingGains } from '@/core/densitometry/readingGains';
import type { PatchDensity } from '@/core/densitometry/patchDensity';
import { characteristicDensity, type DevelopedFilm } from '@/core/kinetics/characteristicCurve';
import { practiceStrip } from '@/core/kit/practiceStrip';
import { seedOf } from './seedOf';
import { stripSentences } from './stripWords';

const patch = (densityD: number, seD = 0.01): PatchDensity => ({ densityD, seD, fault: null });
const plan = (change: Partial<StripForm> = {}): StripPlan => {
  const read = readStripForm({ ...initialStripForm(8, 100), ...change });
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};
const film: DevelopedFilm = {
  gradient: 0.615,
  baseFogD: 0.3,
  fogD: 0.05,
  maximumDensityD: 2.6,
  lossStops: 0,
  highlightShare: 1,
};
const frames = (of: DevelopedFilm, stops: readonly number[], seD = 0.01) =>
  stops.map((stop) => patch(characteristicDensity(of, 1 + stop * Math.log10(2)), seD));
const STOPS = [-5, -4, -3, -2, -1, 0, 1, 2, 3];
const said = (
  of: DevelopedFilm,
  change: Partial<StripForm> = {},
  gains: ReadingGains | null = null,
  seD = 0.01,
): string => {
  const how = plan({ count: 9, firstStops: -5, ...change });
  const densities = separateDensities(patch(of.baseFogD, seD), frames(of, STOPS, seD));
  return stripSentences(stripReading(densities, how), how, gains).join(' ');
};

describe('what a strip says, in words', () => {
  test('fresh film at its speed: fog, the contrast condition met, the index as metered, the range', () => {
    const words = said(film);
    expect(words).toMatch(/^Base \+ fog 0\.30 ± 0\.01 D\./);
    expect(words).toContain('meets the contrast condition of ISO 6');
    expect(words).toMatch(/Effective speed about (9\d|10\d): as metered; 80 % likely [89]\d to 11\d\./);
    expect(words).toContain('From clear film to the densest patch it spans');
  });
  test('film that lost a stop and is soft says both', () => {
    const words = said({ ...film, gradient: 0.45, lossStops: 1 });
    expect(words).toContain('softer than ISO 6 asks (0.62)');
    expect(words).toMatch(/1\.\d stops slower than metered at 100/);
  });
  test('what would make it surer stands first, where it would halve the doubt; no metered index leaves speed unsaid', () => {
    const words = said(film, {}, { now: 0.12, exposure: 0.04, coin: 0.09 }, 0.06);
    const [, from, to] =
      /^Add a second exposure, two stops darker: the doubt of the gradient falls from (\d+) % to (\d+) %\./.exec(
        words,
      ) ?? [];
    expect(words).toContain('Lay a coin');
    // The doubt that it falls from is the one that is said of the gradient, and it falls as far as the gains say.
    const [, value, low, high] = (/gradient ([\d.]+), 80 % likely ([\d.]+) to ([\d.]+)/.exec(words) ?? []).map(Number);
    const half = (100 * ((high ?? 0) - (low ?? 0))) / 2 / (value ?? 1);
    expect(Math.abs(Number(from) - half)).toBeLessThan(1.5);
    expect(Math.abs(Number(to) - Number(from) / 3)).toBeLessThan(1);
    expect(said(film, {}, { now: 0.12, exposure: 0.09, coin: 0.11 }, 0.06)).not.toContain('Add a second');
    expect(said(film, {}, { now: 0.12, exposure: 0.04, coin: 0.04 })).not.toContain('Add a second');
    expect(said(film, { numbered: false })).toContain('Say which exposure the first patch had');
    expect(said(film, { meteredIso: '' })).not.toContain('Effective speed');
  });
  test('a row that never comes near the fog says to bracket further down', () => {
    const how = plan({ count: 3, firstStops: 2 });
    const reading = stripReading(separateDensities(patch(0.3), frames(film, [2, 3, 4])), how);
    expect(stripSentences(reading, how, null).join(' ')).toContain('Bracket further down');
  });
  test('nobody knows: fog and range, and it says so; without clear film the thinnest patch stands in', () => {
    expect(said(film, { exposures: 'unknown' })).toContain('tells fog and range, and neither contrast nor speed');
    const how = plan({ count: 9, firstStops: -5 });
    const words = stripSentences(stripReading(separateDensities(null, frames(film, STOPS)), how), how, null).join(' ');
    expect(words).toContain('No clear film is marked');
  });
  test('a nearly black roll: what each can still see, and that it is not lost', () => {
    const black = { ...film, baseFogD: 1.9, maximumDensityD: 4 };
    const words = said(black, { exposures: 'unknown' });
    expect(words).toMatch(/A normal paper sees \d+ %; a flatbed scanner sees \d+ %/);
    expect(words).toContain('Nearly black, but not lost');
  });
  test('a range whose top is a least one is a least one, and no share of it is said', () => {
    const read = separateDensities(patch(0.3), frames(film, STOPS));
    const steps = read.steps.map((step, at) => (at === STOPS.length - 1 ? { ...step, atLeast: true } : step));
    const how = plan({ exposures: 'unknown', count: STOPS.length });
    const words = stripSentences(stripReading({ ...read, steps }, how), how, null).join(' ');
    expect(words).toMatch(/spans at least \d\.\d\d D\./);
    expect(words).not.toContain('scanner sees');
  });
});

test('the practice strip is the same for the same roll, and another for another', () => {
  expect(practiceStrip(seedOf('tin-3'))).toEqual(practiceStrip(seedOf('tin-3')));
  expect(practiceStrip(seedOf('tin-3')).film.gradient).not.toBe(practiceStrip(seedOf('mast')).film.gradient);
  for (const name of ['a', 'b', 'c', 'd', 'e', 'f']) {
    const { film: made, strip } = practiceStrip(seedOf(name));
    expect(made.gradient).toBeGreaterThan(0.4);
    expect(made.gradient).toBeLessThan(0.75);
    for (let at = 1; at < strip.stepsD.length; at++)
      expect(strip.stepsD[at]).toBeGreaterThanOrEqual(strip.stepsD[at - 1] ?? 9);
  }
});
