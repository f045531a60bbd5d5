import { parentPort } from 'node:worker_threads';
import { estimateFrom } from '@/core/estimate/estimate';

/** Estimates away from the thread that answers pages, one request after the other. */
parentPort?.on('message', ({ id, json }: { id: number; json: unknown }) => {
  parentPort?.postMessage({ id, answer: estimateFrom(json) });
});
