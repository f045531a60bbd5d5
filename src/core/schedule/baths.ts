import * as z from 'zod';
import { nameField, text } from '../schema/fields';
import { within } from '../schema/within';
import { SECONDS_PER_TURN } from './amount';
import { bursts, movementSchema, seconds, turns, type Movement } from './movement';

export const bathKinds = ['pre-soak', 'develop', 'stop', 'fix', 'wash', 'wetting'] as const;
export type BathKind = (typeof bathKinds)[number];

/** What a bath is filled with. */
export const liquids = {
  developer: 'Developer',
  water: 'Water',
  acid: 'Acid stop',
  fixer: 'Fixer',
  alkaline: 'Alkaline pre-bath',
  aid: 'Washing aid',
  wetting: 'Wetting agent in distilled water',
  soap: 'A drop of dish soap in water',
  other: 'Something else',
} as const;

export type LiquidId = keyof typeof liquids;
export const liquidIds = Object.keys(liquids) as [LiquidId, ...LiquidId[]];

/** How long a bath lasts: the development’s own time, a time, so many turns of the tank, or until the water runs clear. */
const bathLengthSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('development') }),
  z.strictObject({ kind: z.literal('time'), seconds: within('Length of a bath', 1, 86_400, 's') }),
  z.strictObject({ kind: z.literal('turns'), turns: within('Turns', 1, 500).int('Turns: give a whole number.') }),
  /** The time it usually takes; the clock counts up. */
  z.strictObject({ kind: z.literal('until-clear'), seconds: within('Usual length', 1, 86_400, 's') }),
]);

/** One bath of a wet process, as somebody does it. */
export const bathSchema = z.strictObject({
  kind: z.enum(bathKinds),
  name: nameField('Name of the bath', 80),
  liquid: z.enum(liquidIds),
  length: bathLengthSchema,
  /** How the tank is agitated; null where it is left still, and for the developer, whose movement is the plan’s. */
  movement: movementSchema.nullable(),
  note: text('Note', 400),
});

export type Bath = z.infer<typeof bathSchema>;
export type BathLength = Bath['length'];

/** The baths of a wet process, in order, with the developer once among them. */
export const bathsSchema = z
  .array(bathSchema)
  .min(1, 'Baths: give one at least.')
  .max(60, 'Baths: give 60 at most.')
  .refine(
    (baths) => baths.filter(({ kind }) => kind === 'develop').length === 1,
    'Baths: the developer stands once among them.',
  )
  .refine(
    (baths) => baths.every(({ kind, length }) => (kind === 'develop') === (length.kind === 'development')),
    'Baths: the developer alone takes the development time.',
  );

/** How the developer is poured in: what the clock starts at, and how long pouring takes. */
export const pourInSchema = z.strictObject({
  clock: z.enum(['full', 'first-drop']),
  seconds: within('Pouring in', 0, 120, 's'),
});

export type PourIn = z.infer<typeof pourInSchema>;

/** Source: common practice (10–15 s), no source. */
export const USUAL_POUR_IN: PourIn = { clock: 'full', seconds: 12 };

/** Seconds for filling and pouring out a change of water. Source: common practice (20–30 s), no source. */
export const FILL_AND_POUR_S = 25;

/**
 * How long a bath takes.
 * @param length its length
 * @param developS development time, s
 * @returns s
 */
export function bathS(length: BathLength, developS: number): number {
  switch (length.kind) {
    case 'development':
      return developS;
    case 'turns':
      return length.turns * SECONDS_PER_TURN + FILL_AND_POUR_S;
    default:
      return length.seconds;
  }
}

const bath = (
  kind: BathKind,
  name: string,
  liquid: LiquidId,
  length: BathLength,
  movement: Movement | null = null,
  note = '',
): Bath => ({ kind, name, liquid, length, movement, note });

const time = (s: number): BathLength => ({ kind: 'time', seconds: s });
const byTurns = (n: number): BathLength => ({ kind: 'turns', turns: n });
const untilClear = (s: number): BathLength => ({ kind: 'until-clear', seconds: s });

/** Movement in the fixer. Source: common practice, no source. */
const USUAL_FIX_MOVEMENT = bursts(seconds(30), [60, 'start', seconds(10)]);

/** A stop that is kept turning. */
const KEEP_TURNING = bursts(seconds(10), [30, 'start', seconds(10)], {});

/** Baths that may be added, as they first stand. Source of the times: common practice, no source. */
export const readyBaths = {
  'water-soak': bath('pre-soak', 'Pre-soak', 'water', time(60)),
  'alkaline-soak': bath(
    'pre-soak',
    'Alkaline pre-bath',
    'alkaline',
    time(60),
    null,
    'Water with 20 g/l washing soda: shake hard until the minute is over',
  ),
  'soak-until-clear': bath('pre-soak', 'Rinse until clear', 'water', untilClear(120), null, 'Fill, shake, pour out'),
  rinse: bath('stop', 'Rinse', 'water', byTurns(6)),
  'still-water': bath('stop', 'Still water', 'water', time(120)),
  'acid-stop': bath('stop', 'Acid stop', 'acid', time(60), KEEP_TURNING),
  fixer: bath('fix', 'Fix', 'fixer', time(300), USUAL_FIX_MOVEMENT),
  'second-fixer': bath('fix', 'Second fixer', 'fixer', time(180), USUAL_FIX_MOVEMENT),
  'washing-aid': bath('wash', 'Washing aid', 'aid', time(120), bursts(seconds(10), [30, 'start', turns(2)])),
  change: bath('wash', 'Change of water', 'water', byTurns(10)),
  'still-wash': bath('wash', 'Still wash', 'water', time(300)),
  running: bath('wash', 'Running water', 'water', time(600), null, 'Let it run at working temperature'),
  'wash-until-clear': bath('wash', 'Rinse until clear', 'water', untilClear(600), null, 'Fill, shake, pour out'),
  wipe: bath(
    'wash',
    'Wipe the back',
    'water',
    time(60),
    null,
    'Draw the shiny side through wet fingers or a soft sponge until it stays clear',
  ),
  wetting: bath(
    'wetting',
    'Wetting bath',
    'wetting',
    time(60),
    null,
    'Let it stand, then lift the reel out without foam',
  ),
} as const satisfies Record<string, Bath>;

export type ReadyBathId = keyof typeof readyBaths;
export const readyBathIds = Object.keys(readyBaths) as [ReadyBathId, ...ReadyBathId[]];

/** The developer’s own place in the list. */
export const DEVELOP: Bath = bath('develop', 'Develop', 'developer', { kind: 'development' });
