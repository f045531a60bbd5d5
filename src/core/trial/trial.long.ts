import { expect, test } from 'vitest';
import { seededEven, seededNormal } from '../kit/seededNoise';
import { smallestSeen } from './trialPower';
import { trialAnswer, type ReadStrip } from './trialAnswer';

const TRIALS = 2000;

/** Three levels and a control in three rolls, of a world with heavy tails and rolls that differ; the second level is moved. */
function world(seed: number, levels: number, blocks: number, moved: number): ReadStrip[] {
  return Array.from({ length: levels * blocks }, (_, at) => {
    const [level, block] = [at % levels, Math.floor(at / levels)];
    const tail = seededEven(seed, 900 + at) < 0.05 ? 2 : 0.93;
    const value = (level === 1 ? moved : 0) + tail * seededNormal(seed, at) + 1.5 * seededNormal(seed, 500 + block);
    return { level, block, value };
  });
}

function shareTold(levels: number, blocks: number, moved: number, any: boolean): number {
  let told = 0;
  for (let seed = 1; seed <= TRIALS; seed++) {
    const comparisons = trialAnswer('speed', world(seed, levels, blocks, moved), levels, 0, 1e-6)?.comparisons ?? [];
    const seen = comparisons.filter((one) => one.told === 'different');
    if (any ? seen.length > 0 : seen.some(({ level }) => level === 1)) told += 1;
  }
  return told / TRIALS;
}

test.each([
  [2, 3],
  [2, 6],
  [4, 3],
  [4, 6],
])('no difference: %i levels in %i rolls give a false alarm in 5 of 100, 2 more or less', (levels, blocks) => {
  const alarms = shareTold(levels, blocks, 0, true);
  console.log(`${levels} levels, ${blocks} rolls: false alarms ${(100 * alarms).toFixed(1)} %`);
  expect(alarms).toBeGreaterThan(0.025);
  expect(alarms).toBeLessThan(0.07);
});

test.each([
  [2, 3],
  [2, 5],
  [4, 3],
  [4, 6],
])('the smallest difference of %i levels in %i rolls is seen four times in five', (levels, blocks) => {
  const seen = shareTold(levels, blocks, smallestSeen(levels, blocks, 1) ?? 0, false);
  console.log(`${levels} levels, ${blocks} rolls: seen ${(100 * seen).toFixed(1)} %`);
  expect(seen).toBeGreaterThan(0.72);
  expect(seen).toBeLessThan(0.88);
});
