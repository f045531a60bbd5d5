import { readBackup, writeBackup } from '@/core/formats/backup';
import { estimate } from '@/core/estimate/estimate';
import { study } from '@/core/estimate/study';
import type { EstimateRequest } from '@/core/estimate/request';

/** What the worker does for the page: calls of core, nothing else. */
export const coreApi = {
  study,
  estimateAll: (requests: readonly EstimateRequest[]) => requests.map(estimate),
  readBackup: (text: string) => readBackup(text),
  writeBackup,
};

export type CoreApi = typeof coreApi;
