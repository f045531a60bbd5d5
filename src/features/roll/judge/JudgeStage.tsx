'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import type { Run, Verdict } from '@/core/records/records';
import { contrastGrades, defects, evennessGrades, fogGrades, shadowGrades, type DefectId } from '@/core/outcome/grades';
import { verdictValuesSchema, type VerdictValues } from '@/core/outcome/verdict';
import { runProgress } from '@/core/schedule/runState';
import { keepDraft, readDraft } from '@/data/drafts';
import type { RollDossier } from '@/data/queries';
import { verdictDraftKey, writeVerdict } from '@/data/verdicts';
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

/** The judgement of the dry negatives. */
export function JudgeStage({ dossier: { run, verdict } }: { dossier: RollDossier }) {
  const [start, setStart] = useState<VerdictStart | null>(null);
  const finished = run !== undefined && runProgress(run.steps, run.events).phase === 'finished';
  const runId = run?.id;
  useEffect(() => {
    if (runId === undefined) return;
    void readDraft(verdictDraftKey(runId)).then((values) => {
      const kept = verdictValuesSchema.partial().safeParse(values);
      setStart({ ...valuesOf(verdict), ...(kept.success ? kept.data : {}) });
    });
    // The form starts from what was kept when the stage opened; later changes come from the form itself.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [runId]);
  if (!finished)
    return (
      <p className="pt-2 text-ink2">Wait until the film is dry: a wet negative looks denser and softer than it is.</p>
    );
  if (start === null) return <p aria-busy="true">Opening the verdict.</p>;
  return <VerdictForm run={run} start={start} written={verdict !== undefined} />;
}

/** A verdict is given, never preset: until then its grades are open. */
type VerdictStart = Partial<VerdictValues> & Pick<VerdictValues, 'defects' | 'note'>;

function valuesOf(verdict: Verdict | undefined): VerdictStart {
  if (verdict === undefined) return { defects: [], note: '' };
  const { contrast, fog, shadows, evenness, defects: found, note } = verdict;
  return { contrast, fog, shadows, evenness, defects: found, note };
}

function VerdictForm({ run, start, written }: { run: Run; start: VerdictStart; written: boolean }) {
  const { control, register, handleSubmit, subscribe, formState } = useForm<VerdictValues>({
    defaultValues: start,
    resolver: zodResolver(verdictValuesSchema),
  });
  const { errors } = formState;
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values }) => void keepDraft(verdictDraftKey(run.id), values).catch(() => undefined),
      }),
    [subscribe, run.id],
  );
  return (
    <form
      className="max-w-[860px] space-y-5 pt-3"
      onSubmit={(event) => void handleSubmit((values) => writeVerdict(run, values))(event)}
    >
      <Controller
        control={control}
        name="contrast"
        render={({ field }) => (
          <Segments
            id="contrast"
            label="Contrast"
            options={contrastOptions}
            value={field.value === undefined ? null : String(field.value)}
            onChange={(value) => field.onChange(Number(value))}
            error={errors.contrast?.message}
          />
        )}
      />
      <Controller
        control={control}
        name="fog"
        render={({ field }) => (
          <Segments
            id="fog"
            label="Fog between the frames"
            options={fogOptions}
            value={field.value ?? null}
            onChange={field.onChange}
            error={errors.fog?.message}
          />
        )}
      />
      <div className="grid gap-5 sm:grid-cols-2">
        <Controller
          control={control}
          name="shadows"
          render={({ field }) => (
            <Segments
              id="shadows"
              label="Shadows"
              options={shadowOptions}
              value={field.value ?? null}
              onChange={field.onChange}
              error={errors.shadows?.message}
            />
          )}
        />
        <Controller
          control={control}
          name="evenness"
          render={({ field }) => (
            <Segments
              id="evenness"
              label="Evenness"
              options={evennessOptions}
              value={field.value ?? null}
              onChange={field.onChange}
              error={errors.evenness?.message}
            />
          )}
        />
      </div>
      <Controller
        control={control}
        name="defects"
        render={({ field }) => (
          <fieldset>
            <legend className="font-[620]">Defects</legend>
            <div className="mt-1 grid grid-cols-2 gap-x-4 sm:grid-cols-4">
              {(Object.keys(defects) as DefectId[]).map((id) => (
                <label key={id} className="flex min-h-9 cursor-pointer items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={field.value.includes(id)}
                    onChange={(event) =>
                      field.onChange(
                        event.target.checked ? [...field.value, id] : field.value.filter((other) => other !== id),
                      )
                    }
                  />
                  {defects[id]}
                </label>
              ))}
            </div>
          </fieldset>
        )}
      />
      <Field id="verdict-note" label="Note" hint="what you would do differently" error={errors.note?.message}>
        <textarea id="verdict-note" rows={3} className="box" {...register('note')} />
      </Field>
      <button type="submit" className="act act-primary" data-next-step>
        {written ? 'Keep the changed verdict' : 'Write it into the log'}
      </button>
    </form>
  );
}
