import { useLiveQuery } from 'dexie-react-hooks';
import { wasteKindOf, type WasteKindId } from '@/core/waste/waste';
import type { Brew, Waste } from '@/core/records/records';
import { act, newStamps, type Writer } from './act';
import { database } from './database';

/** Everything that was poured into waste bottles, oldest first; undefined while it loads. */
export function useWaste(): Waste[] | undefined {
  return useLiveQuery(async () => (await database().waste.toArray()).sort((a, b) => a.createdMs - b.createdMs));
}

/** Pours what is left of a jug into the waste bottle of its kind, within an act; nothing for what goes down the drain. */
export async function pourIntoWaste(
  writer: Writer,
  { name, use, developer, volumeMl, films }: Pick<Brew, 'name' | 'use' | 'developer' | 'volumeMl' | 'films'>,
): Promise<void> {
  const kind = wasteKindOf(use, developer);
  if (kind === null || volumeMl <= 0) return;
  await writer.bring('waste', { ...newStamps(), kind, name, volumeMl, films, handedInMs: null });
}

/**
 * Pours something that stood in no jug here into a waste bottle, once; it can be undone.
 * @param pour what it is; its id says which one it was
 */
export function pourWaste(pour: Pick<Waste, 'id' | 'kind' | 'name' | 'volumeMl' | 'films'>): Promise<void> {
  return act(
    `waste:${pour.kind}`,
    async (writer) => {
      if ((await writer.db.waste.get(pour.id)) === undefined)
        await writer.bring('waste', { ...newStamps(), ...pour, handedInMs: null });
    },
    { undo: `pouring “${pour.name}” into the waste` },
  );
}

/** Takes a pour out of its bottle's list; it can be undone. */
export function dropPour(pour: Waste): Promise<void> {
  return act(`waste:${pour.kind}`, (writer) => writer.remove('waste', pour.id), {
    undo: `taking “${pour.name}” off the waste`,
  });
}

/** Hands a waste bottle in: what is in it now is counted no more. */
export function handIn(kind: WasteKindId, atMs: number): Promise<void> {
  return act(`waste:${kind}`, async (writer) => {
    for (const pour of await writer.db.waste.toArray())
      if (pour.kind === kind && pour.handedInMs === null)
        await writer.put('waste', { ...pour, handedInMs: atMs, updatedMs: atMs });
  });
}

/** Takes handing in back: what was handed in at that instant stands in its bottle again. */
export function takeBackIn(kind: WasteKindId, atMs: number): Promise<void> {
  return act(`waste:${kind}`, async (writer) => {
    for (const pour of await writer.db.waste.toArray())
      if (pour.kind === kind && pour.handedInMs === atMs)
        await writer.put('waste', { ...pour, handedInMs: null, updatedMs: Date.now() });
  });
}
