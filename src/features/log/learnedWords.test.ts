import { describe, expect, test } from 'vitest';
import type { LearnedFactor } from '@/core/learning/learnedFactors';
import { agreementWords, eyeWords, factorName, factorWords, heldWords, wideningWords } from './learnedWords';

const factor = (part: Partial<LearnedFactor>): LearnedFactor => ({
  kind: 'stock',
  key: 'larkholm',
  factor: 1.2,
  low: 1.05,
  high: 1.4,
  priorLow: 0.8,
  priorHigh: 1.25,
  pieces: 3,
  ...part,
});
const stocks = new Map([['larkholm', 'Larkholm Pan 200']]);

describe('what was learned, in words', () => {
  test('how the bands held', () => {
    expect(heldWords({ runs: 10, inside: 8, tooFew: false, widening: 1 })).toBe(
      '8 of your last 10 landed in the likely range.',
    );
    expect(heldWords({ runs: 10, inside: 3, tooFew: true, widening: 1.6 })).toMatch(/^Only 3 of your last 10/);
    expect(wideningWords({ widening: 1.6 })).toMatch(/^Likely ranges are drawn 1\.6 times as wide/);
    expect(wideningWords({ widening: 1 })).toBeNull();
  });
  test.each<[Partial<LearnedFactor>, string]>([
    [{}, 'Larkholm Pan 200'],
    [{ key: 'gone' }, 'A film'],
    [{ kind: 'developer', key: 'instant-coffee' }, 'Instant coffee'],
    [{ kind: 'developer', key: 'p-aminophenol' }, 'p-Aminophenol concentrate'],
    [{ kind: 'developer', key: 'other heather tea' }, 'heather tea'],
    [{ kind: 'pair', key: 'larkholm|instant-coffee' }, 'Larkholm Pan 200 in instant coffee'],
    [{ kind: 'school', key: 'own {}' }, 'Your own agitation'],
  ])('%j is %s', (part, name) => expect(factorName(factor(part), stocks)).toBe(name));
  test('a factor with its band; an eye in grades', () => {
    expect(factorWords(factor({}))).toBe('× 1.20 (1.05–1.40), 3 pieces');
    expect(factorWords(factor({ kind: 'eye', factor: -0.3, low: -0.8, high: 0.2, pieces: 1 }))).toMatch(
      /0\.3 grades softer than it is .* from 1 piece\./,
    );
  });
});

test('how steady an eye is, and a second look beside the first', () => {
  expect(eyeWords({ sdGrades: 0.83, repeats: 0 })).toMatch(/assumes 0.8 of a grade/);
  expect(eyeWords({ sdGrades: 0.61, repeats: 1 })).toMatch(/scatter by 0.6 of a grade, from 1 repeat; 0.8 is usual/);
  expect(agreementWords(0, 0)).toBe('the same as the first time.');
  expect(agreementWords(0, 1)).toBe('a grade harder than the first time.');
  expect(agreementWords(1, -1)).toBe('2 grades softer than the first time.');
});
