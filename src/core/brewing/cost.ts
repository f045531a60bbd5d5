import * as z from 'zod';
import { typed } from '../schema/typed';
import type { Developer } from './composition';
import { amountOf, type BrewPart } from './part';

/** What something costs: a price for an amount, as typed. */
export const priceFormSchema = z.object({ price: typed, per: typed });

const bathPriceSchema = z.object({ price: typed, films: typed });

/** Films that a litre of each bath does. Source: common practice, no source. */
const usualBath = {
  fixer: { price: '', films: 12 },
  stop: { price: '', films: 15 },
  wetting: { price: '', films: 20 },
};

/** The user's prices as typed, by what they are of. They are kept as typed and read when they are needed. */
export const pricesFormSchema = z.object({
  currency: z.string().max(6),
  of: z.record(z.string(), priceFormSchema),
  /** The one-bath kit: its price, and how many films it is said to do. */
  oneBath: z.object({ price: typed, films: typed }),
  /** A bought developer: price of a bottle, its volume, and what one film takes. */
  bought: z.object({ price: typed, bottleMl: typed, perFilmMl: typed }),
  /** A roll of film. */
  film: typed.default(''),
  /** Baths by the litre as it is used, and the films that a litre does. */
  baths: z
    .object({ fixer: bathPriceSchema, stop: bathPriceSchema, wetting: bathPriceSchema })
    .default({ fixer: usualBath.fixer, stop: usualBath.stop, wetting: usualBath.wetting }),
  /** A cubic metre of water. */
  water: typed.default(''),
});

export type PricesForm = z.infer<typeof pricesFormSchema>;

/** Films that a litre of one-bath does. Source: common practice, no source. */
const ONE_BATH_FILMS_PER_L = 11;

/** No prices yet. */
export function noPrices(): PricesForm {
  return {
    currency: '€',
    of: {},
    oneBath: { price: '', films: ONE_BATH_FILMS_PER_L },
    bought: { price: '', bottleMl: 500, perFilmMl: 20 },
    film: '',
    baths: usualBath,
    water: '',
  };
}

/** Under what a part's price is kept: the same powder in every recipe is one price. */
export function priceKey({ makeup, name }: Pick<BrewPart, 'makeup' | 'name'>): string {
  return makeup.kind === 'substance' ? makeup.substanceId : `${makeup.kind}:${name.toLowerCase()}`;
}

/** What a batch costs, as far as prices are known. */
export interface Cost {
  /** Sum of what is priced. */
  total: number;
  perFilm: number;
  /** Names without a price: the sum is without them. */
  missing: string[];
}

const positive = (value: number | string): number | null =>
  typeof value === 'number' && value > 0 && Number.isFinite(value) ? value : null;
const notNegative = (value: number | string): number | null =>
  typeof value === 'number' && value >= 0 && Number.isFinite(value) ? value : null;

/**
 * Cost of a batch.
 * @param parts what goes in
 * @param films films that it develops; above 0
 * @param prices the user's prices
 * @returns null while nothing in it is priced
 */
export function batchCost(parts: readonly BrewPart[], films: number, prices: PricesForm): Cost | null {
  const missing: string[] = [];
  let total = 0;
  let priced = 0;
  for (const part of parts) {
    const { price = '', per = '' } = prices.of[priceKey(part)] ?? {};
    const [cost, amount] = [notNegative(price), positive(per)];
    if (cost === null || amount === null) missing.push(part.name);
    else {
      total += (amountOf(part) * cost) / amount;
      priced += 1;
    }
  }
  return priced === 0 ? null : { total, perFilm: total / films, missing };
}

/** Cost of a film in the one-bath; null while it is not priced. */
export function oneBathPerFilm({ oneBath }: PricesForm): number | null {
  const [price, films] = [notNegative(oneBath.price), positive(oneBath.films)];
  return price === null || films === null ? null : price / films;
}

/** Cost of a film in a bought developer; null while it is not priced. */
export function boughtPerFilm({ bought }: PricesForm): number | null {
  const [price, bottleMl, perFilmMl] = [
    notNegative(bought.price),
    positive(bought.bottleMl),
    positive(bought.perFilmMl),
  ];
  return price === null || bottleMl === null || perFilmMl === null ? null : (price * perFilmMl) / bottleMl;
}

/**
 * What is wrong with a price that was typed.
 * @returns a sentence, or null when it is fine or still empty
 */
export function priceProblem(value: number | string, mayBeZero: boolean): string | null {
  if (value === '') return null;
  if (typeof value === 'string') return `“${value}” is not a number: type digits, such as 4.50.`;
  if (mayBeZero ? value >= 0 : value > 0) return null;
  return mayBeZero ? 'A price cannot be below 0.' : 'Give an amount above 0.';
}

/** What a roll was developed with. */
export interface RollSpent {
  /** What the film spent in its developer; null where its price is not known. */
  developer: number | null;
  /** Baths that it went through besides, with what one film costs in the bottle that was used; null for one without a price. */
  baths: readonly { id: keyof PricesForm['baths']; ofBottle: number | null }[];
  waterL: number;
  /** Frames that came out; 0 where none did. */
  cameOut: number;
}

/** Money of a whole roll. */
export interface RollCost {
  lines: { name: string; amount: number | null }[];
  /** Sum of what is priced; null while nothing is. */
  total: number | null;
  /** Of that, for each frame that came out; null where none did. */
  perFrame: number | null;
  /** The same roll in the one-bath, and in a bought developer with the same stop, fixer and wash; null where not priced. */
  instead: { name: string; amount: number | null }[];
}

/** Litres in a cubic metre. */
const M3_L = 1000;

/**
 * What a roll cost from the shop to the binder.
 * @param spent what it was developed with
 * @param prices the user's prices
 * @returns the lines in the order of use; those without a price have null, and the sums leave them out
 */
export function rollCost({ developer, baths, waterL, cameOut }: RollSpent, prices: PricesForm): RollCost {
  const share = (id: keyof PricesForm['baths']): number | null => {
    const [price, films] = [notNegative(prices.baths[id].price), positive(prices.baths[id].films)];
    return price === null || films === null ? null : price / films;
  };
  const perM3 = notNegative(prices.water);
  const film = { name: 'Film', amount: notNegative(prices.film) };
  const water = { name: 'Water', amount: perM3 === null ? null : (perM3 * waterL) / M3_L };
  const bathLines = baths.map(({ id, ofBottle }) => ({ name: bathNames[id], amount: ofBottle ?? share(id) }));
  const lines = [film, { name: 'Developer', amount: developer }, ...bathLines, water];
  const total = sumOf(lines);
  const one = oneBathPerFilm(prices);
  const bought = boughtPerFilm(prices);
  const rest = (with_: readonly { amount: number | null }[]): number => sumOf(with_) ?? 0;
  return {
    lines,
    total,
    perFrame: total === null || cameOut <= 0 ? null : total / cameOut,
    instead: [
      // A one-bath fixes as well: of the other baths only the wetting agent is left.
      {
        name: 'In the one-bath',
        amount:
          one === null
            ? null
            : one + rest([film, water, ...bathLines.filter(({ name }) => name === bathNames.wetting)]),
      },
      { name: 'In a bought developer', amount: bought === null ? null : bought + rest([film, water, ...bathLines]) },
    ],
  };
}

const bathNames: Record<keyof PricesForm['baths'], string> = { fixer: 'Fixer', stop: 'Stop', wetting: 'Wetting agent' };

function sumOf(lines: readonly { amount: number | null }[]): number | null {
  const known = lines.flatMap(({ amount }) => (amount === null ? [] : [amount]));
  return known.length === 0 ? null : known.reduce((sum, amount) => sum + amount, 0);
}

/**
 * What one film spent in the developer that it went through.
 * @param brew the jug, where it stands on the bench still
 * @param kind what develops in it; undefined where nobody knows
 * @param ofBottle what one film costs in the bottle that was used; null for one without a price
 * @param prices the user's prices
 */
export function developerCost(
  brew: { parts: readonly BrewPart[]; films: number } | undefined,
  kind: Developer['kind'] | undefined,
  ofBottle: number | null,
  prices: PricesForm,
): number | null {
  if (ofBottle !== null) return ofBottle;
  if (kind === 'one-bath') return oneBathPerFilm(prices);
  if (kind === 'concentrate') return boughtPerFilm(prices);
  return brew === undefined || brew.parts.length === 0
    ? null
    : (batchCost(brew.parts, Math.max(1, brew.films), prices)?.perFilm ?? null);
}
