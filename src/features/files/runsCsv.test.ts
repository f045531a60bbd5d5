import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import type { RunLine } from '@/data/lines';
import { runsCsv } from './runsCsv';

const line: RunLine = {
  id: 'run',
  rollId: 'roll',
  startedMs: Date.UTC(2026, 10, 24, 9),
  updatedMs: 0,
  roll: '=HYPERLINK("http://a.b")',
  film: 'Larkholm, Pan "200"',
  developer: '+coffee',
  temperatureC: 20,
  plannedMin: 12.5,
  lowMin: 9,
  highMin: 16,
  developedS: 755.4,
  phase: 'finished',
  verdict: {
    id: 'v',
    contrast: -1,
    image: 'there',
    fog: 'slight',
    note: '@home\nsecond line',
    createdMs: 0,
    updatedMs: 0,
  },
  judged: null,
  words: '',
};

describe('the log as CSV', () => {
  const text = runsCsv([line, { ...line, verdict: null, developedS: null }]);
  const { data } = Papa.parse<Record<string, string>>(text, { header: true });
  test('commas, quotes and line breaks come back as they were', () => {
    expect(data).toHaveLength(2);
    expect(data[0]).toMatchObject({
      film: 'Larkholm, Pan "200"',
      planned_s: '750',
      developed_s: '755',
      contrast_words: 'A little soft',
    });
    expect(data[0]?.note).toContain('second line');
    expect(data[1]).toMatchObject({ contrast: '', developed_s: '' });
  });
  test('no cell begins as a formula', () => {
    for (const row of data) for (const cell of Object.values(row)) expect(cell).not.toMatch(/^[=+@\t]|^-(?!\d)/);
  });
});
