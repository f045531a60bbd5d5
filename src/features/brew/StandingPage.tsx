'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { bottleSince } from '@/core/brewing/bottle';
import { jugState } from '@/core/brewing/keeping';
import {
  emptyStanding,
  readStanding,
  standingFormSchema,
  standingIds,
  stagesOf,
  standingName,
  type StandingForm,
} from '@/core/brewing/standing';
import { developerFamilyIds } from '@/core/chemistry/developerFamilies';
import { standBottle, STANDING_DRAFT } from '@/data/brews';
import { useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { useFaults } from '@/features/drafts/useFaults';
import { jugWords } from '@/features/words/jugWords';
import { Choice } from '@/ui/Choice';
import { describedBy, Field } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';
import { useNow } from '@/ui/useNow';

const options = standingIds.map((value) => ({ value, name: standingName(value) }));

/** How often the day is looked at again, ms. */
const LOOK_AGAIN_MS = 60_000;

const stageNames = { working: 'Ready to pour', stock: 'Stock', concentrate: 'Concentrate', powder: 'Powder' } as const;

const sinceLabels = { mixed: 'Mixed on', opened: 'Opened on', bought: 'Bought on' } as const;

/** Tells of a bottle that was mixed before Aetas knew of it: what it is, since when, and what went through it. */
export function StandingPage() {
  const router = useRouter();
  const units = useSettings();
  const nowMs = useNow(LOOK_AGAIN_MS);
  const [fault, setFault] = useState<string | null>(null);
  const { form, change } = useDraft<StandingForm>(STANDING_DRAFT, standingFormSchema, (kept) => kept ?? emptyStanding);
  const read = form === null ? null : readStanding(form, nowMs);
  const errors =
    read === null || read.ok ? {} : Object.fromEntries(read.problems.map(({ path, message }) => [path, message]));
  const { shown, form: handlers } = useFaults(errors, () => {
    if (read?.ok !== true) return;
    standBottle(read.value).then(
      (id) => router.push(`/brews/${encodeURIComponent(id)}`),
      (error: unknown) => setFault(error instanceof Error ? error.message : 'It was not stored. Try once more.'),
    );
  });
  if (form === null) return <p aria-busy="true">Opening the form.</p>;
  const stages = stagesOf(form.whatId);
  const stage = stages.includes(form.stage) ? form.stage : 'working';
  const bought = (developerFamilyIds as readonly string[]).includes(form.whatId);
  const line = (id: 'name' | 'dilution' | 'mixedOn' | 'place' | 'dilutions', label: string, hint?: string) => (
    <Field id={id} label={label} hint={hint} error={shown[id]}>
      <input
        id={id}
        className="box aria-invalid:border-2 aria-invalid:border-danger"
        autoComplete="off"
        aria-invalid={shown[id] ? true : undefined}
        aria-describedby={describedBy(id, hint, shown[id])}
        value={form[id]}
        onChange={(event) => change({ [id]: event.target.value })}
      />
    </Field>
  );
  const number = (
    id: 'volumeMl' | 'films' | 'takesFilms' | 'holdsMl' | 'price',
    label: string,
    kind: 'volume' | 'count' | 'money',
    hint?: string,
  ) => (
    <Quantity
      id={id}
      label={label}
      kind={kind}
      units={units}
      hint={hint}
      optional={id === 'takesFilms' || id === 'holdsMl' || id === 'price'}
      value={form[id]}
      onChange={(value) => change({ [id]: value })}
      error={shown[id]}
    />
  );
  return (
    <div className="measure">
      <h1>What stands there already?</h1>
      <p className="mt-1 mb-5 max-w-[62ch] text-ink2">
        A bottle with a past: about when it was mixed and about how many films went through it is enough.
      </p>
      <form className="max-w-[560px] space-y-4" {...handlers} noValidate>
        <Choice
          id="whatId"
          label="What is in it"
          value={form.whatId}
          options={options}
          onChange={(whatId) => change({ whatId })}
        />
        {stages.length > 1 && (
          <Segments
            id="stage"
            label="How it stands there"
            value={stage}
            options={stages.map((value) => ({ value, name: stageNames[value] }))}
            onChange={(next) => change({ stage: next })}
          />
        )}
        {stage === 'working' ? (
          <div className="grid gap-4 sm:grid-cols-2">
            {line('mixedOn', 'Mixed on', 'a day, or “3 weeks ago”')}
            {number('films', 'Films through it', 'count', '135-36 or 120 is one')}
            {number('volumeMl', 'Volume left', 'volume')}
            {number('takesFilms', 'Films it takes', 'count', 'if its leaflet says')}
            {bought && line('dilution', 'Dilution', 'as 1+9; empty for usual')}
            {line('name', 'Name', 'optional')}
          </div>
        ) : (
          <div className="grid gap-4 sm:grid-cols-2">
            {line(
              'mixedOn',
              sinceLabels[bottleSince({ stage, opened: stage === 'concentrate' && !form.sealed })],
              'a day, or “3 weeks ago”',
            )}
            {number('volumeMl', stage === 'powder' ? 'It makes' : 'Volume left', 'volume')}
            {stage !== 'powder' && number('holdsMl', 'The bottle holds', 'volume', 'air shortens its life')}
            {stage !== 'powder' && line('dilutions', 'Dilutions', 'as B 1+31, H 1+63')}
            {line('name', 'Name', 'optional')}
            {line('place', 'Where it stands', 'optional')}
            {number('price', 'What it cost', 'money', 'optional')}
            {stage === 'concentrate' && (
              <label className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  checked={form.sealed}
                  onChange={(event) => change({ sealed: event.target.checked })}
                />
                It is still sealed
              </label>
            )}
          </div>
        )}
        {read?.ok === true && (
          <p className="border-s-4 border-chem ps-3" role="status">
            {upperFirst(jugWords(jugState({ ...read.value, parts: [] }, nowMs), nowMs))}.
          </p>
        )}
        <button type="submit" className="act act-primary max-sm:w-full" data-next-step>
          Stand it on the bench
        </button>
        {fault !== null && (
          <p role="alert" className="text-danger">
            {fault}
          </p>
        )}
      </form>
    </div>
  );
}

const upperFirst = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
