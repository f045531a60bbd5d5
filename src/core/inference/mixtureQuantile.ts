import { normalCumulative } from './normalCumulative';
import { normalQuantile } from './normalQuantile';

/** Steps after which the quantile stands to far more than is shown. */
const STEPS = 40;
const TOLERANCE = 1e-6;

/**
 * A quantile of a mixture of normals that are all alike wide: Newton's steps, kept within a bracket that shrinks.
 * @param centres centres of the normals; at least one
 * @param sd their standard deviation; above 0
 * @param p probability; between 0 and 1
 * @returns x with the mean of Φ((x − centre)/sd) equal to p, to a millionth. Source: textbook.
 */
export function mixtureQuantile(centres: Float64Array, sd: number, p: number): number {
  let [low, high, sum, squares] = [Infinity, -Infinity, 0, 0];
  for (let index = 0; index < centres.length; index++) {
    const centre = centres[index] as number;
    low = Math.min(low, centre);
    high = Math.max(high, centre);
    sum += centre;
    squares += centre * centre;
  }
  low -= 8 * sd;
  high += 8 * sd;
  // As if the whole were one normal.
  const mean = sum / centres.length;
  let x = mean + normalQuantile(p) * Math.sqrt(sd * sd + Math.max(0, squares / centres.length - mean * mean));
  for (let step = 0; step < STEPS && high - low > TOLERANCE; step++) {
    let below = 0;
    let density = 0;
    for (let index = 0; index < centres.length; index++) {
      const off = (x - (centres[index] as number)) / sd;
      below += normalCumulative(off);
      density += Math.exp(-0.5 * off * off);
    }
    const excess = below / centres.length - p;
    if (excess > 0) high = x;
    else low = x;
    const newton = x - (excess * centres.length * sd * ROOT_TWO_PI) / density;
    const next = newton > low && newton < high ? newton : (low + high) / 2;
    if (Math.abs(next - x) < TOLERANCE) return next;
    x = next;
  }
  return x;
}

const ROOT_TWO_PI = Math.sqrt(2 * Math.PI);
