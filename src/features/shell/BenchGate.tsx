'use client';

import dynamic from 'next/dynamic';
import './dateLanguage';
import { useEffect, useState, type ReactNode } from 'react';
import { benchName } from '@/data/benchName';
import type { BenchTrouble } from '@/data/openBench';
import { hasImmediateStore } from '@/data/immediateStore';

const FolderKeeper = dynamic(
  () => import('@/features/records/FolderKeeper').then(({ FolderKeeper: Keeper }) => Keeper),
  { ssr: false },
);

/** Opens the bench before the page is shown, lays the demo out on its own, and says so when it does not open. */
export function BenchGate({ children }: { children: ReactNode }) {
  const [ready, setReady] = useState(false);
  const [trouble, setTrouble] = useState<BenchTrouble | null>(null);
  const [forgetful, setForgetful] = useState(false);
  useEffect(() => {
    let gone = false;
    const prepare = async (): Promise<void> => {
      const { openBenchDatabase } = await import('@/data/openBench');
      await openBenchDatabase((found) => {
        if (!gone) setTrouble(found);
      });
      if (benchName() === 'demo') await (await import('@/data/demo/seedDemo')).seedDemo();
      if (gone) return;
      setForgetful(!hasImmediateStore());
      setReady(true);
    };
    prepare().catch((error: unknown) => {
      if (gone) return;
      setTrouble(
        (known) =>
          known ?? {
            title: 'The bench does not open.',
            words: error instanceof Error ? error.message : 'The browser gave no reason. Reload the page.',
          },
      );
    });
    return () => {
      gone = true;
    };
  }, []);
  if (trouble !== null)
    return (
      <main id="main" className="mx-auto frame px-4 py-6 sm:px-10">
        <div role={trouble.waiting === true ? 'status' : 'alert'}>
          <h1>{trouble.title}</h1>
          <p className="mt-2 max-w-[62ch]">{trouble.words}</p>
        </div>
        {trouble.waiting !== true && (
          <button type="button" className="act act-primary mt-4" onClick={() => location.reload()}>
            Reload
          </button>
        )}
      </main>
    );
  if (!ready) return <main id="main" className="mx-auto min-h-[60vh] frame px-4 py-6 sm:px-10" aria-busy="true" />;
  return (
    <>
      {forgetful && (
        <p role="status" className="mx-auto frame px-4 pt-3 text-[14px] text-heat sm:px-10">
          This browser blocks part of its storage for this page. Everything works, but a letter typed in the very moment
          of a crash can be lost.
        </p>
      )}
      {children}
      <FolderKeeper />
    </>
  );
}
