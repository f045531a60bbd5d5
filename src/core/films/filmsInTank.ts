import { filmEquivalents, filmFormats, type FilmFormatId } from './filmFormats';

/**
 * Volume that covers several reels in one tank: they stand on each other.
 * @param formatIds format of each roll
 * @returns ml. Source: our estimate, the sum of what covers each.
 */
export function tankVolumeMl(formatIds: readonly FilmFormatId[]): number {
  return formatIds.reduce((sum, id) => sum + filmFormats[id].coverVolumeMl, 0);
}

/** Films of 80 square inches in a tank. */
export function tankFilms(formatIds: readonly FilmFormatId[]): number {
  return formatIds.reduce((sum, id) => sum + filmEquivalents(id), 0);
}
