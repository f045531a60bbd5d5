'use client';

import Link from 'next/link';
import { archiveIndex } from '@/core/archive/archiveIndex';
import { useArchived } from '@/data/queries';

/** Every roll that has a place, by its place, with the words on its frames: to be printed and laid into the first binder. */
export function ArchiveIndex() {
  const rolls = useArchived();
  if (rolls === undefined) return <p aria-busy="true">Opening the index.</p>;
  const places = archiveIndex(rolls);
  return (
    <div className="measure print:text-[12px]">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
        <h1>Index of the binders</h1>
        {places.length > 0 && (
          <button type="button" className="act-plain min-h-11 print:hidden" onClick={() => window.print()}>
            Print it
          </button>
        )}
      </div>
      {places.length === 0 && (
        <p className="mt-2 text-ink2">
          No roll has a place yet. Say on a finished roll where it is kept, and it stands here.
        </p>
      )}
      {places.map(({ place, rolls: here }) => (
        <section key={place} aria-label={place === '' ? 'Without a place' : place} className="mt-5 break-inside-avoid">
          <h2>{place === '' ? 'Without a place' : place}</h2>
          <ul>
            {here.map(({ id, label, frames, words }) => (
              <li key={id} className="rule-row">
                <Link
                  href={`/rolls/${encodeURIComponent(id)}`}
                  className="font-[650] text-ink no-underline hover:underline"
                >
                  {label}
                </Link>{' '}
                <span className="text-ink2">{frames} frames</span>
                {words.length > 0 && (
                  <p className="text-[14px]">{words.map((one) => `${one.frame} ${one.words}`).join(' · ')}</p>
                )}
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
