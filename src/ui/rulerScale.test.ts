import fc from 'fast-check';
import { expect, test } from 'vitest';
import { rulerPercent, rulerScale } from './rulerScale';

test('a band of eight minutes stands on a ruler with a mark every two', () => {
  expect(rulerScale(11.8, 19.8)).toEqual({ fromMin: 10, toMin: 22, marks: [10, 12, 14, 16, 18, 20, 22] });
});

test('every band lies on its ruler, with few round marks (property)', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 300, noNaN: true }),
      fc.double({ min: 1.01, max: 12, noNaN: true }),
      (low, ratio) => {
        const scale = rulerScale(low, low * ratio);
        expect(scale.fromMin).toBeLessThanOrEqual(low);
        expect(scale.toMin).toBeGreaterThanOrEqual(low * ratio);
        expect(scale.marks.length).toBeGreaterThan(1);
        expect(rulerPercent(scale, low)).toBeLessThan(rulerPercent(scale, low * ratio));
      },
    ),
  );
});
