'use client';

import { curveBetween, negativeGreys, positiveGreys } from '@/core/densitometry/scene';
import { patchGrey } from '@/core/densitometry/patchGrey';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { formatNumber } from '@/core/units/quantity';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { ScenePicture } from '@/features/scene/ScenePicture';
import { classes } from '@/ui/classes';
import { useLight } from '@/ui/light';
import { stale } from '@/ui/stale';
import { Term } from '@/ui/Term';
import { lookWords, shadowWords, strategyWords } from '@/features/words/strategyWords';

/** How the film would look after each strategy, after one's own time, and at the ends of the band: as a negative, and as scanned. */
export function PredictedStrips({ plan }: { plan: CurrentPlan }) {
  const { analysis, form, state } = plan;
  const light = useLight();
  if (analysis === null) return null;
  const { outlooks, logH } = analysis.strategies;
  const { target } = analysis.estimate.gradient;
  const mending = state === 'mending';
  return (
    <section aria-labelledby="looks">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h3 id="looks">How it would look</h3>
        <span className="text-[13px] text-ink2">negative, and as scanned</span>
      </div>
      {light === 'safe' && (
        <p className="no-print mt-1 text-[14px] text-ink2">A red screen cannot show greys: compare in Day light.</p>
      )}
      <div className="mt-2">
        {outlooks.map((outlook) => {
          const chosen = outlook.id === form.strategyId;
          return (
            <div
              key={outlook.id}
              className={classes(
                'grid grid-cols-2 gap-x-3 gap-y-1 border-t border-hair py-2 sm:grid-cols-[132px_1fr_1fr]',
                chosen && 'bg-sheet',
              )}
            >
              <span {...stale(mending, 'col-span-2 leading-tight sm:col-span-1')}>
                <span className="num text-[17px]">{strategyWords[outlook.id].name}</span>
                <span className="num block">{formatMinutes(outlook.timeMin)}</span>
                <span className="block text-[13px] text-ink2">
                  {formatMinutes(outlook.lowMin)}–{formatMinutes(outlook.highMin)}
                </span>
                <span className="block text-[13px] text-ink2">{lookWords(outlook.netGradient, target)}</span>
                {chosen && <span className="block text-[13px] font-[620]">chosen</span>}
              </span>
              <Strip logH={logH} densities={outlook.densities} baseFogD={outlook.baseFogD} mending={mending} />
              <Figures
                mending={mending}
                words={`gradient ${formatNumber(outlook.netGradient, 2)} · base + fog ${formatNumber(outlook.baseFogD, 2)} · shadow separation ${shadowWords(outlook.shadows)}`}
              />
            </div>
          );
        })}
        {analysis.own !== null && (
          <div
            className="grid grid-cols-2 gap-x-3 gap-y-1 border-t border-hair py-2 sm:grid-cols-[132px_1fr_1fr]"
            data-testid="own-outlook"
          >
            <span {...stale(mending, 'col-span-2 leading-tight sm:col-span-1')}>
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
        <div className="grid grid-cols-2 gap-x-3 border-y border-hair py-2 sm:grid-cols-[132px_1fr_1fr]">
          <span {...stale(mending, 'col-span-2 leading-tight sm:col-span-1')}>
            <span className="num text-[17px]">Likely range</span>
            <span className="block text-[13px] text-ink2">softest and hardest likely, scanned</span>
          </span>
          {([analysis.ends.softer, analysis.ends.harder] as const).map((end, index) => (
            <ScenePicture
              key={index}
              className={classes(mending && 'stale')}
              label={index === 0 ? 'Softest likely, scanned' : 'Hardest likely, scanned'}
              greys={positiveGreys(curveBetween(logH, end.densities), end.baseFogD)}
            />
          ))}
        </div>
      </div>
      <p className="mt-1 text-[13px] text-ink2">
        One scene, exposed at the film’s speed: <Term id="average-gradient">net gradient</Term>,{' '}
        <Term id="base-fog">base + fog</Term> and <Term id="shadow-separation">shadow separation</Term> as predicted.
        {form.developerKind !== 'one-bath' && (
          <>
            {' '}
            The ways are <Term id="hold" />, <Term id="extend" /> and <Term id="stand">Stand</Term>.
          </>
        )}
      </p>
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
