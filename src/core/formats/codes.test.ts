import fc from 'fast-check';
import { encode } from 'uqr';
import { expect, test } from 'vitest';
import { codesOf, fileOfCodes, fromBase45, toBase45, withCode, type CodesRead } from './codes';

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);

test.each([
  ['AB', 'BB8'],
  ['Hello!!', '%69 VD92EX0'],
  ['base-45', 'UJCLQE7W581'],
  ['ietf!', 'QED8WEX0'],
])('%s in Base45, as RFC 9285 has it', (plain, coded) => {
  expect(toBase45(bytesOf(plain))).toBe(coded);
  expect(fromBase45(coded)).toEqual(bytesOf(plain));
});

test('what is no Base45 is refused: RFC 9285 names “GGW” as too large', () => {
  expect(fromBase45('GGW')).toBeNull();
  expect(fromBase45('A')).toBeNull();
  expect(fromBase45('ab8')).toBeNull();
});

test('a file comes back from its codes in any order, with any of them read twice and strangers between', () => {
  fc.assert(
    fc.property(
      fc.uint8Array({ minLength: 0, maxLength: 4000 }),
      fc.infiniteStream(fc.nat()),
      fc.string(),
      (file, draws, stranger) => {
        const codes = codesOf(file) ?? [];
        const order = [...codes, ...codes].map((code) => ({ code, at: draws.next().value as number }));
        order.sort((a, b) => a.at - b.at);
        let read: CodesRead | null = null;
        for (const { code } of order) read = withCode(withCode(read, stranger), code);
        expect(read === null ? null : fileOfCodes(read)).toEqual(new Uint8Array(file));
      },
    ),
    { numRuns: 200 },
  );
});

test('codes of another file begin anew, a missing one leaves it open, and a changed one is damaged', () => {
  const [one = '', two = ''] = codesOf(new Uint8Array(500).map((_, index) => index % 251)) ?? [];
  const other = codesOf(bytesOf('another')) ?? [];
  const half = withCode(null, one);
  expect(half === null ? null : fileOfCodes(half)).toBeNull();
  const anew = withCode(half, other[0] ?? '');
  expect(anew === null ? null : fileOfCodes(anew)).toEqual(bytesOf('another'));
  const changed = withCode(
    half,
    two.replace(/.$/, (letter) => (letter === '0' ? '1' : '0')),
  );
  expect(changed === null ? null : fileOfCodes(changed)).toBe('damaged');
  for (const odd of ['AETAS1/AB/3/2/X', 'AETAS1/AB/0/2/X', 'AETAS1/AB/1/99/X', 'AETAS1//1/1/X'])
    expect(withCode(null, odd)).toBeNull();
});

test('a code takes its letters in the mode that needs least room', () => {
  const [one = ''] = codesOf(new Uint8Array(320).map((_, index) => (index * 37) % 256)) ?? [];
  // 480 letters and a heading: a code of version 12 holds 535 of them (published: ISO/IEC 18004, table of capacities).
  expect(encode(one, { ecc: 'L', boostEcc: false }).version).toBeLessThanOrEqual(12);
});
