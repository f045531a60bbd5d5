import { describe, expect, test } from 'vitest';
import { findAnswers, handbookAnswers } from './answers';

describe('the handbook, asked in people’s own words', () => {
  test.each([
    ['milk', /Milky/],
    ['purple', /Purple/],
    ['curl', /Curled/],
    ['smel', /smells/],
    ['pink cast', /Purple/],
    ['drops', /Drying marks/],
    ['light leak', /Black line/],
    ['base', /Base \+ fog/],
    ['restr', /Restrainer/],
  ])('the first letters of “%s” find their answer first', (typed, title) => {
    expect(findAnswers(typed)[0]?.title).toMatch(title);
  });
  test('cautions and recipes are among it', () => {
    expect(findAnswers('nitrate').map(({ kind }) => kind)).toContain('Caution');
    expect(findAnswers('coffee').map(({ kind }) => kind)).toContain('Recipe');
  });
  test('nothing typed and nonsense find nothing; every word must be found', () => {
    expect(findAnswers('  ')).toEqual([]);
    expect(findAnswers('zzqx')).toEqual([]);
    expect(findAnswers('milky zzqx')).toEqual([]);
  });
  test('nothing is listed twice', () => {
    const titles = handbookAnswers.map(({ kind, title }) => `${kind} ${title}`);
    expect(new Set(titles).size).toBe(titles.length);
  });
});
