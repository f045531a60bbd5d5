import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { readDilution } from './readDilution';

const usual = { concentrate: 1, water: 31 };
const parts = (text: string): string => {
  const read = readDilution(text, usual);
  return read.ok ? `${read.value.parts.concentrate}+${read.value.parts.water}` : `? ${read.problems[0]?.message ?? ''}`;
};
const other = (text: string): string | null => {
  const read = readDilution(text, usual);
  return read.ok && read.value.other !== null
    ? `${read.value.other.parts.concentrate}+${read.value.other.parts.water}`
    : null;
};

describe('dilutions as people write them', () => {
  // Source: common practice, no source.
  test.each([
    ['1+9', '1+9', null],
    [' 1 + 9 ', '1+9', null],
    ['15 ml + 485 ml', '15+485', null],
    ['1:9', '1+9', '1+8'],
    ['1:31', '1+31', '1+30'],
    ['1 to 10', '1+10', '1+9'],
    ['one to ten', '1+10', '1+9'],
    ['1 a 10', '1+10', '1+9'],
    ['15 en 500', '15+485', '15+500'],
    ['1 parte de revelador + 9 de agua', '1+9', null],
    ['4 to 1', '1+4', '4+1'],
    ['15 in 500', '15+485', '15+500'],
    ['15 ml in 1 l', '15+985', '15+1000'],
    ['0.5 l + 500 ml', '500+500', null],
    ['1 l + 9 l', '1+9', null],
    ['1 oz in 32 oz', '1+31', '1+32'],
    ['10 ml to 1 litre', '10+1000', '10+990'],
    ['2 fl oz + 500 ml', '59.15+500', null],
    ['1 part + 1 l', '1+1', null],
    ['1/32', '1+31', '1+32'],
    ['2,5 in 100', '2.5+97.5', '2.5+100'],
    ['3 %', '3+97', null],
    ['half strength', '1+63', null],
    ['quarter-strength', '1+127', null],
    ['2x', '1+15', null],
    ['½ strength', '1+63', null],
    ['2/3 strength', '1+47', null],
    ['50 % strength', '1+63', null],
    ['two/three strength', '1+47', null],
    ['undiluted', '1+0', null],
    ['1:1', '1+1', null],
  ])('%s is %s, or %s', (text, first, second) => {
    expect(parts(text)).toBe(first);
    expect(other(text)).toBe(second);
  });
  test.each([
    ['', /Write the dilution/],
    ['strong', /“strong” does not read as a dilution/],
    ['500 in 15', /500 does not fit into 15/],
    ['150 %', /150 % is more than the whole/],
    ['2 l in 500 ml', /2000 does not fit into 500/],
    ['0+9', /more than 0 parts/],
    ['1/0 strength', /must be more than 0|stronger/],
    ['0 % strength', /must be more than 0/],
    ['64x', /stronger than the concentrate itself/],
    ['1+', /does not read/],
  ])('“%s” is told what is wrong', (text, sentence) => expect(parts(text)).toMatch(sentence));
  test('whatever is typed, it is a dilution or a sentence', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = readDilution(text, usual);
        if (read.ok) expect(read.value.parts.concentrate > 0 && read.value.parts.water >= 0).toBe(true);
        else expect(read.problems[0]?.message).toMatch(/\.$/);
      }),
    );
  });
});
