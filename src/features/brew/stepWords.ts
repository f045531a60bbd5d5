import type { Batch } from '@/core/brewing/batch';
import type { MixStep } from '@/core/brewing/mixSteps';
import { inSpoons } from '@/core/brewing/spoons';
import { decimalsOf } from '@/core/kit/readable';
import type { SpoonSetId } from '@/core/kit/kit';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { amountWords, spoonWords, threeFigures } from './brewWords';

/** Digits that a step's amount is shown with: those of its instrument, and enough for a small amount. */
export function stepDecimals(step: Pick<MixStep, 'unit' | 'target'>, batch: Batch): number {
  if (step.unit === 'tablets') return 1;
  const stepSize = step.unit === 'ml' ? batch.cylinderStepMl : batch.scaleStepG;
  const decimals = decimalsOf(stepSize);
  return step.target !== null && step.target > 0 && step.target < stepSize ? Math.max(decimals, Math.min(2, threeFigures(step.target))) : decimals;
}

/** The amount of a step, or how long it stands. */
export function stepAmountWords(step: MixStep, batch: Batch, units: UnitChoice): string {
  if (step.standMin !== null) return `${step.standMin} min`;
  if (step.kind === 'measure') return formatQuantity(batch.targetC, 'temperature', units);
  if (step.target === null || step.unit === null) return '';
  return `${step.kind === 'top-up' ? 'to ' : ''}${amountWords(step.target, step.unit, stepDecimals(step, batch), units)}${step.kind === 'water' ? waterAt(batch, units) : ''}`;
}

function waterAt({ water }: Batch, units: UnitChoice): string {
  return water.firstC === null ? '' : ` at ${formatQuantity(water.firstC, 'temperature', units)}`;
}

/** The spoons of a step whose part is measured by spoons; empty for any other. */
export function stepSpoonWords(step: MixStep, batch: Batch, set: SpoonSetId): string {
  const part = batch.parts.find(({ key }) => key === step.partKey);
  if (part === undefined || part.how !== 'spoons' || part.makeup.kind !== 'substance') return '';
  const spoons = inSpoons(part.makeup.substanceId, part.target, set);
  return spoons === null ? '' : spoonWords(spoons);
}

/** Between which amounts it is as good as exact. */
export function toleranceWords(step: MixStep, batch: Batch, units: UnitChoice): string {
  if (step.tolerance === null || step.unit === null) return '';
  const decimals = Math.max(stepDecimals(step, batch), step.tolerance.high - step.tolerance.low < 1 ? 1 : 0);
  const ends = [step.tolerance.low, step.tolerance.high].map((end) => amountWords(end, step.unit ?? 'g', decimals, units));
  return `${ends.join(' to ')} is as good as exact`;
}
