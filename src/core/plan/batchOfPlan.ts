import type { Batch } from '../brewing/batch';
import { workbench } from '../brewing/workbench';
import { initialWorkbench, recipeOfDeveloper } from '../brewing/workbenchForm';
import type { Kit } from '../kit/kit';
import { developerName } from './developerName';
import type { PlanChoices } from './planForm';

/**
 * A plan's developer laid out for the plan's tank.
 * @param choices what the plan decides
 * @param rollId the roll that it is for
 * @param kit scale, spoons, jugs and bottles
 * @returns null for a developer that comes ready, and for a kit that is not entered yet
 */
export function batchOfPlan(
  { developer, bromideGPerL, volumeMl, temperatureC }: PlanChoices,
  rollId: string,
  kit: Kit,
): Batch | null {
  const recipe = recipeOfDeveloper(developerName(developer), developer, bromideGPerL);
  const tank = { rollId, coverMl: volumeMl, volumeMl, targetC: temperatureC };
  return workbench(initialWorkbench(recipe, tank), kit).sheet?.batch ?? null;
}
