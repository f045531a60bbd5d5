import { describe, expect, test } from 'vitest';
import { calibrate } from '../testing/calibration/calibrate';

/** A small version of the calibration bench, with loose limits; `npm run bench:calibration` is the whole one. */
describe('the band on simulated rolls of another model', () => {
  const lines = calibrate(60, 20);
  test.each(lines)('$what: the 80 % band holds the truth about as often as it says', ({ coverage }) => {
    expect(coverage).toBeGreaterThan(0.65);
    expect(coverage).toBeLessThan(0.97);
  });
  test('evidence brings the error down', () => {
    const error = (what: string) => lines.find((line) => line.what === what)?.medianError ?? NaN;
    expect(error('3 pieces')).toBeLessThan(error('0 pieces'));
    expect(error('2 clips by densities')).toBeLessThan(error('0 pieces') * 0.6);
  });
});
