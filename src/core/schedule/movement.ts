import * as z from 'zod';
import { within } from '../schema/within';
import { amountS, type Amount } from './amount';

/** What the hands do, in the imperative, and in one word. Source: common practice, no source. */
export const gestures = {
  invert: { name: 'Invert', words: 'Turn the tank over' },
  'invert-slowly': { name: 'Invert slowly', words: 'Turn the tank over slowly' },
  twirl: { name: 'Twirl', words: 'Twirl the spindle' },
  rotate: { name: 'Rotate', words: 'Keep it turning' },
  lift: { name: 'Lift and dip', words: 'Lift the reel and dip it again' },
} as const;

export type GestureId = keyof typeof gestures;
export const gestureIds = Object.keys(gestures) as [GestureId, ...GestureId[]];

/** How long one movement lasts: by the clock, or by its turns. */
const amountSchema = z.discriminatedUnion('unit', [
  z.strictObject({ unit: z.literal('seconds'), n: within('Agitation', 1, 3600, 's') }),
  z.strictObject({ unit: z.literal('turns'), n: within('Turns', 1, 500).int('Turns: give a whole number.') }),
]);

/** How a tank is moved during one bath. */
export const movementSchema = z.strictObject({
  /** Without a rest; then nothing else counts. */
  continuous: z.boolean(),
  /** Movement at the very start. */
  first: amountSchema.nullable(),
  /** Movement that comes back every so many seconds, at the start or at the end of each period. */
  every: z
    .strictObject({
      periodS: within('Period', 5, 7200, 's'),
      placement: z.enum(['start', 'end']),
      amount: amountSchema,
    })
    .nullable(),
  /** From this minute on the tank stands still. */
  stillFromMin: within('Still from', 0.1, 300, 'min').nullable(),
  /** One movement by itself: at a minute, or at half time where that is null. */
  wakeUp: z.strictObject({ atMin: within('Wake-up', 0.1, 300, 'min').nullable(), amount: amountSchema }).nullable(),
  gesture: z.enum(gestureIds),
  /** Whether to tap the tank after the first movement, to free bubbles. */
  tap: z.boolean(),
});

export type Movement = z.infer<typeof movementSchema>;

/** A movement under a name. */
export const namedMovementSchema = z.strictObject({
  name: z
    .string('Name of the agitation: give a text.')
    .min(1, 'Name of the agitation: give at least one letter.')
    .max(120, 'Name of the agitation: give 120 letters at most.'),
  movement: movementSchema,
});

export type NamedMovement = z.infer<typeof namedMovementSchema>;

/** A bath that is left alone. */
export const STILL: Movement = {
  continuous: false,
  first: null,
  every: null,
  stillFromMin: null,
  wakeUp: null,
  gesture: 'invert',
  tap: false,
};

/** Movement without a rest. */
export const CONTINUOUS: Movement = { ...STILL, continuous: true, gesture: 'rotate' };

/** Names of all fields, in one order, so that a movement reads the same however it was put together. */
const FIELDS = [...Object.keys(STILL).sort(), ...['periodS', 'placement', 'amount', 'unit', 'n', 'atMin']];

/** Whether two movements are the same; tapping for bubbles makes no other of one. */
export function sameMovement(a: Movement, b: Movement): boolean {
  const text = (movement: Movement): string => JSON.stringify({ ...movement, tap: false }, FIELDS);
  return text(a) === text(b);
}

export const seconds = (n: number): Amount => ({ unit: 'seconds', n });
export const turns = (n: number): Amount => ({ unit: 'turns', n });

/**
 * Movement at the start, and again and again.
 * @param first at the start; null for none
 * @param every period in s, where in it the movement lies, and its length; null for none
 * @param rest anything else
 * @example bursts(seconds(30), [60, 'start', seconds(10)]) // 30 s, then 10 s each minute
 */
export function bursts(
  first: Amount | null,
  every: [periodS: number, placement: 'start' | 'end', amount: Amount] | null,
  rest: Partial<Movement> = {},
): Movement {
  const repeat = every === null ? null : { periodS: every[0], placement: every[1], amount: every[2] };
  return { ...STILL, first, every: repeat, ...rest };
}

/** Bath that a share of time in motion is reckoned for, min. Source: our choice. */
const NOMINAL_MIN = 10;

/** Least share, so that a logarithm can be taken: a stand. */
const LEAST_SHARE = 0.01;

/**
 * Share of the time that a tank is in motion, apart from its start.
 * @param movement how it is moved
 * @returns share, 0.01 to 1
 * @example motionShare(bursts(seconds(30), [60, 'start', seconds(10)])) // 0.167
 */
function motionShare({ continuous, every, stillFromMin }: Movement): number {
  if (continuous) return 1;
  if (every === null) return LEAST_SHARE;
  const moved = Math.min(1, (stillFromMin ?? NOMINAL_MIN) / NOMINAL_MIN);
  return Math.min(1, Math.max(LEAST_SHARE, (amountS(every.amount) / every.periodS) * moved));
}

/** Rate factors at shares of time in motion: a stand, every three minutes, each minute, each half minute, always. Source: our estimate. */
const RATE_BY_SHARE = [
  { share: LEAST_SHARE, rateFactor: 0.36 },
  { share: 0.06, rateFactor: 0.85 },
  { share: 1 / 6, rateFactor: 1 },
  { share: 0.2, rateFactor: 1.06 },
  { share: 1, rateFactor: 1.18 },
] as const;

/** Spread of ln(rate) of a movement of one's own; of one that is hardly a movement, that of a stand. Source: our estimate. */
const OWN_MOVEMENT_LN_SD = 0.08;
export const STAND_LN_SD = 0.28;

/**
 * How fast a movement makes development against once a minute: by the share of time in motion, between the schools.
 * @param movement how the tank is moved
 * @returns rate factor and its spread as sd of ln
 * Source: our estimate; linear in ln(rate) over ln(share).
 */
export function movementRate(movement: Movement): { rateFactor: number; rateLnSd: number } {
  const share = motionShare(movement);
  const upper = Math.max(
    1,
    RATE_BY_SHARE.findIndex((point) => share <= point.share),
  );
  const [a, b] = [RATE_BY_SHARE[upper - 1], RATE_BY_SHARE[upper]] as [
    (typeof RATE_BY_SHARE)[number],
    (typeof RATE_BY_SHARE)[number],
  ];
  const position = Math.log(share / a.share) / Math.log(b.share / a.share);
  const rateFactor = Math.exp(Math.log(a.rateFactor) + position * Math.log(b.rateFactor / a.rateFactor));
  // Towards a stand nobody can say how fast it goes.
  const still = Math.min(1, Math.max(0, Math.log(0.06 / share) / Math.log(0.06 / LEAST_SHARE)));
  return { rateFactor, rateLnSd: OWN_MOVEMENT_LN_SD + still * (STAND_LN_SD - OWN_MOVEMENT_LN_SD) };
}
