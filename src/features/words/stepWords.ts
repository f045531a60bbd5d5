import type { Batch } from '@/core/brewing/batch';
import type { MixStep } from '@/core/brewing/mixSteps';
import { inSpoons } from '@/core/brewing/spoons';
import { asShown } from '@/core/kit/readable';
import type { Kit } from '@/core/kit/kit';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { amountWords, spoonFillWords, spoonWords } from './brewWords';

/** A step's amount as its instrument can show it. */
export function stepShown(step: Pick<MixStep, 'unit' | 'target'>, batch: Batch): { shown: number; decimals: number } {
  const target = step.target ?? 0;
  return step.unit === 'tablets'
    ? { shown: target, decimals: 1 }
    : asShown(target, step.unit === 'ml' ? batch.cylinderStepMl : batch.scaleStepG);
}

/** The amount of a step, or how long it stands. */
export function stepAmountWords(step: MixStep, batch: Batch, units: UnitChoice): string {
  if (step.standMin !== null) return `${step.standMin} min`;
  if (step.kind === 'measure') return formatQuantity(batch.targetC, 'temperature', units);
  if (step.target === null || step.unit === null) return '';
  const { shown, decimals } = stepShown(step, batch);
  return `${step.kind === 'top-up' ? 'to ' : ''}${amountWords(shown, step.unit, decimals, units)}${step.kind === 'water' ? waterAt(batch, units) : ''}`;
}

function waterAt({ water }: Batch, units: UnitChoice): string {
  return water.firstC === null ? '' : ` at ${formatQuantity(water.firstC, 'temperature', units)}`;
}

/** The spoons of a step whose part is measured by spoons; empty for any other. */
export function stepSpoonWords(
  step: MixStep,
  batch: Batch,
  kit: Pick<Kit, 'spoons' | 'coffeeSpoon' | 'teaspoons'>,
): string {
  const part = batch.parts.find(({ key }) => key === step.partKey);
  if (part === undefined || part.how !== 'spoons' || part.makeup.kind !== 'substance') return '';
  const spoons = inSpoons(part.makeup.substanceId, part.target, kit.spoons, kit.coffeeSpoon, kit.teaspoons);
  return spoons === null ? '' : spoonWords(spoons);
}

/** How the spoons of a step are filled. */
export function stepFillWords(step: MixStep, batch: Batch, kit: Pick<Kit, 'coffeeSpoon'>): string {
  const part = batch.parts.find(({ key }) => key === step.partKey);
  return spoonFillWords(part?.makeup.kind === 'substance' ? part.makeup.substanceId : null, kit);
}

/** Between which amounts it will do. */
export function toleranceWords(step: MixStep, batch: Batch, units: UnitChoice): string {
  if (step.tolerance === null || step.unit === null) return '';
  const decimals = Math.max(stepShown(step, batch).decimals, step.tolerance.high - step.tolerance.low < 1 ? 1 : 0);
  const ends = [step.tolerance.low, step.tolerance.high].map((end) =>
    amountWords(end, step.unit ?? 'g', decimals, units),
  );
  if (step.coarseShare === null) return `${ends.join(' to ')} will do`;
  const instrument = step.unit === 'ml' ? 'cylinder' : step.unit === 'tablets' ? 'half tablet' : 'scale';
  return `${ends.join(' to ')} is as near as your ${instrument} goes: ± ${Math.round(step.coarseShare * 100)} %${batch.use === 'film-developer' ? ', and the likely range allows for it' : ''}`;
}
