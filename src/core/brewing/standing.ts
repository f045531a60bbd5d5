import { isValid, parse, startOfDay, sub } from 'date-fns';
import * as z from 'zod';
import { developerFamilies, developerFamilyIds, type DeveloperFamilyId } from '../chemistry/developerFamilies';
import { readDilution } from '../chemistry/readDilution';
import { limited } from '../schema/fields';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Problem, type Result } from '../schema/result';
import { typed } from '../schema/typed';
import { bottleStageIds, type BottleStage } from './bottle';
import { bottlePriceSchema, bottleSchema, readDilutions, type Bottle, type BottlePrice } from './bottleSchema';
import type { Developer } from './composition';
import { recipeUses, type RecipeUse } from './recipe';

/** What a bottle that stands there already can hold: a bath by its use, a one-bath, or a bought developer by its class. */
export const standingIds = [
  'fixer',
  'stop',
  'wetting',
  'pre-bath',
  'paper-developer',
  'one-bath',
  ...developerFamilyIds,
] as const;
export type StandingId = (typeof standingIds)[number];

/** A bottle as it is told: numbers half typed. */
export const standingFormSchema = z.object({
  whatId: z.enum(standingIds),
  name: z.string().max(500),
  /** As it is written on the bottle, as `1+9`; only for a bought developer. Empty for its usual strength. */
  dilution: z.string().max(100),
  /** Day of mixing or opening, as `2026-11-03` or “3 weeks ago”. */
  mixedOn: z.string().max(60),
  volumeMl: typed,
  films: typed,
  /** Films that it takes in all, where its leaflet says so. */
  takesFilms: typed,
  /** Whether it is poured as it is, or what kind of bottle it is. */
  stage: z.enum(['working', ...bottleStageIds]).default('working'),
  /** Whether it is sealed yet: then its day is the one on which it was bought. */
  sealed: z.boolean().default(false),
  holdsMl: typed.default(''),
  place: z.string().max(400).default(''),
  /** Its dilutions as they are noted. */
  dilutions: z.string().max(400).default(''),
  /** What it cost. */
  price: typed.default(''),
});
export type StandingForm = z.infer<typeof standingFormSchema>;

/** The form as it first opens: a fixer, of which nothing is known yet. */
export const emptyStanding: StandingForm = {
  whatId: 'fixer',
  name: '',
  dilution: '',
  mixedOn: '',
  volumeMl: 1000,
  films: 0,
  takesFilms: '',
  stage: 'working',
  sealed: false,
  holdsMl: '',
  place: '',
  dilutions: '',
  price: '',
};

/** A bottle that stands on the shelf with a past of its own. */
export interface StandingBottle {
  name: string;
  use: RecipeUse;
  developer: Developer | null;
  volumeMl: number;
  mixedMs: number;
  films: number;
  takesFilms?: number;
  bottle?: Bottle;
  price?: BottlePrice;
}

const isFamily = (id: StandingId): id is DeveloperFamilyId => (developerFamilyIds as readonly string[]).includes(id);

/** What a bottle is called by what it holds. */
export function standingName(id: StandingId): string {
  if (id === 'one-bath') return 'One-bath developer-fixer';
  return isFamily(id) ? developerFamilies[id].name : recipeUses[id].name;
}

const numbers = {
  volumeMl: limited('jugVolumeMl', 'Volume left'),
  films: limited('jugFilms', 'Films through it'),
  takesFilms: limited('jugFilms', 'Films it takes'),
} as const;

const ago = /^(?:about\s+)?(\d+|an?|one|two|three|four|five|six)\s+(day|week|month|year)s?(?:\s+ago)?$/;
const words: Record<string, number> = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6 };

/**
 * A day as people say it: 2026-11-03, today, yesterday, 3 weeks ago.
 * @param text what was typed
 * @param nowMs this instant, ms since the epoch
 * @returns the first instant of that day on the local clock, ms since the epoch; null for what does not read
 */
export function readDay(text: string, nowMs: number): number | null {
  const plain = text.trim().toLowerCase();
  const today = startOfDay(nowMs);
  if (plain === 'today') return today.getTime();
  if (plain === 'yesterday') return sub(today, { days: 1 }).getTime();
  const [, count = '', unit = ''] = ago.exec(plain) ?? [];
  if (unit !== '') return sub(today, { [`${unit}s`]: words[count] ?? Number(count) }).getTime();
  const day = /^\d{4}-\d{1,2}-\d{1,2}$/.test(plain) ? parse(plain, 'yyyy-M-d', today) : null;
  return day !== null && isValid(day) ? day.getTime() : null;
}

/** Noon: a day names no hour. */
const NOON_MS = 12 * 3_600_000;

/**
 * Reads what is told of a bottle that stands there already.
 * @param form as typed
 * @param nowMs this instant, ms since the epoch: no bottle was mixed after it
 * @returns the bottle; else every problem with its field
 * @example readStanding({ ...emptyStanding, mixedOn: '2026-10-01', films: 8 }, nowMs) // a litre of fixer with eight films through it
 */
export function readStanding(form: StandingForm, nowMs: number): Result<StandingBottle> {
  const problems: Problem[] = [];
  const read = (field: keyof typeof numbers): number => {
    const parsed = numbers[field].safeParse(form[field]);
    if (!parsed.success) problems.push({ path: field, message: parsed.error.issues[0]?.message ?? '' });
    return parsed.data ?? 0;
  };
  const dayMs = readDay(form.mixedOn, nowMs);
  const mixedMs = Math.min(nowMs, (dayMs ?? 0) + NOON_MS);
  if (dayMs === null)
    problems.push({ path: 'mixedOn', message: 'The day: give one such as 2026-11-03, or “3 weeks ago”.' });
  else if (dayMs > nowMs) problems.push({ path: 'mixedOn', message: 'The day is still to come.' });
  const name = form.name.trim() || standingName(form.whatId);
  if (name.length > 120) problems.push({ path: 'name', message: 'Name: give 120 letters at most.' });
  const bottle = bottleOf(form, problems);
  const developer = developerOf(form, problems);
  const volumeMl = read('volumeMl');
  const films = read('films');
  const takes = form.takesFilms === '' ? null : read('takesFilms');
  if (takes === 0) problems.push({ path: 'takesFilms', message: 'Films it takes: give 1 or more, or leave it empty.' });
  const price = priceOf(form, bottle?.holdsMl ?? volumeMl, problems);
  if (problems.length > 0) return failure(...problems);
  return success({
    name,
    use: isFamily(form.whatId) || form.whatId === 'one-bath' ? 'film-developer' : form.whatId,
    developer,
    volumeMl,
    mixedMs,
    films,
    ...(takes === null ? {} : { takesFilms: takes }),
    ...(bottle === null ? {} : { bottle }),
    ...(price === null ? {} : { price }),
  });
}

/** What it cost, for all that it held when it was bought; null where nobody said. */
function priceOf({ price }: StandingForm, forMl: number, problems: Problem[]): BottlePrice | null {
  if (price === '') return null;
  const read = bottlePriceSchema.shape.amount.safeParse(price);
  if (read.success) return { amount: read.data, forMl };
  problems.push({ path: 'price', message: read.error.issues[0]?.message ?? '' });
  return null;
}

/** Stages in which a kind comes: powders as powder or stock, liquids as a concentrate. */
export function stagesOf(id: StandingId): readonly (BottleStage | 'working')[] {
  if (!isFamily(id))
    return ['fixer', 'stop', 'wetting', 'paper-developer'].includes(id) ? ['working', 'concentrate'] : ['working'];
  const { concentrate, water } = developerFamilies[id].referenceParts;
  return concentrate === 1 && water === 0 ? ['working', 'stock', 'powder'] : ['working', 'concentrate'];
}

/** What is known of the bottle; null for a working solution. */
function bottleOf(form: StandingForm, problems: Problem[]): Bottle | null {
  if (form.stage === 'working' || !stagesOf(form.whatId).includes(form.stage)) return null;
  const dilutions = readDilutions(form.dilutions);
  if (dilutions === null)
    problems.push({ path: 'dilutions', message: 'Dilutions: write them as B 1+31, H 1+63; at most twelve.' });
  const read = bottleSchema.safeParse({
    stage: form.stage,
    opened: form.stage === 'stock' || (form.stage === 'concentrate' && !form.sealed),
    holdsMl: form.holdsMl === '' ? null : form.holdsMl,
    place: form.place.trim(),
    dilutions: dilutions ?? [],
  });
  if (read.success) return read.data;
  problems.push(...problemsFromZod(read.error.issues));
  return null;
}

function developerOf({ whatId, dilution, stage }: StandingForm, problems: Problem[]): Developer | null {
  if (whatId === 'one-bath') return { kind: 'one-bath' };
  if (!isFamily(whatId)) return null;
  if (stage !== 'working' && stagesOf(whatId).includes(stage))
    return { kind: 'concentrate', familyId: whatId, parts: { concentrate: 1, water: 0 } };
  const usual = developerFamilies[whatId].referenceParts;
  if (dilution.trim() === '') return { kind: 'concentrate', familyId: whatId, parts: usual };
  const parts = readDilution(dilution, usual, {});
  if (!parts.ok) {
    problems.push({ path: 'dilution', message: parts.problems[0]?.message ?? 'Dilution: give it as 1+9.' });
    return null;
  }
  return { kind: 'concentrate', familyId: whatId, parts: parts.value.parts };
}
