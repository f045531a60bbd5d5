import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { developerFamilyIds } from '../chemistry/developerFamilies';
import { organicAgentIds } from '../chemistry/organicAgents';
import { chartSourceIds } from '../estimate/chartSources';
import { estimate } from '../estimate/estimate';
import { readingMethods } from '../estimate/evidenceSchema';
import { strategyIds } from '../estimate/strategyIds';
import { initialChartForm, readChartForm } from '../evidence/chartForm';
import { initialClipForm, readClipForm } from '../evidence/clipForm';
import { findingSchema } from '../evidence/evidenceRecord';
import { readFogForm } from '../evidence/fogForm';
import { settingRecordFor } from './settingRecordFor';
import { readHints, readStays, typedStay } from './dossierForm';
import { stayAt } from '../films/storageStay';
import { planSchema, rollSchema } from '../records/records';
import type { Problem } from '../schema/result';
import { agitationSchoolIds } from '../schedule/agitationSchools';
import { demoInputs } from '../testing/demoInputs';
import { sampleBrew } from '../testing/sampleBrew';
import { estimateRequestFor } from './estimateRequestFor';
import { initialPlanForm, planFormOf, readPlanForm, type PlanForm } from './planForm';
import { withStrategy } from './withStrategy';
import { cases } from '../testing/cases';

const { NOW, roll, stock } = demoInputs;
const film = { familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition };
const jugs = [sampleBrew(NOW - 3_600_000), sampleBrew(NOW, { id: 'fixer', use: 'fixer', developer: null })];

/** What hands leave in a number field: a sensible number, a senseless one, or words. */
const typed = (least: number, most: number): fc.Arbitrary<number | string> =>
  fc.oneof(
    { weight: 8, arbitrary: fc.double({ min: least, max: most, noNaN: true }) },
    {
      weight: 1,
      arbitrary: fc.constantFrom<number | string>(
        '',
        'much',
        '1,5,',
        -4,
        0,
        1e12,
        Number.POSITIVE_INFINITY,
        Number.NaN,
      ),
    },
  );

/** Every problem is a sentence with the field that it belongs to. */
function expectSentences(problems: readonly Problem[], fields: readonly string[]): void {
  expect(problems.length).toBeGreaterThan(0);
  for (const { path, message } of problems) {
    expect(fields).toContain(path.split(/[.[]/)[0]);
    expect(message).toMatch(/^[“A-Z0-9p].{8,}\.$/s);
  }
}

const anyPlanForm: fc.Arbitrary<PlanForm> = fc
  .record({
    developerKind: fc.constantFrom('improvised' as const, 'concentrate' as const, 'one-bath' as const, 'jug' as const),
    agentId: fc.constantFrom(...organicAgentIds),
    agentPerL: typed(1, 1000),
    ascorbicGPerL: typed(0, 40),
    sodaGPerL: typed(20, 120),
    besides: fc.record({
      agents: fc.array(
        fc.record({
          agentId: fc.constantFrom(...organicAgentIds),
          amountPerL: fc.double({ min: 1, max: 100, noNaN: true }),
        }),
        { maxLength: 2 },
      ),
      others: fc.array(
        fc.record({
          substanceId: fc.constantFrom('borax' as const, 'citric-acid' as const),
          amountPerL: fc.double({ min: 0.5, max: 8, noNaN: true }),
        }),
        { maxLength: 2 },
      ),
    }),
    concentrateFamilyId: fc.constantFrom(...developerFamilyIds),
    concentrateParts: typed(0.5, 5),
    waterParts: typed(0, 120),
    brewId: fc.constantFrom('jug', 'fixer', 'gone', ''),
    bromideGPerL: typed(0, 2),
    temperatureC: typed(12, 30),
    agitationId: fc.constantFrom(...agitationSchoolIds),
    liftCap: fc.boolean(),
    purpose: fc.constantFrom('scan' as const, 'diffusion' as const, 'condenser' as const),
    pushStops: typed(-2, 3),
    knownTimeOn: fc.boolean(),
    knownTimeMin: typed(2, 60),
    knownTimeC: typed(15, 28),
    volumeMl: typed(500, 2000),
    ambientC: fc.oneof(fc.constant(''), typed(10, 35)),
    fixMin: typed(1, 20),
  })
  .map((part) => ({ ...initialPlanForm(film), ...part }));

describe('whatever is typed into a plan', () => {
  test('it is a plan with a time and a band, or sentences at its fields', () => {
    let read = 0;
    fc.assert(
      fc.property(anyPlanForm, fc.constantFrom(...strategyIds), (form, strategyId) => {
        const chosen = withStrategy(form, strategyId, jugs);
        const answer = readPlanForm(chosen, roll, jugs);
        if (!answer.ok) return expectSentences(answer.problems, Object.keys(form));
        read += 1;
        const stored = { id: 'plan', createdMs: NOW, updatedMs: NOW, rollId: roll.id, pinned: null, ...answer.value };
        expect(planSchema.safeParse(stored).error?.issues ?? []).toEqual([]);
        const brew = jugs.find(({ id }) => id === answer.value.brewId) ?? null;
        const { timeMin, band } = estimate(estimateRequestFor(roll, stock, answer.value, brew, NOW));
        expect(timeMin).toBeGreaterThan(0);
        expect(band.lowMin).toBeLessThanOrEqual(timeMin);
        expect(band.highMin).toBeGreaterThanOrEqual(timeMin);
        // A plan that was stored opens as the form that made it.
        expect(readPlanForm(planFormOf(stored, initialPlanForm(film)), roll, jugs)).toEqual(answer);
      }),
      { numRuns: cases(80, 250) },
    );
    expect(read).toBeGreaterThan(cases(10, 40));
  });
  test('a stand and back again leaves the form as it was', () => {
    fc.assert(
      fc.property(anyPlanForm, (form) => {
        expect(withStrategy(withStrategy({ ...form, strategyId: 'hold' }, 'stand', jugs), 'hold', jugs)).toEqual({
          ...form,
          strategyId: 'hold',
        });
      }),
    );
  });
});

describe('whatever is typed into a test or a dossier', () => {
  const choices = readPlanForm(initialPlanForm(film), roll, jugs);
  if (!choices.ok) throw new Error('The first form does not read.');
  const setting = settingRecordFor(choices.value, null, NOW);
  test('readings by densities and by eye, fog and chart times: a finding or sentences', () => {
    fc.assert(
      fc.property(
        typed(1, 60),
        typed(0.05, 1),
        typed(0.1, 2),
        typed(0.5, 3.5),
        typed(2, 9),
        fc.constantFrom(...readingMethods),
        (timeMin, baseFogD, shadowD, highlightD, stopsBetween, method) => {
          const clip = readClipForm({ timeMin, method, baseFogD, shadowD, highlightD, stopsBetween });
          if (clip.ok) expect(findingSchema.safeParse(clip.value).success).toBe(true);
          else expectSentences(clip.problems, Object.keys(initialClipForm(10)));
          const fog = readFogForm({ timeMin, method, baseFogD });
          if (fog.ok) expect(findingSchema.safeParse(fog.value).success).toBe(true);
          else expectSentences(fog.problems, ['timeMin', 'method', 'baseFogD']);
        },
      ),
    );
    fc.assert(
      fc.property(
        typed(1, 60),
        typed(10, 30),
        typed(0.5, 5),
        typed(0, 100),
        fc.constantFrom('same' as const, ...developerFamilyIds),
        fc.constantFrom(...chartSourceIds),
        (timeMin, temperatureC, concentrateParts, waterParts, developer, source) => {
          const chart = readChartForm(
            { timeMin, source, temperatureC, developer, concentrateParts, waterParts },
            setting,
          );
          if (chart.ok) expect(findingSchema.safeParse(chart.value.finding).success).toBe(true);
          else expectSentences(chart.problems, Object.keys(initialChartForm()));
        },
      ),
    );
  });
  test('hints and stays: what a roll can keep, or sentences that say which line', () => {
    const anyHint = fc.record({
      kind: fc.constantFrom('stamp' as const, 'use' as const, 'story' as const),
      what: fc.constantFrom('', 'Hut', 'Camera'),
      year: typed(1900, 2026),
      slackYears: typed(0, 20),
      from: typed(1900, 2026),
      to: typed(1900, 2026),
    });
    fc.assert(
      fc.property(
        fc.array(anyHint, { maxLength: 5 }),
        fc.array(typed(1950, 2026), { maxLength: 4 }),
        typed(-20, 40),
        (hints, untils, temperatureC) => {
          const read = readHints(hints, 2026);
          if (read.ok) expect(rollSchema.shape.hints.safeParse(read.value).error?.issues ?? []).toEqual([]);
          else expectSentences(read.problems, ['hints']);
          const stays = [
            ...untils.map((untilYear) => ({ ...typedStay(stayAt('attic')), temperatureC, untilYear })),
            typedStay(stayAt('room')),
          ];
          const history = readStays(stays, 2026);
          if (history.ok) expect(rollSchema.shape.storage.safeParse(history.value).error?.issues ?? []).toEqual([]);
          else expectSentences(history.problems, ['storage', 'stays']);
        },
      ),
    );
  });
});
