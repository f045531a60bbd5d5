'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { trialStanding } from '@/core/trial/trial';
import { useTrials } from '@/data/trials';
import { Empty } from '@/ui/Empty';
import { TrialFile } from './TrialFile';
import { StripsPicture } from './StripsPicture';
import { standingWords } from './standingWords';

/** Every trial: sets of strips that differ in one thing. */
export function TrialsView() {
  const trials = useTrials();
  if (trials === undefined) return <p aria-busy="true">Opening the trials.</p>;
  const layOut = (
    <Link href="/trials/new" className="act act-primary" data-next-step>
      Lay a trial out
    </Link>
  );
  return (
    <div className="measure">
      <h1>Trials</h1>
      {trials.length === 0 ? (
        <Empty
          picture={<StripsPicture />}
          sentence="Short strips that differ in one thing, one of them without it: then it is known whether it made a difference."
          action={layOut}
        />
      ) : (
        <>
          <p className="mt-1 mb-4 text-ink2">Strips that differ in one thing, and whether it made a difference.</p>
          <ul className="border-b border-hair">
            {trials.map((trial) => (
              <li key={trial.id} className="rule-row">
                <Link
                  href={`/trials/${encodeURIComponent(trial.id)}`}
                  className="num text-[17px] text-ink no-underline hover:underline"
                >
                  {trial.name}
                </Link>
                <p className="text-[14px] text-ink2">
                  {trial.levels.join(' · ')}: {standingWords(trialStanding(trial))}, laid out{' '}
                  {format(trial.createdMs, 'd MMM yyyy')}
                </p>
              </li>
            ))}
          </ul>
          <div className="mt-5">{layOut}</div>
        </>
      )}
      <TrialFile trials={trials} />
    </div>
  );
}
