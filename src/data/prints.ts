import { useLiveQuery } from 'dexie-react-hooks';
import type { Print } from '@/core/records/records';
import type { PrintValues } from '@/core/printing/print';
import { act, newStamps } from './act';
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

/** One print; undefined while it loads, null when there is no such print. */
export function usePrint(printId: string): Print | null | undefined {
  return useLiveQuery(async () => (await database().prints.get(printId)) ?? null, [printId]);
}

/**
 * Keeps a print: a new one, or what was changed of one.
 * @returns its id
 */
export function keepPrint(printId: string | null, values: PrintValues): Promise<string> {
  return act(`print:${printId ?? 'new'}`, async (writer) => {
    const stamps = newStamps();
    const before = printId === null ? undefined : await writer.db.prints.get(printId);
    const record: Print =
      before === undefined ? { ...stamps, ...values } : { ...before, ...values, updatedMs: stamps.updatedMs };
    await writer.put('prints', record);
    await dropDraft(printDraftKey(printId));
    return record.id;
  });
}

/** Takes a print off the bench; it can be undone. */
export function removePrint(print: Print): Promise<void> {
  return act(`print:${print.id}`, (writer) => writer.remove('prints', print.id), { undo: `removing “${print.name}”` });
}
