'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { formatNumber } from '@/core/units/quantity';
import { usePrints } from '@/data/prints';
import { Empty } from '@/ui/Empty';
import { SheetPicture } from './SheetPicture';

/** Every print: what it is of, and how it was exposed. */
export function PrintsView() {
  const prints = usePrints();
  if (prints === undefined) return <p aria-busy="true">Opening the prints.</p>;
  const begin = (
    <Link href="/prints/new" className="act act-primary" data-next-step>
      Begin a print
    </Link>
  );
  return (
    <div className="measure">
      <h1>Prints</h1>
      {prints.length === 0 ? (
        <Empty
          picture={<SheetPicture />}
          sentence="A strip first, then the print: the timer counts in the dark, and what was done stands here for the next one."
          action={begin}
        />
      ) : (
        <>
          <ul className="mt-3 border-b border-hair">
            {prints.map(({ id, name, paper, grade, baseS, areas, final, createdMs }) => (
              <li key={id} className="rule-row">
                <Link
                  href={`/prints/${encodeURIComponent(id)}`}
                  className="num text-[17px] text-ink no-underline hover:underline"
                >
                  {name}
                </Link>
                {final && <span className="ml-3 text-[13px] text-chem">the one that hangs</span>}
                <p className="text-[14px] text-ink2">
                  {[
                    `${formatNumber(baseS, 1)} s`,
                    paper,
                    grade === '' ? '' : `grade ${grade}`,
                    areas.length === 0 ? '' : `${areas.length} ${areas.length === 1 ? 'area' : 'areas'}`,
                    format(createdMs, 'd MMM yyyy'),
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </p>
              </li>
            ))}
          </ul>
          <div className="mt-5">{begin}</div>
        </>
      )}
    </div>
  );
}
