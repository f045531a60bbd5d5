import * as z from 'zod';
import type { Parts } from '../chemistry/dilution';
import { partsSchema } from '../chemistry/partsSchema';
import { limited, nameField, text } from '../schema/fields';
import { bottleStageIds } from './bottle';
import { leafletTimeSchema, MOST_LEAFLET_TIMES } from './leaflet';

/** Most dilutions of one bottle. Source: our choice. */
const MOST_DILUTIONS = 12;

/** Letters or names of a dilution, as a leaflet has them. */
const letterField = nameField('Letter of a dilution', 20);

/** What is known of a bottle besides what is in it. */
export const bottleSchema = z.strictObject({
  stage: z.enum(bottleStageIds),
  /** Whether it was opened, or mixed: a sealed one keeps by another rule. */
  opened: z.boolean(),
  /** What it holds when it is full, ml; null where nobody said. Over what is left stands air. */
  holdsMl: limited('jugVolumeMl', 'The bottle holds').nullable(),
  place: text('Where it stands', 120),
  dilutions: z.array(z.strictObject({ letter: letterField, parts: partsSchema })).max(MOST_DILUTIONS),
  /** Times that its leaflet gives; missing where none were typed. */
  times: z.array(leafletTimeSchema).max(MOST_LEAFLET_TIMES).optional(),
});
export type Bottle = z.infer<typeof bottleSchema>;

/** What a bottle cost in the shop, and for how much of it. The currency is that of all prices. */
export const bottlePriceSchema = z.strictObject({
  amount: limited('price', 'What it cost'),
  forMl: limited('jugVolumeMl', 'The bottle holds'),
});
export type BottlePrice = z.infer<typeof bottlePriceSchema>;

/**
 * Reads dilutions as they are noted: `B 1+31, H 1+63`, or `1+9` alone.
 * @returns them in order; null where something in it does not read
 * @example readDilutions('B 1+31, 1+63') // [{ letter: 'B', parts: 1+31 }, { letter: '1+63', parts: 1+63 }]
 */
export function readDilutions(written: string): Bottle['dilutions'] | null {
  const found: Bottle['dilutions'] = [];
  for (const piece of written.split(/[,;\n]/).map((one) => one.trim())) {
    if (piece === '') continue;
    const [, letter = '', concentrate, water] =
      /^(.*?)\s*[:=]?\s*(\d+(?:\.\d+)?)\s*(?:\+|:)\s*(\d+(?:\.\d+)?)$/.exec(piece) ?? [];
    if (concentrate === undefined || water === undefined) return null;
    const parts: Parts = { concentrate: Number(concentrate), water: Number(water) };
    const one = { letter: letter.trim() || `${concentrate}+${water}`, parts };
    if (!bottleSchema.shape.dilutions.element.safeParse(one).success || parts.concentrate === 0) return null;
    found.push(one);
  }
  return found.length > MOST_DILUTIONS ? null : found;
}
