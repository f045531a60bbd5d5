'use client';

import { useMemo } from 'react';
import { mixSteps } from '@/core/brewing/mixSteps';
import type { UnitChoice } from '@/core/units/quantity';
import { CautionList } from '@/ui/CautionList';
import { stale } from '@/ui/stale';
import { stepAmountWords } from '@/features/words/stepWords';
import type { BenchPart } from './Workbench';

/** What goes in when, what it does, and what to mind while it does. */
export function OrderPanel({ inHand: { shown, mending }, units }: Pick<BenchPart, 'inHand'> & { units: UnitChoice }) {
  const batch = shown?.batch;
  const steps = useMemo(() => (batch === undefined ? [] : mixSteps(batch)), [batch]);
  if (batch === undefined) return null;
  return (
    <section aria-labelledby="order" {...stale(mending)}>
      <h2 id="order">Order of mixing</h2>
      <ol className="mt-2" aria-label="Order of mixing">
        {steps.map((step, index) => (
          <li key={step.id} className="rule-row grid grid-cols-[24px_minmax(0,1fr)] gap-x-2">
            <span className="num text-ink2">{index + 1}</span>
            <div>
              <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                <b className="font-[620]">{step.title}</b>
                <span className="num whitespace-nowrap">{stepAmountWords(step, batch, units)}</span>
              </p>
              {step.say.length > 0 && <p className="text-[14px] text-ink2">{step.say.join(' ')}</p>}
              {step.cautions.length > 0 && (
                <div className="mt-1">
                  <CautionList cautions={step.cautions} />
                </div>
              )}
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}
