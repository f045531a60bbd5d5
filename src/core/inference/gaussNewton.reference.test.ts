import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { Matrix, inverse } from 'ml-matrix';
import { describe, expect, test } from 'vitest';
import {
  elementAt,
  factorArrowhead,
  zeroVector,
  type ArrowheadMatrix,
  type ArrowheadVector,
  type SparseRow,
} from './arrowhead';
import { privatePlace } from './privateBlock';
import { gaussNewton, type LeastSquares } from './gaussNewton';

/** A curve fitted to points with hardly any prior: unknowns are scaled so that the prior's unit is enormous. */
function curveProblem(
  x: readonly number[],
  y: readonly number[],
  sigma: number,
  start: readonly number[],
  scale: readonly number[],
  curve: (b: readonly number[], x: number) => number,
): LeastSquares {
  const shape: ArrowheadMatrix = { privateSizes: [], groupSizes: [start.length], borderSize: 0 };
  const at = (z: ArrowheadVector): number[] =>
    start.map((value, i) => value + (scale[i] ?? 1) * elementAt(z, { group: 0, at: i }));
  const residuals = (z: ArrowheadVector): Float64Array =>
    Float64Array.from(x, (value, i) => (curve(at(z), value) - (y[i] ?? 0)) / sigma);
  return {
    shape,
    residuals,
    linearise: (z) => {
      const centre = residuals(z);
      const step = 1e-9;
      const columns = start.map((_, i) => {
        const moved: ArrowheadVector = {
          privates: [],
          border: z.border,
          groups: [Float64Array.from(z.groups[0] ?? [], (value, j) => value + (i === j ? step : 0))],
        };
        return residuals(moved).map((value, row) => (value - (centre[row] ?? 0)) / step);
      });
      const places = start.map((_value, i) => ({ group: 0, at: i }));
      const rows = x.map((_, row): SparseRow => ({
        places,
        values: Float64Array.from(columns, (column) => column[row] ?? 0),
      }));
      return { residuals: centre, rows };
    },
  };
}

const monomolecular = ([b1 = 0, b2 = 0]: readonly number[], x: number): number => b1 * (1 - Math.exp(-b2 * x));

/**
 * The development law without induction is the curve of these two published problems. Source: NIST Statistical Reference
 * Datasets, nonlinear regression, Misra1a and BoxBOD, with certified values and standard deviations.
 */
const certified = [
  {
    name: 'Misra1a',
    x: [77.6, 114.9, 141.1, 190.8, 239.9, 289.0, 332.8, 378.4, 434.8, 477.3, 536.8, 593.1, 689.1, 760.0],
    y: [10.07, 14.73, 17.94, 23.93, 29.61, 35.18, 40.02, 44.82, 50.76, 55.05, 61.01, 66.4, 75.47, 81.78],
    start: [250, 5e-4],
    value: [238.94212918, 5.5015643181e-4],
    sd: [2.7070075241, 7.2668688436e-6],
    residualSd: 0.1018787633,
  },
  {
    name: 'BoxBOD',
    x: [1, 2, 3, 5, 7, 10],
    y: [109, 149, 149, 191, 213, 224],
    start: [200, 0.6],
    value: [213.80940889, 0.54723748542],
    sd: [12.354515176, 0.10455993237],
    residualSd: 17.088072423,
  },
];

describe.each(certified)('certified problem $name', ({ x, y, start, value, sd, residualSd }) => {
  const scale = value.map((v) => v * 300);
  const problem = curveProblem(x, y, residualSd, start, scale, monomolecular);
  const fitted = gaussNewton(
    problem,
    x.map(() => 1),
    zeroVector(problem.shape),
    { last: 1e-13, keep: 0 },
  );
  test('values to six digits', () => {
    value.forEach((expected, i) =>
      expect(((start[i] ?? 0) + (scale[i] ?? 0) * elementAt(fitted.z, { group: 0, at: i })) / expected).toBeCloseTo(
        1,
        6,
      ),
    );
  });
  test('standard deviations from the covariance to four digits', () => {
    sd.forEach((expected, i) =>
      expect(
        (Math.sqrt(fitted.factored.covariance({ group: 0, at: i }, { group: 0, at: i })) * (scale[i] ?? 0)) / expected,
      ).toBeCloseTo(1, 4),
    );
  });
  test('a step that makes the sum of squares larger is not taken, not even the last', () => {
    // Its slope is told with the wrong sign.
    const shape: ArrowheadMatrix = { privateSizes: [], groupSizes: [1], borderSize: 0 };
    const residuals = (z: ArrowheadVector): Float64Array => Float64Array.of(0.01 + elementAt(z, { group: 0, at: 0 }));
    const rows: SparseRow[] = [{ places: [{ group: 0, at: 0 }], values: Float64Array.of(-1) }];
    const fitted = gaussNewton(
      { shape, residuals, linearise: (z) => ({ residuals: residuals(z), rows }) },
      [1],
      zeroVector(shape),
    );
    expect(elementAt(fitted.z, { group: 0, at: 0 })).toBe(0);
  });
  test('a general-purpose fitting library finds the same', () => {
    const other = levenbergMarquardt({ x, y }, (b) => (t) => monomolecular(b, t), {
      initialValues: start,
      damping: 1e-3,
      maxIterations: 500,
      gradientDifference: 1e-6,
      errorTolerance: 1e-14,
    });
    other.parameterValues.forEach((found, i) =>
      expect(((start[i] ?? 0) + (scale[i] ?? 0) * elementAt(fitted.z, { group: 0, at: i })) / found).toBeCloseTo(1, 3),
    );
  });
});

describe('the arrow', () => {
  const shape: ArrowheadMatrix = { privateSizes: [2, 0, 1], groupSizes: [2, 3], borderSize: 2 };
  const places = [
    { group: 0, at: 0 },
    { group: 0, at: 1 },
    { group: 1, at: 0 },
    { group: 1, at: 1 },
    { group: 1, at: 2 },
    { group: -1, at: 0 },
    { group: -1, at: 1 },
    privatePlace(0, 0),
    privatePlace(0, 1),
    privatePlace(2, 0),
  ];
  const size = places.length;
  /** Rows of one piece share their list of places. */
  const piece = (at: readonly number[], ...values: (readonly number[])[]): SparseRow[] => {
    const own = at.map((i) => places[i] as (typeof places)[number]);
    return values.map((row) => ({ places: own, values: Float64Array.from(row) }));
  };
  const rows = [
    ...piece([0, 1, 5, 7, 8], [1.5, -0.4, 0.8, 0.6, -1.1], [0.2, 0.9, -0.5, 1.4, 0.3]),
    ...piece([1, 6], [2.2, 1.1]),
    ...piece([2, 3, 5, 6, 9], [0.7, 1.9, -1.2, 0.3, 0.8]),
    ...piece([4, 5], [3, 0.5]),
    ...piece([5, 6], [1, -2]),
  ];
  const weights = [1, 0.7, 0.5, 1, 0.25, 1];
  const factored = factorArrowhead(shape, rows, weights);
  const dense = Matrix.eye(size, size);
  const fullRows: Float64Array[] = [];
  rows.forEach((one, r) => {
    const full = new Float64Array(size);
    one.places.forEach((place, i) => {
      full[places.findIndex((other) => other.group === place.group && other.at === place.at)] = one.values[i] ?? 0;
    });
    fullRows.push(full);
    for (let i = 0; i < size; i++)
      for (let j = 0; j < size; j++)
        dense.set(i, j, dense.get(i, j) + (weights[r] ?? 0) * (full[i] ?? 0) * (full[j] ?? 0));
  });
  test('its covariances are those of the dense inverse, by the matrix package', () => {
    const whole = inverse(dense);
    places.forEach((a, i) =>
      places.forEach((b, j) => expect(factored.covariance(a, b)).toBeCloseTo(whole.get(i, j), 12)),
    );
  });
  test('variances of the rows are those of the dense inverse', () => {
    const whole = inverse(dense);
    rows.forEach((_, r) => {
      const row = Matrix.rowVector(fullRows[r] as Float64Array);
      expect(factored.varianceOf(r)).toBeCloseTo(row.mmul(whole).mmul(row.transpose()).get(0, 0), 12);
    });
  });
  test('it solves what the dense matrix solves', () => {
    const right = zeroVector(shape);
    right.groups[0]?.set([1, 2]);
    right.groups[1]?.set([-1, 0.5, 4]);
    right.border.set([0.2, -3]);
    right.privates[0]?.set([0.4, -0.6]);
    right.privates[2]?.set([1.2]);
    const expected = inverse(dense).mmul(Matrix.columnVector([1, 2, -1, 0.5, 4, 0.2, -3, 0.4, -0.6, 1.2]));
    const solved = factored.solve(right);
    places.forEach((place, i) => expect(elementAt(solved, place)).toBeCloseTo(expected.get(i, 0), 12));
  });
});
