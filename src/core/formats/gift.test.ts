import { deflateSync, strToU8 } from 'fflate';
import { expect, test } from 'vitest';
import { formulary, formularyIds } from '../brewing/formulary';
import type { Recipe } from '../brewing/recipe';
import { demoInputs } from '../testing/demoInputs';
import { choicesOfGift, giftFromFragment, giftOfNote, giftOfPlan, giftToFragment, type Gift } from './gift';

const recipe = { ...formulary['coffee-standard'], lines: [...formulary['coffee-standard'].lines] };
const plain = ({ name, use, lines }: Pick<Recipe, 'name' | 'use' | 'lines'>): Gift => ({
  kind: 'recipe',
  recipe: { name, use, lines, note: 'Tante Ø’s words: “stir”, 20 °C & more' },
});

test('every recipe of the formulary goes into an address and comes back, short enough for one code', () => {
  for (const id of formularyIds) {
    const gift = plain({ ...formulary[id], lines: [...formulary[id].lines] });
    const fragment = giftToFragment(gift);
    expect(giftFromFragment(`#${fragment}`), id).toEqual({ ok: true, value: gift });
    // A code of version 25 holds 1,273 bytes (published: ISO/IEC 18004, table of capacities).
    expect(fragment.length, id).toBeLessThan(1273);
    expect(fragment).toMatch(/^gift=1\.[\w-]+$/);
  }
});

test('an address without a gift is none', () => {
  for (const fragment of ['', '#', '#ask=1&film=x', 'regift=1.x']) expect(giftFromFragment(fragment)).toBeNull();
});

const packed = (value: unknown): string =>
  `gift=1.${btoa(String.fromCharCode(...deflateSync(strToU8(JSON.stringify(value)))))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '')}`;

test.each([
  ['cut off', giftToFragment(plain(recipe)).slice(0, 60)],
  ['of another version', 'gift=2.abc'],
  ['no letters of it', 'gift=1.%%%'],
  ['far too long', `gift=1.${'A'.repeat(13_000)}`],
  ['something else', packed({ kind: 'roll' })],
  ['a recipe with a wrong part', packed({ kind: 'recipe', recipe: { ...recipe, use: 'lunch' } })],
  ['one that unpacks without end', packed('x'.repeat(2_000_000))],
])('an address that is %s is refused', (_, fragment) => {
  const read = giftFromFragment(fragment);
  expect(read?.ok).toBe(false);
  expect(read?.ok === false && read.problems[0]?.message).toMatch(/[.]$/);
});

test('a lab note comes back as it went, and one that is too long says that it was cut', () => {
  const note = giftOfNote('Tin 3', `# Tin 3\n\n${'- Time: 13:00; 80 % likely between 11 and 15 min\n'.repeat(40)}`);
  expect(giftFromFragment(giftToFragment(note))).toEqual({ ok: true, value: note });
  const long = giftOfNote('Tin 3', Array.from({ length: 4000 }, (_, at) => `${at * 7919}`).join(' '));
  expect(long.text.endsWith('ask for the file.)')).toBe(true);
  expect(giftFromFragment(giftToFragment(long))).toEqual({ ok: true, value: long });
});

test('a plan comes back as it is done, without what belongs to its own bench, and short enough for one code', () => {
  const { plan } = demoInputs;
  const gift = giftOfPlan('Hold in coffee', { ...plan, brewId: 'a jug', muted: ['a test'], ownTimeMin: 9 });
  const fragment = giftToFragment(gift);
  expect(fragment.length).toBeLessThan(2200);
  const back = giftFromFragment(`#${fragment}`);
  expect(back).toEqual({ ok: true, value: gift });
  expect(Object.keys(gift.plan)).not.toContain('rollId');
  const choices = choicesOfGift(gift);
  expect(choices).toMatchObject({ brewId: null, muted: [], ownTimeMin: null, knownTime: null });
  expect(choices).toMatchObject({ developer: plan.developer, baths: plan.baths, temperatureC: plan.temperatureC });
});
