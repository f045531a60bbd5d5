import * as z from 'zod';

/** What the negative is for, and the average gradient that suits it. */
export const purposeSchema = z.object({ name: z.string(), gradient: z.number().positive() });

/** Target gradients by purpose. Source: common practice, no source. */
export const purposes = {
  scan: { name: 'Scanning', gradient: 0.58 },
  diffusion: { name: 'Diffusion enlarger', gradient: 0.62 },
  condenser: { name: 'Condenser enlarger', gradient: 0.5 },
} as const satisfies Record<string, z.infer<typeof purposeSchema>>;

export type PurposeId = keyof typeof purposes;
export const purposeIds = Object.keys(purposes) as [PurposeId, ...PurposeId[]];

/** Gradient that the family reference times aim at. Source: our choice, the scan gradient. */
export const BASE_GRADIENT = purposes.scan.gradient;

/** Factor of the target gradient for one stop of push. Source: our estimate. */
export const GRADIENT_PER_PUSH_STOP = 1.18;

/**
 * Target gradient for a purpose and a push or pull.
 * @param purpose what the negative is for
 * @param pushStops stops of push; negative to pull; −3 to 3
 * @returns target Ḡ
 * @example targetGradient('scan', 1) // 0.684
 */
export function targetGradient(purpose: PurposeId, pushStops: number): number {
  return purposes[purpose].gradient * GRADIENT_PER_PUSH_STOP ** pushStops;
}
