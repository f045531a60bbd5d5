'use client';

import Link from 'next/link';
import { useState } from 'react';
import * as z from 'zod';
import { dilutionsOf, fromBottle } from '@/core/brewing/bottle';
import { typed } from '@/core/schema/typed';
import type { Brew } from '@/core/records/records';
import { formatQuantity } from '@/core/units/quantity';
import { makeWorking, mixPowder, openBottle } from '@/data/brews';
import { useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { partsWords } from '@/features/dilution/dilutionWords';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';

const formSchema = z.object({ letter: z.string().max(60), wantedMl: typed });
type Form = z.infer<typeof formSchema>;

/** What is done with a bottle that holds no working solution: opened, mixed, and thinned for use. */
export function FromBottle({ brew }: { brew: Brew }) {
  const units = useSettings();
  const { bottle } = brew;
  const { form, change } = useDraft<Form>(
    `bottle:${brew.id}`,
    formSchema,
    (kept) => kept ?? { letter: '', wantedMl: 500 },
  );
  const [problem, setProblem] = useState<string | null>(null);
  const [made, setMade] = useState<string | null>(null);
  if (bottle === undefined || form === null) return null;
  const failed = (error: unknown): void =>
    setProblem(error instanceof Error ? error.message : 'It was not stored. Try once more.');
  if (bottle.stage === 'powder')
    return (
      <section aria-labelledby="from-bottle">
        <h2 id="from-bottle">Mix it</h2>
        <p className="mt-1">
          It makes {formatQuantity(brew.volumeMl, 'volume', units)}. Mix the whole packet as its leaflet says: the parts
          of a powder do not lie evenly in it.
        </p>
        <button type="button" className="act mt-3" onClick={() => void mixPowder(brew.id).catch(failed)}>
          It is mixed now
        </button>
        {problem !== null && (
          <p role="alert" className="mt-2 text-danger">
            {problem}
          </p>
        )}
      </section>
    );
  const dilutions = dilutionsOf(brew);
  const chosen = dilutions.find(({ letter }) => letter === form.letter) ?? dilutions[0];
  const wanted = typeof form.wantedMl === 'number' && form.wantedMl > 0 ? form.wantedMl : null;
  const shares = chosen === undefined || wanted === null ? null : fromBottle(wanted, chosen.parts);
  const ml = (value: number): string => formatQuantity(value, 'volume', units);
  return (
    <section aria-labelledby="from-bottle">
      <h2 id="from-bottle">Make a working solution</h2>
      <div className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-3">
        {dilutions.length > 1 && chosen !== undefined && (
          <Choice
            id="bottleDilution"
            label="Dilution"
            value={chosen.letter}
            options={dilutions.map(({ letter, parts }) => ({ value: letter, name: letter, hint: partsWords(parts) }))}
            onChange={(letter) => change({ letter })}
          />
        )}
        <Quantity
          id="wantedMl"
          label="So much of it"
          kind="volume"
          units={units}
          value={form.wantedMl}
          onChange={(wantedMl) => change({ wantedMl })}
        />
        <button
          type="button"
          className="act"
          disabled={shares === null}
          onClick={() => {
            if (shares === null) return;
            void makeWorking(brew.id, shares.takeMl, shares.waterMl).then((answer) => {
              setProblem(answer.ok ? null : (answer.problems[0]?.message ?? null));
              setMade(answer.ok ? answer.value : null);
            }, failed);
          }}
        >
          It is made
        </button>
      </div>
      <p className="num mt-2 min-h-[28px] text-[19px]" data-testid="bottle-shares">
        {shares !== null && `${ml(shares.takeMl)} of it and ${ml(shares.waterMl)} of water`}
      </p>
      {made !== null && (
        <p role="status">
          Made. <Link href={`/brews/${encodeURIComponent(made)}`}>Open it</Link>
        </p>
      )}
      {problem !== null && (
        <p role="alert" className="border-s-4 border-danger ps-2 text-danger">
          {problem}
        </p>
      )}
      {!bottle.opened && (
        <button type="button" className="act-plain mt-2" onClick={() => void openBottle(brew.id).catch(failed)}>
          It is opened now
        </button>
      )}
    </section>
  );
}
