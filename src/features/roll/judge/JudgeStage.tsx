'use client';

import type * as z from 'zod';
import type { Run, Verdict } from '@/core/records/records';
import { contrastGrades, defects, evennessGrades, fogGrades, shadowGrades, type DefectId } from '@/core/outcome/grades';
import { verdictValuesSchema, type VerdictValues } from '@/core/outcome/verdict';
import { runProgress } from '@/core/schedule/runState';
import type { RollDossier } from '@/data/queries';
import { verdictDraftKey, writeVerdict } from '@/data/verdicts';
import { useDraft } from '@/features/keeping/useDraft';
import { useFaults } from '@/features/keeping/useFaults';
import { Field } from '@/ui/Field';
import { Segments } from '@/ui/Segments';

const optionsOf = <T extends string>(table: Record<T, string>) =>
  (Object.keys(table) as T[]).map((value) => ({ value, name: table[value] }));
const contrastOptions = ['-2', '-1', '0', '1', '2'].map((value) => ({
  value,
  name: contrastGrades[value as keyof typeof contrastGrades],
}));
const fogOptions = optionsOf(fogGrades);
const shadowOptions = optionsOf(shadowGrades);
const evennessOptions = optionsOf(evennessGrades);

/** A verdict is given, never preset: until then its grades are open. */
const typedVerdictSchema = verdictValuesSchema.partial();
type TypedVerdict = z.infer<typeof typedVerdictSchema>;

/** The judgement of the dry negatives. */
export function JudgeStage({ dossier: { run, verdict } }: { dossier: RollDossier }) {
  const finished = run !== undefined && runProgress(run.steps, run.events).phase === 'finished';
  if (!finished)
    return (
      <p className="pt-2 text-ink2">Wait until the film is dry: a wet negative looks denser and softer than it is.</p>
    );
  return <VerdictForm key={run.id} run={run} verdict={verdict} />;
}

function valuesOf(verdict: Verdict | undefined): TypedVerdict {
  if (verdict === undefined) return { defects: [], note: '' };
  const { contrast, fog, shadows, evenness, defects: found, note } = verdict;
  return { contrast, fog, shadows, evenness, defects: found, note };
}

function VerdictForm({ run, verdict }: { run: Run; verdict: Verdict | undefined }) {
  const { form: typed, change } = useDraft<TypedVerdict>(
    verdictDraftKey(run.id),
    typedVerdictSchema,
    (kept) => kept ?? {},
  );
  const form = { ...valuesOf(verdict), ...typed };
  const read = verdictValuesSchema.safeParse(form);
  const errors = read.success
    ? {}
    : Object.fromEntries([...read.error.issues].reverse().map((issue) => [issue.path.join('-'), issue.message]));
  const { shown, form: handlers } = useFaults(errors, () => {
    if (read.success) void writeVerdict(run, read.data).catch(() => undefined);
  });
  if (typed === null) return <p aria-busy="true">Opening the verdict.</p>;
  const found = form.defects ?? [];
  return (
    <form className="max-w-[860px] space-y-5 pt-3" {...handlers}>
      <Segments
        id="contrast"
        label="Contrast"
        options={contrastOptions}
        value={form.contrast === undefined ? null : String(form.contrast)}
        onChange={(value) => change({ contrast: Number(value) as VerdictValues['contrast'] })}
        error={shown.contrast}
      />
      <Segments
        id="fog"
        label="Fog between the frames"
        options={fogOptions}
        value={form.fog ?? null}
        onChange={(fog) => change({ fog })}
        error={shown.fog}
      />
      <div className="grid gap-5 sm:grid-cols-2">
        <Segments
          id="shadows"
          label="Shadows"
          options={shadowOptions}
          value={form.shadows ?? null}
          onChange={(shadows) => change({ shadows })}
          error={shown.shadows}
        />
        <Segments
          id="evenness"
          label="Evenness"
          options={evennessOptions}
          value={form.evenness ?? null}
          onChange={(evenness) => change({ evenness })}
          error={shown.evenness}
        />
      </div>
      <fieldset>
        <legend className="font-[620]">Defects</legend>
        <div className="mt-1 grid grid-cols-2 gap-x-4 sm:grid-cols-4">
          {(Object.keys(defects) as DefectId[]).map((id) => (
            <label key={id} className="flex min-h-9 cursor-pointer items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={found.includes(id)}
                onChange={(event) =>
                  change({ defects: event.target.checked ? [...found, id] : found.filter((other) => other !== id) })
                }
              />
              {defects[id]}
            </label>
          ))}
        </div>
      </fieldset>
      <Field id="verdict-note" label="Note" hint="what you would do differently" error={shown.note}>
        <textarea
          id="verdict-note"
          rows={3}
          className="box"
          value={form.note ?? ''}
          onChange={(event) => change({ note: event.target.value })}
        />
      </Field>
      <button type="submit" className="act act-primary" data-next-step>
        {verdict !== undefined ? 'Save the changed verdict' : 'Write it into the log'}
      </button>
    </form>
  );
}
