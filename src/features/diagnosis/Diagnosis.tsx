'use client';

import { lowerFirst } from '@/core/units/lowerFirst';
import { useState } from 'react';
import * as z from 'zod';
import { causes, type Cause } from '@/core/diagnosis/causes';
import { answersOf, diagnose, nextQuestion, type Suspect } from '@/core/diagnosis/diagnose';
import { questionIds, questions, type Answers, type QuestionId } from '@/core/diagnosis/questions';
import type { Roll, Verdict } from '@/core/records/records';
import { takeAdviceInto } from '@/data/plans';
import { useSettledBench } from '@/data/queries';
import { useDraft } from '@/features/keeping/useDraft';
import { classes } from '@/ui/classes';

/** Suspects that are drawn; the rest share what is left. */
const SHOWN = 4;

/** From here on a cause is called by its name in the heading. */
const LIKELY = 0.6;

const answersSchema = z.object(
  Object.fromEntries(questionIds.map((id) => [id, z.enum(Object.keys(questions[id].options) as [string]).optional()])),
) as unknown as z.ZodType<Answers>;

/** What went wrong with a film: what the verdict says already, the next question, and who is suspected. */
export function Diagnosis({ verdict, roll }: { verdict: Verdict; roll: Roll }) {
  const { form, change } = useDraft<Answers>(`diagnosis:${verdict.runId}`, answersSchema, (kept) => kept ?? {});
  if (form === null) return null;
  const answers: Answers = { ...answersOf(verdict), ...form };
  const suspects = diagnose(answers);
  const [first] = suspects;
  const asked = nextQuestion(answers);
  if (first === undefined) return null;
  return (
    <section aria-labelledby="diagnosis" className="mt-6 max-w-[860px] border-t-2 border-ink pt-3">
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
            <summary className="w-fit underline underline-offset-3">What was seen</summary>
            <div className="mt-2 space-y-3">
              {questionIds
                .filter((id) => answers[id] !== undefined)
                .map((id) => (
                  <Question key={id} id={id} answer={answers[id]} onAnswer={(answer) => change({ [id]: answer })} />
                ))}
            </div>
          </details>
        </div>
        <div>
          <Suspects suspects={suspects} />
          <Advice cause={causes[first.id]} roll={roll} />
        </div>
      </div>
    </section>
  );
}

interface QuestionProps {
  id: QuestionId;
  answer: string | undefined;
  onAnswer: (answer: string) => void;
  next?: boolean;
}

function Question({ id, answer, onAnswer, next = false }: QuestionProps) {
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
function Advice({ cause, roll }: { cause: Cause; roll: Roll }) {
  const bench = useSettledBench();
  const [taken, setTaken] = useState<string | null>(null);
  const { change } = cause;
  const waiting = (bench?.dossiers ?? []).filter(
    ({ roll: other, plan }) => other.id !== roll.id && other.stockId === roll.stockId && plan?.pinned == null,
  );
  return (
    <div className="mt-3">
      <p>{cause.advice}</p>
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
