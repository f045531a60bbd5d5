import type { CalibrationPair } from '../densitometry/calibration';
import type { PatchDensity } from '../densitometry/patchDensity';
import { failure, success, type Result } from '../schema/result';
import { parseQuantity } from '../units/quantity';

/** Densities have no unit to choose; the parser asks for a choice all the same. */
const UNITS = { temperature: 'C', volume: 'ml' } as const;

/**
 * Reads the known densities of a wedge as typed, and pairs them with what was read of its patches.
 * @param text densities from the first patch to the last, D, with spaces or semicolons between; a comma may stand for the point
 * @param patches what was read, in the same order
 * @returns a pair for each patch that could be read; or what is wrong, with the path `knownD`
 * @example readWedge('0.05 0.20 0.35', patches) // three pairs
 */
export function readWedge(text: string, patches: readonly PatchDensity[]): Result<CalibrationPair[]> {
  const wrong = (message: string): Result<CalibrationPair[]> => failure({ path: 'knownD', message });
  const typed = text.split(/[\s;]+/).filter((one) => one !== '');
  const densities = typed.map((one) => parseQuantity(one, 'density', UNITS));
  const unread = densities.findIndex((one) => !one.ok);
  if (unread >= 0) return wrong(`Number ${unread + 1} does not read as a density.`);
  if (typed.length !== patches.length)
    return wrong(`${typed.length} typed for ${patches.length} patches: give one for each, first to last.`);
  return success(
    patches.flatMap(({ densityD, fault }, at) => {
      const known = densities[at];
      return fault !== null || known?.ok !== true ? [] : [{ readD: densityD, knownD: known.value }];
    }),
  );
}
