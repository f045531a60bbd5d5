'use client';

import { useRouter } from 'next/navigation';
import { addRolls, rollDraftKey } from '@/data/rolls';
import { RollForm } from './RollForm';

/** Adds a roll to the bench. */
export function NewRoll() {
  const router = useRouter();
  return (
    <>
      <h1>What have you found?</h1>
      <p className="mt-1 mb-5 max-w-[62ch] text-ink2">
        Only its format and a stock family are needed. What you leave open widens the band and can be filled in later.
      </p>
      <RollForm
        draftKey={rollDraftKey('new')}
        action="Add it to the bench"
        isNew
        onSave={async (values, _changed, count) => {
          const id = await addRolls(values, count);
          router.push(`/rolls/${encodeURIComponent(id)}`);
        }}
      />
    </>
  );
}
