import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { stopSchoolIds } from '../fixing/stopSchools';
import { fixMinFromClearing, usualFixMin } from '../fixing/fixTime';
import { washSchoolIds } from '../fixing/washSchools';
import { handsAt, movementCues } from './agitationCues';
import { agitationSchoolIds, agitationSchools } from './agitationSchools';
import type { RunEvent } from '../records/runEvents';
import { isSamePress, runProgress, stepView } from '../run/runProgress';
import { bathsOf, usualWetChoice, type WetChoice } from '../plan/wetProcess';
import { bathSchema, readyBaths, type Bath } from './baths';
import { bursts, movementRate, seconds, turns, type Movement } from './movement';
import { movementName } from './movementName';
import { wetStepSchema, wetSteps as stepsOf, type WetStep } from './wetSteps';

const wetSteps = (developS: number, id: keyof typeof agitationSchools, choice: WetChoice, oneBath = false): WetStep[] =>
  stepsOf(developS, agitationSchools[id].movement, bathsOf(choice), oneBath);
const starts = (id: keyof typeof agitationSchools, durationS: number): number[] =>
  movementCues(agitationSchools[id].movement, durationS).map((cue) => cue.startS);

describe('when hands move (common practice, worked by hand)', () => {
  test('first 30 s, then 10 s each minute', () => expect(starts('ten-each-minute', 240)).toEqual([0, 60, 120, 180]));
  test('first 30 s, rest 20 s, 10 s to the minute, then the last 10 s of each minute', () => {
    const cues = movementCues(agitationSchools['last-ten-each-minute'].movement, 240);
    expect(cues.map((cue) => [cue.startS, cue.endS])).toEqual([
      [0, 30],
      [50, 60],
      [110, 120],
      [170, 180],
    ]);
  });
  test('5 s every 30 s with none at the start', () =>
    expect(starts('five-seconds-each-half-minute', 100)).toEqual([30, 60]));
  test('stand wakes up once, at half time', () => expect(starts('stand', 3600)).toEqual([0, 1800]));
  test('continuous rests only to pour out', () =>
    expect(movementCues(agitationSchools.continuous.movement, 600)).toEqual([{ startS: 0, endS: 588, turns: null }]));
  test('inversions are counted', () =>
    expect(movementCues(agitationSchools['ten-then-three'].movement, 200).map((cue) => cue.turns)).toEqual([
      10, 3, 3, 3,
    ]));
  test('cues never overlap, stay within development and leave the pour-out still (property)', () => {
    fc.assert(
      fc.property(fc.constantFrom(...agitationSchoolIds), fc.integer({ min: 30, max: 7200 }), (id, durationS) => {
        const cues = movementCues(agitationSchools[id].movement, durationS);
        cues.forEach((cue, index) => {
          expect(cue.endS).toBeGreaterThan(cue.startS);
          expect(cue.endS).toBeLessThanOrEqual(durationS);
          expect(cue.startS).toBeGreaterThanOrEqual(cues[index - 1]?.endS ?? 0);
          if (cue.startS > 0) expect(cue.startS).toBeLessThanOrEqual(durationS - 12);
        });
      }),
    );
  });
  test('a moment has its hands', () => {
    const cues = movementCues(agitationSchools['ten-each-minute'].movement, 240);
    expect(handsAt(cues, 5).current?.startS).toBe(0);
    expect(handsAt(cues, 45)).toMatchObject({ current: null, next: { startS: 60 } });
    expect(handsAt(cues, 230).next).toBeNull();
  });
});

const choice = usualWetChoice({ remJet: false, longSoak: false, fixMin: 4, carbonateBrew: true });

describe('movements of one’s own (common practice, worked by hand)', () => {
  const startsOf = (movement: Movement, durationS: number): number[] =>
    movementCues(movement, durationS).map(({ startS }) => startS);
  test('fix 5 min, 30 s and then 2 turns each 30 s: the first ends as the second would begin', () =>
    expect(startsOf(bursts(seconds(30), [30, 'start', turns(2)]), 300)).toEqual([
      0, 60, 90, 120, 150, 180, 210, 240, 270,
    ]));
  test('10 s a minute until minute 8 begins last at 7:00', () =>
    expect(startsOf(bursts(seconds(10), [60, 'start', seconds(10)], { stillFromMin: 8 }), 600).at(-1)).toBe(420));
  test('30 s on, 30 s off for 10 min', () => {
    const cues = movementCues(bursts(seconds(30), [60, 'start', seconds(30)]), 600);
    expect(cues).toHaveLength(10);
    expect(cues.map(({ startS, endS }) => [startS, endS]).slice(0, 2)).toEqual([
      [0, 30],
      [60, 90],
    ]);
  });
  test('15 s and 5 s each minute, from the start', () => {
    for (const n of [15, 5])
      expect(startsOf(bursts(seconds(n), [60, 'start', seconds(n)]), 240)).toEqual([0, 60, 120, 180]);
  });
  test('3 turns once, and never again', () => {
    expect(movementCues(bursts(turns(3), null), 600)).toEqual([{ startS: 0, endS: 7.5, turns: 3 }]);
  });
  test('5 s each 30 s and none at the start', () =>
    expect(startsOf(bursts(null, [30, 'start', seconds(5)]), 130)).toEqual([30, 60, 90]));
  test('a wake-up at half time or at a minute', () => {
    const wake = (atMin: number | null) => bursts(seconds(30), null, { wakeUp: { atMin, amount: seconds(10) } });
    expect(startsOf(wake(null), 3600)).toEqual([0, 1800]);
    expect(startsOf(wake(20), 3600)).toEqual([0, 1200]);
  });
  test('a clock that starts with the first drop lets the tank fill before the first movement', () =>
    expect(movementCues(bursts(seconds(30), [60, 'start', seconds(10)]), 240, 12)[0]).toEqual({
      startS: 12,
      endS: 42,
      turns: null,
    }));
  test('any movement keeps its hands still for the pour-out (property)', () => {
    const amount = fc.oneof(fc.integer({ min: 1, max: 60 }).map(seconds), fc.integer({ min: 1, max: 20 }).map(turns));
    const any = fc.record({
      first: fc.option(amount),
      every: fc.option(
        fc.tuple(fc.integer({ min: 5, max: 400 }), fc.constantFrom('start' as const, 'end' as const), amount),
      ),
      still: fc.option(fc.integer({ min: 1, max: 30 })),
      durationS: fc.integer({ min: 30, max: 4000 }),
    });
    fc.assert(
      fc.property(any, ({ first, every, still, durationS }) => {
        let lastEndS = 0;
        for (const { startS, endS } of movementCues(bursts(first, every, { stillFromMin: still }), durationS)) {
          expect(startS).toBeGreaterThanOrEqual(lastEndS);
          expect(endS).toBeLessThanOrEqual(durationS - 12);
          lastEndS = endS;
        }
      }),
    );
  });
  test('its rate lies between the schools, by the share of time in motion', () => {
    const rate = (n: number, periodS: number): number =>
      movementRate(bursts(null, [periodS, 'start', seconds(n)])).rateFactor;
    expect(rate(10, 60)).toBeCloseTo(1, 6);
    expect(rate(12, 60)).toBeCloseTo(1.06, 6);
    expect(movementRate(agitationSchools.continuous.movement).rateFactor).toBeCloseTo(1.18, 6);
    expect(movementRate(agitationSchools.stand.movement)).toEqual({ rateFactor: 0.36, rateLnSd: 0.28 });
    expect(rate(30, 60)).toBeGreaterThan(1.06);
    expect(rate(30, 60)).toBeLessThan(1.18);
    expect(movementRate(bursts(null, [60, 'start', seconds(30)])).rateLnSd).toBeCloseTo(0.08, 6);
  });
  test('is named by what it is', () => {
    expect(movementName(bursts(seconds(30), [60, 'end', seconds(10)], { stillFromMin: 8 }))).toBe(
      'First 30 s, then the last 10 s of each minute, still from 8:00',
    );
    expect(movementName(bursts(turns(3), null))).toBe('First 3 turns');
  });
});

describe('wet steps', () => {
  test('a list of one’s own arrives as it is written', () => {
    const own: Bath[] = [
      { ...readyBaths['water-soak'], length: { kind: 'time', seconds: 120 } },
      ...bathsOf(choice).filter(({ kind }) => kind === 'develop'),
      readyBaths['still-water'],
      { ...readyBaths['acid-stop'], length: { kind: 'time', seconds: 10 } },
      readyBaths.fixer,
      readyBaths['second-fixer'],
      readyBaths['washing-aid'],
      { ...readyBaths['wash-until-clear'], length: { kind: 'until-clear', seconds: 1500 } },
      { ...readyBaths.wetting, length: { kind: 'time', seconds: 30 } },
    ];
    const steps = stepsOf(720, agitationSchools['ten-then-three'].movement, own);
    expect(steps.map(({ name, durationS }) => [name, durationS])).toEqual([
      ['Pre-soak', 120],
      ['Develop', 720],
      ['Still water', 120],
      ['Acid stop', 10],
      ['Fix', 300],
      ['Second fixer', 180],
      ['Washing aid', 120],
      ['Rinse until clear', 1500],
      ['Wetting bath', 30],
    ]);
    expect(steps[7]?.untilClear).toBe(true);
    for (const step of steps) expect(wetStepSchema.safeParse(step).success).toBe(true);
    for (const bath of own) expect(bathSchema.safeParse(bath).success).toBe(true);
  });
  test('a change of water has 25 s for filling and pouring besides its turns', () => {
    const [first] = stepsOf(600, agitationSchools.stand.movement, bathsOf(choice)).filter(
      ({ kind }) => kind === 'wash',
    );
    expect(first).toMatchObject({ durationS: 37.5, cues: [{ startS: 12.5, endS: 25, turns: 5 }] });
  });
  test('coffee: pre-soak, develop, three rinses, fix, 5-10-20, wetting bath', () => {
    const steps = wetSteps(930, 'ten-each-minute', choice);
    expect(steps.map((step) => step.kind)).toEqual([
      'pre-soak',
      'develop',
      'stop',
      'stop',
      'stop',
      'fix',
      'wash',
      'wash',
      'wash',
      'wetting',
    ]);
    expect(steps[1]?.durationS).toBe(930);
    expect(steps.find((step) => step.name === 'Wash 3 of 3')?.instruction).toContain('20 times');
  });
  test('a black backing gets its alkaline pre-bath', () => {
    const steps = wetSteps(
      600,
      'stand',
      usualWetChoice({ remJet: true, longSoak: false, fixMin: 6, carbonateBrew: false }),
    );
    expect(steps[0]).toMatchObject({
      name: 'Alkaline pre-bath',
      instruction: expect.stringContaining('20 g/l washing soda'),
    });
    expect(steps.some((step) => step.name === 'Wipe the back')).toBe(true);
    expect(steps.some((step) => step.name === 'Acid stop')).toBe(true);
  });
  test('brittle film soaks for six minutes', () => {
    expect(
      wetSteps(600, 'stand', usualWetChoice({ remJet: false, longSoak: true, fixMin: 6, carbonateBrew: true }))[0]
        ?.durationS,
    ).toBe(360);
  });
  test('a one-bath needs neither stop nor fixer', () => {
    const kinds = wetSteps(
      240,
      'continuous',
      usualWetChoice({ remJet: false, longSoak: false, fixMin: 5, carbonateBrew: false }),
      true,
    ).map(({ kind }) => kind);
    expect(kinds).toContain('develop');
    expect(kinds).not.toContain('stop');
    expect(kinds).not.toContain('fix');
  });
  test('every school makes valid steps', () => {
    for (const stopId of stopSchoolIds) {
      for (const washId of washSchoolIds) {
        const steps = wetSteps(600, 'ten-each-minute', {
          ...choice,
          stopId,
          washId,
          wettingId: 'none',
          preSoakId: 'none',
        });
        for (const step of steps) expect(wetStepSchema.safeParse(step).success).toBe(true);
        expect(steps[0]?.kind).toBe('develop');
      }
    }
  });
  test('fixing by class and by clearing test (common practice)', () => {
    expect(usualFixMin('pan-cubic-fast')).toBeGreaterThanOrEqual(3);
    expect(usualFixMin('pan-tabular-fast')).toBeGreaterThanOrEqual(5);
    expect(fixMinFromClearing(45, false)).toBe(1.5);
    expect(fixMinFromClearing(60, true)).toBe(3);
  });
});

describe('presses and clocks', () => {
  const begin = (stepIndex: number, atMs: number): RunEvent => ({ kind: 'begin', stepIndex, atMs });
  test.each([40, 300, 1400])('a second press %d ms later is the first one felt twice', (ms) => {
    expect(isSamePress([begin(0, 10_000)], begin(1, 10_000 + ms))).toBe(true);
    expect(isSamePress([begin(0, 10_000)], { kind: 'finish', atMs: 10_000 + ms })).toBe(true);
  });
  test('later presses, notes and a press after an undo count', () => {
    expect(isSamePress([begin(0, 10_000)], begin(1, 11_600))).toBe(false);
    expect(isSamePress([begin(0, 10_000)], { kind: 'note', text: 'lid', atMs: 10_100 })).toBe(false);
    expect(isSamePress([begin(0, 10_000), { kind: 'undo', atMs: 10_200 }], begin(0, 10_300))).toBe(false);
  });
  test('a clock that was set moves everything before along, so that the time that ran stays', () => {
    const steps = wetSteps(
      600,
      'ten-each-minute',
      usualWetChoice({ remJet: false, longSoak: false, fixMin: 4, carbonateBrew: true }),
    );
    const events: RunEvent[] = [begin(0, 0), begin(1, 60_000), { kind: 'clock', seconds: 7200, atMs: 7_320_000 }];
    const { stepStartMs, startedMs, tookS } = runProgress(steps, events);
    expect([stepStartMs, startedMs, tookS[0]]).toEqual([7_260_000, 7_200_000, 60]);
  });
});

describe('a run from its events', () => {
  const steps = wetSteps(
    600,
    'ten-each-minute',
    usualWetChoice({ remJet: false, longSoak: false, fixMin: 4, carbonateBrew: true }),
  );
  const at = (seconds: number): number => 1_000_000_000_000 + seconds * 1000;
  const begin = (stepIndex: number, seconds: number): RunEvent => ({ kind: 'begin', stepIndex, atMs: at(seconds) });
  const undo: RunEvent = { kind: 'undo', atMs: at(999) };

  test('nothing has begun', () =>
    expect(runProgress(steps, [])).toMatchObject({ phase: 'ready', stepIndex: 0, canUndo: false }));
  test('each bath ends the one before', () => {
    const progress = runProgress(steps, [begin(0, 0), begin(1, 62), begin(2, 670)]);
    expect(progress).toMatchObject({ phase: 'running', stepIndex: 2, startedMs: at(0) });
    expect(progress.tookS.slice(0, 3)).toEqual([62, 608, null]);
  });
  test('setting the start back moves the clock, and undo takes it back', () => {
    const shift: RunEvent = { kind: 'shift', seconds: -5, atMs: at(70) };
    expect(runProgress(steps, [begin(0, 0), begin(1, 62), shift]).stepStartMs).toBe(at(57));
    expect(runProgress(steps, [begin(0, 0), begin(1, 62), shift, undo]).stepStartMs).toBe(at(62));
  });
  test('a step begun by a slip is undone at its old second', () => {
    const progress = runProgress(steps, [begin(0, 0), begin(1, 62), begin(2, 90), undo]);
    expect(progress).toMatchObject({ stepIndex: 1, stepStartMs: at(62) });
    expect(progress.tookS[1]).toBeNull();
  });
  test('undo below nothing is harmless, and notes are not undone', () => {
    const note: RunEvent = { kind: 'note', text: 'late pour', atMs: at(3) };
    expect(runProgress(steps, [undo, undo, note])).toMatchObject({
      phase: 'ready',
      canUndo: false,
      notes: [{ text: 'late pour' }],
    });
  });
  test('the end', () => {
    const progress = runProgress(steps, [begin(0, 0), { kind: 'finish', atMs: at(100) }]);
    expect(progress).toMatchObject({ phase: 'finished', finishedMs: at(100) });
    expect(progress.tookS[0]).toBe(100);
  });
  test('the clock comes from instants: a sleep of seven minutes is seven minutes', () => {
    const develop = steps[1];
    if (develop === undefined) throw new Error('no development');
    const before = stepView(develop, at(62), at(92));
    const after = stepView(develop, at(62), at(92 + 420));
    expect(before.remainingS - after.remainingS).toBe(420);
    expect(before).toMatchObject({ over: false, nextTurnS: 30 });
    expect(stepView(develop, at(0), at(588)).pourOut).toBe(true);
    expect(stepView(develop, at(0), at(612))).toMatchObject({ over: true, remainingS: -12 });
  });
});
