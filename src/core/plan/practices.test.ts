import { describe, expect, test } from 'vitest';
import { readDilution } from '../chemistry/readDilution';
import { developerFamilies } from '../chemistry/developerFamilies';
import type { Plan } from '../records/records';
import { agitationSchools, type AgitationSchoolId } from '../schedule/agitationSchools';
import { bathFormsOf } from '../schedule/bathForm';
import type { Bath } from '../schedule/baths';
import type { WetStep } from '../schedule/wetSteps';
import { demoInputs } from '../testing/demoInputs';
import { parseQuantity } from '../units/quantity';
import { changeForm } from './changeForm';
import { movementOf, runSteps } from './runSteps';
import { initialPlanForm, readPlanForm, type PlanForm } from './planForm';
import { processParts, withPart, type ProcessPart } from './wetProcess';

/*
 * Practices as people write them, from the fields of the plan to the steps at the tank. Source: common practice, no source. One of them
 * goes through the whole interface in the browser.
 */

const { roll, stock } = demoInputs;
const start = initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition });
const units = { temperature: 'C', volume: 'ml' } as const;

interface Practice {
  form: Partial<PlanForm>;
  moved: AgitationSchoolId;
  /** My time, as it is typed. */
  time: string;
  process?: [ProcessPart, string][];
  without?: Bath['kind'];
}

/** The plan and its steps, by the doors that the page takes. */
function laidOut({ form, moved, time, process = [], without }: Practice): {
  plan: Omit<Plan, 'id' | 'createdMs' | 'updatedMs' | 'rollId' | 'pinned'>;
  steps: WetStep[];
  timeMin: number;
} {
  const typed = parseQuantity(time, 'minutes', units);
  if (!typed.ok) throw new Error(typed.problems[0]?.message);
  const ownTimeMin = typed.value;
  const changed = changeForm(start, { ...form, agitationId: moved, ownTimeOn: true, ownTimeMin }, []);
  const read = readPlanForm(changed, roll, []);
  if (!read.ok) throw new Error(read.problems[0]?.message);
  const baths = process.reduce<Bath[]>((list, [part, name]) => {
    const { kind, schools } = processParts[part];
    const school = Object.values<{ name: string; baths: readonly Bath[] }>(schools).find((one) => one.name === name);
    if (school === undefined) throw new Error(`There is no “${name}”.`);
    return withPart(list, kind, school.baths);
  }, read.value.baths);
  const kept = baths.filter(({ kind }) => kind !== without);
  // What the list shows is what is read back from it.
  const again = readPlanForm({ ...changed, baths: bathFormsOf(kept) }, roll, []);
  if (!again.ok) throw new Error(again.problems[0]?.message);
  const pinned = { atMs: 0, timeMin: ownTimeMin, own: true, lowMin: 1, highMin: 300, ledger: [], evidenceIds: [] };
  return { plan: again.value, steps: runSteps(again.value, pinned), timeMin: ownTimeMin };
}

const lengths = (steps: readonly WetStep[], kind: WetStep['kind']): [string, number][] =>
  steps.filter((step) => step.kind === kind).map(({ name, durationS }) => [name, durationS]);
const turns = (steps: readonly WetStep[], kind: WetStep['kind']): (number | null)[] =>
  steps.filter((step) => step.kind === kind).flatMap(({ cues }) => cues.map((cue) => cue.turns));
const developed = (steps: readonly WetStep[]): WetStep => steps.find(({ kind }) => kind === 'develop') as WetStep;
const dilution = (text: string, family: keyof typeof developerFamilies): Partial<PlanForm> => {
  const read = readDilution(text, developerFamilies[family].referenceParts);
  if (!read.ok) throw new Error(text);
  const { concentrate, water } = read.value.parts;
  return {
    developerKind: 'concentrate',
    concentrateFamilyId: family,
    concentrateParts: concentrate,
    waterParts: water,
  };
};

describe('practices, from the plan to the tank', () => {
  test('coffee 40/16/54, 10 min, 5 turns each 30 s, three water rinses, 5-10-15-20', () => {
    const { steps, plan } = laidOut({
      form: {},
      moved: 'five-each-half-minute',
      time: '10',
      process: [
        ['stopId', 'Plain water, three changes of six turns'],
        ['washId', '4 changes: 5, 10, 15, 20 turns'],
      ],
    });
    expect(plan.ownTimeMin).toBe(10);
    expect(developed(steps).durationS).toBe(600);
    expect(developed(steps).cues.map(({ startS }) => startS)).toEqual(Array.from({ length: 20 }, (_, n) => n * 30));
    expect(new Set(developed(steps).cues.map((cue) => cue.turns))).toEqual(new Set([5]));
    expect(turns(steps, 'stop')).toEqual([6, 6, 6]);
    expect(turns(steps, 'wash')).toEqual([5, 10, 15, 20]);
  });
  test('beer at 30 °C, 15 min, water, then acid', () => {
    const { steps, plan, timeMin } = laidOut({
      form: { agentId: 'dark-beer', agentPerL: 500, temperatureC: 30, sodaGPerL: 100 },
      moved: 'ten-each-minute',
      time: '15 min',
      process: [['stopId', 'Water first, then acid']],
    });
    expect([plan.temperatureC, timeMin]).toEqual([30, 15]);
    expect(lengths(steps, 'stop').map(([name]) => name)).toEqual(['Rinse', 'Acid stop']);
  });
  test('p-aminophenol 6 + 600, a stand of an hour with one wake-up', () => {
    const { steps, plan } = laidOut({
      form: { ...dilution('6+600', 'p-aminophenol'), volumeMl: 606 },
      moved: 'stand',
      time: '1 h',
    });
    expect(developed(steps).durationS).toBe(3600);
    expect(developed(steps).cues.map(({ startS }) => startS)).toEqual([0, 1800]);
    expect(movementOf(plan).name).toBe(agitationSchools.stand.name);
    expect(plan.developer).toMatchObject({ parts: { concentrate: 6, water: 600 } });
  });
  test('a stand of 45 min, 2 min of still water, then a stop of a minute', () => {
    const { steps, timeMin } = laidOut({
      form: dilution('1+15', 'pq-liquid'),
      moved: 'stand',
      time: '45:00',
      process: [['stopId', 'Still water for 2 minutes, then acid']],
    });
    expect(timeMin).toBe(45);
    expect(lengths(steps, 'stop')).toEqual([
      ['Still water', 120],
      ['Acid stop', 60],
    ]);
  });
  test('a control without its main agent is a developer of its own name, with my time', () => {
    const { steps, plan } = laidOut({
      form: { developerKind: 'other', otherName: 'Soda and vitamin C alone' },
      moved: 'ten-each-minute',
      time: '10:00',
    });
    expect(plan.developer).toEqual({ kind: 'other', name: 'Soda and vitamin C alone' });
    expect(developed(steps).durationS).toBe(600);
  });
  test('one-bath at 24 °C, rotation, 240 s, and no bath that it does not need', () => {
    const { steps } = laidOut({
      form: { developerKind: 'one-bath', temperatureC: 24 },
      moved: 'continuous',
      time: '240 s',
      process: [
        ['washId', 'Running water, 10 min'],
        ['wettingId', 'None'],
      ],
      without: 'pre-soak',
    });
    expect(steps.map(({ name, durationS }) => [name, durationS])).toEqual([
      ['Develop and fix', 240],
      ['Wash', 600],
    ]);
    expect(developed(steps).cues).toEqual([{ startS: 0, endS: 228, turns: null }]);
  });
});
