'use client';

import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import { firstRollSteps, type FirstStep } from '@/core/practice/firstRoll';
import { formatDuration } from '@/core/units/duration';
import { useDraft } from '@/features/drafts/useDraft';
import { classes } from '@/ui/classes';
import { say, stopSaying } from '@/ui/speech';
import { FIRST_ROLL_DRAFT, progressSchema, type Progress } from './firstRollProgress';

/** The first roll of somebody who never developed: eight steps, each to be ticked or passed over. */
export function FirstRoll() {
  const { form, change } = useDraft<Progress>(
    FIRST_ROLL_DRAFT,
    progressSchema,
    (kept) => kept ?? { done: [], blind: [] },
  );
  if (form === null) return <p aria-busy="true">Opening your first roll.</p>;
  const next = firstRollSteps.find(({ id }) => !form.done.includes(id));
  return (
    <>
      <h1>Your first roll</h1>
      <p className="mt-1 max-w-[62ch] text-ink2">
        {next === undefined
          ? 'All eight are done. The found roll is next.'
          : `Eight steps, from the shop to the drying line. ${form.done.length} done; pass over what you know.`}
      </p>
      <p className="mt-2 flex flex-wrap gap-x-5 print:hidden">
        <button type="button" className="act-plain" onClick={() => window.print()}>
          Print them on one sheet
        </button>
        {next === undefined && (
          <Link href="/ask" className="act-plain" data-next-step>
            Ask about the found roll
          </Link>
        )}
      </p>
      <ol className="mt-5 print:mt-2 print:columns-2 print:text-[10.5px] print:leading-[1.3]">
        {firstRollSteps.map((step, index) => (
          <Step
            key={step.id}
            step={step}
            number={index + 1}
            open={step.id === next?.id}
            done={form.done.includes(step.id)}
            blind={form.blind}
            onDone={(is) =>
              change({ done: is ? [...form.done, step.id] : form.done.filter((other) => other !== step.id) })
            }
            onBlind={(seconds) => change({ blind: [...form.blind, seconds].slice(-6) })}
          />
        ))}
      </ol>
    </>
  );
}

interface StepProps {
  step: FirstStep;
  number: number;
  open: boolean;
  done: boolean;
  /** Times of loading with the eyes shut, s, the last at the end. */
  blind: readonly number[];
  onDone: (done: boolean) => void;
  onBlind: (seconds: number) => void;
}

function Step({ step, number, open, done, blind, onDone, onBlind }: StepProps) {
  return (
    <li className="rule-row print:py-1">
      <details open={open}>
        <summary className="flex min-h-11 cursor-pointer items-baseline gap-3 print:min-h-0">
          <span aria-hidden className={classes('num text-[22px]', done ? 'text-ink2' : 'text-ink')}>
            {number}
          </span>
          <h2 className={classes('text-[20px] print:text-[14px]', done && 'text-ink2')}>
            {step.title}
            {done && <span className="font-normal">, done</span>}
          </h2>
        </summary>
        <ul className="mt-1 max-w-[66ch] list-disc space-y-1 ps-10 print:space-y-0 print:ps-5">
          {step.lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        {step.spoken !== undefined && <Blind lines={step.spoken} times={blind} onTimed={onBlind} />}
        <div className="mt-3 mb-2 flex flex-wrap gap-3 ps-10 print:hidden">
          {step.place !== undefined && (
            <Link href={step.place.href} className="act">
              {step.place.name}
            </Link>
          )}
          <button
            type="button"
            className={classes('act', open && 'act-primary')}
            data-next-step={open ? true : undefined}
            onClick={() => onDone(!done)}
          >
            {done ? 'Not done after all' : open ? 'Done, or I know it' : 'Done'}
          </button>
        </div>
      </details>
    </li>
  );
}

/** How long a line is given before the next is read, ms. */
const LINE_MS = 9000;

/** Loading with the eyes shut: read aloud line by line, and timed. */
function Blind({
  lines,
  times,
  onTimed,
}: {
  lines: readonly string[];
  times: readonly number[];
  onTimed: (s: number) => void;
}) {
  const [at, setAt] = useState<number | null>(null);
  const startedMs = useRef(0);
  useEffect(() => {
    if (at === null) return;
    say(lines[at] ?? '');
    if (at >= lines.length - 1) return;
    const timer = setTimeout(() => setAt(at + 1), LINE_MS);
    return () => clearTimeout(timer);
  }, [at, lines]);
  useEffect(() => stopSaying, []);
  const stop = (): void => {
    stopSaying();
    onTimed(Math.round((Date.now() - startedMs.current) / 1000));
    setAt(null);
  };
  return (
    <div className="mt-3 ps-10 print:hidden">
      {at === null ? (
        <button
          type="button"
          className="act"
          onClick={() => {
            startedMs.current = Date.now();
            setAt(0);
          }}
        >
          Read it to me, eyes shut
        </button>
      ) : (
        <>
          <p role="status" className="num text-[22px]">
            {lines[at]}
          </p>
          <button type="button" className="act act-primary mt-2 min-h-[64px]" onClick={stop}>
            It is in the tank
          </button>
        </>
      )}
      {times.length > 0 && (
        <p className="mt-2 text-[14px] text-ink2">
          Blind so far: {times.map((seconds) => formatDuration(seconds)).join(', ')}.
        </p>
      )}
    </div>
  );
}
