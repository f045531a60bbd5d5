import { describe, expect, test } from 'vitest';
import { tableNames } from '@/core/records/tables';
import { mergeWords, recordCountWords } from './recordWords';
import { sinceSavedWords, wantsSaving } from './sinceSavedWords';

const none = Object.fromEntries(tableNames.map((name) => [name, 0])) as Parameters<typeof recordCountWords>[0];

test('one is told as one, several as several, and none goes unsaid', () => {
  expect(recordCountWords(none)).toBe('This bench is empty.');
  expect(recordCountWords({ ...none, rolls: 1, mixes: 2, evidence: 1 })).toMatch(/^On this bench: 1 roll, .*/);
  expect(recordCountWords({ ...none, rolls: 1, mixes: 2, evidence: 1 })).toContain('1 test or leaflet’s time');
  expect(recordCountWords({ ...none, rolls: 12 })).toBe('On this bench: 12 rolls.');
});

test('a merge says what was added, what was newer, and what stayed', () => {
  expect(mergeWords({ added: none, updated: none, kept: 1, redated: 0 })).toBe(
    'Nothing was new. One record was the same here, or newer, and stayed.',
  );
  expect(mergeWords({ added: { ...none, rolls: 2 }, updated: { ...none, plans: 1 }, kept: 1200, redated: 2 })).toBe(
    'Added: 2 rolls. Newer in the file, and taken from it: 1 plan. 1,200 records were the same here, or newer, and stayed. 2 records carried times in the future: they count as now.',
  );
});

describe('since everything was last saved', () => {
  const DAY_MS = 86_400_000;
  const now = 100 * DAY_MS;
  test.each([
    [{ savedMs: null, runs: 0 }, 'Not saved as a file yet.', false],
    [{ savedMs: null, runs: 3 }, 'Not saved as a file yet, with 3 runs in the log.', true],
    [{ savedMs: now - 12 * DAY_MS, runs: 3 }, 'Last saved as a file 12 days ago, 3 runs since.', true],
    [{ savedMs: now - 12 * DAY_MS, runs: 1 }, 'Last saved as a file 12 days ago, 1 run since.', false],
    [{ savedMs: now - DAY_MS, runs: 0 }, 'Last saved as a file yesterday, no run since.', false],
    [{ savedMs: now + 5, runs: 9 }, 'Last saved as a file today, 9 runs since.', false],
  ])('%o: %s', (since, words, reminded) => {
    expect(sinceSavedWords(since, now)).toBe(words);
    expect(wantsSaving(since, now)).toBe(reminded);
  });
});
