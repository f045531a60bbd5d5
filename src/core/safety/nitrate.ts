import { filmFormats, type FilmFormatId } from '../films/filmFormats';

/** Year before which 35 mm cine film may be on nitrate base. Source: common practice (“mid-1950s”), no source. */
export const NITRATE_BEFORE_YEAR = 1955;

/**
 * Whether a film may be on nitrate base and must not be processed at home.
 * @param formatId film format
 * @param madeFromYear earliest year in which it can have been made; an undated film reaches back to the beginning of its format
 * @param remJet whether the stock has a rem-jet backing; such stocks came with safety base (from memory)
 * @example mayBeNitrate('cine35', 1947, false) // true
 */
export function mayBeNitrate(formatId: FilmFormatId, madeFromYear: number, remJet: boolean): boolean {
  if (!filmFormats[formatId].mayBeNitrate) return false;
  return madeFromYear < NITRATE_BEFORE_YEAR && !remJet;
}
