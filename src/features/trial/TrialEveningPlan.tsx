'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Option } from '@/ui/Choice';
import { amountDigits } from '@/core/brewing/part';
import { isPourable } from '@/core/brewing/bottle';
import { dayOf, eveningZeroMs } from '@/core/evening/eveningForm';
import type { Brew, RecipeRecord, Trial } from '@/core/records/records';
import { conditionsOf } from '@/core/trial/levelConditions';
import {
  dayToDo,
  emptyTrialEvening,
  layOutTrialEvening,
  levelRequests,
  trialEveningFormSchema,
  type TrialBench,
  type TrialEvening,
  type TrialEveningForm,
  type TrialFilm,
} from '@/core/trial/trialEvening';
import { withoutAgent, type Weighed } from '@/core/trial/trialMix';
import { formatMinutes } from '@/core/units/duration';
import { useBrews, useFilms, useLatestRolls, useRecipes, useSettings } from '@/data/queries';
import { shareTanks, trialEveningDraftKey, trialValues } from '@/data/trials';
import { useDraft } from '@/features/drafts/useDraft';
import { TankFields } from '@/features/evening/TankFields';
import { clockTime, problemWords } from '@/features/evening/eveningWords';
import { useLearned } from '@/features/learning/useLearned';
import { amountWords, jugVolume } from '@/features/words/brewWords';
import { Choice } from '@/ui/Choice';
import { classes } from '@/ui/classes';
import { Field } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { Tick } from '@/ui/Tick';
import { useNow } from '@/ui/useNow';
import { coreWorker } from '@/workers/core';
import { LevelField, VariedChoice, movements, rollOptions } from './LevelConditions';

/** While rolls are read. */
const NO_FILMS = new Map<string, TrialFilm>();

/** Mixing and clock of a trial: what is weighed once, what each jug gets, and which tank is poured when. */
export default function TrialEveningPlan({ trial }: { trial: Trial }) {
  const { form, change } = useDraft<TrialEveningForm>(
    trialEveningDraftKey(trial.id),
    trialEveningFormSchema,
    (kept) => kept ?? emptyTrialEvening(trial),
  );
  const [brews, recipes, rolls] = [useBrews(), useRecipes(), useLatestRolls()];
  if (form === null || brews === undefined || recipes === undefined || rolls === undefined)
    return <p aria-busy="true">Reading the shelf.</p>;
  return <Plan trial={trial} form={form} change={change} brews={brews} recipes={recipes} rolls={rolls} />;
}

interface PlanProps {
  trial: Trial;
  form: TrialEveningForm;
  change: (part: Partial<TrialEveningForm> | ((form: TrialEveningForm) => Partial<TrialEveningForm>)) => void;
  brews: readonly Brew[];
  recipes: readonly RecipeRecord[];
  rolls: readonly { id: string; label: string }[];
}

function Plan({ trial, form, change, brews, recipes, rolls }: PlanProps) {
  const units = useSettings();
  const { kit } = units;
  const nowMs = useNow(60_000);
  const bench = useMemo<TrialBench>(() => ({ brews, recipes, kit }), [brews, recipes, kit]);
  const films = useFilms(form.levels.map((_, level) => conditionsOf(form, level).rollId)) ?? NO_FILMS;
  const times = useLevelTimes(form, films, bench);
  const zeroMs = eveningZeroMs({ from: form.from, day: dayOf(nowMs) }, nowMs);
  const laid = layOutTrialEvening(trialValues(trial), form, films, bench, zeroMs);
  const errors = laid.ok ? {} : Object.fromEntries(laid.problems.map(({ path, message }) => [path, message]));
  const sources = sourceOptions(brews, recipes);
  const setLevel = (at: number, part: Partial<TrialEveningForm['levels'][number]>): void =>
    change((now) => ({ levels: now.levels.map((level, index) => (index === at ? { ...level, ...part } : level)) }));
  const days = Math.max(0, ...(trial.days ?? [])) + 1;
  const isTold = times.some((time) => time !== null);
  return (
    <div className="mt-3 space-y-5">
      <div className="space-y-3 print:hidden">
        <VariedChoice id="varied" value={form.varied} onChange={(varied) => change({ varied })} />
        {trial.levels.map((name, level) => {
          const { source = '', timeMin = '' } = form.levels[level] ?? {};
          const told = times[level] ?? null;
          return (
            <div
              key={name}
              className={classes(
                'grid items-end gap-x-4 gap-y-1',
                form.varied === 'brew'
                  ? 'sm:grid-cols-[minmax(0,1fr)_150px]'
                  : 'sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_150px]',
              )}
            >
              <Choice
                id={`levels.${level}.source`}
                label={name}
                value={source}
                options={sources}
                onChange={(next) => setLevel(level, { source: next })}
              />
              <LevelField
                form={form}
                level={level}
                name={name}
                rolls={rolls}
                onChange={(part) => setLevel(level, part)}
                error={errors[`levels.${level}.temperatureC`]}
              />
              <Quantity
                id={`levels.${level}.timeMin`}
                label={`Time of “${name}”`}
                kind="minutes"
                units={units}
                value={timeMin}
                onChange={(next) => setLevel(level, { timeMin: next })}
                error={timeMin === '' ? undefined : errors[`levels.${level}.timeMin`]}
              />
              {told !== null && (
                <p className="text-[14px] text-ink2 sm:col-span-full sm:justify-self-end">
                  expected {formatMinutes(told.timeMin)} ({formatMinutes(told.low)} to {formatMinutes(told.high)})
                </p>
              )}
            </div>
          );
        })}
        <div className="flex flex-wrap gap-x-5 gap-y-2">
          <button
            type="button"
            className="act"
            disabled={!isTold}
            onClick={() =>
              change((now) => ({
                levels: now.levels.map((level, at) => {
                  const told = times[at] ?? null;
                  return told === null ? level : { ...level, timeMin: Number(told.timeMin.toFixed(2)) };
                }),
              }))
            }
          >
            To come out alike: take the expected times
          </button>
          <button
            type="button"
            className="act"
            disabled={form.levels[trial.control]?.timeMin === ''}
            onClick={() =>
              change((now) => {
                const timeMin = now.levels[trial.control]?.timeMin ?? '';
                return { levels: now.levels.map((level) => ({ ...level, timeMin })) };
              })
            }
          >
            The control’s time for all
          </button>
        </div>
        <p className="max-w-[62ch] text-[14px] text-ink2">
          The same time for all compares how strong the brews are. Times to come out alike compare what is left when
          strength is set right: speed, fog, grain.
          {!isTold &&
            films.size === 0 &&
            ' Name the roll that the strips are cut from, and a time is expected for each.'}
        </p>
        <div className="grid grid-cols-2 items-end gap-x-4 gap-y-3 sm:grid-cols-3">
          {form.varied !== 'film' && (
            <Choice
              id="rollId"
              label="Strips are cut from"
              value={form.rollId}
              options={rollOptions(rolls)}
              onChange={(rollId) => change({ rollId })}
            />
          )}
          {form.varied !== 'temperature' && (
            <Quantity
              id="trial-temperatureC"
              label="Temperature"
              kind="temperature"
              units={units}
              value={form.temperatureC}
              onChange={(temperatureC) => change({ temperatureC })}
            />
          )}
          {form.varied !== 'agitation' && (
            <Choice
              id="trial-agitationId"
              label="Agitation"
              value={form.agitationId}
              options={movements}
              onChange={(agitationId) => change({ agitationId })}
            />
          )}
          <Quantity
            id="tankMl"
            label="One tank takes"
            kind="volume"
            units={units}
            value={form.tankMl}
            onChange={(tankMl) => change({ tankMl })}
            error={errors.tankMl}
          />
          <TankFields form={form} change={change} error={errors.tanks} />
          <Field id="from" label="Start at" error={errors.from}>
            <input
              id="from"
              className="box"
              autoComplete="off"
              inputMode="numeric"
              value={form.from}
              onChange={(event) => change({ from: event.target.value })}
            />
          </Field>
          {days > 1 && (
            <Choice
              id="day"
              label="Which day"
              value={String(form.day ?? dayToDo(trial))}
              options={Array.from({ length: days }, (_, day) => ({ value: String(day), name: `Day ${day + 1}` }))}
              onChange={(day) => change({ day: Number(day) })}
            />
          )}
        </div>
        <Tick
          id="together"
          label="Strips of one roll and one brew share a tank: they count as one, since what befalls the tank befalls all of them"
          checked={trial.together === true}
          onChange={(together) => void shareTanks(trial.id, together)}
        />
      </div>
      {laid.ok ? (
        <Laid trial={trial} laid={laid.value} clock={(minutes) => clockTime(zeroMs, minutes)} />
      ) : (
        <p className="max-w-[62ch] text-ink2" role="status">
          {errors.day ?? 'Give each brew its time, and mixing and clock stand here.'}
        </p>
      )}
    </div>
  );
}

/** What a level can be: a jug that stands there, a recipe of one’s own, or that recipe without what develops. */
function sourceOptions(brews: readonly Brew[], recipes: readonly RecipeRecord[]): Option<string>[] {
  const own = recipes.filter(({ use }) => use === 'film-developer');
  return [
    { value: '', name: 'mixed by yourself' },
    ...own.map(({ id, name }) => ({ value: `recipe:${id}`, name, hint: 'Your recipe' })),
    ...own
      .filter((recipe) => withoutAgent(recipe).length < recipe.lines.length)
      .map(({ id, name }) => ({ value: `without:${id}`, name: `${name}, without what develops`, hint: 'A control' })),
    ...brews
      .filter((brew) => brew.developer !== null && isPourable(brew))
      .map(({ id, name, code }) => ({ value: `jug:${id}`, name: `${name} · ${code}`, hint: 'In a jug' })),
  ];
}

type LevelTime = { timeMin: number; low: number; high: number } | null;

/** What the estimator expects of each level; the times before stay while others are on their way. */
function useLevelTimes(
  form: TrialEveningForm,
  films: Parameters<typeof levelRequests>[1],
  bench: TrialBench,
): readonly LevelTime[] {
  const learned = useLearned();
  const [times, setTimes] = useState<readonly LevelTime[]>([]);
  // What the clock and the times say changes no request.
  const { levels, varied, temperatureC, agitationId, rollId, tankMl } = form;
  const untimed = levels.map((level) => ({ ...level, timeMin: '' }));
  const key = JSON.stringify({ levels: untimed, varied, temperatureC, agitationId, rollId, tankMl });
  const revision = learned?.revision ?? null;
  useEffect(() => {
    let stale = false;
    const asked = JSON.parse(key) as Parameters<typeof levelRequests>[0];
    const requests = levelRequests(asked, films, bench, Date.now());
    coreWorker()
      .levelTimes(requests)
      .then((found) => {
        if (!stale) setTimes(found.map((one) => one && { timeMin: one.timeMin, low: one.lowMin, high: one.highMin }));
      })
      .catch(() => undefined);
    return () => {
      stale = true;
    };
  }, [key, films, bench, revision]);
  return times;
}

interface LaidProps {
  trial: Trial;
  laid: TrialEvening;
  clock: (minutes: number) => string;
}

function Laid({ trial, laid: { tanks, mix, evening }, clock }: LaidProps) {
  const units = useSettings();
  const words = ({ name, unit, amount }: Weighed): string =>
    `${amountWords(amount, unit, amountDigits(amount, unit), units)} ${name}`;
  const volume = (ml: number): string => jugVolume(ml, 5, units).shown;
  const tankOf = new Map(tanks.map((tank) => [`roll:${tank.codes.join('+')}`, tank]));
  const events = evening.items.filter(({ kind }) => kind === 'kitchen' || kind === 'develop' || kind === 'hang');
  return (
    <>
      {mix.levels.length > 0 && (
        <section aria-labelledby="mixing">
          <h3 id="mixing" className="font-[650]">
            To mix
          </h3>
          <ol className="mt-1 list-decimal space-y-1 ps-6" data-testid="trial-mix">
            {mix.shared !== null && (
              <li>
                Once for all: {mix.shared.amounts.map(words).join(', then ')}, in water to{' '}
                <b className="num">{volume(mix.shared.makesMl)}</b>.
              </li>
            )}
            {mix.levels.map(({ name, volumeMl, sharedMl, own }) => (
              <li key={name}>
                “{name}”:{' '}
                {sharedMl > 0 && (
                  <>
                    <b className="num">{volume(sharedMl)}</b> of that{own.length > 0 && ', then '}
                  </>
                )}
                {own.map(words).join(', then ')}; fill up with water to <b className="num">{volume(volumeMl)}</b>.
              </li>
            ))}
          </ol>
          <p className="mt-1 text-[14px] text-ink2">In the house: {mix.totals.map(words).join(', ')}.</p>
        </section>
      )}
      <section aria-labelledby="trial-clock">
        <h3 id="trial-clock" className="font-[650]">
          Tank by tank, until {clock(evening.endsMin)}
        </h3>
        {evening.problems.map((problem) => (
          <p key={problem.what} className="border-s-4 border-danger ps-2 text-danger">
            {problemWords(problem)}
          </p>
        ))}
        <table className="mt-1 w-full border-collapse text-start" data-testid="trial-clock">
          <thead>
            <tr className="text-[14px] text-ink2">
              <th scope="col" className="w-[72px] py-1 font-normal">
                at
              </th>
              <th scope="col" className="py-1 font-normal">
                what
              </th>
            </tr>
          </thead>
          <tbody>
            {events.map(({ id, lane, kind, what, startMin, endMin }) => {
              const tank = tankOf.get(lane);
              return (
                <tr key={id} className="border-t border-hair">
                  <th scope="row" className="num py-1 pe-3 text-start align-top font-normal">
                    {clock(startMin)}
                  </th>
                  <td className="py-1 wrap-anywhere">
                    {tank === undefined ? (
                      what
                    ) : (
                      <>
                        <b className="num">{tank.codes.join(' ')}</b>{' '}
                        {kind === 'develop'
                          ? `in “${trial.levels[tank.level]}”, ${formatMinutes(endMin - startMin)}`
                          : 'hangs'}
                      </>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
    </>
  );
}
