import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { evaluate } from 'mathjs';
import { GAS_CONSTANT, activationEnergy } from '../thermal/arrhenius';
import { ageFog, radiationFog } from './ageFog';
import { AGEING_Q10, effectiveAge, effectiveAgeLnSd, storageFactor } from './effectiveAge';
import { gradientAfterAge } from './gradientAfterAge';
import { latentImageLoss, speedLoss } from './speedLoss';
import { stockFamilies, stockFamilyIds } from './stockFamilies';
import { stockFamilySchema } from './stockFamilySchema';

const room = (years: number) => [{ years, temperatureC: 21, humid: false }];

describe('storage', () => {
  test.each([-18, 4, 12, 21, 30])('%d °C against the Arrhenius closed form', (temperatureC) => {
    const E = activationEnergy(AGEING_Q10);
    const closedForm: number = evaluate('exp(E / R * (1 / 294.15 - 1 / (T + 273.15)))', {
      E,
      R: GAS_CONSTANT,
      T: temperatureC,
    });
    expect(storageFactor(temperatureC, false)).toBeCloseTo(closedForm, 12);
  });
  test('hand-worked: E = 67.7 kJ/mol makes a year at 11 °C worth 0.377 of one at 21 °C', () => {
    expect(activationEnergy(AGEING_Q10)).toBeCloseTo(67_700, -2);
    expect(effectiveAge([...room(20), { years: 19, temperatureC: 11, humid: false }])).toBeCloseTo(20 + 19 * 0.377, 1);
  });
  test('a freezer year is worth about five days; humid years count half as much again', () => {
    expect(storageFactor(-18, false) * 365).toBeCloseTo(5.3, 1);
    expect(effectiveAge([{ years: 10, temperatureC: 21, humid: true }])).toBeCloseTo(15, 10);
  });
  test('older or warmer is never younger (property)', () => {
    const years = fc.double({ min: 0, max: 120, noNaN: true });
    const temperature = fc.double({ min: -30, max: 45, noNaN: true });
    fc.assert(
      fc.property(
        years,
        years,
        temperature,
        fc.double({ min: 0, max: 20, noNaN: true }),
        (a, more, temperatureC, warmer) => {
          const of = (y: number, t: number) => effectiveAge([{ years: y, temperatureC: t, humid: false }]);
          expect(of(a + more, temperatureC)).toBeGreaterThanOrEqual(of(a, temperatureC));
          expect(of(a, temperatureC + warmer)).toBeGreaterThanOrEqual(of(a, temperatureC));
        },
      ),
    );
  });
  test('doubt about the age: relative years and temperature add in quadrature', () => {
    const segments = [{ years: 20, temperatureC: 21, humid: false, temperatureSdC: 2 }];
    const fromTemperature = Math.log(storageFactor(23, false) / storageFactor(19, false)) / 2;
    expect(effectiveAgeLnSd(segments, 2)).toBeCloseTo(Math.sqrt(Math.log(1.01) + fromTemperature ** 2), 12);
    expect(effectiveAgeLnSd([], 5)).toBe(0);
  });
});

describe('what age does', () => {
  test('about one stop a decade for colour at room temperature, less for slow black-and-white (common practice)', () => {
    const perDecade = (id: keyof typeof stockFamilies) => speedLoss(stockFamilies[id].speedLossStopsPerYear * 10);
    for (const id of ['colour-negative-current', 'colour-negative-obsolete', 'colour-reversal-couplers'] as const) {
      expect(perDecade(id)).toBeGreaterThan(0.75);
      expect(perDecade(id)).toBeLessThan(1.2);
    }
    expect(perDecade('pan-cubic-slow')).toBeLessThan(0.5);
  });
  test('losses level off: sixty years in a cupboard leave a faint image, an attic does not take seventeen stops', () => {
    expect(speedLoss(0.065 * 10)).toBeCloseTo(7 * (1 - Math.exp(-0.65 / 7)), 12);
    expect(speedLoss(0.01)).toBeCloseTo(0.01, 4);
    expect(speedLoss(0.065 * 60 + 0.03 * 60)).toBeLessThan(4);
    expect(speedLoss(17)).toBeLessThan(6.5);
    expect(speedLoss(1e6)).toBeCloseTo(7, 9);
  });
  test('fog starts at its yearly rate and levels off at half of Dmax', () => {
    expect(ageFog(0.01, 1, 2.7, 0)).toBeCloseTo(0.01, 3);
    expect(ageFog(0.01, 10, 2.7, 0)).toBeCloseTo(1.35 * (1 - Math.exp(-0.1 / 1.35)), 12);
    expect(ageFog(0.01, 1e6, 2.7, 0)).toBeCloseTo(1.35, 9);
  });
  test('radiation fog does not ask for the temperature: 0.02 a decade at ISO 400', () => {
    expect(radiationFog(400, 20)).toBeCloseTo(0.04, 12);
    expect(radiationFog(100, 20)).toBeCloseTo(0.01, 12);
  });
  test('gradient decays exponentially, the latent image by 0.03 stop a room-year', () => {
    expect(gradientAfterAge(1.15, 0.004, 31)).toBeCloseTo(1.15 * Math.exp(-0.124), 12);
    expect(latentImageLoss(40)).toBeCloseTo(1.2, 12);
  });
});

test('every family fits its schema and can reach the scan gradient', () => {
  for (const id of stockFamilyIds) {
    expect(stockFamilySchema.safeParse(stockFamilies[id]).success).toBe(true);
    expect(stockFamilies[id].maximumGradient * 0.97).toBeGreaterThan(0.58);
  }
});
