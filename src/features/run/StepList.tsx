import type { RunProgress } from '@/core/run/runProgress';
import type { WetStep } from '@/core/schedule/wetSteps';
import { formatDuration } from '@/core/units/duration';
import { classes } from '@/ui/classes';

/** All steps: those past with the time they took, the one at hand, those to come. */
export function StepList({
  steps,
  progress,
  inHand,
}: {
  steps: readonly WetStep[];
  progress: RunProgress;
  /** The step at hand as it is now. */
  inHand: WetStep;
}) {
  return (
    <ol aria-label="Steps">
      {steps.map((step, index) => {
        const tookS = progress.tookS[index] ?? null;
        const atHand = progress.phase !== 'finished' && index === progress.stepIndex;
        return (
          <li
            key={index}
            aria-current={atHand ? 'step' : undefined}
            className={classes(
              'flex justify-between gap-4 border-b border-hair py-1 text-[16px]',
              tookS !== null && !atHand && 'text-ink2 line-through',
              atHand && 'font-bold',
            )}
          >
            <span>
              {step.name}
              {tookS !== null && !atHand && <span className="sr-only">, done</span>}
            </span>
            <span>{formatDuration(tookS !== null && !atHand ? tookS : (atHand ? inHand : step).durationS)}</span>
          </li>
        );
      })}
    </ol>
  );
}
