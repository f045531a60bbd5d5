import { plainName } from '../units/plainName';

/** What a paper darkens while it dries, by its prints. */
export interface PaperDries {
  /** % of the exposure. */
  percent: number;
  /** Prints that told it. */
  prints: number;
}

/**
 * How much darker a paper dries, by what was taken off its other prints.
 * @param prints prints, with what was taken off each, %
 * @param paper its name as typed; case and spaces around it do not count
 * @returns the mean; null where no print of it told
 */
export function driesOfPaper(
  prints: readonly { paper: string; dries?: number | undefined }[],
  paper: string,
): PaperDries | null {
  const told = prints.flatMap(({ paper: own, dries }) =>
    dries !== undefined && plainName(own) === plainName(paper) && plainName(paper) !== '' ? [dries] : [],
  );
  return told.length === 0
    ? null
    : { percent: told.reduce((sum, one) => sum + one, 0) / told.length, prints: told.length };
}
