import { readBenchFile, type FileReport, type OnProgress } from '@/core/formats/benchFile';
import type { Result } from '@/core/schema/result';
import { asStored, type StoredSink } from '@/data/lines';
import { nowAndThen } from './nowAndThen';

/** Batches that may be on their way to the database at a time, so that neither side waits for the other. */
const ON_THEIR_WAY = 12;

/** Reading and checking a file, apart from storing it: each has a worker of its own. */
export const fileReaderApi = {
  /**
   * Reads a file as the database stores it.
   * @param file the file
   * @param sink takes the rows; it may settle later than the next ones come
   * @param onProgress told now and then
   * @throws what the sink throws; Stopped when `onProgress` says so
   */
  read: async (file: Blob, sink: StoredSink, onProgress: OnProgress): Promise<Result<FileReport>> => {
    const onTheirWay: Promise<void>[] = [];
    const hand: StoredSink = async (table, rows) => {
      const sent = Promise.resolve(sink(table, rows));
      // Whoever waits for it next is told.
      sent.catch(() => undefined);
      onTheirWay.push(sent);
      if (onTheirWay.length >= ON_THEIR_WAY) await onTheirWay.shift();
    };
    const answer = await asStored((taken) => readBenchFile(file, taken, Date.now(), nowAndThen(onProgress)))(hand);
    await Promise.all(onTheirWay);
    return answer;
  },
};

export type FileReaderApi = typeof fileReaderApi;
