import { describe, expect, test } from 'vitest';
import { emptyTrial, readTrial, trialAnswers, type TrialValues } from './trial';
import { pooled, readTrialFile, repeated, trialColumns, writeTrialFile } from './trialExchange';
import { trialCsv } from './trialFiles';

function laid(seed: number, levels = ['Coffee', 'Nothing']): TrialValues {
  const read = readTrial(
    { ...emptyTrial, name: 'Mugs', levels, control: levels.indexOf('Nothing'), blocks: 2, perBlock: 2 },
    seed,
  );
  if (!read.ok) throw new Error(read.problems[0]?.message);
  const contrastOf = (level: number, index: number): number => (levels[level] === 'Nothing' ? -1 : 1) + 0.1 * index;
  return {
    ...read.value,
    strips: read.value.strips.map((strip, index) => ({
      ...strip,
      developed: true,
      values: { contrast: contrastOf(strip.level, index), fog: 0.3 + 0.01 * index },
    })),
  };
}

describe('a trial as a file', () => {
  test('comes back as it was, without what it taught here', () => {
    const trial = laid(5);
    expect(readTrialFile(writeTrialFile({ ...trial, taughtIds: ['x'] }))).toEqual({ ok: true, value: trial });
  });

  test.each([
    ['not json', ''],
    ['null', 'format'],
    ['{"format":"aetas-records"}', 'format'],
    ['{"format":"aetas-trial","version":1,"trial":{"name":"x"}}', 'trial.held'],
  ])('%s is refused with its place', (text, path) => {
    const read = readTrialFile(text);
    expect(read.ok ? null : read.problems[0]?.path).toBe(path);
  });

  test('repeated, it has the same numbers of every level in every row, in another order and unread', () => {
    const trial = laid(5);
    const again = repeated(trial, 6);
    const numbers = ({ strips }: TrialValues): string[] => strips.map(({ level, block }) => `${block}:${level}`).sort();
    expect(numbers(again)).toEqual(numbers(trial));
    expect(again.strips.every(({ values }) => Object.keys(values).length === 0)).toBe(true);
    expect(again.seed).toBe(6);
  });
});

describe('two people’s trials as one', () => {
  test('rows stay apart, levels are told by their names, and every strip has a code of its own', () => {
    const own = laid(5);
    const other = laid(
      5,
      ['nothing', 'Coffee'].map((name) => (name === 'nothing' ? 'Nothing' : name)),
    );
    const both = pooled(own, other);
    if (!both.ok) throw new Error(both.problems[0]?.message);
    expect(both.value.blocks).toBe(4);
    // Two kitchens are two days.
    expect(both.value.days).toEqual([0, 0, 1, 1]);
    expect(new Set(both.value.strips.map(({ code }) => code)).size).toBe(8);
    const [answer] = trialAnswers(both.value);
    expect(answer?.comparisons).toHaveLength(1);
    // Coffee is two grades harder in both kitchens.
    expect(answer?.comparisons[0]?.difference).toBeCloseTo(2, 0);
    expect(readTrialFile(writeTrialFile(both.value)).ok).toBe(true);
  });

  test('other levels, another control, other measures or too many rows stay apart, and say why', () => {
    const own = laid(5);
    const paths = [
      laid(5, ['Tea', 'Nothing']),
      { ...own, control: 0 },
      { ...own, margins: { fog: 0.1 } },
      { ...own, blocks: 11 },
    ].map((other) => {
      const both = pooled(own, other);
      return both.ok ? null : both.problems[0]?.path;
    });
    expect(paths).toEqual(['levels', 'control', 'margins', 'blocks']);
  });
});

test('every column of the readings is explained, in its order', () => {
  expect(trialCsv(laid(5)).split('\r\n')[0]).toBe(trialColumns.map(({ column }) => column).join(','));
});
