'use client';

import { useState } from 'react';
import {
  leafletFormSchema,
  MOST_LEAFLET_TIMES,
  readLeafletTime,
  type LeafletForm,
  type LeafletTime,
} from '@/core/brewing/leaflet';
import { withTimes } from '@/core/brewing/timesTable';
import { developerFamilies } from '@/core/chemistry/developerFamilies';
import { formatMinutes } from '@/core/units/duration';
import { formatQuantity } from '@/core/units/quantity';
import type { Brew } from '@/core/records/records';
import { keepLeafletTimes } from '@/data/brews';
import { useSettings, useStockNames } from '@/data/queries';
import { partsWords } from '@/features/dilution/dilutionWords';
import { useDraft } from '@/features/drafts/useDraft';
import { Field, describedBy } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { TimesTable } from './TimesTable';

const empty: LeafletForm = { film: '', dilution: '', temperatureC: 20, timeMin: '' };

/** Times of the leaflet, typed once: offered from then on to every roll of that film. */
export function LeafletTimes({ brew }: { brew: Brew }) {
  const units = useSettings();
  const stocks = useStockNames();
  const { form, change } = useDraft<LeafletForm>(`leaflet:${brew.id}`, leafletFormSchema, (kept) => kept ?? empty);
  const [errors, setErrors] = useState<Partial<Record<string, string>>>({});
  const { bottle, developer } = brew;
  if (bottle === undefined || developer?.kind !== 'concentrate' || form === null) return null;
  const times = bottle.times ?? [];
  const usual = developerFamilies[developer.familyId].referenceParts;
  const store = (next: LeafletTime[], after: () => void): void => {
    keepLeafletTimes(brew.id, next).then(after, (error: unknown) =>
      setErrors({ film: error instanceof Error ? error.message : 'It was not stored. Try once more.' }),
    );
  };
  const add = (): void => {
    const read = readLeafletTime(form, bottle.dilutions, usual);
    if (!read.ok) {
      setErrors(Object.fromEntries(read.problems.map(({ path, message }) => [path, message])));
      return;
    }
    store([...times, read.value].slice(-MOST_LEAFLET_TIMES), () => {
      setErrors({});
      change({ ...empty, dilution: form.dilution, temperatureC: form.temperatureC });
    });
  };
  const line = (id: 'film' | 'dilution', label: string, hint: string) => (
    <Field id={`leaflet-${id}`} label={label} hint={hint} error={errors[id]}>
      <input
        id={`leaflet-${id}`}
        className="box aria-invalid:border-2 aria-invalid:border-danger"
        autoComplete="off"
        list={id === 'film' ? 'leaflet-films' : undefined}
        aria-invalid={errors[id] ? true : undefined}
        aria-describedby={describedBy(`leaflet-${id}`, hint, errors[id])}
        value={form[id]}
        onChange={(event) => change({ [id]: event.target.value })}
      />
    </Field>
  );
  return (
    <section aria-labelledby="leaflet">
      <h2 id="leaflet">Its leaflet’s times</h2>
      <p className="mt-1 max-w-[58ch] text-ink2">Typed once, they are offered to every roll of that film.</p>
      {times.length > 0 && (
        <ul aria-label="Leaflet’s times" className="mt-2 border-b border-hair">
          {times.map((time, index) => (
            <li key={index} className="rule-row flex flex-wrap items-baseline justify-between gap-x-5">
              <span>
                {time.film} · {partsWords(time.parts)} · {formatQuantity(time.temperatureC, 'temperature', units)}
              </span>
              <span className="flex items-baseline gap-x-4">
                <b className="num text-[19px]">{formatMinutes(time.timeMin)}</b>
                <button
                  type="button"
                  className="act-plain text-[14px]"
                  onClick={() =>
                    store(
                      times.filter((_, other) => other !== index),
                      () => setErrors({}),
                    )
                  }
                >
                  Remove<span className="sr-only"> {time.film}</span>
                </button>
              </span>
            </li>
          ))}
        </ul>
      )}
      <datalist id="leaflet-films">
        {[...new Set(stocks.values())].map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <div className="mt-2 grid max-w-[640px] gap-4 sm:grid-cols-2">
        {line('film', 'Film', 'as your rolls call it')}
        {line('dilution', 'Diluted', 'its letter, or 1+31')}
        <Quantity
          id="leaflet-temperature"
          label="At"
          kind="temperature"
          units={units}
          value={form.temperatureC}
          onChange={(temperatureC) => change({ temperatureC })}
          error={errors.temperatureC}
        />
        <Quantity
          id="leaflet-time"
          label="Time"
          kind="minutes"
          units={units}
          value={form.timeMin}
          onChange={(timeMin) => change({ timeMin })}
          error={errors.timeMin}
        />
      </div>
      <button type="button" className="act mt-3" onClick={add}>
        Add this time
      </button>
      <TimesTable
        letters={bottle.dilutions}
        usual={usual}
        onTake={async (more) => {
          const { times: all, added } = withTimes(times, more);
          await keepLeafletTimes(brew.id, all);
          return added;
        }}
      />
    </section>
  );
}
