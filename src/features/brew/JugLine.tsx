'use client';

import Link from 'next/link';
import { bottleSince, bottleStages } from '@/core/brewing/bottle';
import { jugState } from '@/core/brewing/keeping';
import type { Brew } from '@/core/records/records';
import { formatQuantity } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { classes } from '@/ui/classes';
import { jugWords, mixedWords } from '@/features/words/jugWords';

/** One jug: what is in it, what is left of it, and the way to its label. */
export function JugLine({ brew, nowMs }: { brew: Brew; nowMs: number }) {
  const units = useSettings();
  const state = jugState(brew, nowMs);
  const films = Number(brew.films.toFixed(1));
  const kitchen = brew.developer?.kind === 'improvised';
  const left = state.left === null ? 100 : Math.round(state.left * 100);
  return (
    <li className="rule-row">
      <div className="flex items-baseline justify-between gap-4">
        <span className="min-w-0 wrap-anywhere">
          <Link
            href={`/brews/${encodeURIComponent(brew.id)}`}
            className="font-[650] text-ink no-underline hover:underline"
          >
            {brew.name}
            <span className="sr-only">, {brew.code}</span>
          </Link>{' '}
          <span className="text-ink2 wrap-anywhere">
            · {formatQuantity(brew.volumeMl, 'volume', units)} · {brew.code}
          </span>
        </span>
        <button
          type="button"
          className="act-plain shrink-0 text-[13px] text-ink2"
          onClick={() => void import('@/data/brews').then(({ pourAway }) => pourAway(brew))}
        >
          Pour away
          <span className="sr-only">
            {' '}
            {brew.name}, {brew.code}
          </span>
        </button>
      </div>
      <div
        role="img"
        aria-label={state.left === null ? 'Wear not tracked' : `${left} % of its ${kitchen ? 'strength' : 'life'} left`}
        className="my-1.5 h-2.5 bg-hair"
      >
        <div
          className={classes('h-2.5', state.left === null ? 'bg-band' : kitchen ? 'bg-brew' : 'bg-chem')}
          style={{ width: `${left}%` }}
        />
      </div>
      <div className="text-[13px] text-ink2">
        {brew.bottle === undefined
          ? `mixed ${mixedWords(brew.mixedMs, nowMs)} · ${films} ${films === 1 ? 'film' : 'films'} through`
          : `${bottleStages[brew.bottle.stage].toLowerCase()} · ${bottleSince(brew.bottle)} ${mixedWords(brew.mixedMs, nowMs)}${brew.bottle.place === '' ? '' : ` · ${brew.bottle.place}`}`}{' '}
        · {jugWords(state, nowMs)}
      </div>
    </li>
  );
}
