import { expect, test } from 'vitest';
import { steadyEnd } from './useSteadyEnd';

test('an axis keeps its end while its figures fit and fill half of it, and never cuts them off', () => {
  expect([15, 20, 30].map((wanted) => steadyEnd(30, wanted))).toEqual([30, 30, 30]);
  expect([7.5, 14.9, 31, 75].map((wanted) => steadyEnd(30, wanted))).toEqual([7.5, 14.9, 31, 75]);
});
