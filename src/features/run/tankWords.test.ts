import { describe, expect, test } from 'vitest';
import { stepView } from '@/core/run/runProgress';
import { bathsOf, usualWetChoice } from '@/core/plan/wetProcess';
import { agitationSchools } from '@/core/schedule/agitationSchools';
import { wetSteps, type WetStep } from '@/core/schedule/wetSteps';
import { handsWords, missedWords, nextWords, primaryWords, signalOf, slipWords, spokenWords } from './tankWords';

const steps = wetSteps(
  600,
  agitationSchools['four-each-minute'].movement,
  bathsOf(usualWetChoice({ remJet: false, longSoak: false, fixMin: 4, carbonateBrew: true })),
);
const [soak, develop, rinse] = steps as [WetStep, WetStep, WetStep];
const at = (step: WetStep, seconds: number) => stepView(step, 0, seconds * 1000);

describe('what the hands read', () => {
  test.each([
    [2, 'Turn the tank over, 4 times', 'move'],
    [30, 'Leave it still', 'still'],
    [62, 'Turn the tank over, 4 times', 'move'],
    [590, 'Start pouring out', 'pour'],
    [601, 'Pour out', 'over'],
  ])('developing, after %d s', (seconds, words, signal) => {
    expect(handsWords(develop, at(develop, seconds))).toBe(words);
    expect(signalOf(develop, at(develop, seconds))).toBe(signal);
  });
  test('a bath without turns says what to do, and stays silent', () => {
    expect(handsWords(soak, at(soak, 5))).toBe('Fill with water and leave it still');
    expect(signalOf(soak, at(soak, 5))).toBeNull();
  });
  test('what comes next', () => {
    expect(nextWords(at(develop, 30), rinse)).toBe('to pour out, then rinse 1 of 3. Next turns in 0:30.');
    expect(nextWords(at(develop, 605), rinse)).toBe('Late. Next: rinse 1 of 3.');
    expect(nextWords(at(develop, 580), undefined)).toBe('to pour out, then hang it up.');
  });
});

describe('what is said of a late hand, and of signals', () => {
  const band = { lowMin: 11.1667, highMin: 22 };
  test.each([
    [{ seconds: 20, small: true, grades: 0.05 }, '20 s late: small beside the doubt (11:10–22:00).'],
    [{ seconds: 180, small: false, grades: 0.5 }, '3:00 min late: about half a grade harder.'],
    [{ seconds: -45, small: false, grades: -1.1 }, '45 s early: about a grade softer.'],
    [{ seconds: 200, small: false, grades: 0.1 }, '3:20 min late: hardly harder.'],
    [{ seconds: 200, small: false, grades: 2.4 }, '3:20 min late: about 2.5 grades harder.'],
    [{ seconds: -200, small: false, grades: null }, '3:20 min early: softer and thinner than planned.'],
  ])('%j', (slip, words) => expect(slipWords(slip, band)).toBe(words));
  test('signals that were missed: the last by its name, the others by their number', () => {
    expect(missedWords([])).toBe('');
    expect(missedWords([{ atS: 55, kind: 'ready' }])).toBe('');
    expect(
      missedWords([
        { atS: 60, kind: 'move' },
        { atS: 70, kind: 'still' },
      ]),
    ).toBe('This page was asleep and missed “rest” at 1:10 and 1 more.');
  });
  test('a signal said aloud names the movement', () => {
    expect(spokenWords(develop, 'move', 60)).toBe('Turn the tank over, 4 times');
    expect(['ready', 'still', 'pour', 'over'].map((kind) => spokenWords(develop, kind as 'ready', 0))).toEqual([
      'Get ready',
      'Rest',
      'Start pouring out',
      'Time is up',
    ]);
  });
  test('the primary button', () => {
    expect(primaryWords('ready', 'Pre-soak', false)).toBe('Pre-soak is in: start');
    expect(primaryWords('running', undefined, false)).toBe('Hung to dry');
    expect(primaryWords('finished', undefined, true)).toBe('Another practice run');
  });
});
