import { filmFormats, type FilmFormatId } from '../films/filmFormats';

/** Year before which 35 mm cine film may be on nitrate base. Source: common practice (“mid-1950s”), no source. */
export const NITRATE_BEFORE_YEAR = 1955;

/** Years that film lay in the shop before its box date, at most as usual. Source: common practice (2–4 years), no source. */
const USUAL_SHELF_YEARS = 4;

/**
 * Whether a film may be on nitrate base and must not be processed at home.
 * @param formatId film format
 * @param boxYear year on the box; null when unknown, which counts as a suspicion unless the film has a rem-jet backing
 * @param remJet whether the stock has a rem-jet backing; such stocks came with safety base (from memory)
 * @example mayBeNitrate('cine35', 1951, false) // true
 */
export function mayBeNitrate(formatId: FilmFormatId, boxYear: number | null, remJet: boolean): boolean {
  if (!filmFormats[formatId].mayBeNitrate) return false;
  return boxYear === null ? !remJet : boxYear - USUAL_SHELF_YEARS < NITRATE_BEFORE_YEAR;
}
