import { describe, expect, test } from 'vitest';
import { demoInputs } from '@/core/testing/demoInputs';
import { initialPlanForm } from '@/core/plan/planForm';
import { Trials } from './trial';

const form = initialPlanForm({
  familyId: demoInputs.stock.familyId,
  formatId: demoInputs.roll.formatId,
  condition: demoInputs.roll.condition,
});

describe('a trial', () => {
  test('is told to those who listen, once for each change, and ends with none', () => {
    const trials = new Trials();
    const told: (number | string | undefined)[] = [];
    const leave = trials.subscribe(() => told.push(trials.current()?.form.temperatureC));
    const warm = { form: { ...form, temperatureC: 24 }, found: null };
    trials.set(warm);
    trials.set(warm);
    trials.set(null);
    leave();
    trials.set(warm);
    expect(told).toEqual([24, undefined]);
  });
});
