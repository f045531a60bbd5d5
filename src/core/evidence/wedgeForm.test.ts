import { describe, expect, test } from 'vitest';
import { readWedge } from './wedgeForm';

function fault(text: string, count = 3): string {
  const read = readWedge('table', text, count);
  return read.ok ? '' : (read.problems[0]?.message ?? '');
}

describe('known densities of a wedge', () => {
  test('as typed, whatever stands between them', () => {
    for (const text of ['0.05 0.20 0.35', ' 0,05; 0,20 ;0,35 ', '0.05\n0.20\n0.35']) {
      const read = readWedge('table', text, 3);
      expect(read.ok && read.value.map(({ patch, unitShare, offsetD }) => [patch, unitShare, offsetD])).toEqual([
        [0, 0, 0.05],
        [1, 0, 0.2],
        [2, 0, 0.35],
      ]);
    }
  });
  test('layers add up: one, two, three of what nobody knows', () => {
    const read = readWedge('layers', '', 4);
    expect(read.ok && read.value.map(({ unitShare }) => unitShare)).toEqual([1, 2, 3, 4]);
    expect(readWedge('layers', '', 2)).toMatchObject({ ok: false });
    expect(readWedge('layers', '', 13)).toMatchObject({ ok: false });
  });
  test('what does not read, and numbers missing or over, are told', () => {
    expect(fault('0.05 thin 0.35')).toBe('Number 2 does not read as a density.');
    expect(fault('0.05 0.20')).toBe('2 typed for 3 patches: give one for each, first to last.');
    expect(fault('0.05 0.20 0.35 0.50')).toBe('4 typed for 3 patches: give one for each, first to last.');
  });
});
