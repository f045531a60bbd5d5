'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Trial } from '@/core/records/records';
import { blindOrder, isRead, rowWords, trialStanding } from '@/core/trial/trial';
import { safeCsv } from '@/core/formats/csv';
import { trialColumns, writeTrialFile } from '@/core/trial/trialExchange';
import { trialCsv, trialNote } from '@/core/trial/trialFiles';
import { changeStrip, openTrial, removeTrial, trialValues, useTrial } from '@/data/trials';
import dynamic from 'next/dynamic';
import { NotHere } from '@/features/shell/NotHere';
import { download } from '@/ui/download';
import { useTitle } from '@/ui/useTitle';
import { Lessons } from './Lessons';
import { ReadStrip } from './ReadStrip';
import { StripPictures } from './StripPictures';
import { TrialAnswers } from './TrialAnswers';
import { TrialSheet } from './TrialSheet';
import { standingWords } from './standingWords';
import { useTrialAnswers } from './useTrialAnswers';

const TrialEveningPlan = dynamic(() => import('./TrialEveningPlan'), {
  ssr: false,
  loading: () => <p aria-busy="true">Reading the shelf.</p>,
});
const TrialCurves = dynamic(() => import('./TrialCurves'), { ssr: false });

/** One trial: its strips in the order of the lot, reading them blind, and what they say. */
export function TrialPage({ trialId }: { trialId: string }) {
  const trial = useTrial(trialId);
  if (trial === undefined) return <p aria-busy="true">Opening the trial.</p>;
  if (trial === null) return <NotHere table="trials" id={trialId} what="This trial" />;
  return <TrialView trial={trial} />;
}

function TrialView({ trial }: { trial: Trial }) {
  useTitle(trial.name);
  const standing = trialStanding(trial);
  const open = standing.done || trial.openedMs !== null;
  const { answers, failed } = useTrialAnswers(trial, open);
  const unread = blindOrder(trial).filter((strip) => !isRead(trial, strip));
  /** The strip in hand: one that is hung meanwhile does not take its place, though the lot has it earlier. */
  const [inHand, setInHand] = useState<string | null>(null);
  const next = unread.find(({ code }) => code === inHand) ?? unread[0];
  if (next !== undefined && next.code !== inHand) setInHand(next.code);
  return (
    <div className="measure">
      <h1>{trial.name}</h1>
      <p className="mt-1 text-ink2">
        {standingWords(standing)}. Held against “{trial.levels[trial.control]}”.
      </p>
      {trial.held !== '' && <p className="mt-1 whitespace-pre-line">Held: {trial.held}</p>}
      {open && answers === null && failed === null && <p aria-busy="true">Working the answer out.</p>}
      {open && answers !== null && <TrialAnswers trial={trial} answers={answers} />}
      {open && trial.strips.some(({ curve }) => curve !== undefined) && <TrialCurves trial={trial} />}
      {open && <StripPictures trial={trial} />}
      {failed !== null && (
        <p role="alert" className="mt-4 border-s-4 border-danger ps-3">
          No answer could be worked out: {failed} Reload the page; the readings are kept.
        </p>
      )}
      {next !== undefined && (
        <section aria-labelledby="reading" className="mt-6 print:hidden">
          <h2 id="reading">Read strip {next.code}</h2>
          <p className="text-[14px] text-ink2">
            {open ? 'Its label was opened.' : 'In an order by lot: what it had is told when all are read.'}
          </p>
          <ReadStrip key={next.code} trial={trial} strip={next} />
        </section>
      )}
      {!open && standing.read > 0 && (
        <p className="mt-4 print:hidden">
          <button type="button" className="act" onClick={() => void openTrial(trial.id, Date.now())}>
            Stop here and look
          </button>{' '}
          <span className="text-[14px] text-ink2">The rest is read knowing what it had.</span>
        </p>
      )}
      <Evening trial={trial} />
      <Developing trial={trial} open={open} />
      {!open && <TrialSheet trial={trial} />}
      {open && <Lessons trial={trial} />}
      <Ways trial={trial} sheet={!open} />
    </div>
  );
}

/** Mixing and clock of what is still to be developed. */
function Evening({ trial }: { trial: Trial }) {
  const [shown, setShown] = useState(false);
  if (!trial.strips.some(({ developed, lost }) => developed !== true && lost === undefined)) return null;
  return (
    <section aria-labelledby="evening" className={shown ? 'mt-7' : 'mt-7 print:hidden'}>
      <h2 id="evening">Mix it and put it on a clock</h2>
      {shown ? (
        <TrialEveningPlan trial={trial} />
      ) : (
        <p className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-2 print:hidden">
          <button type="button" className="act" onClick={() => setShown(true)}>
            Lay the evening out
          </button>
          <span className="text-[14px] text-ink2">
            What is weighed once for all, a time for each brew, and every tank.
          </span>
        </p>
      )}
    </section>
  );
}

/** Strips in the order in which they are developed, with what each gets. */
function Developing({ trial, open }: { trial: Trial; open: boolean }) {
  const [losing, setLosing] = useState<string | null>(null);
  const [why, setWhy] = useState('');
  const waiting = trial.strips.filter(({ developed, lost }) => developed !== true && lost === undefined);
  // What hangs keeps its secret while it is read.
  const shown = open ? trial.strips : waiting;
  const nextCode = waiting[0]?.code;
  if (shown.length === 0) return null;
  return (
    <section aria-labelledby="strips" className="mt-7">
      <h2 id="strips">{open ? 'The strips' : 'To develop, in this order'}</h2>
      <ol className="mt-1 border-b border-hair" aria-label="Strips">
        {shown.map((strip) => (
          <li key={strip.code} className="rule-row">
            <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
              <b className="num w-10 text-[20px]">{strip.code}</b>
              <span className="min-w-0 flex-1 wrap-anywhere">
                {trial.levels[strip.level]}
                <span className="block text-[13px] text-ink2">
                  {rowWords(trial, strip.block)}
                  {strip.lost !== undefined && ` · lost: ${strip.lost}`}
                </span>
              </span>
              {strip.lost !== undefined ? (
                <button
                  type="button"
                  className="act-plain text-[14px]"
                  onClick={() => void changeStrip(trial.id, strip.code, { lost: undefined })}
                >
                  Not lost<span className="sr-only">: {strip.code}</span>
                </button>
              ) : (
                <span className="flex gap-x-4">
                  {strip.developed !== true && (
                    <button
                      type="button"
                      className={strip.code === nextCode ? 'act act-primary' : 'act'}
                      onClick={() => void changeStrip(trial.id, strip.code, { developed: true })}
                    >
                      It hangs<span className="sr-only">: {strip.code}</span>
                    </button>
                  )}
                  <button
                    type="button"
                    className="act-plain text-[14px]"
                    onClick={() => {
                      setLosing(strip.code);
                      setWhy('');
                    }}
                  >
                    Lost<span className="sr-only">: {strip.code}</span>
                  </button>
                </span>
              )}
            </div>
            {losing === strip.code && strip.lost === undefined && (
              <form
                className="mt-2 flex flex-wrap items-center gap-3"
                onSubmit={(event) => {
                  event.preventDefault();
                  void changeStrip(trial.id, strip.code, { lost: why.trim() || 'no reason given' });
                  setLosing(null);
                }}
              >
                <label htmlFor="why-lost">Why</label>
                <input
                  id="why-lost"
                  className="box max-w-[320px]"
                  maxLength={200}
                  autoFocus
                  autoComplete="off"
                  value={why}
                  onChange={(event) => setWhy(event.target.value)}
                />
                <button type="submit" className="act">
                  It is lost
                </button>
              </form>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** What goes out, and away. */
function Ways({ trial, sheet }: { trial: Trial; sheet: boolean }) {
  const router = useRouter();
  const file = `aetas-trial-${trial.id}`;
  return (
    <p className="mt-6 flex flex-wrap gap-x-6 gap-y-2 print:hidden">
      <button
        type="button"
        className="act-plain"
        onClick={() => download(new Blob([trialNote(trial)], { type: 'text/markdown' }), `${file}.md`)}
      >
        Save as a note
      </button>
      <button
        type="button"
        className="act-plain"
        onClick={() => download(new Blob([trialCsv(trial)], { type: 'text/csv' }), `${file}.csv`)}
      >
        Save the readings
      </button>
      <button
        type="button"
        className="act-plain"
        onClick={() => download(new Blob([safeCsv([...trialColumns])], { type: 'text/csv' }), `${file}-columns.csv`)}
      >
        What their columns mean
      </button>
      <button
        type="button"
        className="act-plain"
        onClick={() =>
          download(new Blob([writeTrialFile(trialValues(trial))], { type: 'application/json' }), `${file}.json`)
        }
      >
        Save it for somebody to repeat
      </button>
      <button type="button" className="act-plain" onClick={() => window.print()}>
        {sheet ? 'Print labels and exposure sheet' : 'Print'}
      </button>
      <button
        type="button"
        className="act-plain"
        onClick={() => void removeTrial(trial).then(() => router.push('/trials'))}
      >
        Take it off the bench
      </button>
    </p>
  );
}
