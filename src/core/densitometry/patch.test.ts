import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { clearBeside, cornersOf, extendedRow, patchBounds, patchesOf, type Patch, type PatchRow } from './patch';

const row: PatchRow = { first: { x: 0.1, y: 0.5 }, last: { x: 0.9, y: 0.5 }, count: 5, fill: 0.6, across: 0.1 };
const anyRow = fc.record({
  first: fc.record({ x: fc.double({ min: 0, max: 1, noNaN: true }), y: fc.double({ min: 0, max: 1, noNaN: true }) }),
  last: fc.record({ x: fc.double({ min: 0, max: 1, noNaN: true }), y: fc.double({ min: 0, max: 1, noNaN: true }) }),
  count: fc.integer({ min: 2, max: 40 }),
  fill: fc.double({ min: 0.2, max: 1, noNaN: true }),
  across: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
});

describe('a row of patches', () => {
  test('stands at equal distances from its first to its last place, each as long as its share', () => {
    const patches = patchesOf(row);
    expect(patches.map(({ x }) => Math.round(x * 1000) / 1000)).toEqual([0.1, 0.3, 0.5, 0.7, 0.9]);
    expect(
      patches.every(({ along, across, turn }) => Math.abs(along - 0.12) < 1e-9 && across === 0.1 && turn === 0),
    ).toBe(true);
  });
  test('follows its direction: turned, upright and from the other end', () => {
    const [upright] = patchesOf({ ...row, first: { x: 0.5, y: 0.1 }, last: { x: 0.5, y: 0.9 } });
    expect(upright?.turn).toBeCloseTo(Math.PI / 2, 9);
    const back = patchesOf({ ...row, first: row.last, last: row.first });
    const there = patchesOf(row).reverse();
    back.forEach(({ x }, at) => expect(x).toBeCloseTo(there[at]?.x ?? 9, 9));
  });
  test('a lone patch is as long as it is wide, by its share', () => {
    expect(patchesOf({ ...row, count: 1 })).toEqual([{ x: 0.1, y: 0.5, along: 0.06, across: 0.1, turn: 0 }]);
  });
  test('patches of any row do not overlap along it', () => {
    fc.assert(
      fc.property(anyRow, (any) => {
        const patches = patchesOf(any);
        for (let at = 1; at < patches.length; at++) {
          const [a, b] = [patches[at - 1] as Patch, patches[at] as Patch];
          expect(Math.hypot(b.x - a.x, b.y - a.y)).toBeGreaterThanOrEqual((a.along + b.along) / 2 - 1e-9);
        }
      }),
    );
  });
  test('one more at an end keeps the distance and the other end, and taking it off goes back', () => {
    fc.assert(
      fc.property(anyRow, fc.constantFrom('first' as const, 'last' as const), (any, end) => {
        const longer = extendedRow(any, end, 1);
        expect(longer.count).toBe(any.count + 1);
        const other = end === 'first' ? 'last' : 'first';
        expect(longer[other]).toEqual(any[other]);
        const back = extendedRow(longer, end, -1);
        expect(back[end].x).toBeCloseTo(any[end].x, 9);
        expect(back[end].y).toBeCloseTo(any[end].y, 9);
        expect(patchesOf(longer)[1]?.along).toBeCloseTo(patchesOf(any)[1]?.along ?? 9, 9);
      }),
    );
  });
});

describe('a patch in a picture', () => {
  const patch: Patch = { x: 0.5, y: 0.25, along: 0.2, across: 0.1, turn: 0 };
  test('its corners go round its middle', () => {
    expect(cornersOf(patch)).toEqual([
      { x: 0.4, y: 0.2 },
      { x: 0.6, y: 0.2 },
      { x: 0.6, y: 0.3 },
      { x: 0.4, y: 0.3 },
    ]);
    const quarter = cornersOf({ ...patch, turn: Math.PI / 2 });
    expect(Math.max(...quarter.map(({ y }) => y))).toBeCloseTo(0.35, 9);
  });
  test('its part of the picture is whole pixels within it; outside there is none', () => {
    const size = { widthPx: 1000, heightPx: 500 };
    expect(patchBounds(patch, size)).toEqual({ leftPx: 400, topPx: 200, widthPx: 200, heightPx: 100 });
    // Half of it hangs over the edge: what is left is read.
    expect(patchBounds({ ...patch, x: 0 }, size)).toEqual({ leftPx: 0, topPx: 200, widthPx: 100, heightPx: 100 });
    expect(patchBounds({ ...patch, y: 0.9 }, size)).toBeNull();
    expect(patchBounds({ ...patch, x: -1 }, size)).toBeNull();
  });
  test('clear film counts where no patch lies on it', () => {
    const piece = (x: number): Patch => ({ x, y: 0.5, along: 0.04, across: 0.1, turn: 0 });
    expect(clearBeside(row, [piece(0.12), piece(0.99)])?.x).toBe(0.99);
    expect(clearBeside(row, [piece(0.3)])).toBeNull();
    expect(clearBeside(row, [])).toBeNull();
  });
});
