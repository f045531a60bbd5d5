'use client';

import {
  developerCost,
  noPrices,
  priceProblem,
  pricesFormSchema,
  rollCost,
  type PricesForm,
} from '@/core/brewing/cost';
import { waterOfRun } from '@/core/run/waterOfRun';
import { formatNumber } from '@/core/units/quantity';
import { jugMoneyPerFilm } from '@/core/brewing/jugMoney';
import { useJugsOfRun, useSettings, type RollDossier, type UsedJug } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { Quantity } from '@/ui/Quantity';
import { useNow } from '@/ui/useNow';

/** How often the age of the jugs is looked at again, ms. */
const LOOK_AGAIN_MS = 600_000;

/** Tank that is reckoned with where a run says nothing of its own, ml. Source: our choice. */
const USUAL_TANK_ML = 500;

/** Baths by the liquid that they are filled with. */
const bathOf = { fixer: 'fixer', acid: 'stop', wetting: 'wetting' } as const;

/** Money and water of a whole roll, from the film to the last bath, against a one-bath and a bought developer. */
export function RollCost({ dossier: { roll, run, brew } }: { dossier: RollDossier }) {
  const units = useSettings();
  const { form: prices, change } = useDraft<PricesForm>('prices', pricesFormSchema, (kept) => kept ?? noPrices());
  const jugs = useJugsOfRun(run, brew);
  const nowMs = useNow(LOOK_AGAIN_MS);
  if (run === undefined || prices === null) return null;
  const moneyIn = (used: UsedJug | undefined, filmsPerL: number | null): number | null =>
    used === undefined ? null : jugMoneyPerFilm(used.jug, used.parent, filmsPerL, nowMs);
  const liquids = new Set(run.steps.map(({ liquid }) => liquid));
  const baths = (Object.keys(bathOf) as (keyof typeof bathOf)[])
    .filter((id) => liquids.has(id))
    .map((liquid) => {
      const id = bathOf[liquid];
      const { films } = prices.baths[id];
      return { id, ofBottle: moneyIn(jugs?.[id], typeof films === 'number' ? films : null) };
    });
  const waterL = waterOfRun(run.steps, run.volumeMl ?? USUAL_TANK_ML);
  const cameOut = roll.archive?.cameOut ?? roll.archive?.frames ?? 0;
  const { lines, total, perFrame, instead } = rollCost(
    {
      developer: developerCost(brew, run.setup?.developer.kind, moneyIn(jugs?.developer, null), prices),
      baths,
      waterL,
      cameOut,
    },
    prices,
  );
  const money = (amount: number | null): string =>
    amount === null ? 'not priced' : `${formatNumber(amount, 2)} ${prices.currency.trim()}`;
  const row = ({ name, amount }: { name: string; amount: number | null }) => (
    <tr key={name} className="border-t border-hair">
      <th scope="row" className="py-1 text-start font-normal">
        {name}
      </th>
      <td className="num py-1 text-end">{money(amount)}</td>
    </tr>
  );
  const field = (
    id: string,
    label: string,
    value: number | string,
    onChange: (value: number | string) => void,
    kind: 'money' | 'count' = 'money',
  ) => (
    <Quantity
      id={`price-of-${id}`}
      label={label}
      kind={kind}
      units={units}
      value={value}
      onChange={onChange}
      error={priceProblem(value, kind === 'money') ?? undefined}
    />
  );
  return (
    <details className="mt-4 mb-4 measure border-t border-hair pt-2">
      <summary className="act-plain">
        What it cost{total !== null && `: ${money(total)}`}, and {formatNumber(waterL, 1)} l of water
      </summary>
      <table className="mt-2 w-full max-w-[420px] border-collapse" aria-label="Cost of the roll">
        <tbody>
          {lines.map(row)}
          <tr className="border-t-2 border-ink font-bold">
            <th scope="row" className="py-1 text-start">
              In all
            </th>
            <td className="num py-1 text-end">{money(total)}</td>
          </tr>
          {cameOut > 0 && row({ name: `For each of ${cameOut} frames`, amount: perFrame })}
          {instead.map(row)}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-ink2">
        What is not priced is left out of the sums. A bottle that has its price on its own page goes by that. The
        powders of a kitchen brew are priced on its worksheet.
      </p>
      <div className="mt-3 grid max-w-[560px] grid-cols-2 gap-4">
        {field('film', 'A roll of film', prices.film, (film) => change({ film }))}
        {field('water', 'A cubic metre of water', prices.water, (water) => change({ water }))}
        {(['fixer', 'stop', 'wetting'] as const).map((id) => (
          <div key={id} className="col-span-2 grid grid-cols-2 gap-4">
            {field(id, bathWords[id], prices.baths[id].price, (price) =>
              change((now) => ({ baths: { ...now.baths, [id]: { ...now.baths[id], price } } })),
            )}
            {field(
              `${id}-films`,
              'does films',
              prices.baths[id].films,
              (films) => change((now) => ({ baths: { ...now.baths, [id]: { ...now.baths[id], films } } })),
              'count',
            )}
          </div>
        ))}
      </div>
    </details>
  );
}

const bathWords = { fixer: 'A litre of fixer', stop: 'A litre of stop', wetting: 'A litre of wetting bath' } as const;
