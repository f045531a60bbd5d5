'use client';

import { startTransition, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { EstimateRequest } from '@/core/estimate/request';
import type { StrategyRequests } from '@/core/estimate/strategies';
import { strategyIds } from '@/core/estimate/strategyIds';
import type { Brew } from '@/core/records/records';
import { changeForm } from '@/core/plan/changeForm';
import { estimateRequestFor } from '@/core/plan/estimateRequestFor';
import { readPlanForm, type PlanChoices, type PlanForm } from '@/core/plan/planForm';
import { withStrategy } from '@/core/plan/withStrategy';
import { currentPlanForm } from '@/core/plan/planInHand';
import { followDraft, keepDraft } from '@/data/drafts';
import { planDraftKey } from '@/data/plans';
import type { RollDossier } from '@/data/queries';
import { learnedNow } from '@/features/learning/learnedStore';
import { useLearned, type Learned } from '@/features/learning/useLearned';
import { useLast } from '@/ui/useLast';
import { coreWorker } from '@/workers/core';
import type { RollAnalysis } from '@/workers/coreApi';
import { Trials, type Trial } from './trial';
import { TryingOut } from './tryingOut';

/** How the estimate on show stands to what is typed; it is renewed when something else on the bench has changed. */
export type PlanState = 'current' | 'renewing' | 'following' | 'mending';

/** The plan of a roll while it is being chosen. */
export interface CurrentPlan {
  form: PlanForm;
  change: (part: Partial<PlanForm>) => void;
  /** Changes a field while it is moved: it is shown together with its time at once, the rest of the page when it rests. */
  tryOut: (part: Partial<PlanForm>) => void;
  trials: Trials;
  /** Chooses a strategy with what belongs to it. */
  chooseStrategy: (id: PlanForm['strategyId']) => void;
  /** What the form decides; null while something in it is wrong. */
  choices: PlanChoices | null;
  /** The choices; while something is wrong, the ones before, so that nothing jumps under the hands. Null until there are any. */
  shown: PlanChoices | null;
  /** Brews on the bench. */
  jugs: readonly Brew[];
  /** The jug that the form has chosen; null for a brew still to be mixed. */
  jug: Brew | null;
  /** What is wrong, by field. */
  errors: Partial<Record<string, string>>;
  /** The estimate for the last valid choices; null until the first arrives. */
  analysis: RollAnalysis | null;
  /** Whether the estimate belongs to what is typed, is renewed or follows in a moment, or waits for something to be mended. */
  state: PlanState;
  /** Whether the estimate was made without the log, which is long and still being read: it is shown, and cannot be used yet. */
  withoutLog: boolean;
  /** Why there is no estimate although nothing typed is wrong; null as a rule. */
  failed: string | null;
}

/** Keeps the plan's form as typed, reads it, and asks the worker for the estimate. */
export function usePlanForm(dossier: RollDossier, draft: unknown, jugs: readonly Brew[], nowMs: number): CurrentPlan {
  const { roll, stock, plan } = dossier;
  const [form, setForm] = useState<PlanForm>(() => currentPlanForm(roll, stock, plan, draft, nowMs));
  const latestRef = useRef(form);
  const keptRef = useRef(form);
  const replace = useCallback(
    (next: PlanForm) => {
      const part = changedFields(keptRef.current, next);
      latestRef.current = next;
      keptRef.current = next;
      setForm(next);
      void keepDraft(planDraftKey(roll.id), next, part).catch(() => undefined);
    },
    [roll.id],
  );
  const { tryOut, settle, trials } = useTryOut({ roll, stock, jugs, nowMs, latestRef, replace });
  const change = useCallback(
    (part: Partial<PlanForm>) => {
      settle();
      replace(changeForm(latestRef.current, part, jugs));
    },
    [settle, replace, jugs],
  );
  const read = useMemo(() => readPlanForm(form, { formatId: roll.formatId }, jugs), [form, roll.formatId, jugs]);
  const choices = read.ok ? read.value : null;
  const errors = useMemo(
    () => (read.ok ? {} : Object.fromEntries([...read.problems].reverse().map(({ path, message }) => [path, message]))),
    [read],
  );
  useEffect(
    () =>
      followDraft(planDraftKey(roll.id), (values) => {
        settle();
        const followed = currentPlanForm(roll, stock, plan, { ...latestRef.current, ...values });
        latestRef.current = followed;
        keptRef.current = followed;
        setForm(followed);
      }),
    [settle, roll, stock, plan],
  );
  const asked = useMemo(() => {
    if (choices === null) return { request: null, failed: null };
    return requestOf({ roll, stock, jugs, nowMs }, choices);
  }, [choices, jugs, roll, stock, nowMs]);
  const { request } = asked;
  // Each strategy is asked for as it would be chosen here: what its card says is what a tap on it gives.
  const variants = useMemo(
    () =>
      request === null
        ? {}
        : Object.fromEntries(
            strategyIds.flatMap((id) => {
              if (id === form.strategyId) return [];
              const other = readPlanForm(withStrategy(form, id, jugs), { formatId: roll.formatId }, jugs);
              const made = other.ok ? requestOf({ roll, stock, jugs, nowMs }, other.value).request : null;
              return made === null ? [] : [[id, made]];
            }),
          ),
    [request, form, jugs, roll, stock, nowMs],
  );
  const learned = useKnownLog();
  const ownTimeMin = choices?.ownTimeMin ?? null;
  const { analysis, failed } = useAnalysis(request, form.muted, ownTimeMin, learned, variants);
  const key = useMemo(
    () => analysisKey(request, form.muted, ownTimeMin, learned, variants),
    [request, form.muted, ownTimeMin, learned, variants],
  );
  const chooseStrategy = useCallback(
    (id: PlanForm['strategyId']) => {
      settle();
      replace(withStrategy(latestRef.current, id, jugs));
    },
    [settle, replace, jugs],
  );
  const current = analysis !== null && analysis.key === key && learned?.all === true;
  useEffect(() => {
    if (current && latestRef.current === form) trials.set(null);
  }, [current, form, trials]);
  const jug = form.developerKind === 'jug' ? (jugs.find(({ id }) => id === form.brewId) ?? null) : null;
  const shown = useLast(choices);
  const renewing = analysis !== null && analysis.about === aboutOf(request, form.muted, ownTimeMin);
  const state = choices === null ? 'mending' : current ? 'current' : renewing ? 'renewing' : 'following';
  return {
    form,
    change,
    tryOut,
    trials,
    chooseStrategy,
    choices,
    shown,
    jugs,
    jug,
    errors,
    analysis,
    state,
    withoutLog: analysis?.key === WITHOUT_LOG,
    failed: asked.failed ?? failed,
  };
}

/** What the bench knows, once its whole log is read: before that a time would only be taken back a moment later. */
function useKnownLog(): Learned | null {
  const learned = useLearned();
  const [known, setKnown] = useState(false);
  if (!known && learned?.all === true) setKnown(true);
  return known ? learned : null;
}

/** What a request is made from besides what the form decides. */
interface Around extends Pick<RollDossier, 'roll' | 'stock'> {
  jugs: readonly Brew[];
  nowMs: number;
}

interface TryOut extends Around {
  latestRef: React.RefObject<PlanForm>;
  replace: (form: PlanForm) => void;
}

function useTryOut({ roll, stock, jugs, nowMs, latestRef, replace }: TryOut): Pick<CurrentPlan, 'tryOut' | 'trials'> & {
  /** Takes at once what is being tried out, before anything else is changed. */
  settle: () => void;
} {
  const [trials] = useState(() => new Trials());
  const trying = useMemo(() => {
    const find = async (form: PlanForm): Promise<Trial['found']> => {
      const read = readPlanForm(form, { formatId: roll.formatId }, jugs);
      if (!read.ok) return null;
      const { request } = requestOf({ roll, stock, jugs, nowMs }, read.value);
      if (request === null) return null;
      return {
        choices: read.value,
        estimatePreview: await coreWorker().estimatePreview(request, form.muted, read.value.ownTimeMin),
      };
    };
    return new TryingOut(trials, { find, settle: replace });
  }, [trials, roll, stock, jugs, nowMs, replace]);
  const settle = useCallback(() => trying.end(), [trying]);
  useEffect(() => {
    window.addEventListener('pagehide', settle);
    return () => {
      window.removeEventListener('pagehide', settle);
      settle();
    };
  }, [settle]);
  const tryOut = useCallback(
    (part: Partial<PlanForm>) => {
      latestRef.current = changeForm(latestRef.current, part, jugs);
      trying.move(latestRef.current);
    },
    [latestRef, trying, jugs],
  );
  return { tryOut, settle, trials };
}

/** The fields in which two forms differ. */
function changedFields(before: PlanForm, after: PlanForm): Partial<PlanForm> {
  const fields = Object.entries(after).filter(
    ([field, value]) => JSON.stringify(value) !== JSON.stringify(before[field as keyof PlanForm]),
  );
  return Object.fromEntries(fields);
}

/** A request, or why the records of this roll do not make one. */
function requestOf(
  { roll, stock, jugs, nowMs }: Around,
  choices: PlanChoices,
): { request: EstimateRequest | null; failed: string | null } {
  const brew = jugs.find(({ id }) => id === choices.brewId) ?? null;
  try {
    return { request: estimateRequestFor(roll, stock, choices, brew, nowMs), failed: null };
  } catch (error) {
    return { request: null, failed: failureWords(error) };
  }
}

function failureWords(error: unknown): string {
  return error instanceof Error ? error.message : 'The estimate stopped for an unknown reason.';
}

/** What an analysis is about; null while there is nothing to ask. */
function analysisKey(
  request: EstimateRequest | null,
  muted: readonly string[],
  ownTimeMin: number | null,
  learned: Learned | null,
  variants: StrategyRequests,
): string | null {
  return request === null || learned === null
    ? null
    : JSON.stringify([request, muted, ownTimeMin, variants, learned.revision]);
}

/** What of a plan an analysis is about, whatever the bench has learned meanwhile. */
const aboutOf = (request: EstimateRequest | null, muted: readonly string[], ownTimeMin: number | null): string =>
  JSON.stringify([request, muted, ownTimeMin]);

/** An analysis with what it was made for. */
interface Answer extends RollAnalysis {
  key: string;
  /** What of the plan it is about; empty where it was made without the log. */
  about: string;
}

/** Key of an analysis that was made without the log. No analysis that is asked for has it, so it never counts as current. */
const WITHOUT_LOG = 'without the log';

/** How long a page waits for a long log before it shows a first time without it, ms. Source: our choice. */
const PATIENCE_MS = 600;

/** A first analysis, worked out within the page, while a long log is being read and fitted, which takes seconds. */
async function analysisWithoutLog(
  request: EstimateRequest,
  muted: readonly string[],
  ownTimeMin: number | null,
): Promise<RollAnalysis> {
  const [{ analysis }, { learnPieces }] = await Promise.all([
    import('@/core/estimate/analysis'),
    import('@/core/learning/learning'),
  ]);
  return { ...analysis(request, learnPieces([]).fitFor(request, [...muted]), [], ownTimeMin), listed: [] };
}

function useAnalysis(
  request: EstimateRequest | null,
  muted: readonly string[],
  ownTimeMin: number | null,
  learned: Learned | null,
  variants: StrategyRequests,
): { analysis: Answer | null; failed: string | null } {
  const [failure, setFailure] = useState<{ key: string; words: string } | null>(null);
  const [answer, setAnswer] = useState<Answer | null>(null);
  const key = useMemo(
    () => analysisKey(request, muted, ownTimeMin, learned, variants),
    [request, muted, ownTimeMin, learned, variants],
  );
  useEffect(() => {
    if (key === null) return;
    let stale = false;
    const [asked, off, own, others] = JSON.parse(key) as [
      EstimateRequest,
      string[],
      number | null,
      StrategyRequests,
      number,
    ];
    void coreWorker()
      .analysis(asked, off, own, others)
      .then((analysis) => {
        // What hangs on an analysis may be drawn in pieces, so that typing is never held up.
        if (!stale) startTransition(() => setAnswer({ ...analysis, key, about: aboutOf(asked, off, own) }));
      })
      .catch((error: unknown) => {
        if (!stale) setFailure({ key, words: failureWords(error) });
      });
    return () => {
      stale = true;
    };
  }, [key]);
  const waiting = answer === null && request !== null;
  useEffect(() => {
    if (!waiting) return;
    let stale = false;
    const impatient = setTimeout(() => {
      if (learnedNow()?.long !== true) return;
      analysisWithoutLog(request, muted, ownTimeMin).then(
        (analysis) => {
          if (!stale) setAnswer((found) => found ?? { ...analysis, key: WITHOUT_LOG, about: '' });
        },
        // The one with the log says what is wrong.
        () => undefined,
      );
    }, PATIENCE_MS);
    return () => {
      stale = true;
      clearTimeout(impatient);
    };
  }, [waiting, request, muted, ownTimeMin]);
  return { analysis: answer, failed: failure !== null && failure.key === key ? failure.words : null };
}
