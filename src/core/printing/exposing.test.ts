import { describe, expect, test } from 'vitest';
import { beatsOf, exposingNow, printSteps, settled, spokenStep, stripSteps, type Exposing } from './exposing';
import { printPlan } from './printPlan';
import { testStrip } from './testStrip';

const strip: Exposing = { steps: stripSteps(testStrip(4, { kind: 'stops', stops: 1 }, 3)), at: 0, onSinceMs: 1000 };

describe('the lamp', () => {
  test('is on for its time, and then the next step waits: a page that was away finds the same', () => {
    expect(exposingNow(strip, 2000)).toMatchObject({ on: true, leftS: 3 });
    expect(exposingNow(strip, 5000)).toMatchObject({ on: false, leftS: 4, step: { words: 'Patch 1 covered' } });
    expect(settled(strip, 4999)).toBe(strip);
    expect(settled(strip, 5000)).toMatchObject({ at: 1, onSinceMs: null });
    expect(exposingNow({ ...strip, at: 2, onSinceMs: 0 }, 99_000)).toMatchObject({ step: null, on: false });
  });
  test('what is held back is held at the end of the base, and named while it is', () => {
    const steps = printSteps(
      printPlan(10, [
        { where: 'face', stops: -1 },
        { where: 'sky', stops: 1 },
      ]),
    );
    expect(steps.map(({ words, seconds }) => [words, seconds])).toEqual([
      ['The whole paper', 10],
      ['Burn in: sky', 10],
    ]);
    const on: Exposing = { steps, at: 0, onSinceMs: 0 };
    expect(exposingNow(on, 4000).holding).toEqual([]);
    expect(exposingNow(on, 6000).holding).toEqual(['face']);
  });
  test('what the hands do is said before the lamp goes on', () => {
    const steps = printSteps(
      printPlan(10, [
        { where: 'face', stops: -1 },
        { where: 'sky', stops: -3 + 3.1 },
      ]),
    );
    expect(spokenStep(steps[0] ?? null)).toBe('The whole paper. 10 seconds. Hold back face for the last 5 seconds.');
    expect(spokenStep({ words: 'Burn in: sky', seconds: 1.04 })).toBe('Burn in: sky. 1 second.');
    expect(spokenStep(null)).toBe('Lamp off. Into the tray.');
  });
  test('a beat each second, and another sound at the end', () => {
    expect(beatsOf({ words: '', seconds: 3 }, false)).toEqual([
      { kind: 'ready', inS: 1 },
      { kind: 'ready', inS: 2 },
      { kind: 'move', inS: 3 },
    ]);
    expect(beatsOf({ words: '', seconds: 0.4 }, true)).toEqual([{ kind: 'over', inS: 0.4 }]);
    expect(beatsOf({ words: '', seconds: 4, holds: [{ where: 'face', seconds: 1 }] }, true)).toContainEqual({
      kind: 'pour',
      inS: 3,
    });
  });
});
