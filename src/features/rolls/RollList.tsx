'use client';

import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { useBench } from '@/data/queries';
import { Empty, TinPicture } from '@/ui/Empty';
import { SmallRibbon } from '@/ui/Ribbon';
import { rollLine } from '@/features/words/rollWords';

/** Every roll, with a search over its words. */
export function RollList() {
  const bench = useBench();
  const searching = useSearchParams().has('search');
  const [wanted, setWanted] = useState('');
  if (bench === undefined) return <p aria-busy="true">Looking through the rolls.</p>;
  const thisYear = new Date().getFullYear();
  const lines = bench.dossiers.map((dossier) => ({
    ...dossier,
    line: rollLine(dossier.roll, dossier.stock, thisYear),
  }));
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const found = lines.filter(({ roll, line }) =>
    words.every((word) => `${roll.label} ${line} ${roll.note}`.toLowerCase().includes(word)),
  );
  return (
    <div className="max-w-[980px]">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1>Rolls</h1>
        <Link href="/rolls/new" className="act">
          Add a roll
        </Link>
      </div>
      {lines.length === 0 ? (
        <Empty
          picture={<TinPicture />}
          sentence="There are no rolls yet. Add the first one with whatever its label still says."
          action={null}
        />
      ) : (
        <>
          <label htmlFor="search" className="mt-4 block font-[620]">
            Search
          </label>
          <input
            id="search"
            type="search"
            className="box mt-1 max-w-md"
            autoFocus={searching}
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
            placeholder="name, film, storage, note"
          />
          <p role="status" className="mt-2 text-[13px] text-ink2">
            {found.length} of {lines.length}
          </p>
          <ul className="mt-2">
            {found.map(({ roll, line, standing }) => (
              <li key={roll.id} className="rule-row grid items-center gap-x-6 gap-y-2 sm:grid-cols-[182px_1fr]">
                <SmallRibbon standing={standing} />
                <div className="min-w-0">
                  <Link href={`/rolls/${roll.id}`} className="num text-[17px] text-ink no-underline hover:underline">
                    {roll.label}
                  </Link>
                  <div className="text-[13px] text-ink2">{line}</div>
                </div>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
