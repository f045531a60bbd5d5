'use client';

import {
  batchCost,
  boughtPerFilm,
  noPrices,
  oneBathPerFilm,
  priceKey,
  priceProblem,
  pricesFormSchema,
  type PricesForm,
} from '@/core/brewing/cost';
import { formatNumber, type QuantityKind } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { Quantity } from '@/ui/Quantity';
import type { BenchPart } from './Workbench';

/** What a film costs in this brew, in the one-bath and in a bought developer, from the user's own prices. */
export function CostPanel({ inHand: { form, shown } }: Pick<BenchPart, 'inHand'>) {
  const { form: prices, change } = useDraft('prices', pricesFormSchema, (kept) => kept ?? noPrices());
  const units = useSettings();
  if (shown === null || prices === null) return null;
  const reels = form.scaleTo === 'tank' && typeof form.reels === 'number' ? form.reels : 1;
  const { parts } = shown.batch;
  const cost = batchCost(parts, reels, prices);
  const currency = prices.currency.trim();
  const money = (value: number): string => `${formatNumber(value, 2)} ${currency}`;
  const setPrice = (key: string, part: Partial<PricesForm['of'][string]>): void =>
    change((now) => ({ of: { ...now.of, [key]: { price: '', per: '', ...now.of[key], ...part } } }));
  const field = (
    id: string,
    label: string,
    kind: QuantityKind,
    value: number | string,
    mayBeZero: boolean,
    onChange: (value: number | string) => void,
  ) => (
    <Quantity
      id={id}
      label={label}
      kind={kind}
      units={units}
      value={value}
      onChange={onChange}
      error={priceProblem(value, mayBeZero) ?? undefined}
    />
  );
  return (
    <section aria-labelledby="cost">
      <h2 id="cost">Cost per film</h2>
      <table className="mt-2 w-full border-collapse" aria-label="Cost of a film">
        <tbody>
          {(
            [
              [
                'In this brew',
                cost === null ? null : money(cost.perFilm),
                cost === null
                  ? 'type a price below'
                  : [
                      reels === 1 ? 'one film in it' : `${reels} films in it`,
                      cost.missing.length > 0
                        ? `without ${cost.missing.map((name) => name.split(',')[0]?.toLowerCase()).join(', ')}`
                        : '',
                    ]
                      .filter(Boolean)
                      .join(', '),
              ],
              [
                'In the one-bath',
                moneyOrNull(oneBathPerFilm(prices), money),
                `${typeof prices.oneBath.films === 'number' ? prices.oneBath.films : '…'} films to a kit`,
              ],
              ['In a bought developer', moneyOrNull(boughtPerFilm(prices), money), 'used once'],
            ] as const
          ).map(([name, amount, note]) => (
            <tr key={name} className="border-t border-hair">
              <th scope="row" className="py-1.5 text-start font-normal">
                {name} <span className="text-[13px] text-ink2">{note}</span>
              </th>
              <td className="num py-1.5 text-end">{amount ?? 'not priced'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <details className="mt-3 border-t border-hair pt-2">
        <summary className="act-plain">Your prices</summary>
        <div className="mt-3 space-y-3">
          <label className="flex items-baseline gap-3">
            Currency{' '}
            <input
              className="box w-[72px]"
              maxLength={6}
              value={prices.currency}
              onChange={(event) => change({ currency: event.target.value })}
            />
          </label>
          {parts.map((part) => {
            const key = priceKey(part);
            const { price = '', per = '' } = prices.of[key] ?? {};
            return (
              <div key={part.key} className="grid grid-cols-2 gap-4">
                {field(`price-${part.key}`, part.name, 'money', price, true, (value) =>
                  setPrice(key, { price: value }),
                )}
                {field(
                  `per-${part.key}`,
                  'for',
                  part.unit === 'ml' ? 'volume' : part.unit === 'tablets' ? 'tablets' : 'mass',
                  per,
                  false,
                  (value) => setPrice(key, { per: value }),
                )}
              </div>
            );
          })}
          <div className="grid grid-cols-2 gap-4 border-t border-hair pt-3">
            {field('price-one-bath', 'One-bath kit', 'money', prices.oneBath.price, true, (price) =>
              change((now) => ({ oneBath: { ...now.oneBath, price } })),
            )}
            {field('films-one-bath', 'does films', 'count', prices.oneBath.films, false, (films) =>
              change((now) => ({ oneBath: { ...now.oneBath, films } })),
            )}
          </div>
          <div className="grid grid-cols-3 gap-4">
            {field('price-bought', 'Bought developer', 'money', prices.bought.price, true, (price) =>
              change((now) => ({ bought: { ...now.bought, price } })),
            )}
            {field('bottle-bought', 'a bottle of', 'volume', prices.bought.bottleMl, false, (bottleMl) =>
              change((now) => ({ bought: { ...now.bought, bottleMl } })),
            )}
            {field('film-bought', 'a film takes', 'volume', prices.bought.perFilmMl, false, (perFilmMl) =>
              change((now) => ({ bought: { ...now.bought, perFilmMl } })),
            )}
          </div>
        </div>
      </details>
    </section>
  );
}

function moneyOrNull(value: number | null, money: (value: number) => string): string | null {
  return value === null ? null : money(value);
}
