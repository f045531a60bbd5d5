import { expect, test } from 'vitest';
import { emptyPrint } from './print';
import { noChanges, printChanges, scaledTo } from './printChanges';

const form = { ...emptyPrint, baseS: 10, sideMm: 180, negativeMm: 36, fNumber: 8, dryDown: 10 };

test('each change has its exposure, and none where a figure is missing', () => {
  const none = printChanges(form, noChanges, []);
  expect(none).toMatchObject({ bySize: null, byAperture: null, byMatch: null, byGrade: null, step: null, dried: 9 });
  const all = printChanges(form, { ...noChanges, toMm: 360, toF: 16, beforeS: 10, nowS: 12 }, []);
  // ((10 + 1)/(5 + 1))², two marks of the aperture, and a bulb that wants a fifth more.
  expect(all.bySize).toBeCloseTo((10 * 121) / 36, 9);
  expect(all.byAperture).toBeCloseTo(40, 9);
  expect(all.byMatch).toBeCloseTo(12, 9);
  expect(printChanges({ ...form, baseS: '' }, { ...noChanges, toMm: 360 }, []).bySize).toBeNull();
});

test('one grey on two grades is told of the paper, and is no new bulb', () => {
  const typed = { ...noChanges, toGrade: ' 4 ', beforeS: 10, nowS: 30 };
  const found = printChanges(form, typed, []);
  expect(found.byMatch).toBeNull();
  expect(found.step).toEqual({ from: '2', to: '4', factor: 3 });
  expect(found.byGrade?.seconds).toBeCloseTo(20, 9);
  const taught = printChanges(form, typed, found.step === null ? [] : [found.step]);
  expect(taught.byGrade?.seconds).toBeGreaterThan(27);
  expect(printChanges(form, { ...typed, toGrade: '2' }, []).step).toBeNull();
  expect(printChanges(form, { ...typed, nowS: 6000 }, []).step).toBeNull();
});

test('with two filters both exposures go along, and their ratio stays', () => {
  expect(scaledTo({ baseS: 10, hardS: 4 }, 20)).toEqual({ baseS: 20, hardS: 8 });
  expect(scaledTo({ baseS: 10, hardS: '' }, 14.142)).toEqual({ baseS: 14.1, hardS: '' });
});
