'use client';

import { startTransition, useEffect, useState } from 'react';
import { searchWords } from '@/core/units/synonyms';
import type { Lines } from '@/data/queries';

/**
 * Lines of a list as they come: the first ones at once, the rest in the background.
 * @param follow follows the list; the same function each time
 * @returns undefined while the first ones load
 */
export function useLines<Line>(follow: (onLines: (lines: Lines<Line>) => void) => () => void): Lines<Line> | undefined {
  const [lines, setLines] = useState<Lines<Line>>();
  useEffect(() => follow((next) => (next.all ? startTransition(() => setLines(next)) : setLines(next))), [follow]);
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
