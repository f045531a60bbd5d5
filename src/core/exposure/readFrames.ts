/** Most frames that one line may name. Source: our choice, a long roll twice. */
const MOST_FRAMES = 80;

/**
 * Reads which frames a line of a notebook speaks of: `7`, `1-11`, `1 to 11`, `3, 5, 7-9`, `12A`.
 * @param text as written
 * @returns each frame by itself; null where it does not read as frames
 * @example readFrames('1-3, 7') // ['1', '2', '3', '7']
 */
export function readFrames(text: string): string[] | null {
  const frames = text
    .trim()
    .split(/\s*[,;&]\s*|\s+and\s+/)
    .map(framesOf);
  if (frames.some((some) => some === null)) return null;
  const all = frames.flatMap((some) => some ?? []);
  return all.length === 0 || all.length > MOST_FRAMES ? null : all;
}

function framesOf(text: string): string[] | null {
  if (/^\d{1,3}[a-z]?$/i.test(text)) return [text.toUpperCase()];
  const range = /^(\d{1,3})\s*(?:-|–|to|\.\.)\s*(\d{1,3})$/.exec(text);
  if (range === null) return null;
  const [from, to] = [Number(range[1]), Number(range[2])];
  if (to < from || to - from >= MOST_FRAMES) return null;
  return Array.from({ length: to - from + 1 }, (_, index) => String(from + index));
}
