import { estimate } from '../estimate/estimate';
import { isGuess } from '../estimate/isGuess';
import type { EstimateRequest } from '../estimate/request';
import type { Estimate } from '../estimate/result';
import type { Learning } from '../learning/learning';
import type { Brew, Plan, Roll, Stock } from '../records/records';
import { estimateRequestFor } from './estimateRequestFor';
import { readPlanForm } from './planForm';
import { currentPlanForm } from './planInHand';

/** A time with its band, and whether it is decided. */
export interface BenchTime {
  rollId: string;
  timeMin: number;
  lowMin: number;
  highMin: number;
  pinned: boolean;
  /** Whether the time is the user’s own, to the second. */
  own: boolean;
  /** Whether probably no picture is to be had. */
  poor: boolean;
}

/** A roll with what decides its time. */
export interface CurrentRoll {
  roll: Roll;
  stock: Stock;
  plan: Plan | undefined;
  planDraft: unknown;
}

/**
 * The times of rolls as they stand: pinned, or estimated from the plan as last typed.
 * @param rolls rolls with their plans
 * @param jugs brews on the bench
 * @param nowMs this instant, ms since the epoch
 * @param learning what the bench has learned
 * @returns one entry for each roll that has a time; a roll whose form is not valid has none
 */
export function benchTimes(
  rolls: readonly CurrentRoll[],
  jugs: readonly Brew[],
  nowMs: number,
  learning: Learning,
): BenchTime[] {
  return rolls.flatMap(({ roll, stock, plan, planDraft }): BenchTime[] => {
    if (plan?.pinned) {
      const { timeMin, lowMin, highMin, own } = plan.pinned;
      return [{ rollId: roll.id, timeMin, lowMin, highMin, pinned: true, own: own === true, poor: false }];
    }
    try {
      return estimatedTime({ roll, stock, plan, planDraft }, jugs, nowMs, learning);
    } catch {
      // One roll whose records make no request never takes the others along; its own page says what is wrong.
      return [];
    }
  });
}

/** Estimates that a bench shows at a time, at the most. */
const MOST_KEPT = 2000;

/** Estimates of what has not changed since the bench was last looked at: every minute it asks for all of them again. */
const kept = new WeakMap<Learning, Map<string, Estimate>>();

function estimateKept(request: EstimateRequest, muted: readonly string[], learning: Learning): Estimate {
  const own = kept.get(learning) ?? new Map<string, Estimate>();
  kept.set(learning, own);
  const key = JSON.stringify([request, muted]);
  const found = own.get(key) ?? estimate(request, learning.fitFor(request, muted));
  if (own.size >= MOST_KEPT) own.clear();
  own.set(key, found);
  return found;
}

/** What is asked of the estimator for a roll, by its plan as last typed; null where the form is not valid. */
export function requestOfCurrent(
  { roll, stock, plan, planDraft }: CurrentRoll,
  jugs: readonly Brew[],
  nowMs: number,
): { request: EstimateRequest; muted: readonly string[]; ownTimeMin: number | null } | null {
  const choices = readPlanForm(currentPlanForm(roll, stock, plan, planDraft, nowMs), roll, jugs);
  if (!choices.ok) return null;
  const { brewId, muted, ownTimeMin } = choices.value;
  const brew = jugs.find((jug) => jug.id === brewId) ?? null;
  return { request: estimateRequestFor(roll, stock, choices.value, brew, nowMs), muted, ownTimeMin };
}

function estimatedTime(
  { roll, stock, plan, planDraft }: CurrentRoll,
  jugs: readonly Brew[],
  nowMs: number,
  learning: Learning,
): BenchTime[] {
  const asked = requestOfCurrent({ roll, stock, plan, planDraft }, jugs, nowMs);
  if (asked === null) return [];
  const { request, muted, ownTimeMin } = asked;
  const found = estimateKept(request, muted, learning);
  const { timeMin, band, outlook } = found;
  const poor = outlook !== 'usable';
  // A time of the user’s own is the one that goes to the tank.
  // Where nobody knows how fast it develops, there is no other.
  if (ownTimeMin === null && isGuess(found)) return [];
  return [
    {
      rollId: roll.id,
      timeMin: ownTimeMin ?? timeMin,
      lowMin: band.lowMin,
      highMin: band.highMin,
      pinned: false,
      own: ownTimeMin !== null,
      poor,
    },
  ];
}
