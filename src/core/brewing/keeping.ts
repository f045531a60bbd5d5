import { BREW_GRACE_H, BREW_HALF_LIFE_H, brewAgeRate, brewUseRate } from '../chemistry/brewWear';
import { WORKING_HALF_LIFE_H, concentrateUseRate, isOneShot } from '../chemistry/concentrateWear';
import { bottleLife } from './bottle';
import type { Bottle } from './bottleSchema';
import type { Developer } from './composition';
import { fixerStrength } from '../fixing/fixerStrength';
import type { BrewPart } from './part';
import type { RecipeUse } from './recipe';

/** Share of its strength below which an organic brew counts as spent. Source: our choice. */
export const SPENT_SHARE = 0.5;

const HOUR_MS = 3_600_000;
const DAY_H = 24;

/** How long a bath keeps and how many films it takes, for those that are not followed by strength. */
interface Keeping {
  /** Hours from mixing; null where nobody says. */
  keepsH: number | null;
  /** Films of 80 square inches a litre; null where it is not counted. */
  filmsPerL: number | null;
}

/** Source: common practice, no source. A stop keeps about a week once in use; re-use tallies of fixer run from 12 to 20 films a litre, the lower taken. */
const baths: Record<Exclude<RecipeUse, 'film-developer'>, Keeping> = {
  'paper-developer': { keepsH: 8, filmsPerL: 8 },
  stop: { keepsH: 7 * DAY_H, filmsPerL: null },
  fixer: { keepsH: 90 * DAY_H, filmsPerL: 12 },
  'pre-bath': { keepsH: 12, filmsPerL: null },
  wetting: { keepsH: DAY_H, filmsPerL: null },
};
const oneBath: Keeping = { keepsH: 182 * DAY_H, filmsPerL: 11 };
/** A powder developer at stock strength, and anything unknown: how long it keeps belongs to its own leaflet. */
const unknown: Keeping = { keepsH: null, filmsPerL: null };

/** What is left of a bath in its jug. */
export interface JugState {
  /** Part of its life that is left, 0 to 1; null where it is not followed. */
  left: number | null;
  /** Factor on the time of the next film; 1 for what does not slow down. */
  timeFactor: number;
  /** Instant until which it is good, ms since the epoch; null where nobody says. */
  goodUntilMs: number | null;
  /** Films that it still takes; null where they are not counted. */
  filmsLeft: number | null;
  spent: boolean;
  /** Whether it is a one-shot: poured away after its film. */
  oneShot: boolean;
}

/** What decides how a jug wears. */
export interface Jug {
  use: RecipeUse;
  developer: Developer | null;
  mixedMs: number;
  volumeMl: number;
  /** Films through it so far. */
  films: number;
  /** Volume that they wore, where water came after them, ml. */
  wornMl?: number | undefined;
  /** What it was mixed from; missing where nobody said. */
  parts?: readonly BrewPart[] | undefined;
  /** Films that it takes in all by its owner's own tally; missing for the usual one. */
  takesFilms?: number | undefined;
  /** Instant at which somebody called it spent; missing for one that nobody did. */
  spentMs?: number | undefined;
  /** What is known of a bottle that holds no working solution. */
  bottle?: Bottle | undefined;
}

/**
 * What is left of a bath.
 * @param jug what it is, when it was mixed, its volume, and the films through it
 * @param nowMs this instant, ms since the epoch
 * @returns life left. Source: brewWear for kitchen brews; tallies and shelf lives of the others are common practice, no source.
 */
export function jugState(jug: Jug, nowMs: number): JugState {
  const state = stateOf(jug, nowMs);
  // What its owner has seen goes before any tally.
  return jug.spentMs === undefined ? state : { ...state, left: 0, filmsLeft: 0, goodUntilMs: null, spent: true };
}

function stateOf(jug: Jug, nowMs: number): JugState {
  const { bottle, use, developer, volumeMl, mixedMs: sinceMs } = jug;
  if (bottle !== undefined && !(bottle.stage === 'stock' && jug.films > 0)) {
    const familyId = developer?.kind === 'concentrate' ? developer.familyId : null;
    const life = bottleLife(bottle, { use, familyId, volumeMl, sinceMs }, nowMs);
    return {
      left: life?.left ?? null,
      timeFactor: 1,
      goodUntilMs: life?.goodUntilMs ?? null,
      filmsLeft: null,
      // Past its usual time it may still work: a test says so, and its owner.
      spent: false,
      oneShot: false,
    };
  }
  if (jug.use === 'film-developer' && jug.developer?.kind === 'improvised') return brewState(jug, nowMs);
  if (jug.use === 'film-developer' && jug.developer?.kind === 'concentrate')
    return boughtState(jug, jug.developer, nowMs);
  const { keepsH, filmsPerL } =
    jug.use === 'film-developer' ? (jug.developer?.kind === 'one-bath' ? oneBath : unknown) : baths[jug.use];
  const goodUntilMs = keepsH === null ? null : jug.mixedMs + keepsH * HOUR_MS;
  const strength = jug.use === 'fixer' ? (fixerStrength(jug.parts ?? [], jug.volumeMl) ?? 1) : 1;
  const capacity = jug.takesFilms ?? (filmsPerL === null ? null : (filmsPerL * strength * jug.volumeMl) / 1000);
  const shares = [
    ...(goodUntilMs === null || keepsH === null ? [] : [(goodUntilMs - nowMs) / (keepsH * HOUR_MS)]),
    ...(capacity === null ? [] : [1 - jug.films / capacity]),
  ];
  const left = shares.length === 0 ? null : Math.max(0, Math.min(1, ...shares));
  return {
    left,
    timeFactor: 1,
    goodUntilMs,
    filmsLeft: capacity === null ? null : Math.max(0, capacity - jug.films),
    spent: left === 0,
    oneShot: false,
  };
}

/** A bought developer: one that is used once is done after its film, one that is used again slows down. */
function boughtState(jug: Jug, developer: Extract<Developer, { kind: 'concentrate' }>, nowMs: number): JugState {
  const oneShot = isOneShot(developer);
  const { mixedMs, films } = jug;
  const strength = strengthLeft(developer, films, wearingMl(jug), Math.max(0, nowMs - mixedMs) / HOUR_MS);
  return {
    left: strength,
    timeFactor: 1 / strength,
    goodUntilMs: oneShot ? mixedMs + (BREW_GRACE_H + WORKING_HALF_LIFE_H) * HOUR_MS : null,
    filmsLeft: oneShot ? (films > 0 ? 0 : 1) : null,
    spent: strength < SPENT_SHARE || (oneShot && films > 0),
    oneShot,
  };
}

/** A kitchen brew is followed by its strength. */
function brewState(jug: Jug, nowMs: number): JugState {
  const { mixedMs, films } = jug;
  const volumeMl = wearingMl(jug);
  const useRate = brewUseRate(films, volumeMl);
  const strength = useRate * brewAgeRate(Math.max(0, nowMs - mixedMs) / HOUR_MS);
  const hoursLeft = useRate <= SPENT_SHARE ? 0 : BREW_GRACE_H + BREW_HALF_LIFE_H * Math.log2(useRate / SPENT_SHARE);
  return {
    left: strength,
    timeFactor: 1 / strength,
    goodUntilMs: mixedMs + hoursLeft * HOUR_MS,
    filmsLeft: filmsUntilSpent(strength, volumeMl),
    spent: strength < SPENT_SHARE,
    oneShot: false,
  };
}

/**
 * Volume by which a jug wears: of a kitchen brew that was thinned after its films, what they wore. A bought developer wears by its
 * concentrate, which water leaves as it is.
 * @returns ml
 */
export function wearingMl({ developer, volumeMl, wornMl }: Pick<Jug, 'developer' | 'volumeMl' | 'wornMl'>): number {
  return developer?.kind === 'improvised' ? (wornMl ?? volumeMl) : volumeMl;
}

/**
 * Strength that is left of a developer after films and hours.
 * @param developer what it is; null for one that nobody knows
 * @param films films of 80 square inches through it
 * @param volumeMl volume by which it wears, ml
 * @param ageH hours since it was mixed
 * @returns relative rate; 1 for what neither fades nor tires by strength
 */
export function strengthLeft(developer: Developer | null, films: number, volumeMl: number, ageH: number): number {
  switch (developer?.kind) {
    case 'improvised':
      return brewUseRate(films, volumeMl) * brewAgeRate(ageH);
    case 'concentrate':
      return (
        concentrateUseRate(developer, films, volumeMl) *
        (isOneShot(developer) ? brewAgeRate(ageH, WORKING_HALF_LIFE_H) : 1)
      );
    default:
      return 1;
  }
}

/** Films that bring a brew from its strength now down to half. */
function filmsUntilSpent(strength: number, volumeMl: number): number {
  return Math.max(0, Math.floor(Math.log(SPENT_SHARE / strength) / Math.log(brewUseRate(1, volumeMl)) + 1e-9));
}

/** Jugs in the order in which they are looked for: those that were called spent come last, the others stay as they stand. */
export function inUseFirst<T extends Pick<Jug, 'spentMs'>>(jugs: readonly T[]): T[] {
  const spent = ({ spentMs }: T): number => Number(spentMs !== undefined);
  return [...jugs].sort((a, b) => spent(a) - spent(b));
}
