import * as z from 'zod';
import { chartSourceIds } from '../estimate/chartSources';
import { readingDoubtSchema, readingMethods, speedReadingSchema } from '../estimate/evidenceSchema';
import { situationShape } from '../estimate/situationSchema';
import { limited, text } from '../schema/fields';
import { within } from '../schema/within';
import { stripPairSchema } from './dropTest';

/** In what something was developed: a copy, so that later changes to a plan do not change what was found. */
export const settingRecordSchema = z.strictObject({
  developer: situationShape.developer,
  bromideGPerL: limited('amountPerL', 'Potassium bromide'),
  wear: z.strictObject({ ageH: limited('brewAgeH'), films: limited('jugFilms'), volumeMl: limited('jugVolumeMl') }),
  /** Volume in the tank; missing in settings from before it was kept. */
  tankMl: situationShape.tankMl,
  temperatureC: situationShape.temperatureC,
  ambientC: limited('roomC').nullable(),
  agitationId: situationShape.agitationId,
  movement: situationShape.movement,
  brewId: text('Brew', 200).nullable(),
  /** Spread that the measuring of the brew left; null where nobody measured. */
  mixingLnSd: limited('lnSd').nullable(),
});

export type SettingRecord = z.infer<typeof settingRecordSchema>;

const minutes = within('Time', 0.1, 300, 'min');
const density = (what: string) => within(what, 0, 4, 'D');

/** What was found, as it was written down. */
export const findingSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('chart'),
    timeMin: within('Leaflet’s time', 0.5, 180, 'min'),
    source: z.enum(chartSourceIds),
    aged: z.boolean().optional(),
  }),
  z.strictObject({
    kind: z.literal('drop'),
    pairs: z.array(stripPairSchema).min(1, 'Time one pair of strips at least.').max(20),
    known: situationShape.developer,
  }),
  z.strictObject({
    kind: z.literal('clip'),
    timeMin: minutes,
    method: z.enum(readingMethods),
    baseFogD: density('Base + fog'),
    shadowD: density('Thin tone'),
    highlightD: density('Dense tone'),
    stopsBetween: within('Stops between the two tones', 0.5, 15, 'stops'),
    /** Effective index, where exposures were known; missing in findings from before it was kept. */
    speed: speedReadingSchema.nullable().optional(),
    /** What its camera leaves open; missing for densities that no camera read, and from before it was kept. */
    doubt: readingDoubtSchema.optional(),
  }),
  z.strictObject({
    kind: z.literal('fog'),
    timeMin: minutes,
    method: z.enum(readingMethods),
    baseFogD: density('Base + fog'),
    /** It is as much as that, or more; missing where it is just that. */
    atLeast: z.boolean('At least: give true or false.').optional(),
    doubt: readingDoubtSchema.optional(),
  }),
]);

export type Finding = z.infer<typeof findingSchema>;
