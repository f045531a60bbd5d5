import { lowerFirst } from '../units/lowerFirst';
import * as z from 'zod';
import { limited, nameField, text } from '../schema/fields';
import { movementCues } from './agitationCues';
import {
  FILL_AND_POUR_S,
  USUAL_POUR_IN,
  bathKinds,
  bathS,
  liquidIds,
  liquids,
  readyBaths,
  type Bath,
  type PourIn,
} from './baths';
import { SECONDS_PER_TURN } from './amount';
import { gestureIds, gestures, movementSchema, type Movement } from './movement';

export const agitationCueSchema = z.strictObject({
  startS: limited('stepS'),
  endS: limited('stepS'),
  turns: z.number().int().positive().max(10_000).nullable(),
});

/** One wet step of a run. */
export const wetStepSchema = z.strictObject({
  kind: z.enum(bathKinds),
  name: nameField('Step'),
  /** What the hands do, in the imperative. */
  instruction: text('Instruction', 600),
  /** What its owner wrote down for this bath. */
  note: text('Note', 400).optional(),
  durationS: limited('stepS'),
  cues: z.array(agitationCueSchema).max(5000),
  /** What the bath was filled with. */
  liquid: z.enum(liquidIds).optional(),
  /** It ends when the water runs clear, and the clock counts up. */
  untilClear: z.boolean().optional(),
  /** What the hands do where they move; missing in runs from before it was kept. */
  gesture: z.enum(gestureIds).optional(),
  /** How they move: where a reading gives the bath another length, its movements follow. Missing in runs from before it was kept. */
  movement: movementSchema.optional(),
});

export type WetStep = z.infer<typeof wetStepSchema>;

/**
 * The wet steps of a run, in order.
 * @param developS development time, s; above 0
 * @param movement how the tank is moved in the developer
 * @param baths the baths as planned
 * @param oneBath whether developer and fixer are one bath: no stop and no fixer then
 * @param pourIn how the developer is poured in
 */
export function wetSteps(
  developS: number,
  movement: Movement,
  baths: readonly Bath[],
  oneBath = false,
  pourIn: PourIn = USUAL_POUR_IN,
): WetStep[] {
  return baths
    .filter(({ kind }) => !oneBath || (kind !== 'stop' && kind !== 'fix'))
    .map((bath): WetStep => {
      if (bath.kind === 'develop') return developStep(bath, developS, movement, oneBath, pourIn);
      const durationS = bathS(bath.length, developS);
      return {
        kind: bath.kind,
        name: bath.name,
        instruction: instructionOf(bath),
        durationS,
        cues: cuesOf(bath, durationS),
        liquid: bath.liquid,
        ...(ownNote(bath) === '' ? {} : { note: ownNote(bath) }),
        ...(bath.length.kind === 'until-clear' ? { untilClear: true } : {}),
        ...(bath.movement === null ? {} : { gesture: bath.movement.gesture, movement: bath.movement }),
      };
    });
}

function developStep(bath: Bath, developS: number, movement: Movement, oneBath: boolean, pourIn: PourIn): WetStep {
  const fromS = pourIn.clock === 'first-drop' ? pourIn.seconds : 0;
  return {
    kind: 'develop',
    name: oneBath ? 'Develop and fix' : bath.name,
    instruction: `${gestures[movement.gesture].words}${movement.tap ? '; tap the tank after the first' : ''}`,
    durationS: developS,
    cues: movementCues(movement, developS, fromS),
    liquid: 'developer',
    gesture: movement.gesture,
    movement,
  };
}

function cuesOf({ length, movement }: Bath, durationS: number): WetStep['cues'] {
  if (length.kind === 'turns') {
    const startS = FILL_AND_POUR_S / 2;
    return [{ startS, endS: startS + length.turns * SECONDS_PER_TURN, turns: length.turns }];
  }
  return movement === null ? [] : movementCues(movement, durationS);
}

/** Notes that ready baths bring: they say what the hands do. */
const readyNotes: ReadonlySet<string> = new Set(Object.values(readyBaths).map(({ note }) => note));

/** A note that somebody wrote: it stands beside what the hands do, and never in its place. */
export function ownNote({ note }: Pick<Bath, 'note'>): string {
  return readyNotes.has(note) ? '' : note;
}

function instructionOf({ liquid, length, movement, ...bath }: Bath): string {
  const note = ownNote(bath) === '' ? bath.note : '';
  if (length.kind === 'turns')
    return `Fill with ${lower(liquid)}, turn the tank ${length.turns} times, pour out${also(note)}`;
  if (movement !== null) return `${gestures[movement.gesture].words}${also(note)}`;
  if (note !== '') return note;
  return length.kind === 'until-clear'
    ? 'Fill, shake, pour out, until it runs clear'
    : `Fill with ${lower(liquid)} and leave it still`;
}

function lower(liquid: Bath['liquid']): string {
  return lowerFirst(liquids[liquid]);
}

function also(note: string): string {
  return note === '' ? '' : `. ${note}`;
}
