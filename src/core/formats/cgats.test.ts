import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { readCgats, writeCgats } from './cgats';

const table = (middle: string): string =>
  `CGATS.17\nORIGINATOR "a # bench"\n# remark\nNUMBER_OF_FIELDS 2\nBEGIN_DATA_FORMAT\nSAMPLE_ID D_VIS\nEND_DATA_FORMAT\n${middle}`;

describe('CGATS.17, after the grammar of CGATS.17-2009', () => {
  test('reads keywords, remarks, quotes with doubled quotes, and sets over several lines', () => {
    const answer = readCgats(
      'CGATS.17\r\nDESCRIPTOR "a ""wedge"""\r\nBEGIN_DATA_FORMAT\r\nSAMPLE_ID SAMPLE_NAME\r\nD_VIS\r\nEND_DATA_FORMAT\r\nNUMBER_OF_SETS 2\r\nBEGIN_DATA\r\n1 "step ""one""" 0.05 # thin\r\n2 "step two"\r\n1.25\r\nEND_DATA\r\n',
    );
    expect(answer).toEqual({
      ok: true,
      value: [
        { name: 'step "one"', densityD: 0.05, logH: null },
        { name: 'step two', densityD: 1.25, logH: null },
      ],
    });
  });
  test.each([
    ['', /empty/],
    ['hello', /no CGATS.17 table/],
    [table('BEGIN_DATA\n1 0.4\n2\nEND_DATA'), /Line 10.*2 fields.*not whole/],
    [table('BEGIN_DATA\n1 0.4'), /cut off/],
    [table('BEGIN_DATA\n1 dark\nEND_DATA'), /Line 9: “dark” is no density/],
    [table('NUMBER_OF_SETS 3\nBEGIN_DATA\n1 0.4\nEND_DATA'), /promises 3 sets and holds 1/],
    [table('BEGIN_DATA\nEND_DATA'), /holds no patch/],
    [table('BEGIN_DATA\n1 0.4\nEND_DATA').replace('D_VIS', 'LAB_L'), /no density/],
  ])('refuses with a line: %#', (text, words) => {
    const answer = readCgats(text);
    expect(answer.ok ? '' : answer.problems[0]?.message).toMatch(words);
  });
  test('what is written reads back, whatever the names', () => {
    const patch = fc.record({
      name: fc.string({ maxLength: 20 }).map((name) => name.replaceAll(/[\r\n\t]/g, ' ')),
      densityD: fc.integer({ min: 0, max: 4000 }).map((thousandths) => thousandths / 1000),
      logH: fc.integer({ min: -3000, max: 3000 }).map((thousandths) => thousandths / 1000),
    });
    fc.assert(
      fc.property(fc.array(patch, { minLength: 1, maxLength: 12 }), (patches) => {
        const text = writeCgats(patches, { originator: 'Aetas', descriptor: 'a "strip"', created: '2026-11-26' });
        expect(readCgats(text)).toEqual({ ok: true, value: patches });
      }),
    );
  });
});
