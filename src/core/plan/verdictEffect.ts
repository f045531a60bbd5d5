import type { Learning } from '../learning/learning';
import type { Brew } from '../records/records';
import { benchTimes, type CurrentRoll } from './benchTimes';

/** What a verdict did to a roll that still waits. */
export interface MovedRoll {
  rollId: string;
  /** Time without the verdict and with it, min. */
  beforeMin: number;
  afterMin: number;
  /** Width of the band with the verdict ÷ without it, in ln. */
  widthRatio: number;
}

/** What a verdict taught. */
export interface VerdictEffect {
  /** Whether it is evidence at all: a film without an image and a run that nobody kept the setting of are not. */
  teaches: boolean;
  /** Waiting rolls whose time or band it moved, the most first. */
  moved: MovedRoll[];
  /** Waiting rolls that it left as they were. */
  unmoved: number;
}

/** Change of a time, and of a band's width, from which a roll counts as moved, ln. Source: our choice. */
const MOVED_LN = 0.005;
const NARROWED_LN = 0.01;

/**
 * What one verdict changed: every waiting roll's time with it and without it.
 * @param verdictId the verdict
 * @param rolls rolls that wait; those with a pinned time do not move and are left out
 * @param jugs brews on the bench
 * @param nowMs this instant, ms since the epoch
 * @param learning what the bench has learned, this verdict among it
 */
export function verdictEffect(
  verdictId: string,
  rolls: readonly CurrentRoll[],
  jugs: readonly Brew[],
  nowMs: number,
  learning: Learning,
): VerdictEffect {
  const teaches = learning.pieces.some(({ evidence }) => evidence.id === verdictId);
  const open = rolls.filter(({ plan }) => !plan?.pinned);
  if (!teaches) return { teaches, moved: [], unmoved: open.length };
  const without: Learning = {
    ...learning,
    fitFor: (request, muted) => learning.fitFor(request, [...muted, verdictId]),
  };
  const after = benchTimes(open, jugs, nowMs, learning).filter(({ own }) => !own);
  const before = new Map(benchTimes(open, jugs, nowMs, without).map((time) => [time.rollId, time]));
  const moved = after.flatMap(({ rollId, timeMin, lowMin, highMin }): MovedRoll[] => {
    const was = before.get(rollId);
    if (was === undefined) return [];
    const widthRatio = Math.log(highMin / lowMin) / Math.log(was.highMin / was.lowMin);
    const shift = Math.abs(Math.log(timeMin / was.timeMin));
    return shift < MOVED_LN && Math.abs(Math.log(widthRatio)) < NARROWED_LN
      ? []
      : [{ rollId, beforeMin: was.timeMin, afterMin: timeMin, widthRatio }];
  });
  const far = ({ beforeMin, afterMin, widthRatio }: MovedRoll): number =>
    Math.abs(Math.log(afterMin / beforeMin)) + Math.abs(Math.log(widthRatio));
  return { teaches, moved: moved.sort((a, b) => far(b) - far(a)), unmoved: after.length - moved.length };
}
