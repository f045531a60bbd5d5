/** What can hold how much of a negative's range, D. Source: common practice, no source. */
export const holders = {
  paper: { name: 'A normal paper', rangeD: 1.25 },
  flatbed: { name: 'A flatbed scanner', rangeD: 2.2 },
  camera: { name: 'A camera on a light table', rangeD: 2.6 },
  film: { name: 'A film scanner', rangeD: 3.4 },
} as const;

export type HolderId = keyof typeof holders;
export const holderIds = Object.keys(holders) as HolderId[];

/**
 * What of a negative something of a given range can still see.
 * @param baseFogD base + fog, D: light has to come through it too
 * @param topD the densest part, D
 * @param rangeD largest density that it sees, D (a paper: range above base + fog)
 * @param aboveBase whether the range counts from base + fog, as for a paper that is exposed longer for it
 * @returns share of the image's range that is seen, 0 to 1
 */
export function seenShare(baseFogD: number, topD: number, rangeD: number, aboveBase: boolean): number {
  const image = topD - baseFogD;
  if (image <= 0) return 0;
  const room = aboveBase ? rangeD : rangeD - baseFogD;
  return Math.min(1, Math.max(0, room / image));
}
