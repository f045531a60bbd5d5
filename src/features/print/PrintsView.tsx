'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { printsCsv, printsMatching } from '@/core/printing/printFiles';
import { formatNumber } from '@/core/units/quantity';
import { usePrints } from '@/data/prints';
import { useRollNames } from '@/data/queries';
import { download } from '@/ui/download';
import { Empty } from '@/ui/Empty';
import { SheetPicture } from './SheetPicture';

/** Prints from which on a search is offered. Source: our choice: more than a screen shows. */
const SEARCHED_FROM = 8;

/** Every print: what it is of, and how it was exposed. */
export function PrintsView() {
  const prints = usePrints();
  // What was looked for in the log goes on here.
  const search = useSearchParams();
  const [wanted, setWanted] = useState(search.get('find') ?? '');
  const rolls = useRollNames((prints ?? []).flatMap(({ rollId }) => (rollId === null ? [] : [rollId])));
  if (prints === undefined) return <p aria-busy="true">Opening the prints.</p>;
  const begin = (
    <Link href="/prints/new" className="act act-primary" data-next-step>
      Begin a print
    </Link>
  );
  if (prints.length === 0)
    return (
      <div className="measure">
        <h1>Prints</h1>
        <Empty
          picture={<SheetPicture />}
          sentence="A strip first, then the print: the timer counts in the dark, and what was done stands here for the next one."
          action={begin}
        />
      </div>
    );
  const labels = new Map(rolls.map(({ id, label }) => [id, label]));
  const named = prints.map((print) => ({ ...print, rollLabel: labels.get(print.rollId ?? '') ?? '' }));
  const found = printsMatching(named, wanted);
  return (
    <div className="measure">
      <h1>Prints</h1>
      {(prints.length >= SEARCHED_FROM || wanted !== '') && (
        <input
          type="search"
          aria-label="Search the prints"
          className="box mt-3 max-w-[360px]"
          placeholder="who, where, paper, roll"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
        />
      )}
      <ul className="mt-3 border-b border-hair">
        {found.map(({ id, name, paper, grade, baseS, areas, final, rollLabel, createdMs }) => (
          <li key={id} className="rule-row">
            <Link
              href={`/prints/${encodeURIComponent(id)}`}
              className="num text-[17px] text-ink no-underline hover:underline"
            >
              {name}
            </Link>
            {final && <span className="ms-3 text-[13px] text-chem">the one that hangs</span>}
            <p className="text-[14px] text-ink2">
              {[
                `${formatNumber(baseS, 1)} s`,
                paper,
                grade === '' ? '' : `grade ${grade}`,
                areas.length === 0 ? '' : `${areas.length} ${areas.length === 1 ? 'area' : 'areas'}`,
                rollLabel,
                format(createdMs, 'd MMM yyyy'),
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="mt-3">No print has all of these words.</p>}
      <p className="mt-5 flex flex-wrap items-center gap-x-6 gap-y-3">
        {begin}
        <button
          type="button"
          className="act-plain"
          onClick={() => download(printsCsv(named), `aetas-prints-${format(Date.now(), 'yyyy-MM-dd')}.csv`, 'text/csv')}
        >
          Save them as a table
        </button>
        <Link href="/prints/dark" className="act-plain">
          Paper in the dark
        </Link>
      </p>
    </div>
  );
}
