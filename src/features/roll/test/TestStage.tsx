'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState } from 'react';
import type { NextTest } from '@/core/estimate/nextTests';
import type { Finding } from '@/core/evidence/evidenceRecord';
import { settingRecordFor } from '@/core/plan/settingRecordFor';
import type { Brew, Roll } from '@/core/records/records';
import { developerName } from '@/core/plan/developerName';
import { formatMinutes } from '@/core/units/duration';
import type { UnitChoice } from '@/core/units/quantity';
import type { RollDossier } from '@/data/queries';
import { ChartForm } from './ChartForm';
import { ClipStrip } from './ClipStrip';
import { ClipTest } from './ClipTest';
import { DropTest } from './DropTest';
import { FogForm } from './FogForm';
import type { TestProps } from './TestProps';
import { testWords, testsByCost } from './testWords';
import { classes } from '@/ui/classes';
import { EmptyChart } from '@/ui/EmptyChart';
import { stale } from '@/ui/stale';
import { Term } from '@/ui/Term';
import { EvidenceList } from './EvidenceList';
import { lowerFirst } from '@/core/units/lowerFirst';
import { PinNote } from '@/features/roll/plan/PinNote';
import { TimeHead } from '@/features/roll/plan/TimeHead';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';

interface TestStageProps {
  dossier: RollDossier;
  plan: CurrentPlan;
  jugs: readonly Brew[];
  /** Names of the rolls that the evidence comes from. */
  rolls: readonly Pick<Roll, 'id' | 'label'>[];
  units: UnitChoice;
}

type Flow = Finding['kind'];

const GradientChart = dynamic(() => import('@/features/roll/choose/GradientChart'), {
  ssr: false,
  loading: () => <EmptyChart chart="gradient" />,
});

/** Tests that can be started from their sentence; a sacrificial roll is a roll of its own. */
const starts: Partial<Record<NextTest['id'], { flow: Flow; label: string }>> = {
  drop: { flow: 'drop', label: 'Start a drop test' },
  clip: { flow: 'clip', label: 'Take a clip' },
};

const row = 'rule-row grid items-baseline gap-x-8 gap-y-1 sm:grid-cols-[minmax(0,1fr)_150px_180px]';

/** What would narrow it, what is known already, and the tests themselves. */
export function TestStage({ dossier, plan, jugs, rolls, units }: TestStageProps) {
  const [flow, setFlow] = useState<Flow | null>(null);
  const { analysis, shown: choices, state } = plan;
  const mending = state === 'mending';
  if (analysis === null || choices === null) return <p className="pt-2 text-ink2">Choose a developer first.</p>;
  const pinned = dossier.plan?.pinned ?? null;
  const { tests, enough } = analysis.next;
  const best = tests.find(({ id }) => starts[id] !== undefined)?.id;
  const flows: TestProps = {
    rollId: dossier.roll.id,
    formatId: dossier.roll.formatId,
    setting: () => settingRecordFor(choices, jugs.find(({ id }) => id === choices.brewId) ?? null, Date.now()),
    brewName: lowerFirst(developerName(choices.developer)),
    timeMin: analysis.estimate.timeMin,
    units,
    onDone: () => setFlow(null),
  };
  return (
    <div>
      <div className="max-w-[640px]">
        <TimeHead analysis={analysis} choices={choices} state={state} units={units} withoutLog={plan.withoutLog} />
        {pinned !== null && <PinNote pinned={pinned} analysis={analysis} units={units} rolls={rolls} />}
      </div>
      {flow === null ? (
        <section aria-labelledby="narrow" className="mt-4 border-t-2 border-ink pt-3">
          <h2 id="narrow">What would narrow it</h2>
          <p className="mt-1 text-[14px] text-ink2">
            A <Term id="clip-test">clip test</Term> costs a bit of the roll, a <Term id="drop-test">drop test</Term> a
            bit of any film.
          </p>
          <ul className="mt-2">
            {testsByCost.map((id) => {
              const test = tests.find((one) => one.id === id);
              if (test === undefined) return null;
              const { sentence, cost } = testWords(id, test.atMin);
              const byEye = id === 'clip' ? tests.find((one) => one.id === 'clip-by-eye') : undefined;
              const start = starts[id];
              return (
                <li key={id} className={row}>
                  <span>
                    {sentence} <span className="text-[14px] text-ink2">Uses {cost}.</span>
                    {byEye && (
                      <span {...stale(mending, 'block text-[14px] text-ink2')}>
                        By eye against patches it would leave {formatMinutes(byEye.lowMin)} to{' '}
                        {formatMinutes(byEye.highMin)}.
                      </span>
                    )}
                  </span>
                  <span {...stale(mending, 'num whitespace-nowrap sm:text-end')}>
                    → {formatMinutes(test.lowMin)}–{formatMinutes(test.highMin)}
                  </span>
                  <span className="sm:text-end">
                    {start !== undefined && (
                      <button
                        type="button"
                        className={classes('act', !enough && id === best && 'act-primary')}
                        onClick={() => setFlow(start.flow)}
                      >
                        {start.label}
                      </button>
                    )}
                  </span>
                </li>
              );
            })}
            <li className={row}>
              <span className={classes(enough && 'font-[620]')}>
                {enough ? 'No test would narrow it by a tenth.' : 'Go on without a test.'}{' '}
                <span className="text-[14px] font-normal text-ink2">Uses nothing.</span>
              </span>
              <span {...stale(mending, 'num whitespace-nowrap sm:text-end')}>
                {formatMinutes(analysis.estimate.band.lowMin)}–{formatMinutes(analysis.estimate.band.highMin)}
              </span>
            </li>
          </ul>
          <p className="mt-4 flex flex-wrap gap-x-6 gap-y-2">
            <span>Or enter what you already have:</span>
            <button type="button" className="act-plain" onClick={() => setFlow('chart')}>
              A leaflet’s time
            </button>
            <button type="button" className="act-plain" onClick={() => setFlow('fog')}>
              A measured base + fog
            </button>
            <Link href={`/rolls/${encodeURIComponent(dossier.roll.id)}/strip`} className="act-plain">
              A strip, from its picture
            </Link>
          </p>
        </section>
      ) : (
        <section className="mt-4 border-t-2 border-ink pt-3">
          {flow === 'drop' && <DropTest {...flows} />}
          {flow === 'clip' && (
            <ClipTest {...flows} strip={<ClipStrip expected={analysis.clip} logH={analysis.strategies.logH} />} />
          )}
          {flow === 'chart' && <ChartForm {...flows} />}
          {flow === 'fog' && <FogForm {...flows} />}
        </section>
      )}
      <div className="mt-8 grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <EvidenceList dossier={dossier} plan={plan} rolls={rolls} units={units} />
        <div {...stale(mending, 'min-w-0')}>
          <GradientChart analysis={analysis} />
        </div>
      </div>
    </div>
  );
}
