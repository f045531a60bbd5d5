'use client';

import Link from 'next/link';
import { useState } from 'react';
import { isPourable } from '@/core/brewing/bottle';
import {
  emptyLessons,
  lessonFormSchema,
  teachingStrips,
  trialLessons,
  type LessonForm,
} from '@/core/trial/trialLessons';
import type { Trial } from '@/core/records/records';
import { useBrews, useLatestRolls, useSettings } from '@/data/queries';
import { lessonsDraftKey, teach, unteach } from '@/data/trials';
import { useDraft } from '@/features/drafts/useDraft';
import { useFaults } from '@/features/drafts/useFaults';
import { Choice } from '@/ui/Choice';
import { FieldError } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { LevelField, VariedChoice, movements, rollOptions } from './LevelConditions';

/** What the trial teaches the estimates: said once which roll, jug and time its strips had; marked, and taken back at any time. */
export function Lessons({ trial }: { trial: Trial }) {
  const count = teachingStrips(trial).length;
  const taught = trial.taughtIds?.length ?? 0;
  if (taught > 0)
    return (
      <section aria-labelledby="lessons" className="mt-7">
        <h2 id="lessons">What it teaches</h2>
        <p className="mt-1">
          {taught} {taught === 1 ? 'strip counts' : 'strips count'} among the evidence of their rolls, as clips, and are
          named in the ledger of every time that they move.{' '}
          <button type="button" className="act-plain" onClick={() => void unteach(trial)}>
            Take it back
          </button>
        </p>
      </section>
    );
  return (
    <section aria-labelledby="lessons" className="mt-7 print:hidden">
      <h2 id="lessons">What it teaches</h2>
      {count === 0 ? (
        <p className="mt-1 max-w-[62ch] text-ink2">
          Estimates learn from strips with a gradient and base + fog. A grade by eye tells one strip from another, and
          no more.
        </p>
      ) : (
        <details className="mt-1">
          <summary className="act-plain">
            Let the estimates learn from its {count} {count === 1 ? 'strip' : 'strips'}
          </summary>
          <LessonsForm trial={trial} count={count} />
        </details>
      )}
    </section>
  );
}

function LessonsForm({ trial, count }: { trial: Trial; count: number }) {
  const units = useSettings();
  const rolls = useLatestRolls();
  const brews = useBrews();
  const [fault, setFault] = useState<string | null>(null);
  const { form, change } = useDraft<LessonForm>(
    lessonsDraftKey(trial.id),
    lessonFormSchema,
    (kept) => kept ?? emptyLessons(trial),
  );
  const read = form === null || brews === undefined ? null : trialLessons(trial, form, brews);
  const errors =
    read === null || read.ok ? {} : Object.fromEntries(read.problems.map(({ path, message }) => [path, message]));
  const { shown, form: handlers } = useFaults(errors, () => {
    if (read?.ok !== true) return;
    teach(trial.id, read.value).catch((error: unknown) =>
      setFault(error instanceof Error ? error.message : 'It was not stored. Try once more.'),
    );
  });
  if (form === null || brews === undefined || rolls === undefined) return <p aria-busy="true">Reading the shelf.</p>;
  const jugs = brews.filter((brew) => brew.developer !== null && isPourable(brew));
  if (rolls.length === 0 || jugs.length === 0)
    return (
      <p className="mt-1 max-w-[62ch] text-ink2">
        {count} {count === 1 ? 'strip' : 'strips'} could teach the estimates. For that their roll and the jugs of their
        brews have to be on the bench: <Link href="/rolls/new">add a roll</Link>,{' '}
        <Link href="/brews/standing">stand a jug there</Link>.
      </p>
    );
  const setLevel = (at: number, part: Partial<LessonForm['levels'][number]>): void =>
    change({ levels: form.levels.map((level, index) => (index === at ? { ...level, ...part } : level)) });
  return (
    <form className="mt-2 space-y-3" {...handlers} noValidate>
      <VariedChoice id="varied" value={form.varied} onChange={(varied) => change({ varied })} />
      {form.varied !== 'film' &&
        form.rollIds.map((rollId, block) => (
          <Choice
            key={block}
            id={`rollIds.${block}`}
            label={form.rollIds.length === 1 ? 'All strips came from' : `Row ${block + 1} came from`}
            value={rollId}
            options={rollOptions(rolls)}
            onChange={(next) =>
              change({ rollIds: form.rollIds.map((before, index) => (index === block ? next : before)) })
            }
            inline
          />
        ))}
      {trial.levels.map((name, level) => (
        <div key={name} className="flex flex-wrap items-end gap-x-4 gap-y-2 border-t border-hair pt-2">
          <Choice
            id={`levels.${level}.brewId`}
            label={name}
            value={form.levels[level]?.brewId ?? ''}
            options={[
              { value: '', name: 'left out' },
              ...jugs.map((jug) => ({ value: jug.id, name: `${jug.name} · ${jug.code}` })),
            ]}
            onChange={(brewId) => setLevel(level, { brewId })}
            error={shown[`levels.${level}.brewId`]}
          />
          {form.levels[level]?.brewId !== '' && (
            <LevelField
              form={{ ...form, rollId: '' }}
              level={level}
              name={name}
              rolls={rolls}
              onChange={(part) => setLevel(level, part)}
              error={shown[`levels.${level}.temperatureC`]}
            />
          )}
          {form.levels[level]?.brewId !== '' && (
            <Quantity
              id={`levels.${level}.timeMin`}
              label={`Time in “${name}”`}
              kind="minutes"
              units={units}
              value={form.levels[level]?.timeMin ?? ''}
              onChange={(timeMin) => setLevel(level, { timeMin })}
              error={shown[`levels.${level}.timeMin`]}
            />
          )}
        </div>
      ))}
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 border-t border-hair pt-2">
        {form.varied !== 'temperature' && (
          <Quantity
            id="temperatureC"
            label="Temperature"
            kind="temperature"
            units={units}
            value={form.temperatureC}
            onChange={(temperatureC) => change({ temperatureC })}
            error={shown.temperatureC}
          />
        )}
        {form.varied !== 'agitation' && (
          <Choice
            id="agitationId"
            label="How the tank was agitated"
            value={form.agitationId}
            options={movements}
            onChange={(agitationId) => change({ agitationId })}
          />
        )}
      </div>
      <FieldError id="levels" error={shown.levels} />
      <button type="submit" className="act act-primary max-sm:w-full">
        Let the estimates learn from it
      </button>
      {fault !== null && (
        <p role="alert" className="text-danger">
          {fault}
        </p>
      )}
    </form>
  );
}
