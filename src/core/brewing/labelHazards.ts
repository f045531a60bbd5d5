import { substanceOf, type SubstanceId, type SubstanceTrait } from '../chemistry/substances';
import { traitsOf } from './mixCautions';
import { biohazardIn } from './animalMatter';
import type { BrewPart } from './part';

/** What a label says of a trait. Source: common practice, no source; the products' own safety sheets go before it. */
const sentences: readonly (readonly [SubstanceTrait, string])[] = [
  ['caustic', 'Caustic: burns skin and eyes.'],
  ['alkali', 'Alkaline: gloves and eye protection.'],
  ['sulfite', 'Keep from acid: it gives off sulfur dioxide.'],
  ['ammonium', 'Keep from alkali: it gives off ammonia.'],
  ['irritant', 'Acid: keep it from eyes and skin.'],
  ['harmful', 'Harmful when swallowed.'],
  ['bought', 'See the safety sheet of what it was mixed from.'],
  ['unknown', 'Holds something whose hazards are not known here.'],
];

/**
 * The hazards of one substance by itself, in plain words.
 * @returns sentences; empty for food in kitchen amounts. Source: common practice and from memory; its own safety sheet goes before it
 */
export function substanceHazards(substanceId: SubstanceId): string[] {
  const traits = new Set<SubstanceTrait>(substanceOf(substanceId).traits);
  return [
    ...sentences.flatMap(([trait, sentence]) => (traits.has(trait) ? [sentence] : [])),
    ...(traits.has('powder') ? ['Its dust is not to be breathed.'] : []),
  ];
}

/** pH from which a jug is called alkaline. Source: our choice, cautious. */
const ALKALINE_FROM_PH = 8.5;

/**
 * The hazards that a jug's label names.
 * @param parts what is in it; none for a jug that nobody weighed
 * @param ph its pH where it is known
 * @returns sentences, the general ones last
 */
export function labelHazards(parts: readonly BrewPart[], ph: number | null = null): string[] {
  const traits = new Set(parts.flatMap(({ makeup }) => traitsOf(makeup)));
  // What is in it together decides: soda that its acids have used up is not alkaline any more.
  if (ph !== null && ph < ALKALINE_FROM_PH) traits.delete('alkali');
  return [
    ...sentences.flatMap(([trait, sentence]) => (traits.has(trait) ? [sentence] : [])),
    ...(biohazardIn(parts.map(({ name }) => name)).length > 0 ? ['Biohazard: of animal origin.'] : []),
    'Keep from children and food. Pour away as local rules require.',
  ];
}
