import { layersOf, LEAST_STEPS, stepsOf } from '../densitometry/calibrateCamera';
import type { KnownDensity } from '../densitometry/pictureRead';
import { failure, success, type Result } from '../schema/result';
import { parseQuantity } from '../units/quantity';

/** Densities have no unit to choose; the parser asks for a choice all the same. */
const UNITS = { temperature: 'C', volume: 'ml' } as const;

/** What a camera is held against. */
export const wedgeKinds = { layers: 'Layers of one film', table: 'A wedge with its table' } as const;
export type WedgeKind = keyof typeof wedgeKinds;

/** Most layers that are told apart, D adding up. */
const MOST_LAYERS = 12;

/**
 * Reads what is known of the steps of a wedge.
 * @param kind layers, or densities as typed
 * @param text densities from the first patch to the last, D, with spaces or semicolons between; a comma may stand for the point
 * @param count patches that are marked
 * @returns what is known of each patch; or what is wrong, with the path `knownD`
 * @example readWedge('table', '0.05 0.20 0.35', 3) // three steps
 */
export function readWedge(kind: WedgeKind, text: string, count: number): Result<KnownDensity[]> {
  const wrong = (message: string): Result<KnownDensity[]> => failure({ path: 'knownD', message });
  if (count < LEAST_STEPS) return wrong(`Mark ${LEAST_STEPS} patches at least.`);
  if (kind === 'layers')
    return count > MOST_LAYERS
      ? wrong(`Mark ${MOST_LAYERS} stacks at the most: one layer, two, three and so on.`)
      : success(layersOf(count));
  const typed = text.split(/[\s;]+/).filter((one) => one !== '');
  const densities = typed.map((one) => parseQuantity(one, 'density', UNITS));
  const unread = densities.findIndex((one) => !one.ok);
  if (unread >= 0) return wrong(`Number ${unread + 1} does not read as a density.`);
  if (typed.length !== count)
    return wrong(`${typed.length} typed for ${count} patches: give one for each, first to last.`);
  return success(stepsOf(densities.flatMap((one) => (one.ok ? [one.value] : []))));
}
