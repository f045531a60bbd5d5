import { describe, expect, test } from 'vitest';
import { estimate } from '../estimate/estimate';
import { soundCondition } from '../films/conditionFacts';
import { stayAt } from '../films/storageStay';
import type { Roll, Stock } from '../records/records';
import { sheetFor } from '../testing/sampleBrew';
import { brewTrial } from './brewTrial';
import { initialPlanForm } from './planForm';

const NOW = Date.UTC(2026, 10, 25, 9);
const stamps = { createdMs: NOW, updatedMs: NOW };
const roll: Roll = {
  ...stamps,
  id: 'tin',
  label: 'Tin',
  stockId: 'stock',
  formatId: '120',
  hints: [{ kind: 'stamp', year: 1971, slackYears: 3 }],
  storage: [stayAt('room')],
  xrayPasses: 0,
  condition: soundCondition,
  frames: [],
  exposure: { state: 'known', year: null, index: null },
  note: '',
};
const stock: Stock = {
  ...stamps,
  id: 'stock',
  name: 'Larkholm Pan 200',
  familyId: 'pan-cubic-fast',
  iso: 200,
  own: {},
};
const found = { roll, stock, plan: undefined, planDraft: undefined };
const timeOf = (...sheet: Parameters<typeof sheetFor>): number => {
  const trial = brewTrial(found, sheetFor(...sheet), NOW);
  if (trial === null) throw new Error('no trial');
  return estimate(trial.request).timeMin;
};

describe('a brew tried for a roll', () => {
  test('the standard coffee is the plan’s own standard coffee; half of the coffee takes longer; spoons widen the band', () => {
    const standard = timeOf('coffee-standard');
    expect(timeOf('coffee-stand')).toBeGreaterThan(1.5 * standard);
    const width = (measureBy: 'scale' | 'spoons'): number => {
      const trial = brewTrial(found, sheetFor('coffee-standard', { measureBy }), NOW);
      const { band } = estimate(trial?.request ?? ({} as never));
      return band.highMin / band.lowMin;
    };
    expect(width('spoons')).toBeGreaterThan(1.04 * width('scale'));
  });
  test('the plan’s temperature gives way to the sheet’s, its target does not', () => {
    const planDraft = {
      ...initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition }),
      temperatureC: 24,
      pushStops: 1,
      agentPerL: 'half typed',
    };
    const trial = brewTrial({ ...found, planDraft }, sheetFor('coffee-standard', { targetC: 18 }), NOW);
    expect(trial?.request).toMatchObject({
      temperatureC: 18,
      target: { pushStops: 1 },
      developer: { kind: 'improvised' },
    });
  });
  test('it says what the roll’s own plan has otherwise', () => {
    const plan = initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition });
    const planned = (targetC: number, planDraft: unknown) =>
      brewTrial({ ...found, planDraft }, sheetFor('coffee-standard', { targetC }), NOW)?.planned;
    expect(planned(20, plan)).toEqual({ otherDeveloper: false, temperatureC: null });
    expect(planned(18, plan)).toEqual({ otherDeveloper: false, temperatureC: 20 });
    expect(planned(20, { ...plan, agentPerL: 20 })).toEqual({ otherDeveloper: true, temperatureC: null });
  });
  test('a thimbleful gets its time all the same', () =>
    expect(timeOf('coffee-standard', { bottleMl: 20 })).toBeGreaterThan(5));
  test('what develops no film gets none: a bath, the control, a brew without alkali, boiling water', () => {
    for (const id of ['fixer-rapid', 'control', 'coffee-print'] as const)
      expect(brewTrial(found, sheetFor(id), NOW)).toBeNull();
    expect(brewTrial(found, sheetFor('coffee-standard', { sodaForm: 'baking' }), NOW)).toBeNull();
    expect(brewTrial(found, sheetFor('coffee-standard', { targetC: 55 }), NOW)).toBeNull();
  });
});
