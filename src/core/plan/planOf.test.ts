import { describe, expect, test } from 'vitest';
import { planOf } from './planOf';

describe('the plan of a roll that a merge gave two', () => {
  const old = { id: 'z', updatedMs: 1 };
  const late = { id: 'a', updatedMs: 2 };
  test('is the one changed last, in whatever order they come', () => {
    expect(planOf([old, late])).toBe(late);
    expect(planOf([late, old])).toBe(late);
  });
  test('of two changed at once always the same', () => {
    const twin = { id: 'b', updatedMs: 2 };
    expect(planOf([late, twin])).toBe(twin);
    expect(planOf([twin, late])).toBe(twin);
  });
  test('of none there is none', () => expect(planOf([])).toBeUndefined());
});
