import { readBackup, writeBackup } from '@/core/formats/backup';
import { study } from '@/core/estimate/study';
import { benchTimes } from '@/core/plan/benchTimes';

/** What the worker does for the page: calls of core, nothing else. */
export const coreApi = {
  study,
  benchTimes,
  readBackup: (text: string) => readBackup(text),
  writeBackup,
};

export type CoreApi = typeof coreApi;
