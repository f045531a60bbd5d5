'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { cautionsFor } from '@/core/safety/cautions';
import { nitrateRisk } from '@/core/safety/nitrate';
import { runProgress } from '@/core/run/runProgress';
import type { EstimateAnalysis } from '@/core/estimate/analysis';
import type { UnitChoice } from '@/core/units/quantity';
import type { RollDossier } from '@/data/queries';
import { changeRoll, removeRoll, rollDraftKey, rollFormOf } from '@/data/rolls';
import { isFull } from '@/data/trouble';
import { CautionList } from '@/ui/CautionList';
import { ConditionPanel } from './ConditionPanel';
import { DatingPanel } from './DatingPanel';
import { EdgeQuestion } from './EdgeQuestion';
import { agedWords } from '@/features/words/rollWords';
import { MissingFacts } from './MissingFacts';
import { PhotosPanel } from './PhotosPanel';
import { RollForm } from './RollForm';
import { StoragePanel } from './StoragePanel';

/** What the roll is. */
export function IdentifyStage({
  dossier,
  analysis,
  units,
  nowYear,
  onDone,
}: {
  dossier: RollDossier;
  analysis: EstimateAnalysis | null;
  units: UnitChoice;
  nowYear: number;
  onDone: () => void;
}) {
  const { roll, stock } = dossier;
  const router = useRouter();
  const nitrate = nitrateRisk({ ...roll, familyId: stock.familyId });
  const cautions = cautionsFor({ nitrate }, 'identify');
  return (
    <div className="space-y-7 pt-3">
      <CautionList cautions={cautions} />
      {(nitrate !== 'none' || roll.condition.edge !== undefined) && <EdgeQuestion roll={roll} />}
      {/* Its room is kept until it comes, so that nothing below moves away under the hands. */}
      {cautions.length === 0 && (
        <div className="min-h-[88px] sm:min-h-11">
          {analysis !== null && (
            <>
              <p>{agedWords(analysis.estimate, dossier.stock)}.</p>
              <MissingFacts analysis={analysis} />
            </>
          )}
        </div>
      )}
      <DatingPanel dossier={dossier} units={units} nowYear={nowYear} />
      <StoragePanel dossier={dossier} units={units} nowYear={nowYear} />
      <ConditionPanel dossier={dossier} />
      <PhotosPanel rollId={roll.id} />
      <RollForm
        draftKey={rollDraftKey(roll.id)}
        initial={rollFormOf(roll, stock)}
        basicsOnly
        action="Save changes"
        onSave={async (_, changed) => {
          await changeRoll(roll.id, changed);
          onDone();
        }}
      />
      <RemoveRoll dossier={dossier} onGone={() => router.push('/')} />
    </div>
  );
}

/** Takes the roll off the bench. One that is at the tank is not taken off by a slip, and a full storage has its own way. */
function RemoveRoll({ dossier: { roll, run }, onGone }: { dossier: RollDossier; onGone: () => void }) {
  const [asked, setAsked] = useState<'running' | 'no-room' | null>(null);
  const running = run !== undefined && runProgress(run.steps, run.events).phase === 'running';
  const remove = (withoutCopy = false): void => {
    if (running && asked === null) {
      setAsked('running');
      return;
    }
    removeRoll(roll.id, withoutCopy).then(onGone, (error: unknown) => {
      if (isFull(error)) setAsked('no-room');
    });
  };
  return (
    <div className="space-y-2">
      <button type="button" className="act-plain text-danger" onClick={() => remove()}>
        Take this roll off the bench
      </button>
      {asked !== null && (
        <div role="alert" className="flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-danger pl-3">
          <span className="max-w-[62ch]">
            {asked === 'running'
              ? 'This roll is at the tank at this moment.'
              : 'There is no room to keep a copy for undo. Save a file under Records first.'}
          </span>
          <button type="button" className="act" onClick={() => remove(asked === 'no-room')}>
            {asked === 'running' ? 'Take it off all the same' : 'Take it off without undo'}
          </button>
          <button type="button" className="act-plain" onClick={() => setAsked(null)}>
            Leave it on the bench
          </button>
        </div>
      )}
    </div>
  );
}
