import type { SituationInput } from '../estimate/situationSchema';
import type { Answers } from './questions';

/** What is known of a run without asking anybody. */
export interface RunKnowledge {
  developer: SituationInput['developer'];
  /** Age and use of the developer when it was poured. */
  wear: { ageH: number; films: number };
  /** Whether it was weighed here with washing soda, with baking soda, or nobody knows. */
  soda: 'washing' | 'baking' | null;
  /** What it developed for ÷ what was planned, both as minutes of the planned bath; null where nobody timed it. */
  doseRatio: number | null;
  /** Seconds into development at which the agitation began; null where there was none. */
  firstAgitationS: number | null;
  /** Age fog to expect, D; null where it is not known. */
  expectedFogD: number | null;
  /** Base + fog above a clear base as read on a strip, D; null where none was read. */
  readFogD: number | null;
}

/** How far a dose may be off before it is called short or long. Source: our choice, the scatter of an ordinary run. */
const AS_PLANNED = { least: 0.93, most: 1.08 } as const;

/** Hours after which a kitchen brew counts as old. Source: our choice; half an hour of grace and half an hour more. */
const OLD_BREW_H = 1;

/** Seconds within which agitation counts as from the start. Source: our choice. */
const FROM_THE_START_S = 15;

/** Age fog that counts as hardly any, and as much, D. Source: our estimate. */
const FOG_D = { little: 0.12, much: 0.4 } as const;

/**
 * Answers that follow from what is known of a run: they need not be asked, and may be taken back.
 * @param known the run, its developer and its film
 * @returns answers by question; what is not known is left open
 * @example answersOfRun({ developer: { kind: 'one-bath' }, … }) // { soda: 'other', brew: 'right', … }
 */
export function answersOfRun(known: RunKnowledge): Answers {
  const { developer, wear, doseRatio, firstAgitationS, expectedFogD, readFogD } = known;
  return {
    soda: developer.kind === 'improvised' ? sodaOf(known) : 'other',
    ...(developer.kind === 'improvised'
      ? { brew: wear.films > 0 || wear.ageH > OLD_BREW_H ? ('old' as const) : ('fresh' as const) }
      : developer.kind === 'other'
        ? {}
        : { brew: wear.films > 0 && developer.kind === 'concentrate' ? ('old' as const) : ('right' as const) }),
    ...(doseRatio === null
      ? {}
      : { run: doseRatio < AS_PLANNED.least ? 'short' : doseRatio > AS_PLANNED.most ? 'long' : 'planned' }),
    start: firstAgitationS !== null && firstAgitationS <= FROM_THE_START_S ? 'moved' : 'still',
    ...(expectedFogD === null
      ? {}
      : { expected: expectedFogD < FOG_D.little ? 'little' : expectedFogD < FOG_D.much ? 'some' : 'much' }),
    ...(readFogD === null ? {} : { fog: readFogD < FOG_D.little ? 'clear' : 'even' }),
  };
}

function sodaOf({ soda, developer }: RunKnowledge): Answers['soda'] {
  if (soda !== null) return soda;
  if (developer.kind !== 'improvised') return 'other';
  return developer.sodaGPerL === 0 && developer.others.length === 0 ? 'other' : undefined;
}
