import { amountS, type Amount } from './amount';
import type { Movement } from './movement';

/** Seconds before the end of a step at which to start pouring out. Source: common practice (10–15 s), no source. */
export const POUR_OUT_S = 12;

/** When the hands must be free to pour: short steps have no pour-out of their own. */
export function handsFreeS(durationS: number): number {
  return durationS > 2 * POUR_OUT_S ? durationS - POUR_OUT_S : durationS;
}

/** A stretch of development in which the hands move. */
export interface AgitationCue {
  /** Seconds from the start of development. */
  startS: number;
  endS: number;
  /** Inversions within the stretch; null for “keep moving”. */
  turns: number | null;
}

/**
 * When the hands move during one bath.
 * Stretches never overlap, lie within the bath, and none runs into the pour-out: one that would is left out, and the first is
 * cut short. A movement that would begin as another ends is that other’s: the next one comes a period later.
 * @param movement how the tank is moved
 * @param durationS length of the bath, s; 0 or more
 * @param fromS when the first movement may begin, s: later than 0 where the clock starts before the tank is full
 * @returns cues in order of time
 * @example movementCues(bursts(seconds(30), [60, 'start', seconds(10)]), 180)
 * // 0–30, 60–70, 120–130
 */
export function movementCues(movement: Movement, durationS: number, fromS = 0): AgitationCue[] {
  const freeS = handsFreeS(durationS);
  if (movement.continuous) return durationS > fromS ? [{ startS: fromS, endS: freeS, turns: null }] : [];
  const { first, every, stillFromMin, wakeUp } = movement;
  const stillS = stillFromMin === null ? Infinity : stillFromMin * 60;
  const cues: AgitationCue[] = [];
  if (first !== null) cues.push(cueAt(fromS, first));
  if (every !== null) {
    const lengthS = amountS(every.amount);
    for (let periodS = 0; periodS < durationS; periodS += every.periodS) {
      const startS = every.placement === 'start' ? periodS : periodS + every.periodS - lengthS;
      if (startS > 0 && startS < stillS) cues.push(cueAt(startS, every.amount));
    }
  }
  if (wakeUp !== null) cues.push(cueAt(wakeUp.atMin === null ? durationS / 2 : wakeUp.atMin * 60, wakeUp.amount));
  cues.sort((a, b) => a.startS - b.startS);
  const kept: AgitationCue[] = [];
  for (const cue of cues) {
    const before = kept.at(-1);
    if (before !== undefined && cue.startS <= before.endS) continue;
    if (cue.startS > fromS && cue.endS > freeS) continue;
    if (cue.startS < freeS) kept.push({ ...cue, endS: Math.min(cue.endS, freeS) });
  }
  return kept;
}

function cueAt(startS: number, amount: Amount): AgitationCue {
  return { startS, endS: startS + amountS(amount), turns: amount.unit === 'turns' ? amount.n : null };
}

/** What the hands do at a moment of development. */
export interface HandsState {
  /** The cue under way, if any. */
  current: AgitationCue | null;
  /** The next cue to come, if any. */
  next: AgitationCue | null;
}

/**
 * Which cue is under way and which comes next.
 * @param cues cues in order of time
 * @param elapsedS seconds since the start of development
 */
export function handsAt(cues: readonly AgitationCue[], elapsedS: number): HandsState {
  return {
    current: cues.find((cue) => elapsedS >= cue.startS && elapsedS < cue.endS) ?? null,
    next: cues.find((cue) => cue.startS > elapsedS) ?? null,
  };
}
