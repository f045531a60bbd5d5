import { describe, expect, test } from 'vitest';
import { formulary, formularyIds } from './formulary';
import { readLines } from './readLines';
import { amountPerL, lineName, unitOf, type RecipeLine } from './recipe';
import { initialWorkbench, lineForName, lineFormOf, lineOfKind, type LineForm } from './workbenchForm';

const problemsOf = (...lines: LineForm[]): [string, string][] => {
  const read = readLines({ lines });
  return read.ok ? [] : read.problems.map(({ path, message }) => [path, message]);
};

describe('lines as typed', () => {
  test('what a recipe says comes back from its form unchanged', () => {
    for (const id of formularyIds) {
      const { lines } = initialWorkbench(formulary[id], null);
      const packets = formulary[id].lines.some(({ kind }) => kind === 'packet');
      const read = readLines({ lines });
      expect(read.ok, id).toBe(!packets);
      if (read.ok) expect(read.value.map(({ line }) => line)).toEqual(formulary[id].lines);
    }
  });
  test('each kind says which of its fields is wrong, and how', () => {
    expect(problemsOf({ ...lineForName('bromide', 'a'), perL: '' })).toEqual([
      ['lines.a.perL', expect.stringMatching(/^Potassium bromide: amount per litre: give a number from 0 to 1000/)],
    ]);
    expect(problemsOf({ ...lineOfKind('Syrup', 'concentrate', 'b', 'hydroquinone-syrup'), waterParts: -1 })).toEqual([
      ['lines.b.waterParts', expect.stringMatching(/^Syrup: parts of water: give a number from 0 to 1000/)],
    ]);
    expect(problemsOf({ ...lineOfKind('Kit', 'packet', 'c'), packetG: 100, makesMl: 5 })).toEqual([
      ['lines.c.makesMl', expect.stringMatching(/^Kit: what the packet makes: give a number from 50/)],
    ]);
    expect(problemsOf({ ...lineOfKind('  ', 'own', 'd'), perL: 3 })).toEqual([
      ['lines.d.name', expect.stringMatching(/^This line: name: give at least one letter/)],
    ]);
    expect(problemsOf({ ...lineForName('bromide', 'e'), substanceId: 'moon-dust', perL: 1 })).toEqual([
      ['lines.e.substanceId', expect.stringMatching(/substance: choose one of/)],
    ]);
  });
  test('all that is wrong is told at once, in the order of the lines', () => {
    const paths = problemsOf(
      { ...lineForName('bromide', 'a'), perL: 0 },
      { ...lineForName('borax', 'b'), perL: 5 },
      { ...lineForName('citric acid', 'c'), perL: 'lots' },
    ).map(([path]) => path);
    expect(paths).toEqual(['lines.a.perL', 'lines.c.perL']);
  });
});

describe('what a line is', () => {
  const lines: [RecipeLine, number, string, 'g' | 'ml'][] = [
    [{ kind: 'substance', substanceId: 'dark-beer', perL: 900 }, 900, 'Dark beer', 'ml'],
    [{ kind: 'concentrate', name: 'Stop', familyId: null, parts: { concentrate: 1, water: 19 } }, 50, 'Stop', 'ml'],
    [{ kind: 'packet', name: 'Powder', familyId: null, packetG: 96, makesMl: 600 }, 160, 'Powder', 'g'],
    [{ kind: 'packet', name: 'Powder', familyId: null, packetG: null, makesMl: 600 }, 0, 'Powder', 'g'],
    [{ kind: 'own', name: 'Moss', unit: 'g', perL: 7 }, 7, 'Moss', 'g'],
  ];
  test.each(lines)('%j', (line, perL, name, unit) => {
    expect(amountPerL(line)).toBeCloseTo(perL, 9);
    expect(lineName(line)).toBe(name);
    expect(unitOf(line)).toBe(unit);
    expect(lineFormOf(line, 'k')).toMatchObject({ key: 'k', kind: line.kind, name, unit });
  });
});
