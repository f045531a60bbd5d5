import { parameterIds, parameters, noDeviations, type LedgerRowId, type ParameterId } from './parameters';
import type { Conditions } from './conditions';
import { predict } from './predict';

/** How one parameter's doubt moves ln(time). */
export interface Sensitivity {
  id: ParameterId;
  row: LedgerRowId;
  /** Change of ln(time) for one standard deviation of the parameter. */
  lnPerSd: number;
}

/**
 * First-order propagation: the change of ln(time) for one standard deviation of every parameter, by a central
 * difference over ± 1 sd, so that kinks such as the cap on Extend are averaged and not missed.
 * @param conditions resolved conditions
 * @returns one entry for each parameter that is in doubt
 */
export function sensitivities(conditions: Conditions): Sensitivity[] {
  const deviations = noDeviations();
  const found: Sensitivity[] = [];
  for (const id of parameterIds) {
    const { row, sd } = parameters[id];
    const width = sd(conditions);
    if (width === 0) continue;
    deviations[id] = width;
    const up = predict(conditions, deviations).timeMin;
    deviations[id] = -width;
    const down = predict(conditions, deviations).timeMin;
    deviations[id] = 0;
    found.push({ id, row, lnPerSd: Math.log(up / down) / 2 });
  }
  return found;
}
