'use client';

import dynamic from 'next/dynamic';
import { useId } from 'react';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber } from '@/core/units/quantity';
import { classes } from '@/ui/classes';
import { Tick } from '@/ui/Tick';
import { developerName } from '@/core/plan/developerName';
import { EmptyChart } from '@/ui/EmptyChart';
import { shadowWords, strategyReasons, strategyWords } from './strategyWords';
import type { PlanInHand } from '@/features/roll/plan/usePlanForm';

const CurvesChart = dynamic(() => import('./CurvesChart'), {
  ssr: false,
  loading: () => <EmptyChart chart="strategies" />,
});

/** Hold, Extend and Stand side by side: what each takes and gives, and which is recommended. */
export function Strategies({ plan }: { plan: PlanInHand }) {
  const { study, form, state, chooseStrategy, change } = plan;
  const figure = (className: string): string => classes(className, state === 'mending' && 'stale');
  const group = useId();
  if (study === null) return null;
  const { outlooks, recommended, reason } = study.strategies;
  const stand = outlooks.find(({ id }) => id === 'stand');
  return (
    <section aria-labelledby="strategies" className="mt-9 border-t-2 border-ink pt-4">
      <h2 id="strategies">Strategies</h2>
      <p className="mt-1 max-w-[62ch]">
        <b>{strategyWords[recommended].name}</b> is recommended: {strategyReasons[reason]}
      </p>
      <div className="mt-3 overflow-x-auto" role="region" aria-labelledby="strategies" tabIndex={0}>
        <table className="w-full border-collapse">
          <thead>
            <tr className="text-right align-bottom text-[13px] text-ink2">
              <th scope="col" className="py-1 text-left font-normal">
                Strategy
              </th>
              <th scope="col" className="py-1 pl-3 font-normal">
                Time
              </th>
              <th scope="col" className="hidden py-1 pl-3 font-normal sm:table-cell">
                Net gradient
              </th>
              <th scope="col" className="hidden py-1 pl-3 font-normal sm:table-cell">
                Base + fog
              </th>
              <th scope="col" className="hidden py-1 pl-3 font-normal sm:table-cell">
                Shadow separation
              </th>
            </tr>
          </thead>
          <tbody>
            {outlooks.map((outlook) => {
              const chosen = outlook.id === form.strategyId;
              return (
                <tr key={outlook.id} className={classes('border-t border-hair align-baseline', chosen && 'bg-sheet')}>
                  <th scope="row" className="py-2 pr-2 text-left font-normal">
                    <label className="flex cursor-pointer gap-2.5">
                      <input
                        type="radio"
                        name={group}
                        className="mt-1 size-[18px] shrink-0"
                        checked={chosen}
                        onChange={() => chooseStrategy(outlook.id)}
                      />
                      <span>
                        <span className={classes(chosen && 'font-[650]')}>{strategyWords[outlook.id].name}</span>
                        {outlook.id === recommended && <span className="ml-2 text-[13px] text-ink2">recommended</span>}
                        <span className="block text-[13px] leading-tight text-ink2">
                          {strategyWords[outlook.id].does}
                        </span>
                        <span className={figure('mt-1 block text-[13px] leading-tight sm:hidden')}>
                          gradient {formatNumber(outlook.netGradient, 2)} · base + fog{' '}
                          {formatNumber(outlook.baseFogD, 2)} · shadow separation {shadowWords(outlook.shadows)}
                        </span>
                      </span>
                    </label>
                  </th>
                  <td className={figure('py-2 pl-3 text-right whitespace-nowrap')}>
                    <span className="num">{formatMinutes(outlook.timeMin)}</span>
                    <span className="block text-[13px] text-ink2">
                      {formatMinutes(outlook.lowMin)}–{formatMinutes(outlook.highMin)}
                    </span>
                  </td>
                  <td className={figure('num hidden py-2 pl-3 text-right sm:table-cell')}>
                    {formatNumber(outlook.netGradient, 2)}
                  </td>
                  <td className={figure('num hidden py-2 pl-3 text-right sm:table-cell')}>
                    {formatNumber(outlook.baseFogD, 2)}
                  </td>
                  <td className={figure('hidden py-2 pl-3 text-right whitespace-nowrap sm:table-cell')}>
                    {shadowWords(outlook.shadows)}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {form.strategyId === 'extend' && (
        <Tick
          id="liftCap"
          label="Allow more than +15 % per stop, +50 % in total"
          checked={form.liftCap}
          onChange={(liftCap) => change({ liftCap })}
        />
      )}
      {stand !== undefined && form.strategyId !== 'stand' && form.developerKind !== 'one-bath' && (
        <p className="mt-2 text-[13px] text-ink2">
          Stand is calculated with {developerName(stand.developer)}; choosing it dilutes the developer, and switching
          back restores your recipe.
        </p>
      )}
    </section>
  );
}

/** How each strategy would draw the scene, against the film when it was fresh. */
export function StrategyCurves({ plan: { study, form } }: { plan: PlanInHand }) {
  if (study === null) return null;
  return (
    <section aria-labelledby="curves" className="border-t-2 border-ink pt-4">
      <h2 id="curves">Predicted curves</h2>
      <CurvesChart strategies={study.strategies} chosen={form.strategyId} />
    </section>
  );
}
