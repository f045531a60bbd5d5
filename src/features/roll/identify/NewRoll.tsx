'use client';

import { useRouter } from 'next/navigation';
import { addRoll, rollDraftKey } from '@/data/rolls';
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
        onSave={async (values) => {
          const id = await addRoll(values);
          router.push(`/rolls/${encodeURIComponent(id)}`);
        }}
      />
    </>
  );
}
