'use client';

import { lowerFirst } from '@/core/units/lowerFirst';
import { useMemo, useState } from 'react';
import * as z from 'zod';
import { causes, type Cause } from '@/core/diagnosis/causes';
import { answersOfRun } from '@/core/diagnosis/answersOfRun';
import { answersOf, diagnose, nextQuestion, type Suspect } from '@/core/diagnosis/diagnose';
import { questionIds, questions, type Answers, type QuestionId } from '@/core/diagnosis/questions';
import type { Roll, Verdict } from '@/core/records/records';
import { takeAdviceInto } from '@/data/plans';
import { runKnowledge } from '@/core/plan/runKnowledge';
import { useSettledBench, type RollDossier } from '@/data/queries';
import { useReadings } from '@/data/readings';
import { useDraft } from '@/features/drafts/useDraft';
import { classes } from '@/ui/classes';

/** Suspects that are drawn; the rest share what is left. */
const SHOWN = 4;

/** From here on a cause is called by its name in the heading. */
const LIKELY = 0.6;

/** An answer that was taken back: the question is open again. */
const OPEN = 'open';
type Given = { [Q in QuestionId]?: Answers[Q] | typeof OPEN };

const answersSchema = z.object(
  Object.fromEntries(
    questionIds.map((id) => [id, z.enum([OPEN, ...(Object.keys(questions[id].options) as [string])]).optional()]),
  ),
) as unknown as z.ZodType<Given>;

/** What went wrong with a film: what the verdict and the run say already, the next question, and who is suspected. */
export function Diagnosis({ dossier, verdict }: { dossier: RollDossier; verdict: Verdict }) {
  const { roll, run, brew } = dossier;
  const strips = useReadings(roll.id);
  const { form, change } = useDraft<Given>(`diagnosis:${verdict.runId}`, answersSchema, (kept) => kept ?? {});
  const known = useMemo(() => {
    const knowledge = run === undefined ? null : runKnowledge(run, dossier, brew, strips ?? []);
    return knowledge === null ? {} : answersOfRun(knowledge);
  }, [dossier, run, brew, strips]);
  if (form === null) return null;
  const told: Given = { ...known, ...answersOf(verdict), ...form };
  const answers = Object.fromEntries(
    Object.entries(told).filter(([, answer]) => answer !== undefined && answer !== OPEN),
  ) as Answers;
  const suspects = diagnose(answers);
  const [first] = suspects;
  const asked = nextQuestion(answers);
  if (first === undefined) return null;
  return (
    <section aria-labelledby="diagnosis" className="mt-6 measure border-t-2 border-ink pt-3">
      <h2 id="diagnosis">
        {first.probability >= LIKELY ? `Likely: ${lowerFirst(causes[first.id].name)}` : 'What went wrong?'}
      </h2>
      <div className="mt-2 grid gap-x-10 gap-y-5 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="space-y-4">
          {asked === null ? (
            <p className="text-ink2">Nothing more that is asked here would tell much.</p>
          ) : (
            <Question id={asked} answer={answers[asked]} onAnswer={(answer) => change({ [asked]: answer })} next />
          )}
          <details>
            <summary className="w-fit underline underline-offset-3">What is known</summary>
            <div className="mt-2 space-y-3">
              {questionIds
                .filter((id) => answers[id] !== undefined)
                .map((id) => (
                  <Question
                    key={id}
                    id={id}
                    answer={answers[id]}
                    byRun={id in known && form[id] === undefined}
                    onAnswer={(answer) => change({ [id]: answer })}
                    onOpen={() => change({ [id]: OPEN })}
                  />
                ))}
            </div>
          </details>
        </div>
        <div>
          <Suspects suspects={suspects} />
          <Advice cause={causes[first.id]} roll={roll} nowYear={new Date(verdict.createdMs).getFullYear()} />
        </div>
      </div>
    </section>
  );
}

interface QuestionProps {
  id: QuestionId;
  answer: string | undefined;
  onAnswer: (answer: string) => void;
  /** Whether the run gave this answer by itself. */
  byRun?: boolean;
  /** Takes an answer back. */
  onOpen?: () => void;
  next?: boolean;
}

function Question({ id, answer, onAnswer, byRun = false, onOpen, next = false }: QuestionProps) {
  const { asks, options } = questions[id];
  return (
    <fieldset>
      <legend className={classes(next ? 'text-[17px] font-[620]' : 'text-[14px]')}>{asks}</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {Object.entries(options).map(([value, name]) => (
          <button
            key={value}
            type="button"
            aria-pressed={answer === value}
            className={classes('act min-h-11 px-3', answer === value && 'border-2 font-bold')}
            onClick={() => onAnswer(value)}
          >
            {name}
          </button>
        ))}
        {onOpen !== undefined && (
          <button type="button" className="act-plain text-[14px]" onClick={onOpen}>
            {byRun ? 'From the run: take it back' : 'Take it back'}
          </button>
        )}
      </div>
    </fieldset>
  );
}

/** The likeliest causes, each as long as it is likely. */
function Suspects({ suspects }: { suspects: readonly Suspect[] }) {
  const shown = suspects.slice(0, SHOWN);
  const rest = 1 - shown.reduce((sum, { probability }) => sum + probability, 0);
  return (
    <ol aria-label="Likely causes">
      {shown.map(({ id, probability }) => (
        <li key={id} className="border-t border-hair py-1.5">
          <span className="flex justify-between gap-4">
            <span>{causes[id].name}</span>
            <span className="num">{Math.round(probability * 100)} %</span>
          </span>
          <span aria-hidden className="mt-0.5 block h-1.5 bg-grid">
            <span className="block h-full bg-ink2" style={{ width: `${probability * 100}%` }} />
          </span>
        </li>
      ))}
      <li className="flex justify-between gap-4 border-t border-hair py-1.5 text-ink2">
        <span>Something else</span>
        <span className="num">{Math.round(rest * 100)} %</span>
      </li>
    </ol>
  );
}

/** What to do differently, and the way into the next plan. */
function Advice({ cause, roll, nowYear }: { cause: Cause; roll: Roll; nowYear: number }) {
  const bench = useSettledBench();
  const [taken, setTaken] = useState<string | null>(null);
  const { change } = cause;
  const waiting = (bench?.dossiers ?? []).filter(
    ({ roll: other, plan }) => other.id !== roll.id && other.stockId === roll.stockId && plan?.pinned == null,
  );
  return (
    <div className="mt-3">
      <p>{cause.found !== undefined && wasFound(roll, nowYear) ? cause.found : cause.advice}</p>
      {change !== null && (
        <p className="mt-2 flex flex-wrap gap-3">
          {waiting.map(({ roll: other }) => (
            <button
              key={other.id}
              type="button"
              className="act min-h-11"
              disabled={taken === other.id}
              onClick={() => void takeAdviceInto(other.id, change).then((done) => done && setTaken(other.id))}
            >
              {taken === other.id ? `It is in the plan of ${other.label}` : `Take it into the plan of ${other.label}`}
            </button>
          ))}
          {waiting.length === 0 && (
            <span className="text-[14px] text-ink2">No roll of this film waits for a plan.</span>
          )}
        </p>
      )}
    </div>
  );
}

/** Years after which an exposure is no longer the user’s own doing. Source: our choice. */
const LONG_AGO_YEARS = 5;

/** Whether a roll was found exposed: nobody can expose it otherwise. */
function wasFound({ exposure: { state, year } }: Roll, nowYear: number): boolean {
  return state === 'unknown' || (year !== null && nowYear - year > LONG_AGO_YEARS);
}
