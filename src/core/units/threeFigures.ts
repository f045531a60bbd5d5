/**
 * Digits after the point that show an amount to three figures.
 * @param amount any finite number
 * @returns 0 or more; 0 for an amount of 0
 * @example threeFigures(0.264) // 3
 * @example threeFigures(12.7) // 1
 */
export function threeFigures(amount: number): number {
  if (amount === 0) return 0;
  return Math.max(0, 2 - Math.floor(Math.log10(Math.abs(amount))));
}
