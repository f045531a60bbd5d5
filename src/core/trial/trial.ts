import * as z from 'zod';
import { readingDoubtSchema } from '../estimate/evidenceSchema';
import { nameField, text } from '../schema/fields';
import { within } from '../schema/within';
import { typed } from '../schema/typed';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';
import { FRAMES, USUAL_FRAMES, materialIds } from './material';
import { measureIds, measures, type MeasureId } from './measures';
import { trialAnswer, type ReadStrip, type TrialAnswer } from './trialAnswer';
import { byLot, layOut } from './trialDesign';

/** Most levels, and most rolls or days, of one trial. Source: our choice: more is no evening any more. */
export const MOST_LEVELS = 6;
export const MOST_BLOCKS = 12;

const values = z.strictObject({
  contrast: within('Contrast', -2, 2).optional(),
  gradient: within('Average gradient', 0.05, 4).optional(),
  speed: within('Speed', -8, 8).optional(),
  fog: within('Base + fog', 0, 4).optional(),
  grain: within('Grain by eye', 0, 4).optional(),
  unevenness: within('Unevenness by eye', 0, 4).optional(),
});

/** Most steps of one strip. */
const MOST_STEPS = 60;

const curve = z.strictObject({
  clearD: within('Density of clear film', 0, 6).nullable(),
  points: z
    .array(z.strictObject({ logH: within('Exposure', -20, 20), densityD: within('Density', -0.5, 6) }))
    .min(3)
    .max(MOST_STEPS),
  /** What the camera that read it leaves open of its gradient; missing where no camera did. */
  doubt: readingDoubtSchema.optional(),
});

const levelNames = z
  .array(nameField('Level', 80))
  .min(2, 'Levels: give two at least.')
  .max(MOST_LEVELS, `Levels: give ${MOST_LEVELS} at most.`)
  .refine(
    (names) => new Set(names.map((name) => name.trim().toLowerCase())).size === names.length,
    'Levels: each has a name of its own.',
  );

/** A set of strips that differ in one thing. */
export const trialShape = {
  name: nameField('Name of the trial'),
  /** What is held: temperature, time, movement, film, in its owner's words. */
  held: text('What is held', 1000),
  levels: levelNames,
  /** The level that the others are held against, from 0. */
  control: within('Control', 0, MOST_LEVELS - 1).int(),
  /** What is looked at, each with the smallest difference that matters. */
  margins: z.partialRecord(z.enum(measureIds), within('Smallest difference that matters', 1e-3, 10)),
  /** Whether rows of strips come from several rolls, or are developed on several days. */
  blocks: within('Rolls or days', 1, MOST_BLOCKS).int('Rolls or days: give a whole number.'),
  perBlock: within('Strips from each', 2, 24).int('Strips from each: give a whole number.'),
  /** The day, or the kitchen, of each row, from 0, where they are several; missing where all are of one. */
  days: z
    .array(
      z
        .number()
        .int()
        .min(0)
        .max(MOST_BLOCKS - 1),
    )
    .max(MOST_BLOCKS)
    .optional(),
  /** Whether strips of one row and one level share a tank, and count as one; missing where each has its own. */
  together: z.boolean().optional(),
  /** What each strip is cut from; missing in trials from before that was asked. */
  material: z
    .strictObject({
      kind: z.enum(materialIds),
      frames: within('Frames of a length', ...FRAMES)
        .int('Frames of a length: give a whole number.')
        .optional(),
    })
    .optional(),
  /** The lot by which strips were put in order. */
  seed: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31),
  strips: z
    .array(
      z.strictObject({
        code: z.string().min(2).max(4),
        level: z
          .number()
          .int()
          .min(0)
          .max(MOST_LEVELS - 1),
        block: z
          .number()
          .int()
          .min(0)
          .max(MOST_BLOCKS - 1),
        /** Whether it hangs, or why it is lost; missing for one that waits. */
        developed: z.boolean().optional(),
        lost: text('Why it is lost', 200).optional(),
        values,
        /** Its densities by exposure, where it was read from a picture or by a densitometer. */
        curve: curve.optional(),
        /** The kept strip that it was read from; its picture is shown beside the others. */
        readingId: z.string().max(100).optional(),
      }),
    )
    .min(2)
    .max(MOST_BLOCKS * 24),
  /** When its owner looked at what each strip had; null while they are read blind. */
  openedMs: z.number().int().min(0).nullable(),
  /** What it taught the estimates: its pieces of evidence. Missing while it taught nothing. */
  taughtIds: z
    .array(z.string().max(100))
    .max(MOST_BLOCKS * 24)
    .optional(),
};
export const trialSchema = z.strictObject(trialShape);
export type TrialValues = z.infer<typeof trialSchema>;
export type TrialStrip = TrialValues['strips'][number];

/** A trial as it is being thought out. */
export const trialFormSchema = z.object({
  name: z.string().max(400),
  held: z.string().max(2000),
  levels: z.array(z.string().max(200)).max(MOST_LEVELS),
  control: z.number().int().min(0),
  measures: z.array(z.enum(measureIds)),
  margins: z.record(z.string(), typed),
  blocks: typed,
  perBlock: typed,
  /** On how many days rows are developed; drafts from before have none. */
  days: typed.default(1),
  material: z.enum(materialIds).default('clip'),
  frames: typed.default(USUAL_FRAMES),
  /** Film at hand, m; empty where nobody said. */
  filmM: typed.default(''),
});
export type TrialForm = z.infer<typeof trialFormSchema>;

/** As it first opens: coffee against the same brew without it. Source: the control is common practice, no source. */
export const emptyTrial: TrialForm = {
  name: '',
  held: '',
  levels: ['Coffee', 'The same without coffee'],
  control: 1,
  measures: ['contrast', 'fog'],
  margins: {},
  blocks: 3,
  perBlock: 2,
  days: 1,
  material: 'clip',
  frames: USUAL_FRAMES,
  filmM: '',
};

/** Strips from each roll that have every level once: as many as there are levels. */
export function usualPerBlock({ levels }: Pick<TrialForm, 'levels'>): number {
  return Math.max(2, levels.length);
}

/**
 * Reads a trial and lays it out.
 * @param form as typed
 * @param seed the lot
 * @returns the trial with its strips; else every problem with its field
 */
export function readTrial(form: TrialForm, seed: number): Result<TrialValues> {
  const number = (value: number | string): number => (typeof value === 'number' ? value : Number.NaN);
  const [blocks, perBlock] = [number(form.blocks), number(form.perBlock)];
  const sound = blocks >= 1 && blocks <= MOST_BLOCKS && perBlock >= 2 && perBlock <= 24;
  const laid =
    sound && form.levels.length >= 2 ? layOut(form.levels.length, Math.round(blocks), Math.round(perBlock), seed) : [];
  const read = trialSchema.safeParse({
    name: form.name.trim(),
    held: form.held,
    levels: form.levels.map((name) => name.trim()),
    control: Math.min(form.control, form.levels.length - 1),
    margins: Object.fromEntries(form.measures.map((id) => [id, form.margins[id] ?? measures[id].margin])),
    blocks: form.blocks,
    perBlock: form.perBlock,
    ...(sound && number(form.days) > 1 ? { days: spreadOver(Math.round(number(form.days)), Math.round(blocks)) } : {}),
    material: { kind: form.material, ...(form.material === 'length' ? { frames: form.frames } : {}) },
    seed,
    strips: sound
      ? laid.map((strip) => ({ ...strip, values: {} }))
      : [
          { code: 'AA', level: 0, block: 0, values: {} },
          { code: 'AB', level: 1, block: 0, values: {} },
        ],
    openedMs: null,
  });
  const problems = read.success ? [] : problemsFromZod(read.error.issues);
  if (form.measures.length === 0)
    problems.push({ path: 'measures', message: 'What is looked at: choose one at least.' });
  const days = number(form.days);
  if (!Number.isInteger(days) || days < 1 || (sound && days > blocks))
    problems.push({ path: 'days', message: 'On how many days: give a whole number, no more than there are rolls.' });
  return read.success && problems.length === 0 ? success(read.data) : failure(...problems);
}

/** Rows on so many days, as evenly as they go, in their order. */
function spreadOver(days: number, blocks: number): number[] {
  return Array.from({ length: blocks }, (_, block) => Math.floor((block * Math.min(days, blocks)) / blocks));
}

/** What a row is called: which roll, and of which day where there are several. */
export function rowWords({ days }: Pick<TrialValues, 'days'>, block: number): string {
  const day = days?.[block];
  return day === undefined ? `roll or day ${block + 1}` : `roll ${block + 1}, day ${day + 1}`;
}

/** What a trial looks at, in the order of the table. */
export function measuresOf({ margins }: Pick<TrialValues, 'margins'>): MeasureId[] {
  return measureIds.filter((id) => margins[id] !== undefined);
}

/** Whether a strip was read in everything that is looked at. */
export function isRead(trial: Pick<TrialValues, 'margins'>, strip: TrialStrip): boolean {
  return measuresOf(trial).every((id) => strip.values[id] !== undefined);
}

/** Where a trial stands. */
export interface TrialStanding {
  developed: number;
  read: number;
  lost: number;
  all: number;
  /** Whether every strip was read or is lost. */
  done: boolean;
  /** Whether what each strip had is hidden. */
  blind: boolean;
}

/** Where a trial stands. */
export function trialStanding(trial: TrialValues): TrialStanding {
  const lost = trial.strips.filter((strip) => strip.lost !== undefined).length;
  const read = trial.strips.filter((strip) => strip.lost === undefined && isRead(trial, strip)).length;
  const done = read + lost === trial.strips.length;
  return {
    developed: trial.strips.filter((strip) => strip.developed === true).length,
    read,
    lost,
    all: trial.strips.length,
    done,
    blind: !done && trial.openedMs === null,
  };
}

/** Strips that hang and were not lost, in an order by lot that says nothing of what they had. */
export function blindOrder(trial: TrialValues): TrialStrip[] {
  return byLot(
    trial.strips.filter((strip) => strip.developed === true && strip.lost === undefined),
    trial.seed,
    99,
  );
}

/** Strips of one tank as one: what befell the tank befell all of them. */
function asTanks(strips: readonly ReadStrip[]): ReadStrip[] {
  const tanks = new Map<string, ReadStrip[]>();
  for (const strip of strips) {
    const key = `${strip.block}|${strip.level}`;
    tanks.set(key, [...(tanks.get(key) ?? []), strip]);
  }
  return [...tanks.values()].map((together) => ({
    ...(together[0] as ReadStrip),
    value: together.reduce((sum, { value }) => sum + value, 0) / together.length,
  }));
}

/** What a trial says of everything that is looked at; what was read too little of is left out. */
export function trialAnswers(trial: TrialValues): TrialAnswer[] {
  return measuresOf(trial).flatMap((id) => {
    const strips = trial.strips.flatMap(({ level, block, lost, values, curve }): ReadStrip[] => {
      const value = values[id];
      if (lost !== undefined || value === undefined) return [];
      const stretched = measures[id].stretched ? curve?.doubt : undefined;
      const camera = stretched && { key: stretched.camera, lnSd: stretched.cameraLnSd };
      return [{ level, block, day: trial.days?.[block] ?? 0, value, ...(camera === undefined ? {} : { camera }) }];
    });
    const answer = trialAnswer(
      id,
      trial.together === true ? asTanks(strips) : strips,
      trial.levels.length,
      trial.control,
      trial.margins[id] ?? measures[id].margin,
    );
    return answer === null ? [] : [answer];
  });
}
