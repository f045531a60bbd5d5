/** Fog of one pass through an X-ray machine for hand baggage at ISO 400, D. Source: our estimate, within a factor of 3. */
export const XRAY_FOG_D_PER_PASS = 0.004;

/**
 * Fog from X-ray inspections.
 * @param iso nominal speed, ISO; above 0
 * @param passes number of passes; 0 or more
 * @returns fog density, D; grows with speed as radiation fog does. Source: our estimate.
 * @example xrayFog(400, 5) // 0.02
 */
export function xrayFog(iso: number, passes: number): number {
  return XRAY_FOG_D_PER_PASS * (iso / 400) * passes;
}
