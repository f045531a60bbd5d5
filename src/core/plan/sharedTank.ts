import { estimatePreview } from '../estimate/analysis';
import type { Learning } from '../learning/learning';
import { nearestPieces } from '../learning/benchEvidence';
import type { Brew, Pinned, Roll, Stock } from '../records/records';
import { estimateRequestFor } from './estimateRequestFor';
import { pinOf } from './pinOf';
import type { PlanChoices } from './planForm';

/** Another roll in the same tank: what its own estimate says of the brew, and what is pinned for it. */
export interface SharedTankRoll {
  rollId: string;
  /** The time that it would get by itself in this brew, min. */
  estimateMin: number;
  /** The tank's time with this roll's own band and outlook. */
  pinned: Pinned;
}

/** Pieces of evidence that the tank's curves are drawn from. Source: our choice. */
const LISTED = 24;

/**
 * What other rolls get when they share a tank: the tank's time, beside what each would have got by itself.
 * @param rolls the other rolls
 * @param choices what the tank's plan decides; its strategy and target count for all
 * @param timeMin the tank's time, min
 * @param brew the jug; null for one still to be mixed
 * @param nowMs this instant, ms since the epoch
 * @param learning what the bench has learned
 * @returns one entry for each roll that has an estimate
 */
export function sharedTankRolls(
  rolls: readonly { roll: Roll; stock: Stock }[],
  choices: PlanChoices,
  timeMin: number,
  brew: Brew | null,
  nowMs: number,
  learning: Learning,
): SharedTankRoll[] {
  return rolls.flatMap(({ roll, stock }): SharedTankRoll[] => {
    try {
      // A time that is known for the tank's own film is not known for this one.
      const request = estimateRequestFor(roll, stock, { ...choices, knownTime: null }, brew, nowMs);
      const nearest = nearestPieces(learning.pieces, request, LISTED);
      const seen = estimatePreview(request, learning.fitFor(request, []), nearest, timeMin);
      // As many as a plan of its own would name: a pin does not grow with the log.
      const ids = nearest.map(({ evidence }) => evidence.id);
      return [{ rollId: roll.id, estimateMin: seen.estimate.timeMin, pinned: pinOf(seen, timeMin, ids, nowMs) }];
    } catch {
      // A brew without an estimate has none for anybody; the roll may share the tank all the same.
      return [];
    }
  });
}
