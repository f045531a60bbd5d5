'use client';

import { useEffect, useState } from 'react';
import { stageIds, type StageId } from '@/core/plan/rollStages';
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
import { Outcome } from './Outcome';
import { Stage } from './Stage';
import { TestStage } from '@/features/roll/test/TestStage';
import { rollLine } from '@/features/words/rollWords';
import { stageSummary } from './stageWords';
import { usePlanDraft } from '@/features/drafts/usePlanDraft';
import { usePlanForm } from '@/features/roll/plan/usePlanForm';

/** How often the age of the brew is looked at again, ms. */
const LOOK_AGAIN_MS = 5 * 60_000;

/** One roll, from top to bottom in the order of work. */
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
  const { isOpen, toggle, close } = useOpenStages(standing.atHand);
  const estimate = plan.analysis?.estimate ?? null;
  const rolls = useRollNames(plan.analysis?.listed.map(({ setting }) => setting.rollId) ?? []);

  const body: Record<StageId, React.ReactNode> = {
    identify: (
      <IdentifyStage
        dossier={dossier}
        analysis={standing.forbidden ? null : plan.analysis}
        units={units}
        nowYear={thisYear}
        onDone={() => close('identify')}
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
      <Ribbon standing={standing} hrefOf={(id) => `#${id}`} />
      {standing.atHand === null && <Outcome dossier={dossier} />}
      {standing.atHand === null && dossier.verdict !== undefined && wentWrong(dossier.verdict) && (
        <Diagnosis dossier={dossier} verdict={dossier.verdict} />
      )}
      <div className="mt-3 border-t border-hair">
        {stageIds.map((id) => (
          <Stage
            key={id}
            id={id}
            state={standing.states[id]}
            summary={stageSummary(id, dossier, standing.forbidden ? null : estimate, units, thisYear)}
            open={isOpen(id)}
            onToggle={() => toggle(id)}
          >
            {standing.forbidden && id !== 'identify' ? (
              <p className="pt-2 text-ink2">Do not process this roll. Identify says what to do.</p>
            ) : (
              body[id]
            )}
          </Stage>
        ))}
      </div>
    </>
  );
}

/** Which stages are open: the one at hand, the one in the address, and those the user opened; folded ones stay folded. */
function useOpenStages(atHand: StageId | null): {
  isOpen: (id: StageId) => boolean;
  toggle: (id: StageId) => void;
  close: (id: StageId) => void;
} {
  const [chosen, setChosen] = useState<Partial<Record<StageId, boolean>>>({});
  const [before, setBefore] = useState(atHand);
  if (before !== atHand) {
    setBefore(atHand);
    // The stage that is done folds; what the user opened meanwhile stays. Hints are typed one after the other, so the stage that
    // the first of them completes stays open.
    const left = Object.fromEntries(Object.entries(chosen).filter(([id]) => id !== before));
    setChosen({ ...left, identify: chosen.identify ?? before === 'identify' });
  }
  useEffect(() => {
    const follow = (): void => {
      const id = stageIds.find((stage) => `#${stage}` === location.hash);
      if (id === undefined) return;
      setChosen((now) => ({ ...now, [id]: true }));
      requestAnimationFrame(() => document.getElementById(id)?.scrollIntoView({ block: 'nearest' }));
    };
    follow();
    window.addEventListener('hashchange', follow);
    return () => window.removeEventListener('hashchange', follow);
  }, []);
  const isOpen = (id: StageId): boolean => chosen[id] ?? id === atHand;
  return {
    isOpen,
    toggle: (id) => setChosen((now) => ({ ...now, [id]: !(now[id] ?? id === atHand) })),
    close: (id) => setChosen((now) => ({ ...now, [id]: false })),
  };
}
