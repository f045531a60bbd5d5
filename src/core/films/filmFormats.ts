import type { FilmFormat } from './filmFormatSchema';

const TRAYS = 'Trays, or see-saw in the dark: one end in each hand, up and down through the developer.';
const OLD_REEL = 'It fits no usual reel: an old reel made for its width, or see-saw through trays in the dark.';
const SHEETS = 'Trays one by one, a sheet holder in a tank, or loosely rolled with the emulsion inwards.';

type Row = Omit<FilmFormat, 'nitrateBefore' | 'paperBacked' | 'coping'> & {
  nitrateBefore?: number;
  paperBacked?: true;
  coping?: string;
};

function format(row: Row): FilmFormat {
  return { nitrateBefore: null, paperBacked: false, coping: '', ...row };
}

/**
 * Film formats. Widths of 135 and cine film: ISO 1007 and ISO 491 (35 mm), ISO 69 (16 mm). All other widths, lengths and years:
 * from memory, to be checked. Volumes of 135, 127, 120 and 116 are common practice; the others are our estimate from the width
 * of the reel. Years before which a format may be on nitrate base: from memory, put later rather than earlier.
 */
export const filmFormats = {
  '110': format({
    name: '110 (cartridge)',
    widthMm: 16,
    lengthMm: 610,
    frames: '24 frames of 13 × 17 mm',
    yearsMade: { from: 1972, to: null },
    coverVolumeMl: 200,
    paperBacked: true,
    coping: 'Only 16 mm wide: a 16 mm reel, or see-saw through trays.',
  }),
  '116': format({
    name: '116 (roll film)',
    widthMm: 70,
    lengthMm: 760,
    frames: '8 frames of 2½ × 4¼ in',
    yearsMade: { from: 1899, to: 1984 },
    coverVolumeMl: 900,
    nitrateBefore: 1950,
    paperBacked: true,
    coping: OLD_REEL,
  }),
  '120': format({
    name: '120 (roll film)',
    widthMm: 61.5,
    lengthMm: 820,
    frames: '8 to 16 frames',
    yearsMade: { from: 1901, to: null },
    coverVolumeMl: 500,
    nitrateBefore: 1950,
    paperBacked: true,
  }),
  '126': format({
    name: '126 (cartridge)',
    widthMm: 35,
    lengthMm: 740,
    frames: '12 to 20 frames of 28 × 28 mm',
    yearsMade: { from: 1963, to: 2008 },
    coverVolumeMl: 290,
    paperBacked: true,
  }),
  '127': format({
    name: '127 (roll film)',
    widthMm: 46,
    lengthMm: 640,
    frames: '8 to 16 frames',
    yearsMade: { from: 1912, to: 1995 },
    coverVolumeMl: 370,
    nitrateBefore: 1950,
    paperBacked: true,
  }),
  '135': format({
    name: '135 (35 mm cassette)',
    widthMm: 34.975,
    lengthMm: 1500,
    frames: '36 frames of 24 × 36 mm',
    yearsMade: { from: 1934, to: null },
    coverVolumeMl: 290,
    nitrateBefore: 1942,
  }),
  '220': format({
    name: '220 (roll film, double length)',
    widthMm: 61.5,
    lengthMm: 1640,
    frames: '16 to 32 frames',
    yearsMade: { from: 1965, to: null },
    coverVolumeMl: 500,
  }),
  '616': format({
    name: '616 (roll film)',
    widthMm: 70,
    lengthMm: 760,
    frames: '8 frames of 2½ × 4¼ in',
    yearsMade: { from: 1932, to: 1984 },
    coverVolumeMl: 900,
    nitrateBefore: 1950,
    paperBacked: true,
    coping: OLD_REEL,
  }),
  '620': format({
    name: '620 (roll film)',
    widthMm: 61.5,
    lengthMm: 820,
    frames: '8 to 16 frames',
    yearsMade: { from: 1932, to: 1995 },
    coverVolumeMl: 500,
    nitrateBefore: 1950,
    paperBacked: true,
  }),
  '828': format({
    name: '828 (roll film)',
    widthMm: 35,
    lengthMm: 400,
    frames: '8 frames of 28 × 40 mm',
    yearsMade: { from: 1935, to: 1985 },
    coverVolumeMl: 290,
    nitrateBefore: 1942,
    paperBacked: true,
  }),
  '135-24': format({
    name: '135, 24 frames',
    widthMm: 34.975,
    lengthMm: 1050,
    frames: '24 frames of 24 × 36 mm',
    yearsMade: { from: 1934, to: null },
    coverVolumeMl: 290,
    nitrateBefore: 1942,
  }),
  cine35: format({
    name: '35 mm cine, a short length',
    widthMm: 34.975,
    lengthMm: 1600,
    frames: '1.6 m',
    yearsMade: { from: 1893, to: null },
    coverVolumeMl: 290,
    nitrateBefore: 1952,
  }),
  cine16: format({
    name: '16 mm cine, a short length',
    widthMm: 15.95,
    lengthMm: 1600,
    frames: '1.6 m',
    yearsMade: { from: 1923, to: null },
    coverVolumeMl: 200,
    coping: 'Only 16 mm wide: a 16 mm reel, or a short length see-sawed through trays.',
  }),
  'cine-double8': format({
    name: '8 mm cine, not yet slit',
    widthMm: 15.95,
    lengthMm: 1600,
    frames: '1.6 m of 7.6 m',
    yearsMade: { from: 1932, to: null },
    coverVolumeMl: 200,
    coping: 'It is 16 mm wide until it is slit after processing: a 16 mm reel or a cine tank.',
  }),
  'cine-super8': format({
    name: '8 mm cine cartridge, a short length',
    widthMm: 7.975,
    lengthMm: 1600,
    frames: '1.6 m of 15 m',
    yearsMade: { from: 1965, to: null },
    coverVolumeMl: 200,
    coping: 'Only 8 mm wide: a cine tank, or a short length in a jar, kept moving in the dark.',
  }),
  'sheet-6x9': format({
    name: 'Sheet, 6.5 × 9 cm',
    widthMm: 65,
    lengthMm: 90,
    frames: 'one',
    yearsMade: { from: 1890, to: null },
    coverVolumeMl: 300,
    nitrateBefore: 1942,
    coping: SHEETS,
  }),
  'sheet-9x12': format({
    name: 'Sheet, 9 × 12 cm',
    widthMm: 90,
    lengthMm: 120,
    frames: 'one',
    yearsMade: { from: 1890, to: null },
    coverVolumeMl: 400,
    nitrateBefore: 1942,
    coping: SHEETS,
  }),
  'sheet-4x5': format({
    name: 'Sheet, 4 × 5 in',
    widthMm: 101.6,
    lengthMm: 127,
    frames: 'one',
    yearsMade: { from: 1890, to: null },
    coverVolumeMl: 500,
    nitrateBefore: 1942,
    coping: SHEETS,
  }),
  'sheet-5x7': format({
    name: 'Sheet, 5 × 7 in',
    widthMm: 127,
    lengthMm: 177.8,
    frames: 'one',
    yearsMade: { from: 1890, to: null },
    coverVolumeMl: 700,
    nitrateBefore: 1942,
    coping: SHEETS,
  }),
  'sheet-8x10': format({
    name: 'Sheet, 8 × 10 in',
    widthMm: 203.2,
    lengthMm: 254,
    frames: 'one',
    yearsMade: { from: 1890, to: null },
    coverVolumeMl: 1000,
    nitrateBefore: 1942,
    coping: TRAYS,
  }),
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
