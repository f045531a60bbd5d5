import { useLiveQuery } from 'dexie-react-hooks';
import type { Photo, Trial } from '@/core/records/records';
import type { TrialStrip, TrialValues } from '@/core/trial/trial';
import { act, newStamps } from './act';
import { database } from './database';
import type { Result } from '@/core/schema/result';
import { pooled } from '@/core/trial/trialExchange';
import type { TrialLesson } from '@/core/trial/trialLessons';
import { dropDraft } from './drafts';
import { Refusal } from './trouble';

/** Key of a trial that is being thought out. */
export const TRIAL_DRAFT = 'trial';

/** All trials, the newest first; undefined while they load. */
export function useTrials(): Trial[] | undefined {
  return useLiveQuery(async () => (await database().trials.toArray()).sort((a, b) => b.createdMs - a.createdMs));
}

/** One trial; undefined while it loads, null when there is no such trial. */
export function useTrial(trialId: string): Trial | null | undefined {
  return useLiveQuery(async () => (await database().trials.get(trialId)) ?? null, [trialId]);
}

/** Pictures of a trial's strips by code, where a strip was read from one that is kept; undefined while they load. */
export function useStripPhotos(trial: Trial): ReadonlyMap<string, Photo> | undefined {
  const read = trial.strips.flatMap(({ code, readingId }) => (readingId === undefined ? [] : [{ code, readingId }]));
  return useLiveQuery(async () => {
    const db = database();
    const readings = await db.readings.bulkGet(read.map(({ readingId }) => readingId));
    const photos = await db.photos.bulkGet(readings.map((reading) => reading?.photoId ?? ''));
    return new Map(
      read.flatMap(({ code }, at) => {
        const photo = photos[at];
        return photo === undefined ? [] : [[code, photo] as const];
      }),
    );
  }, [JSON.stringify(read)]);
}

/** Puts a trial on the bench as it was laid out. */
export function startTrial(trial: TrialValues): Promise<string> {
  return act('trial', async (writer) => {
    const stamps = newStamps();
    await writer.put('trials', { ...stamps, ...trial });
    await dropDraft(TRIAL_DRAFT);
    return stamps.id;
  });
}

/** Puts a trial on the bench that came from somebody else, or is done once more. */
export function keepTrial(trial: TrialValues): Promise<string> {
  return act('trial', async (writer) => {
    const stamps = newStamps();
    await writer.put('trials', { ...stamps, ...trial });
    return stamps.id;
  });
}

/** Stores what became of a strip, or what was read of it; fields that are set to undefined go. */
export function changeStrip(trialId: string, code: string, part: Partial<TrialStrip>): Promise<void> {
  return act(`trial:${trialId}`, async (writer) => {
    const trial = await writer.db.trials.get(trialId);
    if (trial === undefined) return;
    const strips = trial.strips.map((strip) => (strip.code === code ? without({ ...strip, ...part }) : strip));
    await writer.put('trials', { ...trial, strips, updatedMs: Date.now() });
  });
}

function without(strip: TrialStrip): TrialStrip {
  return Object.fromEntries(Object.entries(strip).filter(([, value]) => value !== undefined)) as TrialStrip;
}

/** Looks at what each strip had before all are read, or goes on reading blind. */
export function openTrial(trialId: string, openedMs: number | null): Promise<void> {
  return act(`trial:${trialId}`, (writer) => writer.change('trials', trialId, { openedMs, updatedMs: Date.now() }));
}

/** Whether strips of one row and one level share a tank, and count as one. */
export function shareTanks(trialId: string, together: boolean): Promise<void> {
  return act(`trial:${trialId}`, (writer) =>
    writer.change('trials', trialId, { together: together || undefined, updatedMs: Date.now() }),
  );
}

/** Key of how a trial is mixed and timed, as typed. */
export function trialEveningDraftKey(trialId: string): string {
  return `trial-evening:${trialId}`;
}

/** A trial without its stamps. */
export function trialValues(trial: Trial): TrialValues {
  const values: Partial<Trial> = { ...trial };
  delete values.id;
  delete values.createdMs;
  delete values.updatedMs;
  return values as TrialValues;
}

/**
 * Puts the readings of another trial with one on the bench; it can be undone.
 * @returns why they do not go together; then nothing has changed
 */
export function poolTrial(trialId: string, other: TrialValues): Promise<Result<TrialValues>> {
  return act(
    `trial:${trialId}`,
    async (writer): Promise<Result<TrialValues>> => {
      const own = await writer.db.trials.get(trialId);
      if (own === undefined) throw new Refusal('This trial was taken off the bench meanwhile.');
      const both = pooled(trialValues(own), other);
      if (!both.ok) return both;
      await writer.remove('trials', trialId);
      await writer.bring('trials', { ...own, ...both.value, updatedMs: Date.now() });
      return both;
    },
    { undo: 'putting two trials together' },
  );
}

/** Key of what is typed of a trial for the estimates to learn from. */
export function lessonsDraftKey(trialId: string): string {
  return `trial-lessons:${trialId}`;
}

/** Puts what a trial teaches among the evidence, in place of what it taught before. */
export function teach(trialId: string, lessons: readonly TrialLesson[]): Promise<void> {
  return act(`trial:${trialId}`, async (writer) => {
    const trial = await writer.db.trials.get(trialId);
    if (trial === undefined) throw new Refusal('This trial was taken off the bench meanwhile.');
    for (const id of trial.taughtIds ?? []) await writer.remove('evidence', id);
    const taughtIds: string[] = [];
    for (const { rollId, setting, finding, note } of lessons) {
      const record = { ...newStamps(), rollId, setting, finding, note };
      await writer.put('evidence', record);
      taughtIds.push(record.id);
    }
    await writer.put('trials', { ...trial, taughtIds, updatedMs: Date.now() });
    await dropDraft(lessonsDraftKey(trialId));
  });
}

/** Takes back what a trial taught; it can be undone. */
export function unteach(trial: Trial): Promise<void> {
  return act(
    `trial:${trial.id}`,
    async (writer) => {
      for (const id of trial.taughtIds ?? []) await writer.remove('evidence', id);
      await writer.remove('trials', trial.id);
      const untaught: Trial = { ...trial, updatedMs: Date.now() };
      delete untaught.taughtIds;
      await writer.bring('trials', untaught);
    },
    { undo: `taking back what “${trial.name}” taught` },
  );
}

/** Takes a trial off the bench, with what it taught; it can be undone. */
export function removeTrial(trial: Trial): Promise<void> {
  return act(
    `trial:${trial.id}`,
    async (writer) => {
      for (const id of trial.taughtIds ?? []) await writer.remove('evidence', id);
      await writer.remove('trials', trial.id);
    },
    { undo: `removing “${trial.name}”` },
  );
}
