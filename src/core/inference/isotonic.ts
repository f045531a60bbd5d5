/**
 * The rising sequence nearest to some values: what falls is pooled with its neighbours.
 * @param values values in the order of what they should rise with
 * @param weights weight of each, above 0
 * @returns as many values, never falling, with the least weighted sum of squares
 * Source: pooling of adjacent violators, Ayer et al. 1955.
 * @example isotonic([1, 3, 2], [1, 1, 1]) // [1, 2.5, 2.5]
 */
export function isotonic(values: readonly number[], weights: readonly number[]): number[] {
  const blocks: { mean: number; weight: number; count: number }[] = [];
  values.forEach((value, index) => {
    let block = { mean: value, weight: weights[index] ?? 1, count: 1 };
    for (let last = blocks.at(-1); last !== undefined && last.mean > block.mean; last = blocks.at(-1)) {
      blocks.pop();
      const weight = last.weight + block.weight;
      block = {
        mean: (last.mean * last.weight + block.mean * block.weight) / weight,
        weight,
        count: last.count + block.count,
      };
    }
    blocks.push(block);
  });
  return blocks.flatMap(({ mean, count }) => Array.from({ length: count }, () => mean));
}
