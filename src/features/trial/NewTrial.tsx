'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { eyeScales } from '@/core/trial/eyePatches';
import { measureIds, measures } from '@/core/trial/measures';
import { materialIds, materials } from '@/core/trial/material';
import { MOST_LEVELS, emptyTrial, readTrial, trialFormSchema, usualPerBlock, type TrialForm } from '@/core/trial/trial';
import { repeatsOf, trialFilm, trialForecast, type Forecast } from '@/core/trial/trialForecast';
import { measureWords } from '@/core/trial/trialWords';
import { useSettings } from '@/data/queries';
import { TRIAL_DRAFT, startTrial } from '@/data/trials';
import { useDraft } from '@/features/drafts/useDraft';
import { useFaults } from '@/features/drafts/useFaults';
import { Choice } from '@/ui/Choice';
import { Field, FieldError, describedBy } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { Tick } from '@/ui/Tick';

const newSeed = (): number => Math.floor(Math.random() * 2 ** 31);

/** A trial is thought out: what differs, what is held, what is looked at, and what so many strips would see. */
export function NewTrial() {
  const router = useRouter();
  const units = useSettings();
  const { form, change } = useDraft<TrialForm>(TRIAL_DRAFT, trialFormSchema, (kept) => kept ?? emptyTrial);
  const [fault, setFault] = useState<string | null>(null);
  const read = form === null ? null : readTrial(form, 0);
  const errors =
    read === null || read.ok
      ? {}
      : Object.fromEntries(read.problems.map(({ path, message }) => [fieldOf(path), message]));
  const { shown, form: handlers } = useFaults(errors, () => {
    const laid = form === null ? null : readTrial(form, newSeed());
    if (laid?.ok !== true) return;
    startTrial(laid.value).then(
      (id) => router.push(`/trials/${encodeURIComponent(id)}`),
      (error: unknown) => setFault(error instanceof Error ? error.message : 'It was not stored. Try once more.'),
    );
  });
  const forecast = useMemo(() => (form === null ? [] : trialForecast(form)), [form]);
  if (form === null) return <p aria-busy="true">Opening the trial.</p>;
  const setLevels = (levels: string[]): void =>
    change((now) => ({
      levels,
      control: Math.min(now.control, levels.length - 1),
      // One of each from every roll, unless its owner said otherwise.
      ...(now.perBlock === usualPerBlock(now) ? { perBlock: usualPerBlock({ levels }) } : {}),
    }));
  return (
    <form className="measure space-y-6" {...handlers} noValidate>
      <div>
        <h1>What do you want to know?</h1>
        <p className="mt-1 max-w-[62ch] text-ink2">
          One thing differs from strip to strip, and one strip of each roll goes without it.
        </p>
      </div>
      <Field id="name" label="Name of the trial" error={shown.name}>
        <input
          id="name"
          className="box"
          autoComplete="off"
          maxLength={400}
          aria-invalid={shown.name ? true : undefined}
          aria-describedby={describedBy('name', undefined, shown.name)}
          value={form.name}
          onChange={(event) => change({ name: event.target.value })}
        />
      </Field>
      <fieldset>
        <legend className="font-[620]">What differs</legend>
        <ul className="mt-1 space-y-2">
          {form.levels.map((level, index) => (
            <li
              key={index}
              className="grid grid-cols-[auto_1fr] items-center gap-x-4 sm:grid-cols-[minmax(0,1fr)_auto_auto]"
            >
              <input
                id={`level-${index}`}
                className="box max-sm:col-span-2"
                aria-label={`Strip ${index + 1}`}
                autoComplete="off"
                maxLength={200}
                value={level}
                onChange={(event) => setLevels(form.levels.map((one, at) => (at === index ? event.target.value : one)))}
              />
              <label className="flex min-h-11 items-center gap-2 text-[14px]">
                <input
                  type="radio"
                  name="control"
                  className="size-5"
                  checked={form.control === index}
                  onChange={() => change({ control: index })}
                />
                control
              </label>
              <button
                type="button"
                className="act-plain justify-self-end text-[14px]"
                disabled={form.levels.length <= 2}
                onClick={() => setLevels(form.levels.filter((_, at) => at !== index))}
              >
                Leave out<span className="sr-only">: {level}</span>
              </button>
            </li>
          ))}
        </ul>
        {form.levels.length < MOST_LEVELS && (
          <button type="button" className="act-plain mt-1" onClick={() => setLevels([...form.levels, ''])}>
            One more
          </button>
        )}
        <FieldError id="levels" error={shown['level-0']} />
      </fieldset>
      <Field id="held" label="What is held" hint="film, temperature, time, movement, scene" error={shown.held}>
        <textarea
          id="held"
          className="box min-h-20"
          maxLength={2000}
          aria-describedby={describedBy('held', 'film, temperature, time, movement, scene', shown.held)}
          value={form.held}
          onChange={(event) => change({ held: event.target.value })}
        />
      </Field>
      <fieldset>
        <legend className="font-[620]">What is looked at</legend>
        <ul className="mt-1">
          {measureIds.map((id) => {
            const chosen = form.measures.includes(id);
            return (
              <li key={id} className="rule-row grid grid-cols-[minmax(0,1fr)_200px] items-center gap-x-4">
                <Tick
                  id={`measure-${id}`}
                  label={measures[id].name}
                  checked={chosen}
                  onChange={(on) =>
                    change((now) => ({
                      measures: measureIds.filter((one) => (one === id ? on : now.measures.includes(one))),
                    }))
                  }
                />
                {chosen && (
                  <Quantity
                    id={`margin-${id}`}
                    label={
                      id === 'contrast'
                        ? 'what matters, grades'
                        : id in eyeScales
                          ? 'what matters, steps'
                          : 'what matters'
                    }
                    kind={measures[id].kind}
                    units={units}
                    value={form.margins[id] ?? measures[id].margin}
                    onChange={(value) => change((now) => ({ margins: { ...now.margins, [id]: value } }))}
                    error={shown[`margin-${id}`]}
                  />
                )}
              </li>
            );
          })}
        </ul>
        <FieldError id="measures" error={shown.measures} />
      </fieldset>
      <div className="grid max-w-[560px] grid-cols-2 gap-4 sm:grid-cols-3">
        <Quantity
          id="blocks"
          label="Rolls or days"
          kind="count"
          units={units}
          value={form.blocks}
          onChange={(blocks) => change({ blocks })}
          error={shown.blocks}
        />
        <Quantity
          id="perBlock"
          label="Strips from each"
          kind="count"
          units={units}
          value={form.perBlock}
          onChange={(perBlock) => change({ perBlock })}
          error={shown.perBlock}
        />
        <Quantity
          id="days"
          label="On how many days"
          kind="count"
          units={units}
          value={form.days}
          onChange={(days) => change({ days })}
          error={shown.days}
        />
      </div>
      <TheFilm form={form} change={change} frames={shown.frames} />
      <ForecastLines forecast={forecast} repeats={repeatsOf(form)} />
      <div>
        <button type="submit" className="act act-primary max-sm:w-full" data-next-step>
          Lay it out
        </button>
        {fault !== null && (
          <p role="alert" className="mt-2 text-danger">
            {fault}
          </p>
        )}
      </div>
    </form>
  );
}

/** The field where a problem is shown, by its path in the trial. */
function fieldOf(path: string): string {
  if (path.startsWith('levels')) return 'level-0';
  if (path === 'material.frames') return 'frames';
  return path.startsWith('margins.') ? path.replace('margins.', 'margin-') : path;
}

/** What strips are cut from, and whether there is film enough. */
function TheFilm({
  form,
  change,
  frames,
}: {
  form: TrialForm;
  change: (part: Partial<TrialForm>) => void;
  frames?: string;
}) {
  const units = useSettings();
  const film = trialFilm(form);
  return (
    <fieldset>
      <legend className="font-[620]">The film</legend>
      <div className="mt-1 grid max-w-[560px] grid-cols-2 items-start gap-4 sm:grid-cols-3">
        <Choice
          id="material"
          label="Each strip is"
          value={form.material}
          options={materialIds.map((value) => ({ value, name: materials[value].name }))}
          onChange={(material) => change({ material })}
        />
        {form.material === 'length' && (
          <Quantity
            id="frames"
            label="Frames of each"
            kind="count"
            units={units}
            value={form.frames}
            onChange={(value) => change({ frames: value })}
            error={frames}
          />
        )}
        {form.material !== 'roll' && (
          <Quantity
            id="film-m"
            label="Film at hand"
            hint="optional"
            kind="filmLength"
            units={units}
            value={form.filmM}
            onChange={(filmM) => change({ filmM })}
          />
        )}
      </div>
      {film !== null && (
        <p className="mt-2 max-w-[62ch] text-[14px] text-ink2" data-testid="film-need">
          {film}
        </p>
      )}
    </fieldset>
  );
}

/** What so many strips would see, before anything is mixed. */
function ForecastLines({ forecast, repeats }: { forecast: readonly Forecast[]; repeats: number }) {
  if (forecast.length === 0) return null;
  return (
    <section aria-labelledby="forecast" className="border-s-4 border-chem ps-4" data-testid="forecast">
      <h2 id="forecast">
        What {repeats} {repeats === 1 ? 'strip' : 'strips'} of each would see
      </h2>
      <ul>
        {forecast.map(({ measureId, seen, withOneMore, withoutOne, enough }) => (
          <li key={measureId}>
            {measures[measureId].name}:{' '}
            {seen === null
              ? 'nothing: chance cannot be told from anything with so few.'
              : `${measureWords(measureId, seen)} or more, in 80 of 100 trials${enough ? '.' : '; a smaller one matters to you.'}`}{' '}
            {withOneMore !== null && (
              <span className="text-ink2">
                With one more of each, {measureWords(measureId, withOneMore)}
                {withoutOne !== null &&
                  `; with one fewer to compare, and its strips given to the others, ${measureWords(measureId, withoutOne)}`}
                .
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
