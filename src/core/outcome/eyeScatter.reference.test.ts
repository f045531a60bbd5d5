import { describe, expect, test } from 'vitest';
import { seededNormal } from '../kit/seededNoise';
import { USUAL_EYE_SD_GRADES, eyeScatter, filmToRepeat } from './eyeScatter';

describe('scatter of an eye', () => {
  test('nothing repeated: the usual', () => {
    expect(eyeScatter([[0], [1], []])).toEqual({ sdGrades: USUAL_EYE_SD_GRADES, repeats: 0 });
  });
  test('worked by hand: three films judged twice, a grade apart once', () => {
    // Squares within films 0 + 0 + 0.5; six of the usual, 0.8333², and three repeats.
    const { sdGrades, repeats } = eyeScatter([
      [0, 0],
      [1, 1],
      [0, -1],
    ]);
    expect(repeats).toBe(3);
    expect(sdGrades).toBeCloseTo(Math.sqrt((6 * 0.83333333 ** 2 + 0.5) / 9), 6);
  });
  test('the end of the scale teaches nothing, and no eye is believed beyond half the usual', () => {
    expect(eyeScatter([[2, 2, 2, 2]]).repeats).toBe(0);
    const steady = Array.from({ length: 60 }, () => [0, 0, 0]);
    expect(eyeScatter(steady).sdGrades).toBeCloseTo(USUAL_EYE_SD_GRADES / 2, 12);
  });
  test.each([0.5, 0.9, 1.3])('a thousand films judged with a scatter of %d grades give it back', (sd) => {
    const films = Array.from({ length: 1000 }, (_, at) =>
      [0, 1, 2].map((turn) => ((at % 3) - 1) * 0.5 + sd * seededNormal(31, 3 * at + turn)),
    );
    expect(eyeScatter(films).sdGrades).toBeGreaterThan(0.94 * sd);
    expect(eyeScatter(films).sdGrades).toBeLessThan(1.04 * sd);
  });
});

test('the film to repeat is the least repeated that has lain a day, and none at the end of the scale', () => {
  const day = 86_400_000;
  const film = (runId: string, judgedMs: number, repeats: number, contrast = 0) => ({
    runId,
    judgedMs,
    repeats,
    contrast,
  });
  const films = [film('late', 10 * day, 0), film('twice', 1 * day, 1), film('old', 2 * day, 0), film('end', 0, 0, 2)];
  expect(filmToRepeat(films, 10 * day + 1000)?.runId).toBe('old');
  expect(filmToRepeat([film('late', 10 * day, 0)], 10 * day + 1000)).toBeNull();
});
