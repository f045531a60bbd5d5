import { useLiveQuery } from 'dexie-react-hooks';
import type { Box, Roll } from '@/core/records/records';
import { act, newStamps, type Writer } from './act';
import { database } from './database';
import { dossiersOf, type RollDossier } from './queries';
import { MOST_AT_ONCE, nothingOnIt } from './rollsAtOnce';

/** Rolls of a box that are shown, at the most: more than a brick of any kind holds. */
const MOST_SHOWN = 200;

/** Makes a box within an act. */
export async function makeBox(writer: Writer, name: string): Promise<string> {
  const box: Box = { ...newStamps(), name: name.trim().slice(0, 120) || 'A box', note: '' };
  await writer.put('boxes', box);
  return box.id;
}

/**
 * Puts a roll into a box, or takes it out of one.
 * @param boxId the box; null for a roll that came alone
 */
export function putInBox(rollId: string, boxId: string | null): Promise<void> {
  return act(`box of:${rollId}`, (writer) => writer.change('rolls', rollId, { boxId, updatedMs: Date.now() }));
}

/** Makes a box with a roll in it. */
export function newBox(rollId: string, name: string): Promise<string> {
  return act(`box of:${rollId}`, async (writer) => {
    const boxId = await makeBox(writer, name);
    await writer.change('rolls', rollId, { boxId, updatedMs: Date.now() });
    return boxId;
  });
}

/** Stores what is said of a box. */
export function changeBox(boxId: string, part: Partial<Pick<Box, 'name' | 'note' | 'reelM'>>): Promise<void> {
  return act(`box:${boxId}`, (writer) => writer.change('boxes', boxId, { ...part, updatedMs: Date.now() }));
}

/**
 * Puts more rolls into a box, like one that is in it and numbered after those that are there: what is known of its past goes
 * with them, its frames, photographs and plans do not.
 * @param like a roll of the box
 * @param count how many; 1 to 30
 */
export function addToBox(box: Box, like: Roll, count: number): Promise<void> {
  return act(`box:${box.id}:more`, async (writer) => {
    const there = await writer.db.rolls.where({ boxId: box.id }).count();
    const several = Math.max(1, Math.min(MOST_AT_ONCE, Math.round(count)));
    // The last first, so that the first stands on top.
    for (let n = several; n >= 1; n--)
      await writer.put('rolls', {
        ...like,
        ...newStamps(),
        boxId: box.id,
        label: `${box.name.slice(0, 110)}, roll ${there + n}`,
        ...nothingOnIt,
      });
  });
}

/** Takes a box away: its rolls stay, each as if it had come alone. It can be undone. */
export async function removeBox(box: Box): Promise<void> {
  await act(
    `remove:${box.id}`,
    async (writer) => {
      await writer.unlink('rolls', 'boxId', box.id);
      await writer.remove('boxes', box.id);
    },
    { undo: `taking the box “${box.name}” apart` },
  );
}

/** All boxes by name; undefined while they load. */
export function useBoxes(): Box[] | undefined {
  return useLiveQuery(async () =>
    (await database().boxes.toArray()).sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true })),
  );
}

/** A box with its rolls, those that came first on top; undefined while it loads, null when there is none. */
export function useBox(boxId: string): { box: Box; dossiers: RollDossier[] } | null | undefined {
  return useLiveQuery(async () => {
    const box = await database().boxes.get(boxId);
    if (box === undefined) return null;
    const ids = await database().rolls.where({ boxId }).limit(MOST_SHOWN).primaryKeys();
    const dossiers = await dossiersOf(ids);
    const byLabel = (a: RollDossier, b: RollDossier): number =>
      a.roll.label.localeCompare(b.roll.label, undefined, { numeric: true });
    return { box, dossiers: dossiers.sort(byLabel) };
  }, [boxId]);
}
