import { describe, expect, test } from 'vitest';
import { estimate } from '../estimate/estimate';
import { demoInputs } from '../testing/demoInputs';
import { sampleBrew } from '../testing/sampleBrew';
import { estimateRequestFor } from './estimateRequestFor';
import type { Brew, Habit, Plan } from '../records/records';
import { readyBaths, DEVELOP } from '../schedule/baths';
import { bathFormsOf } from '../schedule/bathForm';
import { developSeconds } from './developSeconds';
import { initialPlanForm, planFormOf, readPlanForm, type PlanForm } from './planForm';
import { runSteps, stepsByKey } from './runSteps';
import { formLike, usualBaths } from './sameAgain';

const { roll, stock } = demoInputs;
const initial = initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition });
const AT = 1_760_000_000_000;

/** A plan as somebody pinned it. */
function pinned(part: Partial<PlanForm>): Plan {
  const choices = readPlanForm({ ...initial, ...part }, roll, []);
  if (!choices.ok) throw new Error(choices.problems[0]?.message);
  return {
    id: 'plan',
    createdMs: AT,
    updatedMs: AT,
    rollId: 'roll',
    ...choices.value,
    pinned: { atMs: AT, timeMin: 13, lowMin: 10, highMin: 17, ledger: [], evidenceIds: [], own: true },
  };
}

const own: Partial<PlanForm> = {
  agentPerL: 45,
  ownTimeOn: true,
  ownTimeMin: 13,
  muted: ['an old run'],
  pourClock: 'first-drop',
  pourS: 10,
  baths: bathFormsOf([DEVELOP, readyBaths['still-water'], readyBaths.fixer]),
};

describe('a new roll begins as its stock was done last', () => {
  test('with everything but the jug of then and what was switched off', () => {
    const form = formLike(
      { plan: { ...pinned(own), brewId: 'gone' }, roll: { label: 'Kitchen window' } },
      roll,
      stock,
      [],
      AT,
    );
    expect(form).toMatchObject({
      developerKind: 'improvised',
      agentPerL: 45,
      ownTimeMin: 13,
      pourS: 10,
      muted: [],
      sameAs: { label: 'Kitchen window', atMs: AT },
    });
    expect(form.baths).toEqual(own.baths);
    expect(readPlanForm(form, roll, []).ok).toBe(true);
  });
  test('in the jug of then where it is used again and still stands, with the films through it', () => {
    const oneBath = sampleBrew(AT, { developer: { kind: 'one-bath' }, volumeMl: 1000, films: 5, parts: [] });
    const plan = { ...pinned({ developerKind: 'one-bath' }), brewId: oneBath.id };
    const like = (jugs: Brew[]) => formLike({ plan, roll: { label: 'Kitchen window' } }, roll, stock, jugs, AT);
    expect(like([oneBath])).toMatchObject({ developerKind: 'jug', brewId: oneBath.id });
    const read = readPlanForm(like([oneBath]), roll, [oneBath]);
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const used = estimate(estimateRequestFor(roll, stock, read.value, oneBath, AT));
    const fresh = estimate(estimateRequestFor(roll, stock, read.value, { ...oneBath, films: 0 }, AT));
    // Fifteen seconds more for each film in a litre: common practice, no source.
    expect(used.timeMin - fresh.timeMin).toBeCloseTo(5 * 0.25, 6);
    expect(like([{ ...oneBath, spentMs: AT }])).toMatchObject({ developerKind: 'one-bath' });
  });
  test('and never in a one-shot that has had its film', () => {
    const developer = {
      kind: 'concentrate',
      familyId: 'p-aminophenol',
      parts: { concentrate: 1, water: 100 },
    } as const;
    const jug = sampleBrew(AT, { developer, films: 1, parts: [] });
    const plan = { ...pinned({ developerKind: 'concentrate', waterParts: 100 }), brewId: jug.id };
    const form = formLike({ plan, roll: { label: 'Kitchen window' } }, roll, stock, [jug], AT);
    expect(form).toMatchObject({ developerKind: 'concentrate', waterParts: 100 });
  });
  test('in a larger format the tank is filled as that one needs', () => {
    const plan = { ...pinned(own), volumeMl: 300 };
    const form = formLike({ plan, roll: { label: 'Kitchen window' } }, { ...roll, formatId: '116' }, stock, [], AT);
    expect(Number(form.volumeMl)).toBeGreaterThanOrEqual(900);
  });
  test('a usual list of baths is taken, one that is only kept is not', () => {
    const habit = (usual: boolean): Habit => ({
      id: `h${String(usual)}`,
      createdMs: AT,
      updatedMs: AT,
      kind: 'baths',
      name: 'Tap',
      baths: [DEVELOP, readyBaths.fixer],
      pourIn: { clock: 'full', seconds: 12 },
      usual,
    });
    expect(usualBaths([habit(false)])).toBeNull();
    expect(usualBaths([habit(false), habit(true)])?.baths.map(({ name }) => name)).toEqual(['Develop', 'Fix']);
  });
});

describe('what goes to the tank', () => {
  test('a time of one’s own to the second, an estimate to what a hand can do', () => {
    expect(developSeconds({ timeMin: 7.55, own: true })).toBe(453);
    expect(developSeconds({ timeMin: 7.55 })).toBe(455);
  });
  test('the first movement waits for the tank to fill where the clock starts with the first drop', () => {
    const plan = pinned(own);
    const [develop] = runSteps(plan, { ...(plan.pinned as NonNullable<Plan['pinned']>) });
    expect(develop).toMatchObject({
      durationS: 780,
      cues: expect.arrayContaining([{ startS: 10, endS: 40, turns: null }]),
    });
  });
  test('a bath that does not read yet has no step, and the others keep theirs', () => {
    const plan = pinned(own);
    const forms = planFormOf(plan, initial).baths.map((form, index) =>
      index === 1 ? { ...form, lengthMin: 'soon' } : form,
    );
    const steps = stepsByKey(forms, plan, plan.pinned as NonNullable<Plan['pinned']>);
    expect([...steps.values()].map(({ name }) => name)).toEqual(['Develop', 'Fix']);
    expect(steps.has('b1')).toBe(false);
  });
  test('a pour that is not asked for never stands in the way', () => {
    expect(readPlanForm({ ...initial, pourClock: 'full', pourS: 'a while' }, roll, []).ok).toBe(true);
    expect(readPlanForm({ ...initial, pourClock: 'first-drop', pourS: 'a while' }, roll, []).ok).toBe(false);
  });
});

describe('a developer without an estimate', () => {
  const other: Partial<PlanForm> = { developerKind: 'other', otherName: 'Soda alone' };
  const problems = (part: Partial<PlanForm>): string[] => {
    const read = readPlanForm({ ...initial, ...part }, roll, []);
    return read.ok ? [] : read.problems.map(({ path }) => path);
  };
  test('wants a name and a time of one’s own, and nothing else', () => {
    expect(problems({ ...other, otherName: ' ' })).toContain('otherName');
    expect(problems(other)).toEqual(['ownTimeMin']);
    expect(problems({ ...other, ownTimeMin: 10 })).toEqual([]);
  });
  test('comes back from its plan as it was', () => {
    const plan = pinned({ ...other, ownTimeMin: 10 });
    expect(planFormOf(plan, initial)).toMatchObject({ ...other, ownTimeOn: true, ownTimeMin: 10 });
  });
  test('a known time may have had another dilution', () => {
    const plan = pinned({
      developerKind: 'concentrate',
      knownTimeOn: true,
      knownTimeMin: 8,
      knownConcentrate: 1,
      knownWater: 25,
    });
    expect(plan.knownTime?.parts).toEqual({ concentrate: 1, water: 25 });
    expect(planFormOf(plan, initial)).toMatchObject({ knownConcentrate: 1, knownWater: 25 });
    expect(problems({ developerKind: 'concentrate', knownTimeOn: true, knownTimeMin: 8, knownWater: 25 })).toEqual([
      'knownConcentrate',
    ]);
  });
});
