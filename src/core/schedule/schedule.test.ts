import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { stopSchoolIds } from '../fixing/stopSchools';
import { fixMinFromClearing, usualFixMin } from '../fixing/fixTime';
import { washSchoolIds } from '../fixing/washSchools';
import { agitationCues, handsAt } from './agitationCues';
import { agitationSchoolIds, agitationSchools } from './agitationSchools';
import type { RunEvent } from './runEvents';
import { isSamePress, runProgress, tankView } from './runState';
import { usualWetChoice, wetStepSchema, wetSteps } from './wetSteps';

const starts = (id: keyof typeof agitationSchools, seconds: number): number[] =>
  agitationCues(agitationSchools[id], seconds).map((cue) => cue.startS);

describe('when hands move (common practice, worked by hand)', () => {
  test('first 30 s, then 10 s each minute', () => expect(starts('ten-each-minute', 240)).toEqual([0, 60, 120, 180]));
  test('first 30 s, rest 20 s, 10 s to the minute, then the last 10 s of each minute', () => {
    const cues = agitationCues(agitationSchools['last-ten-each-minute'], 240);
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
    expect(agitationCues(agitationSchools.continuous, 600)).toEqual([{ startS: 0, endS: 588, turns: null }]));
  test('inversions are counted', () =>
    expect(agitationCues(agitationSchools['ten-then-three'], 200).map((cue) => cue.turns)).toEqual([10, 3, 3, 3]));
  test('cues never overlap, stay within development and leave the pour-out still (property)', () => {
    fc.assert(
      fc.property(fc.constantFrom(...agitationSchoolIds), fc.integer({ min: 30, max: 7200 }), (id, seconds) => {
        const cues = agitationCues(agitationSchools[id], seconds);
        cues.forEach((cue, index) => {
          expect(cue.endS).toBeGreaterThan(cue.startS);
          expect(cue.endS).toBeLessThanOrEqual(seconds);
          expect(cue.startS).toBeGreaterThanOrEqual(cues[index - 1]?.endS ?? 0);
          if (cue.startS > 0) expect(cue.startS).toBeLessThanOrEqual(seconds - 15);
        });
      }),
    );
  });
  test('a moment has its hands', () => {
    const cues = agitationCues(agitationSchools['ten-each-minute'], 240);
    expect(handsAt(cues, 5).current?.startS).toBe(0);
    expect(handsAt(cues, 45)).toMatchObject({ current: null, next: { startS: 60 } });
    expect(handsAt(cues, 230).next).toBeNull();
  });
});

describe('wet steps', () => {
  const choice = usualWetChoice({ remJet: false, longSoak: false, fixMin: 4, carbonateBrew: true });
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
    const before = tankView(develop, at(62), at(92));
    const after = tankView(develop, at(62), at(92 + 420));
    expect(before.remainingS - after.remainingS).toBe(420);
    expect(before).toMatchObject({ over: false, nextTurnS: 30 });
    expect(tankView(develop, at(0), at(588)).pourOut).toBe(true);
    expect(tankView(develop, at(0), at(612))).toMatchObject({ over: true, remainingS: -12 });
  });
});
