import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { sheetFor } from '../testing/sampleBrew';
import { dissolvingHeat } from '../chemistry/heatOfSolution';
import { hotAndCold, mixedTemperature, startTemperature, WATER_J_PER_G_K } from './heatBalance';
import { bathTimeConstant, coolingTime, waitingFor } from './jugCooling';

describe('mixing waters (heat balance, worked by hand)', () => {
  test('a quarter at 60 °C and three quarters at 20 °C are 30 °C', () => {
    expect(
      mixedTemperature([
        { volumeMl: 250, temperatureC: 60 },
        { volumeMl: 750, temperatureC: 20 },
      ]),
    ).toBeCloseTo(30, 12);
    expect(hotAndCold(1000, 30, 60, 20)).toEqual({ ok: true, value: { hotMl: 250, coldMl: 750 } });
  });
  test('200 g of thiosulfate crystals cool a litre by 9.1 °C, 54 g of soda warm it by 3.3 °C (CRC Handbook, heats of solution)', () => {
    const moved = (heatJ: number) => heatJ / WATER_J_PER_G_K / 1000;
    expect(moved(dissolvingHeat([{ substanceId: 'thiosulfate', amount: 200 }]).heatJ)).toBeCloseTo(-9.1, 1);
    expect(moved(dissolvingHeat([{ substanceId: 'soda-anhydrous', amount: 54 }]).heatJ)).toBeCloseTo(3.3, 1);
  });
  test('the first water starts so warm that the jug ends where it should, whatever dissolves and tops up', () => {
    const part = fc.double({ min: 10, max: 2000, noNaN: true });
    fc.assert(
      fc.property(
        part,
        part,
        fc.double({ min: 2, max: 30, noNaN: true }),
        fc.double({ min: 15, max: 40, noNaN: true }),
        fc.double({ min: -60000, max: 60000, noNaN: true }),
        (firstMl, restMl, coldC, targetC, heatJ) => {
          const startC = startTemperature(firstMl, [{ volumeMl: restMl, temperatureC: coldC }], targetC, heatJ);
          expect(
            mixedTemperature(
              [
                { volumeMl: firstMl, temperatureC: startC },
                { volumeMl: restMl, temperatureC: coldC },
              ],
              heatJ,
            ),
          ).toBeCloseTo(targetC, 6);
        },
      ),
    );
  });
  test('what cannot be reached says from which side, and what to do', () => {
    expect(hotAndCold(1000, 50, 40, 10)).toMatchObject({
      ok: false,
      problems: [{ path: 'hotC', message: expect.stringMatching(/heat the water to 50 °C/) }],
    });
    expect(hotAndCold(1000, 8, 40, 12)).toMatchObject({
      ok: false,
      problems: [{ path: 'coldC', message: expect.stringMatching(/12.0 °C at the coldest/) }],
    });
    expect(hotAndCold(1000, 20, 12, 12)).toMatchObject({ ok: false, problems: [{ path: 'hotC' }] });
  });
});

describe('water of a batch', () => {
  test('home-made rapid fixer starts hot and under 700 ml a litre (common practice), and ends at 20 °C', () => {
    const { water, batch } = sheetFor('fixer-rapid', { bottleMl: 1000, hotC: 70, coldC: 12 });
    expect(water.plan.firstMl).toBeLessThan(700);
    expect(water.plan.firstC).toBeGreaterThan(34);
    expect(water.plan.firstC).toBeLessThan(45);
    expect((water.plan.hotMl ?? 0) + (water.plan.coldMl ?? 0)).toBeCloseTo(water.plan.firstMl, 9);
    expect(water.plan.firstMl + water.plan.lastMl).toBeCloseTo(batch.volumeMl, 9);
    expect(water.dissolvingC).toBeCloseTo(-9.1 - ((50 / 53.49) * 14.8) / 4.18, 0);
    expect(water.heatUnknown).toEqual(['Potassium metabisulfite']);
  });
  test('beer is most of the liquid, so there is little water; an infusion starts on the boil', () => {
    const { plan } = sheetFor('beer').water;
    expect(plan.firstMl + plan.lastMl).toBeCloseTo(50, 9);
    expect(sheetFor('tea').water.plan).toMatchObject({ firstMl: 250, firstC: null });
  });
  test('a concentrate has all of its water first, at the temperature wanted', () => {
    const { plan } = sheetFor('p-aminophenol', { targetC: 20 }).water;
    expect(plan.lastMl).toBe(0);
    expect(plan.firstC).toBeCloseTo(20, 0);
  });
});

describe('waiting (Newton’s law of cooling)', () => {
  test('one time constant takes 63 % of the way', () => {
    expect(coolingTime(40, 20 + 20 / Math.E, 20, 55)).toBeCloseTo(55, 9);
  });
  test('half a litre of 40 °C takes 3.4 h to the room, and a bath is quicker', () => {
    const { inAirMin, inBathMin, bathIsQuicker } = waitingFor(40, 20, 20, 500);
    expect(inAirMin).toBeCloseTo(55 * Math.log(40), 6);
    expect(inBathMin).toBeCloseTo(10 * Math.log(40), 6);
    expect(bathIsQuicker).toBe(true);
  });
  test('there already is there; a room that does not lead there never does', () => {
    expect(coolingTime(20.2, 20, 25, 55)).toBe(0);
    expect(coolingTime(15, 20, 10, 55)).toBeNull();
    expect(coolingTime(30, 20, 24, 55)).toBeNull();
    expect(waitingFor(15, 20, 10, 500)).toMatchObject({ inAirMin: null, bathIsQuicker: true });
  });
  test('larger jugs take longer, by volume over surface', () => expect(bathTimeConstant(4000)).toBeCloseTo(20, 9));
});
