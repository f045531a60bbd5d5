import { describe, expect, test } from 'vitest';
import { patchGradient } from './patchGradient';
import { patchGrey } from './patchGrey';

describe('gradient between two tones', () => {
  test('the contrast condition of ISO 6:1993: 0.80 D in 1.30 log H is 0.615', () => {
    const answer = patchGradient(0.1, 0.9, 1.3 / Math.log10(2));
    expect(answer.ok && answer.value).toBeCloseTo(0.615, 3);
  });
  test('tones the wrong way round, or no stops between them, are told', () => {
    expect(patchGradient(1, 0.4, 7)).toMatchObject({ ok: false, problems: [{ path: 'highlightD' }] });
    expect(patchGradient(0.4, 1, 0)).toMatchObject({ ok: false, problems: [{ path: 'stopsBetween' }] });
  });
});

describe('patches on a screen', () => {
  // Source: IEC 61966-2-1: a linear 0.5 is code 188, a linear 0.2140 is code 127.5, black is 0.
  test.each([
    [0, 255],
    [-Math.log10(0.5), 188],
    [-Math.log10(0.21404), 127],
    [6, 0],
  ])('D %d is code %d', (densityD, code) => expect(Math.abs(patchGrey(densityD) - code)).toBeLessThanOrEqual(1));
});
