import { describe, expect, test } from 'vitest';
import { guessColumns, pastedTable, readTimesTable, withTimes, type PastedTable } from './timesTable';

const usual = { concentrate: 1, water: 25 };
const letters = [{ letter: 'B', parts: { concentrate: 1, water: 31 } }];
const units = { temperature: 'C', volume: 'ml' } as const;
const table = (text: string): PastedTable => {
  const found = pastedTable(text);
  if (found === null) throw new Error('No table.');
  return found;
};
const read = (text: string) => {
  const found = table(text);
  return readTimesTable(found, guessColumns(found.columns), letters, usual, units);
};

describe('a table of times from elsewhere', () => {
  test('commas, semicolons and tabs; heads in any words and order', () => {
    for (const [mark, mins] of [
      [',', '7.5'],
      [';', '7,5'],
      ['\t', '7:30'],
    ] as const) {
      const { times, faults } = read(
        [`Min${mark}Emulsion${mark}Ratio${mark}Temp °C`, `${mins}${mark}Larkholm Pan 200${mark}1+31${mark}20`].join(
          '\n',
        ),
      );
      expect(faults).toEqual([]);
      expect(times).toEqual([
        { film: 'Larkholm Pan 200', parts: { concentrate: 1, water: 31 }, temperatureC: 20, timeMin: 7.5 },
      ]);
    }
  });
  test('a letter of the bottle, the usual dilution where none is said, 20 °C where no temperature is, and Fahrenheit by its sign', () => {
    const { times } = read('Film;Time;Dilution;Temperature\nA;9 min;B;\nA;9 min;;68 °F\n');
    expect(times[0]).toMatchObject({ parts: { concentrate: 1, water: 31 }, temperatureC: 20 });
    expect(times[1]).toMatchObject({ parts: usual });
    expect(times[1]?.temperatureC).toBeCloseTo(20, 6);
  });
  test('what reads in two ways, or not at all, is left out with its line and its reason', () => {
    const { times, faults } = read('Film;Time;Temp\nA;soon;20\nB;7.30;20\nC;9;70\n;9;20\nD;9;20\nE;9;hot\n');
    expect(times.map(({ film }) => film)).toEqual(['D']);
    expect(faults.map(({ path }) => path)).toEqual(['line 2', 'line 3', 'line 4', 'line 5', 'line 7']);
    expect(faults[1]?.message).toContain('may be');
  });
  test('columns that are not named are asked for; those of the last table keep their meaning', () => {
    const odd = table('what;how long\nA;9\n');
    const guessed = guessColumns(odd.columns);
    expect(guessed).toMatchObject({ film: '', time: '' });
    expect(readTimesTable(odd, guessed, letters, usual, units).faults.map(({ path }) => path)).toEqual([
      'film',
      'time',
    ]);
    const named = guessColumns(odd.columns, { film: 'what', time: 'how long', dilution: '', temperature: '' });
    expect(readTimesTable(odd, named, letters, usual, units).times).toHaveLength(1);
    expect(guessColumns(['Film', 'Time'], named)).toMatchObject({ film: 'Film', time: 'Time' });
  });
  test('no table: one column, or a head alone', () => {
    expect(pastedTable('')).toBeNull();
    expect(pastedTable('just words')).toBeNull();
    expect(pastedTable('Film;Time')).toBeNull();
  });
  test('repeats are not added twice', () => {
    const { times } = read('Film;Time\nA;9\na;9\nB;9\n');
    const first = withTimes([], times);
    expect([first.times.length, first.added]).toEqual([2, 2]);
    expect(withTimes(first.times, times).added).toBe(0);
  });
});
