import { wearingMl } from '../brewing/keeping';
import { completeRequest } from '../estimate/estimate';
import type { EstimateRequest, EstimateRequestInput } from '../estimate/request';
import { rollAge, type RollHistory } from '../films/rollAge';
import type { Brew, Roll, Stock } from '../records/records';
import type { PlanChoices } from './planForm';

/** Milliseconds in an hour. */
const HOUR_MS = 3_600_000;

/** Hours beyond which a brew's age is not followed: it is spent either way. */
const OLDEST_BREW_H = 48;

/**
 * The estimator's request for a roll and a plan.
 * @param roll the roll
 * @param stock its stock
 * @param choices what the plan decides
 * @param brew the jug that the plan uses; null for one still to be mixed
 * @param nowMs instant at which the brew is poured, ms since the epoch
 */
export function estimateRequestFor(
  roll: RollHistory & Pick<Roll, 'id' | 'boxId'>,
  stock: Pick<Stock, 'id' | 'familyId' | 'iso' | 'own'>,
  choices: PlanChoices,
  brew: Brew | null,
  nowMs: number,
): EstimateRequest {
  return completeRequest({
    film: { familyId: stock.familyId, iso: stock.iso, own: stock.own },
    age: rollAge(roll, stock.familyId, new Date(nowMs).getFullYear()),
    developer: choices.developer,
    bromideGPerL: choices.bromideGPerL,
    wear: brewWear(brew ?? undefined, choices.volumeMl, nowMs),
    tankMl: choices.volumeMl,
    mixingLnSd: brew?.mixingLnSd ?? undefined,
    temperatureC: choices.temperatureC,
    ambientC: choices.ambientC ?? undefined,
    agitationId: choices.agitationId,
    movement: choices.movement?.movement,
    strategy: choices.strategy,
    target: choices.target,
    knownTime: withoutNote(choices.knownTime),
    exposure: roll.exposure.state,
    stockId: stock.id,
    rollId: roll.id,
    lotId: roll.boxId ?? undefined,
    brewId: brew?.id ?? `brew of ${roll.id}`,
  });
}

/**
 * Age and use of a brew.
 * @param brew the jug; undefined for one still to be mixed
 * @param volumeMl volume of the one still to be mixed, ml
 * @param nowMs instant at which the brew is poured, ms since the epoch
 */
export function brewWear(brew: Brew | undefined, volumeMl: number, nowMs: number): EstimateRequest['wear'] {
  if (brew === undefined) return { ageH: 0, films: 0, volumeMl };
  return {
    ageH: Math.min(OLDEST_BREW_H, Math.max(0, nowMs - brew.mixedMs) / HOUR_MS),
    films: brew.films,
    volumeMl: wearingMl(brew),
  };
}

/** The numbers of a known time: how it was found out is for people. */
function withoutNote(known: PlanChoices['knownTime']): EstimateRequestInput['knownTime'] {
  if (known === null) return undefined;
  const numbers = { ...known };
  delete numbers.note;
  return numbers;
}
