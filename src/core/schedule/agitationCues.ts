import type { AgitationSchool } from './agitationSchools';

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
 * When to agitate during one development.
 * Stretches never overlap, lie within the development, and none runs into the pour-out: one that would is left out, and the
 * first is cut short.
 * @param school agitation school
 * @param durationS development time, s; 0 or more
 * @returns cues in order of time
 * @example agitationCues(agitationSchools['ten-each-minute'], 180)
 * // 0–30, 60–70, 120–130
 */
export function agitationCues(school: AgitationSchool, durationS: number): AgitationCue[] {
  const { pattern } = school;
  const freeS = handsFreeS(durationS);
  if (pattern.kind === 'continuous') return durationS > 0 ? [{ startS: 0, endS: freeS, turns: null }] : [];
  const cues: AgitationCue[] = [];
  if (pattern.first !== null) cues.push({ startS: 0, endS: pattern.first.lengthS, turns: pattern.first.turns });
  const { every } = pattern;
  if (every !== null) {
    for (let periodStartS = 0; periodStartS < durationS; periodStartS += every.periodS) {
      const startS = every.placement === 'start' ? periodStartS : periodStartS + every.periodS - every.lengthS;
      if (every.placement === 'start' && periodStartS === 0) continue;
      cues.push({ startS, endS: startS + every.lengthS, turns: every.turns });
    }
  }
  if (pattern.halfTime !== null) {
    const startS = durationS / 2;
    cues.push({ startS, endS: startS + pattern.halfTime.lengthS, turns: pattern.halfTime.turns });
  }
  cues.sort((a, b) => a.startS - b.startS);
  const kept: AgitationCue[] = [];
  for (const cue of cues) {
    const previousEndS = kept.at(-1)?.endS ?? 0;
    if (cue.startS < previousEndS) continue;
    if (cue.startS > 0 && cue.endS > freeS) continue;
    kept.push({ ...cue, endS: Math.min(cue.endS, freeS) });
  }
  return kept;
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
