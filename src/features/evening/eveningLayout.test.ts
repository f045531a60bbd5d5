import { expect, test } from 'vitest';
import type { EveningItem } from '@/core/evening/evening';
import { eveningLayout } from './eveningLayout';

const item = (id: string, lane: EveningItem['lane'], startMin: number, endMin: number): EveningItem =>
  ({ id, lane, startMin, endMin, what: id, ahead: false }) as EveningItem;

test('minutes go downward to scale, overlapping bars stand side by side, and words never overlap', () => {
  const items = [
    item('mix', 'kitchen', 10, 30),
    item('stand', 'kitchen', 12, 60),
    item('warm', 'kitchen', 13, 14),
    item('develop', 'roll:a', 40, 55),
  ];
  const { firstMin, lastMin, pxPerMin, heightPx, marks, columns } = eveningLayout(items, [
    { lane: 'kitchen' },
    { lane: 'roll:a' },
  ]);
  expect([firstMin, lastMin]).toEqual([0, 60]);
  expect(marks).toEqual([0, 30, 60]);
  expect(heightPx).toBeGreaterThanOrEqual(60 * pxPerMin);
  const [kitchen, roll] = columns;
  expect(kitchen?.items.map(({ deep }) => deep)).toEqual([0, 1, 2]);
  expect(roll?.items[0]).toMatchObject({ topPx: 40 * pxPerMin, heightPx: 15 * pxPerMin, deep: 0 });
  const words = kitchen?.items.map(({ wordsPx }) => wordsPx) ?? [];
  words.slice(1).forEach((top, at) => expect(top - (words[at] ?? 0)).toBeGreaterThanOrEqual(16));
});

test('a long evening is drawn smaller, with a mark an hour', () => {
  const { pxPerMin, marks } = eveningLayout([item('a', 'kitchen', 0, 590)], [{ lane: 'kitchen' }]);
  expect(pxPerMin).toBeCloseTo(760 / 600, 6);
  expect(marks[1]).toBe(60);
});
