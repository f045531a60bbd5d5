'use client';

import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import type { SettingRecord } from '@/core/evidence/evidenceRecord';
import { settingRecordFor } from '@/core/plan/settingRecordFor';
import type { Brew } from '@/core/records/records';
import { developedMin } from '@/core/run/judgedRun';
import { runProgress } from '@/core/run/runProgress';
import { useBrews, useDossier, useSettings, type RollDossier } from '@/data/queries';
import { usePlanDraft } from '@/features/drafts/usePlanDraft';
import { usePlanForm } from '@/features/roll/plan/usePlanForm';
import { NotHere } from '@/features/shell/NotHere';
import { useNow } from '@/ui/useNow';
import { useTitle } from '@/ui/useTitle';
import { KeptStrips } from './KeptStrips';
import { StripReader, type Development } from './StripReader';

/** How often the age of the brew is looked at again, ms. */
const LOOK_AGAIN_MS = 5 * 60_000;

/** Densities of a strip of this roll, from pictures of it or from a densitometer. */
export function StripPage({ rollId }: { rollId: string }) {
  const gap = useSearchParams().get('read') === 'gap';
  const dossier = useDossier(rollId);
  const brews = useBrews();
  const draft = usePlanDraft(rollId);
  if (dossier === undefined || brews === undefined || draft === null) return <p aria-busy="true">Opening the roll.</p>;
  if (dossier === null) return <NotHere table="rolls" id={rollId} what="This roll" />;
  return <Strip dossier={dossier} draft={draft.values} jugs={brews} gap={gap} />;
}

interface StripProps {
  dossier: RollDossier;
  draft: unknown;
  jugs: readonly Brew[];
  gap: boolean;
}

function Strip({ dossier, draft, jugs, gap }: StripProps) {
  const { roll, stock, run } = dossier;
  const units = useSettings();
  const nowMs = useNow(LOOK_AGAIN_MS);
  useTitle(`A strip of ${roll.label}`);
  const plan = usePlanForm(dossier, draft, jugs, nowMs);
  const planned: Development | null =
    plan.shown === null
      ? null
      : {
          timeMin: plan.analysis?.estimate.timeMin ?? null,
          setting: settingRecordFor(plan.shown, plan.jug, nowMs),
        };
  const finished = run !== undefined && runProgress(run.steps, run.events).phase === 'finished';
  const ran: Development | null =
    finished && run.setup !== null ? { timeMin: developedMin(run), setting: withoutTarget(run.setup) } : null;
  if (planned !== null && plan.analysis === null && ran === null && plan.failed === null)
    return <p aria-busy="true">Opening the strip.</p>;
  return (
    <>
      <p className="text-[13px] text-ink2">
        <Link href={`/rolls/${encodeURIComponent(roll.id)}#test`}>{roll.label}</Link>
      </p>
      <h1>Read a strip</h1>
      <StripReader
        roll={roll}
        iso={roll.exposure.index ?? stock.iso}
        planned={planned}
        ran={ran}
        units={units}
        gap={gap}
        targetGradient={plan.analysis?.estimate.gradient.target ?? null}
      />
      <KeptStrips rollId={roll.id} label={roll.label} />
    </>
  );
}

function withoutTarget({ target: _target, ...setting }: SettingRecord & { target: unknown }): SettingRecord {
  return setting;
}
