import { fitWith } from '@/core/estimate/learned';
import { estimatePreview } from '@/core/estimate/analysis';
import { pinOf } from '@/core/plan/pinOf';
import { GrowingEvidence } from '@/core/learning/learning';
import { soundCondition } from '@/core/films/conditionFacts';
import { filmEquivalents } from '@/core/films/filmFormats';
import { measures, type MeasureId } from '@/core/trial/measures';
import { readTrial, type TrialStrip } from '@/core/trial/trial';
import { evidenceSchema } from '@/core/estimate/evidenceSchema';
import { situationSchema } from '@/core/estimate/situationSchema';
import type { Brew, Guest, Mix, Plan, Records, Roll, Run, Stock, Trial } from '@/core/records/records';
import { defaultSettings, noRecords } from '@/core/records/tables';
import { estimateRequestFor } from '@/core/plan/estimateRequestFor';
import { finishMix, brewCode, type MadeBrew } from '@/core/brewing/finishMix';
import { formulary } from '@/core/brewing/formulary';
import { mixProgress, type MixEvent } from '@/core/brewing/mixRun';
import { mixSteps } from '@/core/brewing/mixSteps';
import { workbench } from '@/core/brewing/workbench';
import { initialWorkbench, recipeOfDeveloper } from '@/core/brewing/workbenchForm';
import { keptPatch } from '@/core/densitometry/patchDensity';
import { seededNormal } from '@/core/kit/seededNoise';
import { characteristicDensity } from '@/core/kinetics/characteristicCurve';
import { LOG_EXPOSURE_PER_STOP } from '@/core/units/stops';
import { toStep } from '@/core/kit/readable';
import { developerName } from '@/core/plan/developerName';
import { initialPlanForm, readPlanForm, type PlanForm } from '@/core/plan/planForm';
import type { RunEvent } from '@/core/records/runEvents';
import { USUAL_POUR_IN } from '@/core/schedule/baths';
import { movementOf, runSteps } from '@/core/plan/runSteps';
import type { WetStep } from '@/core/schedule/wetSteps';
import {
  hutArchive,
  hutBoxes,
  hutHabits,
  hutKit,
  hutPast,
  hutPrints,
  hutRecipes,
  hutRolls,
  hutStocks,
  hutStrips,
  hutTrials,
  hutWaste,
  type HutRoll,
} from './hut';

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;

/** What pouring from one bath to the next takes in the demo, s. */
const POUR_S = 8;

/**
 * The demo's bench. Times and bands come from the estimator itself; only films, verdicts and notes are invented.
 * @param nowMs instant at which the demo is laid out, ms since the epoch
 */
export function demoRecords(nowMs: number): Records {
  const records = noRecords();
  records.settings.push({ ...defaultSettings, kit: hutKit });
  for (const recipe of hutRecipes)
    records.recipes.push({ ...recipe, createdMs: nowMs - 90 * DAY_MS, updatedMs: nowMs - 90 * DAY_MS });
  for (const [index, habit] of hutHabits.entries()) {
    const stamps = { id: `habit-${index + 1}`, createdMs: nowMs - 60 * DAY_MS, updatedMs: nowMs - 60 * DAY_MS };
    records.habits.push(
      habit.kind === 'movement'
        ? { ...stamps, ...habit }
        : { ...stamps, ...habit, pourIn: USUAL_POUR_IN, usual: false },
    );
  }
  records.brews.push(hutFixer(nowMs));
  records.mixes.push(hutNettle(nowMs));
  for (const [id, stock] of Object.entries(hutStocks)) {
    records.stocks.push({
      id: `stock-${id}`,
      createdMs: nowMs - 200 * DAY_MS,
      updatedMs: nowMs - 200 * DAY_MS,
      ...stock,
      own: {},
    });
  }
  for (const { id, name, note } of hutBoxes)
    records.boxes.push({ id, name, note, createdMs: nowMs - 200 * DAY_MS, updatedMs: nowMs - 200 * DAY_MS });
  for (const trial of hutTrials) records.trials.push(demoTrial(trial, nowMs));
  for (const { daysAgo, ...pour } of hutWaste) {
    const createdMs = nowMs - daysAgo * DAY_MS;
    records.waste.push({ id: `waste-${daysAgo}`, createdMs, updatedMs: createdMs, ...pour, handedInMs: null });
  }
  // In the order in which they were developed, so that each time rests on what was judged before it.
  const inOrder = [...hutPast, ...hutRolls]
    .map((hut, index) => ({ hut, index }))
    .sort((a, b) => (b.hut.daysAgo ?? 0) - (a.hut.daysAgo ?? 0));
  for (const { hut, index } of inOrder) addRoll(hut, nowMs, index, records);
  for (const { daysAgo, ...print } of hutPrints) {
    const createdMs = nowMs - daysAgo * DAY_MS;
    records.prints.push({ createdMs, updatedMs: createdMs, ...print, areas: print.areas.map((area) => ({ ...area })) });
  }
  addStrips(nowMs, records);
  records.guests.push(valleyLog(nowMs));
  return records;
}

/** The log of the hut across the valley: another film, in a developer that nobody has up here. */
function valleyLog(nowMs: number): Guest {
  const createdMs = nowMs - 20 * DAY_MS;
  const judged = [
    { timeMin: 9, contrast: -1 },
    { timeMin: 11, contrast: 0 },
    { timeMin: 11.5, contrast: 0 },
  ];
  return {
    id: 'guest-valley',
    createdMs,
    updatedMs: createdMs,
    name: 'Hut across the valley',
    stocks: [{ id: 'theirs', name: 'Fellbrook Ortho 50', familyId: 'orthochromatic' }],
    pieces: judged.map(({ timeMin, contrast }, at) => ({
      evidence: evidenceSchema.parse({ kind: 'verdict', id: `run ${at + 1}`, timeMin, contrast, fogD: null }),
      setting: situationSchema.parse({
        film: { familyId: 'orthochromatic', iso: 50 },
        developer: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 1 } },
        temperatureC: 20,
        agitationId: 'four-each-minute',
        stockId: 'theirs',
        rollId: `roll ${at + 1}`,
        brewId: `jug ${at + 1}`,
      }),
    })),
  };
}

/** A trial of the hut, laid out by its lot and read with the scatter that its measures have. */
function demoTrial({ id, daysAgo, seed, form, effects, ...trial }: (typeof hutTrials)[number], nowMs: number): Trial {
  const laid = readTrial(form, seed);
  if (!laid.ok) throw new Error(`${id}: ${laid.problems[0]?.message ?? ''}`);
  const atMs = nowMs - daysAgo * DAY_MS;
  const valuesOf = (level: number, block: number, at: number): TrialStrip['values'] =>
    Object.fromEntries(
      Object.entries(effects).map(([measure, byLevel], index) => {
        const { stripSd, blockSd, digits, range } = measures[measure as MeasureId];
        const noise =
          stripSd * seededNormal(seed, 10 * at + index) + 0.5 * blockSd * seededNormal(seed, 900 + 10 * block + index);
        const step = measure === 'contrast' ? 1 : 10 ** -digits;
        const value = Math.min(range[1], Math.max(range[0], (byLevel[level] ?? 0) + noise));
        return [measure, Number((Math.round(value / step) * step).toFixed(digits))];
      }),
    );
  return {
    id,
    createdMs: atMs,
    updatedMs: atMs,
    ...laid.value,
    strips: laid.value.strips.map((strip, at) => {
      const read = at < trial.read && trial.lost?.at !== at;
      const values = read ? valuesOf(strip.level, strip.block, at) : {};
      const { gradient, fog } = values;
      return {
        ...strip,
        ...(at < trial.developed ? { developed: true } : {}),
        ...(trial.lost?.at === at ? { lost: trial.lost.why } : {}),
        values,
        ...(gradient === undefined || fog === undefined ? {} : { curve: demoCurve(gradient, fog, 50 * at) }),
      };
    }),
  };
}

/** A step wedge on a strip of the hut, as its picture read it. Toe and speed are invented. */
function demoCurve(gradient: number, fogD: number, tick: number): NonNullable<TrialStrip['curve']> {
  const TOE = 0.25;
  const noise = (at: number): number => STRIP_NOISE_D * seededNormal(7, tick + at);
  return {
    clearD: fogD,
    points: Array.from({ length: 11 }, (_, at) => {
      const logH = Number((LOG_EXPOSURE_PER_STOP * (at - 6)).toFixed(3));
      const densityD = fogD + gradient * TOE * Math.log(1 + Math.exp((logH + 1) / TOE)) + noise(at);
      return { logH, densityD: Number(densityD.toFixed(3)) };
    }),
  };
}

/** Strips that the hut read with a camera: a clip before its run, and the frames of a grey card from the run itself. */
function addStrips(nowMs: number, records: Records): void {
  for (const [index, { rollId, name, timeMin, film, firstStops, count }] of hutStrips.entries()) {
    const atMs = nowMs - (40 - index) * DAY_MS;
    const reading = (densityD: number, tick: number) =>
      keptPatch({
        densityD: densityD + STRIP_NOISE_D * seededNormal(index + 1, tick),
        seD: STRIP_NOISE_D,
        fault: null,
      });
    records.readings.push({
      id: `strip-${index + 1}`,
      createdMs: atMs,
      updatedMs: atMs,
      rollId,
      name,
      timeMin,
      source: 'picture',
      channel: 'green',
      meteredIso: 200,
      clear: reading(film.baseFogD, 0),
      steps: Array.from({ length: count }, (_, at) => {
        const logH = (firstStops + at) * LOG_EXPOSURE_PER_STOP;
        return { ...reading(characteristicDensity(film, 1 + logH), at + 1), logH: Number(logH.toFixed(4)) };
      }),
      evidenceId: null,
      photoId: null,
    });
  }
}

/** What a camera on a light table repeats to, D. */
const STRIP_NOISE_D = 0.01;

function addRoll(hut: HutRoll, nowMs: number, index: number, records: Records): void {
  const stock = records.stocks.find(({ id }) => id === `stock-${hut.stock}`) as Stock;
  const startMs = Math.round(nowMs - (hut.daysAgo ?? 0) * DAY_MS);
  const stamps = { createdMs: startMs - 60 * MINUTE_MS, updatedMs: startMs - index * MINUTE_MS };
  const roll: Roll = {
    id: hut.id,
    ...stamps,
    stockId: stock.id,
    xrayPasses: 0,
    condition: soundCondition,
    frames: [],
    ...(hutArchive[hut.id] === undefined ? {} : { archive: hutArchive[hut.id] }),
    boxId: hutBoxes.find(({ rolls }) => (rolls as readonly string[]).includes(hut.id))?.id ?? null,
    ...hut.roll,
  };
  records.rolls.push(roll);
  hut.findings?.forEach(({ finding, setting, note }, found) =>
    records.evidence.push({
      id: `found-${hut.id}-${found + 1}`,
      createdMs: nowMs - DAY_MS,
      updatedMs: nowMs - DAY_MS,
      rollId: roll.id,
      setting,
      finding,
      note,
    }),
  );
  if (hut.plan === undefined) return;
  const form: PlanForm = {
    ...initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition }),
    ...hut.plan,
  };
  if (hut.reached === 'draft') {
    records.drafts.push({ id: `plan:${roll.id}`, values: form, updatedMs: stamps.updatedMs });
    return;
  }
  const plan = planOf(hut, roll, stock, form, startMs, stamps, records);
  records.plans.push(plan);
  if (hut.reached === 'pinned') return;
  if (hut.reached !== 'judged') {
    const brew = brewOf(
      plan,
      roll,
      hut.reached === 'mixed' ? nowMs - 25 * MINUTE_MS : startMs - 20 * MINUTE_MS,
      hut.reached === 'hung',
    );
    records.brews.push(brew);
    plan.brewId = brew.id;
  }
  if (hut.reached === 'mixed') return;
  const run = runOf(plan, startMs, stamps);
  records.runs.push(run);
  if (hut.reached === 'judged' && hut.verdict !== undefined) {
    records.verdicts.push({ id: `verdict-${hut.id}`, ...stamps, runId: run.id, rollId: roll.id, ...hut.verdict });
  }
}

function planOf(
  hut: HutRoll,
  roll: Roll,
  stock: Stock,
  form: PlanForm,
  atMs: number,
  stamps: { createdMs: number; updatedMs: number },
  records: Records,
): Plan {
  const choices = readPlanForm(form, roll, []);
  if (!choices.ok)
    throw new Error(`The demo's plan for “${roll.label}” is not valid: ${choices.problems[0]?.message ?? ''}`);
  const pieces = GrowingEvidence.of(records, new Date(atMs).getFullYear()).pieces();
  const request = estimateRequestFor(roll, stock, choices.value, null, atMs);
  const evidenceIds = pieces.map(({ evidence }) => evidence.id);
  return {
    id: `plan-${hut.id}`,
    ...stamps,
    rollId: roll.id,
    ...choices.value,
    pinned: pinOf(estimatePreview(request, fitWith(request, pieces), []), null, evidenceIds, atMs),
  };
}

function brewOf(plan: Plan, roll: Roll, mixedMs: number, used: boolean): Brew {
  return {
    id: `brew-${roll.id}`,
    createdMs: Math.round(mixedMs),
    updatedMs: Math.round(mixedMs),
    ...weighed(plan, roll),
    code: brewCode(`brew-${roll.id}`),
    mixedMs: Math.round(mixedMs),
    films: used ? filmEquivalents(roll.formatId) : 0,
  };
}

/** What the hut's hands really weighed, against what was wanted: factors in the order of the parts. */
const HUT_HANDS = [1, 1.02, 0.96];

/** The brew of a plan as it was mixed: laid out, weighed and measured as anybody would. */
function weighed(plan: Plan, roll: Roll): MadeBrew {
  const { developer, bromideGPerL, volumeMl, temperatureC } = plan;
  const name = developer.kind === 'improvised' ? 'Hut coffee' : developerName(developer);
  const sheetFor = { rollId: roll.id, coverMl: volumeMl, volumeMl, targetC: temperatureC };
  const { sheet } = workbench(initialWorkbench(recipeOfDeveloper(name, developer, bromideGPerL), sheetFor), hutKit);
  if (sheet === null) throw new Error(`The demo's brew for “${roll.label}” cannot be laid out.`);
  let hand = 0;
  const steps = mixSteps(sheet.batch);
  const events = steps.map((step): MixEvent => {
    const target = step.kind === 'measure' ? temperatureC + 0.2 : step.target;
    const amount =
      step.kind === 'part' && target !== null
        ? toStep(
            target * (HUT_HANDS[hand++ % HUT_HANDS.length] ?? 1),
            step.unit === 'ml' ? hutKit.cylinderStepMl : hutKit.scaleStepG,
          )
        : target;
    return { kind: 'done', stepId: step.id, amount, how: 'scale', atMs: 0 };
  });
  return finishMix(sheet.batch, mixProgress(steps, events));
}

function runOf(plan: Plan, startMs: number, stamps: { createdMs: number; updatedMs: number }): Run {
  const { pinned } = plan;
  if (pinned === null) throw new Error('A run needs a plan with a time.');
  const steps = runSteps(plan, pinned);
  return {
    id: `run-${plan.rollId}`,
    ...stamps,
    createdMs: startMs,
    rollId: plan.rollId,
    planId: plan.id,
    brewId: plan.brewId,
    developerName: developerName(plan.developer),
    temperatureC: plan.temperatureC,
    pinned,
    movementName: movementOf(plan).name,
    volumeMl: plan.volumeMl,
    setup: {
      developer: plan.developer,
      bromideGPerL: plan.bromideGPerL,
      wear: { ageH: 0, films: 0, volumeMl: plan.volumeMl },
      temperatureC: plan.temperatureC,
      ambientC: plan.ambientC,
      agitationId: plan.agitationId,
      brewId: plan.brewId,
      mixingLnSd: null,
      target: plan.target,
    },
    steps,
    events: eventsOf(steps, startMs),
  };
}

function eventsOf(steps: readonly WetStep[], startMs: number): RunEvent[] {
  let atMs = startMs;
  const events = steps.map((step, stepIndex): RunEvent => {
    const event: RunEvent = { kind: 'begin', stepIndex, atMs };
    atMs += Math.round(step.durationS + POUR_S) * 1000;
    return event;
  });
  return [...events, { kind: 'finish', atMs }];
}

/** The hut's bottle of home-made fixer: a week old, four films through it. */
function hutFixer(nowMs: number): Brew {
  const mixedMs = nowMs - 7 * DAY_MS;
  const { sheet } = workbench(
    { ...initialWorkbench(formulary['fixer-rapid'], null), name: 'Hut fixer', bottleMl: 1000, scaleTo: 'bottle' },
    hutKit,
  );
  if (sheet === null) throw new Error('The demo has no fixer.');
  const made = finishMix(sheet.batch, mixProgress(mixSteps(sheet.batch), []));
  return {
    id: 'brew-fixer',
    createdMs: mixedMs,
    updatedMs: mixedMs,
    ...made,
    code: brewCode('brew-fixer'),
    mixedMs,
    films: 4,
  };
}

/** Nettle tea that steeps: the water and the leaves are in. */
function hutNettle(nowMs: number): Mix {
  const [recipe] = hutRecipes;
  const { sheet } =
    recipe === undefined
      ? { sheet: null }
      : workbench({ ...initialWorkbench(recipe, null), scaleTo: 'bottle', bottleMl: 600 }, hutKit);
  if (sheet === null) throw new Error('The demo has no nettle tea.');
  const begunMs = nowMs - 12 * MINUTE_MS;
  const events = mixSteps(sheet.batch)
    .slice(0, 2)
    .map((step, index): MixEvent => ({
      kind: 'done',
      stepId: step.id,
      amount: step.target,
      how: 'scale',
      atMs: begunMs + (index + 1) * 2 * MINUTE_MS,
    }));
  return {
    id: 'mix-nettle',
    createdMs: begunMs,
    updatedMs: begunMs + 4 * MINUTE_MS,
    rollId: null,
    batch: sheet.batch,
    events,
    brewId: null,
  };
}
