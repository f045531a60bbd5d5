import { encodedOf } from './transfer';

/**
 * Grey of a patch of a density on a screen, as a share of its white in sRGB code values.
 * @param densityD density, D; 0 or more
 * @returns 0 to 255, for red, green and blue alike
 * Source: D = −log10(transmittance), ISO 5 series; transfer function of IEC 61966-2-1.
 * @example patchGrey(0.3) // 188
 */
export function patchGrey(densityD: number): number {
  return Math.round(255 * encodedOf(10 ** -densityD, { id: 'srgb' }));
}
