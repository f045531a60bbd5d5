'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Trial } from '@/core/records/records';
import type { Problem } from '@/core/schema/result';
import { trialStanding, type TrialValues } from '@/core/trial/trial';
import { LARGEST_TRIAL_BYTES, pooled, readTrialFile, repeated } from '@/core/trial/trialExchange';
import { poolTrial, keepTrial, trialValues } from '@/data/trials';
import { FileButton } from '@/features/files/FileButton';
import { Refused } from '@/features/files/Refused';
import { standingWords } from './standingWords';

/** Somebody else's trial: looked at first, then repeated, kept, or put with one's own. */
export function TrialFile({ trials }: { trials: readonly Trial[] }) {
  const router = useRouter();
  const [found, setFound] = useState<TrialValues | null>(null);
  const [refused, setRefused] = useState<{ name: string; problems: Problem[] } | null>(null);
  const open = async (file: File): Promise<void> => {
    setFound(null);
    setRefused(null);
    const read =
      file.size > LARGEST_TRIAL_BYTES
        ? ({
            ok: false,
            problems: [{ path: '', message: 'The file is larger than 1 MB, so it is no trial.' }],
          } as const)
        : readTrialFile(await file.text());
    if (read.ok) setFound(read.value);
    else setRefused({ name: file.name, problems: [...read.problems] });
  };
  const go = (id: string): void => router.push(`/trials/${encodeURIComponent(id)}`);
  const failed = (error: unknown): void =>
    setRefused({
      name: 'the trial',
      problems: [{ path: '', message: error instanceof Error ? error.message : 'It was not stored. Try once more.' }],
    });
  const fitting = found === null ? [] : trials.filter((trial) => pooled(trialValues(trial), found).ok);
  return (
    <section aria-label="A trial of somebody else" className="mt-5">
      <FileButton label="File of a trial" className="act-plain" onFile={(file) => void open(file)}>
        Open somebody’s trial
      </FileButton>
      {refused !== null && <Refused name={refused.name} problems={refused.problems} />}
      {found !== null && (
        <div className="mt-3 border-s-4 border-ink ps-3">
          <p className="font-[620]">“{found.name}”</p>
          <p className="text-ink2">
            {found.levels.join(' · ')}: {standingWords(trialStanding(found))}. Nothing has been changed yet.
          </p>
          <p className="mt-3 flex flex-wrap gap-3">
            <button
              type="button"
              className="act act-primary"
              onClick={() => void keepTrial(repeated(found, Math.floor(Math.random() * 2 ** 31))).then(go, failed)}
            >
              Repeat it here
            </button>
            {fitting.map((trial) => (
              <button
                key={trial.id}
                type="button"
                className="act"
                onClick={() => void poolTrial(trial.id, found).then(() => go(trial.id), failed)}
              >
                Put its strips with “{trial.name}”
              </button>
            ))}
            <button type="button" className="act" onClick={() => void keepTrial(found).then(go, failed)}>
              Keep it as it is
            </button>
            <button type="button" className="act-plain text-ink2" onClick={() => setFound(null)}>
              Leave it
            </button>
          </p>
        </div>
      )}
    </section>
  );
}
