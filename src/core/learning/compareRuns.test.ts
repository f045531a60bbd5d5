import { describe, expect, test } from 'vitest';
import { sampleRun } from '../testing/sampleRun';
import { compareRuns } from './compareRuns';
import { runFacts } from './runFacts';

const events = [
  { kind: 'begin' as const, stepIndex: 1, atMs: 0 },
  { kind: 'temperature' as const, stepIndex: 1, celsius: 19, atMs: 60_000 },
  { kind: 'temperature' as const, stepIndex: 1, celsius: 20, atMs: 300_000 },
  { kind: 'begin' as const, stepIndex: 2, atMs: 725_000 },
];

describe('runs side by side', () => {
  const rows = compareRuns([
    runFacts(sampleRun({ events }), 'Larkholm Pan 200', undefined),
    runFacts(sampleRun({ temperatureC: 22 }), 'Larkholm Pan 200', undefined),
  ]);
  const row = (name: string) => rows.find((one) => one.name === name);
  test('what differs is marked, what does not is not', () => {
    expect(row('Film')).toMatchObject({ differs: false });
    expect(row('Temperature')).toMatchObject({ values: ['20 °C', '22 °C'], differs: true });
  });
  test('what was measured and how long it took come from the events', () => {
    expect(row('Measured')?.values).toEqual(['19.5 °C', '']);
    expect(row('Developed')?.values).toEqual(['12:05', '']);
    expect(row('Planned')?.values).toEqual(['12:00', '12:00']);
  });
  test('a row that no run has is left out', () => expect(row('Contrast')).toBeUndefined());
});
