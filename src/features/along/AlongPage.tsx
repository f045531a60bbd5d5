'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import { NotHere } from '@/features/shell/NotHere';
import { download } from '@/ui/download';
import { QrCode } from '@/ui/QrCode';
import { packRoll, type RollFile } from './rollFile';

/** How long each code stands, ms: a telephone reads about five pictures a second. Source: our choice. */
const TURN_MS = 700;

/** The longest side of a code on the screen, px. */
const MOST_EDGE_PX = 520;

/** A roll on its way to another device: as codes on the screen, by what the system shares with, or as a file. */
export function AlongPage({ rollId }: { rollId: string }) {
  const [packed, setPacked] = useState<RollFile | null | undefined>(undefined);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    let gone = false;
    packRoll(rollId).then(
      (found) => {
        if (!gone) setPacked(found);
      },
      (error: unknown) => {
        if (!gone) setFault(error instanceof Error ? error.message : 'The browser gave no reason.');
      },
    );
    return () => {
      gone = true;
    };
  }, [rollId]);
  if (fault !== null)
    return (
      <p role="alert" className="border-s-4 border-danger ps-3">
        The roll could not be packed. {fault} Save all records under <Link href="/records">Records</Link> instead.
      </p>
    );
  if (packed === undefined) return <p aria-busy="true">Packing the roll.</p>;
  if (packed === null) return <NotHere table="rolls" id={rollId} what="This roll" />;
  const { label, file, codes } = packed;
  return (
    <article className="grid gap-x-12 gap-y-4 md:grid-cols-[minmax(0,1fr)_auto] md:grid-rows-[auto_1fr]">
      <div className="min-w-0">
        <Link href={`/rolls/${encodeURIComponent(rollId)}`} className="act-plain">
          Back to the roll
        </Link>
        <h1 className="mt-2">Take “{label}” along</h1>
      </div>
      {codes === null ? (
        <p className="max-w-[40ch] md:row-span-2">
          This roll holds too much for codes. Share it, or save it as a file and merge that under Records.
        </p>
      ) : (
        <Codes codes={codes} />
      )}
      <div className="min-w-0">
        <p className="max-w-[52ch]">
          The roll with its plan, its jugs and its run. Photographs stay here. On the other device open Aetas, go to{' '}
          <b>Records</b>, then <b>Take in a roll by camera</b>, and hold it before this screen. After the tank the run
          comes back the same way.
        </p>
        <p className="mt-2 max-w-[52ch] text-ink2">
          Change a roll on one device at a time: of two versions of one record the newer stays.
        </p>
        <div className="mt-4 flex flex-wrap gap-3">
          {navigator.canShare?.({ files: [file] }) === true && (
            <button
              type="button"
              className="act"
              onClick={() => void navigator.share({ files: [file], title: label }).catch(() => undefined)}
            >
              Share it
            </button>
          )}
          <button type="button" className="act" onClick={() => download(file, file.name)}>
            Save it as a file
          </button>
        </div>
      </div>
    </article>
  );
}

/** Codes one after the other, until somebody stops them. */
function Codes({ codes }: { codes: readonly string[] }) {
  const [at, setAt] = useState(0);
  const [turning, setTurning] = useState(true);
  const [edgePx] = useState(() => Math.min(MOST_EDGE_PX, window.innerWidth - 32));
  useEffect(() => {
    if (!turning || codes.length < 2) return;
    const timer = setInterval(() => setAt((now) => (now + 1) % codes.length), TURN_MS);
    return () => clearInterval(timer);
  }, [turning, codes.length]);
  return (
    <div className="justify-self-center md:row-span-2">
      {/* Dark on light in every light of the room: cameras read nothing else. */}
      <div data-testid="code" data-at={at} className="code-paper inline-block">
        <QrCode text={codes[at] ?? ''} label={`Code ${at + 1} of ${codes.length}`} quiet={4} edgePx={edgePx} whole />
      </div>
      {codes.length > 1 && (
        <p className="mt-2 flex items-center justify-between gap-4">
          <span className="num">
            {at + 1} of {codes.length}
          </span>
          <span className="flex gap-4">
            <button type="button" className="act-plain min-h-11" onClick={() => setTurning(!turning)}>
              {turning ? 'Hold this one' : 'Go on by itself'}
            </button>
            <button type="button" className="act-plain min-h-11" onClick={() => setAt((at + 1) % codes.length)}>
              Next
            </button>
          </span>
        </p>
      )}
    </div>
  );
}
