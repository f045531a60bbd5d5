import { describe, expect, test } from 'vitest';
import { driftDose } from '../thermal/drift';
import { bathsOf, usualWetChoice } from '../plan/wetProcess';
import type { Brew, Run } from '../records/records';
import { agitationSchools } from '../schedule/agitationSchools';
import { wetSteps } from '../schedule/wetSteps';
import { sampleBrew } from '../testing/sampleBrew';
import { sampleRun } from '../testing/sampleRun';
import type { RunEvent } from '../records/runEvents';
import { estimate } from '../estimate/estimate';
import { pieceOfRun } from '../learning/benchEvidence';
import { developedMin, judgedRun } from './judgedRun';
import { demoInputs } from '../testing/demoInputs';
import { roomYears, sampleRequest } from '../testing/sampleRequest';
import { isSamePress, runProgress } from './runProgress';
import { dryAt, leftovers, looseWaste } from './afterRun';
import { currentStep } from './currentStep';
import { bathJump, tankView } from './tankView';
import { clearingToExpect, jugTally, jugsFor, tankChecks } from './tankChecks';

const run = sampleRun();
const S = 1000;
const begin = (stepIndex: number, s: number): RunEvent => ({ kind: 'begin', stepIndex, atMs: s * S });
const read = (stepIndex: number | null, celsius: number, s: number): RunEvent => ({
  kind: 'temperature',
  stepIndex,
  celsius,
  atMs: s * S,
});
const developing = [begin(0, 0), begin(1, 60)];
const face = (events: RunEvent[], s: number, of = run) => {
  const found = tankView(of, events, s * S);
  if (found === null) throw new Error('A run without steps.');
  return found;
};

describe('the end of a development moves with its dose', () => {
  test('nothing measured: the plan holds to the second', () =>
    expect(face(developing, 300)).toMatchObject({ endMovedS: 0, step: { durationS: 720 } }));
  test('two degrees colder throughout: the time grows by 2.2^0.2, worked by hand', () => {
    const { step, endMovedS } = face([...developing, read(1, 18, 61)], 300);
    // Q10 of 2.2 between 20 and 30 °C as Arrhenius: E = R ln 2.2 ÷ (1/293.15 − 1/303.15); rate at 18 °C.
    const e = Math.log(2.2) / (1 / 293.15 - 1 / 303.15);
    const rate = Math.exp(e * (1 / 293.15 - 1 / 291.15));
    expect(step.durationS).toBe(Math.round(720 / rate));
    expect(endMovedS).toBe(step.durationS - 720);
  });
  test('a room that was planned for and measured the same moves nothing', () => {
    const planned = sampleRun({ setup: { ...run.setup, ambientC: 16 } as typeof run.setup });
    expect(Math.abs(face([read(null, 16, 0), ...developing], 300, planned).endMovedS)).toBeLessThanOrEqual(1);
  });
  test('a cold room that nobody planned for: the dose is Newton’s', () => {
    const { step } = face([read(null, 15, 0), ...developing], 300);
    expect(driftDose({ startC: 20, ambientC: 15, timeConstantMin: 55 }, 2.2, step.durationS / 60)).toBeCloseTo(12, 1);
  });
  test('movements begun stay; the new length decides what comes, and none runs into the pouring', () => {
    const { step } = face([...developing, read(1, 18, 360)], 370);
    expect(step.cues.filter(({ startS }) => startS <= 300)).toEqual(
      run.steps[1]?.cues.filter(({ startS }) => startS <= 300),
    );
    expect(step.cues.length).toBeGreaterThanOrEqual(run.steps[1]?.cues.length ?? 0);
    for (const { startS, endS } of step.cues) if (startS > 0) expect(endS).toBeLessThanOrEqual(step.durationS - 12);
  });
  test('gradient, band and lateness go by the dose as well', () => {
    const plain = face(developing, 60 + 720);
    expect(plain.gradient?.now).toBeCloseTo(0.58, 2);
    expect(plain.band).toEqual({ lowS: 540, highS: 960 });
    const cold = face([...developing, read(1, 18, 61)], 60 + 720);
    expect(cold.gradient?.now ?? 1).toBeLessThan(0.55);
    expect(cold.band?.lowS ?? 0).toBeGreaterThan(600);
    expect(cold.slip?.grades ?? 0).toBeLessThan(0);
    expect(face(developing, 60 + 740).slip).toMatchObject({ seconds: 20, small: true });
  });
  test('a plan for old film that aims below what is wanted is shown with its own aim, and ends on it', () => {
    const { outlook } = run.pinned;
    if (outlook === undefined) throw new Error('no outlook');
    const soft = outlook.curve.map(({ timeMin, net }) => ({ timeMin, net: 0.8 * net }));
    const old = sampleRun({ pinned: { ...run.pinned, outlook: { ...outlook, curve: soft } } });
    const end = face(developing, 60 + 720, old).gradient;
    expect(end?.target).toBeCloseTo(end?.now ?? 9, 3);
    expect(end?.target).toBeLessThan(0.9 * outlook.targetGradient);
  });
  test('what became of the development is told afterwards', () => {
    const late = face([...developing, begin(2, 60 + 900)], 1000);
    expect(late.pastSlip).toMatchObject({ seconds: 180, small: false });
    expect(late.slip).toBeNull();
  });
});

describe('fixing follows the clearing test', () => {
  const fixAt = run.steps.findIndex(({ kind }) => kind === 'fix');
  test('cleared in 2:25, twice that is 4:50', () => {
    const events: RunEvent[] = [
      ...developing,
      begin(fixAt, 1000),
      { kind: 'clearing', seconds: 145, factor: 2, atMs: 1_150_000 },
    ];
    expect(currentStep(run, runProgress(run.steps, events))?.durationS).toBe(290);
  });
});

describe('movements go with the length that a reading gives a bath', () => {
  const fixAt = run.steps.findIndex(({ kind }) => kind === 'fix');
  const steps = (of: Run['steps']): Run['steps'] =>
    // Runs from before steps kept their movement.
    of.map((step) => {
      const old = { ...step };
      delete old.movement;
      return old;
    });
  const lastS = (step: Run['steps'][number] | undefined): number => step?.cues.at(-1)?.endS ?? 0;
  const kept: [string, Run][] = [
    ['kept in the step', run],
    ['from before it was kept', { ...run, steps: steps(run.steps) }],
  ];
  test.each(kept)('a fix made longer by its clearing test is moved to its end: %s', (_what, of) => {
    const events: RunEvent[] = [
      ...developing,
      begin(fixAt, 1000),
      { kind: 'clearing', seconds: 270, factor: 2, atMs: 1_100_000 },
    ];
    const step = currentStep(of, runProgress(of.steps, events));
    expect(step?.durationS).toBe(540);
    expect(540 - lastS(step)).toBeLessThanOrEqual(62);
    expect(step?.cues.filter(({ startS }) => startS <= 100)).toEqual(
      run.steps[fixAt]?.cues.filter(({ startS }) => startS <= 100),
    );
  });
  test.each(kept)('a fix made shorter is not moved into its pouring: %s', (_what, of) => {
    const events: RunEvent[] = [begin(fixAt, 0), { kind: 'clearing', seconds: 40, factor: 2, atMs: 41 * S }];
    expect(lastS(currentStep(of, runProgress(of.steps, events)))).toBeLessThanOrEqual(80 - 12);
  });
  test('continuous movement goes on to the new end of a development, and of a fix', () => {
    const CONTINUOUS = agitationSchools.continuous.movement;
    const all = wetSteps(720, CONTINUOUS, [
      ...bathsOf(usualWetChoice({ remJet: false, longSoak: false, fixMin: 4, carbonateBrew: false })).map((bath) =>
        bath.kind === 'fix' ? { ...bath, movement: CONTINUOUS } : bath,
      ),
    ]);
    const setup = run.setup === null ? null : { ...run.setup, agitationId: 'continuous' as const };
    for (const turning of [
      { ...run, setup, steps: all },
      { ...run, setup, steps: steps(all) },
    ]) {
      const { step } = face([...developing, read(1, 18, 61)], 300, turning);
      expect(step.durationS).toBeGreaterThan(800);
      expect(lastS(step)).toBe(step.durationS - 12);
      const events: RunEvent[] = [begin(fixAt, 0), { kind: 'clearing', seconds: 270, factor: 2, atMs: 30 * S }];
      expect(lastS(currentStep(turning, runProgress(turning.steps, events)))).toBe(540 - 12);
    }
  });
});

describe('a clock that was set', () => {
  const set: RunEvent = { kind: 'clock', seconds: 3600, atMs: 4_500 * S };
  const undo: RunEvent = { kind: 'undo', atMs: 4_501 * S };
  const events = [...developing, read(1, 19, 120), begin(2, 700)];
  const elapsed = (of: RunEvent[]): (number | null)[] =>
    runProgress(run.steps, of).readings.map(({ elapsedS }) => elapsedS);
  test('moves readings and the baths that they were read in alike, also those that are past', () => {
    expect(elapsed(events)).toEqual([60]);
    expect(elapsed([...events, set])).toEqual([60]);
    expect(developedMin({ ...run, events: [...events, set] })).toBeCloseTo(developedMin({ ...run, events }), 9);
  });
  test('that is undone moves nothing', () =>
    expect(runProgress(run.steps, [...events, set, undo])).toEqual(runProgress(run.steps, events)));
});

describe('rests', () => {
  const washAt = run.steps.findIndex(({ kind }) => kind === 'wash');
  test('a rest does not count, and the next bath ends it', () => {
    const events: RunEvent[] = [begin(washAt, 0), { kind: 'pause', atMs: 10 * S }];
    expect(face(events, 100)).toMatchObject({ paused: true, view: { elapsedS: 10 } });
    expect(face([...events, { kind: 'resume', atMs: 70 * S }], 80)).toMatchObject({
      paused: false,
      view: { elapsedS: 20 },
    });
    expect(runProgress(run.steps, [...events, begin(washAt + 1, 90)]).tookS[washAt]).toBe(10);
    expect(face([...events, { kind: 'undo', atMs: 75 * S }], 80)).toMatchObject({
      paused: false,
      view: { elapsedS: 80 },
    });
  });
  test('development cannot rest, and says why', () =>
    expect(face(developing, 100).pausing).toMatchObject({
      may: false,
      why: expect.stringMatching(/goes on working/) as string,
    }));
  test('a reading is no act: it is not undone, and no second press', () => {
    const events = [...developing, read(1, 19, 120)];
    expect(runProgress(run.steps, [...events, { kind: 'undo', atMs: 130 * S }])).toMatchObject({ stepIndex: 0 });
    expect(isSamePress(events, begin(2, 121))).toBe(false);
  });
  test('a clock that was set takes the readings along; a start that is moved does not', () => {
    const events = [...developing, read(1, 19, 120)];
    const set: RunEvent = { kind: 'clock', seconds: 3600, atMs: 3_725_000 };
    expect(runProgress(run.steps, [...events, set]).readings[0]?.elapsedS).toBe(60);
    const shifted: RunEvent = { kind: 'shift', seconds: -5, atMs: 125_000 };
    expect(runProgress(run.steps, [...events, shifted]).readings[0]?.elapsedS).toBe(65);
  });
});

describe('baths far apart (common practice)', () => {
  test.each([
    [18, null],
    [17, 'warn'],
    [24.5, 'warn'],
    [15, 'stop'],
    [25, 'stop'],
  ])('the stop at %d °C after 20 °C: %s', (celsius, level) => {
    const jump = bathJump(run, runProgress(run.steps, [...developing, read(2, celsius, 700)]));
    expect(jump?.level ?? null).toBe(level);
  });
});

describe('before the first pour', () => {
  const HOUR = 3_600_000;
  const fixer = sampleBrew(0, { id: 'fixer', use: 'fixer', developer: null, volumeMl: 1000, films: 10 });
  const state = (checks: ReturnType<typeof tankChecks>, id: string) => checks.find((check) => check.id === id)?.state;
  test('what the bench knows fills itself in', () => {
    const used = sampleRun({ jugs: { stop: null, fix: 'fixer' } });
    const checks = tankChecks(used, runProgress(used.steps, [read(1, 20.3, 0)]), ['120'], [fixer], true, HOUR);
    expect(checks.map(({ id }) => id)).toEqual(['volume', 'temperature', 'stop', 'fix', 'clock']);
    expect(['volume', 'temperature', 'stop', 'fix', 'clock'].map((id) => state(checks, id))).toEqual([
      'good',
      'good',
      'open',
      'warn',
      'good',
    ]);
  });
  test('too little in the tank, a cold developer and a clock that was set are told', () => {
    const little = sampleRun({ volumeMl: 200 });
    const checks = tankChecks(little, runProgress(little.steps, [read(1, 17, 0)]), ['120'], [], false, HOUR);
    expect(['volume', 'temperature', 'clock'].map((id) => state(checks, id))).toEqual(['warn', 'warn', 'warn']);
  });
  test('80 % of a tally is near its end; twice the fresh clearing time is the end', () => {
    expect(jugTally({ ...fixer, films: 9 }, HOUR).state).toBe('good');
    expect(jugTally(fixer, HOUR).state).toBe('near');
    const clearings = [
      { atMs: 0, seconds: 40, films: 0 },
      { atMs: 1, seconds: 85, films: 3 },
    ];
    expect(jugTally({ ...fixer, films: 3, clearings }, HOUR).state).toBe('spent');
    expect(
      jugsFor(
        [
          { ...fixer, clearings },
          { ...fixer, id: 'old', mixedMs: -1 },
        ],
        'fix',
        HOUR,
      )[0]?.id,
    ).toBe('old');
  });
});

describe('what a judged run teaches', () => {
  const verdict = {
    id: 'v',
    createdMs: 0,
    updatedMs: 0,
    runId: 'run',
    rollId: 'roll',
    contrast: 0,
    fog: 'clear' as const,
    shadows: 'open' as const,
    evenness: 'even' as const,
    defects: [],
    note: '',
  };
  test('minutes in a tank that was measured colder count as fewer of those that were planned', () => {
    const events = [...developing, begin(2, 60 + 720)];
    expect(judgedRun(sampleRun({ events }), verdict)?.timeMin).toBe(12);
    const cold = judgedRun(sampleRun({ events: [...developing, read(1, 18, 61), begin(2, 60 + 720)] }), verdict);
    const e = Math.log(2.2) / (1 / 293.15 - 1 / 303.15);
    expect(cold?.timeMin).toBeCloseTo(12 * Math.exp(e * (1 / 293.15 - 1 / 291.15)), 3);
  });
  test('clear film without any image teaches nothing: it may never have been exposed', () =>
    expect(judgedRun(run, { ...verdict, defects: ['no-image'] })).toBeNull());
  test('black film teaches its fog, and nothing of its contrast', () => {
    const black = judgedRun(run, { ...verdict, fog: 'heavy', defects: ['no-image', 'black'] });
    expect(black).toMatchObject({ contrast: null, held: null });
    const { roll, stock } = demoInputs;
    const before = estimate(sampleRequest({ rollId: roll.id, stockId: stock.id, age: roomYears(30) }));
    const piece = pieceOfRun(black as NonNullable<typeof black>, { roll, stock }, 2026).piece;
    expect(piece.evidence).toMatchObject({ kind: 'fog', atLeast: true });
    const after = estimate(
      sampleRequest({
        rollId: roll.id,
        stockId: stock.id,
        age: roomYears(30),
        evidence: [{ ...piece.evidence, setting: {} }],
      }),
    );
    expect(after.baseFogD.value).toBeGreaterThan(before.baseFogD.value * 1.3);
  });
});

test('a fixer that cleared in 40 s when fresh is expected at 60 s half way through its tally', () => {
  const fixer = sampleBrew(0, { use: 'fixer', developer: null, volumeMl: 1000, films: 6 });
  expect(clearingToExpect(fixer, 0)).toBeNull();
  expect(clearingToExpect({ ...fixer, clearings: [{ atMs: 0, seconds: 40, films: 0 }] }, 0)).toBeCloseTo(60, 9);
});

describe('a fixer that was never tested, by another jug of the same (common practice: 1+9 takes twice as long as 1+4)', () => {
  const concentrate = (id: string, ml: number, part: Partial<Brew> = {}): Brew =>
    sampleBrew(0, {
      id,
      use: 'fixer',
      developer: null,
      volumeMl: 1000,
      parts: [
        {
          key: 'concentrate',
          name: 'Rapid fixer concentrate',
          unit: 'ml',
          target: ml,
          actual: ml,
          how: 'typed',
          lnSd: 0.01,
          makeup: { kind: 'concentrate', familyId: null },
        },
      ],
      ...part,
    });
  const tested = concentrate('tested', 200, { clearings: [{ atMs: 0, seconds: 40, films: 0 }] });

  test('40 s at 1+4 is 80 s at 1+9, and grows with the films through it: six a litre at 1+9', () => {
    const thin = concentrate('thin', 100);
    expect(clearingToExpect(thin, 0, [tested, thin])).toBeCloseTo(80, 9);
    const used = { ...thin, films: 3 };
    expect(clearingToExpect(used, 0, [tested, used])).toBeCloseTo(120, 9);
  });
  test('its own test goes before any other jug’s, and another kind of fixer tells nothing', () => {
    const own = concentrate('own', 100, { clearings: [{ atMs: 0, seconds: 70, films: 0 }] });
    expect(clearingToExpect(own, 0, [tested, own])).toBeCloseTo(70, 9);
    const other = concentrate('other', 100);
    const plain = { ...tested, parts: tested.parts.map((part) => ({ ...part, name: 'Sodium thiosulfate, crystals' })) };
    expect(clearingToExpect(other, 0, [plain, other])).toBeNull();
    expect(clearingToExpect({ ...other, parts: [] }, 0, [tested])).toBeNull();
  });
});

describe('afterwards (common practice)', () => {
  test('dry after one to two hours in air, twenty minutes in a warm cabinet', () => {
    expect(dryAt(0, 'air')).toEqual({ fromMs: 3_600_000, toMs: 7_200_000 });
    expect(dryAt(0, 'cabinet')).toEqual({ fromMs: 1_200_000, toMs: 1_200_000 });
  });
  test('fixer goes back, a kitchen brew does not go down the drain, water is not told of', () => {
    const left = leftovers(run);
    expect(left.map(({ liquid }) => liquid)).toEqual(['developer', 'acid', 'fixer', 'wetting']);
    expect(left.find(({ liquid }) => liquid === 'fixer')).toMatchObject({ goesTo: 'back' });
    const brew = {
      ...run.setup,
      developer: { kind: 'improvised', agents: [], sodaGPerL: 54, ascorbicGPerL: 16, others: [] },
    };
    expect(leftovers({ ...run, setup: brew as typeof run.setup })[0]).toMatchObject({ goesTo: 'waste' });
  });
  test('a developer that stood in no jug goes to the waste once, and one from a jug goes with its jug', () => {
    const loose = { ...run, brewId: null, volumeMl: 500 };
    expect(looseWaste(loose, 2)).toMatchObject([{ kind: 'developer', volumeMl: 500, films: 2 }]);
    expect(looseWaste({ ...loose, brewId: 'jug' }, 2)).toEqual([]);
    // Poured away afterwards: the jug is gone from the run, and what was in it is in the waste.
    expect(looseWaste({ ...loose, afterwards: { develop: 'poured' } }, 2)).toEqual([]);
    expect(looseWaste({ ...loose, volumeMl: 0 }, 2)).toEqual([]);
  });
});
