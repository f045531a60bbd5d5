import { fitOf } from '../estimate/estimate';
import { isGuess } from '../estimate/isGuess';
import type { Fit } from '../estimate/fit';
import type { LedgerRow, Estimate } from '../estimate/result';
import type { EstimateRequest } from '../estimate/request';
import { piecesOf } from '../estimate/pieces';
import type { StrategyReason } from '../estimate/strategies';
import type { StrategyId } from '../estimate/strategyIds';
import { estimatePreview, analysis } from '../estimate/analysis';
import type { Brew, Pinned } from '../records/records';
import type { CautionNote } from '../safety/cautionNote';
import { cautionsFor } from '../safety/cautions';
import { nitrateRisk, type NitrateRisk } from '../safety/nitrate';
import { requestOfAsk, rollOfAsk, type Ask } from './ask';
import { pinOf } from './pinOf';
import { planFacts } from './planFacts';
import type { PlanChoices } from './planForm';

/** What stands beneath the question. */
export interface AskAnswer {
  timeMin: number;
  lowMin: number;
  highMin: number;
  /** Whether nothing is known of the developer: then the time is none. */
  guess: boolean;
  outlook: Estimate['outlook'];
  cautions: CautionNote[];
  nitrate: NitrateRisk;
  /** The one thing that would narrow the band most, and what it would leave, min; null where nothing is worth it. */
  best: { id: string; lowMin: number; highMin: number } | null;
  /** The two reasons that move the time most, the largest first. */
  reasons: { id: LedgerRow['id']; ratio: number }[];
  strategy: { id: StrategyId; advised: StrategyId; reason: StrategyReason };
  /** Base + fog at the time, D, and speed that the image has lost, stops. */
  baseFogD: number;
  lossStops: number;
}

/** A reason that moves the time by less than this is none, ln. Source: our choice. */
const WORTH_LN = 0.04;

/** Rows that are no reasons: what is started from, and what is wanted. */
const NO_REASON: readonly LedgerRow['id'][] = ['base', 'target'];

/**
 * Answers the question.
 * @param ask the question
 * @param jugs brews on the bench
 * @param nowMs this instant, ms since the epoch
 * @param fitFor what the log has taught, for a request; nothing for a bench without a log
 * @returns null for a question that makes no plan
 */
export function askAnswer(
  ask: Ask,
  jugs: readonly Brew[],
  nowMs: number,
  fitFor?: (request: EstimateRequest) => Fit,
): AskAnswer | null {
  const asked = requestOfAsk(ask, jugs, nowMs);
  if (asked === null) return null;
  const { request, choices } = asked;
  const { roll, stock } = rollOfAsk(ask, nowMs);
  const { estimate, next, missing, strategies } = analysis(request, fitFor?.(request));
  const jug = jugs.find(({ id }) => id === choices.brewId) ?? null;
  const facts = planFacts(
    { familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition },
    choices,
    jug,
  );
  const nitrate = nitrateRisk({ ...roll, familyId: stock.familyId });
  const [fact] = missing;
  const test = next.enough ? undefined : next.tests.find(({ id }) => id === 'clip' || id === 'drop');
  const best = [fact, test]
    .flatMap((one) => one ?? [])
    .sort((a, b) => a.highMin - a.lowMin - (b.highMin - b.lowMin))[0];
  return {
    timeMin: estimate.timeMin,
    lowMin: estimate.band.lowMin,
    highMin: estimate.band.highMin,
    guess: isGuess(estimate),
    outlook: estimate.outlook,
    cautions: [
      ...cautionsFor({ nitrate }, 'identify'),
      ...estimate.cautions,
      ...cautionsFor(
        {
          concentrate: facts.concentrate,
          oneBath: facts.oneBath,
          thickStand: facts.thickStand,
          oneShotAgain: facts.oneShotAgain,
        },
        'choose',
      ),
    ],
    nitrate,
    best: best === undefined ? null : { id: best.id, lowMin: best.lowMin, highMin: best.highMin },
    reasons: estimate.ledger
      .flatMap(({ id, ratio }) =>
        ratio === null || NO_REASON.includes(id) || Math.abs(Math.log(ratio)) < WORTH_LN ? [] : [{ id, ratio }],
      )
      .sort((a, b) => Math.abs(Math.log(b.ratio)) - Math.abs(Math.log(a.ratio)))
      .slice(0, 2),
    strategy: { id: choices.strategy.id, advised: strategies.recommended, reason: strategies.reason },
    baseFogD: estimate.baseFogD.value,
    lossStops: estimate.imageLossStops.value,
  };
}

/**
 * What is pinned when a question is used at once.
 * @returns what was decided, and the time as it stands; null for a question that makes no plan
 */
export function pinnedOfAsk(
  ask: Ask,
  jugs: readonly Brew[],
  nowMs: number,
  fitFor?: (request: EstimateRequest) => Fit,
): { choices: PlanChoices; pinned: Pinned } | null {
  const asked = requestOfAsk(ask, jugs, nowMs);
  if (asked === null) return null;
  const { request } = asked;
  const preview = estimatePreview(request, fitFor?.(request) ?? fitOf(request), piecesOf(request));
  return { choices: asked.choices, pinned: pinOf(preview, null, [], nowMs) };
}
