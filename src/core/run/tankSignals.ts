import { POUR_OUT_S } from '../schedule/agitationCues';
import type { WetStep } from '../schedule/wetSteps';

/** Moments that hands should notice without looking. */
export type TankSignalKind = 'ready' | 'move' | 'still' | 'pour' | 'over';

/** One signal of a step. */
export interface TankSignal {
  /** Seconds since the bath went in. */
  atS: number;
  kind: TankSignalKind;
}

/** How long before a movement or the pouring hands are told, s. Source: our choice. */
export const READY_S = 5;

/** A rest shorter than this needs no telling before the next movement, s. Source: our choice. */
const LEAST_REST_S = 10;

/**
 * Every signal of a step, in order of time.
 * @param step the step as it runs
 * @returns get ready, move, stop moving, pour out and over; nothing of what happens as the bath goes in
 * @example tankSignals({ durationS: 60, cues: [] }) // [{ atS: 43, kind: 'ready' }, { atS: 48, kind: 'pour' }, { atS: 60, kind: 'over' }]
 */
export function tankSignals({
  durationS,
  cues,
  untilClear,
}: Pick<WetStep, 'durationS' | 'cues' | 'untilClear'>): TankSignal[] {
  const signals: TankSignal[] = [];
  const ends = untilClear !== true;
  const pours = ends && durationS > 2 * POUR_OUT_S;
  const pourS = durationS - POUR_OUT_S;
  let freeS = 0;
  const ready = (atS: number): void => {
    if (atS - freeS >= LEAST_REST_S) signals.push({ atS: atS - READY_S, kind: 'ready' });
  };
  for (const { startS, endS } of cues) {
    if (startS > 0) {
      ready(startS);
      signals.push({ atS: startS, kind: 'move' });
    }
    // Where pouring follows at once, that is the signal.
    if (!(pours && endS >= pourS) && (endS < durationS || !ends)) signals.push({ atS: endS, kind: 'still' });
    freeS = endS;
  }
  if (pours) {
    ready(pourS);
    signals.push({ atS: pourS, kind: 'pour' });
  }
  if (ends) signals.push({ atS: durationS, kind: 'over' });
  return signals.sort((a, b) => a.atS - b.atS);
}

/** Seconds before the end of a step that are counted aloud. Source: our choice. */
export const COUNTED_S = [10, 5, 4, 3, 2, 1] as const;
