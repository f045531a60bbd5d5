import { useLiveQuery } from 'dexie-react-hooks';
import type { Trial } from '@/core/records/records';
import type { TrialStrip, TrialValues } from '@/core/trial/trial';
import { act, newStamps } from './act';
import { database } from './database';
import { dropDraft } from './drafts';

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

/** Puts a trial on the bench as it was laid out. */
export function startTrial(trial: TrialValues): Promise<string> {
  return act('trial', async (writer) => {
    const stamps = newStamps();
    await writer.put('trials', { ...stamps, ...trial });
    await dropDraft(TRIAL_DRAFT);
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

/** Takes a trial off the bench; it can be undone. */
export function removeTrial(trial: Trial): Promise<void> {
  return act(`trial:${trial.id}`, (writer) => writer.remove('trials', trial.id), { undo: `removing “${trial.name}”` });
}
