/** Radiation fog per decade of an ISO 400 film, D. Cold does not slow it. Source: our estimate. */
export const RADIATION_FOG_D_PER_DECADE = 0.02;

/**
 * Fog from background radiation.
 * @param iso nominal speed, ISO; above 0
 * @param calendarYears years since manufacture or expiry, calendar; 0 or more
 * @returns fog density, D. Source: our estimate.
 * @example radiationFog(400, 20) // 0.04
 */
export function radiationFog(iso: number, calendarYears: number): number {
  return RADIATION_FOG_D_PER_DECADE * (iso / 400) * (calendarYears / 10);
}

/**
 * Fog gained with age, thermal and radiation, when developed for the fresh-film time.
 * The thermal part rises at first by `ratePerYear` and levels off at half of the largest density.
 * @param ratePerYear fog per room-year while it is small, D; 0 or more
 * @param ageRoomYears effective age, room-years; 0 or more
 * @param maximumDensityD largest density of the film, D; above 0
 * @param radiationD radiation fog, D
 * @returns fog density above the fresh base + fog, D. Source: our estimate.
 * @example ageFog(0.01, 10, 2.7, 0) // 0.0964
 */
export function ageFog(ratePerYear: number, ageRoomYears: number, maximumDensityD: number, radiationD: number): number {
  const ceiling = maximumDensityD / 2;
  return ceiling * -Math.expm1((-ratePerYear * ageRoomYears) / ceiling) + radiationD;
}
