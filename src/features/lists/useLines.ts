'use client';

import { startTransition, useEffect, useState } from 'react';
import { searchWords } from '@/core/units/synonyms';

/**
 * The lines of a list; a change of them never holds up what somebody types.
 * @param follow follows the list; the same function each time
 * @returns undefined while they load
 */
export function useLines<Line>(
  follow: (onLines: (lines: readonly Line[]) => void) => () => void,
): readonly Line[] | undefined {
  const [lines, setLines] = useState<readonly Line[]>();
  useEffect(() => {
    let first = true;
    return follow((next) => {
      if (first) setLines(next);
      else startTransition(() => setLines(next));
      first = false;
    });
  }, [follow]);
  return lines;
}

/**
 * Lines that hold every word of a search, or another word for the same.
 * @param lines lines with their searchable words in small letters
 * @param wanted the search as typed
 */
export function matching<Line extends { words: string }>(lines: readonly Line[], wanted: string): readonly Line[] {
  const words = searchWords(wanted);
  return words.length === 0
    ? lines
    : lines.filter((line) => words.every((any) => any.some((word) => line.words.includes(word))));
}
