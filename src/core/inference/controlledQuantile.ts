import { normalQuantile } from './normalQuantile';
import { sampleQuantile } from './quasiRandom';

/** How far to either side of the probability the slope is taken. Source: our choice, by trial against random draws. */
const REACH = 0.08;
/** A slope beyond this is chance. Source: our choice. */
const STEEPEST = 3;

/**
 * Quantiles of a sample of which a straight-line approximation is known, and of that its whole distribution: what chance did to
 * a quantile of the approximation is taken out of that of the sample. Exact where the line is.
 * @param values the sample; in any order, at least one
 * @param line the approximation at the same points, about its own mean
 * @param sd standard deviation of the approximation; 0 or more
 * @returns the quantile at a probability above `REACH` and below 1 − `REACH`. Source: control variates for quantiles (Hsu and
 * Nelson 1990), with the slope at the quantile.
 */
export function controlledQuantile(values: Float64Array, line: Float64Array, sd: number): (p: number) => number {
  const sample = values.slice().sort();
  const known = line.slice().sort();
  return (p) => {
    const between = (sorted: Float64Array): number =>
      sampleQuantile(sorted, p + REACH) - sampleQuantile(sorted, p - REACH);
    const run = between(known);
    const slope = run > 0 ? Math.min(STEEPEST, between(sample) / run) : 0;
    const found = sampleQuantile(sample, p) + slope * (normalQuantile(p) * sd - sampleQuantile(known, p));
    // What no draw reaches may lie beyond what there can be.
    return Math.min(Math.max(found, sample[0] as number), sample.at(-1) ?? 0);
  };
}
