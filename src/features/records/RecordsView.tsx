'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { csvTables, type CsvTable } from '@/core/formats/recordTable';
import type { Problem } from '@/core/schema/result';
import { benchName, chooseBench, type BenchName } from '@/data/benchName';
import { wipeRecords } from '@/data/benchFiles';
import { useAside, useLastAct, useRecordCounts } from '@/data/queries';
import { askToPersist, storageRoom, type StorageRoom } from '@/data/storageRoom';
import { isStop } from '@/data/benchFiles';
import { isFull } from '@/data/trouble';
import { clearAside, undoAct } from '@/data/undo';
import { mergeFile, openBench, saveBench, saveTable, stopFile, type FileProgress } from '@/features/files/benchFiles';
import { download } from '@/ui/download';
import { useGivenFile } from '@/features/offline/useGivenFile';
import { FileButton } from '@/features/files/FileButton';
import { Refused } from '@/features/files/Refused';
import { FolderStep } from './FolderStep';
import { GuestLogs } from './GuestLogs';
import { SinceSaved } from './SinceSaved';
import { noteSaved } from '@/data/lastSaved';
import { fileReportWords, mergeWords, recordCountWords, sizeWords } from './recordWords';

/** Something large that is under way, or what became of it. */
type Work =
  | { kind: 'idle' }
  | { kind: 'busy'; progress: FileProgress }
  | { kind: 'said'; words: string }
  | { kind: 'failed'; words: string }
  | { kind: 'refused'; name: string; problems: Problem[] }
  /** There is no room for a copy: it can go on without a way back. */
  | { kind: 'no-room'; words: string; goOn: () => void };

/** What the tables are called that go out as CSV. */
const csvTableNames: Record<CsvTable, string> = {
  runs: 'Runs',
  readings: 'Strips',
  evidence: 'Tests and leaflets’ times',
};

/** Everything on the bench as one file: out, in, and away. */
export function RecordsView() {
  const counts = useRecordCounts();
  const [work, setWork] = useState<Work>({ kind: 'idle' });
  const stopRef = useRef(false);
  const letGoRef = useRef<() => void>(() => undefined);
  const busy = work.kind === 'busy';

  const begin = (words: string, act: (onProgress: (progress: FileProgress) => boolean) => Promise<Work>): void => {
    stopRef.current = false;
    setWork({ kind: 'busy', progress: { words, share: 0 } });
    const onProgress = (progress: FileProgress): boolean => {
      if (!stopRef.current) setWork({ kind: 'busy', progress });
      return !stopRef.current;
    };
    act(onProgress)
      .catch((error: unknown): Work => {
        if (isStop(error)) return { kind: 'said', words: 'Stopped. Nothing has changed.' };
        return {
          kind: 'failed',
          words: `It did not work: ${error instanceof Error ? error.message : 'unknown fault'}. Nothing has changed.`,
        };
      })
      .then((ended) => {
        letGoRef.current();
        setWork(ended);
      });
  };
  const stop = (): void => {
    stopRef.current = true;
    letGoRef.current = stopFile();
  };
  const save = (): void =>
    begin('Writing the file', async (onProgress) => {
      const report = await saveBench(onProgress);
      noteSaved(Date.now());
      return {
        kind: 'said',
        words: `Saved where your browser puts downloads, and read back to check. ${fileReportWords(report)}`,
      };
    });
  const open = (file: File, withoutCopy = false): void =>
    begin('Reading and checking', async (onProgress) => {
      try {
        const read = await openBench(file, onProgress, withoutCopy);
        if (!read.ok) return { kind: 'refused', name: file.name, problems: read.problems };
        return { kind: 'said', words: `“${file.name}” is on the bench now. ${fileReportWords(read.value)}` };
      } catch (error) {
        if (!isFull(error) || withoutCopy) throw error;
        return { kind: 'no-room', words: 'open the file', goOn: () => open(file, true) };
      }
    });
  const merge = (file: File, withoutCopy = false): void =>
    begin('Reading, checking and merging', async (onProgress) => {
      try {
        const read = await mergeFile(file, onProgress, withoutCopy);
        if (!read.ok) return { kind: 'refused', name: file.name, problems: read.problems };
        return { kind: 'said', words: `“${file.name}” is merged into the bench. ${mergeWords(read.value)}` };
      } catch (error) {
        if (!isFull(error) || withoutCopy) throw error;
        return { kind: 'no-room', words: 'merge the file', goOn: () => merge(file, true) };
      }
    });
  const empty = (withoutCopy = false): void =>
    begin('Emptying the bench', async () => {
      try {
        await wipeRecords(withoutCopy);
        return { kind: 'said', words: 'The bench is empty.' };
      } catch (error) {
        if (!isFull(error) || withoutCopy) throw error;
        return { kind: 'no-room', words: 'empty the bench', goOn: () => empty(true) };
      }
    });
  const undo = (): void => {
    begin('Bringing it back', async () => {
      await undoAct();
      return { kind: 'idle' };
    });
  };

  return (
    <div className="measure space-y-8">
      <div>
        <h1>Records</h1>
        <p className="mt-1 text-ink2">{counts === undefined ? '' : recordCountWords(counts)}</p>
        <Room />
        <SinceSaved key={work.kind === 'said' ? 'said' : 'before'} />
      </div>
      <WorkNote work={work} onStop={stop} />
      <GivenRecords busy={busy} open={open} merge={merge} />
      <Part
        title="Save a file"
        words="Everything on this bench as one zip: records.json, which people and programs can read, and the photographs. Records live in this browser only, so save one now and then."
      >
        <button type="button" className="act act-primary" disabled={busy} onClick={save}>
          Save all records
        </button>
        <p className="mt-3 flex flex-wrap items-baseline gap-x-4 gap-y-1 text-[14px]">
          <span className="text-ink2">Or one table as CSV, for a spreadsheet:</span>
          {csvTables.map((table) => (
            <button
              key={table}
              type="button"
              className="act-plain"
              disabled={busy}
              onClick={() => void saveTable(table)}
            >
              {csvTableNames[table]}
            </button>
          ))}
        </p>
      </Part>
      <Part
        title="Open a file"
        words="Replaces what is on the bench with the file’s records. The file is checked first and taken whole or not at all, and you can undo it."
      >
        <FileButton
          label="File with records"
          className="act"
          accept=".zip,.json,application/zip,application/json"
          disabled={busy}
          onFile={open}
        >
          Choose a file
        </FileButton>
      </Part>
      <Part
        title="Merge a file"
        words="Keeps what is on the bench and adds the file’s records to it: from another device, or a friend. Of two versions of one record the newer stays. Settings stay yours, and you can undo it. A table saved as CSV is merged too, with what you changed in it."
      >
        <FileButton
          label="File to merge"
          className="act"
          accept=".zip,.json,.csv,application/zip,application/json,text/csv"
          disabled={busy}
          onFile={merge}
        >
          Choose a file to merge
        </FileButton>
        <Link href="/along" className="act-plain ms-4">
          Take in a roll by camera
        </Link>
      </Part>
      <Part
        title="Somebody else’s log"
        words="Runs of another bench as evidence: kept apart, named, and taken off again at any time. Their hand, thermometer and eye count as theirs; where your runs and theirs overlap, how far they differ is learned. Nothing of it becomes a record of yours."
      >
        <GuestLogs busy={busy} />
      </Part>
      <Part
        title="A folder that stays in step"
        words="Choose a folder that you keep on several devices by whatever copies it between them. Each device writes what was done there into a journal of its own and takes what the others wrote, field by field; nothing passes anybody’s server."
      >
        <FolderStep busy={busy} />
      </Part>
      <Part
        title="Empty the bench"
        words="Deletes everything, drafts included. You can undo it here for as long as you make no other large change."
      >
        <button type="button" className="act" disabled={busy} onClick={() => empty()}>
          Empty the bench
        </button>
      </Part>
      <Undo busy={busy} onUndo={undo} />
      <SetAside />
      <Benches />
    </div>
  );
}

/** A file that another program gave to Aetas, with what it can do here. */
function GivenRecords({
  busy,
  open,
  merge,
}: {
  busy: boolean;
  open: (file: File) => void;
  merge: (file: File) => void;
}) {
  const { file, drop } = useGivenFile();
  if (file == null || file.type.startsWith('image/')) return null;
  const use = (take: (file: File) => void): void => {
    take(file);
    drop();
  };
  return (
    <section aria-label="A file that was given to Aetas" className="border-s-4 border-ink ps-3">
      <p className="font-[620]">“{file.name}” was given to Aetas.</p>
      <p className="mt-2 flex flex-wrap items-center gap-3">
        <button type="button" className="act act-primary" disabled={busy} onClick={() => use(merge)}>
          Merge it into the bench
        </button>
        <button type="button" className="act" disabled={busy} onClick={() => use(open)}>
          Open it in place of the bench
        </button>
        <button type="button" className="act-plain text-ink2" onClick={drop}>
          Leave it
        </button>
      </p>
    </section>
  );
}

function WorkNote({ work, onStop }: { work: Work; onStop: () => void }) {
  if (work.kind === 'refused') return <Refused name={work.name} problems={work.problems} />;
  if (work.kind === 'failed')
    return (
      <p role="alert" className="border-s-4 border-danger ps-3 text-danger">
        {work.words}
      </p>
    );
  if (work.kind === 'no-room')
    return (
      <div role="alert" className="border-s-4 border-danger ps-3">
        <p>
          <b className="text-danger">There is no room to keep a copy for undo.</b> Save a file first. Then you can{' '}
          {work.words} without a way back.
        </p>
        <button type="button" className="act mt-2" onClick={work.goOn}>
          Go on without undo
        </button>
      </div>
    );
  return (
    <div role="status" className={work.kind === 'idle' ? 'sr-only' : 'min-h-11 border-s-4 border-ink ps-3'}>
      {work.kind === 'said' && <p className="font-[620]">{work.words}</p>}
      {work.kind === 'busy' && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <span className="font-[620]">{work.progress.words}</span>
          <progress
            className="h-2 w-48 accent-ink"
            max={1}
            value={work.progress.share}
            aria-label={work.progress.words}
          />
          <span className="num">{Math.round(100 * work.progress.share)} %</span>
          <button type="button" className="act-plain" onClick={onStop}>
            Cancel
          </button>
        </div>
      )}
    </div>
  );
}

function Part({ title, words, children }: { title: string; words: string; children?: React.ReactNode }) {
  return (
    <section className="border-t border-hair pt-3">
      <h2>{title}</h2>
      <p className="mt-1 mb-3 max-w-[62ch]">{words}</p>
      {children}
    </section>
  );
}

/** How safely and in how much room the browser keeps the bench. */
function Room() {
  const [room, setRoom] = useState<StorageRoom | null>(null);
  useEffect(() => {
    let gone = false;
    void storageRoom().then((found) => {
      if (!gone) setRoom(found);
    });
    return () => {
      gone = true;
    };
  }, []);
  if (room === null) return <p className="mt-1 min-h-[22px]" />;
  const used = room.usedBytes === null ? '' : `They take ${sizeWords(room.usedBytes)}`;
  const of =
    room.usedBytes === null || room.quotaBytes === null
      ? ''
      : ` of the ${sizeWords(room.quotaBytes)} that the browser allows`;
  return (
    <p className="mt-1 min-h-[22px] text-ink2">
      {used !== '' && `${used}${of}. `}
      {room.persistent === true && 'The browser promised not to clear them by itself.'}
      {room.persistent === false && (
        <>
          The browser may clear them when space runs short.{' '}
          <button
            type="button"
            className="act-plain"
            onClick={() => void askToPersist().then(() => storageRoom().then(setRoom))}
          >
            Ask it to keep them
          </button>
        </>
      )}
    </p>
  );
}

function Undo({ busy, onUndo }: { busy: boolean; onUndo: () => void }) {
  const last = useLastAct();
  if (last === undefined) return null;
  return (
    <Part
      title="Undo"
      words={
        last.kind === 'whole'
          ? `The bench as it was before ${last.what}, ${format(last.atMs, 'd MMM yyyy, HH:mm')}, is still kept. Bringing it back keeps the present first.`
          : `What went with ${last.what}, ${format(last.atMs, 'd MMM yyyy, HH:mm')}, is still kept.`
      }
    >
      <button type="button" className="act" disabled={busy} onClick={onUndo}>
        Bring it back
      </button>
    </Part>
  );
}

/** Records that could not stay where they were. */
function SetAside() {
  const aside = useAside();
  if (aside === undefined || aside.length === 0) return null;
  return (
    <Part
      title="Set aside"
      words="These could not stay where they were: what they belong to is gone, or they do not read any more. They do nothing, and nothing of them is lost."
    >
      <ul className="mb-3 max-h-64 overflow-y-auto">
        {aside.slice(0, 50).map((one) => (
          <li key={one.id} className="rule-row text-[14px]">
            <b>{one.from}</b>: {one.why}
          </li>
        ))}
        {aside.length > 50 && <li className="rule-row text-[14px]">and {aside.length - 50} more.</li>}
      </ul>
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="act"
          onClick={() => download(JSON.stringify(aside, null, 1), 'aetas-set-aside.json')}
        >
          Save them as a file
        </button>
        <button type="button" className="act" onClick={() => void clearAside().catch(() => undefined)}>
          Delete them
        </button>
      </div>
    </Part>
  );
}

/** The bench of a page does not change while the page stands. */
const never = () => () => undefined;

function Benches() {
  const at = useSyncExternalStore<BenchName | null>(never, benchName, () => null);
  if (at === null) return null;
  return (
    <Part
      title={at === 'demo' ? 'You are at the demo bench' : 'The demo bench'}
      words={
        at === 'demo'
          ? 'Its rolls are invented and are kept separate from yours. What you do here stays here.'
          : 'Invented rolls from a mountain weather hut, to try everything on. They are kept separate from yours.'
      }
    >
      <button type="button" className="act" onClick={() => chooseBench(at === 'demo' ? 'own' : 'demo')}>
        {at === 'demo' ? 'Go to your own bench' : 'Go to the demo bench'}
      </button>
    </Part>
  );
}
