import { bisect } from '../inference/bisection';
import { seededNormal } from '../kit/seededNoise';
import { tQuantile } from './studentT';

/** Trials that are drawn for each answer. */
const DRAWS = 2000;
/** How often a difference is to be seen. */
const WANTED = 0.8;
/** Chance of a false alarm over all comparisons. */
const ALARM = 0.05;
/** Degrees of freedom that are drawn at the most. Source: our choice. */
const KNOWN_DF = 60;
/** Largest difference that is tried, in scatters of a strip. */
const LARGEST = 60;

/**
 * The smallest difference between a level and the control that a trial sees four times in five.
 * @param levels number of levels, control included; 2 or more
 * @param repeats strips of each level; 2 or more
 * @param stripSd scatter from strip to strip, any unit
 * @returns in the unit of the scatter; null where nothing can be seen. By simulation: the same draws for every difference, so that it only
 * falls with more strips. Source: published, Student 1908; Bonferroni's share for the first of several comparisons (Holm 1979)
 */
export function smallestSeen(levels: number, repeats: number, stripSd: number): number | null {
  const df = (levels - 1) * (repeats - 1);
  if (df < 1) return null;
  // Beyond so many the scatter is as good as known.
  const drawn = Math.min(df, KNOWN_DF);
  const limit = tQuantile(ALARM / (levels - 1), df);
  const draws = Array.from({ length: DRAWS }, (_, draw) => {
    const base = draw * (drawn + 1);
    let squares = 0;
    for (let at = 1; at <= drawn; at++) squares += seededNormal(11, base + at) ** 2;
    return { normal: seededNormal(11, base), sd: Math.sqrt(squares / drawn) };
  });
  const seen = (difference: number): number => {
    const mean = difference / Math.sqrt(2 / repeats);
    return draws.filter(({ normal, sd }) => Math.abs(mean + normal) > limit * sd).length / DRAWS;
  };
  return seen(LARGEST) < WANTED ? null : bisect(seen, WANTED, 0, LARGEST, 30) * stripSd;
}
