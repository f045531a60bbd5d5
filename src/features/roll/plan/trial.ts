import { useSyncExternalStore } from 'react';
import type { EstimatePreview } from '@/core/estimate/analysis';
import type { PlanChoices, PlanForm } from '@/core/plan/planForm';

/** A plan as it is tried out while a slider moves, with its estimate; with the one before where its own takes long. */
export interface Trial {
  form: PlanForm;
  /** Null until the first estimate of this trial has come. */
  found: { choices: PlanChoices; estimatePreview: EstimatePreview } | null;
}

/**
 * Keeps a trial beside the page's own state, so that a moving slider redraws the time, its ledger and its curve, and not the
 * whole roll. At rest there is none.
 */
export class Trials {
  private trial: Trial | null = null;
  private readonly listeners = new Set<() => void>();

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly current = (): Trial | null => this.trial;

  set(trial: Trial | null): void {
    if (trial === this.trial) return;
    this.trial = trial;
    for (const listener of this.listeners) listener();
  }
}

/** The form that is tried out at this moment; null at rest. */
export function useTriedForm(trials: Trials): PlanForm | null {
  return useSyncExternalStore(
    trials.subscribe,
    () => trials.current()?.form ?? null,
    () => null,
  );
}

/** The estimate of what is tried out, the one before while it is on its way; null at rest. What shows it is drawn once a move. */
export function useTriedFound(trials: Trials): Trial['found'] {
  return useSyncExternalStore(
    trials.subscribe,
    () => trials.current()?.found ?? null,
    () => null,
  );
}
