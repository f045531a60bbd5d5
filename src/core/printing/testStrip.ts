/** How the patches of a test strip follow each other. */
export type StripScale = { kind: 'stops'; stops: number } | { kind: 'seconds'; seconds: number };

/** One patch of a test strip. */
export interface StripPatch {
  /** What it has had in all, s. */
  totalS: number;
  /** What is added when the card has moved on to it, s. */
  addedS: number;
}

/** Smallest step that a hand times, s. Source: our choice: a tenth. */
const TENTH = 10;
const tenth = (seconds: number): number => Math.round(seconds * TENTH) / TENTH;

/**
 * Exposures of a test strip: the whole paper gets the first, and the card covers one patch more before each that is added.
 * @param baseS exposure of the lightest patch, s; above 0
 * @param scale by how much each patch has more
 * @param count patches, 2 or more
 * @returns the patches, lightest first; added times are whole tenths, and totals are their sums. Source: published, geometric series
 * (f-stop timing); in seconds, common practice
 * @example testStrip(8, { kind: 'stops', stops: 1 }, 3) // 8, 16 and 32 s: 8, then 8 and 16 more
 */
export function testStrip(baseS: number, scale: StripScale, count: number): StripPatch[] {
  const patches: StripPatch[] = [];
  let totalS = 0;
  for (let patch = 0; patch < count; patch++) {
    const wantedS = scale.kind === 'stops' ? baseS * 2 ** (patch * scale.stops) : baseS + patch * scale.seconds;
    // What was rounded off before is made good here, so that no error adds up.
    const addedS = tenth(wantedS - totalS);
    totalS = tenth(totalS + addedS);
    patches.push({ totalS, addedS });
  }
  return patches;
}
