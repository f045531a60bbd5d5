'use client';

import { edgePrints, type EdgePrint } from '@/core/films/conditionFacts';
import type { Roll } from '@/core/records/records';
import { conditionPart } from '@/data/typedParts';
import { useTypedPart } from '@/features/drafts/useTypedPart';
import { Segments } from '@/ui/Segments';

const options = [
  ...(Object.keys(edgePrints) as EdgePrint[]).map((value) => ({ value, name: edgePrints[value] })),
  { value: 'unseen' as const, name: 'Not looked at yet' },
];

/** The question that settles what base a film is on. */
export function EdgeQuestion({ roll }: { roll: Pick<Roll, 'id' | 'condition'> }) {
  const { form: condition, change } = useTypedPart(conditionPart, roll.id, roll.condition);
  return (
    <div className="max-w-[620px]">
      <Segments
        id="edge"
        label="What is printed along the edge?"
        value={condition.edge ?? 'unseen'}
        options={options}
        onChange={(edge) => {
          const { backing, signs } = condition;
          change(edge === 'unseen' ? { backing, signs } : { backing, signs, edge });
        }}
      />
      <p className="mt-1 text-[13px] text-ink2">
        On the leader, which has seen light already; “safety film” on its tin, box or paper counts as well. Never hold
        undeveloped film to the light to look.
      </p>
    </div>
  );
}
