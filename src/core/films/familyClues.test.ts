import { describe, expect, test } from 'vitest';
import { familiesByClues, familyClues, unknownOf, type ClueId } from './familyClues';
import { stockFamilies, stockFamilyIds, unknownAmong } from './stockFamilies';

describe('a family by what is seen', () => {
  test.each<[ClueId[], string[]]>([
    [['back-black', 'base-orange'], ['cine-colour-negative']],
    [['box-k'], ['colour-reversal-nonsubstantive']],
    [['base-orange', 'back-plain'], ['colour-negative-current']],
    [['base-blue'], ['x-ray']],
    [['box-slides', 'base-clear'], ['colour-reversal-couplers']],
    [['base-blue', 'box-k'], []],
  ])('%j', (seen, families) => expect(familiesByClues(seen)).toEqual(families));
  test('nothing seen leaves every known family; a clue of the same group adds, one of another takes away', () => {
    expect(familiesByClues([])).toHaveLength(stockFamilyIds.length - Object.keys(unknownAmong).length);
    expect(familiesByClues(['box-c', 'box-e']).length).toBeGreaterThan(familiesByClues(['box-c']).length);
    expect(familiesByClues(['box-c', 'base-orange']).length).toBeLessThan(familiesByClues(['box-c']).length);
  });
  test('black backs are those of the table of families', () =>
    expect([...familyClues['back-black'].fits].sort()).toEqual(
      stockFamilyIds.filter((id) => stockFamilies[id].remJet).sort(),
    ));
  test('where several of one kind fit, the unknown of that kind is offered', () => {
    expect(unknownOf(familiesByClues(['box-pan']))).toBe('unknown-monochrome');
    expect(unknownOf(familiesByClues(['box-prints']))).toBe('unknown-colour');
    expect(unknownOf(familiesByClues(['box-c']))).toBeNull();
    expect(unknownOf([])).toBeNull();
  });
});
