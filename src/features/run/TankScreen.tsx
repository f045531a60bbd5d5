'use client';

import { useRouter } from 'next/navigation';
import type { Roll, Run } from '@/core/records/records';
import { useRun } from '@/data/queries';
import { useLeadership } from '@/ui/useLeadership';
import { NotHere } from '@/features/shell/NotHere';
import { Tank } from './Tank';
import { useTankClock } from './useTankClock';
import { useTankRun } from './useTankRun';

/** How often the screen looks at the clock, ms. The time itself comes from stored instants. */
export const TICK_MS = 200;

/** The run, for wet hands. */
export function TankScreen({ runId }: { runId: string }) {
  const asked = useRun(runId);
  // A roll that shares a tank is led by that tank's clock.
  const shared = useRun(asked?.run.tankRunId ?? runId);
  const found = shared ?? asked;
  if (found === undefined || shared === undefined) return <p aria-busy="true">Opening the tank.</p>;
  if (found === null) return <NotHere table="runs" id={runId} what="This run" />;
  return <StoredTank run={found.run} roll={found.roll} />;
}

/** A run that is kept. */
function StoredTank({ run, roll }: { run: Run; roll: Roll }) {
  const router = useRouter();
  const clock = useTankClock(TICK_MS);
  const { leads, takeOver } = useLeadership(`aetas-run-${run.id}`);
  const kept = useTankRun(run);
  return (
    <Tank
      run={run}
      roll={roll}
      clock={clock}
      leads={leads}
      takeOver={takeOver}
      kept={kept}
      leave={(judge) => router.push(`/rolls/${encodeURIComponent(roll.id)}${judge ? '#judge' : ''}`)}
    />
  );
}
