import { describe, expect, test } from 'vitest';
import { separateDensities, stripReading } from '../evidence/stripReading';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';
import { emptyTrial, readTrial, trialAnswers, type TrialValues } from './trial';
import { trialNote } from './trialFiles';
import { levelCurves, stripOfPicture } from './trialCurves';
import { readTrialFile, writeTrialFile } from './trialExchange';

/** Frames a stop apart, straight from two stops under the metered exposure on: 0.6 D for ten times the light. */
const reading = (moreD = 0) => {
  const patch = (densityD: number) => ({ densityD, seD: 0.01, fault: null, atLeast: false });
  const logH = Array.from({ length: 9 }, (_, at) => (at - 4) * LOG_EXPOSURE_PER_STOP);
  const from = -2 * LOG_EXPOSURE_PER_STOP;
  const steps = logH.map((one) => patch(0.3 + moreD + 0.6 * Math.max(0, one - from)));
  return stripReading(separateDensities(patch(0.3 + moreD), steps as never), {
    logH,
    meteredIso: 200,
    numbered: true,
  });
};

const laid = (): TrialValues => {
  const read = readTrial({ ...emptyTrial, name: 'Two brews', measures: ['gradient', 'fog', 'speed'] }, 5);
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};

describe('a strip that was measured, in a trial', () => {
  test('gives what the trial looks at, worked by hand, and its curve', () => {
    const found = stripOfPicture(reading(), laid());
    expect(found?.values.fog).toBeCloseTo(0.3, 3);
    // 0.10 D above the clear film is a sixth of a decade of light past the corner, two stops under the metered exposure.
    // The curve through frames a stop apart rounds that corner by a tenth of a stop.
    expect(Math.abs((found?.values.speed ?? 9) - (2 - 0.1 / 0.6 / LOG_EXPOSURE_PER_STOP))).toBeLessThan(0.1);
    expect(Math.abs((found?.values.gradient ?? 9) - 0.6)).toBeLessThan(0.02);
    expect(found?.curve.points).toHaveLength(9);
    expect(Object.keys(stripOfPicture(reading(), { margins: { fog: 0.05 } })?.values ?? {})).toEqual(['fog']);
  });
  test('what its camera leaves open goes along, into the answer, and into what the trial teaches', () => {
    const doubt = { camera: 'c', cameraLnSd: 0.15, ownLnSd: 0.03 };
    expect(stripOfPicture(reading(), laid(), doubt)?.curve.doubt).toEqual(doubt);
    const trial = laid();
    const read = {
      ...trial,
      strips: trial.strips.map((strip) => ({ ...strip, ...stripOfPicture(reading(), trial, doubt) })),
    };
    expect(trialAnswers(read).map(({ measureId, stretchLnSd }) => [measureId, stretchLnSd])).toEqual([
      ['gradient', 0.15],
      ['speed', 0],
      ['fog', 0.15],
    ]);
    expect(trialNote(read)).toContain('may stretch these differences by 15 %');
  });
  test('a strip whose exposures nobody knows gives nothing', () => {
    const unknown = reading();
    expect(
      stripOfPicture({ ...unknown, steps: unknown.steps.map((step) => ({ ...step, logH: null })) }, laid()),
    ).toBeNull();
  });
  test('what a camera adds to all of its strips alike is in no difference between levels', () => {
    const [plain, veiled] = [stripOfPicture(reading(), laid()), stripOfPicture(reading(0.08), laid())];
    expect((veiled?.values.gradient ?? 0) - (plain?.values.gradient ?? 9)).toBeCloseTo(0, 3);
    expect((veiled?.values.speed ?? 0) - (plain?.values.speed ?? 9)).toBeCloseTo(0, 3);
  });
});

describe('curves laid over each other', () => {
  const withCurves = (): TrialValues => {
    const trial = laid();
    const strips = trial.strips.map((strip, at) => ({
      ...strip,
      ...(at === 0 ? { lost: 'torn' } : {}),
      ...stripOfPicture(reading(0.1 * strip.level + 0.02 * (at % 2)), trial),
    }));
    return { ...trial, strips };
  };
  test('the mean of a level lies between its outermost strips, and lost ones are not in it', () => {
    const trial = withCurves();
    const curves = levelCurves(trial);
    expect(curves.map(({ level }) => level)).toEqual([0, 1]);
    expect(curves.reduce((sum, { strips }) => sum + strips, 0)).toBe(trial.strips.length - 1);
    for (const { points } of curves)
      for (const { meanD, lowD, highD } of points) {
        expect(meanD).toBeGreaterThanOrEqual(lowD);
        expect(meanD).toBeLessThanOrEqual(highD);
        expect(highD - lowD).toBeLessThanOrEqual(0.02 + 1e-9);
      }
    const at = (level: number): number => curves[level]?.points[10]?.meanD ?? Number.NaN;
    expect(at(1) - at(0)).toBeGreaterThan(0.07);
    expect(at(1) - at(0)).toBeLessThan(0.13);
  });
  test('goes out in the file of the trial and comes back', () => {
    const back = readTrialFile(writeTrialFile(withCurves()));
    expect(back.ok && levelCurves(back.value)).toEqual(levelCurves(withCurves()));
  });
  test('no strip was measured: no curve', () => {
    expect(levelCurves(laid())).toEqual([]);
  });
});
