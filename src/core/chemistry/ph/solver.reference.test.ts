import fc from 'fast-check';
import { evaluate } from 'mathjs';
import { describe, expect, test } from 'vitest';
import { acidSystemIds, acidSystems, PK_WATER, type AcidSystemId } from './acidSystems';
import { davies } from './davies';
import { solvePh, type Solution } from './solvePh';
import { cases } from '../../testing/cases';

/**
 * The same balance, written out species by species and searched by plain halving: slow, without brackets kept between rounds,
 * without false position. It shares only the constants and the Davies relation with the solver.
 */
function naivePh({ acids, strongCharge, strongIons }: Solution): { ph: number; residual: (ph: number) => number } {
  const present = acidSystemIds.flatMap((id) =>
    (acids[id] ?? 0) > 0
      ? [{ ...(acidSystems[id] as { pKas: readonly number[]; chargeProtonated: number }), total: acids[id] ?? 0 }]
      : [],
  );
  const speciesAt = (ph: number, activity: number): { charge: number; amount: number }[] => {
    const gamma = (charge: number): number => 10 ** (-activity * charge * charge);
    const hydrogen = 10 ** -ph;
    const list = [
      { charge: 1, amount: hydrogen / gamma(1) },
      { charge: -1, amount: 10 ** -PK_WATER / hydrogen / gamma(1) },
    ];
    for (const { pKas, chargeProtonated, total } of present) {
      // a(H)·[next]·γ(next) / ([this]·γ(this)) = Ka, from the fully protonated form down.
      const relative = [1];
      pKas.forEach((pKa, step) => {
        const charge = chargeProtonated - step;
        relative.push(((relative[step] ?? 0) * 10 ** -pKa * gamma(charge)) / (hydrogen * gamma(charge - 1)));
      });
      const sum = relative.reduce((before, one) => before + one, 0);
      relative.forEach((one, step) => list.push({ charge: chargeProtonated - step, amount: (total * one) / sum }));
    }
    return list;
  };
  let ionicStrength = strongIons / 2;
  let ph = 7;
  let activity = 0;
  for (let round = 0; round < 200; round++) {
    activity = davies(ionicStrength);
    let [low, high] = [-1, 15];
    for (let step = 0; step < 60; step++) {
      ph = (low + high) / 2;
      const charge = strongCharge + speciesAt(ph, activity).reduce((sum, one) => sum + one.charge * one.amount, 0);
      if (charge > 0) low = ph;
      else high = ph;
    }
    ionicStrength =
      strongIons / 2 + speciesAt(ph, activity).reduce((sum, one) => sum + one.charge ** 2 * one.amount, 0) / 2;
  }
  return {
    ph,
    residual: (at) => strongCharge + speciesAt(at, activity).reduce((sum, one) => sum + one.charge * one.amount, 0),
  };
}

const amount = fc.double({ min: 0, max: 0.6, noNaN: true });
const anySolution: fc.Arbitrary<Solution> = fc
  .record({
    ids: fc.uniqueArray(fc.constantFrom(...acidSystemIds), { minLength: 1, maxLength: 4 }),
    totals: fc.array(fc.double({ min: 0.001, max: 0.6, noNaN: true }), { minLength: 4, maxLength: 4 }),
    sodium: amount,
    chloride: amount,
  })
  .map(({ ids, totals, sodium, chloride }) => ({
    acids: Object.fromEntries(ids.map((id, at) => [id, totals[at] ?? 0.1])) as Partial<Record<AcidSystemId, number>>,
    strongCharge: sodium - chloride,
    strongIons: sodium + chloride,
  }));

describe('the solver against the balance written out anew', () => {
  test('any mixture of acids and salts, to a ten-thousandth of a pH', () => {
    fc.assert(
      fc.property(anySolution, (solution) => {
        expect(solvePh(solution).ph).toBeCloseTo(naivePh(solution).ph, 4);
      }),
      { numRuns: cases(20, 60) },
    );
  });
  test('the charges of the answer cancel', () => {
    fc.assert(
      fc.property(anySolution, (solution) => {
        const { residual } = naivePh(solution);
        const { ph } = solvePh(solution);
        expect(residual(ph - 1e-3)).toBeGreaterThan(0);
        expect(residual(ph + 1e-3)).toBeLessThan(0);
      }),
      { numRuns: cases(20, 60) },
    );
  });
});

describe('the solver against closed forms, by mathjs', () => {
  test('a weak acid alone: the quadratic for [H], with its own activities', () => {
    for (const total of [0.001, 0.01, 0.1]) {
      const { ph, ionicStrength } = solvePh({ acids: { acetic: total }, strongCharge: 0, strongIons: 0 });
      // [H]² + K'·[H] − K'·C = 0 with K' = Ka/γ², and a(H) = γ·[H].
      const k = 10 ** (-4.76 + 2 * davies(ionicStrength));
      const hydrogen = Number(evaluate('(-k + sqrt(k^2 + 4 * k * c)) / 2', { k, c: total }));
      expect(ph).toBeCloseTo(-Math.log10(hydrogen) + davies(ionicStrength), 3);
    }
  });
  test('a buffer: Henderson and Hasselbalch with the activity of the anion', () => {
    for (const [acid, base] of [
      [0.05, 0.05],
      [0.1, 0.02],
      [0.02, 0.1],
    ] as const) {
      const { ph, ionicStrength } = solvePh({ acids: { acetic: acid + base }, strongCharge: base, strongIons: base });
      const expected = Number(evaluate('4.76 + log10(b / a) - g', { a: acid, b: base, g: davies(ionicStrength) }));
      expect(ph).toBeCloseTo(expected, 2);
    }
  });
  test('ammonia in water and its salt stand at the mean of what they are made of', () => {
    const { ph, ionicStrength } = solvePh({ acids: { ammonium: 0.1 }, strongCharge: -0.05, strongIons: 0.05 });
    expect(ph).toBeCloseTo(9.25 + davies(ionicStrength), 2);
  });
});
