'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { chooseBench, type BenchName } from '@/data/benchName';
import { benchWith } from '@/data/queries';

interface NotHereProps {
  table: 'runs' | 'rolls' | 'brews' | 'mixes' | 'boxes' | 'trials' | 'prints';
  id: string;
  /** What was looked for, as in “This run”. */
  what: string;
}

const benchNames: Record<BenchName, string> = { own: 'your own bench', demo: 'the demo bench' };

/** Something that is not on this bench: says whether it lies on the other one. */
export function NotHere({ table, id, what }: NotHereProps) {
  const path = usePathname();
  const [other, setOther] = useState<BenchName | null>(null);
  useEffect(() => {
    let gone = false;
    void benchWith(table, id).then((found) => {
      if (!gone) setOther(found);
    });
    return () => {
      gone = true;
    };
  }, [table, id]);
  return (
    <>
      <h1>{what} is not on this bench.</h1>
      <p className="mt-2">
        {other === null ? 'It may have been taken off.' : `It is on ${benchNames[other]}.`}{' '}
        <Link href="/">Go to this bench</Link>
      </p>
      {other !== null && (
        <button type="button" className="act act-primary mt-4" onClick={() => chooseBench(other, path)}>
          Open it on {benchNames[other]}
        </button>
      )}
    </>
  );
}
