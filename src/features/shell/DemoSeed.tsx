'use client';

import { useEffect, useState, type ReactNode } from 'react';
import { benchName } from '@/data/benchName';

/** On the demo's bench, lays the demo's records out before the page is shown. */
export function DemoSeed({ children }: { children: ReactNode }) {
  const [ready, setReady] = useState(false);
  useEffect(() => {
    let gone = false;
    const prepare = async (): Promise<void> => {
      if (benchName() === 'demo') await (await import('@/data/demo/seedDemo')).seedDemo();
      if (!gone) setReady(true);
    };
    void prepare();
    return () => {
      gone = true;
    };
  }, []);
  return ready ? (
    children
  ) : (
    <main id="main" className="mx-auto min-h-[60vh] max-w-[1280px] px-4 py-6 sm:px-10" aria-busy="true" />
  );
}
