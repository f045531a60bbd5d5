import { expect, test } from 'vitest';
import { keptSpread } from '../densitometry/keptSpread';
import { keptPatch, type PatchDensity } from '../densitometry/patchDensity';
import { stripReading, type ReadDensities } from '../evidence/stripReading';
import { readingOfKept } from './keptStrip';
import { readingSchema, type StripRecord } from './records';

const patch = (densityD: number): PatchDensity => ({ densityD, seD: 0.03, fault: null });
const lost: PatchDensity = { densityD: Number.NaN, seD: Number.NaN, fault: 'clipped' };

/** Nine steps beside clear film, one of them lost; a camera stretches all densities by a tenth, and each is good to 0.004 D. */
const levels = [0.31, 0.35, 0.44, 0.57, 0.71, 0.86, 1.0, 1.13];
const sound = [0.3, ...levels];
const read: ReadDensities = {
  clear: patch(0.3),
  steps: [lost, ...levels.map(patch)],
  covariance: sound.map((a, i) => sound.map((b, j) => 0.01 * a * b + (i === j ? 0.004 ** 2 : 0))),
  ownCovariance: sound.map((_, i) => sound.map((__, j) => (i === j ? 0.004 ** 2 : 0))),
};
const logH = Array.from({ length: 9 }, (_, at) => -1.2 + 0.3 * at);
const reading = stripReading(read, { logH, meteredIso: 100, numbered: true });

const record = (change: Partial<StripRecord>): StripRecord => ({
  id: 'strip-1',
  createdMs: 1,
  updatedMs: 1,
  rollId: 'roll-1',
  name: 'Strip',
  timeMin: 8,
  source: 'picture',
  channel: 'green',
  meteredIso: 100,
  clear: keptPatch(patch(0.3)),
  steps: read.steps.map((step, at) => ({ ...keptPatch(step), logH: logH[at] ?? 0 })),
  doubt: { camera: 'some', cameraLnSd: 0.1, ownLnSd: 0.02 },
  evidenceId: null,
  photoId: null,
  ...change,
});

test('a strip that was kept with the spread of its densities has the same doubts when it is read again', () => {
  const kept = readingSchema.parse(JSON.parse(JSON.stringify(record({ spread: keptSpread(read) }))));
  const again = readingOfKept(kept).curve?.doubt;
  const first = reading.curve?.doubt;
  expect(first?.gradient?.lnSd).toBeGreaterThan(0.08);
  expect(again?.fogSdD).toBeCloseTo(first?.fogSdD ?? 0, 4);
  expect(again?.gradient?.lnSd).toBeCloseTo(first?.gradient?.lnSd ?? 0, 3);
  expect(again?.gradient?.ownLnSd).toBeCloseTo(first?.gradient?.ownLnSd ?? 0, 3);
  expect(again?.speedSd).toBeCloseTo(first?.speedSd ?? 0, 3);
});

test('one from before, or with the spread of other patches, has one figure for its gradient', () => {
  const { covariance, own } = keptSpread(read);
  for (const spread of [undefined, { covariance: covariance.slice(1), own }]) {
    const { curve } = readingOfKept(record(spread === undefined ? {} : { spread }));
    expect(curve?.doubt.gradient).toEqual({ lnSd: Math.hypot(0.1, 0.02), ownLnSd: 0.02 });
  }
});
