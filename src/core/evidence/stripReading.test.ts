import { describe, expect, test } from 'vitest';
import { characteristicDensity, type DevelopedFilm } from '../kinetics/characteristicCurve';
import type { PatchDensity } from '../densitometry/patchDensity';
import { findingSchema } from './evidenceRecord';
import { initialStripForm, readStripForm, stripFormSchema, type StripForm } from './stripForm';
import { findingOfStrip, stripReading } from './stripReading';

const form = (change: Partial<StripForm> = {}): StripForm => ({ ...initialStripForm(8, 100), ...change });
const patch = (densityD: number): PatchDensity => ({ densityD, seD: 0.01, fault: null });
const plan = (change: Partial<StripForm> = {}) => {
  const read = readStripForm(form(change));
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};

describe('the form of a strip', () => {
  test('first it is a bracket of seven frames from three stops under', () => {
    expect(stripFormSchema.safeParse(form()).success).toBe(true);
    expect(plan().logH?.map((one) => Math.round(one / 0.30103))).toEqual([-3, -2, -1, 0, 1, 2, 3]);
    expect(plan().meteredIso).toBe(100);
  });
  test('own stops take spaces, commas and a true minus; a wedge counts in densities; nobody knows is an answer', () => {
    const own = plan({ exposures: 'own', ownStops: '−2 -1,5 0 1, 2', count: 5 });
    expect(own.logH?.map((one) => Math.round((one / 0.30103) * 10) / 10)).toEqual([-2, -1.5, 0, 1, 2]);
    expect(plan({ exposures: 'wedge', count: 3 }).logH).toEqual([0, 0.15, 0.3]);
    expect(plan({ exposures: 'unknown' }).logH).toBeNull();
  });
  test.each([
    [{ count: 0 }, 'count', /from 1 to 60/],
    [{ count: 'some' }, 'count', /from 1 to 60/],
    [{ timeMin: '' }, 'timeMin', /Developed for/],
    [{ stepStops: 0 }, 'stepStops', /not 0/],
    [{ exposures: 'own', ownStops: '1 2' }, 'ownStops', /2 typed for 7 patches/],
    [{ exposures: 'own', ownStops: '1 2 x' }, 'ownStops', /number 3 does not read/],
    [{ transfer: 'gamma', gamma: 9 }, 'gamma', /Gamma/],
    [{ name: ' ' }, 'name', /at least one letter/],
  ] as const)('%j is refused by field', (change, path, words) => {
    const read = readStripForm(form(change));
    expect(read.ok ? [] : read.problems.map((one) => one.path)).toContain(path);
    expect(read.ok ? '' : read.problems[0]?.message).toMatch(words);
  });
});

const film: DevelopedFilm = {
  gradient: 0.6,
  baseFogD: 0.35,
  fogD: 0.1,
  maximumDensityD: 2.5,
  lossStops: 1,
  highlightShare: 1,
};
/** A metered grey stands ten times over the speed point of fresh film. */
const frames = (stops: readonly number[]) =>
  stops.map((stop) => patch(characteristicDensity(film, 1 + stop * Math.log10(2))));

describe('a strip, read', () => {
  test('a bracket of film that lost a stop: half the index, its gradient, and a finding that says the same', () => {
    const reading = stripReading(patch(0.35), frames([-4, -3, -2, -1, 0, 1, 2, 3]), plan({ count: 8, firstStops: -4 }));
    expect(reading.effectiveIso).toBeGreaterThan(42);
    expect(reading.effectiveIso).toBeLessThan(56);
    expect(reading.backwards).toBe(false);
    const finding = findingOfStrip(reading, 8);
    expect(findingSchema.safeParse(finding).success).toBe(true);
    expect(
      finding?.kind === 'clip' && (finding.highlightD - finding.shadowD) / (finding.stopsBetween * 0.30103),
    ).toBeCloseTo(reading.curve?.gradient?.value ?? 9, 3);
  });
  test('a row from the other end says so; a wedge turns itself', () => {
    const turned = [...frames([-3, -2, -1, 0, 1, 2, 3])].reverse();
    expect(stripReading(patch(0.35), turned, plan()).backwards).toBe(true);
    const wedge = stripReading(patch(0.35), turned, plan({ exposures: 'wedge', stepD: 0.3 }));
    expect(wedge.backwards).toBe(false);
    expect(wedge.curve?.gradient?.value).toBeGreaterThan(0.3);
    expect(wedge.effectiveIso).toBeNull();
  });
  test('exposures that nobody knows give fog and range only', () => {
    const reading = stripReading(patch(0.35), frames([-2, 0, 2]), plan({ exposures: 'unknown', count: 3 }));
    expect(reading.curve).toBeNull();
    expect(reading.topD).toBeGreaterThan(1);
    expect(findingOfStrip(reading, 8)).toEqual({ kind: 'fog', timeMin: 8, method: 'densities', baseFogD: 0.35 });
    expect(
      findingOfStrip(stripReading(null, frames([-2, 0, 2]), plan({ exposures: 'unknown', count: 3 })), 8),
    ).toBeNull();
  });
  test('patches that cannot be read are left out, and the rest still make a curve', () => {
    const steps = frames([-3, -2, -1, 0, 1, 2, 3]);
    steps[6] = { densityD: Number.NaN, seD: Number.NaN, fault: 'black' };
    const reading = stripReading(patch(0.35), steps, plan());
    expect(reading.steps[6]?.fault).toBe('black');
    expect(reading.curve?.gradient?.value).toBeGreaterThan(0.3);
  });
  test('a camera that was never held against a wedge may be 3 % off: the gradient says so', () => {
    const steps = frames([-3, -2, -1, 0, 1, 2, 3]);
    const [sure, unsure] = (['none', 'unknown'] as const).map((camera) =>
      stripReading(patch(0.35), steps, plan(), camera),
    );
    expect(unsure?.curve?.gradient?.value).toBe(sure?.curve?.gradient?.value);
    expect((unsure?.curve?.gradient?.se ?? 0) ** 2 - (sure?.curve?.gradient?.se ?? 0) ** 2).toBeCloseTo(
      (0.03 * (sure?.curve?.gradient?.value ?? 0)) ** 2,
      9,
    );
  });
  test('a calibrated camera corrects every patch and carries its own doubt', () => {
    const pairs = [0, 0.5, 1, 1.5, 2].map((knownD) => ({ readD: knownD * 0.9, knownD }));
    const reading = stripReading(patch(0.45), [patch(0.9)], plan({ exposures: 'unknown', count: 1 }), pairs);
    expect(reading.clear?.densityD).toBeCloseTo(0.5, 9);
    expect(reading.steps[0]?.densityD).toBeCloseTo(1, 9);
    expect(reading.steps[0]?.seD).toBeGreaterThan(0.01);
  });
});
