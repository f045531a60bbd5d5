import * as z from 'zod';
import { workbench } from '../brewing/workbench';
import { initialWorkbench } from '../brewing/workbenchForm';
import type { Recipe, RecipeLine } from '../brewing/recipe';
import type { EstimateRequest } from '../estimate/request';
import { planEvening, type Evening, type EveningItem, type EveningJug, type EveningRoll } from '../evening/evening';
import { eveningFormSchema, readEveningForm } from '../evening/eveningForm';
import type { Kit } from '../kit/kit';
import { estimateRequestFor } from '../plan/estimateRequestFor';
import { initialPlanForm, readPlanForm, type PlanChoices } from '../plan/planForm';
import type { Condition } from '../films/condition';
import type { FilmFormatId } from '../films/filmFormats';
import type { StockFamilyId } from '../films/stockFamilies';
import type { Brew, RecipeRecord, Roll, Stock } from '../records/records';
import { agitationSchoolIds, agitationSchools } from '../schedule/agitationSchools';
import { wetSteps } from '../schedule/wetSteps';
import { limited } from '../schema/fields';
import { failure, success, type Problem, type Result } from '../schema/result';
import { typed } from '../schema/typed';
import { within } from '../schema/within';
import { MOST_LEVELS, type TrialValues } from './trial';
import { conditionsOf, levelConditionsShape, variedIds } from './levelConditions';
import { trialMix, withoutAgent, type LevelToMix, type TrialMix } from './trialMix';

/** What a level is: a recipe, a recipe without what develops, a jug that stands there, or nothing that is known. */
export type LevelSource = '' | `recipe:${string}` | `without:${string}` | `jug:${string}`;

/** How a trial is mixed and timed, as typed. */
export const trialEveningFormSchema = eveningFormSchema.pick({ from: true, tanks: true, reel: true }).extend({
  levels: z.array(z.object({ source: z.string().max(120), timeMin: typed, ...levelConditionsShape })).max(MOST_LEVELS),
  /** What differs from level to level beside brew and time. */
  varied: z.enum(variedIds).default('brew'),
  /** The roll by whose age and stock times are estimated; empty for none. */
  rollId: z.string().max(100),
  temperatureC: typed,
  agitationId: z.enum(agitationSchoolIds),
  /** What one tank takes, ml. */
  tankMl: typed,
  /** Which day of the trial, from 0; null for the first on which something is left to do. */
  day: z.number().int().min(0).nullable(),
});
export type TrialEveningForm = z.infer<typeof trialEveningFormSchema>;

/** As it first opens. */
export function emptyTrialEvening({ levels }: Pick<TrialValues, 'levels'>): TrialEveningForm {
  return {
    from: '18:30',
    tanks: 1,
    reel: 'plastic',
    levels: levels.map(() => ({ source: '', timeMin: '' })),
    varied: 'brew',
    rollId: '',
    temperatureC: 20,
    agitationId: 'ten-each-minute',
    tankMl: 300,
    day: null,
  };
}

/** What goes into one tank: strips of one row that are developed alike. */
export interface TrialTank {
  level: number;
  block: number;
  codes: string[];
}

/** The first day on which something is left to develop; 0 where nothing is. */
export function dayToDo({ strips, days }: Pick<TrialValues, 'strips' | 'days'>): number {
  const left = strips.filter(({ developed, lost }) => developed !== true && lost === undefined);
  return left.length === 0 ? 0 : Math.min(...left.map(({ block }) => days?.[block] ?? 0));
}

/**
 * What is still to be developed of a day, tank by tank, in the order of the lot.
 * @param trial the trial
 * @param day which day, from 0
 * @returns a tank for each strip; for strips of one row and one level together where the trial has them so. Levels never share a
 * tank, and rows neither: a tank of one level alone would be one thing with it
 */
export function tanksOf(trial: Pick<TrialValues, 'strips' | 'days' | 'together'>, day: number): TrialTank[] {
  const tanks: TrialTank[] = [];
  for (const { code, level, block, developed, lost } of trial.strips) {
    if (developed === true || lost !== undefined || (trial.days?.[block] ?? 0) !== day) continue;
    const mate =
      trial.together === true ? tanks.find((tank) => tank.level === level && tank.block === block) : undefined;
    if (mate === undefined) tanks.push({ level, block, codes: [code] });
    else mate.codes.push(code);
  }
  return tanks;
}

/** What a trial’s evening needs of the bench. */
export interface TrialBench {
  recipes: readonly RecipeRecord[];
  brews: readonly Brew[];
  kit: Kit;
}

/** The roll that strips are cut from. */
export interface TrialFilm {
  roll: Roll;
  stock: Stock;
}

/** A trial’s evening, laid out. */
export interface TrialEvening {
  tanks: TrialTank[];
  mix: TrialMix;
  evening: Evening;
}

/** A level as its source has it. */
function linesOf(source: string, { recipes }: TrialBench): { recipe: Recipe; lines: RecipeLine[] } | null {
  const [kind, id] = [source.slice(0, source.indexOf(':')), source.slice(source.indexOf(':') + 1)];
  const recipe = kind === 'recipe' || kind === 'without' ? recipes.find((one) => one.id === id) : undefined;
  if (recipe === undefined) return null;
  return { recipe, lines: kind === 'without' ? withoutAgent(recipe) : recipe.lines };
}

const bath = limited('bathC');
const tank = within('One tank takes', 50, 5000, 'ml');
const time = within('Time', 0.1, 300, 'min');

/**
 * What the estimator is asked for each level: the time at which it expects them to come out alike.
 * @param form as typed
 * @param films rolls with their stocks, by id
 * @param bench recipes, jugs and kit
 * @param nowMs instant, ms since the epoch
 * @returns a request for each level, null where no time can be told: no roll, no source, or nothing in it that develops
 */
export function levelRequests(
  form: Pick<TrialEveningForm, 'levels' | 'varied' | 'temperatureC' | 'agitationId' | 'rollId' | 'tankMl'>,
  films: ReadonlyMap<string, TrialFilm>,
  bench: TrialBench,
  nowMs: number,
): (EstimateRequest | null)[] {
  const volumeMl = tank.safeParse(form.tankMl);
  return form.levels.map(({ source }, level): EstimateRequest | null => {
    const { agitationId, rollId, ...typedConditions } = conditionsOf(form, level);
    const temperatureC = bath.safeParse(typedConditions.temperatureC);
    const film = films.get(rollId);
    const { developer, bromideGPerL, jug } = brewOf(source, bench);
    if (!temperatureC.success || !volumeMl.success || film === undefined) return null;
    if (developer === null || developer.kind === 'other') return null;
    const choices = {
      ...usualPlan(film),
      developer,
      bromideGPerL,
      temperatureC: temperatureC.data,
      agitationId,
      volumeMl: volumeMl.data,
    };
    return estimateRequestFor(film.roll, film.stock, choices, jug ?? null, nowMs);
  });
}

/**
 * Lays out one day of a trial: what is mixed, and which tank is poured when.
 * @param trial the trial
 * @param form as typed
 * @param films rolls that strips are cut from, for their baths, by id; those that are none on the bench are missing
 * @param bench recipes, jugs and kit
 * @param zeroMs first instant of the evening's day, ms since the epoch
 * @returns tanks, mixing and clock; else every problem with its field. Baths after the developer are the usual ones of a kitchen brew
 */
export function layOutTrialEvening(
  trial: TrialValues,
  form: TrialEveningForm,
  films: ReadonlyMap<string, TrialFilm>,
  bench: TrialBench,
  zeroMs: number,
): Result<TrialEvening> {
  const wish = readEveningForm({ from: form.from, tanks: form.tanks, reel: form.reel, waterH: 2, order: [] }, zeroMs);
  const problems: Problem[] = wish.ok ? [] : [...wish.problems];
  const tankMl = tank.safeParse(form.tankMl);
  if (!tankMl.success)
    problems.push({ path: 'tankMl', message: tankMl.error.issues[0]?.message ?? 'One tank takes: give a number.' });
  const tanks = tanksOf(trial, form.day ?? dayToDo(trial));
  const wanted = new Set(tanks.map(({ level }) => level));
  const minutes = form.levels.map(({ timeMin }, level) => {
    const read = time.safeParse(timeMin);
    if (!read.success && wanted.has(level))
      problems.push({
        path: `levels.${level}.timeMin`,
        message: `“${trial.levels[level]}”: give its time, 0.1 to 300 min.`,
      });
    return read.data ?? 0;
  });
  trial.levels.forEach((_, level) => {
    const { temperatureC } = conditionsOf(form, level);
    if (wanted.has(level) && form.varied === 'temperature' && !bath.safeParse(temperatureC).success)
      problems.push({
        path: `levels.${level}.temperatureC`,
        message: `“${trial.levels[level]}”: give its temperature, 5 to 40 °C.`,
      });
  });
  if (tanks.length === 0) problems.push({ path: 'day', message: 'Nothing is left to develop on that day.' });
  if (!wish.ok || !tankMl.success || problems.length > 0) return failure(...problems);
  const toMix = trial.levels.flatMap((name, level): LevelToMix[] => {
    const found = linesOf(form.levels[level]?.source ?? '', bench);
    const count = tanks.filter((one) => one.level === level).length;
    return found === null || count === 0 ? [] : [{ name, lines: found.lines, volumeMl: count * tankMl.data }];
  });
  const mixingMin = toMix.length === 0 ? 0 : MIXING_MIN + toMix.length * LEVEL_MIN;
  const mixedMin = wish.value.fromMin + mixingMin;
  const fromMin = toMix.length === 0 ? wish.value.fromMin : mixedMin + STANDING_MIN;
  const rolls = tanks.map(({ level, codes }): EveningRoll => {
    const { agitationId, rollId } = conditionsOf(form, level);
    const { baths, pourIn } = usualPlan(films.get(rollId) ?? null);
    return {
      id: codes.join('+'),
      label: codes.join(' '),
      steps: wetSteps((minutes[level] as number) * 60, agitationSchools[agitationId].movement, baths, false, pourIn),
      jug: jugOf(level, form, bench, trial.levels[level] as string, mixedMin, zeroMs),
      films: 0,
      begunMin: null,
    };
  });
  const evening = planEvening({ ...wish.value, fromMin, rolls });
  if (mixingMin === 0) return success({ tanks, mix: trialMix(toMix), evening });
  const mixing: EveningItem = {
    id: 'mix all',
    lane: 'kitchen',
    kind: 'kitchen',
    what: toMix.length === 1 ? 'Mix the brew' : `Mix the ${toMix.length} brews`,
    startMin: wish.value.fromMin,
    endMin: mixedMin,
    pours: false,
    ahead: false,
  };
  const items = [...evening.items, mixing].sort((a, b) => a.startMin - b.startMin);
  return success({ tanks, mix: trialMix(toMix), evening: { ...evening, items } });
}

/** Water and what all levels share, then each jug by itself; and the bubbles. min. Source: common practice, no source. */
const MIXING_MIN = 10;
const LEVEL_MIN = 5;
const STANDING_MIN = 8;

/** The jug of a level: each tank takes a portion of its own, so it ages and does not wear. */
function jugOf(
  level: number,
  form: TrialEveningForm,
  bench: TrialBench,
  name: string,
  mixedMin: number,
  zeroMs: number,
): EveningJug | null {
  const source = form.levels[level]?.source ?? '';
  const { developer, jug } = brewOf(source, bench);
  if (developer === null) return null;
  const madeMin = jug === null ? mixedMin : (jug.mixedMs - zeroMs) / 60_000;
  return {
    id: `level ${level}`,
    name,
    developer,
    volumeMl: jug?.volumeMl ?? 1000,
    films: jug?.films ?? 0,
    mixedMin: madeMin,
    mixingMin: 0,
    standingMin: 0,
    chosenMin: Math.max(madeMin, mixedMin),
  };
}

/** What a level develops in; no developer where its source is none, or nothing in it develops. */
function brewOf(
  source: string,
  bench: TrialBench,
): { developer: EstimateRequest['developer'] | null; bromideGPerL: number; jug: Brew | null } {
  const jug = bench.brews.find(({ id }) => `jug:${id}` === source) ?? null;
  if (jug !== null) return { developer: jug.developer, bromideGPerL: jug.bromideGPerL, jug };
  const found = linesOf(source, bench);
  if (found === null) return { developer: null, bromideGPerL: 0, jug };
  const { sheet } = workbench(initialWorkbench({ ...found.recipe, lines: found.lines }, null), bench.kit);
  return { developer: sheet?.developer ?? null, bromideGPerL: sheet?.composition.bromideGPerL ?? 0, jug };
}

/** Film that nobody named: fixed and washed as most are. */
const ANY_FILM = {
  familyId: 'pan-cubic-medium',
  formatId: '135',
  condition: { backing: 'unknown', signs: [] },
} satisfies { familyId: StockFamilyId; formatId: FilmFormatId; condition: Condition };

/** The plan with which a roll begins: its baths are those of the trial. */
function usualPlan(film: TrialFilm | null): PlanChoices {
  const known = film === null ? ANY_FILM : { ...film.roll, familyId: film.stock.familyId };
  const plan = readPlanForm(initialPlanForm(known), known, []);
  if (!plan.ok) throw new Error(plan.problems[0]?.message ?? 'The usual plan does not read.');
  return plan.value;
}
