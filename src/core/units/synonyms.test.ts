import { expect, test } from 'vitest';
import { searchWords } from './synonyms';

const finds = (wanted: string, line: string): boolean =>
  searchWords(wanted).every((any) => any.some((word) => line.includes(word)));

test.each([
  ['vitamin c', 'soda, ascorbic acid, coffee', true],
  ['monobath', 'one-bath developer-fixer', true],
  ['hypo', 'hut fixer', true],
  ['soda crystals', 'washing soda, crystals', true],
  ['Washing  Soda', 'sodium carbonate', true],
  ['pyro kitchen', 'staining developer, kitchen window', true],
  ['pyro kitchen', 'staining developer', false],
  ['halvard', 'Larkholm', false],
  ['', 'anything', true],
])('“%s” in “%s”: %s', (wanted, line, found) => expect(finds(wanted, line.toLowerCase())).toBe(found));

test('a phrase is taken whole before its words', () =>
  expect(searchWords('baking soda tin')).toEqual([['baking soda', 'bicarbonate'], ['tin']]));
