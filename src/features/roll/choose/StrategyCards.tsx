'use client';

import { useId } from 'react';
import { curveBetween, positiveGreys } from '@/core/densitometry/scene';
import { developerName } from '@/core/plan/developerName';
import { formatMinutes } from '@/core/units/duration';
import { lowerFirst } from '@/core/units/lowerFirst';
import type { StrategyOutlook } from '@/core/estimate/strategies';
import { partsWords } from '@/features/dilution/dilutionWords';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { ScenePicture } from '@/features/scene/ScenePicture';
import { classes } from '@/ui/classes';
import { stale } from '@/ui/stale';
import { Tick } from '@/ui/Tick';
import { lookWords, strategyReasons, strategyWords } from '@/features/words/strategyWords';

/** The strategies as pictures of one scene, each with its time: a tap takes it. A one-bath has one way only. */
export function StrategyCards({ plan }: { plan: CurrentPlan }) {
  const { analysis, form, state, change, chooseStrategy } = plan;
  const group = useId();
  if (analysis === null || form.developerKind === 'one-bath') return null;
  const { outlooks, recommended, reason, logH } = analysis.strategies;
  const { target } = analysis.estimate.gradient;
  const mending = state === 'mending';
  return (
    <fieldset>
      <legend className="sr-only">Strategy</legend>
      <div className="grid grid-cols-3 gap-2 sm:gap-3">
        {outlooks.map((outlook) => {
          const chosen = outlook.id === form.strategyId;
          const { name } = strategyWords[outlook.id];
          return (
            <label
              key={outlook.id}
              className={classes(
                'relative block cursor-pointer border p-2 sm:p-2.5',
                'has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-chem',
                chosen ? 'border-ink bg-sheet shadow-[inset_0_0_0_1px_var(--color-ink)]' : 'border-hair',
              )}
            >
              <input
                type="radio"
                name={group}
                // Its words are out of reach while they are from before.
                aria-label={mending ? name : `${name}, ${formatMinutes(outlook.timeMin)}`}
                className="absolute inset-0 size-full cursor-pointer opacity-0"
                checked={chosen}
                onChange={() => chooseStrategy(outlook.id)}
              />
              <span {...stale(mending, 'flex flex-wrap items-baseline justify-between gap-x-2')}>
                <span className="num text-[17px] sm:text-[19px]">{name}</span>
                <span className="num text-[17px] sm:text-[19px]">{formatMinutes(outlook.timeMin)}</span>
              </span>
              <ScenePicture
                className={classes('mt-1', mending && 'stale')}
                label={`${name}, as scanned`}
                greys={positiveGreys(curveBetween(logH, outlook.densities), outlook.baseFogD)}
              />
              <span {...stale(mending, 'mt-1 block text-[13px] leading-snug text-ink2')}>
                Contrast {lookWords(outlook.netGradient, target)}
                {developerName(outlook.developer) !== developerName(analysis.request.developer) &&
                  `, in ${dilutionOf(outlook.developer)}`}
                .{outlook.id === recommended && <b className="block text-ink">Recommended</b>}
              </span>
            </label>
          );
        })}
      </div>
      <p {...stale(mending, 'mt-2 text-[14px]')}>
        <b>{strategyWords[recommended].name}</b> is recommended: {strategyReasons[reason]}
      </p>
      {form.strategyId === 'extend' && (
        <Tick
          id="liftCap"
          label="Allow more than +50 %"
          checked={form.liftCap}
          onChange={(liftCap) => change({ liftCap })}
        />
      )}
    </fieldset>
  );
}

/** A developer by what sets it apart from the same one otherwise diluted. */
function dilutionOf(developer: StrategyOutlook['developer']): string {
  return developer.kind === 'concentrate' ? partsWords(developer.parts) : lowerFirst(developerName(developer));
}
