import { describe, expect, test } from 'vitest';
import { bathsOf, placeFor, schoolOf, usualWetChoice, withPart } from '../plan/wetProcess';
import { stopSchools } from '../fixing/stopSchools';
import {
  bathFormOf,
  bathFormsOf,
  freeKey,
  movedAmong,
  movedBath,
  readBathForm,
  readBathForms,
  repeatedBath,
} from './bathForm';
import { DEVELOP, readyBathIds, readyBaths } from './baths';

const baths = bathsOf(usualWetChoice({ remJet: false, longSoak: false, fixMin: 4, carbonateBrew: false }));
const forms = bathFormsOf(baths);
const names = (list: readonly { name: string }[]): string[] => list.map(({ name }) => name);

describe('a list of baths while it is written', () => {
  test('reads back as the baths it was made of, and so does every ready-made one', () => {
    expect(readBathForms(forms)).toEqual({ ok: true, value: baths });
    for (const id of readyBathIds)
      expect(readBathForm(bathFormOf(readyBaths[id], 'x'))).toEqual({ ok: true, value: readyBaths[id] });
  });
  test('a bath moves before another, up and down, and to either end', () => {
    const three = forms.slice(0, 3).map((form, index) => ({ ...form, key: `k${index}`, name: 'abc'[index] ?? '' }));
    const after = (key: string, before: number): string => names(movedBath(three, key, before)).join('');
    expect([after('k0', 2), after('k0', 3), after('k2', 0), after('k2', 1), after('k1', 1), after('gone', 0)]).toEqual([
      'bac',
      'bca',
      'cab',
      'acb',
      'abc',
      'abc',
    ]);
  });
  test('up and down are among the baths that are shown: one that a one-bath hides is passed by', () => {
    const four = forms.slice(0, 4).map((form, at) => ({ ...form, key: `k${at}`, name: 'abcd'[at] ?? '' }));
    const moved = (key: string, by: -1 | 1): string => names(movedAmong(four, ['k0', 'k3'], key, by)).join('');
    expect(moved('k3', -1)).toBe('dabc');
    expect(moved('k0', 1)).toBe('bcda');
    expect(moved('k0', -1)).toBe('abcd');
  });
  test('a repeated bath stands after itself under a key of its own', () => {
    const twice = repeatedBath(forms, forms[0]?.key ?? '');
    expect(names(twice).slice(0, 2)).toEqual(['Pre-soak', 'Pre-soak']);
    expect(new Set(twice.map(({ key }) => key)).size).toBe(forms.length + 1);
    expect(forms.some(({ key }) => key === freeKey(forms))).toBe(false);
  });
  test.each([
    ['no name', { name: '  ' }, 'name', /at least one letter/],
    ['no time', { lengthMin: '' }, 'lengthMin', /Length of a bath/],
    ['two days', { lengthMin: 2900 }, 'lengthMin', /1 to 86400 s/],
    ['a turn and a half', { lengthKind: 'turns' as const, turns: 1.5 }, 'turns', /Turns/],
  ])('a bath with %s says which field, and leaves the others alone', (_what, part, field, sentence) => {
    const bad = forms.map((form, index) => (index === 0 ? { ...form, ...part } : form));
    const read = readBathForms(bad);
    expect(read.ok ? [] : read.problems).toEqual([
      expect.objectContaining({ path: `baths.b0.${field}`, message: expect.stringMatching(sentence) }),
    ]);
  });
  test('the developer stands in it once, or it is told', () => {
    for (const list of [forms.filter(({ kind }) => kind !== 'develop'), [...forms, bathFormOf(DEVELOP, 'second')]]) {
      const read = readBathForms(list);
      expect(read.ok ? '' : read.problems[0]?.message).toMatch(/developer stands once/);
    }
  });
});

describe('ready-made parts of a list', () => {
  test('take the place of their kind and leave every other bath where it stands', () => {
    const water = withPart(baths, 'stop', stopSchools['still-water'].baths);
    expect(names(water)).toEqual(names(baths).map((name) => (name === 'Acid stop' ? 'Still water' : name)));
    expect(schoolOf('stopId', water)).toBe('still-water');
  });
  test('come back where they belong once there is none', () => {
    const without = withPart(baths, 'stop', []);
    expect(schoolOf('stopId', without)).toBe('none');
    expect(withPart(without, 'stop', stopSchools.acid.baths)).toEqual(baths);
    expect(placeFor([], 'fix')).toBe(0);
    expect(placeFor(baths, 'fix')).toBe(names(baths).indexOf('Fix') + 1);
  });
  test('a way of one’s own is no school', () => {
    const own = baths.map((bath) => (bath.kind === 'stop' ? { ...bath, note: 'a week old' } : bath));
    expect(schoolOf('stopId', own)).toBeNull();
  });
});
