import { filmFormats, type FilmFormatId } from './filmFormats';

/** Formats that are cut from a reel of 35 mm film. */
const cut: readonly FilmFormatId[] = ['135', '135-24'];

/** Film that is lost with each length: what is fogged while it is loaded, and its tongue, mm. Source: common practice, no source. */
const LOST_MM = 130;

/** A reel that rolls are cut from. */
export interface BulkReel {
  usedM: number;
  leftM: number;
  /** Rolls of 36 that the rest still gives. */
  more: number;
}

/**
 * What is left on a reel.
 * @param reelM its length when it was new, m; above 0
 * @param formats formats of the rolls that were cut from it; others than 35 mm film count for nothing
 * @returns lengths in m. Source: lengths of the formats as in `filmFormats`
 * @example bulkReel(30.5, []).more // 18 rolls of 36
 */
export function bulkReel(reelM: number, formats: readonly FilmFormatId[]): BulkReel {
  const lengthM = (id: FilmFormatId): number => (filmFormats[id].lengthMm + LOST_MM) / 1000;
  const usedM = formats.filter((id) => cut.includes(id)).reduce((sum, id) => sum + lengthM(id), 0);
  const leftM = Math.max(0, reelM - usedM);
  return { usedM, leftM, more: Math.floor(leftM / lengthM('135') + 1e-9) };
}
