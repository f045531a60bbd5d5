import { describe, expect, test } from 'vitest';
import {
  CONTRAST_SPAN,
  ISO_GRADIENT,
  characteristicDensity,
  imageDensity,
  shadowSeparation,
  type DevelopedFilm,
} from './characteristicCurve';

const fresh: DevelopedFilm = {
  gradient: ISO_GRADIENT,
  baseFogD: 0.27,
  fogD: 0,
  maximumDensityD: 2.9,
  lossStops: 0,
  highlightShare: 1,
};

describe('the contrast condition of ISO 6:1993', () => {
  test('0.10 D above base + fog at the speed point, and 0.80 D more after 1.30 log H', () => {
    expect(imageDensity(fresh, 0)).toBeCloseTo(0.1, 3);
    expect(imageDensity(fresh, CONTRAST_SPAN) - imageDensity(fresh, 0)).toBeCloseTo(0.8, 2);
  });
});

describe('what age and development do to the curve', () => {
  test('it rises, and stays between base + fog and the largest density', () => {
    let before = 0;
    for (let logH = -3; logH < 6; logH += 0.05) {
      const density = characteristicDensity(fresh, logH);
      expect(density).toBeGreaterThanOrEqual(before);
      expect(density).toBeLessThanOrEqual(0.27 + 2.9);
      before = density;
    }
  });
  test('a stop lost moves it by 0.30 to the right', () => {
    expect(imageDensity({ ...fresh, lossStops: 1 }, 1)).toBeCloseTo(imageDensity(fresh, 1 - Math.log10(2)), 9);
  });
  test('fog takes its share of the image', () => {
    expect(imageDensity({ ...fresh, fogD: 1.45 }, 0.6) / imageDensity(fresh, 0.6)).toBeCloseTo(0.5, 2);
  });
  test('two stops lost: the first usable zone is two stops up; film that shows nothing has none', () => {
    expect(shadowSeparation(fresh)?.zoneStops).toBe(0);
    expect(shadowSeparation({ ...fresh, lossStops: 2 })?.zoneStops).toBe(2);
    expect(shadowSeparation({ ...fresh, gradient: 0 })).toBeNull();
  });
});
