import { lineName, type Recipe } from '@/core/brewing/recipe';
import { shortName } from '@/core/chemistry/substances';

/** What a recipe is made of, in a line. */
export function recipeContents({ lines }: Pick<Recipe, 'lines'>): string {
  if (lines.length === 0) return 'water';
  return lines
    .map((line) => {
      const name = lineName(line);
      if (line.kind === 'concentrate') return `${name} ${line.parts.concentrate}+${line.parts.water}`;
      if (line.kind === 'packet') return name;
      return `${line.kind === 'substance' ? shortName(line.substanceId) : name} ${Number(line.perL.toFixed(1))}`;
    })
    .join(' · ');
}
