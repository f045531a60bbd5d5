import { MOST_REPEATS, type Run, type Verdict } from '@/core/records/records';
import type { VerdictValues } from '@/core/outcome/verdict';
import { act, newStamps } from './act';
import { dropDraft } from './drafts';

/** Key of the draft of a run's verdict. */
export function verdictDraftKey(runId: string): string {
  return `verdict:${runId}`;
}

/** Keeps one more judgement of a film's contrast beside its verdict; the oldest go where there are too many. */
export function judgeAgain(runId: string, contrast: Verdict['contrast']): Promise<void> {
  return act(`again:${runId}`, async (writer) => {
    const verdict = await writer.db.verdicts.where({ runId }).first();
    if (verdict === undefined) return;
    const again = [...(verdict.again ?? []), { contrast, atMs: Date.now() }].slice(-MOST_REPEATS);
    await writer.put('verdicts', { ...verdict, again, updatedMs: Date.now() });
  });
}

/** Takes the last repeat of a film's judgement back: a slip of the finger is no scatter of the eye. */
export function takeBackAgain(runId: string): Promise<void> {
  return act(`again:${runId}`, async (writer) => {
    const verdict = await writer.db.verdicts.where({ runId }).first();
    if (verdict === undefined) return;
    const { again = [], ...rest } = verdict;
    const left = again.slice(0, -1);
    await writer.put('verdicts', {
      ...rest,
      ...(left.length === 0 ? {} : { again: left }),
      updatedMs: Date.now(),
    });
  });
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
