import { developerFamilies, IMPROVISED_Q10 } from '../chemistry/developerFamilies';
import type { Developer } from '../brewing/composition';
import { ONE_BATH_Q10 } from '../kinetics/oneBath';
import type { RunProgress } from './runProgress';
import { driftDose, tankTimeConstant } from '../thermal/drift';
import { TankTemperature } from './tankTemperature';
import type { Run } from '../records/records';

/** How warm the tank of a run is, and what that does to its development. */
export interface DevelopingTank {
  tank: TankTemperature;
  /** Dose that was planned, min at the planned temperature. */
  doseMin: number;
  q10: number;
  timeConstantMin: number;
}

/** Volume that is counted where nobody kept it, ml. */
const USUAL_VOLUME_ML = 500;

/**
 * The tank of a run while it develops.
 * @param run the run
 * @param stepIndex its developing step
 * @param readings every thermometer reading so far
 * @returns its temperature and the dose that was planned; null where nothing is known but the plan, which then holds
 */
export function developingTank(run: Run, stepIndex: number, readings: RunProgress['readings']): DevelopingTank | null {
  const step = run.steps[stepIndex];
  if (step?.kind !== 'develop') return null;
  const own = readings.filter((reading) => reading.stepIndex === stepIndex);
  const room = readings.findLast((reading) => reading.stepIndex === null);
  if (own.length === 0 && room === undefined) return null;
  const q10 = run.pinned.outlook?.q10 ?? usualQ10(run.setup?.developer);
  const timeConstantMin = tankTimeConstant(run.volumeMl ?? USUAL_VOLUME_ML);
  const plannedC = run.setup?.ambientC ?? null;
  const planned = step.durationS / 60;
  const doseMin =
    plannedC === null
      ? planned
      : driftDose({ startC: run.temperatureC, ambientC: plannedC, timeConstantMin }, q10, planned);
  const tank = new TankTemperature(
    { startC: run.temperatureC, ambientC: room?.celsius ?? plannedC, timeConstantMin },
    own.map(({ elapsedS, celsius }) => ({ atS: elapsedS ?? 0, celsius })),
  );
  return { tank, doseMin, q10, timeConstantMin };
}

function usualQ10(developer: Developer | undefined): number {
  if (developer?.kind === 'one-bath') return ONE_BATH_Q10;
  return developer?.kind === 'concentrate' ? developerFamilies[developer.familyId].q10 : IMPROVISED_Q10;
}
