import { expect } from 'vitest';
import { batchSchema } from '../brewing/batch';
import { brewCode, finishMix, labelText } from '../brewing/finishMix';
import { labelHazards } from '../brewing/labelHazards';
import { mixProgress, type MixEvent } from '../brewing/mixRun';
import { mixSteps } from '../brewing/mixSteps';
import { workbench } from '../brewing/workbench';
import type { WorkbenchForm } from '../brewing/workbenchForm';
import { dissolvingHeat } from '../chemistry/heatOfSolution';
import { estimate } from '../estimate/estimate';
import { soundCondition } from '../films/conditionFacts';
import { stayAt } from '../films/storageStay';
import { brewSchema, type Brew, type Roll, type Stock } from '../records/records';
import type { Kit } from '../kit/kit';
import { brewTrial } from '../plan/brewTrial';
import { mixedTemperature } from '../thermal/heatBalance';

const NOW = Date.UTC(2026, 10, 25, 9);
const stamps = { createdMs: NOW, updatedMs: NOW };
const roll: Roll = {
  ...stamps,
  id: 'tin',
  label: 'Tin',
  stockId: 'stock',
  formatId: '120',
  hints: [],
  storage: [stayAt('room')],
  xrayPasses: 0,
  condition: soundCondition,
  frames: [],
  exposure: { state: 'unknown', year: null, index: null },
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

/**
 * What must hold for every workbench: it never throws; what is wrong is told in a sentence or there is a sheet; water and heat
 * balance; steps lead through every part once; and what went in, however wrong, is a brew that can be kept and asked about.
 * @param form a workbench as typed
 * @param kit what is measured with
 * @param factor factor of the n-th part by which hands miss what was wanted
 * @returns whether there was a sheet to look at
 */
export function expectSoundBrew(form: WorkbenchForm, kit: Kit, factor: (index: number) => number): boolean {
  const { problems, sheet, volumeMl } = workbench(form, kit);
  expect(sheet === null).toBe(problems.length > 0);
  for (const { path, message } of problems) {
    expect(path).not.toBe('');
    expect(message).toMatch(/^[“A-Zp].*[.:]$|\.$/s);
  }
  if (sheet === null || volumeMl === null) return false;
  const { batch, water } = sheet;
  expect(batchSchema.safeParse(batch).error?.issues ?? []).toEqual([]);

  // Liquids and water fill the jug.
  const liquidMl = batch.parts.reduce((sum, { unit, target }) => sum + (unit === 'ml' ? target : 0), 0);
  expect(water.plan.firstMl + water.plan.lastMl + liquidMl).toBeCloseTo(volumeMl, 5);

  // Whatever is poured together ends at the temperature wanted, by a balance written out anew.
  const { firstC, liquidC, coolsFromC } = water.plan;
  if (firstC !== null || liquidC !== undefined) {
    const heat = dissolvingHeat(
      batch.parts.flatMap(({ makeup, unit, target }) =>
        makeup.kind === 'substance' && unit === 'g' ? [{ substanceId: makeup.substanceId, amount: target }] : [],
      ),
    );
    const ends = mixedTemperature(
      [
        { volumeMl: water.plan.firstMl, temperatureC: firstC ?? 0 },
        { volumeMl: liquidMl, temperatureC: liquidC ?? batch.roomC },
        { volumeMl: water.plan.lastMl, temperatureC: water.plan.lastC },
      ],
      heat.heatJ,
    );
    // Where a concentrate leaves no water worth the name, no temperature of it makes the jug: that is said.
    if (liquidC !== undefined || water.plan.firstMl > volumeMl * 1e-6)
      expect(ends).toBeCloseTo(coolsFromC ?? batch.targetC, 4);
    else expect(water.problem).not.toBeNull();
    if (water.plan.hotMl !== null)
      expect(water.plan.hotMl + (water.plan.coldMl ?? 0)).toBeCloseTo(water.plan.firstMl, 5);
    else if (liquidC === undefined) expect(water.problem).not.toBeNull();
  }

  const steps = mixSteps(batch);
  expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  expect(steps.flatMap(({ partKey }) => partKey ?? []).sort()).toEqual(
    batch.parts.flatMap(({ key, target }) => (target > 0 ? key : [])).sort(),
  );
  expect(steps.at(-1)?.kind).toBe('measure');

  const trial = brewTrial({ roll, stock, plan: undefined, planDraft: undefined }, sheet, NOW);
  if (trial !== null) {
    const { timeMin, band } = estimate(trial.request);
    expect(timeMin).toBeGreaterThan(0);
    expect(band.lowMin).toBeLessThanOrEqual(timeMin);
    expect(band.highMin).toBeGreaterThanOrEqual(timeMin);
  }

  const events = steps.map((step, index): MixEvent => ({
    kind: 'done',
    stepId: step.id,
    amount: step.target === null ? null : step.target * factor(index),
    how: 'typed',
    atMs: NOW + index,
  }));
  const progress = mixProgress(steps, events);
  expect(progress.step).toBeNull();
  const made = finishMix(batch, progress);
  const brew: Brew = { id: 'brew', ...stamps, ...made, code: brewCode('brew'), mixedMs: NOW, films: 0 };
  expect(brewSchema.safeParse(brew).error?.issues ?? []).toEqual([]);
  expect(labelText({ ...brew }, 'today')).toMatch(/NOT A DRINK$/);
  expect(labelHazards(brew.parts).length).toBeGreaterThan(0);
  return true;
}
