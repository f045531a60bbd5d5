/** A print, and the one that it was made after. */
interface InSeries {
  id: string;
  createdMs: number;
  afterId?: string | null | undefined;
}

/**
 * The prints that lead to one picture: each was made after another of them, on the same paper or another, at the same size or another.
 * @param prints all prints; one that was taken off the bench parts a series there
 * @param id any of the series
 * @returns the series, oldest first; empty where the print is not among them
 */
export function seriesOf<T extends InSeries>(prints: readonly T[], id: string): T[] {
  const byId = new Map(prints.map((print) => [print.id, print]));
  const found = new Set<string>(byId.has(id) ? [id] : []);
  // A print that names what it came after, or is named by it, belongs to both; a circle ends where it began.
  for (let before = -1; found.size !== before;) {
    before = found.size;
    for (const { id: own, afterId } of prints) {
      if (afterId == null || !byId.has(afterId)) continue;
      if (found.has(own)) found.add(afterId);
      else if (found.has(afterId)) found.add(own);
    }
  }
  return prints.filter((print) => found.has(print.id)).sort((a, b) => a.createdMs - b.createdMs);
}
