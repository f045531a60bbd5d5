'use client';

import { useRouter } from 'next/navigation';
import { cautionsFor } from '@/core/safety/cautions';
import { expectsRemJet } from '@/core/films/conditionFacts';
import { earliestYear } from '@/core/films/rollDating';
import { stockFamilies } from '@/core/films/stockFamilies';
import type { Study } from '@/core/estimate/study';
import type { UnitChoice } from '@/core/units/quantity';
import type { RollDossier } from '@/data/queries';
import { changeRoll, removeRoll, rollDraftKey, rollFormOf } from '@/data/rolls';
import { CautionList } from '@/ui/CautionList';
import { ConditionPanel } from './ConditionPanel';
import { DatingPanel } from './DatingPanel';
import { MissingFacts } from './MissingFacts';
import { PhotosPanel } from './PhotosPanel';
import { RollForm } from './RollForm';
import { StoragePanel } from './StoragePanel';

/** What the roll is. */
export function IdentifyStage({
  dossier,
  study,
  units,
  nowYear,
  onDone,
}: {
  dossier: RollDossier;
  study: Study | null;
  units: UnitChoice;
  nowYear: number;
  onDone: () => void;
}) {
  const { roll, stock } = dossier;
  const router = useRouter();
  const cautions = cautionsFor(
    {
      formatId: roll.formatId,
      madeFromYear: earliestYear({ formatId: roll.formatId, familyId: stock.familyId, hints: roll.hints }),
      remJet: expectsRemJet(roll.condition, stockFamilies[stock.familyId].remJet),
    },
    'identify',
  );
  return (
    <div className="space-y-7 pt-3">
      <CautionList cautions={cautions} />
      {/* Its room is kept until it comes, so that nothing below moves away under the hands. */}
      {cautions.length === 0 && (
        <div className="min-h-11 sm:min-h-[22px]">{study !== null && <MissingFacts study={study} />}</div>
      )}
      <DatingPanel dossier={dossier} units={units} nowYear={nowYear} />
      <StoragePanel dossier={dossier} units={units} nowYear={nowYear} />
      <ConditionPanel dossier={dossier} />
      <PhotosPanel rollId={roll.id} />
      <RollForm
        draftKey={rollDraftKey(roll.id)}
        initial={rollFormOf(roll, stock)}
        basicsOnly
        action="Keep what changed"
        onSave={async (values) => {
          await changeRoll(roll.id, values);
          onDone();
        }}
      />
      <button
        type="button"
        className="act-plain text-danger"
        onClick={() => {
          router.push('/');
          void removeRoll(roll.id);
        }}
      >
        Take this roll off the bench
      </button>
    </div>
  );
}
