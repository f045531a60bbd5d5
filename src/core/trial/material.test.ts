import { describe, expect, test } from 'vitest';
import { filmNeed, filmWords } from './material';
import { emptyTrial, readTrial } from './trial';
import { trialForecast } from './trialForecast';

describe('the film of a trial', () => {
  test('a reel of 15.2 m gives 24 lengths of 12 frames, and a metre gives 20 clips', () => {
    expect(filmNeed('length', 12, 24, 15.27).given).toBe(24);
    expect(filmNeed('clip', 12, 20, 1)).toEqual({ needM: 1, given: 20 });
    expect(filmNeed('roll', 12, 6, null)).toEqual({ needM: null, given: null });
  });

  test('where it is short, the words say how many each roll gives, and that levels take turns', () => {
    const words = (atHandM: number | null): string => filmWords(filmNeed('clip', 12, 12, atHandM), 12, 3, 4);
    expect(words(null)).toBe('12 strips take 0.60 m of film.');
    expect(words(0.6)).toBe('12 strips take 0.60 m of film.');
    expect(words(0.45)).toContain('for 9 of them: with 3 from each, what differs takes turns');
    expect(words(0.2)).toContain('too few for 3 rolls or days');
    expect(filmWords(filmNeed('clip', 12, 24, 0.9), 24, 3, 4)).toContain('take 6 from each');
  });

  test('a length needs whole frames, and a clip asks for none', () => {
    const form = { ...emptyTrial, name: 'Two mugs' };
    const lengths = readTrial({ ...form, material: 'length', frames: 'many' }, 1);
    expect(lengths.ok ? [] : lengths.problems.map(({ path }) => path)).toEqual(['material.frames']);
    const clips = readTrial({ ...form, material: 'clip', frames: 'many' }, 1);
    expect(clips.ok && clips.value.material).toEqual({ kind: 'clip' });
  });
});

test('the same strips over one level less see smaller differences; of two none can be left out', () => {
  const four = trialForecast({ ...emptyTrial, levels: ['a', 'b', 'c', 'd'], blocks: 3, perBlock: 4 });
  for (const { seen, withoutOne } of four) expect(withoutOne).toBeLessThan(seen ?? 0);
  expect(trialForecast(emptyTrial).map(({ withoutOne }) => withoutOne)).toEqual([null, null]);
});
