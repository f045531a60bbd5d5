import { gradeRanges } from './twoTones';

/** What a colour head is set to for a grade: one of its filters, as a share of the most that it has. */
interface HeadSetting {
  filter: 'yellow' | 'magenta' | null;
  share: number;
}

/**
 * Settings of colour heads for variable-contrast paper. Source: common practice, from memory: tables for heads of different makes lie
 * within a fifth of this where they are taken as shares of their largest value. A strip goes before any table.
 */
const settings: Readonly<Record<string, HeadSetting>> = {
  '00': { filter: 'yellow', share: 0.88 },
  '0': { filter: 'yellow', share: 0.53 },
  '1': { filter: 'yellow', share: 0.32 },
  '2': { filter: null, share: 0 },
  '3': { filter: 'magenta', share: 0.26 },
  '4': { filter: 'magenta', share: 0.59 },
  '5': { filter: 'magenta', share: 1 },
};

/** The table along the scale, from yellow (below 0) to magenta, as shares of its largest value. */
export const headPoints: readonly { share: number; range: number }[] = gradeRanges
  .flatMap(({ grade, range }) => {
    const setting = settings[grade];
    return setting === undefined
      ? []
      : [{ share: setting.filter === 'yellow' ? -setting.share : setting.share, range }];
  })
  .sort((a, b) => a.share - b.share);

/** How far heads lie from the table, as a share. Source: our estimate. */
const SPREAD = 0.2;

/** A setting in the units of a head. */
export interface HeadUnits {
  filter: 'yellow' | 'magenta' | null;
  units: number;
  /** Where heads of other makes have it. */
  low: number;
  high: number;
}

/**
 * What a colour head is set to for a grade.
 * @param grade as on its packet: 00, 0, 1 to 5
 * @param mostUnits the largest value on the head's scale; above 0
 * @returns the filter with its units, rounded to whole ones; null for a grade that no filter has
 * @example colourHead('3', 170) // magenta 44, between 35 and 53
 */
export function colourHead(grade: string, mostUnits: number): HeadUnits | null {
  const found = settings[grade.trim()];
  if (found === undefined) return null;
  const units = (share: number): number => Math.min(mostUnits, Math.round(mostUnits * share));
  return {
    filter: found.filter,
    units: units(found.share),
    low: units(found.share * (1 - SPREAD)),
    high: units(found.share * (1 + SPREAD)),
  };
}
