'use client';

import Link from 'next/link';
import type { EstimatePreview } from '@/core/estimate/analysis';
import { isGuess } from '@/core/estimate/isGuess';
import { developerName } from '@/core/plan/developerName';
import type { PlanChoices } from '@/core/plan/planForm';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { Band } from '@/ui/Band';
import { classes } from '@/ui/classes';
import { Outlook } from './Outlook';
import { MENDING } from '@/ui/mending';
import { stale } from '@/ui/stale';
import { lowerFirst } from '@/core/units/lowerFirst';
import type { PlanState } from './usePlanForm';

interface TimeHeadProps {
  analysis: EstimatePreview;
  choices: PlanChoices;
  state: PlanState;
  units: UnitChoice;
  /** The estimate was made without the log, which is still being read. */
  withoutLog?: boolean;
}

/** The one number, and its band to scale. */
export function TimeHead({ analysis, choices, state, units, withoutLog = false }: TimeHeadProps) {
  const { timeMin, band, widening } = analysis.estimate;
  const mending = state === 'mending';
  const guess = isGuess(analysis.estimate);
  return (
    <div aria-live="polite" className={classes(state === 'following' && 'following')}>
      <Outlook estimate={analysis.estimate} stale={mending} />
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <span {...stale(mending, 'num text-[64px] leading-none tracking-[-.03em] sm:text-[82px]')} data-testid="time">
          {guess ? 'no estimate' : formatMinutes(timeMin)}
        </span>
        <div className="relative min-w-0">
          {/* What it says instead stands in the same room, so that nothing below it moves. */}
          {mending && <p className="absolute inset-x-0 top-0 min-w-[220px]">{MENDING}</p>}
          <div className={classes(mending && 'invisible')}>
            develop at {formatQuantity(analysis.request.temperatureC, 'temperature', units)} in{' '}
            {lowerFirst(developerName(choices.developer))}
            <div className="text-[14px] text-ink2" data-testid="band">
              {guess
                ? 'nothing is known of this developer yet'
                : `80 % likely between ${formatMinutes(band.lowMin)} and ${formatMinutes(band.highMin)}`}
              {withoutLog && '; your log is still being read'}
              {widening > 1 && !guess && (
                <>
                  {' '}
                  <Link href="/log/learned" className="act-plain">
                    drawn {formatNumber(widening, 1)} times as wide
                  </Link>
                </>
              )}
            </div>
          </div>
        </div>
      </div>
      <div {...stale(mending, 'mt-3')}>
        {!guess && <Band timeMin={timeMin} lowMin={band.lowMin} highMin={band.highMin} />}
      </div>
    </div>
  );
}
