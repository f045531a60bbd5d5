import type { Run } from '@/core/records/records';
import type { VerdictValues } from '@/core/outcome/verdict';
import { database } from './database';
import { dropDraft } from './drafts';
import { putRecord } from './putRecord';
import { guardedWrite, newStamps } from './write';

/** Key of the draft of a run's verdict. */
export function verdictDraftKey(runId: string): string {
  return `verdict:${runId}`;
}

/** Stores the verdict of a run, in place of an earlier one. */
export async function writeVerdict(run: Run, values: VerdictValues): Promise<void> {
  await guardedWrite(async () => {
    const db = database();
    await db.transaction('rw', db.verdicts, db.drafts, async () => {
      const before = await db.verdicts.where({ runId: run.id }).first();
      await putRecord('verdicts', {
        ...(before ?? newStamps()),
        runId: run.id,
        rollId: run.rollId,
        ...values,
        updatedMs: Date.now(),
      });
      await dropDraft(verdictDraftKey(run.id));
    });
  });
}
