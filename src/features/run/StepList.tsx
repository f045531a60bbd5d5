import type { RunProgress } from '@/core/schedule/runState';
import type { WetStep } from '@/core/schedule/wetSteps';
import { formatDuration } from '@/core/units/duration';
import { classes } from '@/ui/classes';

/** All steps: those past with the time they took, the one at hand, those to come. */
export function StepList({ steps, progress }: { steps: readonly WetStep[]; progress: RunProgress }) {
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
              'flex justify-between gap-4 border-b border-hair py-2 text-[17px]',
              tookS !== null && !atHand && 'text-ink2 line-through',
              atHand && 'font-bold',
            )}
          >
            <span>
              {step.name}
              {tookS !== null && !atHand && <span className="sr-only">, done</span>}
            </span>
            <span>{formatDuration(tookS !== null && !atHand ? tookS : step.durationS)}</span>
          </li>
        );
      })}
    </ol>
  );
}
