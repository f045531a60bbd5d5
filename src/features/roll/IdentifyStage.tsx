'use client';

import { useRouter } from 'next/navigation';
import { cautionsFor } from '@/core/safety/cautions';
import { stockFamilies } from '@/core/films/stockFamilies';
import type { RollDossier } from '@/data/queries';
import { changeRoll, removeRoll, rollDraftKey, rollFormOf } from '@/data/rolls';
import { CautionList } from '@/ui/CautionList';
import { RollForm } from './RollForm';

/** What the roll is. */
export function IdentifyStage({ dossier: { roll, stock }, onDone }: { dossier: RollDossier; onDone: () => void }) {
  const router = useRouter();
  const cautions = cautionsFor({ formatId: roll.formatId, boxYear: roll.expiredYear, remJet: stockFamilies[stock.familyId].remJet }, 'identify');
  return (
    <div className="space-y-5 pt-3">
      <CautionList cautions={cautions} />
      <RollForm
        draftKey={rollDraftKey(roll.id)}
        initial={rollFormOf(roll, stock)}
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
