'use client';

import { format } from 'date-fns';
import { useMemo, useState } from 'react';
import type { contrastGrades } from '@/core/outcome/grades';
import { eyeScatter, filmToRepeat } from '@/core/outcome/eyeScatter';
import type { VerdictValues } from '@/core/outcome/verdict';
import type { RunLine } from '@/data/lines';
import { judgeAgain, takeBackAgain } from '@/data/verdicts';
import { AskForDay } from '@/features/scene/AskForDay';
import { contrastStrips } from '@/features/scene/gradeStrips';
import { StripChoice } from '@/features/scene/StripChoice';
import { useNow } from '@/ui/useNow';
import { agreementWords, eyeWords } from './learnedWords';

type Judged = RunLine & { verdict: NonNullable<RunLine['verdict']> };

/** A film judged once more, without its first verdict in sight: how steady an eye is narrows every band, or widens it. */
export function EyeRepeat({ lines }: { lines: readonly RunLine[] }) {
  const nowMs = useNow(60_000);
  const [last, setLast] = useState<{ runId: string; words: string } | null>(null);
  const judged = useMemo(() => lines.filter((line): line is Judged => line.verdict !== null), [lines]);
  const scatter = useMemo(
    () => eyeScatter(judged.map(({ verdict }) => [verdict.contrast, ...againOf(verdict)])),
    [judged],
  );
  const film = filmToRepeat(
    judged.map(({ id, verdict }) => ({
      runId: id,
      judgedMs: verdict.again?.at(-1)?.atMs ?? verdict.createdMs,
      repeats: verdict.again?.length ?? 0,
      contrast: verdict.contrast,
    })),
    nowMs,
  );
  const line = judged.find(({ id }) => id === film?.runId);
  if (judged.length === 0) return null;
  const keep = (value: keyof typeof contrastGrades): void => {
    if (line === undefined) return;
    const contrast = Number(value) as VerdictValues['contrast'];
    void judgeAgain(line.id, contrast)
      .then(() =>
        setLast({ runId: line.id, words: `${line.roll}: ${agreementWords(line.verdict.contrast, contrast)}` }),
      )
      .catch(() => undefined);
  };
  return (
    <section aria-labelledby="eye" className="mt-8 measure">
      <h2 id="eye">How steady is your eye?</h2>
      <p className="mt-1 max-w-[66ch]">{eyeWords(scatter)}</p>
      <p role="status" className="min-h-[1.5em]">
        {last?.words}{' '}
        {last !== null && (
          <button
            type="button"
            className="act-plain"
            onClick={() =>
              void takeBackAgain(last.runId)
                .then(() => setLast(null))
                .catch(() => undefined)
            }
          >
            Take it back
          </button>
        )}
      </p>
      {line === undefined ? (
        <p className="text-ink2">Come back tomorrow: what was judged today is still in your mind.</p>
      ) : (
        <>
          <p className="mt-1 mb-2">
            Take out the negatives of <b>{line.roll}</b>, developed on {format(line.startedMs, 'd MMM yyyy')}.
          </p>
          <AskForDay />
          <StripChoice
            id="again"
            label="Which one looks like them?"
            hint="scanned; what you said before is not shown"
            options={contrastStrips}
            value={null}
            onChange={keep}
          />
        </>
      )}
    </section>
  );
}

function againOf(verdict: Judged['verdict']): number[] {
  return (verdict.again ?? []).map(({ contrast }) => contrast);
}
