import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { demoRecords } from '@/data/demo/demoRecords';
import { readingsCsv } from './readingsCsv';

const { readings } = demoRecords(Date.UTC(2026, 10, 24, 12));

describe('strips as CSV', () => {
  const { data, errors } = Papa.parse<Record<string, string>>(readingsCsv(readings, 'Snow gauge'), { header: true });
  test('one line a patch, clear film first, and every number reads back', () => {
    expect(errors).toEqual([]);
    expect(data).toHaveLength(readings.reduce((sum, { steps }) => sum + steps.length + 1, 0));
    expect(data[0]).toMatchObject({ roll: 'Snow gauge', patch: 'clear film', log_exposure: '', metered_iso: '200' });
    readings[0]?.steps.forEach((step, at) => {
      expect(Number(data[at + 1]?.density)).toBe(step.densityD);
      expect(Number(data[at + 1]?.log_exposure)).toBe(step.logH);
    });
  });
  test('a name that a spreadsheet would run is text, and a patch that could not be read has no number', () => {
    const [first] = readings;
    if (first === undefined) throw new Error('The demo has strips.');
    const odd = {
      ...first,
      name: '=HYPERLINK("x")\n+1',
      steps: [{ densityD: null, seD: null, fault: 'clipped' as const, logH: -0.3 }],
    };
    const [, line] = Papa.parse<Record<string, string>>(readingsCsv([odd], '@roll'), { header: true }).data;
    expect(line).toMatchObject({ density: '', fault: 'clipped', log_exposure: '-0.3' });
    expect(line?.strip).toBe('\'=HYPERLINK("x")\n+1');
    expect(line?.roll).toBe("'@roll");
  });
});
