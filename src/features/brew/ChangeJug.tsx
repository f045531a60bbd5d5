'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useState } from 'react';
import * as z from 'zod';
import { typed } from '@/core/schema/typed';
import { useDraft } from '@/features/drafts/useDraft';
import { isPourable } from '@/core/brewing/bottle';
import type { JugChange, OneJugChange } from '@/core/brewing/changeJug';
import { substanceIds, substanceOf, type SubstanceId } from '@/core/chemistry/substances';
import type { Brew } from '@/core/records/records';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { changeJug, joinJugs, makeWorking } from '@/data/brews';
import { useBrews, useSettings } from '@/data/queries';
import { AmountInput } from '@/features/amount/AmountInput';
import { Choice } from '@/ui/Choice';
import { classes } from '@/ui/classes';
import { Quantity } from '@/ui/Quantity';

const options = substanceIds.map((value) => ({ value, name: substanceOf(value).name }));

const changeFormSchema = z.object({
  substanceId: z.enum(substanceIds),
  amount: typed,
  waterMl: typed,
  goneMl: typed,
  takeMl: typed.optional(),
  thinMl: typed.optional(),
});
type ChangeForm = z.infer<typeof changeFormSchema>;
const emptyChange: ChangeForm = { substanceId: 'bromide', amount: '', waterMl: '', goneMl: '', takeMl: '', thinMl: '' };

/** Adds to a jug, takes from it, tops it up; and what was done so far. */
export function ChangeJug({ brew }: { brew: Brew }) {
  const units = useSettings();
  const draft = useDraft(`jug:${brew.id}`, changeFormSchema, (kept) => kept ?? emptyChange);
  const [problem, setProblem] = useState<string | null>(null);
  const [made, setMade] = useState<string | null>(null);
  const { form, change } = draft;
  if (form === null) return null;
  const { substanceId, amount, waterMl, goneMl, takeMl = '', thinMl = '' } = form;
  const { unit } = substanceOf(substanceId);
  const done = (act: OneJugChange, emptied: Partial<ChangeForm>): void =>
    void changeJug(brew.id, act)
      .then((answer) => {
        setProblem(answer.ok ? null : (answer.problems[0]?.message ?? null));
        if (answer.ok) change(emptied);
      })
      .catch(() => undefined);
  const positive = (value: number | string): value is number => typeof value === 'number' && value > 0;
  return (
    <section aria-labelledby="change">
      <h2 id="change">Change what is in it</h2>
      <div className="mt-2 space-y-2.5">
        <div className={classes('flex flex-wrap items-center gap-x-3 gap-y-2', !isPourable(brew) && 'hidden')}>
          <Choice
            id="addWhat"
            label="Add"
            value={substanceId}
            options={options}
            onChange={(next: SubstanceId) => change({ substanceId: next })}
            inline
          />
          <AmountInput
            id="addAmount"
            label="Amount added"
            value={amount}
            said={{ substanceId, unit, kit: units.kit, tabletMg: null, volumeMl: brew.volumeMl, usual: 'jug' }}
            onChange={(next) => change({ amount: next })}
            placeholder={unit === 'ml' ? '20 ml' : '2 g'}
          />
          <span className="text-[13px] text-ink2">{unit}</span>
          <button
            type="button"
            className="act-plain"
            disabled={!positive(amount)}
            onClick={() => {
              if (positive(amount)) done({ kind: 'added', atMs: Date.now(), substanceId, amount }, { amount: '' });
            }}
          >
            Add
          </button>
        </div>
        <div className={classes('flex flex-wrap items-center gap-x-3 gap-y-2', !isPourable(brew) && 'hidden')}>
          <Quantity
            id="waterMl"
            label="Topped up with water"
            kind="volume"
            units={units}
            value={waterMl}
            onChange={(next) => change({ waterMl: next })}
            inline
          />
          <button
            type="button"
            className="act-plain"
            disabled={!positive(waterMl)}
            onClick={() => {
              if (positive(waterMl)) done({ kind: 'water', atMs: Date.now(), ml: waterMl }, { waterMl: '' });
            }}
          >
            The water is in the jug
          </button>
        </div>
        <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
          <Quantity
            id="goneMl"
            label="Poured away or lost"
            kind="volume"
            units={units}
            value={goneMl}
            onChange={(next) => change({ goneMl: next })}
            inline
          />
          <button
            type="button"
            className="act-plain"
            disabled={!positive(goneMl)}
            onClick={() => {
              if (positive(goneMl)) done({ kind: 'gone', atMs: Date.now(), ml: goneMl }, { goneMl: '' });
            }}
          >
            Remove
          </button>
        </div>
        <JoinJug brew={brew} onProblem={setProblem} />
        <div className={classes('flex flex-wrap items-center gap-x-3 gap-y-2', brew.bottle !== undefined && 'hidden')}>
          <Quantity
            id="takeMl"
            label="For a working solution take"
            kind="volume"
            units={units}
            value={takeMl}
            onChange={(next) => change({ takeMl: next })}
            inline
          />
          <Quantity
            id="thinMl"
            label="and water"
            kind="volume"
            units={units}
            value={thinMl}
            onChange={(next) => change({ thinMl: next })}
            inline
          />
          <button
            type="button"
            className="act-plain"
            disabled={!positive(takeMl)}
            onClick={() => {
              if (!positive(takeMl)) return;
              void makeWorking(brew.id, takeMl, positive(thinMl) ? thinMl : 0)
                .then((made) => {
                  setProblem(made.ok ? null : (made.problems[0]?.message ?? null));
                  if (made.ok) setMade(made.value);
                  if (made.ok) change({ takeMl: '', thinMl: '' });
                })
                .catch(() => undefined);
            }}
          >
            Make it
          </button>
          {made !== null && (
            <span role="status">
              Made.{' '}
              <Link href={`/brews/${encodeURIComponent(made)}`} className="act-plain">
                Open it
              </Link>
            </span>
          )}
        </div>
        {problem !== null && (
          <p role="alert" className="border-s-4 border-danger ps-2 text-[14px] text-danger">
            {problem}
          </p>
        )}
      </div>
      {brew.changes !== undefined && (
        <ul aria-label="Changes since it was mixed" className="mt-3 text-[14px]">
          {brew.changes.map((change) => (
            <li key={change.atMs} className="rule-row py-1.5">
              {format(change.atMs, 'd MMM HH:mm')} {changeText(change, units)}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Another jug of the same use, poured into this one. */
function JoinJug({ brew, onProblem }: { brew: Brew; onProblem: (problem: string | null) => void }) {
  const [chosenId, setChosenId] = useState('');
  const stage = brew.bottle?.stage;
  const others = (useBrews() ?? []).filter(
    (one) => one.id !== brew.id && one.use === brew.use && one.bottle?.stage === stage,
  );
  const other = others.find(({ id }) => id === chosenId) ?? others[0];
  if (other === undefined) return null;
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
      <Choice
        id="joinId"
        label="Pour in"
        value={other.id}
        options={others.map(({ id, name, code }) => ({ value: id, name: `${name} · ${code}` }))}
        onChange={setChosenId}
        inline
      />
      <button
        type="button"
        className="act-plain"
        onClick={() =>
          void joinJugs(brew.id, other.id)
            .then((answer) => onProblem(answer.ok ? null : (answer.problems[0]?.message ?? null)))
            .catch(() => undefined)
        }
      >
        They are one now
      </button>
    </div>
  );
}

function changeText(change: JugChange, units: UnitChoice): string {
  switch (change.kind) {
    case 'added': {
      const { name, unit } = substanceOf(change.substanceId);
      return `${name}, ${formatNumber(change.amount, change.amount < 10 ? 2 : 1)} ${unit} added`;
    }
    case 'water':
      return `${formatQuantity(change.ml, 'volume', units)} of water added`;
    case 'gone':
      return `${formatQuantity(change.ml, 'volume', units)} gone`;
    case 'joined':
      return `${formatQuantity(change.ml, 'volume', units)} of ${change.name} poured in`;
  }
}
