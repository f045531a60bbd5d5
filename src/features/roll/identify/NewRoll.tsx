'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { addRolls, rollDraftKey } from '@/data/rolls';
import { RollForm } from './RollForm';

const TimeBeside = dynamic(() => import('@/features/ask/TimeBeside'), { ssr: false });

/** Adds a roll to the bench. */
export function NewRoll() {
  const router = useRouter();
  return (
    <>
      <h1>What have you found?</h1>
      <p className="mt-1 mb-5 max-w-[90ch] text-ink2">
        You need not know everything: leave blank what you don’t know, and fill it in later. Or{' '}
        <Link href="/ask" className="act-plain">
          say it in a sentence
        </Link>
        .
      </p>
      <RollForm
        draftKey={rollDraftKey('new')}
        action="Add it to the bench"
        isNew
        aside={(form) => <TimeBeside form={form} />}
        onSave={async (values, _changed, count) => {
          const id = await addRolls(values, count);
          router.push(`/rolls/${encodeURIComponent(id)}`);
        }}
      />
    </>
  );
}
