import { describe, expect, test } from 'vitest';
import { characteristicDensity, type DevelopedFilm } from '../kinetics/characteristicCurve';
import { fogGrades, shadowGrades } from '../outcome/grades';
import { GOOD, filmLike } from '../outcome/likeness';
import { curveBetween, negativeGreys, positiveGreys, sceneTones, toneIds } from './scene';

const fresh: DevelopedFilm = {
  gradient: 0.58,
  baseFogD: 0.27,
  fogD: 0,
  maximumDensityD: 2.7,
  lossStops: 0,
  highlightShare: 1,
};
const curve = (film: DevelopedFilm) => (logH: number) => characteristicDensity(film, logH);
const inOrder = [...toneIds].sort((a, b) => sceneTones[a] - sceneTones[b]);

describe('the scene through a film', () => {
  test('a negative turns the tones round, a positive turns them back', () => {
    const negative = negativeGreys(curve(fresh));
    const positive = positiveGreys(curve(fresh), fresh.baseFogD);
    for (let at = 1; at < inOrder.length; at++) {
      const [darker, lighter] = [inOrder[at - 1], inOrder[at]] as [(typeof inOrder)[number], (typeof inOrder)[number]];
      expect(negative[lighter]).toBeLessThan(negative[darker]);
      expect(positive[lighter]).toBeGreaterThan(positive[darker]);
    }
  });
  test('the grey of the meter lies a factor of ten above the speed point (ISO 6)', () =>
    expect(sceneTones.meadow * Math.log10(2)).toBeCloseTo(1, 1));
  test('fog darkens the negative, and the scanner takes it off; lost shadows stay black', () => {
    const fogged = { ...fresh, baseFogD: 0.77, fogD: 0.5 };
    expect(negativeGreys(curve(fogged)).doorway).toBeLessThan(negativeGreys(curve(fresh)).doorway - 40);
    const lost = { ...fresh, lossStops: 3 };
    const { doorway, rock, roof } = positiveGreys(curve(lost), lost.baseFogD);
    expect(roof - doorway).toBeLessThan(6);
    expect(rock - doorway).toBeLessThan(3);
  });
  test('softer is flatter, harder is steeper', () => {
    const span = (gradient: number): number => {
      const { snow, shadedWall } = positiveGreys(curve({ ...fresh, gradient }), fresh.baseFogD);
      return snow - shadedWall;
    };
    expect(span(0.4)).toBeLessThan(span(0.58));
  });
  test('between samples a curve is straight, and level beyond them', () => {
    const at = curveBetween([0, 1, 2], [0.2, 0.8, 1]);
    expect([-1, 0, 0.5, 1.5, 2, 9].map(at)).toEqual([0.2, 0.2, 0.5, 0.9, 1, 1]);
  });
});

describe('strips to compare with', () => {
  test('each grade looks different from its neighbours', () => {
    const seen = (part: Partial<typeof GOOD>): string => {
      const film = filmLike({ ...GOOD, ...part });
      return JSON.stringify([negativeGreys(film.densityAt), positiveGreys(film.densityAt, film.baseFogD)]);
    };
    const contrasts = [-2, -1, 0, 1, 2].map((contrast) => seen({ contrast }));
    const fogs = (Object.keys(fogGrades) as (keyof typeof fogGrades)[]).map((fog) => seen({ fog }));
    const shadows = (Object.keys(shadowGrades) as (keyof typeof shadowGrades)[]).map((one) => seen({ shadows: one }));
    for (const row of [contrasts, fogs, shadows]) expect(new Set(row).size).toBe(row.length);
  });
});
