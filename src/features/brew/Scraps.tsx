'use client';

import { useState } from 'react';
import * as z from 'zod';
import { compareFixers } from '@/core/fixing/twoFixers';
import { SPENT_CLEARING_FACTOR } from '@/core/fixing/clearing';
import { limits } from '@/core/schema/limits';
import { typed } from '@/core/schema/typed';
import type { Brew } from '@/core/records/records';
import { formatNumber } from '@/core/units/quantity';
import { keepScraps } from '@/data/brews';
import { useBrews, useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { ClearingCurve } from './ClearingCurve';

const formSchema = z.object({ seconds: typed, otherId: z.string().max(100), otherSeconds: typed });
type Form = z.infer<typeof formSchema>;
const empty: Form = { seconds: '', otherId: '', otherSeconds: '' };

/** Scraps of film in a fixer: its clearing times over its life, and against another fixer before any run. */
export function Scraps({ brew }: { brew: Brew }) {
  const units = useSettings();
  const others = (useBrews() ?? []).filter(
    ({ id, use, bottle }) => id !== brew.id && use === 'fixer' && bottle === undefined,
  );
  const { form, change } = useDraft<Form>(`scraps:${brew.id}`, formSchema, (kept) => kept ?? empty);
  const [problem, setProblem] = useState<string | null>(null);
  if (form === null) return null;
  const other = others.find(({ id }) => id === form.otherId);
  const { min, max } = limits.clearingS;
  const secondsOf = (value: number | string): number | null =>
    typeof value === 'number' && value >= min && value <= max ? value : null;
  const [own, theirs] = [secondsOf(form.seconds), secondsOf(form.otherSeconds)];
  const compared = other === undefined || own === null || theirs === null ? null : compareFixers([own, theirs]);
  const keep = (): void => {
    if (own === null) return;
    const readings = [
      { brewId: brew.id, seconds: own },
      ...(other === undefined || theirs === null ? [] : [{ brewId: other.id, seconds: theirs }]),
    ];
    keepScraps(readings).then(
      () => {
        setProblem(null);
        change(empty);
      },
      (error: unknown) => setProblem(error instanceof Error ? error.message : 'It was not stored. Try once more.'),
    );
  };
  return (
    <section aria-labelledby="scraps">
      <h2 id="scraps">Clearing test</h2>
      <p className="mt-1 max-w-[58ch] text-ink2">
        Drop a scrap of undeveloped film into it, in room light, and take the time until it is clear. The first one
        counts as fresh; at {SPENT_CLEARING_FACTOR} times that it is done.
      </p>
      {(brew.clearings?.length ?? 0) > 0 && <ClearingCurve clearings={brew.clearings ?? []} />}
      <div className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-3">
        <Quantity
          id="scrapS"
          label="Clear after"
          kind="seconds"
          units={units}
          value={form.seconds}
          onChange={(seconds) => change({ seconds })}
        />
        {others.length > 0 && (
          <Choice
            id="scrapOther"
            label="Against"
            value={form.otherId}
            options={[
              { value: '', name: 'no other' },
              ...others.map(({ id, name, code }) => ({ value: id, name: `${name} · ${code}` })),
            ]}
            onChange={(otherId) => change({ otherId })}
          />
        )}
        {other !== undefined && (
          <Quantity
            id="scrapOtherS"
            label="Clear in that after"
            kind="seconds"
            units={units}
            value={form.otherSeconds}
            onChange={(otherSeconds) => change({ otherSeconds })}
          />
        )}
        <button
          type="button"
          className="act"
          disabled={own === null || (other !== undefined && theirs === null)}
          onClick={keep}
        >
          Keep it
        </button>
      </div>
      {compared !== null && other !== undefined && (
        <p className="mt-3 border-s-4 border-chem ps-3" role="status">
          {compared.sooner === null
            ? 'They are alike, within what a scrap shows.'
            : `${compared.sooner === 0 ? brew.name : other.name} clears ${formatNumber(compared.ratio, 1)} times as fast.`}{' '}
          Fix for {Math.round(compared.fixS[0])} s in this one, {Math.round(compared.fixS[1])} s in the other.
        </p>
      )}
      {problem !== null && (
        <p role="alert" className="mt-2 text-danger">
          {problem}
        </p>
      )}
    </section>
  );
}
