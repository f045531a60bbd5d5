import { curveMonotoneX } from 'd3-shape';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { isotonic } from './isotonic';
import { monotoneCurve } from './monotoneCurve';

describe('the nearest rising sequence', () => {
  test('worked by hand: one fault pools two, a falling run pools whole', () => {
    expect(isotonic([1, 3, 2], [1, 1, 1])).toEqual([1, 2.5, 2.5]);
    expect(isotonic([4, 3, 2], [1, 1, 2])).toEqual([2.75, 2.75, 2.75]);
  });
  test('agrees with its definition by maxima of minima (Robertson, Wright and Dykstra 1988)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: -5, max: 5, noNaN: true }), fc.double({ min: 0.1, max: 4, noNaN: true })), {
          minLength: 1,
          maxLength: 9,
        }),
        (pairs) => {
          const [values, weights] = [pairs.map(([value]) => value), pairs.map(([, weight]) => weight)];
          const mean = (from: number, to: number): number => {
            let [sum, weight] = [0, 0];
            for (let at = from; at <= to; at++) {
              sum += (values[at] ?? 0) * (weights[at] ?? 0);
              weight += weights[at] ?? 0;
            }
            return sum / weight;
          };
          isotonic(values, weights).forEach((found, at) => {
            const tops = Array.from({ length: at + 1 }, (_, from) =>
              Math.min(...Array.from({ length: values.length - at }, (__, step) => mean(from, at + step))),
            );
            expect(found).toBeCloseTo(Math.max(...tops), 9);
          });
        },
      ),
    );
  });
});

/** Control points of the pieces that the package draws. */
function drawn(xs: readonly number[], ys: readonly number[]): number[][] {
  const pieces: number[][] = [];
  let pen: [number, number] = [0, 0];
  const context = {
    beginPath: () => undefined,
    closePath: () => undefined,
    moveTo: (x: number, y: number) => (pen = [x, y]),
    lineTo: (x: number, y: number) => (pen = [x, y]),
    bezierCurveTo: (...points: number[]) => {
      pieces.push([...pen, ...points]);
      pen = [points[4] ?? 0, points[5] ?? 0];
    },
  };
  const curve = curveMonotoneX(context as unknown as CanvasRenderingContext2D);
  curve.lineStart();
  xs.forEach((x, index) => curve.point(x, ys[index] ?? 0));
  curve.lineEnd();
  return pieces;
}

describe('a monotone curve', () => {
  const xs = [0, 0.3, 0.6, 0.9, 1.5, 1.8, 2.1, 2.4];
  const ys = [0.31, 0.31, 0.36, 0.52, 0.95, 1.12, 1.2, 1.21];
  test('its inner pieces are those of the package d3-shape, which draws after Steffen 1990 too', () => {
    const curve = monotoneCurve(xs, ys);
    const pieces = drawn(xs, ys);
    expect(pieces).toHaveLength(xs.length - 1);
    // The ends have another rule in the package; inner pieces share theirs.
    for (const [x0, y0, , y1, , y2, x3, y3] of pieces.slice(1, -1) as [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ][]) {
      for (const t of [0.2, 0.5, 0.8]) {
        const bezier = (1 - t) ** 3 * y0 + 3 * (1 - t) ** 2 * t * y1 + 3 * (1 - t) * t * t * y2 + t ** 3 * y3;
        expect(curve.at(x0 + t * (x3 - x0))).toBeCloseTo(bezier, 9);
      }
    }
  });
  test('passes through its points, never turns back, and its slope is its derivative', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 2, maxLength: 12 }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (rises, share) => {
          const places = rises.map((_, index) => index * 0.3);
          const values = rises.map((_, index) => rises.slice(0, index + 1).reduce((sum, one) => sum + one, 0));
          const curve = monotoneCurve(places, values);
          places.forEach((place, index) => expect(curve.at(place)).toBeCloseTo(values[index] ?? 0, 9));
          const at = share * (places.at(-1) ?? 0);
          expect(curve.slopeAt(at)).toBeGreaterThanOrEqual(-1e-9);
          expect((curve.at(at + 1e-6) - curve.at(at - 1e-6)) / 2e-6).toBeCloseTo(curve.slopeAt(at), 3);
        },
      ),
    );
  });
});
