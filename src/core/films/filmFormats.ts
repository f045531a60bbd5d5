import type { FilmFormat } from './filmFormatSchema';

const TRAYS = 'Trays, or see-saw in the dark: one end in each hand, up and down through the developer.';
const OLD_REEL = 'It fits no usual reel: an old reel made for its width, or see-saw through trays in the dark.';
const SHEETS = 'Trays one by one, a sheet holder in a tank, or loosely rolled with the emulsion inwards.';

type Row = readonly [
  name: string,
  widthMm: number,
  lengthMm: number,
  frames: string,
  from: number,
  to: number | null,
  coverVolumeMl: number,
  extra?: Partial<FilmFormat>,
];

function format([name, widthMm, lengthMm, frames, from, to, coverVolumeMl, extra = {}]: Row): FilmFormat {
  return {
    name,
    widthMm,
    lengthMm,
    frames,
    yearsMade: { from, to },
    coverVolumeMl,
    mayBeNitrate: false,
    paperBacked: false,
    coping: '',
    ...extra,
  };
}

/**
 * Film formats. Columns: name, width (mm), usual length without leaders (mm), frames, first and last year made, liquid that covers it (ml).
 * Widths of 135 and cine film: ISO 1007 and ISO 491 (35 mm), ISO 69 (16 mm). All other widths, lengths and years: from memory,
 * to be checked. Volumes of 135, 127, 120 and 116 are common practice; the others are our estimate from the width of the reel.
 */
export const filmFormats = {
  '135': format(['135 (35 mm cassette)', 34.975, 1500, '36 frames of 24 × 36 mm', 1934, null, 290]),
  '135-24': format(['135, 24 frames', 34.975, 1050, '24 frames of 24 × 36 mm', 1934, null, 290]),
  '120': format(['120 (roll film)', 61.5, 820, '8 to 16 frames', 1901, null, 500, { paperBacked: true }]),
  '220': format(['220 (roll film, double length)', 61.5, 1640, '16 to 32 frames', 1965, null, 500]),
  '620': format(['620 (roll film)', 61.5, 820, '8 to 16 frames', 1932, 1995, 500, { paperBacked: true }]),
  '127': format(['127 (roll film)', 46, 640, '8 to 16 frames', 1912, 1995, 370, { paperBacked: true }]),
  '828': format(['828 (roll film)', 35, 400, '8 frames of 28 × 40 mm', 1935, 1985, 290, { paperBacked: true }]),
  '116': format([
    '116 (roll film)',
    70,
    760,
    '8 frames of 2½ × 4¼ in',
    1899,
    1984,
    900,
    { paperBacked: true, coping: OLD_REEL },
  ]),
  '616': format([
    '616 (roll film)',
    70,
    760,
    '8 frames of 2½ × 4¼ in',
    1932,
    1984,
    900,
    { paperBacked: true, coping: OLD_REEL },
  ]),
  '126': format(['126 (cartridge)', 35, 740, '12 to 20 frames of 28 × 28 mm', 1963, 2008, 290, { paperBacked: true }]),
  '110': format([
    '110 (cartridge)',
    16,
    610,
    '24 frames of 13 × 17 mm',
    1972,
    null,
    200,
    { paperBacked: true, coping: 'Only 16 mm wide: a 16 mm reel, or see-saw through trays.' },
  ]),
  cine35: format(['35 mm cine, a short length', 34.975, 1600, '1.6 m', 1893, null, 290, { mayBeNitrate: true }]),
  cine16: format([
    '16 mm cine, a short length',
    15.95,
    1600,
    '1.6 m',
    1923,
    null,
    200,
    { coping: 'Only 16 mm wide: a 16 mm reel, or a short length see-sawed through trays.' },
  ]),
  'cine-double8': format([
    '8 mm cine, not yet slit',
    15.95,
    1600,
    '1.6 m of 7.6 m',
    1932,
    null,
    200,
    { coping: 'It is 16 mm wide until it is slit after processing: a 16 mm reel or a cine tank.' },
  ]),
  'cine-super8': format([
    '8 mm cine cartridge, a short length',
    7.975,
    1600,
    '1.6 m of 15 m',
    1965,
    null,
    200,
    { coping: 'Only 8 mm wide: a cine tank, or a short length in a jar, kept moving in the dark.' },
  ]),
  'sheet-6x9': format(['Sheet, 6.5 × 9 cm', 65, 90, 'one', 1890, null, 300, { coping: SHEETS }]),
  'sheet-9x12': format(['Sheet, 9 × 12 cm', 90, 120, 'one', 1890, null, 400, { coping: SHEETS }]),
  'sheet-4x5': format(['Sheet, 4 × 5 in', 101.6, 127, 'one', 1890, null, 500, { coping: SHEETS }]),
  'sheet-5x7': format(['Sheet, 5 × 7 in', 127, 177.8, 'one', 1890, null, 700, { coping: SHEETS }]),
  'sheet-8x10': format(['Sheet, 8 × 10 in', 203.2, 254, 'one', 1890, null, 1000, { coping: TRAYS }]),
} as const satisfies Record<string, FilmFormat>;

export type FilmFormatId = keyof typeof filmFormats;

export const filmFormatIds = Object.keys(filmFormats) as [FilmFormatId, ...FilmFormatId[]];

/** Narrowest and widest film that a usual adjustable reel takes, mm. Source: common practice, no source. */
export const REEL_WIDTH_MM = { least: 24, most: 61.5 } as const;

/** Area that counts as one film: 80 square inches, mm². Source: common practice; 25.4 mm to the inch exactly. */
export const ONE_FILM_MM2 = 80 * 25.4 ** 2;

/**
 * Area of one piece, in films of 80 square inches, to a tenth: leaders and trims differ by more.
 * @param formatId film format
 * @returns width × usual length ÷ 80 in²
 * @example filmEquivalents('sheet-8x10') // 1
 */
export function filmEquivalents(formatId: FilmFormatId): number {
  const { widthMm, lengthMm } = filmFormats[formatId];
  return Math.round(((widthMm * lengthMm) / ONE_FILM_MM2) * 10) / 10;
}

/**
 * Whether a usual adjustable reel takes the film.
 * @param formatId film format
 */
export function fitsUsualReel(formatId: FilmFormatId): boolean {
  const { widthMm } = filmFormats[formatId];
  return widthMm >= REEL_WIDTH_MM.least && widthMm <= REEL_WIDTH_MM.most && !formatId.startsWith('sheet');
}
