'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import type { EstimateRequest } from '@/core/estimate/request';
import type { Study } from '@/core/estimate/study';
import type { Brew } from '@/core/formats/records';
import { estimateRequestFor } from '@/core/plan/estimateRequestFor';
import { readPlanForm, type PlanChoices, type PlanForm } from '@/core/plan/planForm';
import { planFormInHand } from '@/core/plan/planInHand';
import { keepDraft } from '@/data/drafts';
import { planDraftKey } from '@/data/plans';
import type { RollDossier } from '@/data/queries';
import { coreWorker } from '@/workers/core';

/** The plan of a roll while it is being chosen. */
export interface PlanInHand {
  form: PlanForm;
  change: (part: Partial<PlanForm>) => void;
  /** What the form decides; null while something in it is wrong. */
  choices: PlanChoices | null;
  /** What is wrong, by field. */
  errors: Partial<Record<string, string>>;
  /** The estimate for the last valid choices; null until the first arrives. */
  study: Study | null;
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
  const study = useStudy(request);
  return { form, change, choices, errors, study, current: study !== null && study.key === JSON.stringify(request) };
}

function useStudy(request: EstimateRequest | null): (Study & { key: string }) | null {
  const [answer, setAnswer] = useState<(Study & { key: string }) | null>(null);
  const key = useMemo(() => (request === null ? null : JSON.stringify(request)), [request]);
  useEffect(() => {
    if (key === null) return;
    let stale = false;
    void coreWorker()
      .study(JSON.parse(key) as EstimateRequest)
      .then((study) => {
        if (!stale) setAnswer({ ...study, key });
      });
    return () => {
      stale = true;
    };
  }, [key]);
  return answer;
}
