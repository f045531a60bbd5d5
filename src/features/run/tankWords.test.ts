import { describe, expect, test } from 'vitest';
import { tankView } from '@/core/schedule/runState';
import { usualWetChoice, wetSteps, type WetStep } from '@/core/schedule/wetSteps';
import { handsWords, nextWords, signalOf } from './tankWords';

const steps = wetSteps(
  600,
  'four-each-minute',
  usualWetChoice({ remJet: false, longSoak: false, fixMin: 4, carbonateBrew: true }),
);
const [soak, develop, rinse] = steps as [WetStep, WetStep, WetStep];
const at = (step: WetStep, seconds: number) => tankView(step, 0, seconds * 1000);

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
    expect(handsWords(soak, at(soak, 5))).toBe('Fill with water at working temperature');
    expect(signalOf(soak, at(soak, 5))).toBeNull();
  });
  test('what comes next', () => {
    expect(nextWords(at(develop, 30), rinse)).toBe('to pour out, then rinse 1 of 3. Next turns in 0:30.');
    expect(nextWords(at(develop, 605), rinse)).toBe('late; next: rinse 1 of 3.');
    expect(nextWords(at(develop, 580), undefined)).toBe('to pour out, then hang it up.');
  });
});
