import { describe, expect, test } from 'vitest';
import { estimate } from '../estimate/estimate';
import { demoInputs } from '../testing/demoInputs';
import { estimateRequestFor } from './estimateRequestFor';
import { initialPlanForm, readPlanForm, type PlanForm } from './planForm';
import { takeAdvice } from './takeAdvice';

const { NOW, roll, stock } = demoInputs;

describe('advice in the next plan', () => {
  const form: PlanForm = {
    ...initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition }),
    pushStops: 0.5,
    bromideGPerL: 0.2,
  };
  const timeOf = (part: Partial<PlanForm>): number => {
    const read = readPlanForm({ ...form, ...part }, roll, []);
    if (!read.ok) throw new Error(read.problems[0]?.message);
    return estimate(estimateRequestFor(roll, stock, read.value, null, NOW)).timeMin;
  };
  test('a push adds to what is there, up to two stops', () => {
    expect(takeAdvice(form, { kind: 'push', stops: 0.5 }, [])).toEqual({ pushStops: 1 });
    expect(takeAdvice({ ...form, pushStops: 2 }, { kind: 'push', stops: 0.5 }, [])).toEqual({ pushStops: 2 });
    expect(takeAdvice({ ...form, pushStops: 'half' }, { kind: 'push', stops: -0.5 }, [])).toEqual({ pushStops: -0.5 });
  });
  test('bromide never goes down', () => {
    expect(takeAdvice(form, { kind: 'bromide', gPerL: 0.5 }, [])).toEqual({ bromideGPerL: 0.5 });
    expect(takeAdvice({ ...form, bromideGPerL: 1 }, { kind: 'bromide', gPerL: 0.5 }, [])).toEqual({ bromideGPerL: 1 });
  });
  test('a movement takes the place of one’s own', () => {
    expect(takeAdvice(form, { kind: 'movement', agitationId: 'gentle' }, [])).toEqual({
      agitationId: 'gentle',
      movement: null,
    });
  });
  test('a strategy brings what belongs to it: a stand stands, in a thin brew, and Hold is as short as it was', () => {
    const stand = takeAdvice(form, { kind: 'strategy', id: 'stand' }, []);
    expect(stand).toMatchObject({ strategyId: 'stand', agitationId: 'stand', agentPerL: 13.3 });
    expect(timeOf(stand)).toBeGreaterThanOrEqual(45);
    const back = takeAdvice({ ...form, ...stand }, { kind: 'strategy', id: 'hold' }, []);
    expect(timeOf(back)).toBeCloseTo(timeOf({ strategyId: 'hold' }), 9);
  });
});
