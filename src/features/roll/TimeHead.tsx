'use client';

import type { Glance } from '@/core/estimate/study';
import { developerName } from '@/core/plan/developerName';
import type { PlanChoices } from '@/core/plan/planForm';
import { formatMinutes } from '@/core/units/duration';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { Band } from '@/ui/Band';
import { classes } from '@/ui/classes';
import { lowerFirst } from './ledgerWords';

/** The one number, and its band to scale. */
export function TimeHead({ study, choices, current, units }: { study: Glance; choices: PlanChoices; current: boolean; units: UnitChoice }) {
  const { timeMin, band } = study.estimate;
  return (
    <div aria-live="polite" className={classes(!current && 'opacity-60')}>
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <span className="num text-[64px] leading-none tracking-[-.03em] sm:text-[82px]" data-testid="time">
          {formatMinutes(timeMin)}
        </span>
        <div className="min-w-0">
          <div>
            develop at {formatQuantity(study.request.temperatureC, 'temperature', units)} in {lowerFirst(developerName(choices.developer))}
          </div>
          <div className="text-[14px] text-ink2" data-testid="band">
            four times in five between {formatMinutes(band.lowMin)} and {formatMinutes(band.highMin)}
          </div>
        </div>
      </div>
      <div className="mt-3">
        <Band timeMin={timeMin} lowMin={band.lowMin} highMin={band.highMin} />
      </div>
    </div>
  );
}
