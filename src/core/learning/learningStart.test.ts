import { describe, expect, test } from 'vitest';
import { completeRequest } from '../estimate/estimate';
import { bigLog } from '../testing/bigLog';
import { sampleRequest } from '../testing/sampleRequest';
import { learnPieces, learnStarting } from './learning';

const request = completeRequest(sampleRequest({}));

describe('learning from a long log that begins where it ended the last time', () => {
  const log = bigLog(720, 12, 20);
  const fromNothing = learnPieces(log);
  const fit = fromNothing.fitFor(request, []);
  const values = fromNothing.values() ?? [];

  test('comes to the same minimum', () => {
    expect(values.length).toBeGreaterThan(700);
    const again = learnPieces(log, learnStarting(values)).fitFor(request, []);
    expect(again.converged).toBe(true);
    for (const [key] of values) expect(again.meanOf(key)).toBeCloseTo(fit.meanOf(key), 1);
  });

  test('also from values that have nothing to do with it', () => {
    const foreign = values.map(([key], index): [string, number] => [key, index % 2 === 0 ? 0.5 : -0.5]);
    const again = learnPieces(log, learnStarting(foreign)).fitFor(request, []);
    expect(again.converged).toBe(true);
    for (const [key] of values) expect(again.meanOf(key)).toBeCloseTo(fit.meanOf(key), 1);
  });

  test('a short log keeps none', () => {
    const short = learnPieces(log.slice(0, 20));
    short.fitFor(request, []);
    expect(short.values()).toBeNull();
    expect(fromNothing.latest()).not.toBeNull();
  });
});
