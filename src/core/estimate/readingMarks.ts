import { targetGradient } from '../kinetics/targets';
import { Development } from './development';
import type { EstimateContext } from './estimate';
import { LN_GRADIENT_PER_GRADE } from '../outcome/grades';
import type { EvidenceItem } from './observations';
import { deviationsOf } from './posterior';
import { situationOf } from './situation';

/** A gradient that was read on this roll, where it belongs on the curve of the plan. */
export interface ReadingMark {
  pieceId: string;
  /** The time that would have given the same development under the plan's conditions, min. */
  timeMin: number;
  /** Time as it was developed, min. */
  developedMin: number;
  gradient: number;
}

/**
 * Places the readings of a roll on the curve of its plan: a clip developed warmer or stronger counts as so much longer.
 * @param worked an estimate with its posterior
 * @param pieces evidence; only clips and verdicts of the same roll are marked
 */
export function readingMarks(
  { request, fit, prediction }: EstimateContext,
  pieces: readonly EvidenceItem[],
): ReadingMark[] {
  return pieces.flatMap(({ evidence, setting }): ReadingMark[] => {
    if (setting.rollId !== request.rollId || (evidence.kind !== 'clip' && evidence.kind !== 'verdict')) return [];
    const situation = situationOf(setting, evidence.id, fit.released);
    const { ratePerMin } = new Development(
      situation.conditions,
      deviationsOf(
        situation,
        situation.unknowns.map(({ key }) => fit.meanOf(key)),
      ),
    );
    const gradient =
      evidence.kind === 'clip'
        ? evidence.gradient
        : targetGradient(evidence.target.purpose, evidence.target.pushStops) *
          Math.exp(LN_GRADIENT_PER_GRADE * evidence.contrast);
    return [
      {
        pieceId: evidence.id,
        timeMin: (evidence.timeMin * ratePerMin) / prediction.film.ratePerMin,
        developedMin: evidence.timeMin,
        gradient,
      },
    ];
  });
}
