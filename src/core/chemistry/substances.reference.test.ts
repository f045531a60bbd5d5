import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { compositionOf, phOf } from '../brewing/composition';
import { inSpoons, spoonsToG } from '../brewing/spoons';
import { sampleParts } from '../testing/sampleParts';
import { afterFizz, sodaEatenByTablets, tabletContents, tabletsFor } from './ascorbicForms';
import { dissolvingHeat } from './heatOfSolution';
import { molarMass } from './molarMass';
import { organicAgentIds } from './organicAgents';
import { acidSystems } from './ph/acidSystems';
import { davies } from './ph/davies';
import { bakingSodaForOven, ovenSoda, sameCarbonate, sodaFormIds, sodaForms } from './sodas';
import { leastWaterMl } from './solubility';
import { molesIn, substanceByName, substanceIds, substanceOf, type SubstanceId } from './substances';

describe('molar masses (CRC Handbook, physical constants of inorganic and organic compounds)', () => {
  test.each([
    ['Na2CO3', 105.989],
    ['Na2CO3·H2O', 124.005],
    ['Na2CO3·10H2O', 286.142],
    ['NaHCO3', 84.007],
    ['C6H8O6', 176.124],
    ['C6H8O7', 192.124],
    ['Na2B4O7·10H2O', 381.372],
    ['Na2SO3', 126.043],
    ['K2S2O5', 222.324],
    ['Na2S2O3·5H2O', 248.184],
    ['NH4Cl', 53.491],
    ['KBr', 119.002],
    ['NaOH', 39.997],
    ['(NH4)2S2O3', 148.205],
  ])('%s', (formula, massG) => expect(Math.abs(molarMass(formula) - massG)).toBeLessThan(1e-4 * massG));
  test('what is no formula is a programmer’s error', () => {
    expect(() => molarMass('Xx2')).toThrow(/Xx/);
    expect(() => molarMass('2-3')).toThrow(/does not read/);
  });
});

describe('which soda (from atomic masses)', () => {
  test('crystals need 2.70 times the mass, the monohydrate 1.17 times', () => {
    expect(sameCarbonate(54, 'anhydrous', 'crystals') / 54).toBeCloseTo(2.7, 2);
    expect(sameCarbonate(54, 'anhydrous', 'monohydrate') / 54).toBeCloseTo(1.17, 2);
  });
  test('baking soda out of the oven weighs 0.631 of what went in; both ways round', () => {
    expect(ovenSoda(100)).toBeCloseTo(63.1, 1);
    expect(bakingSodaForOven(ovenSoda(37))).toBeCloseTo(37, 10);
  });
  test('every exchange keeps the moles of carbonate, there and back', () => {
    const form = fc.constantFrom('anhydrous' as const, 'monohydrate' as const, 'crystals' as const);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1000, noNaN: true }), form, form, (massG, from, to) => {
        const other = sameCarbonate(massG, from, to);
        expect(molesIn(sodaForms[to].substanceId, other)).toBeCloseTo(molesIn(sodaForms[from].substanceId, massG), 9);
        expect(sameCarbonate(other, to, from)).toBeCloseTo(massG, 9);
      }),
    );
  });
  test('each look-alike says how it is told from the others', () => {
    for (const id of sodaFormIds) expect(sodaForms[id].tell.length).toBeGreaterThan(30);
  });
});

describe('enthalpies of solution', () => {
  // Source: NBS Tables of Chemical Thermodynamic Properties (Wagman et al. 1982), enthalpies of formation at 25 °C, kJ/mol, from
  // memory: ions in water less the solid. They were not used for the table, which follows the CRC Handbook.
  const sodium = -240.12;
  const water = -285.83;
  test.each<[SubstanceId, number, number]>([
    ['soda-anhydrous', 2 * sodium - 677.14 + 1130.68, 0.2],
    ['soda-crystals', 2 * sodium - 677.14 + 10 * water + 4081.32, 3],
    ['baking-soda', sodium - 691.99 + 950.81, 0.2],
    ['hydroxide', sodium - 229.994 + 425.61, 0.2],
    ['thiosulfate', 2 * sodium - 652.3 + 5 * water + 2607.93, 3],
    ['ammonium-chloride', -132.51 - 167.159 + 314.43, 0.2],
    ['bromide', -252.38 - 121.55 + 393.8, 0.2],
    ['salt', sodium - 167.159 + 411.15, 0.2],
  ])('%s', (id, expected, within) =>
    expect(Math.abs((substanceOf(id).heatKJPerMol ?? 0) - expected)).toBeLessThan(within),
  );

  test('54 g of soda free 13.6 kJ; 200 g of thiosulfate take 38.2 kJ (worked by hand)', () => {
    expect(dissolvingHeat([{ substanceId: 'soda-anhydrous', amount: 54 }]).heatJ).toBeCloseTo(
      (54 / 105.988) * 26700,
      0,
    );
    expect(dissolvingHeat([{ substanceId: 'thiosulfate', amount: 200 }]).heatJ / 1000).toBeCloseTo(-38.2, 1);
  });
  test('what has no tabulated heat is named, coffee is not', () => {
    expect(
      dissolvingHeat([
        { substanceId: 'citric-acid', amount: 15 },
        { substanceId: 'instant-coffee', amount: 40 },
      ]).unknown,
    ).toEqual(['citric-acid']);
  });
});

describe('level spoons', () => {
  test('50 g of ammonium chloride are 4 tablespoons and half a teaspoon; 10 g of metabisulfite 2 teaspoons (common practice)', () => {
    expect(inSpoons('ammonium-chloride', 50, 'us')).toMatchObject({ tablespoons: 4, teaspoons: 0.5 });
    expect(spoonsToG('ammonium-chloride', { tablespoons: 4, teaspoons: 0.5 }, 'us')).toBeCloseTo(50, 0);
    expect(inSpoons('metabisulfite', 10, 'us')).toMatchObject({ tablespoons: 0, teaspoons: 2 });
    expect(spoonsToG('metabisulfite', { tablespoons: 0, teaspoons: 2 }, 'us')).toBeCloseTo(10, 9);
  });
  // Source: USDA FoodData Central, SR Legacy, household measures, from memory: baking soda 4.6 g, table salt 6.0 g, instant
  // coffee powder 1.0 g a teaspoon.
  test('a teaspoon of baking soda is 4.6 g, and instant coffee lies between what people weigh, 1.6 g, and what the spoon recipe means, 2.2 g', () => {
    expect(spoonsToG('baking-soda', { tablespoons: 0, teaspoons: 1 }, 'us')).toBeCloseTo(4.6, 9);
    const coffee = substanceOf('instant-coffee').teaspoon;
    // Common practice, no source: 18 spoons of coffee, 3 of ascorbic acid, 12 of soda make the 54/16/40 brew.
    expect(coffee?.massG).toBeCloseTo(Math.sqrt(1.6 * 2.2), 9);
    for (const massG of [1.2, 1.6, 40 / 18, 2.9])
      expect(Math.abs(Math.log(massG / (coffee?.massG ?? 1)))).toBeLessThan(1.7 * (coffee?.lnSd ?? 0));
  });
  test('an Australian tablespoon holds four teaspoons, a metric one three', () => {
    const one = (set: 'metric' | 'australian') => spoonsToG('citric-acid', { tablespoons: 1, teaspoons: 0 }, set);
    expect((one('australian') ?? 0) / (one('metric') ?? 1)).toBeCloseTo(20 / 15, 9);
  });
  test('what spoons say they hold is what they hold, within an eighth of a teaspoon of the wish', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<SubstanceId>('soda-anhydrous', 'ascorbic-acid', 'bromide', 'instant-coffee'),
        fc.double({ min: 0, max: 200, noNaN: true }),
        (id, massG) => {
          const spoons = inSpoons(id, massG, 'metric');
          if (spoons === null) throw new Error('no spoon');
          expect(spoonsToG(id, spoons, 'metric')).toBeCloseTo(spoons.massG, 9);
          const perTeaspoon = spoonsToG(id, { tablespoons: 0, teaspoons: 1 }, 'metric') ?? 0;
          expect(Math.abs(spoons.massG - massG)).toBeLessThanOrEqual(perTeaspoon / 8 + 1e-6);
          expect(spoons.teaspoons).toBeLessThan(3);
        },
      ),
    );
  });
  test('a spoon of instant coffee weighs what its filling gives: 1.0, 1.8 and 2.2 g (common practice)', () => {
    const grams = (fill: 'level' | 'rounded' | 'heaped') => inSpoons('instant-coffee', 20, 'us', fill)?.teaspoons ?? 0;
    const spoonsOf = (fill: 'level' | 'rounded' | 'heaped') =>
      (inSpoons('instant-coffee', 20, 'us', fill)?.tablespoons ?? 0) * 3 + grams(fill);
    expect(spoonsOf('level')).toBeCloseTo(20 / 1.0, 0);
    expect(spoonsOf('rounded')).toBeCloseTo(20 / 1.8, 0);
    expect(spoonsOf('heaped')).toBeCloseTo(20 / 2.2, 0);
    expect(inSpoons('instant-coffee', 20, 'us')?.lnSd).toBeGreaterThan(
      inSpoons('instant-coffee', 20, 'us', 'level')?.lnSd ?? 1,
    );
  });
  test('ascorbic and erythorbic acid lie between 4.5 and 5.3 g a teaspoon (common practice)', () => {
    for (const id of ['ascorbic-acid', 'erythorbic-acid'] as const) {
      const massG = substanceOf(id).teaspoon?.massG ?? 0;
      expect(massG).toBeGreaterThanOrEqual(4.5);
      expect(massG).toBeLessThanOrEqual(5.3);
    }
  });
  test('a teaspoon that its owner has weighed goes before the tables, and is surer', () => {
    const own = { 'soda-anhydrous': 6.2 };
    expect(spoonsToG('soda-anhydrous', { tablespoons: 0, teaspoons: 3 }, 'us', undefined, own)).toBeCloseTo(18.6, 9);
    const [mine, tabulated] = [own, {}].map((found) => inSpoons('soda-anhydrous', 30, 'us', undefined, found));
    expect(mine?.lnSd).toBeLessThan(tabulated?.lnSd ?? 0);
    expect(spoonsToG('citric-acid', { tablespoons: 0, teaspoons: 1 }, 'us', undefined, own)).toBe(
      spoonsToG('citric-acid', { tablespoons: 0, teaspoons: 1 }, 'us'),
    );
  });
  test('nobody spoons a concentrate or lye', () => expect(inSpoons('hydroxide', 3, 'us')).toBeNull());
});

describe('tablets', () => {
  const tablet = { activeMg: 1000, massG: 4.5 };
  test('the masses add up to the tablets', () => {
    const { ascorbicG, citricG, bicarbonateG, restG } = tabletContents(8, tablet, true);
    expect(ascorbicG).toBe(8);
    expect(ascorbicG + citricG + bicarbonateG + restG).toBeCloseTo(36, 12);
    expect(tabletContents(8, tablet, false)).toMatchObject({ ascorbicG: 8, citricG: 0, bicarbonateG: 0 });
  });
  test('halves are the finest', () => {
    expect(tabletsFor(8, tablet)).toBe(8);
    expect(tabletsFor(8.3, { activeMg: 1000, massG: 1.2 })).toBe(8.5);
  });
  test('in the glass three protons of citric acid drive out three bicarbonates; sodium stays', () => {
    const contents = { ascorbicG: 0, citricG: 19.2124, bicarbonateG: 4 * 8.4007, restG: 0 };
    expect(afterFizz(contents).sodiumMol).toBeCloseTo(0.4, 4);
    expect(afterFizz(contents).carbonateMol).toBeCloseTo(0.1, 4);
    expect(sodaEatenByTablets({ ...contents, bicarbonateG: 0 })).toBeCloseTo(0.3 * 105.988, 3);
  });
  test('effervescent tablets leave less alkali than powder, and never more sodium than they brought', () => {
    const powder = phOf(
      compositionOf(
        sampleParts([
          ['soda-anhydrous', 27],
          ['ascorbic-acid', 8],
          ['instant-coffee', 20],
        ]),
        500,
      ),
    );
    const [soda, , coffee] = sampleParts([
      ['soda-anhydrous', 27],
      ['ascorbic-acid', 8],
      ['instant-coffee', 20],
    ]);
    if (soda === undefined || coffee === undefined) throw new Error('lost');
    const fizzing = {
      ...coffee,
      key: 'tablets',
      unit: 'tablets' as const,
      target: 8,
      makeup: { kind: 'tablets' as const, ...tablet, effervescent: true },
    };
    const tablets = compositionOf([soda, fizzing, coffee], 500);
    expect(tablets.ascorbicGPerL).toBeCloseTo(16, 9);
    expect(phOf(tablets)?.ph ?? 99).toBeLessThan(powder?.ph ?? 0);
  });
});

describe('titration of ascorbic acid with soda, worked by hand: each mole of soda takes up one proton of the acid', () => {
  // Ascorbic acid 0.05 mol/l, whose first proton is gone once there is as much soda; what is left is a carbonate buffer.
  const ascorbicG = 0.05 * 176.124;
  const at = (moles: number) =>
    phOf(
      compositionOf(
        sampleParts([
          ['ascorbic-acid', ascorbicG],
          ['soda-anhydrous', moles * 105.988],
        ]),
        1000,
      ),
    ) ?? { ph: 0, ionicStrength: 0 };
  const [, pK2 = 0] = acidSystems.carbonic.pKas;
  test('a quarter of a mole a mole, half neutralised: at the acid’s own pKa', () => {
    const { ph, ionicStrength } = at(0.0125);
    expect(ph).toBeCloseTo(4.1 - davies(ionicStrength), 1);
  });
  test('two moles a mole: as much carbonate as bicarbonate, at the second pKa of carbonic acid', () => {
    const { ph, ionicStrength } = at(0.1);
    expect(Math.abs(ph - (pK2 - 3 * davies(ionicStrength)))).toBeLessThan(0.05);
  });
  test('three moles a mole: twice as much, 0.30 above it', () => {
    const { ph, ionicStrength } = at(0.15);
    expect(Math.abs(ph - (pK2 - 3 * davies(ionicStrength) + Math.log10(2)))).toBeLessThan(0.06);
  });
});

describe('pH standards through the recipe’s own way (NIST/IUPAC, 25 °C; see ph.reference.test.ts)', () => {
  const kgPerL = 0.99705;
  test('0.025 m baking soda and washing soda: 10.012', () => {
    const parts = sampleParts([
      ['baking-soda', 0.025 * kgPerL * 84.007],
      ['soda-anhydrous', 0.025 * kgPerL * 105.988],
    ]);
    expect(Math.abs((phOf(compositionOf(parts, 1000))?.ph ?? 0) - 10.012)).toBeLessThan(0.03);
  });
  test('0.01 m borax: 9.180', () => {
    const parts = sampleParts([['borax', 0.01 * kgPerL * 381.372]]);
    expect(Math.abs((phOf(compositionOf(parts, 1000))?.ph ?? 0) - 9.18)).toBeLessThan(0.03);
  });
});

describe('the table of substances', () => {
  test('every organic agent is a substance of the same id and name', () => {
    for (const id of organicAgentIds) expect(substanceOf(id).agentId).toBe(id);
  });
  test('a mixture has no molar mass, and what takes part in pH has one', () => {
    for (const id of substanceIds) {
      const { formula, molarMassG, dissolved } = substanceOf(id);
      expect(molarMassG === null).toBe(formula === null);
      if (dissolved !== null) expect(molarMassG).not.toBeNull();
    }
  });
  test('salts are neutral: the charge of strong ions is carried by acids that can give it', () => {
    for (const id of substanceIds) {
      const { dissolved } = substanceOf(id);
      if (dissolved === null || id === 'hydroxide') continue;
      const most = Object.entries(dissolved.acids).reduce((sum, [acid, moles]) => {
        const { pKas, chargeProtonated } = acidSystems[acid as keyof typeof acidSystems];
        return sum + moles * (pKas.length - chargeProtonated);
      }, 0);
      expect(dissolved.strongCharge, id).toBeLessThanOrEqual(most);
    }
  });
  test('names are found as people write them, and no name means two things', () => {
    expect(substanceByName(' soda ash ')).toBe('soda-anhydrous');
    expect(substanceByName('Vitamin C')).toBe('ascorbic-acid');
    expect(substanceByName('moon dust')).toBeNull();
    const names = substanceIds.flatMap((id) => [substanceOf(id).name.toLowerCase(), ...substanceOf(id).alsoCalled]);
    expect(new Set(names).size).toBe(names.length);
  });
  test('40 g of washing soda want 186 ml', () => expect(leastWaterMl('soda-anhydrous', 40)).toBeCloseTo(186, 0));
});
