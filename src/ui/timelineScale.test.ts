import { expect, test } from 'vitest';
import { timelinePercent, timelineScale, timelineYear } from './timelineScale';

test('a line from decade to decade, until now', () => {
  const scale = timelineScale(1948, 2026);
  expect(scale).toMatchObject({
    from: 1940,
    to: 2026,
    decades: [1940, 1950, 1960, 1970, 1980, 1990, 2000, 2010, 2020],
  });
  expect(timelineScale(1893, 2026).decades).toEqual([1900, 1920, 1940, 1960, 1980, 2000, 2020]);
});

test('a year has its place, and a place its year', () => {
  const scale = timelineScale(1940, 2026);
  for (const year of [1940, 1971, 2026]) expect(timelineYear(scale, timelinePercent(scale, year) / 100)).toBe(year);
  expect(timelineYear(scale, 7)).toBe(2026);
  expect(timelinePercent(scale, 1900)).toBe(0);
});
