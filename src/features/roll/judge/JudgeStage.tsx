'use client';

import Link from 'next/link';
import type * as z from 'zod';
import type { Run, Verdict } from '@/core/records/records';
import {
  contrastGrades,
  defects,
  evennessGrades,
  imageOf,
  images,
  type DefectId,
  type ImageId,
} from '@/core/outcome/grades';
import { verdictValuesSchema, type VerdictValues } from '@/core/outcome/verdict';
import { runProgress } from '@/core/run/runProgress';
import type { RollDossier } from '@/data/queries';
import { verdictDraftKey, writeVerdict } from '@/data/verdicts';
import { useDraft } from '@/features/drafts/useDraft';
import { useFaults } from '@/features/drafts/useFaults';
import { Field } from '@/ui/Field';
import { contrastStrips, fogStrips, shadowStrips } from '@/features/scene/gradeStrips';
import { StripChoice } from '@/features/scene/StripChoice';
import { AskForDay } from '@/features/scene/AskForDay';
import { Segments } from '@/ui/Segments';

const optionsOf = <T extends string>(table: Record<T, string>) =>
  (Object.keys(table) as T[]).map((value) => ({ value, name: table[value] }));
const evennessOptions = optionsOf(evennessGrades);

const imageOptions = optionsOf(images);

/** Whether there is an image is asked by itself, at the top. */
const OF_IMAGE: readonly DefectId[] = ['no-image', 'black'];
const listedDefects = (Object.keys(defects) as DefectId[]).filter((id) => !OF_IMAGE.includes(id));

/** What a verdict without an image holds in its other columns: nothing of it is taught but the fog of black film. */
const WITHOUT_IMAGE: Record<ImageId, TypedVerdict> = {
  there: { contrast: undefined, fog: undefined, shadows: undefined, evenness: undefined },
  clear: { contrast: -2, fog: 'clear', shadows: 'lost', evenness: 'even' },
  black: { contrast: -2, fog: 'heavy', shadows: 'lost', evenness: 'even' },
};
const NAMED: Record<ImageId, readonly DefectId[]> = { there: [], clear: ['no-image'], black: ['no-image', 'black'] };

/** What each answer leads to. */
const leadsOn: Record<Exclude<ImageId, 'there'>, string> = {
  clear:
    'Clear film was never exposed, or nothing developed it. Look for the edge print: where it is dark, the developer worked. Nothing of this is taught to other rolls.',
  black:
    'Black film is fog: of age, of light, or of the developer. Its sisters are taught that their fog is heavy too; what it says of contrast is nothing.',
};

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
  const image = imageOf(found);
  const blank = image !== 'there';
  return (
    <form className="measure space-y-5 pt-3" {...handlers}>
      <div className="max-w-[620px]">
        <Segments
          id="image"
          label="Is there an image?"
          value={image}
          options={imageOptions}
          onChange={(next) => {
            if (next === image) return;
            change({
              ...WITHOUT_IMAGE[next],
              defects: [...found.filter((id) => !OF_IMAGE.includes(id)), ...NAMED[next]],
            });
          }}
        />
        {image !== 'there' && <p className="mt-2 text-[15px] text-ink2">{leadsOn[image]}</p>}
      </div>
      {!blank && <AskForDay />}
      {!blank && (
        <>
          <StripChoice
            id="contrast"
            label="Contrast"
            hint="scanned: tap the one that looks like yours"
            options={contrastStrips}
            value={form.contrast === undefined ? null : (String(form.contrast) as keyof typeof contrastGrades)}
            onChange={(value) => change({ contrast: Number(value) as VerdictValues['contrast'] })}
            error={shown.contrast}
          />
          <StripChoice
            id="fog"
            label="Fog between the frames"
            hint="the negative on a light table"
            options={fogStrips}
            value={form.fog ?? null}
            onChange={(fog) => change({ fog })}
            error={shown.fog}
          />
          <p className="text-[15px]">
            <Link href={`/rolls/${encodeURIComponent(run.rollId)}/strip?read=gap`} className="act-plain">
              Measure it: a picture and two taps
            </Link>
          </p>
          <div className="max-w-[560px]">
            <StripChoice
              id="shadows"
              label="Shadows"
              hint="scanned: the dark wall and the doorway"
              options={shadowStrips}
              value={form.shadows ?? null}
              onChange={(shadows) => change({ shadows })}
              error={shown.shadows}
            />
          </div>
          <div className="max-w-[420px]">
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
              {listedDefects.map((id) => (
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
        </>
      )}
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
        {verdict !== undefined ? 'Save the changed verdict' : 'Save verdict'}
      </button>
    </form>
  );
}
