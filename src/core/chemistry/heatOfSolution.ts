import { molesIn, substanceOf, type SubstanceId } from './substances';

/** A substance that is dissolved, and how much of it, in its own unit. */
export interface DissolvedAmount {
  substanceId: SubstanceId;
  amount: number;
}

/**
 * Heat that dissolving sets free.
 * @param amounts what goes in, g
 * @returns J, below 0 when it cools, and the substances whose heat nobody has tabulated here
 * Source: CRC Handbook, enthalpies of solution at infinite dilution; brews are not that thin, so it is good to about a tenth.
 * @example dissolvingHeat([{ substanceId: 'soda-anhydrous', amount: 54 }]).heatJ // 13 600: one litre warms by 3.3 °C
 */
export function dissolvingHeat(amounts: readonly DissolvedAmount[]): { heatJ: number; unknown: SubstanceId[] } {
  let heatJ = 0;
  const unknown: SubstanceId[] = [];
  for (const { substanceId, amount } of amounts) {
    const { heatKJPerMol, formula } = substanceOf(substanceId);
    if (heatKJPerMol !== null) heatJ -= heatKJPerMol * 1000 * molesIn(substanceId, amount);
    else if (formula !== null && amount > 0) unknown.push(substanceId);
  }
  return { heatJ, unknown };
}
