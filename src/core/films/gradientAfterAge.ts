/**
 * Largest average gradient that an aged film still reaches, before fog takes its share.
 * @param maximumGradient G∞ of the fresh film; above 0
 * @param lossPerYear loss of ln G∞ per room-year; 0 or more
 * @param ageRoomYears effective age, room-years; 0 or more
 * @returns G∞ of the aged film. Source: our estimate (exponential loss).
 * @example gradientAfterAge(1.15, 0.004, 31) // 1.016
 */
export function gradientAfterAge(maximumGradient: number, lossPerYear: number, ageRoomYears: number): number {
  return maximumGradient * Math.exp(-lossPerYear * ageRoomYears);
}
