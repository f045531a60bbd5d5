import { expect, test } from 'vitest';
import { archiveIndex } from './archiveIndex';

const roll = (id: string, place: string) => ({
  id,
  label: `Roll ${id}`,
  archive: { place, frames: 36, perStrip: 6, words: [] },
});

test('places stand as a hand leafs through them, and those without one last', () => {
  const rolls = [
    roll('10', ''),
    roll('2', 'binder 2, page 14'),
    roll('1', 'Binder 2, page 2'),
    roll('3', 'binder 2, page 14 '),
  ];
  expect(archiveIndex(rolls).map(({ place, rolls: here }) => [place, here.map(({ id }) => id)])).toEqual([
    ['Binder 2, page 2', ['1']],
    ['binder 2, page 14', ['2', '3']],
    ['', ['10']],
  ]);
  expect(archiveIndex([])).toEqual([]);
});
