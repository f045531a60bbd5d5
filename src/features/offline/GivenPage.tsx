'use client';

import Link from 'next/link';
import { useOpenRollLines } from '@/data/queries';
import { GiftPage, useGift } from './GiftPage';
import { useGivenFile } from './useGivenFile';

/** Rolls that are offered for a picture: those in hand, the latest first. */
const MOST_ROLLS = 40;

/** What another program gave to Aetas, and what it can be for. */
export function GivenPage() {
  const gift = useGift();
  return gift === null ? <GivenFile /> : <GiftPage given={gift} />;
}

function GivenFile() {
  const { file, drop } = useGivenFile();
  if (file === undefined) return <p aria-busy="true">Looking for the file.</p>;
  if (file === null)
    return (
      <div className="measure">
        <h1>No file waits here.</h1>
        <p className="mt-2">
          Share a picture or a saved bench to Aetas from another program, and it comes here first. Or open a file under{' '}
          <Link href="/records">Records</Link>.
        </p>
      </div>
    );
  return (
    <div className="measure">
      <h1>{file.type.startsWith('image/') ? 'Which roll is this a picture of?' : 'A file for the bench'}</h1>
      <p className="mt-1 text-ink2">“{file.name}”. Nothing has been changed yet.</p>
      {file.type.startsWith('image/') ? (
        <RollsFor />
      ) : (
        <p className="mt-4">
          <Link href="/records" className="act act-primary inline-block no-underline">
            Open or merge it under Records
          </Link>
        </p>
      )}
      <button type="button" className="act-plain mt-5 text-ink2" onClick={drop}>
        Not now
      </button>
    </div>
  );
}

/** Rolls whose strip the picture can be. */
function RollsFor() {
  const rolls = useOpenRollLines();
  if (rolls === undefined) return <p aria-busy="true">Reading the rolls.</p>;
  if (rolls.length === 0) return <p className="mt-4">No roll is in hand. Add one first; the picture waits.</p>;
  return (
    <ul className="mt-4">
      {rolls.slice(0, MOST_ROLLS).map(({ id, roll }) => (
        <li key={id} className="rule-row">
          <Link href={`/rolls/${encodeURIComponent(id)}/strip`} className="text-[17px] text-ink">
            {roll.label}
          </Link>
        </li>
      ))}
    </ul>
  );
}
