/**
 * The rising sequence nearest to some values: what falls is pooled with its neighbours.
 * @param values values in the order of what they should rise with
 * @param weights weight of each, above 0
 * @returns as many values, never falling, with the least weighted sum of squares
 * Source: pooling of adjacent violators, Ayer et al. 1955.
 * @example isotonic([1, 3, 2], [1, 1, 1]) // [1, 2.5, 2.5]
 */
export function isotonic(values: readonly number[], weights: readonly number[]): number[] {
  const count = values.length;
  // Blocks of equal values, in the order that they stand in: mean, weight, and where each ends.
  const means = new Float64Array(count);
  const sums = new Float64Array(count);
  const ends = new Int32Array(count);
  let blocks = 0;
  for (let index = 0; index < count; index++) {
    let [mean, weight] = [values[index] as number, weights[index] ?? 1];
    while (blocks > 0 && (means[blocks - 1] as number) > mean) {
      blocks -= 1;
      const whole = (sums[blocks] as number) + weight;
      mean = ((means[blocks] as number) * (sums[blocks] as number) + mean * weight) / whole;
      weight = whole;
    }
    means[blocks] = mean;
    sums[blocks] = weight;
    ends[blocks] = index + 1;
    blocks += 1;
  }
  const rising: number[] = [];
  for (let block = 0; block < blocks; block++)
    while (rising.length < (ends[block] as number)) rising.push(means[block] as number);
  return rising;
}
