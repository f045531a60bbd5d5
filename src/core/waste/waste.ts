import * as z from 'zod';
import type { Developer } from '../brewing/composition';
import type { RecipeUse } from '../brewing/recipe';
import { typed } from '../schema/typed';

/** What is kept apart until it is handed in. */
interface WasteKind {
  name: string;
  /** What goes into it, in a few words. */
  takes: string;
  /** What it does to people and water, in plain words. */
  hazard: string;
}

/**
 * Kinds of waste. Source: common practice, no source, and from memory for the hazards: the safety sheets of what was mixed and the rules
 * of the place go before them.
 */
export const wasteKinds = {
  fixer: {
    name: 'Fixer, with silver',
    takes: 'Used fixer, one-bath developer, and the first rinse after them.',
    hazard:
      'Dissolved silver is poison to what lives in water, and can be recovered. Sulfur dioxide comes off it when it turns sour.',
  },
  developer: {
    name: 'Developer',
    takes: 'Used developer, kitchen brews and paper developer.',
    hazard:
      'Alkaline, with organics that use up oxygen in water. Bought ones irritate the skin, and some make it allergic.',
  },
  acid: {
    name: 'Acids',
    takes: 'Used stop.',
    hazard: 'Stings skin and eyes.',
  },
  alkali: {
    name: 'Alkalis',
    takes: 'Pre-baths, with the black of a rem-jet backing.',
    hazard: 'Burns skin and eyes; slippery on the floor.',
  },
} as const satisfies Record<string, WasteKind>;

export type WasteKindId = keyof typeof wasteKinds;
export const wasteKindIds = Object.keys(wasteKinds) as [WasteKindId, ...WasteKindId[]];

/** Two kinds that must never meet, and why. */
export interface NeverMeet {
  one: WasteKindId;
  other: WasteKindId | 'bleach';
  why: string;
}

/** Source: acid–base chemistry as in any textbook (sulfite and acid; ammonium and alkali; hypochlorite and acid or ammonium). */
export const neverMeet: readonly NeverMeet[] = [
  { one: 'fixer', other: 'acid', why: 'Acid drives sulfur dioxide out of fixer, and leaves sulfur as mud.' },
  { one: 'fixer', other: 'alkali', why: 'Alkali drives ammonia out of a rapid fixer.' },
  { one: 'fixer', other: 'developer', why: 'A developer is alkaline: ammonia. The silver comes out as black mud.' },
  { one: 'acid', other: 'alkali', why: 'They heat up, and soda foams: a closed bottle bursts.' },
  {
    one: 'acid',
    other: 'developer',
    why: 'Soda foams with acid, and sulfite gives off sulfur dioxide: a closed bottle bursts.',
  },
  { one: 'fixer', other: 'bleach', why: 'Chlorine bleach and fixer give off poisonous gases. Never.' },
];

/**
 * Into which waste a bath goes.
 * @param use what the bath was
 * @param developer what it develops with; null for what does not
 * @returns null for what goes down the drain with much water, as a wetting agent does
 */
export function wasteKindOf(use: RecipeUse, developer: Developer | null): WasteKindId | null {
  switch (use) {
    case 'fixer':
      return 'fixer';
    case 'film-developer':
      return developer?.kind === 'one-bath' ? 'fixer' : 'developer';
    case 'paper-developer':
      return 'developer';
    case 'stop':
      return 'acid';
    case 'pre-bath':
      return 'alkali';
    case 'wetting':
      return null;
  }
}

/** Something that was poured into a waste bottle. */
export interface Pour {
  kind: WasteKindId;
  volumeMl: number;
  /** Films of 80 square inches that went through it. */
  films: number;
  createdMs: number;
}

/** Area of one film, m²: 80 square inches. */
const FILM_M2 = 80 * 0.0254 ** 2;
/** Silver that a film is coated with, g/m². Source: from memory (4 to 8 for camera film); our estimate of its spread. */
const COATED_G_M2 = 5.5;
const LN_SD = 0.35;
/** Silver that an image of density 1 holds, g/m². Source: published (photometric equivalent of developed silver, about 1 g/m² for 1 D; from memory). */
const IMAGE_G_M2_PER_D = 1;
/** Mean density of a negative with its fog. Source: our estimate. */
const MEAN_D = 0.7;
/** z of the 80 % band. */
const Z80 = 1.2816;

/** Grams of silver, with the range that holds in four of five. */
export interface Silver {
  low: number;
  likely: number;
  high: number;
}

/**
 * Silver that films left in a fixer: what they were coated with, less what stayed as the image.
 * @param films films of 80 square inches; 0 or more
 * @returns grams; all 0 for no films. Source: see the values above; our estimate as a whole
 * @example silverOf(10).likely // about 2.5 g
 */
export function silverOf(films: number): Silver {
  const image = IMAGE_G_M2_PER_D * MEAN_D;
  const of = (z: number): number =>
    Math.max(0, COATED_G_M2 * Math.exp(z * LN_SD) - image) * FILM_M2 * Math.max(0, films);
  return { low: of(-Z80), likely: of(0), high: of(Z80) };
}

/** What stands in one waste bottle. */
export interface WasteBottle {
  kind: WasteKindId;
  volumeMl: number;
  films: number;
  /** Null where no silver is to be expected. */
  silver: Silver | null;
  /** When the first of it went in, ms since the epoch; null for an empty one. */
  sinceMs: number | null;
  /** Part of the bottle that is full, 0 to 1. */
  full: number;
}

/**
 * A waste bottle from what was poured into it.
 * @param kind its kind
 * @param pours everything that was poured and not handed in yet; other kinds are left out
 * @param capacityMl what the bottle holds, ml; above 0
 */
export function wasteBottle(kind: WasteKindId, pours: readonly Pour[], capacityMl: number): WasteBottle {
  const own = pours.filter((pour) => pour.kind === kind);
  const volumeMl = own.reduce((sum, pour) => sum + pour.volumeMl, 0);
  const films = own.reduce((sum, pour) => sum + pour.films, 0);
  return {
    kind,
    volumeMl,
    films,
    silver: kind === 'fixer' && films > 0 ? silverOf(films) : null,
    sinceMs: own.length === 0 ? null : Math.min(...own.map(({ createdMs }) => createdMs)),
    full: Math.min(1, volumeMl / capacityMl),
  };
}

/** What its owner says of the waste: how large the bottles are, and what holds where they live. Kept as typed. */
export const wasteFormSchema = z.object({
  capacityMl: z.object({ fixer: typed, developer: typed, acid: typed, alkali: typed }),
  rules: z.string().max(4000),
});
export type WasteForm = z.infer<typeof wasteFormSchema>;

/** As it first opens: five-litre canisters. Source: common practice, no source. */
export const emptyWasteForm: WasteForm = {
  capacityMl: { fixer: 5000, developer: 5000, acid: 5000, alkali: 5000 },
  rules: '',
};

/** What a bottle holds, ml, from what was typed; five litres where that does not read. */
export function capacityOf(form: WasteForm, kind: WasteKindId): number {
  const typedMl = form.capacityMl[kind];
  return typeof typedMl === 'number' && typedMl > 0 ? typedMl : 5000;
}
