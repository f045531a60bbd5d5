/** Words that name fluids and matter of animals, English and Spanish: whoever types them is warned in either. Aetas offers none of them. */
const words = [
  'urine',
  'blood',
  'saliva',
  'spit',
  'sweat',
  'milk',
  'bile',
  'semen',
  'tears',
  'egg',
  'bone',
  'liver',
  'fish',
  'dung',
  'manure',
  'animal',
  'orina',
  'sangre',
  'leche',
  'sudor',
  'bilis',
  'huevo',
  'hueso',
  'hígado',
  'pescado',
  'estiércol',
];

/** Plants that only sound like it. */
const plants = [
  'oat milk',
  'coconut milk',
  'almond milk',
  'soy milk',
  'milk thistle',
  'eggplant',
  'bloodroot',
  'blood orange',
  'leche de avena',
  'leche de coco',
  'leche de almendra',
  'leche de soja',
  'leche de arroz',
  'hueso de aceituna',
  'hueso de melocotón',
];

/**
 * Names that mean matter of animal origin.
 * @param names ingredients as typed
 * @returns those that call for the biohazard caution
 * @example biohazardIn(['Washing soda', 'cow milk']) // ['cow milk']
 */
export function biohazardIn(names: readonly string[]): string[] {
  return names.filter((name) => {
    const plain = plants.reduce(
      (text, plant) => text.replaceAll(new RegExp(`\\b${plant}`, 'gu'), ''),
      name.toLowerCase(),
    );
    return words.some((word) => new RegExp(`\\b${word}s?\\b`, 'u').test(plain));
  });
}
