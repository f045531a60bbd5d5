/** All that a litre holds, ml. */
const WHOLE_ML = 1000;

/** Share by which binary arithmetic may miss a whole. */
const DUST = 1e-9;

/**
 * An amount of one jug, in a litre of it: not rounded, so that the jug gets back what it was given.
 * @param amount g or ml; 0 or more
 * @param volumeMl volume of the jug, ml; above 0
 * @returns g or ml in a litre; what fills the jug is a whole litre, without binary dust
 * @example inALitre(9.6, 400) // 24
 */
export function inALitre(amount: number, volumeMl: number): number {
  const perL = (amount * WHOLE_ML) / volumeMl;
  return Math.abs(perL - WHOLE_ML) < WHOLE_ML * DUST ? WHOLE_ML : perL;
}

/** Digits that an amount's field shows after the point: finer than any scale, and without binary dust. */
const FIELD_DIGITS = 4;

/**
 * An amount as it stands in its field.
 * @param amount g or ml
 * @example amountToInput(20.040000000000003) // '20.04'
 */
export function amountToInput(amount: number): string {
  return String(Number(amount.toFixed(FIELD_DIGITS)));
}

/**
 * An amount in a litre, in one jug.
 * @param perL g or ml in a litre; 0 or more
 * @param volumeMl volume of the jug, ml; above 0
 * @returns g or ml in the jug
 * @example inAJug(24, 400) // 9.6
 */
export function inAJug(perL: number, volumeMl: number): number {
  return (perL * volumeMl) / WHOLE_ML;
}
