import { derivative, evaluate } from 'mathjs';
import { describe, expect, test } from 'vitest';
import { averageGradient } from './averageGradient';
import { developmentExtent, developmentTime, reachableGradient } from './developmentTime';
import { fogGrowth, netGradient } from './fogGrowth';
import { rateConstant } from './rateConstant';
import { targetGradient } from './targets';

const law = 'G * (1 - exp(-k * (t - t0)))';

describe('development law (Hurter and Driffield 1890; induction after Nietz 1922) against a general-purpose evaluator', () => {
  test.each([
    [4, 1.15, 0.09, 0.5],
    [8, 1.4, 0.06, 0],
    [15, 0.9, 0.11, 0.9],
    [60, 1.6, 0.02, 3],
  ])('Ḡ at %d min, G∞ %d, k %d, t0 %d', (t, G, k, t0) => {
    expect(averageGradient(t, G, k, t0)).toBeCloseTo(evaluate(law, { G, k, t, t0 }) as number, 12);
    expect(developmentTime(averageGradient(t, G, k, t0), G, k, t0)).toBeCloseTo(t, 9);
  });
  test('the slope at the start is k·G∞, by symbolic differentiation', () => {
    const slope = derivative(law, 't').evaluate({ G: 1.2, k: 0.08, t: 1, t0: 1 }) as number;
    expect((averageGradient(1 + 1e-6, 1.2, 0.08, 1) - 0) / 1e-6).toBeCloseTo(slope, 6);
  });
  test('nothing develops during induction, and G∞ is never reached', () => {
    expect(averageGradient(0.4, 1.2, 0.08, 0.5)).toBe(0);
    expect(developmentTime(1.2, 1.2, 0.08, 0.5)).toBe(Infinity);
  });
  test('half of G∞ takes ln 2 / k', () => {
    expect(developmentTime(0.5, 1, 0.1, 0)).toBeCloseTo(Math.LN2 / 0.1, 12);
    expect(developmentExtent(0.5, 1)).toBeCloseTo(Math.LN2, 12);
  });
});

describe('one known time fixes k', () => {
  test('the law returns the base gradient at the base time', () => {
    const { ratePerMin, inductionMin } = rateConstant(8, 0.58, 1.15);
    expect(inductionMin).toBeCloseTo(0.48, 12);
    expect(averageGradient(8, 1.15, ratePerMin, inductionMin)).toBeCloseTo(0.58, 12);
  });
  test('a rate factor r scales every time by exactly 1/r', () => {
    const { ratePerMin, inductionMin } = rateConstant(8, 0.58, 1.15);
    for (const r of [0.45, 1.06, 2.2]) {
      for (const gradient of [0.3, 0.58, 0.9]) {
        const slow = developmentTime(gradient, 1.15, ratePerMin, inductionMin);
        expect(developmentTime(gradient, 1.15, ratePerMin * r, inductionMin / r)).toBeCloseTo(slow / r, 10);
      }
    }
  });
});

describe('targets and fog', () => {
  test('out of reach from 0.97 of G∞ on', () => {
    expect(reachableGradient(0.9, 1)).toEqual({ gradient: 0.9, reachable: true });
    expect(reachableGradient(0.97, 1)).toEqual({ gradient: 0.97, reachable: false });
  });
  test('a push and the same pull cancel', () => {
    expect(targetGradient('scan', 1)).toBeCloseTo(0.6844, 10);
    expect(targetGradient('diffusion', 2) * targetGradient('diffusion', -2)).toBeCloseTo(0.62 ** 2, 12);
  });
  test('fog is the stated fog at the fresh-film time and rises with time', () => {
    expect(fogGrowth(8, 8, 0.09, 0.3)).toBeCloseTo(0.3, 12);
    expect(fogGrowth(12, 8, 0.09, 0.3)).toBeGreaterThan(0.3);
    expect(fogGrowth(12, 8, 0.09, 0)).toBe(0);
    expect(netGradient(0.6, 0.27, 2.7)).toBeCloseTo(0.54, 12);
    expect(netGradient(0.6, 3, 2.7)).toBe(0);
  });
});
