import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { movementCues } from '../schedule/agitationCues';
import { bursts, seconds } from '../schedule/movement';
import { READY_S, tankSignals } from './tankSignals';

describe('signals of a step (common practice, worked by hand)', () => {
  test('3 min, 30 s and then 10 s each minute', () => {
    const cues = movementCues(bursts(seconds(30), [60, 'start', seconds(10)]), 180);
    expect(tankSignals({ durationS: 180, cues }).map(({ atS, kind }) => [atS, kind])).toEqual([
      [30, 'still'],
      [55, 'ready'],
      [60, 'move'],
      [70, 'still'],
      [115, 'ready'],
      [120, 'move'],
      [130, 'still'],
      [163, 'ready'],
      [168, 'pour'],
      [180, 'over'],
    ]);
  });
  test('a short bath has an end and no pouring of its own', () =>
    expect(tankSignals({ durationS: 20, cues: [] })).toEqual([{ atS: 20, kind: 'over' }]));
  test('movement without a rest runs into the pouring, and is not told to stop', () =>
    expect(
      tankSignals({ durationS: 60, cues: [{ startS: 0, endS: 48, turns: null }] }).map(({ kind }) => kind),
    ).toEqual(['pour', 'over']));
  test('a rinse until it is clear has no end', () =>
    expect(tankSignals({ durationS: 120, cues: [], untilClear: true })).toEqual([]));
  test('they come in order, within the step, and hands are told in time (property)', () =>
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 4500 }), fc.integer({ min: 10, max: 300 }), (durationS, periodS) => {
        const cues = movementCues(bursts(seconds(5), [periodS, 'start', seconds(5)]), durationS);
        const signals = tankSignals({ durationS, cues });
        for (let at = 1; at < signals.length; at++)
          expect(signals[at]?.atS ?? 0).toBeGreaterThanOrEqual(signals[at - 1]?.atS ?? 0);
        expect(signals.at(-1)).toEqual({ atS: durationS, kind: 'over' });
        for (const { atS } of signals.filter(({ kind }) => kind === 'ready'))
          expect(signals.some((other) => other.atS === atS + READY_S && other.kind !== 'still')).toBe(true);
      }),
    ));
});
