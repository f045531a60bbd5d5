import { describe, expect, test } from 'vitest';
import { characteristicDensity, type DevelopedFilm } from '../kinetics/characteristicCurve';
import type { PatchDensity } from '../densitometry/patchDensity';
import { findingSchema } from './evidenceRecord';
import { initialStripForm, readStripForm, stripFormSchema, type StripForm } from './stripForm';
import { findingOfStrip, separateDensities, stripReading as readingOf, type StripReading } from './stripReading';
import type { StripPlan } from './stripForm';

const form = (change: Partial<StripForm> = {}): StripForm => ({ ...initialStripForm(8, 100), ...change });
const patch = (densityD: number): PatchDensity => ({ densityD, seD: 0.01, fault: null });
const stripReading = (clear: PatchDensity | null, steps: readonly PatchDensity[], how: StripPlan): StripReading =>
  readingOf(separateDensities(clear, steps), how);
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
  test('what a camera leaves open moves all densities together: a wide gradient, and it is the camera’s own', () => {
    const steps = frames([-3, -2, -1, 0, 1, 2, 3]);
    const all = [patch(0.35), ...steps];
    // Every density stretched by the same tenth, and a hundredth of its own.
    const covariance = all.map((a, i) => all.map((b, j) => 0.01 * a.densityD * b.densityD + (i === j ? 0.0001 : 0)));
    const ownCovariance = all.map((_, i) => all.map((__, j) => (i === j ? 0.0001 : 0)));
    const reading = readingOf({ clear: patch(0.35), steps, covariance, ownCovariance }, plan());
    const doubt = reading.curve?.doubt.gradient;
    expect(doubt?.lnSd).toBeGreaterThan(0.08);
    expect(doubt?.ownLnSd).toBeLessThan(0.04);
    const finding = findingOfStrip(reading, 8, false, 'phone on the tablet');
    expect(findingSchema.safeParse(finding).success).toBe(true);
    expect(finding?.kind === 'clip' && finding.doubt?.camera).toBe('phone on the tablet');
    expect(finding?.kind === 'clip' && finding.doubt?.cameraLnSd).toBeGreaterThan(0.07);
  });
  test('patches that glare rules, and frames whose numbers nobody is sure of', () => {
    const steps = frames([-3, -2, -1, 0, 1, 2, 3]);
    const last = steps[6] as PatchDensity;
    steps[6] = { ...last, densityD: 9, atLeast: true };
    const reading = stripReading(patch(0.35), steps, plan());
    expect(reading.curve?.gradient?.toD).toBeLessThan(3);
    expect(stripReading(patch(0.35), steps, { ...plan(), numbered: false }).effectiveIso).toBeNull();
  });
  test('a base that is a least one is kept as a bound, and nothing stands on it', () => {
    const clear: PatchDensity = { densityD: 1.6, seD: 0.7, fault: null, atLeast: true };
    const steps = frames([-3, -2, -1, 0, 1]).map((step) => ({ ...step, densityD: step.densityD + 1.5 }));
    const reading = stripReading(clear, steps, plan({ count: 5 }));
    expect(reading.curve).toBeNull();
    expect(reading.effectiveIso).toBeNull();
    const finding = findingOfStrip(reading, 8, false, 'phone');
    expect(finding).toEqual({ kind: 'fog', timeMin: 8, method: 'densities', baseFogD: 1.6, atLeast: true });
    expect(findingSchema.safeParse(finding).success).toBe(true);
  });
});
