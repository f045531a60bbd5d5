import type { SourceMark } from '../estimate/conditions';
import { questions, type AnswerOf, type QuestionId } from './questions';

/** A change of the next plan that follows from a cause. */
export type PlanChange =
  | { kind: 'bromide'; gPerL: number }
  | { kind: 'push'; stops: number }
  | { kind: 'movement'; agitationId: 'ten-each-minute' | 'gentle' }
  | { kind: 'strategy'; id: 'stand' | 'hold' };

/** Something that may have gone wrong. */
export interface Cause {
  name: string;
  /** How often it is the cause among films that came out wrong. */
  prior: number;
  /** Answers that it makes likely, as shares of one; questions that are left out are answered as usual. */
  says: { [Q in QuestionId]?: Record<AnswerOf<Q>, number> };
  source: SourceMark;
  /** What to do differently. */
  advice: string;
  /** What to do where the film was found exposed: nobody can expose it again. */
  found?: string;
  change: PlanChange | null;
}

/** One answer with its share, and what is left shared out among the others evenly. */
function mostly<Q extends QuestionId>(question: Q, answer: AnswerOf<Q>, share: number): Record<AnswerOf<Q>, number> {
  const answers = Object.keys(questions[question].options) as AnswerOf<Q>[];
  const left = (1 - share) / (answers.length - 1);
  return Object.fromEntries(answers.map((one) => [one, one === answer ? share : left])) as Record<AnswerOf<Q>, number>;
}

const goodRim = { good: 0.84, thin: 0.02, missing: 0.01, none: 0.13 };
const thinRim = { good: 0.08, thin: 0.69, missing: 0.1, none: 0.13 };

/**
 * What may have gone wrong with a film. The print on the rim is the key witness: it was exposed at the factory, so a thin one
 * accuses the development and a good one the exposure (common practice). All shares are our estimate.
 */
export const causes = {
  'under-exposed': {
    name: 'Too little exposure',
    prior: 0.13,
    says: {
      rim: goodRim,
      image: { none: 0.03, thin: 0.866, good: 0.09, dense: 0.01, black: 0.004 },
      shadows: { there: 0.06, missing: 0.94 },
      frames: { alike: 0.5, differ: 0.5 },
    },
    source: 'practice',
    advice: 'Expose the next roll more: one stop per decade of age; better, bracket.',
    found:
      'The exposure is past, and nothing adds to it. Its sisters: stand in a thin developer keeps what shadows there are.',
    change: null,
  },
  unexposed: {
    name: 'Never exposed',
    prior: 0.03,
    says: {
      rim: goodRim,
      image: { none: 0.966, thin: 0.02, good: 0.005, dense: 0.005, black: 0.004 },
      shadows: { there: 0.02, missing: 0.98 },
      frames: { alike: 0.98, differ: 0.02 },
    },
    source: 'practice',
    advice: 'The development was right: there was nothing on the film.',
    change: null,
  },
  'latent-lost': {
    name: 'Latent image faded',
    prior: 0.08,
    says: {
      rim: { good: 0.5, thin: 0.32, missing: 0.05, none: 0.13 },
      image: { none: 0.25, thin: 0.696, good: 0.04, dense: 0.01, black: 0.004 },
      shadows: { there: 0.05, missing: 0.95 },
      frames: { alike: 0.8, differ: 0.2 },
      fog: { clear: 0.15, even: 0.7, edges: 0.1, bars: 0.02, patches: 0.03 },
      expected: { little: 0.1, some: 0.4, much: 0.5 },
    },
    source: 'estimate',
    advice: 'Nothing brings shadows back that have faded. Stand in a thin developer holds what is left of them.',
    change: { kind: 'strategy', id: 'stand' },
  },
  'under-developed': {
    name: 'Too short, too cold or too little agitation',
    prior: 0.12,
    says: {
      rim: thinRim,
      image: { none: 0.02, thin: 0.916, good: 0.05, dense: 0.01, black: 0.004 },
      shadows: { there: 0.55, missing: 0.45 },
      frames: { alike: 0.9, differ: 0.1 },
      brew: { fresh: 0.45, old: 0.05, cold: 0.3, right: 0.2 },
      run: { planned: 0.42, short: 0.56, long: 0.02 },
    },
    source: 'practice',
    advice: 'Develop the next one longer: half a stop more contrast is about a fifth more time.',
    change: { kind: 'push', stops: 0.5 },
  },
  'weak-brew': {
    name: 'Brew too weak, too old or used up',
    prior: 0.08,
    says: {
      rim: thinRim,
      image: { none: 0.12, thin: 0.826, good: 0.04, dense: 0.01, black: 0.004 },
      shadows: { there: 0.35, missing: 0.65 },
      frames: { alike: 0.92, differ: 0.08 },
      brew: { fresh: 0.15, old: 0.75, cold: 0.05, right: 0.05 },
    },
    source: 'practice',
    advice: 'Mix it fresh, use it within the half hour, and drop a leader into it first.',
    change: null,
  },
  'wrong-soda': {
    name: 'Baking soda in place of washing soda',
    prior: 0.05,
    says: {
      rim: { good: 0.02, thin: 0.3, missing: 0.55, none: 0.13 },
      image: { none: 0.716, thin: 0.26, good: 0.01, dense: 0.01, black: 0.004 },
      shadows: { there: 0.05, missing: 0.95 },
      frames: { alike: 0.96, differ: 0.04 },
      soda: { washing: 0.02, baking: 0.975, other: 0.005 },
    },
    source: 'practice',
    advice:
      'Buy washing soda, or heat baking soda in the oven until it stops losing weight. A leader in the brew tells in a minute.',
    change: null,
  },
  'over-developed': {
    name: 'Too long, too warm or too strong',
    prior: 0.07,
    says: {
      rim: { good: 0.85, thin: 0.01, missing: 0.01, none: 0.13 },
      image: { none: 0.005, thin: 0.015, good: 0.12, dense: 0.856, black: 0.004 },
      shadows: { there: 0.93, missing: 0.07 },
      frames: { alike: 0.88, differ: 0.12 },
      run: { planned: 0.42, short: 0.02, long: 0.56 },
    },
    source: 'practice',
    advice: 'Develop the next one shorter: half a stop less contrast is about a sixth less time.',
    change: { kind: 'push', stops: -0.5 },
  },
  'fog-age': {
    name: 'Fog of age',
    prior: 0.11,
    says: {
      fog: { clear: 0.03, even: 0.83, edges: 0.1, bars: 0.01, patches: 0.03 },
      image: { none: 0.03, thin: 0.3, good: 0.4, dense: 0.15, black: 0.12 },
      expected: { little: 0.05, some: 0.3, much: 0.65 },
    },
    source: 'practice',
    advice: 'A little potassium bromide, and a strong, cool developer that is over before the fog comes up.',
    change: { kind: 'bromide', gPerL: 0.5 },
  },
  'fog-light': {
    name: 'Fog of light',
    prior: 0.04,
    says: {
      fog: { clear: 0.03, even: 0.08, edges: 0.5, bars: 0.02, patches: 0.37 },
      frames: { alike: 0.3, differ: 0.7 },
      image: { none: 0.02, thin: 0.2, good: 0.4, dense: 0.13, black: 0.25 },
    },
    source: 'practice',
    advice: 'Look for the leak: camera back, cassette lips, a bag with a worn seam, a screen that glows.',
    change: null,
  },
  'fog-xray': {
    name: 'Fog of X-rays',
    prior: 0.02,
    says: { fog: { clear: 0.03, even: 0.3, edges: 0.02, bars: 0.63, patches: 0.02 } },
    source: 'practice',
    advice: 'Carry film by hand, and ask for it to be looked at. What is fogged is treated like old film.',
    change: { kind: 'bromide', gPerL: 0.5 },
  },
  'one-bath-stirred': {
    name: 'One-bath agitated too much',
    prior: 0.02,
    says: {
      image: { none: 0.02, thin: 0.846, good: 0.12, dense: 0.01, black: 0.004 },
      rim: thinRim,
      brew: { fresh: 0.05, old: 0.05, cold: 0.05, right: 0.85 },
      soda: { washing: 0.01, baking: 0.01, other: 0.98 },
    },
    source: 'practice',
    advice: 'Up to about 22 °C agitate a one-bath gently: agitation feeds the fixer more than the developer.',
    change: { kind: 'movement', agitationId: 'gentle' },
  },
  'under-fixed': {
    name: 'Fixed too short, or in a spent fixer',
    prior: 0.05,
    says: { base: mostly('base', 'milky', 0.91) },
    source: 'practice',
    advice: 'Fix it again now, in fresh fixer, for twice the time that a scrap takes to clear. It does no harm.',
    change: null,
  },
  'remjet-left': {
    name: 'Black backing left on',
    prior: 0.03,
    says: { base: mostly('base', 'smears', 0.93) },
    source: 'practice',
    advice: 'Wipe the back under water with a drop of soda. Next time: a warm alkaline bath first, and hard shaking.',
    change: null,
  },
  'coupler-stain': {
    name: 'Dye of a colour film, or a stain of the brew',
    prior: 0.04,
    says: { base: mostly('base', 'coloured', 0.92) },
    source: 'practice',
    advice:
      'It is in the base and evenly spread: the scanner takes it off in one channel. Coffee leaves less of it fresh.',
    change: null,
  },
  'no-first-movement': {
    name: 'Uneven: not agitated as the developer went in',
    prior: 0.04,
    says: {
      marks: mostly('marks', 'broad', 0.76),
      start: { moved: 0.08, still: 0.92 },
    },
    source: 'practice',
    advice: 'Agitate it for the first half minute, whatever comes after, and pour in fast.',
    change: { kind: 'movement', agitationId: 'ten-each-minute' },
  },
  bubbles: {
    name: 'Air bells',
    prior: 0.03,
    says: {
      marks: mostly('marks', 'rings', 0.89),
    },
    source: 'practice',
    advice: 'Knock the tank on the table after the first agitation. A brew that stood ten minutes has fewer of them.',
    change: null,
  },
  grains: {
    name: 'Grains that were not dissolved',
    prior: 0.02,
    says: {
      marks: mostly('marks', 'specks', 0.87),
    },
    source: 'practice',
    advice: 'Strain the brew through a coffee filter before it goes in.',
    change: null,
  },
  'hard-water': {
    name: 'Marks of hard water',
    prior: 0.02,
    says: {
      marks: mostly('marks', 'crust', 0.85),
    },
    source: 'practice',
    advice: 'Wash it again; a last bath of distilled water with wetting agent, and no wiping.',
    change: null,
  },
  'bromide-drag': {
    name: 'Bromide drag',
    prior: 0.02,
    says: {
      marks: mostly('marks', 'streaks', 0.89),
    },
    source: 'practice',
    advice: 'A stand wants one wake-up at half time, or it is left for a development with agitation.',
    change: { kind: 'movement', agitationId: 'ten-each-minute' },
  },
  pressure: {
    name: 'Marks of pressure and kinks',
    prior: 0.01,
    says: {
      marks: mostly('marks', 'crescents', 0.89),
    },
    source: 'practice',
    advice: 'Load it without force, warm and dry; at any resistance turn back half a turn.',
    change: null,
  },
  reticulation: {
    name: 'Reticulation',
    prior: 0.01,
    says: {
      marks: mostly('marks', 'net', 0.9),
    },
    source: 'practice',
    advice: 'Keep every bath within 3 °C of the one before, the wash included.',
    change: null,
  },
} as const satisfies Record<string, Cause>;

export type CauseId = keyof typeof causes;
export const causeIds = Object.keys(causes) as CauseId[];
