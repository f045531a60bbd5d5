import { expect, test } from 'vitest';
import { bulkReel } from './bulkReel';

test('a reel of 100 feet gives eighteen rolls of 36 (common practice: 18 to 20)', () => {
  expect(bulkReel(30.5, []).more).toBe(18);
});

test('what was cut from it is gone: three of 36 and one of 24', () => {
  const reel = bulkReel(10, ['135', '135', '135', '135-24']);
  expect(reel.usedM).toBeCloseTo(3 * 1.63 + 1.18, 6);
  expect(reel.usedM + reel.leftM).toBeCloseTo(10, 6);
  expect(reel.more).toBe(2);
});

test('more than there was leaves nothing, and other film takes nothing of it', () => {
  expect(bulkReel(1, ['135']).leftM).toBe(0);
  expect(bulkReel(1, ['135']).more).toBe(0);
  expect(bulkReel(10, ['120']).usedM).toBe(0);
});
