import { readyBaths } from '../schedule/baths';
import type { WetStep } from '../schedule/wetSteps';

/** Flow of a tap into a tank, litres a minute. Source: common practice (2 to 4), no source. */
const RUNNING_L_MIN = 3;
/** Fills a minute where it is rinsed until it runs clear. Source: our estimate. */
const FILLS_MIN = 1;

type Step = Pick<WetStep, 'liquid' | 'durationS' | 'untilClear' | 'instruction' | 'name'>;

const runs = ({ instruction, name }: Step): boolean =>
  instruction === readyBaths.running.note || name.toLowerCase().includes('running');

/**
 * Water that the baths of a run take: each change fills the tank once, running water is its minutes by the tap's flow.
 * @param steps the wet steps
 * @param volumeMl volume of the tank, ml; above 0
 * @returns litres. Source: common practice, no source
 * @example waterOfRun(fourChangesOfWater, 500) // 2
 */
export function waterOfRun(steps: readonly Step[], volumeMl: number): number {
  const fillL = volumeMl / 1000;
  return steps.reduce((sum, step) => {
    if (step.liquid !== 'water') return sum;
    const minutes = step.durationS / 60;
    if (runs(step)) return sum + minutes * RUNNING_L_MIN;
    return sum + fillL * (step.untilClear === true ? Math.max(1, minutes * FILLS_MIN) : 1);
  }, 0);
}
