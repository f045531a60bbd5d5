import type { BrewPart } from '../brewing/part';
import { substanceOf, type SubstanceId } from '../chemistry/substances';

/** Parts of a jug, each a substance with its amount. */
export function sampleParts(amounts: readonly (readonly [SubstanceId, number])[]): BrewPart[] {
  return amounts.map(([substanceId, target], index) => {
    const { name, unit } = substanceOf(substanceId);
    return {
      key: `line-${index}`,
      name,
      unit,
      target,
      actual: null,
      how: 'target',
      lnSd: 0.02,
      makeup: { kind: 'substance', substanceId },
    };
  });
}
