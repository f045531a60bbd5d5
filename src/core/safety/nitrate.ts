import type { Condition } from '../films/condition';
import { expectsRemJet } from '../films/conditionFacts';
import { ageWindow } from '../films/ageWindow';
import { filmFormats, type FilmFormatId } from '../films/filmFormats';
import { datingHints, earliestYear, type DatingFacts } from '../films/rollDating';
import { stockFamilies, type StockFamilyId } from '../films/stockFamilies';

/** How likely a film is on nitrate base: `likely` stops the work, `possible` asks for a look at the edge. */
export type NitrateRisk = 'none' | 'possible' | 'likely';

/** What decides it. */
export interface NitrateFacts extends DatingFacts {
  condition: Condition;
}

/** Families that were never on nitrate base: colour film of every kind came on safety base. Source: from memory, to be checked. */
const ALWAYS_SAFETY: readonly StockFamilyId[] = [
  'chromogenic-monochrome',
  'colour-negative-current',
  'colour-negative-obsolete',
  'colour-reversal-couplers',
  'colour-reversal-nonsubstantive',
  'cine-colour-negative',
  'unknown-colour',
];

/** The one format that was nitrate as a rule, up to its last year: 35 mm cine film. Source: from memory, to be checked. */
const NITRATE_AS_A_RULE: FilmFormatId = 'cine35';

/** Share of its years from which film of that format is likely nitrate. Source: our choice, cautious. */
const LIKELY_SHARE = 0.4;

/** Share of its years below which a nitrate base is not worth a word. Source: our choice, cautious. */
const WORTH_A_WORD_SHARE = 0.01;

/** A year past every date that a roll may carry. */
const FAR_YEAR = 2200;

/**
 * How likely a film is on nitrate base.
 * @param facts format, family, hints about its years, and its condition: what is printed along the edge settles it
 * @returns `likely` for 35 mm cine film that may well be of before its last nitrate year, `possible` for sheet and roll film of such years; never
 *   for the home-cine widths, nor for film with a rem-jet backing or of a family that came on safety base
 * Source: common practice and from memory; years in the table of formats.
 * @example nitrateRisk({ formatId: '120', familyId: 'pan-cubic-fast', hints: [], condition: soundCondition }) // 'possible'
 */
export function nitrateRisk(facts: NitrateFacts): NitrateRisk {
  const { formatId, familyId, hints, condition } = facts;
  if (condition.edge === 'nitrate') return 'likely';
  const { nitrateBefore } = filmFormats[formatId];
  const isSafety =
    condition.edge === 'safety' ||
    nitrateBefore === null ||
    ALWAYS_SAFETY.includes(familyId) ||
    expectsRemJet(condition, stockFamilies[familyId].remJet);
  if (isSafety || nitrateBefore === null) return 'none';
  const most: NitrateRisk = formatId === NITRATE_AS_A_RULE ? 'likely' : 'possible';
  const isOld = earliestYear(facts) < nitrateBefore;
  if (hints.length === 0) return isOld ? most : 'none';
  const window = ageWindow(datingHints(facts, FAR_YEAR));
  // Hints that contradict each other leave the earliest of them.
  if (!window.ok) return isOld ? most : 'none';
  const share = window.years.reduce((sum, { year, weight }) => (year < nitrateBefore ? sum + weight : sum), 0);
  if (share < WORTH_A_WORD_SHARE) return 'none';
  return share >= LIKELY_SHARE ? most : 'possible';
}
