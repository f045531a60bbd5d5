import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { acidSystems } from './acidSystems';
import { brewPh, REFERENCE_BREW_PH } from './brewPh';
import { davies } from './davies';
import { ionisedFractions, solvePh } from './solvePh';

/** Density of water at 25 °C, kg/l: turns molality into molarity. Source: CRC Handbook. */
const WATER_KG_PER_L = 0.99705;
const m = (molality: number): number => molality * WATER_KG_PER_L;

describe('pH standards at 25 °C', () => {
  // Source: NIST/IUPAC primary pH standards (NBS Special Publication 260-53; IUPAC Recommendations 2002).
  test.each([
    [
      '0.025 m NaHCO3 + 0.025 m Na2CO3',
      { acids: { carbonic: m(0.05) }, strongCharge: m(0.075), strongIons: m(0.075) },
      10.012,
    ],
    ['0.01 m borax', { acids: { boric: m(0.04) }, strongCharge: m(0.02), strongIons: m(0.02) }, 9.18],
    [
      '0.025 m KH2PO4 + 0.025 m Na2HPO4',
      { acids: { phosphoric: m(0.05) }, strongCharge: m(0.075), strongIons: m(0.075) },
      6.865,
    ],
  ])('%s', (_name, solution, standard) => {
    expect(Math.abs(solvePh(solution).ph - standard)).toBeLessThan(0.03);
  });
});

describe('hand-worked points', () => {
  test('pure water is neutral: half of the ionic product', () =>
    expect(solvePh({ acids: {}, strongCharge: 0, strongIons: 0 }).ph).toBeCloseTo(13.995 / 2, 4));
  test('0.01 mol/l of a strong base: 14 − 2, less the activity of OH⁻', () => {
    expect(solvePh({ acids: {}, strongCharge: 0.01, strongIons: 0.01 }).ph).toBeCloseTo(13.995 - 2 - davies(0.01), 3);
  });
  test('ascorbic acid half neutralised stands at its first pKa, moved by the activity of the anion', () => {
    const { ph, ionicStrength } = solvePh({ acids: { ascorbic: 0.1 }, strongCharge: 0.05, strongIons: 0.05 });
    expect(ph).toBeCloseTo(4.1 - davies(ionicStrength), 2);
  });
  test('ascorbic acid with as many moles of soda: bicarbonate and ascorbate, near the mean of 6.35 and 10.33 without activities', () => {
    const { ph, ionicStrength } = solvePh({
      acids: { ascorbic: 0.05, carbonic: 0.05 },
      strongCharge: 0.1,
      strongIons: 0.1,
    });
    // Proton condition, by hand: [H2CO3] = [CO3] up to traces, so pH = (pK1' + pK2')/2.
    const activity = davies(ionicStrength);
    expect(ph).toBeCloseTo((6.35 - activity + (10.33 - 3 * activity)) / 2, 1);
  });
});

describe('properties', () => {
  const amount = fc.double({ min: 0, max: 0.5, noNaN: true });
  test('more soda never lowers the pH', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 80, noNaN: true }),
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (sodaGPerL, more, ascorbicGPerL) => {
          const brew = { agents: [{ agentId: 'instant-coffee' as const, amountPerL: 40 }], ascorbicGPerL, sodaGPerL };
          expect(brewPh({ ...brew, sodaGPerL: sodaGPerL + more })).toBeGreaterThanOrEqual(brewPh(brew) - 1e-6);
        },
      ),
    );
  });
  test('fractions add up to one, and the answer is finite', () => {
    fc.assert(
      fc.property(amount, amount, amount, amount, (carbonic, ascorbic, citric, sodium) => {
        const { ph } = solvePh({ acids: { carbonic, ascorbic, citric }, strongCharge: sodium, strongIons: sodium });
        expect(ph).toBeGreaterThan(0);
        expect(ph).toBeLessThan(15);
        expect(ionisedFractions(acidSystems.citric, ph).reduce((sum, part) => sum + part, 0)).toBeCloseTo(1, 12);
      }),
    );
  });
  test('the reference coffee brew is alkaline enough to develop, and baking soda in its place is not', () => {
    expect(REFERENCE_BREW_PH).toBeGreaterThan(9.7);
    const carbonate = 54 / 84.01;
    const { ph } = solvePh({
      acids: { carbonic: carbonate, ascorbic: 16 / 176.12, plant: 40 * 0.0011 },
      strongCharge: carbonate,
      strongIons: carbonate,
    });
    expect(ph).toBeLessThan(8);
  });
});
