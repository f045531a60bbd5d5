'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import type { LearnedFactor } from '@/core/learning/learnedFactors';
import { bandsHeld, isInside, LAST_RUNS } from '@/core/outcome/neededTime';
import { formatMinutes } from '@/core/units/duration';
import type { RunLine } from '@/data/lines';
import { followLog, useStockNames } from '@/data/queries';
import { useLearned } from '@/features/learning/useLearned';
import { useLines } from '@/data/useLines';
import { coreWorker } from '@/workers/core';
import { OtherBench } from '@/features/shell/OtherBench';
import { Empty } from '@/ui/Empty';
import { LearnedPicture } from '@/ui/emptyPictures';
import { ratioPercent } from '@/ui/rulerScale';
import { Term } from '@/ui/Term';
import { EyeRepeat } from './EyeRepeat';
import { factorName, factorWords, heldWords, wideningWords } from './learnedWords';

/** Runs that are drawn. */
const DRAWN = 24;

type JudgedLine = RunLine & { needed: NonNullable<RunLine['needed']> };

/** What the bench has learned: whether its bands held, and the factor of each film, developer and pair of hands. */
export function LearnedView() {
  const found = useLines(followLog);
  const learned = useLearned();
  const names = useStockNames();
  const [factors, setFactors] = useState<LearnedFactor[] | null>(null);
  useEffect(() => {
    if (learned?.all !== true) return;
    let stale = false;
    void coreWorker()
      .learned()
      .then((next) => {
        if (!stale) setFactors(next);
      })
      .catch(() => undefined);
    return () => {
      stale = true;
    };
  }, [learned]);
  const judged = useMemo(
    () => (found?.lines ?? []).filter((line): line is JudgedLine => line.needed != null).slice(0, DRAWN),
    [found],
  );
  if (found === undefined) return <p aria-busy="true">Opening what was learned.</p>;
  if (judged.length === 0 && (factors === null || factors.length === 0))
    return (
      <>
        <h1>What Aetas has learned</h1>
        <Empty
          picture={<LearnedPicture />}
          beside={<OtherBench />}
          sentence="Nothing yet. Each verdict changes the next estimate, and here it shows by how much."
          action={
            <Link href="/" className="act">
              Go to the bench
            </Link>
          }
        />
      </>
    );
  const held = bandsHeld(
    judged.slice(0, LAST_RUNS).map(({ needed, lowMin, highMin, widening = 1 }) => ({
      neededMin: needed.timeMin,
      lowMin,
      highMin,
      widening,
    })),
  );
  return (
    <>
      <h1>{heldWords(held)}</h1>
      {wideningWords(held) !== null && <p className="mt-2 border-s-4 border-heat ps-3">{wideningWords(held)}</p>}
      <p className="mt-1 max-w-[66ch] text-ink2">
        Needed is the time that would have given the contrast you wanted, from your verdict. A{' '}
        <Term id="band">likely range</Term> is right when it holds four in five.
      </p>
      <Predicted lines={judged} />
      <h2 className="mt-8">Factors on the time</h2>
      <p className="mt-1 max-w-[66ch] text-[14px] text-ink2">
        What each does to a row of the <Term id="ledger">ledger</Term>: pale what was expected before, dark what your
        runs left of it.
      </p>
      {factors === null ? (
        <p aria-busy="true" className="mt-2 text-ink2">
          Working out what the runs taught.
        </p>
      ) : (
        <Factors factors={factors} names={names} />
      )}
      <EyeRepeat lines={found.lines} />
    </>
  );
}

/** Ends of the ruler of ratios: a third and three times. */
const RULER = 3;
const place = (ratio: number): number => ratioPercent(ratio, RULER);

function Ruler({ marks }: { marks: readonly number[] }) {
  return (
    <div aria-hidden className="relative h-5 text-[12px] text-ink2">
      {marks.map((ratio) => (
        <span key={ratio} className="absolute -translate-x-1/2" style={{ left: `${place(ratio)}%` }}>
          × {ratio}
        </span>
      ))}
    </div>
  );
}

const MARKS = [0.5, 0.7, 1, 1.4, 2];

/** Predicted against needed, run by run: the band as it was, and where the film’s own time lay. */
function Predicted({ lines }: { lines: readonly JudgedLine[] }) {
  return (
    <section aria-labelledby="predicted" className="mt-5">
      <h2 id="predicted">Predicted and needed</h2>
      <div className="mt-1 grid grid-cols-[minmax(0,1fr)] sm:grid-cols-[250px_minmax(0,1fr)_190px] sm:gap-x-6">
        <span />
        <Ruler marks={MARKS} />
        <span />
      </div>
      <ul aria-label="Runs and their likely ranges">
        {lines.map(({ id, roll, startedMs, plannedMin, lowMin, highMin, needed }) => {
          const inside = isInside({ neededMin: needed.timeMin, lowMin, highMin });
          return (
            <li
              key={id}
              className="grid grid-cols-[minmax(0,1fr)] items-center border-t border-hair py-1 sm:grid-cols-[250px_minmax(0,1fr)_190px] sm:gap-x-6"
            >
              <Link prefetch={false} href={`/log/${encodeURIComponent(id)}`} className="truncate text-ink">
                {format(startedMs, 'd MMM')} {roll}
              </Link>
              <span aria-hidden className="relative block h-6">
                <span className="absolute inset-x-0 top-3 border-t border-hair" />
                <span
                  className="absolute top-1 h-4 border-x-2 border-chem bg-band"
                  style={{
                    left: `${place(lowMin / plannedMin)}%`,
                    width: `${place(highMin / plannedMin) - place(lowMin / plannedMin)}%`,
                  }}
                />
                <span
                  className="absolute top-[11px] h-0.5 bg-ink"
                  style={{
                    left: `${place(needed.lowMin / plannedMin)}%`,
                    width: `${place(needed.highMin / plannedMin) - place(needed.lowMin / plannedMin)}%`,
                  }}
                />
                <span
                  className={
                    inside
                      ? 'absolute top-1.5 size-3 -translate-x-1/2 rounded-full bg-ink'
                      : 'absolute top-1.5 size-3 -translate-x-1/2 rotate-45 border-2 border-danger bg-ground'
                  }
                  style={{ left: `${place(needed.timeMin / plannedMin)}%` }}
                />
              </span>
              <span className="text-[13px] text-ink2">
                needed {formatMinutes(needed.timeMin)}, {inside ? 'inside' : 'outside'}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Each factor with its band now, over its band before anything was learned. */
function Factors({ factors, names }: { factors: readonly LearnedFactor[]; names: ReadonlyMap<string, string> }) {
  const times = factors.filter(({ kind }) => kind !== 'eye');
  const eye = factors.find(({ kind }) => kind === 'eye');
  return (
    <>
      <ul aria-label="Learned factors" className="mt-2">
        {times.map((factor) => (
          <li
            key={`${factor.kind} ${factor.key}`}
            className="grid grid-cols-[minmax(0,1fr)] items-center border-t border-hair py-1 sm:grid-cols-[250px_minmax(0,1fr)_190px] sm:gap-x-6"
          >
            <span className="truncate">{factorName(factor, names)}</span>
            <span aria-hidden className="relative block h-6">
              <span
                className="absolute top-2 h-2 bg-grid"
                style={{
                  left: `${place(factor.priorLow)}%`,
                  width: `${place(factor.priorHigh) - place(factor.priorLow)}%`,
                }}
              />
              <span
                className="absolute top-1 h-4 border-x-2 border-chem bg-band"
                style={{ left: `${place(factor.low)}%`, width: `${place(factor.high) - place(factor.low)}%` }}
              />
              <span
                className="absolute top-0 h-6 w-[3px] -translate-x-1/2 bg-ink"
                style={{ left: `${place(factor.factor)}%` }}
              />
            </span>
            <span className="text-[13px] text-ink2">{factorWords(factor)}</span>
          </li>
        ))}
      </ul>
      <div className="grid grid-cols-[minmax(0,1fr)] sm:grid-cols-[250px_minmax(0,1fr)_190px] sm:gap-x-6">
        <span />
        <Ruler marks={MARKS} />
        <span />
      </div>
      {eye !== undefined && <p className="mt-3">{factorWords(eye)}</p>}
    </>
  );
}
