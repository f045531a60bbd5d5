'use client';

import Link from 'next/link';
import { useState } from 'react';
import { inUseFirst } from '@/core/brewing/keeping';
import type { Brew } from '@/core/records/records';
import { JugLine } from './JugLine';

interface ShelfProps {
  brews: readonly Brew[];
  nowMs: number;
  /** Jugs that are shown at first. */
  first: number;
  /** Where all of them stand; left out where they open here. */
  allHref?: string;
}

/** The jugs, those in use before those that are spent; of a long shelf the rest on a word. */
export function Shelf({ brews, nowMs, first, allHref }: ShelfProps) {
  const [all, setAll] = useState(false);
  const ordered = inUseFirst(brews);
  const shown = all ? ordered : ordered.slice(0, first);
  const more = `Show all ${brews.length}`;
  return (
    <>
      <ul className="mt-2">
        {shown.map((brew) => (
          <JugLine key={brew.id} brew={brew} nowMs={nowMs} />
        ))}
      </ul>
      {shown.length < brews.length &&
        (allHref === undefined ? (
          <button type="button" className="act-plain mt-2 mb-1 block" onClick={() => setAll(true)}>
            {more}
          </button>
        ) : (
          <Link href={allHref} className="act-plain mt-2 mb-1 block">
            {more}
          </Link>
        ))}
    </>
  );
}
