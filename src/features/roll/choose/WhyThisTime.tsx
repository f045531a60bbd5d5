'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { isGuess } from '@/core/estimate/isGuess';
import type { UnitChoice } from '@/core/units/quantity';
import { useTriedFound } from '@/features/roll/plan/trial';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { ledgerInShort } from '@/features/words/ledgerInShort';
import { EmptyChart } from '@/ui/EmptyChart';
import { stale } from '@/ui/stale';
import { PlanLedger } from './PlanLedger';
import { PredictedStrips } from './PredictedStrips';
import { StrategyCurves } from './StrategyCurves';
import { WhatIf } from './WhatIf';

const GradientChart = dynamic(() => import('./GradientChart'), {
  ssr: false,
  loading: () => <EmptyChart chart="gradient" />,
});

/** The reasons behind the time, and what it would be otherwise: the ledger, the curve, what if, and pictures. */
export function WhyThisTime({ plan, units }: { plan: CurrentPlan; units: UnitChoice }) {
  const [open, setOpen] = useState(false);
  const { analysis, state } = plan;
  if (analysis === null) return null;
  const { estimate } = analysis;
  const guess = isGuess(estimate);
  return (
    <details
      id="why"
      className="border-y border-hair py-2.5"
      onToggle={(event) => {
        if (event.target === event.currentTarget) setOpen(event.currentTarget.open);
      }}
    >
      <summary className="min-h-6 cursor-pointer">
        <b>Why this time</b>{' '}
        {!open && !guess && (
          <span {...stale(state === 'mending', 'text-[14px] text-ink2')}>{ledgerInShort(estimate.ledger)}</span>
        )}
      </summary>
      {open && (
        <div className="mt-3 space-y-6">
          <LiveLedger plan={plan} units={units} />
          {/* What moves is painted apart from what stands. */}
          {!guess && (
            <div className="isolate space-y-2 *:isolate">
              <div {...stale(state === 'mending')}>
                <LiveChart plan={plan} />
              </div>
              <WhatIf plan={plan} units={units} />
            </div>
          )}
          {!guess && <PredictedStrips plan={plan} />}
          {!guess && (
            <div {...stale(state === 'mending')}>
              <StrategyCurves plan={plan} />
            </div>
          )}
        </div>
      )}
    </details>
  );
}

/** The ledger, as it stands or as it is tried out. */
function LiveLedger({ plan, units }: { plan: CurrentPlan; units: UnitChoice }) {
  const analysis = useTriedFound(plan.trials)?.estimatePreview ?? plan.analysis;
  return (
    <div className="contain-layout">
      <PlanLedger analysis={analysis} plan={plan} units={units} />
    </div>
  );
}

/** The curve, as it stands or as it is tried out. */
function LiveChart({ plan }: { plan: CurrentPlan }) {
  const analysis = useTriedFound(plan.trials)?.estimatePreview ?? plan.analysis;
  return analysis === null ? <EmptyChart chart="gradient" /> : <GradientChart analysis={analysis} />;
}
