import { describe, expect, test } from 'vitest';
import type { Brew } from '../records/records';
import { ordinaryKit } from '../kit/kit';
import { demoInputs } from '../testing/demoInputs';
import { sampleBrew } from '../testing/sampleBrew';
import { shoppingList } from './shoppingList';

const HOUR_MS = 3_600_000;
const fixer = (films: number): Brew =>
  sampleBrew(0, { id: `fixer-${films}`, use: 'fixer', developer: null, volumeMl: 1000, films });
const roll = (id: string) => ({ rollId: id, label: `Roll ${id}`, formatId: '135' as const, plan: demoInputs.plan });

describe('before the next evening', () => {
  test('powders of all batches add up, and what each is for is named', () => {
    const one = shoppingList([roll('a')], [], ordinaryKit, HOUR_MS);
    const two = shoppingList([roll('a'), roll('b')], [], ordinaryKit, HOUR_MS);
    expect(one.have.length).toBeGreaterThan(0);
    for (const { name, amount } of one.have)
      expect(two.have.find((part) => part.name === name)?.amount).toBeCloseTo(2 * amount, 6);
    expect(two.mix.filter(({ volumeMl }) => volumeMl !== null).map(({ labels }) => labels)).toEqual([
      ['Roll a'],
      ['Roll b'],
    ]);
  });
  test('a fixer that still takes them all is not mixed again; one that does not is', () => {
    const names = (brews: Brew[]) =>
      shoppingList([roll('a'), roll('b')], brews, ordinaryKit, HOUR_MS).mix.map(({ name, why }) => [name, why]);
    expect(names([fixer(2)]).filter(([name]) => name === 'Fixer')).toEqual([]);
    expect(names([fixer(11)])).toContainEqual(['Fixer', 'the jugs here do not take so many']);
    expect(names([fixer(12)])).toContainEqual(['Fixer', 'what is here is spent']);
    expect(names([])).toContainEqual(['Fixer', 'none here']);
  });
  test('a roll whose jug stands there wants no other', () => {
    const jug = { ...fixer(0), id: 'jug', use: 'film-developer' as const };
    const one = roll('a');
    const { mix, have } = shoppingList(
      [{ ...one, plan: { ...one.plan, brewId: 'jug' } }],
      [jug, fixer(0)],
      ordinaryKit,
      HOUR_MS,
    );
    expect(have).toEqual([]);
    expect(mix.every(({ volumeMl }) => volumeMl === null)).toBe(true);
  });
  test('nothing waits, nothing is wanted', () =>
    expect(shoppingList([], [], ordinaryKit, 0)).toEqual({ mix: [], have: [] }));
});
