import { patchGrey } from '@/core/densitometry/patchGrey';
import { negativeGreys, positiveGreys } from '@/core/densitometry/scene';
import { contrastGrades, fogGrades, shadowGrades } from '@/core/outcome/grades';
import { GOOD, filmLike, type Likeness } from '@/core/outcome/likeness';

/** A film that shows one grade, against a good negative: as scanned, or as the negative itself. */
const scanned = (part: Partial<Likeness>) => {
  const film = filmLike({ ...GOOD, ...part });
  return { greys: positiveGreys(film.densityAt, film.baseFogD) };
};
const onTable = (part: Partial<Likeness>) => {
  const film = filmLike({ ...GOOD, ...part });
  return { greys: negativeGreys(film.densityAt), rim: patchGrey(film.baseFogD) };
};
const idsOf = <T extends string>(table: Record<T, string>) => Object.keys(table) as T[];

/** Strips to tap, by grade: contrast as scanned, fog on the light table, shadows as scanned. */
export const contrastStrips = (['-2', '-1', '0', '1', '2'] as const).map((value) => ({
  value,
  name: contrastGrades[value],
  ...scanned({ contrast: Number(value) }),
}));
export const fogStrips = idsOf(fogGrades).map((value) => ({
  value,
  name: fogGrades[value],
  ...onTable({ fog: value }),
}));
export const shadowStrips = idsOf(shadowGrades).map((value) => ({
  value,
  name: shadowGrades[value],
  ...scanned({ shadows: value }),
}));
