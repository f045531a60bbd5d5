import * as z from 'zod';
import { typed } from '../schema/typed';
import { amountOf, type BrewPart } from './part';

/** What something costs: a price for an amount, as typed. */
export const priceFormSchema = z.object({ price: typed, per: typed });

/** The user's prices as typed, by what they are of. They are kept as typed and read when they are needed. */
export const pricesFormSchema = z.object({
  currency: z.string().max(6),
  of: z.record(z.string(), priceFormSchema),
  /** The one-bath kit: its price, and how many films it is said to do. */
  oneBath: z.object({ price: typed, films: typed }),
  /** A bought developer: price of a bottle, its volume, and what one film takes. */
  bought: z.object({ price: typed, bottleMl: typed, perFilmMl: typed }),
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
