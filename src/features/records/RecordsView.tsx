'use client';

import { format } from 'date-fns';
import { useState, useSyncExternalStore } from 'react';
import type { Problem } from '@/core/schema/result';
import { benchName, chooseBench, type BenchName } from '@/data/benchName';
import { importRecords, wipeRecords } from '@/data/backups';
import { useLastSafekeeping, useRecordCounts } from '@/data/queries';
import { allRecords, undoLast } from '@/data/safekeeping';
import { download } from '@/features/files/download';
import { FileButton } from '@/features/files/FileButton';
import { Refused } from '@/features/files/Refused';
import { coreWorker } from '@/workers/core';
import { recordCountWords } from './recordWords';

/** Largest file that is read, bytes: far above a lifetime of rolls, far below what hangs a tab. */
const LARGEST_FILE_BYTES = 64 * 1024 * 1024;

/** Everything on the bench as one file: out, in, and away. */
export function RecordsView() {
  const counts = useRecordCounts();
  const [said, setSaid] = useState('');
  const [refused, setRefused] = useState<{ name: string; problems: Problem[] } | null>(null);

  const save = async (): Promise<void> => {
    const now = new Date();
    const text = await coreWorker().writeBackup(await allRecords(), now.toISOString());
    download(text, `aetas-${benchName() === 'demo' ? 'demo-' : ''}${format(now, 'yyyy-MM-dd-HHmm')}.json`);
    setSaid('The file is saved where your browser puts downloads.');
  };
  const open = async (chosen: File): Promise<void> => {
    setRefused(null);
    setSaid('');
    if (chosen.size > LARGEST_FILE_BYTES) {
      setRefused({
        name: chosen.name,
        problems: [
          {
            path: '',
            message: `The file is larger than ${LARGEST_FILE_BYTES / 1024 / 1024} MB, so it is not an Aetas file.`,
          },
        ],
      });
      return;
    }
    const read = await coreWorker().readBackup(await chosen.text());
    if (!read.ok) {
      setRefused({ name: chosen.name, problems: read.problems });
      return;
    }
    await importRecords(read.value);
    setSaid(`“${chosen.name}” is on the bench now, in the place of what was there.`);
  };

  return (
    <div className="max-w-[760px] space-y-8">
      <div>
        <h1>Records</h1>
        <p className="mt-1 text-ink2">{counts === undefined ? '' : recordCountWords(counts)}</p>
      </div>
      <Part
        title="Save a file"
        words="Everything on this bench as one JSON file that people and programs can read. Records live in this browser only, so save one now and then."
      >
        <button type="button" className="act act-primary" onClick={() => void save()}>
          Save all records
        </button>
      </Part>
      <Part
        title="Open a file"
        words="Puts the file’s records in the place of what is on the bench. The file is checked first and taken whole or not at all, and you can undo it."
      >
        <FileButton label="File with records" className="act" onFile={(chosen) => void open(chosen)}>
          Choose a file
        </FileButton>
      </Part>
      {refused !== null && <Refused {...refused} />}
      <Part
        title="Empty the bench"
        words="Takes everything away, drafts included. You can undo it here for as long as you make no other large change."
      >
        <button
          type="button"
          className="act"
          onClick={() => void wipeRecords().then(() => setSaid('The bench is empty.'))}
        >
          Empty the bench
        </button>
      </Part>
      <p role="status" className="font-[620]">
        {said}
      </p>
      <Kept />
      <Benches />
    </div>
  );
}

function Part({ title, words, children }: { title: string; words: string; children: React.ReactNode }) {
  return (
    <section className="border-t border-hair pt-3">
      <h2>{title}</h2>
      <p className="mt-1 mb-3 max-w-[62ch]">{words}</p>
      {children}
    </section>
  );
}

function Kept() {
  const last = useLastSafekeeping();
  if (last === undefined) return null;
  return (
    <Part
      title="Undo"
      words={`The records from before ${last.what}, ${format(last.atMs, 'd MMM yyyy, HH:mm')}, are still kept.`}
    >
      <button type="button" className="act" onClick={() => void undoLast()}>
        Bring them back
      </button>
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
          ? 'Its rolls are invented and lie apart from your own. What you do here stays here.'
          : 'Invented rolls from a mountain weather hut, to try everything on. They lie apart from your own.'
      }
    >
      <button type="button" className="act" onClick={() => chooseBench(at === 'demo' ? 'own' : 'demo')}>
        {at === 'demo' ? 'Go to your own bench' : 'Go to the demo bench'}
      </button>
    </Part>
  );
}
