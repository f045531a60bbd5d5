import { contrastGrades, defects, evennessGrades, fogWords, imageOf, images, shadowGrades } from './grades';
import type { VerdictValues } from './verdict';

/**
 * A verdict in a sentence without its full stop: a film without an image says nothing of contrast and shadows.
 * @param verdict the grades of the dry negatives
 * @example verdictWords({ contrast: 0, fog: 'clear', shadows: 'open', evenness: 'even', defects: [] })
 * // 'Contrast as wanted; no fog; shadows open; even'
 */
export function verdictWords({
  contrast,
  fog,
  shadows,
  evenness,
  defects: found,
}: Pick<VerdictValues, 'contrast' | 'fog' | 'shadows' | 'evenness' | 'defects'>): string {
  const image = imageOf(found);
  const others = found.filter((id) => id !== 'no-image' && id !== 'black').map((id) => defects[id].toLowerCase());
  const grade = contrastGrades[String(contrast) as keyof typeof contrastGrades];
  const said =
    image === 'there'
      ? [
          `Contrast ${grade.toLowerCase()}`,
          fogWords[fog],
          `shadows ${shadowGrades[shadows].toLowerCase()}`,
          evennessGrades[evenness].toLowerCase(),
        ]
      : [`No image${images[image].slice('None'.length)}`];
  return [...said, ...(others.length === 0 ? [] : [others.join(', ')])].join('; ');
}
