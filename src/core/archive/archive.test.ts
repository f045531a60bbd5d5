import { describe, expect, test } from 'vitest';
import { archiveWords, emptyArchive, readArchive, stripsOf, withWords, wordsOf } from './archive';

describe('a roll in its sleeves', () => {
  test('37 frames in fives are eight strips, the last of two', () => {
    const strips = stripsOf(37, 5);
    expect(strips).toHaveLength(8);
    expect(strips[0]).toEqual([1, 2, 3, 4, 5]);
    expect(strips.at(-1)).toEqual([36, 37]);
    expect(stripsOf(12, 4).map((strip) => strip.length)).toEqual([4, 4, 4]);
    expect(stripsOf(36, 6).flat()).toEqual(Array.from({ length: 36 }, (_, at) => at + 1));
  });
  test('words stand on their frame, in order, and go when they are emptied', () => {
    let form = withWords(emptyArchive, 7, 'Aunt on the bridge');
    form = withWords(form, 2, 'Hut in fog');
    expect(form.words.map(({ frame }) => frame)).toEqual([2, 7]);
    expect(wordsOf(form, 7)).toBe('Aunt on the bridge');
    expect(wordsOf(withWords(form, 7, ''), 7)).toBe('');
    const read = readArchive({ ...form, place: 'binder 2, page 14' });
    expect(read.ok && archiveWords(read.value)).toBe('binder 2, page 14 Hut in fog Aunt on the bridge');
    expect(archiveWords(undefined)).toBe('');
  });
  test('what does not read is named by its field', () => {
    const faults = (part: object): string[] => {
      const read = readArchive({ ...emptyArchive, ...part });
      return read.ok ? [] : read.problems.map(({ path }) => path);
    };
    expect(faults({ frames: 'many' })).toEqual(['frames']);
    expect(faults({ frames: 0, perStrip: 2.5 })).toEqual(['frames', 'perStrip']);
    expect(faults({ place: 'x'.repeat(201) })).toEqual(['place']);
  });
});
