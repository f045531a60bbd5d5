import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { developerFamilies, developerFamilyIds } from '../chemistry/developerFamilies';
import { organicAgentIds, organicAgents } from '../chemistry/organicAgents';
import { readDilution } from '../chemistry/readDilution';
import { spokenAmount } from '../brewing/spokenAmount';
import { demoInputs } from '../testing/demoInputs';
import { formatDuration } from '../units/duration';
import { amountToInput, inAJug, inALitre } from '../units/perLitre';
import { formatQuantity, parseQuantity, quantityToInput, type UnitChoice } from '../units/quantity';
import { developerName } from './developerName';
import { estimateRequestFor } from './estimateRequestFor';
import { initialPlanForm, readPlanForm, type PlanForm } from './planForm';
import { cases } from '../testing/cases';

const { NOW, roll, stock } = demoInputs;
const start = initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition });
const metric: UnitChoice = { temperature: 'C', volume: 'ml' };
const american: UnitChoice = { temperature: 'F', volume: 'floz' };

/** Numbers as hands type them: a tenth at the finest. */
const typed = (least: number, most: number): fc.Arbitrary<number> =>
  fc.integer({ min: least * 10, max: most * 10 }).map((tenths) => tenths / 10);

const anyForm: fc.Arbitrary<PlanForm> = fc
  .record({
    developerKind: fc.constantFrom('improvised' as const, 'concentrate' as const, 'one-bath' as const),
    agentId: fc.constantFrom(...organicAgentIds),
    agentPerL: typed(5, 200),
    ascorbicGPerL: typed(0, 40),
    sodaGPerL: typed(30, 90),
    concentrateFamilyId: fc.constantFrom(...developerFamilyIds),
    concentrateParts: fc.constant(1),
    waterParts: fc.integer({ min: 0, max: 100 }),
    temperatureC: typed(15, 28),
    volumeMl: fc.integer({ min: 500, max: 2000 }),
    knownTimeOn: fc.boolean(),
    knownTimeMin: typed(3, 40),
    amountsFor: fc.constantFrom('jug' as const, 'litre' as const),
  })
  .map((part) => ({ ...start, ...part }));

function requestOf(form: PlanForm): ReturnType<typeof estimateRequestFor> | null {
  const read = readPlanForm(form, roll, []);
  return read.ok ? estimateRequestFor(roll, stock, read.value, null, NOW) : null;
}

/** A form as its page shows it, typed again by somebody who reads it off. */
function readOff(form: PlanForm, units: UnitChoice): PlanForm {
  const shown = (value: number | string, kind: 'temperature' | 'volume' | 'minutes'): number => {
    const read = parseQuantity(quantityToInput(Number(value), kind, units), kind, units);
    if (!read.ok) throw new Error(read.problems[0]?.message);
    return read.value;
  };
  const volumeMl = Number(form.volumeMl);
  const amount = (perL: number | string, unit: 'g' | 'ml'): number => {
    const text = amountToInput(form.amountsFor === 'jug' ? inAJug(Number(perL), volumeMl) : Number(perL));
    const said = { substanceId: null, unit, kit: { spoons: 'metric' as const }, tabletMg: null, volumeMl };
    const read = spokenAmount(text, { ...said, usual: form.amountsFor });
    if (!read.ok) throw new Error(`${text}: ${read.problems[0]?.message ?? ''}`);
    return form.amountsFor === 'jug' ? inALitre(read.value.amount, volumeMl) : read.value.perL;
  };
  const dilution = readDilution(
    `${form.concentrateParts}+${form.waterParts}`,
    developerFamilies[form.concentrateFamilyId].referenceParts,
  );
  if (!dilution.ok) throw new Error(dilution.problems[0]?.message);
  return {
    ...form,
    temperatureC: shown(form.temperatureC, 'temperature'),
    volumeMl: shown(form.volumeMl, 'volume'),
    knownTimeMin: shown(form.knownTimeMin, 'minutes'),
    agentPerL: amount(form.agentPerL, organicAgents[form.agentId].unit),
    ascorbicGPerL: amount(form.ascorbicGPerL, 'g'),
    sodaGPerL: amount(form.sodaGPerL, 'g'),
    concentrateParts: dilution.value.parts.concentrate,
    waterParts: dilution.value.parts.water,
  };
}

/** Every number of two requests, to a share: what a field shows is what is sent. */
function expectSame(a: unknown, b: unknown, share: number): void {
  if (typeof a === 'number' && typeof b === 'number') {
    expect(Math.abs(a - b)).toBeLessThanOrEqual(share * Math.max(1e-3, Math.abs(a)));
    return;
  }
  if (typeof a !== 'object' || a === null || typeof b !== 'object' || b === null) {
    expect(b).toEqual(a);
    return;
  }
  expect(Object.keys(b).sort()).toEqual(Object.keys(a).sort());
  for (const [key, value] of Object.entries(a)) expectSame(value, (b as Record<string, unknown>)[key], share);
}

describe('field, sentence and request are one value', () => {
  test('what the fields show, read off and typed again, is the request that is sent', () => {
    let asked = 0;
    fc.assert(
      fc.property(anyForm, (form) => {
        const request = requestOf(form);
        if (request === null) return;
        asked += 1;
        const again = requestOf(readOff(form, metric));
        expectSame(request, again, form.amountsFor === 'jug' ? 1e-3 : 1e-9);
      }),
      { numRuns: cases(100, 300), seed: 21 },
    );
    expect(asked).toBeGreaterThan(cases(80, 100));
  });
  test('in °F and fluid ounces as near as their figures go', () => {
    fc.assert(
      fc.property(anyForm, (form) => {
        const request = requestOf(form);
        const again = requestOf(readOff({ ...form, amountsFor: 'litre' }, american));
        if (request !== null && again !== null) expectSame(request, again, 6e-4);
      }),
      { numRuns: 200, seed: 22 },
    );
  });
  test('the sentence beside the time names the developer, its strength and its temperature as they are asked', () => {
    fc.assert(
      fc.property(anyForm, (form) => {
        const request = requestOf(form);
        if (request === null) return;
        const { developer } = request;
        const name = developerName(developer);
        const celsius = parseQuantity(
          formatQuantity(request.temperatureC, 'temperature', metric),
          'temperature',
          metric,
        );
        expect(celsius.ok && Math.abs(celsius.value - request.temperatureC)).toBeLessThanOrEqual(0.051);
        if (developer.kind === 'concentrate') {
          const { referenceParts } = developerFamilies[developer.familyId];
          const written = name.endsWith('undiluted') ? 'undiluted' : (/(\S+\+\S+)$/.exec(name)?.[1] ?? '');
          const read = readDilution(written, referenceParts);
          expect(read.ok && read.value.parts).toEqual(developer.parts);
        }
        if (developer.kind === 'improvised') {
          const [agent] = developer.agents;
          const figures = /, ([\d.]+) (?:g|ml)\/l$/.exec(name)?.[1] ?? '';
          expect(Math.abs(Number(figures) - (agent?.amountPerL ?? 0))).toBeLessThanOrEqual(0.051);
        }
        if (request.knownTime !== undefined) {
          const minutes = parseQuantity(formatDuration(request.knownTime.timeMin * 60), 'minutes', metric);
          expect(minutes.ok && Math.abs(minutes.value - request.knownTime.timeMin)).toBeLessThanOrEqual(
            0.5 / 60 + 1e-9,
          );
        }
      }),
      { numRuns: cases(100, 300), seed: 23 },
    );
  });
});
