import { afterEach, describe, expect, test } from 'vitest';
import { dayOf, eveningZeroMs, movedTo, readEveningForm, type EveningForm } from '@/core/evening/eveningForm';
import { eveningRoll } from '@/core/evening/eveningWish';
import type { Plan, Roll } from '@/core/records/records';
import { clockTime, problemWords, shiftWords } from './eveningWords';

const ZERO = new Date(2026, 5, 12).getTime();
const form: EveningForm = { from: '18:30', tanks: 1, reel: 'plastic', waterH: 2, order: [] };

describe('an evening as typed', () => {
  test.each([
    ['18:30', 1110],
    ['7', 420],
    ['19.05', 1145],
    ['0:00', 0],
  ])('hands free from %s', (from, fromMin) =>
    expect(readEveningForm({ ...form, from }, ZERO)).toMatchObject({ ok: true, value: { fromMin, waterMin: 120 } }),
  );
  test.each([
    [{ from: '25:00' }, 'from'],
    [{ from: 'seven' }, 'from'],
    [{ tanks: 0 }, 'tanks'],
    [{ tanks: 1.5 }, 'tanks'],
    [{ waterH: '' }, 'waterH'],
  ])('%j is told at its field', (part, path) =>
    expect(readEveningForm({ ...form, ...part }, ZERO)).toMatchObject({ ok: false, problems: [{ path }] }),
  );
  test('a roll goes one place earlier, and the first stays', () => {
    expect(movedTo(['a', 'b', 'c'], 'c', 'b')).toEqual(['a', 'c', 'b']);
    expect(movedTo(['a', 'b', 'c'], 'a', 'c')).toEqual(['b', 'c', 'a']);
    expect(movedTo(['a', 'b'], 'a', 'gone')).toEqual(['a', 'b']);
  });
  test('a roll without a pinned time does not come', () => {
    const roll = { id: 'x', label: 'x', formatId: '120' } as Roll;
    expect(eveningRoll({ roll, plan: undefined, brew: undefined, run: undefined }, 0)).toBeNull();
    expect(eveningRoll({ roll, plan: { pinned: null } as Plan, brew: undefined, run: undefined }, 0)).toBeNull();
  });
});

describe('an evening on the clock on the wall', () => {
  const before = process.env.TZ;
  afterEach(() => {
    process.env.TZ = before;
  });
  test.each([
    ['when clocks go forward', [2026, 2, 29], 17.5],
    ['when clocks go back', [2026, 9, 25], 19.5],
    ['on any other day', [2026, 5, 12], 18.5],
  ] as const)('18:30 is 18:30 on a day %s', (_what, [year, month, day], hours) => {
    process.env.TZ = 'Europe/Vienna';
    const zeroMs = new Date(year, month, day).getTime();
    const read = readEveningForm(form, zeroMs);
    expect(read.ok && read.value.fromMin).toBe(hours * 60);
    expect(clockTime(zeroMs, hours * 60)).toBe('18:30');
  });
  test('it goes on past midnight, and the next morning is another day', () => {
    const laid = new Date(2026, 5, 12, 15).getTime();
    const evening = { from: '19:00', day: dayOf(laid) };
    const at = (day: number, hour: number): string =>
      dayOf(eveningZeroMs(evening, new Date(2026, 5, day, hour).getTime()));
    expect([at(12, 15), at(12, 23), at(13, 1), at(13, 8)]).toEqual(Array(4).fill('2026-06-12'));
    expect(at(13, 10)).toBe('2026-06-13');
    expect(dayOf(eveningZeroMs({ from: '19:00' }, laid))).toBe('2026-06-12');
    expect(dayOf(eveningZeroMs({ from: '19:00', day: 'nonsense' }, laid))).toBe('2026-06-12');
  });
});

describe('an evening in words', () => {
  test('the clock on the wall, also before and after midnight', () =>
    expect([1110, -30, 1445].map((minutes) => clockTime(ZERO, minutes))).toEqual(['18:30', '23:30', '00:05']));
  test('what was moved, and why', () => {
    expect(shiftWords({ what: 'Tin', byMin: 0.5, why: 'pours' })).toBe(
      'Tin waits 30 s, so that no two baths are poured within half a minute.',
    );
    expect(shiftWords({ what: 'Tin', byMin: 40, why: 'tank' })).toMatch(/^Tin waits 40 min, until a tank is free/);
  });
  test('what moving does not mend', () => {
    expect(problemWords({ what: 'Tin', why: 'spent', left: 0.31 })).toMatch(/spent by then \(31 %/);
    expect(problemWords({ what: 'Tin', why: 'weak', left: 0.6 })).toMatch(/down to 60 %/);
  });
});
