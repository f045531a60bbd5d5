/** Sum of the products of two vectors of one length. Source: textbook. */
export function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let index = 0; index < a.length; index++) sum += (a[index] as number) * (b[index] as number);
  return sum;
}

/** A matrix, row by row, times a vector. Source: textbook. */
export function times(matrix: readonly Float64Array[], vector: Float64Array): Float64Array {
  const product = new Float64Array(matrix.length);
  for (let row = 0; row < product.length; row++) product[row] = dot(matrix[row] as Float64Array, vector);
  return product;
}

/** An element of a matrix that is kept row by row. Source: textbook. */
export function cellOf(matrix: readonly Float64Array[], row: number, column: number): number {
  return (matrix[row] as Float64Array)[column] as number;
}

/** A vector with one number for each entry of a list: `Float64Array.from` asks an iterator for each and takes ten times as long. */
export function vectorOf<Entry>(entries: readonly Entry[], of: (entry: Entry, index: number) => number): Float64Array {
  const vector = new Float64Array(entries.length);
  for (let index = 0; index < vector.length; index++) vector[index] = of(entries[index] as Entry, index);
  return vector;
}
