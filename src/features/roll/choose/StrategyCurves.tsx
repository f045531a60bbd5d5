'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { EmptyChart } from '@/ui/EmptyChart';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';

const CurvesChart = dynamic(() => import('./CurvesChart'), {
  ssr: false,
  loading: () => <EmptyChart chart="strategies" />,
});

/** How each strategy would draw the scene, against the film when it was fresh. */
export function StrategyCurves({ plan: { analysis, form } }: { plan: CurrentPlan }) {
  const [open, setOpen] = useState(false);
  if (analysis === null) return null;
  return (
    <details className="border-t-2 border-ink pt-3" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="w-fit underline underline-offset-3">Predicted curves</summary>
      {open && <CurvesChart strategies={analysis.strategies} chosen={form.strategyId} own={analysis.own} />}
    </details>
  );
}
