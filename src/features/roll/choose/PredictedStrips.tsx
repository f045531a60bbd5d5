'use client';

import { useId } from 'react';
import { curveBetween, negativeGreys, positiveGreys } from '@/core/densitometry/scene';
import { patchGrey } from '@/core/densitometry/patchGrey';
import { developerName } from '@/core/plan/developerName';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { lowerFirst } from '@/core/units/lowerFirst';
import type { StrategyOutlook } from '@/core/estimate/strategies';
import { partsWords } from '@/features/dilution/dilutionWords';
import { formatNumber } from '@/core/units/quantity';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { ScenePicture } from '@/features/scene/ScenePicture';
import { classes } from '@/ui/classes';
import { useLight } from '@/ui/light';
import { stale } from '@/ui/stale';
import { Term } from '@/ui/Term';
import { Tick } from '@/ui/Tick';
import { lookWords, shadowWords, strategyReasons, strategyWords } from '@/features/words/strategyWords';

/** How the film would look after each strategy, after one's own time, and at the ends of the band: as a negative, and as scanned. */
export function PredictedStrips({ plan }: { plan: CurrentPlan }) {
  const { analysis, form, state, chooseStrategy, change } = plan;
  const group = useId();
  const light = useLight();
  if (analysis === null) return null;
  const { outlooks, recommended, reason, logH } = analysis.strategies;
  const { target } = analysis.estimate.gradient;
  const mending = state === 'mending';
  return (
    <section aria-labelledby="strategies">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 id="strategies">How it would look</h2>
        <span className="text-[13px] text-ink2">negative, and as scanned</span>
      </div>
      <p className="mt-1 max-w-[62ch]">
        <b>{strategyWords[recommended].name}</b> is recommended: {strategyReasons[reason]}
      </p>
      {light === 'safe' && (
        <p className="mt-1 text-[14px] text-ink2">A red screen cannot show greys: compare in Day light.</p>
      )}
      <div className="mt-2">
        {outlooks.map((outlook) => {
          const chosen = outlook.id === form.strategyId;
          return (
            <label
              key={outlook.id}
              className={classes(
                'grid cursor-pointer grid-cols-2 gap-x-3 gap-y-1 border-t border-hair px-2 py-2 sm:grid-cols-[132px_1fr_1fr]',
                chosen && 'bg-sheet outline-2 -outline-offset-1 outline-ink',
              )}
            >
              <span className="col-span-2 flex gap-2.5 sm:col-span-1">
                <input
                  type="radio"
                  name={group}
                  // Its words are out of reach while they are from before.
                  aria-label={
                    mending
                      ? strategyWords[outlook.id].name
                      : `${strategyWords[outlook.id].name}, ${formatMinutes(outlook.timeMin)}`
                  }
                  className="mt-1 size-[18px] shrink-0"
                  checked={chosen}
                  onChange={() => chooseStrategy(outlook.id)}
                />
                <span {...stale(mending, 'min-w-0 leading-tight')}>
                  <span className="num text-[17px]">{strategyWords[outlook.id].name}</span>
                  <span className="num block">{formatMinutes(outlook.timeMin)}</span>
                  <span className="block text-[13px] text-ink2">
                    {formatMinutes(outlook.lowMin)}–{formatMinutes(outlook.highMin)}
                  </span>
                  <span className="block text-[13px] text-ink2">{lookWords(outlook.netGradient, target)}</span>
                  {developerName(outlook.developer) !== developerName(analysis.request.developer) && (
                    <span className="block text-[13px] text-ink2">in {dilutionOf(outlook.developer)}</span>
                  )}
                  {outlook.id === recommended && <span className="block text-[13px] font-[620]">recommended</span>}
                </span>
              </span>
              <Strip logH={logH} densities={outlook.densities} baseFogD={outlook.baseFogD} mending={mending} />
              <Figures
                mending={mending}
                words={`gradient ${formatNumber(outlook.netGradient, 2)} · base + fog ${formatNumber(outlook.baseFogD, 2)} · shadow separation ${shadowWords(outlook.shadows)}`}
              />
            </label>
          );
        })}
        {analysis.own !== null && (
          <div
            className="grid grid-cols-2 gap-x-3 gap-y-1 border-t border-hair px-2 py-2 sm:grid-cols-[132px_1fr_1fr]"
            data-testid="own-outlook"
          >
            <span {...stale(mending, 'col-span-2 leading-tight sm:col-span-1 sm:pl-[28px]')}>
              <span className="num text-[17px]">My time</span>
              <span className="num block">{formatDuration(Math.round(analysis.own.timeMin * 60))}</span>
              <span className="block text-[13px] text-ink2">{lookWords(analysis.own.netGradient, target)}</span>
            </span>
            <Strip logH={logH} densities={analysis.own.densities} baseFogD={analysis.own.baseFogD} mending={mending} />
            <Figures
              mending={mending}
              words={`gradient ${formatNumber(analysis.own.netGradient, 2)} · base + fog ${formatNumber(analysis.own.baseFogD, 2)} · shadow separation ${shadowWords(analysis.own.shadows)}`}
            />
          </div>
        )}
        <div className="grid grid-cols-2 gap-x-3 border-y border-hair px-2 py-2 sm:grid-cols-[132px_1fr_1fr]">
          <span {...stale(mending, 'col-span-2 leading-tight sm:col-span-1 sm:pl-[28px]')}>
            <span className="num text-[17px]">Band</span>
            <span className="block text-[13px] text-ink2">as soft and as hard as it may turn out, scanned</span>
          </span>
          {([analysis.ends.softer, analysis.ends.harder] as const).map((end, index) => (
            <ScenePicture
              key={index}
              className={classes(mending && 'stale')}
              label={index === 0 ? 'The softer end of the band, scanned' : 'The harder end of the band, scanned'}
              greys={positiveGreys(curveBetween(logH, end.densities), end.baseFogD)}
            />
          ))}
        </div>
      </div>
      <p className="mt-1 text-[13px] text-ink2">
        One scene, exposed at the film’s index: <Term id="average-gradient">net gradient</Term>,{' '}
        <Term id="base-fog">base + fog</Term> and <Term id="shadow-separation">shadow separation</Term> as predicted.
        {form.developerKind !== 'one-bath' && (
          <>
            {' '}
            The ways are <Term id="hold" />, <Term id="extend" /> and <Term id="stand">Stand</Term>.
          </>
        )}
      </p>
      {form.strategyId === 'extend' && (
        <Tick
          id="liftCap"
          label="Allow more than +15 % per stop, +50 % in total"
          checked={form.liftCap}
          onChange={(liftCap) => change({ liftCap })}
        />
      )}
    </section>
  );
}

interface StripProps {
  logH: readonly number[];
  densities: readonly number[];
  baseFogD: number;
  mending: boolean;
}

/** One film, as a negative with its rim and as scanned. */
function Strip({ logH, densities, baseFogD, mending }: StripProps) {
  const curve = curveBetween(logH, densities);
  return (
    <>
      <ScenePicture className={classes(mending && 'stale')} greys={negativeGreys(curve)} rim={patchGrey(baseFogD)} />
      <ScenePicture className={classes(mending && 'stale')} greys={positiveGreys(curve, baseFogD)} />
    </>
  );
}

function Figures({ words, mending }: { words: string; mending: boolean }) {
  return <span {...stale(mending, 'col-span-2 text-[13px] leading-tight text-ink2 sm:col-start-2')}>{words}</span>;
}

/** A developer by what sets it apart from the same one otherwise diluted. */
function dilutionOf(developer: StrategyOutlook['developer']): string {
  return developer.kind === 'concentrate' ? partsWords(developer.parts) : lowerFirst(developerName(developer));
}
