import { behindWorker, type Behind } from './behind';
import type { FileReaderApi } from './fileReaderApi';

const reader: Behind<FileReaderApi> = behindWorker<FileReaderApi>(
  ['read'],
  () => new Worker(new URL('./fileReader.worker.ts', import.meta.url), { type: 'module' }),
  async () => (await import('./fileReaderApi')).fileReaderApi,
);

/** Reads files behind a worker; where it is asked for where the worker does not load. Browser only. */
export function fileReader(): Behind<FileReaderApi> {
  return reader;
}
