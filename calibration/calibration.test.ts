import { describe, expect, test } from 'vitest';
import { calibrate, calibrateBoxes, calibrateLog, pooledCoverage } from './calibrate';
import { calibrateStrips, readOnce } from './calibrateStrips';

describe('the band on simulated rolls of other worlds', () => {
  const cells = calibrate(40, 4711, ['none', 'leaflet', 'clip by densities', 'leaflet + clip']);
  const of = (bundle: string, group?: string) =>
    cells.filter((cell) => cell.bundle === bundle && (group === undefined || cell.group === group));
  test('it holds the truth about as often as it says, also on old film with a known time', () => {
    expect(pooledCoverage(cells)).toBeGreaterThan(0.73);
    expect(pooledCoverage(cells)).toBeLessThan(0.87);
    // A leaflet speaks of fresh film: where it pins the age, this falls to a half.
    expect(pooledCoverage(of('leaflet', 'over 30'))).toBeGreaterThan(0.68);
    expect(pooledCoverage(of('leaflet + clip', 'over 30'))).toBeGreaterThan(0.66);
  });
  test('a leaflet leaves old film its doubt, and a clip brings the error down', () => {
    const median = (bundle: string, group?: string): number =>
      of(bundle, group).reduce((sum, cell) => sum + cell.medianError, 0);
    for (const strategy of ['hold', 'extend'] as const) {
      const width = (group: string): number =>
        of('leaflet', group).find((cell) => cell.strategy === strategy)?.medianLnSd ?? 0;
      expect(width('over 30')).toBeGreaterThan(1.25 * width('under 10'));
    }
    expect(median('leaflet + clip')).toBeLessThan(median('leaflet'));
    expect(median('clip by densities')).toBeLessThan(median('none'));
  });
  test('five judged runs of a stock narrow the sixth without pretending', () => {
    for (const { coverage, strategy } of calibrateLog(40, 12)) expect(coverage, strategy).toBeGreaterThan(0.6);
  });
});

describe('rolls of a box in worlds that share by other rules', () => {
  const cells = calibrateBoxes(40, 9, ['over 30'], ['sister of the box', 'three sisters of the box']);
  const of = (bundle: string) => cells.filter((cell) => cell.bundle === bundle);
  test('what sisters teach holds about as often as it says, and three of them narrow more than one', () => {
    expect(pooledCoverage(cells)).toBeGreaterThan(0.68);
    expect(pooledCoverage(cells)).toBeLessThan(0.9);
    const width = (bundle: string): number => of(bundle).reduce((sum, { medianLnSd }) => sum + medianLnSd, 0);
    expect(of('three sisters of the box')).toHaveLength(3);
    expect(width('three sisters of the box')).toBeLessThan(width('sister of the box'));
  });
});

describe('strips read from photographs of other worlds', () => {
  const cells = calibrateStrips(6, 31, ['one picture', 'two exposures'], ['tanh', 'filmic']);
  const held = (reading: string): number =>
    cells
      .filter((cell) => cell.reading === reading)
      .reduce((sum, { held: { fog, gradient, index } }) => sum + (fog + gradient + index) / 6, 0);
  test('what is stated holds about as often as it says, and a second exposure brings the miss down', () => {
    expect(held('one picture')).toBeGreaterThan(0.6);
    expect(held('two exposures')).toBeGreaterThan(0.6);
    const miss = (reading: string): number =>
      cells.filter((cell) => cell.reading === reading).reduce((sum, cell) => sum + cell.medianGradient / 2, 0);
    expect(miss('two exposures')).toBeLessThan(0.06);
    expect(miss('two exposures')).toBeLessThan(miss('one picture'));
  });
  test('a camera that crushes its blacks beside a coin that is black to it is read, and says how unsure it is', () => {
    const read = readOnce('smoothstep', 'coin and wedge', 9014);
    for (const figure of [read?.fog, read?.gradient, read?.index])
      expect(Math.abs(figure?.off ?? 9)).toBeLessThan(2 * (figure?.sd ?? 0));
  });
  test('two exposures by cameras that crush their blacks: no fit loses itself in glare', () => {
    for (const seed of [8306, 12102, 12215]) {
      const read = readOnce('filmic', 'two exposures', seed);
      for (const figure of [read?.fog, read?.gradient, read?.index])
        expect(Math.abs(figure?.off ?? 9), `strip ${seed}`).toBeLessThan(2.5 * (figure?.sd ?? 0));
      expect(read?.gradient?.sd, `strip ${seed}`).toBeLessThan(0.06);
    }
  });
  test('clear film along the strip, under a light that falls off, brings the miss of one picture down', () => {
    const misses = (withBase: boolean): number =>
      (['power', 'smoothstep'] as const)
        .flatMap((kind) => Array.from({ length: 8 }, (_, at) => readOnce(kind, 'one picture', 200 + at, withBase)))
        .reduce((sum, one) => sum + Math.abs(one?.gradient?.off ?? 0), 0);
    expect(misses(true)).toBeLessThan(0.85 * misses(false));
  });
});
