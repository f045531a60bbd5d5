import * as z from 'zod';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';
import { plainName } from '../units/plainName';
import { MOST_BLOCKS, trialSchema, type TrialStrip, type TrialValues } from './trial';
import { layOut } from './trialDesign';

/** What a file of one trial says it is. */
const FORMAT = 'aetas-trial';
const fileSchema = z.strictObject({ format: z.literal(FORMAT), version: z.literal(1), trial: trialSchema });

/** The largest file of a trial that is read, bytes: many times the largest trial. */
export const LARGEST_TRIAL_BYTES = 1_000_000;

/** A trial as a file that somebody else can repeat, or put with theirs. What it taught, and its pictures, stay here. */
export function writeTrialFile(trial: TrialValues): string {
  const strips = trial.strips.map((strip) => ({ ...strip, readingId: undefined }));
  return `${JSON.stringify({ format: FORMAT, version: 1, trial: { ...trial, strips, taughtIds: undefined } }, null, 1)}\n`;
}

/** Reads a file of one trial, or says what is wrong with it. */
export function readTrialFile(text: string): Result<TrialValues> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return failure({ path: '', message: 'This is no JSON, so it is no trial.' });
  }
  if ((parsed as { format?: unknown } | null)?.format !== FORMAT)
    return failure({ path: 'format', message: `This is no trial: a trial’s file says “format”: “${FORMAT}”.` });
  const read = fileSchema.safeParse(parsed);
  return read.success ? success(read.data.trial) : failure(...problemsFromZod(read.error.issues));
}

/**
 * The same trial to be done once more: the same levels, measures and numbers, in an order of its own.
 * @param trial the trial
 * @param seed the new lot
 */
export function repeated(trial: TrialValues, seed: number): TrialValues {
  const perBlock = Math.max(2, trial.perBlock);
  const design = { ...trial };
  delete design.taughtIds;
  return {
    ...design,
    seed,
    openedMs: null,
    strips: layOut(trial.levels.length, trial.blocks, perBlock, seed).map((strip) => ({ ...strip, values: {} })),
  };
}

/**
 * Two trials of the same question as one: the other’s rolls become rows of their own, on days of their own, so that a difference
 * between two kitchens is no difference between levels.
 * @param own the trial that stays
 * @param other the one that is put with it
 * @returns both; else why they do not go together
 */
export function pooled(own: TrialValues, other: TrialValues): Result<TrialValues> {
  const place = other.levels.map((name) => own.levels.findIndex((mine) => plainName(mine) === plainName(name)));
  if (place.includes(-1) || other.levels.length !== own.levels.length)
    return failure({
      path: 'levels',
      message: `They compare other things: ${own.levels.join(', ')} here, ${other.levels.join(', ')} there.`,
    });
  if (place[other.control] !== own.control)
    return failure({ path: 'control', message: 'They are held against different controls.' });
  if (JSON.stringify(Object.keys(own.margins).sort()) !== JSON.stringify(Object.keys(other.margins).sort()))
    return failure({ path: 'margins', message: 'They do not look at the same things.' });
  const blocks = own.blocks + other.blocks;
  if (blocks > MOST_BLOCKS)
    return failure({
      path: 'blocks',
      message: `Together they have ${blocks} rolls or days; ${MOST_BLOCKS} is the most.`,
    });
  const [mine, theirs] = [own, other].map(({ days, blocks: rows }) => days ?? Array.from({ length: rows }, () => 0));
  const later = Math.max(...(mine ?? [])) + 1;
  const days = [...(mine ?? []), ...(theirs ?? []).map((day) => day + later)];
  const taken = new Set(own.strips.map(({ code }) => code));
  const strips = other.strips.map((strip): TrialStrip => {
    const code = freeCode(strip.code, taken);
    taken.add(code);
    return { ...strip, code, level: place[strip.level] ?? 0, block: strip.block + own.blocks };
  });
  return success({
    ...own,
    blocks,
    days,
    strips: [...own.strips, ...strips],
    openedMs: own.openedMs ?? other.openedMs,
  });
}

/** A code that no strip has yet: its own where it is free. */
function freeCode(code: string, taken: ReadonlySet<string>): string {
  if (!taken.has(code)) return code;
  for (let number = 1; ; number++) {
    const next = `${code.slice(0, 2)}${number}`;
    if (!taken.has(next)) return next;
  }
}

/** What each column of a trial’s readings means, as a table for whoever reads them later. */
export const trialColumns: readonly { column: string; means: string }[] = [
  { column: 'code', means: 'What is written on the strip. It does not say what the strip had.' },
  {
    column: 'roll_or_day',
    means: 'The row, from 1: strips of one row come from one roll, or were developed on one day.',
  },
  { column: 'day', means: 'The day of the row, from 1, or the kitchen where two trials were put together.' },
  { column: 'level', means: 'What the strip had of the one thing that differs.' },
  { column: 'control', means: 'Whether that is the level that the others are held against: yes or no.' },
  {
    column: 'measure',
    means:
      'contrast: grades by likeness, -2 much too soft to 2 much too hard. gradient: average gradient, density over log exposure. speed: stops against the first reading of the trial. fog: base + fog, D. grain and unevenness: by likeness, 0 none to 4 very much.',
  },
  { column: 'value', means: 'The reading; empty for a strip that was lost or is not read yet.' },
  { column: 'unit', means: 'Unit of the reading; empty for a gradient.' },
  { column: 'lost', means: 'Why the strip is lost; empty for one that is not.' },
];
