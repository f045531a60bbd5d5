import * as z from 'zod';
import { failure, success, type Problem, type Result } from '../schema/result';
import { FIRST_FILM_YEAR } from '../films/filmYears';
import { storagePresetIds } from '../films/storagePresets';
import { storageStaySchema, type RollStay } from '../films/storageStaySchema';
import { userHintSchema, type UserHint } from '../films/userHint';
import { typed } from '../schema/typed';

/** A hint as typed; fields that its kind does not use keep what was typed. */
export const typedHintSchema = z.object({
  kind: z.enum(['stamp', 'bought', 'use', 'story']),
  what: z.string(),
  year: typed,
  slackYears: typed,
  from: typed,
  to: typed,
});
export type TypedHint = z.infer<typeof typedHintSchema>;

/** A stay as typed. */
export const typedStaySchema = z.object({
  placeId: z.enum(storagePresetIds),
  temperatureC: typed,
  temperatureSdC: z.number(),
  humid: z.boolean(),
  untilYear: typed,
});
export type TypedStay = z.infer<typeof typedStaySchema>;

/** An empty hint of a kind; one of film bought fresh opens with this year. */
export function emptyHint(kind: TypedHint['kind'], nowYear?: number): TypedHint {
  const year = kind === 'bought' && nowYear !== undefined ? nowYear : '';
  return { kind, what: '', year, slackYears: kind === 'story' ? 3 : 0, from: '', to: '' };
}

/** A stored hint as its form. */
export function typedHint(hint: UserHint): TypedHint {
  return { ...emptyHint(hint.kind), ...hint };
}

/** A stored stay as its form. */
export function typedStay(stay: RollStay): TypedStay {
  return { ...stay, untilYear: stay.untilYear ?? '' };
}

/**
 * Reads hints as typed.
 * @param hints hints as typed, in order
 * @param nowYear this year
 * @returns the hints, or every problem with a path such as `hints[1].year`
 */
export function readHints(hints: readonly TypedHint[], nowYear: number): Result<UserHint[]> {
  const problems: Problem[] = [];
  const read = hints.flatMap((hint, index): UserHint[] => {
    const at = (field: string) => `hints[${index}].${field}`;
    const year = (field: 'year' | 'from' | 'to', last: number): void => {
      const value = hint[field];
      if (typeof value !== 'number' || !Number.isInteger(value) || value < FIRST_FILM_YEAR || value > last) {
        problems.push({
          path: at(field),
          message: `Give a year from ${FIRST_FILM_YEAR} to ${last}, or remove the hint.`,
        });
      }
    };
    if (hint.kind === 'use') {
      year('from', nowYear);
      year('to', nowYear);
      if (typeof hint.from === 'number' && typeof hint.to === 'number' && hint.from > hint.to) {
        problems.push({ path: at('to'), message: 'The last year is before the first: swap them.' });
      }
    } else {
      year('year', hint.kind === 'stamp' ? nowYear + 10 : nowYear);
      const most = hint.kind === 'stamp' ? 30 : 40;
      const least = hint.kind === 'stamp' ? 0 : 1;
      const slack = hint.slackYears;
      const sound = typeof slack === 'number' && Number.isInteger(slack) && slack >= least && slack <= most;
      if (hint.kind !== 'bought' && !sound) {
        problems.push({ path: at('slackYears'), message: `Give ${least} to ${most} years.` });
      }
    }
    const parsed = userHintSchema.safeParse(hintFields(hint));
    return parsed.success ? [parsed.data] : [];
  });
  if (problems.length === 0 && read.length < hints.length)
    problems.push({ path: 'hints', message: 'A hint is not complete.' });
  return problems.length > 0 ? failure(...problems) : success(read);
}

function hintFields({ kind, what, year, slackYears, from, to }: TypedHint): unknown {
  if (kind === 'stamp') return { kind, year, slackYears };
  if (kind === 'bought') return { kind, year };
  return kind === 'use' ? { kind, what, from, to } : { kind, what, year, slackYears };
}

/**
 * Reads stays as typed: each but the last ends in a year, and the years do not fall.
 * @param stays stays as typed, in order of time
 * @param nowYear this year
 * @returns the stays, or every problem with a path such as `stays[0].untilYear`
 */
export function readStays(stays: readonly TypedStay[], nowYear: number): Result<RollStay[]> {
  const problems: Problem[] = [];
  let before = FIRST_FILM_YEAR;
  const read = stays.flatMap((stay, index): RollStay[] => {
    const last = index === stays.length - 1;
    const until = stay.untilYear;
    if (!last && (typeof until !== 'number' || !Number.isInteger(until) || until < before || until > nowYear)) {
      problems.push({ path: `stays[${index}].untilYear`, message: `Give a year from ${before} to ${nowYear}.` });
    }
    if (typeof until === 'number') before = Math.max(before, until);
    const parsed = storageStaySchema.safeParse({ ...stay, untilYear: last ? null : until });
    if (parsed.success) return [parsed.data];
    const temperature = parsed.error.issues.find((issue) => issue.path[0] === 'temperatureC');
    if (temperature !== undefined)
      problems.push({ path: `stays[${index}].temperatureC`, message: temperature.message });
    return [];
  });
  return problems.length > 0 ? failure(...problems) : success(read);
}

/** Most X-ray passes that are taken. Source: our choice. */
const MOST_PASSES = 200;

/**
 * Reads a number of X-ray passes as typed.
 * @param passes what was typed
 * @returns a whole number of passes, or what is wrong with the path `passes`
 */
export function readPasses(passes: number | string): Result<number> {
  if (typeof passes === 'number' && Number.isInteger(passes) && passes >= 0 && passes <= MOST_PASSES)
    return success(passes);
  return failure({ path: 'passes', message: `Give a whole number from 0 to ${MOST_PASSES}.` });
}
