'use client';

import { useEffect, useState } from 'react';

/** An address under which the page can show something binary; null for the first moment. It goes with the component. */
export function useObjectUrl(blob: Blob): string | null {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    const made = URL.createObjectURL(blob);
    // Made here and not while rendering, so that it can be taken back when the picture goes.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setUrl(made);
    return () => URL.revokeObjectURL(made);
  }, [blob]);
  return url;
}
