import type { Records } from '@/core/records/records';
import { noRecords } from '@/core/records/tables';
import { keepSafe, replaceRecords } from './safekeeping';
import { guardedWrite } from './write';

/** Takes the records of a checked file in place of all that the bench holds; `undoLast` brings the old ones back. */
export async function importRecords(records: Records): Promise<void> {
  await guardedWrite(async () => {
    await keepSafe('the import');
    await replaceRecords(records);
  });
}

/** Empties the bench, drafts included; `undoLast` brings the records back. */
export async function wipeRecords(): Promise<void> {
  await guardedWrite(async () => {
    await keepSafe('the wipe');
    await replaceRecords(noRecords());
  });
}
