import { useLiveQuery } from 'dexie-react-hooks';
import type { Photo, Print } from '@/core/records/records';
import type { PrintValues } from '@/core/printing/print';
import { isStillJudged } from '@/core/printing/printLikeness';
import { seriesOf } from '@/core/printing/printSeries';
import { act, newStamps, type Writer } from './act';
import { database } from './database';
import { dropDraft } from './drafts';

/** Key of what is typed of a print: of one that is kept, or of a new one. */
export function printDraftKey(printId: string | null): string {
  return `print:${printId ?? 'new'}`;
}

/** All prints, the newest first; undefined while they load. */
export function usePrints(): Print[] | undefined {
  return useLiveQuery(async () => (await database().prints.toArray()).sort((a, b) => b.createdMs - a.createdMs));
}

/** Prints of a roll, oldest first; undefined while they load. */
export function usePrintsOfRoll(rollId: string): Print[] | undefined {
  return useLiveQuery(
    async () => (await database().prints.where({ rollId }).toArray()).sort((a, b) => a.createdMs - b.createdMs),
    [rollId],
  );
}

/** One print; undefined while it loads, null when there is no such print. */
export function usePrint(printId: string): Print | null | undefined {
  return useLiveQuery(async () => (await database().prints.get(printId)) ?? null, [printId]);
}

/**
 * Keeps a print: a new one, or what was changed of one. What was judged of another exposure goes. Of those that lead to one picture, one hangs.
 * @param draftKey what was typed of it
 * @returns its id
 */
export function keepPrint(
  printId: string | null,
  values: PrintValues,
  draftKey = printDraftKey(printId),
): Promise<string> {
  return act(`print:${printId ?? 'new'}`, async (writer) => {
    const stamps = newStamps();
    const before = printId === null ? undefined : await writer.db.prints.get(printId);
    const record: Print =
      before === undefined ? { ...stamps, ...values } : { ...before, ...values, updatedMs: stamps.updatedMs };
    // The eye judged the print that is there: whatever it said, it is of that exposure.
    if (before !== undefined && !isStillJudged(before, record)) delete record.judged;
    await writer.put('prints', record);
    if (record.final)
      for (const other of seriesOf(await writer.db.prints.toArray(), record.id))
        if (other.id !== record.id && other.final)
          await writer.change('prints', other.id, { final: false, updatedMs: stamps.updatedMs });
    await dropDraft(draftKey);
    return record.id;
  });
}

/** Takes a print off the bench, with its scan; it can be undone. */
export function removePrint(print: Print): Promise<void> {
  return act(
    `print:${print.id}`,
    async (writer) => {
      await writer.remove('prints', print.id);
      await dropScan(writer, print.pictureId);
    },
    { undo: `removing “${print.name}”` },
  );
}

/**
 * Keeps a scan of a print in the place of the one before.
 * @param print the print; its scan is kept with its roll
 * @param photo the scan, reduced
 */
export function keepScan(
  print: Print & { rollId: string },
  photo: Pick<Photo, 'name' | 'widthPx' | 'heightPx' | 'jpeg'>,
): Promise<string> {
  return act(`print:${print.id}`, async (writer) => {
    const stamps = newStamps();
    await writer.put('photos', { ...stamps, rollId: print.rollId, of: 'print', ...photo });
    await writer.change('prints', print.id, { pictureId: stamps.id, updatedMs: stamps.updatedMs });
    await dropScan(writer, print.pictureId);
    return stamps.id;
  });
}

/** Takes a scan away; a picture of the film stays with its roll. */
async function dropScan(writer: Writer, pictureId: string | null | undefined): Promise<void> {
  const photo = pictureId == null ? undefined : await writer.db.photos.get(pictureId);
  if (photo?.of === 'print') await writer.remove('photos', photo.id);
}
