import type { Run } from '@/core/records/records';
import type { VerdictValues } from '@/core/outcome/verdict';
import { act, newStamps } from './act';
import { dropDraft } from './drafts';

/** Key of the draft of a run's verdict. */
export function verdictDraftKey(runId: string): string {
  return `verdict:${runId}`;
}

/** Stores the verdict of a run, in place of an earlier one. */
export function writeVerdict(run: Run, values: VerdictValues): Promise<void> {
  return act(`verdict:${run.id}`, async (writer) => {
    const before = await writer.db.verdicts.where({ runId: run.id }).first();
    const ids = { runId: run.id, rollId: run.rollId };
    await writer.put('verdicts', { ...(before ?? newStamps()), ...ids, ...values, updatedMs: Date.now() });
    await dropDraft(verdictDraftKey(run.id));
  });
}
