'use client';

import { useEffect, useState } from 'react';
import { dropGiven, givenFile, keepGiven } from '@/workers/offline/givenFile';

/** What a system hands over when it opens a file with an installed application. */
interface LaunchQueue {
  setConsumer: (take: (launch: { files: readonly FileSystemFileHandle[] }) => void) => void;
}

/** The file that another program gave to Aetas: undefined while it is looked for, null when none waits. */
export function useGivenFile(): { file: File | null | undefined; drop: () => void } {
  const [file, setFile] = useState<File | null | undefined>(undefined);
  useEffect(() => {
    let gone = false;
    const show = (found: File | null): void => {
      if (!gone) setFile(found);
    };
    givenFile().then(show, () => show(null));
    const { launchQueue } = window as { launchQueue?: LaunchQueue };
    launchQueue?.setConsumer(({ files: [handle] }) => {
      void handle?.getFile().then(async (opened) => {
        await keepGiven(opened);
        show(opened);
      });
    });
    return () => {
      gone = true;
    };
  }, []);
  return {
    file,
    drop: () => {
      setFile(null);
      void dropGiven();
    },
  };
}
