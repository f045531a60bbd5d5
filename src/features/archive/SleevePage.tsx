'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { emptyArchive, readArchive, sleeveCode } from '@/core/archive/archive';
import { useDossier, useFramePictures } from '@/data/queries';
import { NotHere } from '@/features/shell/NotHere';
import { QrCode } from '@/ui/QrCode';
import { Sleeve } from './Sleeve';

/** One page to lie with the sleeves: what the roll is, its frames as they were cut, and their words. */
export function SleevePage({ rollId }: { rollId: string }) {
  const dossier = useDossier(rollId);
  const pictures = useFramePictures(rollId);
  if (dossier === undefined) return <p aria-busy="true">Opening the page.</p>;
  if (dossier === null) return <NotHere table="rolls" id={rollId} what="This roll" />;
  const { roll, stock, run } = dossier;
  const read = readArchive(roll.archive ?? emptyArchive);
  if (!read.ok) return <p>Say first how the roll was cut.</p>;
  const archive = read.value;
  return (
    <article className="measure print:text-[12px]">
      <p className="flex gap-x-6 print:hidden">
        <Link href={`/rolls/${encodeURIComponent(rollId)}`} className="act-plain min-h-11 content-center">
          Back to the roll
        </Link>
        <button type="button" className="act-plain min-h-11" onClick={() => window.print()}>
          Print this page
        </button>
        <Link href="/archive" className="act-plain min-h-11 content-center">
          Index of the binders
        </Link>
      </p>
      <div className="flex items-start justify-between gap-4">
        <h1>{roll.label}</h1>
        <QrCode label="The roll as a code to scan" text={sleeveCode(roll.label, archive)} />
      </div>
      <p className="mt-1 mb-4">
        {[
          stock.name,
          run === undefined ? null : `developed ${format(run.createdMs, 'd MMM yyyy')} in ${run.developerName}`,
          archive.place === '' ? null : archive.place,
        ]
          .filter((part) => part !== null)
          .join(' · ')}
      </p>
      <Sleeve archive={archive} chosen={null} pictures={pictures} />
      {archive.words.length > 0 && (
        <ol aria-label="Words on the frames" className="mt-5">
          {archive.words.map(({ frame, words }) => (
            <li key={frame} className="flex gap-x-4 border-t border-hair py-1">
              <span className="num w-8 text-end">{frame}</span>
              <span className="min-w-0">{words}</span>
            </li>
          ))}
        </ol>
      )}
    </article>
  );
}
