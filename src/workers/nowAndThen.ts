import type { OnProgress } from '@/core/formats/benchFile';

/** Least time between two words on how far a file is, ms: each is waited for. */
const WORD_EVERY_MS = 100;

/** Says how far a file is now and then, so that asking whether to go on costs little. */
export function nowAndThen(onProgress: OnProgress): OnProgress {
  let last = -Infinity;
  return (share, table) => {
    const now = performance.now();
    if (now - last < WORD_EVERY_MS) return true;
    last = now;
    return onProgress(share, table);
  };
}
