'use client';

import { useCallback, useState } from 'react';
import { benchName } from '@/data/benchName';
import type { StepReport } from '@/data/folder';
import { benchWorker } from '@/workers/bench';

/** Where keeping in step stands. */
export type StepState =
  { kind: 'idle' } | { kind: 'busy' } | { kind: 'done'; report: StepReport } | { kind: 'failed'; words: string };

/** Brings the bench in step with its folder, behind the page; `asked` by a person, or by itself. */
export function useFolderStep(): { state: StepState; step: (asked: boolean) => Promise<void> } {
  const [state, setState] = useState<StepState>({ kind: 'idle' });
  const step = useCallback(async (asked: boolean) => {
    setState({ kind: 'busy' });
    try {
      const report = await benchWorker().stepFolder(benchName(), asked);
      setState(report === null ? { kind: 'idle' } : { kind: 'done', report });
    } catch (error) {
      setState({ kind: 'failed', words: error instanceof Error ? error.message : 'unknown fault' });
    }
  }, []);
  return { state, step };
}
