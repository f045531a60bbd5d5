import { evaluate } from 'mathjs';
import { describe, expect, test } from 'vitest';
import { GAS_CONSTANT, activationEnergy, temperatureRate } from './arrhenius';

describe('temperature coefficient against the Arrhenius closed form', () => {
  test.each([
    [13, 2.2],
    [18, 2.3],
    [20, 2.1],
    [22, 3.4],
    [24, 2.2],
    [30, 2.0],
    [38, 2.3],
  ])('%d °C, Q10 %d', (temperatureC, q10) => {
    const closedForm: number = evaluate('exp(E / R * (1 / 293.15 - 1 / (T + 273.15)))', {
      E: activationEnergy(q10),
      R: GAS_CONSTANT,
      T: temperatureC,
    });
    expect(temperatureRate(temperatureC, q10)).toBeCloseTo(closedForm, 12);
  });
  test('the rate grows by Q10 from 20 to 30 °C, and a reference other than 20 °C divides out', () => {
    expect(temperatureRate(30, 2.2)).toBeCloseTo(2.2, 12);
    expect(temperatureRate(24, 2.2, 22)).toBeCloseTo(temperatureRate(24, 2.2) / temperatureRate(22, 2.2), 12);
  });
  test('activation energy of a doubling between 20 and 30 °C is 51.2 kJ/mol (textbook rule of thumb: about 50)', () => {
    expect(activationEnergy(2)).toBeCloseTo(51_218, -2);
  });
});
