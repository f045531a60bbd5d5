import type { Sheet } from '../brewing/workbench';
import { situationSchema } from '../estimate/situationSchema';
import type { EstimateRequest } from '../estimate/request';
import type { Plan, Roll, Stock } from '../records/records';
import { estimateRequestFor } from './estimateRequestFor';
import { initialPlanForm, readPlanForm } from './planForm';
import { currentPlanForm } from './planInHand';

/** A roll for which a brew is tried. */
export interface RollForBrew {
  roll: Roll;
  stock: Stock;
  plan: Plan | undefined;
  planDraft: unknown;
}

/** What the worker is asked about a brew on the workbench. */
export interface BrewTrial {
  request: EstimateRequest;
  /** Pieces of evidence that are switched off for this roll. */
  muted: readonly string[];
  /** What the roll's own plan has otherwise, for which its page shows another time. */
  planned: { otherDeveloper: boolean; temperatureC: number | null };
}

/** Volumes that the estimator takes; a fresh brew's volume hardly moves its time. */
const LEAST_ML = 50;
const MOST_ML = 20000;

/** Range of temperatures of the estimator: a sheet outside of it gets no time. */
const temperature = situationSchema.shape.temperatureC;

/**
 * The estimate to ask for when a brew is tried for a roll: the roll's own plan, with the brew in the place of its developer.
 * @param found the roll with its plan as typed
 * @param sheet the workbench, worked out
 * @param nowMs this instant, ms since the epoch
 * @returns the request, or null for what develops no film
 */
export function brewTrial(
  { roll, stock, plan, planDraft }: RollForBrew,
  sheet: Sheet,
  nowMs: number,
): BrewTrial | null {
  const { developer, composition, mixingLnSd, batch } = sheet;
  if (developer === null || !temperature.safeParse(batch.targetC).success) return null;
  const initial = initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition });
  const typed = currentPlanForm(roll, stock, plan, planDraft);
  // The plan's own developer may be half typed or a jug that is gone; the brew takes its place either way.
  const neutral = { developerKind: 'one-bath' as const };
  const asTyped = readPlanForm({ ...typed, ...neutral }, roll, []);
  const read = asTyped.ok ? asTyped : readPlanForm({ ...initial, ...neutral }, roll, []);
  if (!read.ok) return null;
  const choices = {
    ...read.value,
    developer,
    bromideGPerL: composition.bromideGPerL,
    temperatureC: batch.targetC,
    volumeMl: Math.min(MOST_ML, Math.max(LEAST_ML, batch.volumeMl)),
    brewId: null,
  };
  const request = estimateRequestFor(roll, stock, choices, null, nowMs);
  const own = readPlanForm(typed, roll, []);
  return {
    request: { ...request, ...(mixingLnSd === null ? {} : { mixingLnSd }) },
    muted: choices.muted,
    planned: {
      otherDeveloper: !own.ok || JSON.stringify(own.value.developer) !== JSON.stringify(developer),
      temperatureC: read.value.temperatureC === batch.targetC ? null : read.value.temperatureC,
    },
  };
}
