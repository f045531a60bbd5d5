import { describe, expect, test } from 'vitest';
import { temperatureRate } from './arrhenius';
import { driftDose, driftTemperature, tankTimeConstant, timeForDose } from './drift';

const cooling = { startC: 24, ambientC: 16, timeConstantMin: 55 };

describe('drift of a bath', () => {
  test('Newton cooling: after one time constant 1/e of the distance is left', () => {
    expect(driftTemperature(cooling, 55)).toBeCloseTo(16 + 8 / Math.E, 9);
  });
  test('the dose agrees with a fine trapezoid sum of the Arrhenius rate', () => {
    const n = 20_000;
    const minutes = 30;
    let sum = 0;
    for (let i = 0; i <= n; i++) {
      const rate = temperatureRate(driftTemperature(cooling, (minutes * i) / n), 2.2, 24);
      sum += i === 0 || i === n ? rate / 2 : rate;
    }
    expect(driftDose(cooling, 2.2, minutes)).toBeCloseTo((sum * minutes) / n, 4);
  });
  test('the time for a dose gives that dose, and a cooling bath takes longer', () => {
    const time = timeForDose(cooling, 2.2, 15);
    expect(driftDose(cooling, 2.2, time)).toBeCloseTo(15, 8);
    expect(time).toBeGreaterThan(15);
  });
  test('a bath at the temperature of the room does not drift', () =>
    expect(timeForDose({ ...cooling, ambientC: 24 }, 2.2, 15)).toBeCloseTo(15, 12));
  test('eight times the volume cools half as fast', () =>
    expect(tankTimeConstant(4000) / tankTimeConstant(500)).toBeCloseTo(2, 12));
});
