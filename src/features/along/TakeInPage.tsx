'use client';

import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import { fileOfCodes, withCode, type CodesRead } from '@/core/formats/codes';
import type { Problem } from '@/core/schema/result';
import { mergeFile } from '@/features/files/benchFiles';
import { Refused } from '@/features/files/Refused';
import { mergeWords } from '@/features/records/recordWords';
import { openCodeReader } from '@/workers/code';
import { lookInto } from './rollFile';

/** How often the camera's picture is looked at, ms. */
const LOOK_MS = 110;

type Stage =
  | { kind: 'asleep' }
  | { kind: 'looking' }
  | { kind: 'found'; file: File; labels: string[] }
  | { kind: 'done'; words: string }
  | { kind: 'refused'; problems: Problem[] }
  | { kind: 'blind'; words: string };

/** Reads a roll off another screen, shows what it is, and merges it on a word. */
export function TakeInPage() {
  const [stage, setStage] = useState<Stage>({ kind: 'asleep' });
  const take = async (file: File): Promise<void> => {
    const merged = await mergeFile(file, () => true);
    setStage(
      merged.ok ? { kind: 'done', words: mergeWords(merged.value) } : { kind: 'refused', problems: merged.problems },
    );
  };
  return (
    <div className="measure">
      <h1>Take in a roll by camera</h1>
      {stage.kind === 'asleep' && (
        <>
          <p className="mt-2">
            On the other device open the roll, then <b>Run</b>, <b>Take it along</b>. Hold this one before its screen.
            The picture of the camera stays in this page.
          </p>
          <button type="button" className="act act-primary mt-4" onClick={() => setStage({ kind: 'looking' })}>
            Start the camera
          </button>
        </>
      )}
      {stage.kind === 'looking' && (
        <Camera
          onFile={(file) =>
            void lookInto(file).then((read) =>
              setStage(
                read.ok
                  ? { kind: 'found', file, labels: read.value.labels }
                  : { kind: 'refused', problems: read.problems },
              ),
            )
          }
          onBlind={(words) => setStage({ kind: 'blind', words })}
        />
      )}
      {stage.kind === 'found' && (
        <>
          <p role="status" className="mt-3 text-[19px]">
            {stage.labels.map((label) => `“${label}”`).join(', ')}, with plan, jugs and run.
          </p>
          <p className="mt-1 text-ink2">Nothing has been changed yet. You can undo it afterwards.</p>
          <div className="mt-4 flex flex-wrap gap-3">
            <button type="button" className="act act-primary" onClick={() => void take(stage.file)}>
              Put it on this bench
            </button>
            <button type="button" className="act-plain text-ink2" onClick={() => setStage({ kind: 'asleep' })}>
              Leave it
            </button>
          </div>
        </>
      )}
      {stage.kind === 'done' && (
        <>
          <p role="status" className="mt-3 font-[620]">
            {stage.words}
          </p>
          <Link href="/" className="act act-primary mt-4 inline-block no-underline">
            Go to the bench
          </Link>
        </>
      )}
      {stage.kind === 'refused' && <Refused name="what the codes hold" problems={stage.problems} />}
      {stage.kind === 'blind' && (
        <p role="alert" className="mt-3 border-s-4 border-danger ps-3">
          {stage.words} Save the roll as a file over there, and merge it here under <Link href="/records">Records</Link>
          .
        </p>
      )}
    </div>
  );
}

/** The camera, and how many of the codes it has read. */
function Camera({ onFile, onBlind }: { onFile: (file: File) => void; onBlind: (words: string) => void }) {
  const videoRef = useRef<HTMLVideoElement>(null);
  const [read, setRead] = useState<CodesRead | null>(null);
  const [damaged, setDamaged] = useState(false);
  useEffect(() => {
    let gone = false;
    let close = (): void => undefined;
    const look = async (): Promise<void> => {
      const stream = await navigator.mediaDevices.getUserMedia({
        video: { facingMode: 'environment', width: { ideal: 1280 }, height: { ideal: 960 } },
      });
      const reader = await openCodeReader();
      close = () => {
        for (const track of stream.getTracks()) track.stop();
        reader.close();
      };
      const video = videoRef.current;
      if (gone || video === null) return close();
      video.srcObject = stream;
      await video.play().catch(() => undefined);
      for (let known: CodesRead | null = null; !gone;) {
        const text = video.videoWidth === 0 ? null : await reader.read(video);
        if (text !== null && !gone) {
          known = withCode(known, text);
          setRead(known);
          const file = known === null ? null : fileOfCodes(known);
          if (file instanceof Uint8Array) {
            onFile(new File([file.slice()], 'roll.zip', { type: 'application/zip' }));
            return;
          }
          if (file === 'damaged') {
            known = null;
            setDamaged(true);
          }
        }
        await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
      }
    };
    look().catch((error: unknown) => {
      if (gone) return;
      const refused = error instanceof DOMException && error.name === 'NotAllowedError';
      onBlind(
        refused
          ? 'The browser does not let this page use the camera. Allow it for this address, then start again.'
          : 'No camera can be used here: a page needs a safe address (https) and a camera for it.',
      );
    });
    return () => {
      gone = true;
      close();
    };
    // The camera starts once, with the page.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return (
    <div className="mt-3">
      <video
        ref={videoRef}
        muted
        playsInline
        className="w-full max-w-[520px] bg-black"
        aria-label="What the camera sees"
      />
      <p role="status" className="mt-2 min-h-[26px]">
        {read === null ? 'Looking for a code.' : `${read.pieces.size} of ${read.total} codes read.`}
        {damaged && ' They did not fit together, so they are read once more.'}
      </p>
      {read !== null && (
        <div className="flex gap-1" aria-hidden>
          {Array.from({ length: read.total }, (_, index) => (
            <span
              key={index}
              className={`h-3 w-3 border border-ink ${read.pieces.has(index) ? 'bg-ink' : 'bg-transparent'}`}
            />
          ))}
        </div>
      )}
    </div>
  );
}
