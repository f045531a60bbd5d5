import { filmFormats, type FilmFormatId } from '../films/filmFormats';

/**
 * Whether a film may be on nitrate base and must not be processed at home.
 * @param formatId film format
 * @param madeFromYear earliest year in which it can have been made
 * @param remJet whether the stock has a rem-jet backing; such stocks came with safety base (from memory)
 * @param dated whether anything dates the film itself. Undated 35 mm cine film is suspect; other undated film of a format that
 *   was nitrate once is told of it, and not stopped: most of it is younger by decades.
 * @example mayBeNitrate('cine35', 1947, false) // true
 */
export function mayBeNitrate(formatId: FilmFormatId, madeFromYear: number, remJet: boolean, dated = true): boolean {
  const { nitrateBefore } = filmFormats[formatId];
  if (nitrateBefore === null || remJet) return false;
  return madeFromYear < nitrateBefore && (dated || formatId === 'cine35');
}

/** Whether undated film is of a format that was once on nitrate base: it is told, and not stopped. */
export function onceNitrate(formatId: FilmFormatId, remJet: boolean, dated: boolean): boolean {
  return !dated && !remJet && formatId !== 'cine35' && filmFormats[formatId].nitrateBefore !== null;
}
