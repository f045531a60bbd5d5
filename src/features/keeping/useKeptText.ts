'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { keepDraft, readDraft } from '@/data/drafts';

/**
 * A text, kept as typed, so that a reload loses nothing.
 * @param key under which it is kept
 * @returns the text, and how to change it
 */
export function useKeptText(key: string): [string, (text: string) => void] {
  const [text, setText] = useState('');
  const touched = useRef(false);
  useEffect(() => {
    let gone = false;
    void readDraft(key).then((kept) => {
      if (!gone && !touched.current && typeof kept === 'string') setText(kept);
    });
    return () => {
      gone = true;
    };
  }, [key]);
  const change = useCallback(
    (next: string) => {
      touched.current = true;
      setText(next);
      void keepDraft(key, next).catch(() => undefined);
    },
    [key],
  );
  return [text, change];
}
