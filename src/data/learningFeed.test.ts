import 'fake-indexeddb/auto';
import { afterEach, beforeAll, describe, expect, test } from 'vitest';
import { GrowingEvidence } from '@/core/learning/learning';
import type { LearningChange } from '@/core/learning/learningChange';
import type { Records } from '@/core/records/records';
import { bigBench } from '@/core/testing/bigBench';
import { act } from './act';
import { database } from './database';
import { demoRecords } from './demo/demoRecords';
import { feedLearning } from './learningFeed';
import { allRecords, replaceRecords } from './undo';

const NOW = Date.UTC(2036, 10, 24, 12);
const DAY_MS = 86_400_000;
const RUNS = 300;

/** Three hundred judged runs over ten years. */
function tenYears(): Records {
  const records = bigBench(demoRecords(NOW), RUNS, 10);
  const earlier = new Map(records.runs.map(({ id }) => [id, Number(id.split('-')[2] ?? 0) * 11 * DAY_MS]));
  const by = (runId: string): number => earlier.get(runId) ?? 0;
  return {
    ...records,
    runs: records.runs.map((run) => ({
      ...run,
      createdMs: run.createdMs - by(run.id),
      events: run.events.map((event) => ({ ...event, atMs: event.atMs - by(run.id) })),
    })),
    verdicts: records.verdicts.map((verdict) => ({ ...verdict, createdMs: verdict.createdMs - by(verdict.runId) })),
  };
}

let stop: () => void = () => undefined;
afterEach(() => stop());

/** Follows the bench as a page does. */
function follow(takes: (change: LearningChange) => void = () => undefined) {
  const grown = new GrowingEvidence(2036);
  let rounds = 0;
  stop = feedLearning(async (change, last) => {
    takes(change);
    grown.take(change);
    if (last) rounds += 1;
    return Promise.resolve();
  });
  const after = async (round: number): Promise<void> => {
    for (let wait = 0; rounds < round; wait++) {
      if (wait > 2000) throw new Error('Nothing more came.');
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
  };
  return { grown, after, rounds: () => rounds };
}

const whole = async (): Promise<unknown> => GrowingEvidence.of(await allRecords(), 2036).pieces();

describe('what estimates learn from, as people’s benches tell it', () => {
  beforeAll(() => replaceRecords(tenYears()), 60_000);

  test('a log of ten years teaches what its records say, each film as old as it was when it was developed', async () => {
    const { grown, after } = follow();
    await after(1);
    expect(grown.pieces()).toEqual(await whole());
    const { runs, verdicts } = await allRecords();
    const runOf = new Map(verdicts.map(({ id, runId }) => [id, runs.find((run) => run.id === runId)]));
    const seen = new Set<number>();
    for (const { evidence, setting } of grown.pieces()) {
      const hung = runOf.get(evidence.id)?.events.at(-1)?.atMs;
      if (hung === undefined || setting.age.dated === undefined) continue;
      expect(setting.age.dated.nowYear).toBe(new Date(hung).getFullYear());
      seen.add(setting.age.dated.nowYear);
    }
    expect(seen.size).toBeGreaterThanOrEqual(9);
  });

  test('a verdict changed to clear film takes its lesson back, and a dose is taught, not the clock', async () => {
    const { grown, after, rounds } = follow();
    await after(1);
    const before = grown.pieces().length;
    const verdict = await database().verdicts.get('big-verdict-3');
    if (verdict === undefined) throw new Error('no verdict');
    const soon = rounds() + 1;
    await act('judge', (writer) =>
      writer.put('verdicts', { ...verdict, defects: ['no-image'], updatedMs: verdict.updatedMs + 1 }),
    );
    await after(soon);
    expect(grown.pieces().length).toBe(before - 1);
    const run = await database().runs.get('big-run-4');
    if (run === undefined) throw new Error('no run');
    const begun = run.events.find((event) => event.kind === 'begin' && run.steps[event.stepIndex]?.kind === 'develop');
    if (begun?.kind !== 'begin') throw new Error('not developed');
    const later = rounds() + 1;
    await act('tank', (writer) =>
      writer.put('runs', {
        ...run,
        updatedMs: run.updatedMs + 1,
        events: [
          ...run.events,
          { kind: 'temperature', stepIndex: begun.stepIndex, celsius: 16, atMs: begun.atMs + 1000 },
        ],
      }),
    );
    await after(later);
    expect(grown.pieces()).toEqual(await whole());
  });

  test('what was not taken in is told again', async () => {
    let fails = 3;
    const { grown, after } = follow(() => {
      fails -= 1;
      if (fails >= 0) throw new Error('The worker is gone.');
    });
    await after(1);
    expect(grown.pieces()).toEqual(await whole());
  });
});
