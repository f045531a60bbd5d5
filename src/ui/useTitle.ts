'use client';

import { useEffect } from 'react';

/** Gives the page the name of what it shows. */
export function useTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Aetas`;
  }, [title]);
}
