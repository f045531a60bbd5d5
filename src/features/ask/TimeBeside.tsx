'use client';

import { useMemo } from 'react';
import { firstAsk, MOST_YEARS_PAST, type Ask } from '@/core/plan/ask';
import { ageAnswerOf, type RollForm } from '@/core/plan/rollForm';
import { formatMinutes } from '@/core/units/duration';
import { formatQuantity } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { Band } from '@/ui/Band';
import { useNow } from '@/ui/useNow';
import { bestLine, lookLine } from './askWords';
import { useAskAnswer } from './useAsk';

type Known = Pick<RollForm, 'familyId' | 'formatId' | 'expiredYear' | 'dateSlackYears' | 'storageId' | 'exposureState'>;

/** How often the time is looked at again, ms: the year may change. */
const LOOK_AGAIN_MS = 60_000;

/** What a roll says so far: its time in coffee, while its form is being filled. */
export default function TimeBeside({ form }: { form: Known }) {
  const units = useSettings();
  const nowMs = useNow(LOOK_AGAIN_MS);
  const { familyId, formatId, expiredYear, dateSlackYears, storageId, exposureState } = form;
  const ask = useMemo<Ask>(() => {
    const answer = ageAnswerOf({ dateSlackYears });
    const years = typeof expiredYear === 'number' ? new Date(nowMs).getFullYear() - expiredYear : null;
    const past =
      answer === 'new'
        ? 'new'
        : answer === 'unknown' || years === null || years < 0 || years > MOST_YEARS_PAST
          ? 'unknown'
          : years;
    return { ...firstAsk, familyId, formatId, past, storageId, exposure: exposureState };
  }, [familyId, formatId, expiredYear, dateSlackYears, storageId, exposureState, nowMs]);
  const { answer, current } = useAskAnswer(ask, NONE, nowMs, null);
  // Its room is there before it is.
  if (answer === null) return <div className="min-h-[210px] border-t-2 border-ink" aria-busy="true" />;
  return (
    <section aria-label="What this says so far" aria-busy={!current} className="border-t-2 border-ink pt-2">
      <p className="text-[14px] text-ink2">
        About, in coffee at {formatQuantity(firstAsk.temperatureC ?? 20, 'temperature', units)}
      </p>
      {answer.nitrate === 'likely' ? (
        <p className="mt-1 border-s-4 border-danger ps-3">Likely on nitrate base: it must not be processed at home.</p>
      ) : (
        <>
          <p className="num text-[52px] leading-none" data-testid="so-far">
            {formatMinutes(answer.timeMin)}
          </p>
          <div className="mt-3">
            <Band timeMin={answer.timeMin} lowMin={answer.lowMin} highMin={answer.highMin} />
          </div>
          <p className="text-[14px]">
            80 % likely between {formatMinutes(answer.lowMin)} and {formatMinutes(answer.highMin)}. {lookLine(answer)}
          </p>
          <p className="mt-3 text-[14px] text-ink2">
            <b>What would narrow it most.</b> {bestLine(answer)}
          </p>
        </>
      )}
    </section>
  );
}

const NONE: readonly never[] = [];
