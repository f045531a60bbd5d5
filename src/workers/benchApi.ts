import { readBenchFile, type OnProgress } from '@/core/formats/benchFile';
import { importBench, mergeBench } from '@/data/benchFiles';
import { keepToBench, type BenchName } from '@/data/benchName';
import { travelling } from '@/data/trouble';
import { fileReader } from './fileReader';
import { nowAndThen } from './nowAndThen';

/** What an act answers; what it throws says by its name what happened. */
async function plainly<T>(act: Promise<T>): Promise<T> {
  try {
    return await act;
  } catch (error) {
    throw travelling(error);
  }
}

/** What touches the whole bench at once: a file of ten thousand runs goes into the database without passing the page. */
export const benchApi = {
  /** Puts the records of a file in the place of all that a bench holds. */
  importFile: (bench: BenchName, file: Blob, withoutCopy: boolean, onProgress: OnProgress) => {
    keepToBench(bench);
    return plainly(importBench((sink) => fileReader().read(file, sink, (...how) => onProgress(...how)), withoutCopy));
  },
  /** Merges the records of a file into a bench. */
  mergeFile: (bench: BenchName, file: Blob, withoutCopy: boolean, onProgress: OnProgress) => {
    keepToBench(bench);
    return plainly(mergeBench((sink) => readBenchFile(file, sink, Date.now(), nowAndThen(onProgress)), withoutCopy));
  },
};

export type BenchApi = typeof benchApi;
