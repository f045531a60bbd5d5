import { expect, test } from 'vitest';
import { tableNames } from '@/core/records/tables';
import { recordCountWords } from './recordWords';

const none = Object.fromEntries(tableNames.map((name) => [name, 0])) as Parameters<typeof recordCountWords>[0];

test('one is told as one, several as several, and none goes unsaid', () => {
  expect(recordCountWords(none)).toBe('This bench is empty.');
  expect(recordCountWords({ ...none, rolls: 1, mixes: 2, evidence: 1 })).toMatch(/^On this bench: 1 roll, .*/);
  expect(recordCountWords({ ...none, rolls: 1, mixes: 2, evidence: 1 })).toContain('1 test or chart time');
  expect(recordCountWords({ ...none, rolls: 12 })).toBe('On this bench: 12 rolls.');
});
