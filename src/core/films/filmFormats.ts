import type { FilmFormat } from './filmFormatSchema';

const reel = (name: string, coverVolumeMl: number, filmEquivalents: number, extra: Partial<FilmFormat> = {}): FilmFormat => ({
  name,
  coverVolumeMl,
  filmEquivalents,
  mayBeNitrate: false,
  coping: '',
  ...extra,
});

/**
 * Film formats with the volume that covers one piece. Volumes of 135, 127, 120 and 116 are common practice, no source;
 * the others are our estimate from the width of the reel. Film equivalents follow from nominal sizes, 80 in² each.
 */
export const filmFormats = {
  '135': reel('135 (35 mm cassette)', 290, 1),
  '120': reel('120 (roll film)', 500, 1),
  '220': reel('220 (roll film, double length)', 500, 2),
  '127': reel('127 (roll film)', 370, 0.6),
  '620': reel('620 (roll film)', 500, 1),
  '116': reel('116 or 616 (roll film)', 900, 1.4, { coping: 'It fits no usual reel: an old adjustable reel, or see-saw in trays in the dark.' }),
  '126': reel('126 (cartridge)', 290, 0.4),
  '110': reel('110 (cartridge)', 200, 0.2),
  cine35: reel('35 mm cine, a short length', 290, 1, { mayBeNitrate: true }),
  cine16: reel('16 mm cine, a short length', 250, 0.5),
  sheet45: reel('Sheet, 4 × 5 in, four of them', 500, 1),
} as const satisfies Record<string, FilmFormat>;

export type FilmFormatId = keyof typeof filmFormats;

export const filmFormatIds = Object.keys(filmFormats) as [FilmFormatId, ...FilmFormatId[]];
