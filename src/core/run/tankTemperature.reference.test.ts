import fc from 'fast-check';
import { all, create, type MathJsInstance } from 'mathjs';
import { describe, expect, test } from 'vitest';
import { temperatureRate } from '../thermal/arrhenius';
import { driftDose, driftTemperature } from '../thermal/drift';
import { TankTemperature, tankDose, timeOfDose } from './tankTemperature';

const math = create(all ?? {}) as MathJsInstance & {
  solveODE: (
    slope: (t: number, y: number[]) => number[],
    span: [number, number],
    start: number[],
    options: { tol: number; maxStep?: number },
  ) => { t: number[]; y: number[][] };
};

/** Dose by a general-purpose solver of differential equations (mathjs, Runge–Kutta 4(5) with step control). */
function doseByOde(rateAt: (minute: number) => number, breaks: readonly number[]): number {
  let dose = 0;
  for (let i = 1; i < breaks.length; i++) {
    const span: [number, number] = [breaks[i - 1] ?? 0, breaks[i] ?? 0];
    const { y } = math.solveODE((t) => [rateAt(t)], span, [dose], { tol: 1e-9, maxStep: 2 });
    dose = y.at(-1)?.[0] ?? Number.NaN;
  }
  return dose;
}

const bath = { startC: 20, ambientC: 16, timeConstantMin: 55 };

describe('how warm a tank is', () => {
  test('without a reading it drifts after Newton, or holds its temperature', () => {
    const tank = new TankTemperature(bath);
    for (const minute of [0, 5, 12, 70]) expect(tank.at(minute * 60)).toBeCloseTo(driftTemperature(bath, minute), 12);
    expect(new TankTemperature({ ...bath, ambientC: null }).at(900)).toBe(20);
  });
  test('a reading takes the place of the model before it, and the drift goes on from it', () => {
    const tank = new TankTemperature(bath, [{ atS: 300, celsius: 19 }]);
    expect(tank.at(150)).toBeCloseTo(19.5, 12);
    expect(tank.at(300)).toBeCloseTo(19, 12);
    expect(tank.at(300 + 55 * 60)).toBeCloseTo(16 + 3 / Math.E, 9);
  });
  test('of two readings within 20 s the later counts; one at the pouring in is the start', () => {
    const readings = [
      { atS: 10, celsius: 21 },
      { atS: 300, celsius: 15 },
      { atS: 310, celsius: 19 },
    ];
    const tank = new TankTemperature(bath, readings);
    expect([tank.at(0), tank.at(310)]).toEqual([21, 19]);
    expect(tank.moments).toEqual([0, 310]);
  });
});

describe('dose of a tank', () => {
  test('a bath that holds its temperature gives a minute a minute', () => {
    const still = new TankTemperature({ ...bath, ambientC: null });
    expect(tankDose(still, 2.2, 20, 754)).toBeCloseTo(754 / 60, 9);
    expect(timeOfDose(still, 2.2, 20, 12)).toBeCloseTo(720, 2);
  });
  test('Newton’s drift: as the dose of the estimate', () => {
    for (const minutes of [3, 12, 45])
      expect(tankDose(new TankTemperature(bath), 2.3, 20, minutes * 60)).toBeCloseTo(driftDose(bath, 2.3, minutes), 4);
  });
  test.each([
    [[], 15],
    [[{ atS: 240, celsius: 19.1 }], 15],
    [
      [
        { atS: 200, celsius: 18.2 },
        { atS: 420, celsius: 19.4 },
        { atS: 700, celsius: 17.7 },
      ],
      22,
    ],
    [[{ atS: 1800, celsius: 17 }], 75],
  ])('against a general-purpose solver: readings %j, %d min', (readings, minutes) => {
    const tank = new TankTemperature(bath, readings);
    const breaks = [0, ...readings.map(({ atS }) => atS / 60), minutes];
    const wanted = doseByOde((minute) => temperatureRate(tank.at(minute * 60), 2.2, 20), breaks);
    expect(tankDose(tank, 2.2, 20, minutes * 60)).toBeCloseTo(wanted, 5);
  });
  test('the time of a dose is where the dose is reached, whatever was read', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 14, max: 28, noNaN: true }),
        fc.option(fc.double({ min: 5, max: 35, noNaN: true })),
        fc.array(
          fc.record({
            atS: fc.double({ min: 0, max: 1500, noNaN: true }),
            celsius: fc.double({ min: 12, max: 30, noNaN: true }),
          }),
          { maxLength: 6 },
        ),
        fc.double({ min: 1, max: 80, noNaN: true }),
        (startC, ambientC, readings, doseMin) => {
          const tank = new TankTemperature({ startC, ambientC, timeConstantMin: 55 }, readings);
          expect(tankDose(tank, 2.2, 20, timeOfDose(tank, 2.2, 20, doseMin))).toBeCloseTo(doseMin, 2);
        },
      ),
      { numRuns: 200 },
    ));
});
