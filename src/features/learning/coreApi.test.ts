import { beforeAll, describe, expect, test } from 'vitest';
import { judgedRun } from '@/core/run/judgedRun';
import type { Records, Stock } from '@/core/records/records';
import { noRecords } from '@/core/records/tables';
import { estimateRequestFor } from '@/core/plan/estimateRequestFor';
import { readPlanForm } from '@/core/plan/planForm';
import { currentPlanForm } from '@/core/plan/planInHand';
import { demoRecords } from '@/data/demo/demoRecords';
import { coreApi } from '@/workers/coreApi';

const NOW = Date.UTC(2026, 10, 24, 9);
const YEAR = 2026;
const records = demoRecords(NOW);

/** Tells the worker all of some records, in the place of what it knew. */
function learn({ stocks, rolls, runs, verdicts, evidence }: Records): void {
  const gone = { rolls: records.rolls, runs: records.runs, tests: records.evidence };
  const ids = (list: readonly { id: string }[]): string[] => list.map(({ id }) => id);
  coreApi.learn(
    {
      films: rolls.map((roll) => ({ roll, stock: stocks.find(({ id }) => id === roll.stockId) as Stock })),
      runs: verdicts.flatMap((verdict) => {
        const run = runs.find(({ id }) => id === verdict.runId);
        return (run === undefined ? null : judgedRun(run, verdict)) ?? [];
      }),
      tests: evidence,
      gone:
        rolls.length > 0
          ? { rolls: [], runs: [], tests: [] }
          : { rolls: ids(gone.rolls), runs: ids(gone.runs), tests: ids(gone.tests) },
    },
    YEAR,
    true,
  );
}

/** What the page of a demo roll asks for when it opens. */
function asked(rollId: string) {
  const roll = records.rolls.find(({ id }) => id === rollId);
  const stock = records.stocks.find(({ id }) => id === roll?.stockId);
  if (roll === undefined || stock === undefined) throw new Error(`There is no ${rollId}.`);
  const choices = readPlanForm(currentPlanForm(roll, stock, undefined, undefined), roll, records.brews);
  if (!choices.ok) throw new Error(choices.problems.map(({ message }) => message).join(' '));
  return { roll, stock, choices: choices.value, request: estimateRequestFor(roll, stock, choices.value, null, NOW) };
}

const width = ({ lowMin, highMin }: { lowMin: number; highMin: number }): number => Math.log(highMin / lowMin);

describe('what pages ask of the worker, on the demo bench', () => {
  const { request } = asked('tin-3');
  beforeAll(() => learn(records));

  test('what the bench has learned narrows the band, and is listed, nearest first', () => {
    const learned = coreApi.analysis(request, []);
    learn(noRecords());
    const blank = coreApi.analysis(request, []);
    learn(records);
    expect(blank.listed).toEqual([]);
    expect(learned.listed.length).toBeGreaterThan(5);
    expect(width(learned.estimate.band)).toBeLessThan(0.8 * width(blank.estimate.band));
    expect(learned.effects.map(({ pieceId }) => pieceId).sort()).toEqual(
      learned.listed.map(({ evidence }) => evidence.id).sort(),
    );
  });
  test('with every piece switched off it is the prior again', () => {
    const muted = records.verdicts.map(({ id }) => id).concat(records.evidence.map(({ id }) => id));
    const off = coreApi.analysis(request, muted).estimate;
    learn(noRecords());
    const blank = coreApi.analysis(request, []).estimate;
    learn(records);
    expect(off.timeMin).toBeCloseTo(blank.timeMin, 6);
    expect(off.lnSd).toBeCloseTo(blank.lnSd, 6);
  });
  test('a preview is the analysis’s estimate and curve, without the rest', () => {
    const { estimate, curve, marks } = coreApi.analysis(request, []);
    expect(coreApi.estimatePreview(request, [])).toMatchObject({ estimate, curve, marks });
  });
  test('the same question has the same answer, whatever was asked in between', () => {
    const first = coreApi.analysis(request, []);
    for (let temperatureC = 16; temperatureC < 30; temperatureC++)
      coreApi.estimatePreview({ ...request, temperatureC }, []);
    for (const { id } of records.verdicts) coreApi.estimatePreview(request, [id]);
    expect(coreApi.analysis(request, [])).toEqual(first);
  });
  test('the bench shows what is pinned, and else the time that the roll’s own page shows', () => {
    const kinds = new Set<boolean>();
    for (const roll of records.rolls) {
      const stock = records.stocks.find(({ id }) => id === roll.stockId);
      const plan = records.plans.find(({ rollId }) => rollId === roll.id);
      if (stock === undefined) throw new Error('A roll without a film.');
      const choices = readPlanForm(currentPlanForm(roll, stock, plan, undefined, NOW), roll, records.brews);
      const [bench] = coreApi.benchTimes([{ roll, stock, plan, planDraft: undefined }], records.brews, NOW);
      if (bench === undefined || !choices.ok) {
        expect([bench, choices.ok], roll.id).toEqual([undefined, false]);
        continue;
      }
      kinds.add(bench.pinned);
      const brew = records.brews.find(({ id }) => id === choices.value.brewId) ?? null;
      const page = coreApi.estimatePreview(
        estimateRequestFor(roll, stock, choices.value, brew, NOW),
        choices.value.muted,
      ).estimate;
      expect(bench.timeMin, roll.id).toBe(bench.pinned ? plan?.pinned?.timeMin : page.timeMin);
      expect(bench.lowMin, roll.id).toBe(bench.pinned ? plan?.pinned?.lowMin : page.band.lowMin);
    }
    expect(kinds.size).toBe(2);
  });
});
