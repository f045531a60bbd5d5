'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import type { EstimateRequest } from '@/core/estimate/request';
import type { Brew } from '@/core/formats/records';
import { estimateRequestFor } from '@/core/plan/estimateRequestFor';
import { readPlanForm, withStrategy, type PlanChoices, type PlanForm } from '@/core/plan/planForm';
import { planFormInHand } from '@/core/plan/planInHand';
import { keepDraft } from '@/data/drafts';
import { planDraftKey } from '@/data/plans';
import type { RollDossier } from '@/data/queries';
import { useLearned } from '@/features/learning/useLearned';
import { coreWorker } from '@/workers/core';
import type { RollStudy } from '@/workers/coreApi';

/** The plan of a roll while it is being chosen. */
export interface PlanInHand {
  form: PlanForm;
  change: (part: Partial<PlanForm>) => void;
  /** Chooses a strategy with what belongs to it. */
  chooseStrategy: (id: PlanForm['strategyId']) => void;
  /** What the form decides; null while something in it is wrong. */
  choices: PlanChoices | null;
  /** What is wrong, by field. */
  errors: Partial<Record<string, string>>;
  /** The estimate for the last valid choices; null until the first arrives. */
  study: RollStudy | null;
  /** Whether the estimate belongs to the choices as they stand. */
  current: boolean;
}

/** Keeps the plan's form as typed, reads it, and asks the worker for the estimate. */
export function usePlanForm(dossier: RollDossier, draft: unknown, jugs: readonly Brew[], nowMs: number): PlanInHand {
  const { roll, stock, plan } = dossier;
  const [form, setForm] = useState<PlanForm>(() => planFormInHand(roll, stock, plan, draft));
  const change = useCallback(
    (part: Partial<PlanForm>) => {
      const next = { ...form, ...part };
      setForm(next);
      void keepDraft(planDraftKey(roll.id), next).catch(() => undefined);
    },
    [form, roll.id],
  );
  const read = useMemo(() => readPlanForm(form, { formatId: roll.formatId }, jugs), [form, roll.formatId, jugs]);
  const choices = read.ok ? read.value : null;
  const errors = useMemo(() => (read.ok ? {} : Object.fromEntries([...read.problems].reverse().map(({ path, message }) => [path, message]))), [read]);
  const request = useMemo(() => {
    if (choices === null) return null;
    const brew = jugs.find(({ id }) => id === choices.brewId) ?? null;
    return estimateRequestFor(roll, stock, choices, brew, nowMs);
  }, [choices, jugs, roll, stock, nowMs]);
  const learned = useLearned(new Date(nowMs).getFullYear());
  const study = useStudy(request, form.muted, learned);
  const key = useMemo(() => studyKey(request, form.muted, learned), [request, form.muted, learned]);
  const chooseStrategy = useCallback((id: PlanForm['strategyId']) => change(withStrategy(form, id, jugs)), [change, form, jugs]);
  return { form, change, chooseStrategy, choices, errors, study, current: study !== null && study.key === key };
}

/** What a study is about; null while there is nothing to ask. */
function studyKey(request: EstimateRequest | null, muted: readonly string[], learned: number | null): string | null {
  return request === null || learned === null ? null : JSON.stringify([request, muted, learned]);
}

function useStudy(request: EstimateRequest | null, muted: readonly string[], learned: number | null): (RollStudy & { key: string }) | null {
  const [answer, setAnswer] = useState<(RollStudy & { key: string }) | null>(null);
  const key = useMemo(() => studyKey(request, muted, learned), [request, muted, learned]);
  useEffect(() => {
    if (key === null) return;
    let stale = false;
    const [asked, off] = JSON.parse(key) as [EstimateRequest, string[], number];
    void coreWorker()
      .study(asked, off)
      .then((study) => {
        if (!stale) setAnswer({ ...study, key });
      });
    return () => {
      stale = true;
    };
  }, [key]);
  return answer;
}
