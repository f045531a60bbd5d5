import { describe, expect, test } from 'vitest';
import { agitationSchoolIds, agitationSchools, rateOfMovement } from './agitationSchools';
import { bursts, sameMovement, seconds } from './movement';
import { movementFormOf, readMovementForm } from './movementForm';

const ten = agitationSchools['ten-each-minute'].movement;
const form = movementFormOf({ name: 'Mine', movement: ten });

describe('a movement while it is built', () => {
  test.each(agitationSchoolIds)('%s reads back as it was', (id) => {
    const { movement } = agitationSchools[id];
    expect(readMovementForm(movementFormOf({ name: 'Mine', movement }))).toEqual({
      ok: true,
      value: { name: 'Mine', movement },
    });
  });
  test('without a name it says what it is', () => {
    expect(readMovementForm({ ...form, name: ' ' })).toMatchObject({
      ok: true,
      value: { name: 'First 30 s, then 10 s each minute' },
    });
  });
  test.each([
    ['a period without a length', { everyN: '' }, 'everyN', /how long/],
    ['a length without a period', { everyS: '' }, 'everyS', /how many seconds/],
    ['a first of “long”', { firstN: 'long' }, 'firstN', /Agitation/],
    ['half a turn', { firstN: 2.5, firstUnit: 'turns' as const }, 'firstN', /whole number/],
    ['a wake-up without a minute', { wake: 'at' as const }, 'wakeAtMin', /Wake-up/],
  ])('%s is told at its field', (_what, part, path, sentence) => {
    const read = readMovementForm({ ...form, ...part });
    expect(read.ok ? undefined : read.problems.find((problem) => problem.path === path)?.message).toMatch(sentence);
  });
  test('what is empty is none, and what does not count is not asked for', () => {
    const still = readMovementForm({ ...form, firstN: '', everyS: '', everyN: '' });
    expect(still).toMatchObject({ ok: true, value: { movement: { first: null, every: null }, name: 'Mine' } });
    expect(readMovementForm({ ...form, continuous: true, everyN: '' }).ok).toBe(true);
  });
});

describe('one’s own movement and the schools', () => {
  test('the same movement is the school’s, tapped or not, however its fields are ordered', () => {
    const turned = Object.fromEntries(Object.entries(ten).reverse()) as typeof ten;
    expect(sameMovement(ten, { ...turned, tap: true })).toBe(true);
    expect(rateOfMovement({ ...turned, tap: true })).toMatchObject({ rateFactor: 1, rateLnSd: 0.03 });
  });
  test('a second more is another one, with the spread of one’s own', () => {
    const other = bursts(seconds(30), [60, 'start', seconds(11)]);
    expect(sameMovement(ten, other)).toBe(false);
    expect(rateOfMovement(other).rateLnSd).toBeCloseTo(0.08, 6);
  });
});
