import { workOut, type EstimateContext } from '../estimate/estimate';
import { isGuess } from '../estimate/isGuess';
import { narrowedBy } from '../estimate/nextTests';
import { settingOf } from '../estimate/pieces';
import type { Learning } from '../learning/learning';
import type { Brew, ExposureState } from '../records/records';
import { requestOfCurrent, type CurrentRoll } from './benchTimes';

/** The roll of a box to develop before the others. */
export interface FirstOfBox {
  rollId: string;
  /** Width of the others' bands when it is judged ÷ width now, in ln, on average: below 1 where it tells something. */
  widthRatio: number;
  /** Why it and not another one: nothing is on it, nobody knows what is, or all of them are known and dear. */
  why: ExposureState;
}

/** What may be lost, the least first: film that was never exposed, then pictures that nobody knows of, then those that somebody took. Source: our choice. */
const order: readonly ExposureState[] = ['unexposed', 'unknown', 'mixed', 'known'];

/** Rolls that are looked at, at the most: each is reckoned against each. */
const MOST_LOOKED_AT = 10;

/**
 * Which roll of a box to develop first: of those with the least to lose, the one whose verdict tells most of the others.
 * @param rolls rolls of the box that wait, with their plans
 * @param jugs brews on the bench
 * @param nowMs this instant, ms since the epoch
 * @param learning what the bench has learned
 * @returns the roll; null where fewer than two wait, or none has an estimate
 * Source: linear updating of a normal posterior (textbook); the verdict's noise as anywhere.
 */
export function firstOfBox(
  rolls: readonly CurrentRoll[],
  jugs: readonly Brew[],
  nowMs: number,
  learning: Learning,
): FirstOfBox | null {
  const worked = rolls.slice(0, MOST_LOOKED_AT).flatMap((one) => {
    const asked = requestOfCurrent(one, jugs, nowMs);
    if (asked === null) return [];
    const context = workOut(asked.request, learning.fitFor(asked.request, asked.muted));
    return isGuess(context.estimate) ? [] : [{ one, context }];
  });
  if (worked.length < 2) return null;
  const least = Math.min(...worked.map(({ one }) => order.indexOf(one.roll.exposure.state)));
  const found = worked
    .filter(({ one }) => order.indexOf(one.roll.exposure.state) === least)
    .map(({ one, context }): FirstOfBox => {
      const others = worked.filter((other) => other.one !== one);
      const sum = others.reduce((total, other) => total + narrowedBy(other.context, verdictOf(context)), 0);
      return { rollId: one.roll.id, widthRatio: sum / others.length, why: one.roll.exposure.state };
    });
  return found.reduce((best, one) => (one.widthRatio < best.widthRatio ? one : best));
}

/** The verdict that is expected of a roll: as it is now foreseen. */
function verdictOf({ request, estimate, prediction }: EstimateContext): Parameters<typeof narrowedBy>[1] {
  const timeMin = Math.min(300, estimate.timeMin);
  return {
    evidence: {
      kind: 'verdict',
      id: `first of the box: ${request.rollId}`,
      setting: {},
      timeMin,
      contrast: 0,
      fogD: prediction.film.fogAt(timeMin),
      target: request.target,
    },
    setting: settingOf(request),
  };
}
