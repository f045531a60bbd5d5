import { readBenchFile, type OnProgress } from '@/core/formats/benchFile';
import { importBench, mergeBench } from '@/data/benchFiles';
import { keepToBench, type BenchName } from '@/data/benchName';
import { stepFolder } from '@/data/stepFolder';
import { asStored } from '@/data/lines';
import { travelling } from '@/data/trouble';

/** Least time between two words on how far a file is, ms: each is waited for. */
const WORD_EVERY_MS = 100;

/** Says how far a file is now and then, so that asking whether to go on costs little. */
function nowAndThen(onProgress: OnProgress): OnProgress {
  let last = -Infinity;
  return (share, table) => {
    const now = performance.now();
    if (now - last < WORD_EVERY_MS) return true;
    last = now;
    return onProgress(share, table);
  };
}

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
    return plainly(
      importBench(
        asStored((sink) => readBenchFile(file, sink, Date.now(), nowAndThen(onProgress))),
        withoutCopy,
      ),
    );
  },
  /** Merges the records of a file into a bench. */
  mergeFile: (bench: BenchName, file: Blob, withoutCopy: boolean, onProgress: OnProgress) => {
    keepToBench(bench);
    return plainly(mergeBench((sink) => readBenchFile(file, sink, Date.now(), nowAndThen(onProgress)), withoutCopy));
  },
  /** Brings a bench in step with its folder. */
  stepFolder: (bench: BenchName, waits: boolean) => {
    keepToBench(bench);
    return plainly(stepFolder(waits));
  },
};

export type BenchApi = typeof benchApi;
