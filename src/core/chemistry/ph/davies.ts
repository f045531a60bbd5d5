/** Debye–Hückel constant of water at 25 °C. Source: Davies 1962. */
const DEBYE_HUECKEL_A = 0.509;

/** Ionic strength up to which the relation is trusted, mol/l; beyond it activities are held. Source: usual limit of the Davies equation. */
export const DAVIES_LIMIT_MOL_PER_L = 0.5;

/**
 * Activity coefficient of an ion, as −log10 for a charge of one: A·(√I/(1 + √I) − 0.3·I). A charge z counts z² times.
 * @param ionicStrength I, mol/l; 0 or more, held at 0.5
 * @returns −log10 of the activity coefficient of a singly charged ion
 * Source: Davies, Ion Association, 1962.
 * @example davies(0.1) // 0.107
 */
export function davies(ionicStrength: number): number {
  const held = Math.min(DAVIES_LIMIT_MOL_PER_L, ionicStrength);
  const root = Math.sqrt(held);
  return DEBYE_HUECKEL_A * (root / (1 + root) - 0.3 * held);
}
