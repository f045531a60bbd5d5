'use client';

import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { stageIds, stages, type StageId } from '@/core/plan/rollStages';
import type { Brew } from '@/core/records/records';
import { useBrews, useDossier, useRollNames, useSettings, type RollDossier } from '@/data/queries';
import { Ribbon } from '@/ui/Ribbon';
import { useNow } from '@/ui/useNow';
import { useTitle } from '@/ui/useTitle';
import { ChooseStage } from '@/features/roll/choose/ChooseStage';
import { ExposeStage } from '@/features/roll/expose/ExposeStage';
import { IdentifyStage } from '@/features/roll/identify/IdentifyStage';
import { JudgeStage } from '@/features/roll/judge/JudgeStage';
import { MixStage } from '@/features/roll/mix/MixStage';
import { RunStage } from '@/features/roll/run/RunStage';
import { NotHere } from '@/features/shell/NotHere';
import { Diagnosis } from '@/features/diagnosis/Diagnosis';
import { wentWrong } from '@/core/diagnosis/diagnose';
import { ArchivePanel } from '@/features/archive/ArchivePanel';
import { RollCost } from '@/features/archive/RollCost';
import { Outcome } from './Outcome';
import { TestStage } from '@/features/roll/test/TestStage';
import { rollLine } from '@/features/words/rollWords';
import { stageSummary } from './stageWords';
import { usePlanDraft } from '@/features/drafts/usePlanDraft';
import { usePlanForm } from '@/features/roll/plan/usePlanForm';

/** How often the age of the brew is looked at again, ms. */
const LOOK_AGAIN_MS = 5 * 60_000;

/** One roll: its ribbon is the way from stage to stage, and one stage is open at a time. */
export function RollPage({ rollId }: { rollId: string }) {
  const dossier = useDossier(rollId);
  const brews = useBrews();
  const draft = usePlanDraft(rollId);
  if (dossier === undefined || brews === undefined || draft === null) return <p aria-busy="true">Opening the roll.</p>;
  if (dossier === null) return <NotHere table="rolls" id={rollId} what="This roll" />;
  return (
    <Dossier
      key={rollId}
      dossier={dossier}
      draft={draft.values}
      jugs={brews.filter(({ developer, use }) => developer !== null || use === 'film-developer')}
    />
  );
}

function Dossier({ dossier, draft, jugs }: { dossier: RollDossier; draft: unknown; jugs: readonly Brew[] }) {
  const { roll, stock, standing } = dossier;
  const units = useSettings();
  useTitle(roll.label);
  const nowMs = useNow(LOOK_AGAIN_MS);
  const thisYear = new Date(nowMs).getFullYear();
  const plan = usePlanForm(dossier, draft, jugs, nowMs);
  const stage = useStage(standing.atHand);
  const estimate = plan.analysis?.estimate ?? null;
  const rolls = useRollNames(plan.analysis?.listed.map(({ setting }) => setting.rollId) ?? []);

  const body: Record<StageId, React.ReactNode> = {
    identify: (
      <IdentifyStage
        dossier={dossier}
        analysis={standing.forbidden ? null : plan.analysis}
        units={units}
        nowYear={thisYear}
      />
    ),
    expose: <ExposeStage dossier={dossier} estimate={estimate} />,
    choose: <ChooseStage dossier={dossier} plan={plan} jugs={jugs} rolls={rolls} units={units} />,
    test: <TestStage dossier={dossier} plan={plan} jugs={jugs} rolls={rolls} units={units} />,
    mix: <MixStage dossier={dossier} inHand={plan} />,
    run: <RunStage dossier={dossier} plan={plan} units={units} />,
    judge: <JudgeStage dossier={dossier} />,
  };
  return (
    <>
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <h1>{roll.label}</h1>
        <p className="text-[13px] text-ink2">{rollLine(roll, stock, thisYear)}</p>
      </div>
      <Ribbon
        standing={standing}
        hrefOf={(id) => `#${id}`}
        current={stage}
        summaryOf={(id) => stageSummary(id, dossier, standing.forbidden ? null : estimate, units, thisYear)}
      />
      {stage === null ? (
        <>
          <Outcome dossier={dossier} />
          <ArchivePanel dossier={dossier} />
          <RollCost dossier={dossier} />
          {dossier.verdict !== undefined && wentWrong(dossier.verdict) && (
            <Diagnosis dossier={dossier} verdict={dossier.verdict} />
          )}
        </>
      ) : (
        <section id={stage} aria-labelledby={`${stage}-name`} className="mt-3">
          <h2 id={`${stage}-name`} tabIndex={-1} className="mb-2 w-fit pe-2 text-[17px] leading-tight">
            {stages[stage]}
          </h2>
          {standing.forbidden && stage !== 'identify' ? (
            <p className="text-ink2">Do not process this roll. Identify says what to do.</p>
          ) : (
            body[stage]
          )}
        </section>
      )}
    </>
  );
}

const stageOfHash = (): StageId | null => stageIds.find((id) => `#${id}` === location.hash) ?? null;

/**
 * The stage that is open: the one in the address, else the one at hand; none for a finished roll, which opens on its outcome. When
 * the open stage is done, the next one opens and its heading has the focus. Hints are typed one after the other, so Identify
 * stays until somebody goes on.
 */
function useStage(atHand: StageId | null): StageId | null {
  const named = useSyncExternalStore(followHash, stageOfHash, () => null);
  /** While the address names no stage, the one that was at hand when the roll was opened. */
  const [first] = useState(atHand);
  const stage = named ?? (atHand === null ? null : (first ?? atHand));
  const wasAtHand = useRef(atHand);
  useEffect(() => {
    const was = wasAtHand.current;
    wasAtHand.current = atHand;
    // Where somebody has gone on in the meantime, the page does not pull them back.
    if (was === atHand || was !== stage || was === 'identify' || stageOfHash() !== named) return;
    location.hash = atHand === null ? '' : `#${atHand}`;
  }, [atHand, stage, named]);
  const shown = useRef(stage);
  useEffect(() => {
    if (shown.current === stage) return;
    shown.current = stage;
    window.scrollTo({ top: 0 });
    document.getElementById(`${stage ?? ''}-name`)?.focus({ preventScroll: true });
  }, [stage]);
  return stage;
}

function followHash(changed: () => void): () => void {
  window.addEventListener('hashchange', changed);
  return () => window.removeEventListener('hashchange', changed);
}
