import { useLiveQuery } from 'dexie-react-hooks';
import { beliefOfPairs } from '@/core/densitometry/cameraBelief';
import type { CameraBelief } from '@/core/densitometry/cameraUnknowns';
import type { Finding, SettingRecord } from '@/core/evidence/evidenceRecord';
import type { Habit, Photo, StripRecord } from '@/core/records/records';
import { act, newStamps } from './act';
import { database } from './database';
import { dropDraft } from './drafts';

export type Camera = Extract<Habit, { kind: 'camera' }>;

/** Key of the draft of a strip that is being read. */
export function stripDraftKey(rollId: string): string {
  return `strip:${rollId}`;
}

/** Strips of a roll, oldest first; undefined while they load. */
export function useReadings(rollId: string): StripRecord[] | undefined {
  return useLiveQuery(
    () =>
      database()
        .readings.where({ rollId })
        .toArray()
        .then((found) => found.sort((a, b) => a.createdMs - b.createdMs)),
    [rollId],
  );
}

/** Strips that are offered to a trial, at the most. Source: our choice; one that is older has its roll's page. */
const MOST_LATEST = 60;

/** Strips that were read last, of all rolls, the newest first; undefined while they load. */
export function useLatestReadings(): StripRecord[] | undefined {
  return useLiveQuery(async () =>
    (await database().readings.toArray()).sort((a, b) => b.createdMs - a.createdMs).slice(0, MOST_LATEST),
  );
}

/** What is kept of a strip: its densities, and with them what it tells the estimate and its picture. */
export interface StripToKeep {
  reading: Omit<StripRecord, 'id' | 'createdMs' | 'updatedMs' | 'evidenceId' | 'photoId'>;
  /** What it was developed in and what it found; null where it goes into the log alone. */
  evidence: { setting: SettingRecord; finding: Finding } | null;
  photo: Pick<Photo, 'name' | 'widthPx' | 'heightPx' | 'jpeg'> | null;
}

/** Keeps a strip whole, and forgets the draft it was marked in. */
export function keepReading({ reading, evidence, photo }: StripToKeep): Promise<string> {
  const { rollId } = reading;
  return act(`strip:${rollId}`, async (writer) => {
    const stamps = newStamps();
    const photoId = photo === null ? null : newStamps().id;
    const evidenceId = evidence === null ? null : newStamps().id;
    if (photo !== null && photoId !== null) await writer.put('photos', { ...stamps, id: photoId, rollId, ...photo });
    if (evidence !== null && evidenceId !== null)
      await writer.put('evidence', { ...stamps, id: evidenceId, rollId, ...evidence, note: reading.name });
    await writer.put('readings', { ...stamps, ...reading, evidenceId, photoId });
    await dropDraft(stripDraftKey(rollId));
    return stamps.id;
  });
}

/** Takes a strip away with what it told the estimate and its picture; it can be undone. */
export function dropReading({ id, rollId, name, evidenceId, photoId }: StripRecord): Promise<void> {
  return act(
    `strip:${rollId}`,
    async (writer) => {
      await writer.remove('readings', id);
      if (evidenceId !== null) await writer.remove('evidence', evidenceId);
      if (photoId !== null) await writer.remove('photos', photoId);
    },
    { undo: `removing the strip “${name}”` },
  );
}

/** Cameras that were held against a wedge, by name; undefined while they load. */
export function useCameras(): Camera[] | undefined {
  return useLiveQuery(async () =>
    (await database().habits.where({ kind: 'camera' }).toArray())
      .flatMap((habit) => (habit.kind === 'camera' ? [habit] : []))
      .sort((a, b) => a.name.localeCompare(b.name)),
  );
}

/** What is believed of a camera that is kept. */
export function beliefOfCamera({ belief, pairs }: Camera): CameraBelief | null {
  return belief ?? (pairs === undefined ? null : beliefOfPairs(pairs));
}

/** Keeps a camera's calibration under its name; one of the same name is replaced. */
export function keepCamera(name: string, belief: CameraBelief, device: string | null): Promise<void> {
  return act('camera', async (writer) => {
    const all = await writer.db.habits.where({ kind: 'camera' }).toArray();
    const before = all.find((one) => one.name === name);
    const { id, createdMs } = before ?? newStamps();
    await writer.put('habits', {
      id,
      createdMs,
      kind: 'camera',
      name,
      belief,
      ...(device === null ? {} : { device }),
      updatedMs: Date.now(),
    });
  });
}
