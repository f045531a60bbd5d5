'use client';

import { BASE_PATH } from '@/core/schema/basePath';
import { useState } from 'react';
import { useParams, usePathname } from 'next/navigation';

/** What stands in the place of a page that broke: what happened, and every way on. */
export function Broken({ error, retry }: { error: Error; retry: () => void }) {
  const path = usePathname();
  const params = useParams<{ id?: string }>();
  const rollId = path.startsWith('/rolls/') && params.id !== undefined ? decodeURIComponent(params.id) : null;
  const [said, setSaid] = useState('');
  const save = async (): Promise<void> => {
    setSaid('Writing the file.');
    try {
      await (await import('@/features/files/benchFiles')).saveBench(() => true);
      setSaid('Saved where your browser puts downloads.');
    } catch (fault) {
      setSaid(`The file could not be written: ${fault instanceof Error ? fault.message : 'unknown fault'}.`);
    }
  };
  const takeApart = async (): Promise<void> => {
    if (rollId === null) return;
    try {
      await (await import('@/data/plans')).takePlanApart(rollId);
      setSaid('The plan is taken apart; you can undo it under Records.');
      retry();
    } catch (fault) {
      setSaid(`That did not work: ${fault instanceof Error ? fault.message : 'unknown fault'}.`);
    }
  };
  return (
    <div role="alert" className="max-w-[62ch]">
      <h1>This page broke.</h1>
      <p className="mt-2">
        Your records are as they were. What happened:{' '}
        <code className="num wrap-anywhere">{error.message || error.name}</code>
      </p>
      <div className="mt-4 flex flex-wrap gap-3">
        <button type="button" className="act act-primary" onClick={retry}>
          Try again
        </button>
        <button type="button" className="act" onClick={() => void save()}>
          Save all records
        </button>
        {/* A full load, so that nothing of the broken page stays. */}
        <a href={`${BASE_PATH}/`} className="act">
          Go to the bench
        </a>
        {rollId !== null && (
          <button type="button" className="act" onClick={() => void takeApart()}>
            Take this plan apart
          </button>
        )}
      </div>
      <p role="status" className="mt-3">
        {said}
      </p>
    </div>
  );
}
