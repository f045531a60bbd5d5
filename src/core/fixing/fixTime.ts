import type { StockFamilyId } from '../films/stockFamilies';

/** Multiple of the clearing time to fix for: the usual one and the cautious one. Source: common practice, no source. */
export const CLEARING_MULTIPLE = { usual: 2, cautious: 3 } as const;

/**
 * Fixing time by class of film, for a rapid concentrate.
 * @param familyId stock family
 * @returns fixing time, min. Source: common practice (about 3 classic, 5 and more tabular, 10 cautious), no source;
 * the step between 3 and 5 for thick old and coloured stock is our estimate.
 * @example usualFixMin('pan-tabular-fast') // 6
 */
export function usualFixMin(familyId: StockFamilyId): number {
  if (familyId.startsWith('pan-tabular')) return 6;
  if (familyId.startsWith('pan-cubic') || familyId === 'orthochromatic' || familyId === 'cine-monochrome-negative')
    return 4;
  return 6;
}

/**
 * Fixing time from a clearing test.
 * @param clearingS time that a scrap of the film takes to clear in this fixer, s; above 0
 * @param cautious three times instead of twice
 * @returns fixing time, min. Source: common practice, no source.
 * @example fixMinFromClearing(45, false) // 1.5
 */
export function fixMinFromClearing(clearingS: number, cautious: boolean): number {
  return (clearingS * (cautious ? CLEARING_MULTIPLE.cautious : CLEARING_MULTIPLE.usual)) / 60;
}
