'use client';

import { useSyncExternalStore } from 'react';
import { followLearned, learnedNow, type Learned } from './learnedStore';

export type { Learned } from './learnedStore';

/**
 * Tells the worker what the bench knows, and whenever that changes.
 * @returns how far it is; null for the first moment
 */
export function useLearned(): Learned | null {
  return useSyncExternalStore(followLearned, learnedNow, () => null);
}
