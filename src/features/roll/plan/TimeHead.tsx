'use client';

import type { Glance } from '@/core/estimate/study';
import { developerName } from '@/core/plan/developerName';
import type { PlanChoices } from '@/core/plan/planForm';
import { formatMinutes } from '@/core/units/duration';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { Band } from '@/ui/Band';
import { classes } from '@/ui/classes';
import { MENDING } from '@/ui/mending';
import { lowerFirst } from '@/core/units/lowerFirst';
import type { PlanState } from './usePlanForm';

interface TimeHeadProps {
  study: Glance;
  choices: PlanChoices;
  state: PlanState;
  units: UnitChoice;
}

/** Why no picture is to be expected, and what might still help. */
function outlookWords(outlook: 'little-contrast' | 'no-shadows'): string {
  return outlook === 'little-contrast'
    ? 'So much contrast is lost to age and fog that less than half of what is wanted is left. A scanner with a wide range, a stand in dilute developer, or a clip from the middle of the roll may show more than this says.'
    : 'So much speed is lost that no shadow parts from the fog. Bright parts of the scene may still be there: a clip from the middle of the roll would tell.';
}

/** The one number, and its band to scale. */
export function TimeHead({ study, choices, state, units }: TimeHeadProps) {
  const { timeMin, band } = study.estimate;
  const mending = state === 'mending';
  const { outlook, converged } = study.estimate;
  return (
    <div aria-live="polite" className={classes(state === 'following' && 'opacity-80')}>
      {outlook !== 'usable' && (
        <p className={classes('mb-2 border-l-4 border-danger pl-3', mending && 'stale')} role="status">
          <b className="text-danger">Probably no picture.</b> {outlookWords(outlook)} If you try:
        </p>
      )}
      {!converged && (
        <p className="mb-2 border-l-4 border-heat pl-3 text-[14px]">
          The evidence could not be reconciled to the end: this is the best time that was found. Look for a slip among
          it.
        </p>
      )}
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <span
          aria-hidden={mending}
          className={classes('num text-[64px] leading-none tracking-[-.03em] sm:text-[82px]', mending && 'stale')}
          data-testid="time"
        >
          {formatMinutes(timeMin)}
        </span>
        <div className="relative min-w-0">
          {/* What it says instead stands in the same room, so that nothing below it moves. */}
          {mending && <p className="absolute inset-x-0 top-0 min-w-[220px]">{MENDING}</p>}
          <div className={classes(mending && 'invisible')}>
            develop at {formatQuantity(study.request.temperatureC, 'temperature', units)} in{' '}
            {lowerFirst(developerName(choices.developer))}
            <div className="text-[14px] text-ink2" data-testid="band">
              four times in five between {formatMinutes(band.lowMin)} and {formatMinutes(band.highMin)}
            </div>
          </div>
        </div>
      </div>
      <div aria-hidden={mending} className={classes('mt-3', mending && 'stale')}>
        <Band timeMin={timeMin} lowMin={band.lowMin} highMin={band.highMin} />
      </div>
    </div>
  );
}
