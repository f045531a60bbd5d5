import { Z80 } from '../estimate/band';

/**
 * ISO range of each grade, hundredths of log exposure. Source: ISO 6846, from memory; grades differ by maker, so a paper's own goes before.
 */
export const gradeRanges: readonly { grade: string; range: number }[] = [
  { grade: '00', range: 180 },
  { grade: '0', range: 155 },
  { grade: '1', range: 128 },
  { grade: '2', range: 105 },
  { grade: '3', range: 88 },
  { grade: '4', range: 73 },
  { grade: '5', range: 58 },
];

/** Spread of telling the right patch, steps of the strip: a strip says no more than its step. Source: our estimate. */
const STEP_SD = 0.35;

/** Exposure and grade from two patches. */
export interface TwoTones {
  /** Range of log exposure that the negative fills, hundredths, with its band. */
  range: number;
  low: number;
  high: number;
  /** The grade whose range is nearest, and those that the band leaves open. */
  grade: string;
  open: string[];
  /** Exposure of the light tone, s, with its band: where filters keep the speed of light tones, it is the time on any grade. */
  seconds: number;
  lowS: number;
  highS: number;
}

/**
 * Exposure and grade together, from two tones of one strip: the lightest that still has detail and the darkest that does.
 * @param lightS exposure at which the light tone is right, s
 * @param darkS exposure at which the dark tone is right, s
 * @param own ISO range of the grade that the strip was made on, with its spread, hundredths
 * @param stepStops stops from patch to patch of the strip
 * @param grades grades to choose from; those of the table, when left out
 * @returns the range that the negative wants. A tone of negative density D is right where log t − D is the paper's own; so the negative
 * spans R/100 + log10(light/dark). Source: follows from the definition of the ISO range (ISO 6846)
 * @example twoTones(16, 16, { range: 105, sd: 9 }, 1 / 3).grade // '2': both right at once, the grade fits
 */
export function twoTones(
  lightS: number,
  darkS: number,
  { range, sd }: { range: number; sd: number },
  stepStops: number,
  grades: readonly { grade: string; range: number }[] = gradeRanges,
): TwoTones {
  const wanted = range + 100 * Math.log10(lightS / darkS);
  const step = 100 * Math.log10(2) * stepStops * STEP_SD;
  const half = Z80 * Math.sqrt(sd ** 2 + 2 * step ** 2);
  const halfStops = Z80 * stepStops * STEP_SD;
  const distance = (one: number): number => Math.abs(one - wanted);
  const nearest = [...grades].sort((a, b) => distance(a.range) - distance(b.range))[0];
  return {
    range: wanted,
    low: wanted - half,
    high: wanted + half,
    grade: nearest?.grade ?? '2',
    open: grades.filter((one) => distance(one.range) <= half || one === nearest).map(({ grade }) => grade),
    seconds: lightS,
    lowS: lightS * 2 ** -halfStops,
    highS: lightS * 2 ** halfStops,
  };
}
