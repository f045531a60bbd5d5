'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useState } from 'react';
import {
  capacityOf,
  emptyWasteForm,
  neverMeet,
  wasteBottle,
  wasteFormSchema,
  wasteKindIds,
  wasteKinds,
  type Silver,
  type WasteForm,
  type WasteKindId,
} from '@/core/waste/waste';
import type { Waste } from '@/core/records/records';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { dropPour, handIn, takeBackIn, useWaste } from '@/data/waste';
import { useDraft } from '@/features/drafts/useDraft';
import { Quantity } from '@/ui/Quantity';
import { WasteBottlePicture } from './WasteBottlePicture';

/** Waste that is kept until it is handed in: a bottle for each kind, what must never meet, and the sheet for the counter. */
export function WastePage() {
  const units = useSettings();
  const pours = useWaste();
  const { form, change } = useDraft<WasteForm>('waste', wasteFormSchema, (kept) => kept ?? emptyWasteForm);
  const [handed, setHanded] = useState<{ kind: WasteKindId; atMs: number } | null>(null);
  if (pours === undefined || form === null) return <p aria-busy="true">Opening the waste bottles.</p>;
  const standing = pours.filter(({ handedInMs }) => handedInMs === null);
  return (
    <div className="measure">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
        <h1>Waste</h1>
        <span className="flex gap-x-6 print:hidden">
          <Link href="/brews" className="act-plain">
            Brews
          </Link>
          <button type="button" className="act-plain" onClick={() => window.print()}>
            Print the sheet for the counter
          </button>
        </span>
      </div>
      <p className="mt-1 max-w-[62ch] text-ink2 print:hidden">
        A jug that is poured away goes into the bottle of its kind. The rules where you live go before everything here.
      </p>
      {handed !== null && (
        <p role="status" className="mt-3 border-s-4 border-chem ps-3 print:hidden">
          {wasteKinds[handed.kind].name}: handed in.{' '}
          <button
            type="button"
            className="act-plain"
            onClick={() => {
              void takeBackIn(handed.kind, handed.atMs);
              setHanded(null);
            }}
          >
            Take that back
          </button>
        </p>
      )}
      <ul aria-label="Waste bottles" className="mt-4">
        {wasteKindIds.map((kind) => (
          <Bottle
            key={kind}
            kind={kind}
            pours={standing.filter((pour) => pour.kind === kind)}
            lastMs={lastHandedIn(pours, kind)}
            form={form}
            units={units}
            onCapacity={(value) => change((now) => ({ capacityMl: { ...now.capacityMl, [kind]: value } }))}
            onHandIn={() => {
              const atMs = Date.now();
              void handIn(kind, atMs).then(() => setHanded({ kind, atMs }));
            }}
          />
        ))}
      </ul>
      <section aria-labelledby="never" className="mt-7">
        <h2 id="never">Never together</h2>
        <ul className="mt-1">
          {neverMeet.map(({ one, other, why }) => (
            <li key={one + other} className="rule-row grid gap-x-6 sm:grid-cols-[260px_1fr]">
              <b>
                {wasteKinds[one].name.split(',')[0]} and{' '}
                {other === 'bleach' ? 'chlorine bleach' : wasteKinds[other].name.toLowerCase()}
              </b>
              <span>{why}</span>
            </li>
          ))}
        </ul>
      </section>
      <section aria-labelledby="rules" className="mt-7">
        <h2 id="rules">
          <label htmlFor="waste-rules">Where you live</label>
        </h2>
        <textarea
          id="waste-rules"
          className="box mt-2 min-h-24 w-full print:border-0"
          maxLength={4000}
          placeholder="where it is taken, when, in what; what your council says of developer and fixer"
          value={form.rules}
          onChange={(event) => change({ rules: event.target.value })}
        />
      </section>
    </div>
  );
}

interface BottleProps {
  kind: WasteKindId;
  /** What stands in it. */
  pours: readonly Waste[];
  /** When one of its kind was last handed in; null for never. */
  lastMs: number | null;
  form: WasteForm;
  units: UnitChoice;
  onCapacity: (value: number | string) => void;
  onHandIn: () => void;
}

function Bottle({ kind, pours, lastMs, form, units, onCapacity, onHandIn }: BottleProps) {
  const capacityMl = capacityOf(form, kind);
  const { volumeMl, films, silver, sinceMs, full } = wasteBottle(kind, pours, capacityMl);
  const { name, takes, hazard } = wasteKinds[kind];
  const typedMl = form.capacityMl[kind];
  const volume = formatQuantity(volumeMl, 'volume', units);
  return (
    <li className="rule-row grid grid-cols-[72px_minmax(0,1fr)] gap-x-5 py-3 sm:grid-cols-[72px_minmax(0,1fr)_150px]">
      <WasteBottlePicture full={full} words={`${Math.round(full * 100)} % full`} />
      <div className="min-w-0">
        <h2>{name}</h2>
        <p className="num text-[20px]">
          {sinceMs === null ? 'Empty' : volume}
          {full >= 0.9 && <span className="ms-3 text-[15px] text-danger">full: hand it in</span>}
        </p>
        {sinceMs !== null && (
          <p>
            since {format(sinceMs, 'd MMM yyyy')}
            {films > 0 && ` · ${Number(films.toFixed(1))} ${films === 1 ? 'film' : 'films'}`}
            {silver !== null && ` · silver ${silverWords(silver)}`}
          </p>
        )}
        <p className="text-[14px] text-ink2">
          {takes} {hazard}
          {lastMs !== null && ` Last handed in on ${format(lastMs, 'd MMM yyyy')}.`}
        </p>
        {pours.length > 0 && (
          <details className="mt-1 print:hidden">
            <summary className="act-plain">What is in it</summary>
            <ul>
              {pours.map((pour) => (
                <li
                  key={pour.id}
                  className="flex flex-wrap items-baseline justify-between gap-x-6 border-t border-hair"
                >
                  <span className="min-w-0 wrap-anywhere">
                    {pour.name}, {formatQuantity(pour.volumeMl, 'volume', units)}{' '}
                    <span className="text-ink2">{format(pour.createdMs, 'd MMM yyyy')}</span>
                  </span>
                  <button type="button" className="act-plain text-[14px]" onClick={() => void dropPour(pour)}>
                    Not in it<span className="sr-only">: {pour.name}</span>
                  </button>
                </li>
              ))}
            </ul>
          </details>
        )}
      </div>
      <div className="flex items-end gap-x-5 gap-y-2 print:hidden max-sm:col-start-2 max-sm:mt-2 sm:flex-col sm:items-stretch">
        <Quantity
          id={`capacity-${kind}`}
          label="The bottle holds"
          kind="volume"
          units={units}
          value={typedMl}
          onChange={onCapacity}
          error={typeof typedMl === 'number' && typedMl > 0 ? undefined : 'Give a volume above 0.'}
        />
        {pours.length > 0 && (
          <button type="button" className="act whitespace-nowrap" onClick={onHandIn}>
            Handed in<span className="sr-only">: {name}</span>
          </button>
        )}
      </div>
    </li>
  );
}

function silverWords({ low, likely, high }: Silver): string {
  const g = (value: number): string => formatNumber(value, value < 10 ? 1 : 0);
  return `about ${g(likely)} g (${g(low)} to ${g(high)})`;
}

function lastHandedIn(pours: readonly Waste[], kind: WasteKindId): number | null {
  const times = pours.flatMap((pour) => (pour.kind === kind && pour.handedInMs !== null ? [pour.handedInMs] : []));
  return times.length === 0 ? null : Math.max(...times);
}
