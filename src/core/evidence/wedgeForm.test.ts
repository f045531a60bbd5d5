import { describe, expect, test } from 'vitest';
import type { PatchDensity } from '../densitometry/patchDensity';
import { readWedge } from './wedgeForm';

const patch = (densityD: number, fault: PatchDensity['fault'] = null): PatchDensity => ({ densityD, seD: 0.01, fault });
const patches = [patch(0.06), patch(0.22), patch(0.4)];

function fault(text: string): string {
  const read = readWedge(text, patches);
  return read.ok ? '' : (read.problems[0]?.message ?? '');
}

describe('known densities of a wedge, as typed', () => {
  test('are paired with what was read, whatever stands between them', () => {
    const pairs = [
      { readD: 0.06, knownD: 0.05 },
      { readD: 0.22, knownD: 0.2 },
      { readD: 0.4, knownD: 0.35 },
    ];
    for (const text of ['0.05 0.20 0.35', ' 0,05; 0,20 ;0,35 ', '0.05\n0.20\n0.35'])
      expect(readWedge(text, patches)).toEqual({ ok: true, value: pairs });
  });
  test('a patch that could not be read is left out, and its number with it', () => {
    const read = readWedge('0.05 0.20 0.35', [patch(0.06), patch(NaN, 'clipped'), patch(0.4)]);
    expect(read).toEqual({
      ok: true,
      value: [
        { readD: 0.06, knownD: 0.05 },
        { readD: 0.4, knownD: 0.35 },
      ],
    });
  });
  test('what does not read, and numbers missing or over, are told', () => {
    expect(fault('0.05 thin 0.35')).toBe('Number 2 does not read as a density.');
    expect(fault('0.05 0.20')).toBe('2 typed for 3 patches: give one for each, first to last.');
    expect(fault('0.05 0.20 0.35 0.50')).toBe('4 typed for 3 patches: give one for each, first to last.');
  });
});
