import * as z from 'zod';
import { chartSourceIds } from './chartSources';
import { developerSchema, situationShape } from './situationSchema';
import { targetSchema } from './targetSchema';
import { limited } from '../schema/fields';
import { oneOf, within } from '../schema/within';

/** How a reading was taken: with a densitometer or light table, or by eye against patches. */
export const readingMethods = ['densities', 'eye'] as const;

/** Parts of the setting that differ from the request's. */
const settingSchema = z
  .strictObject({
    film: situationShape.film,
    age: situationShape.age.unwrap(),
    developer: situationShape.developer,
    bromideGPerL: situationShape.bromideGPerL.unwrap(),
    wear: situationShape.wear.unwrap(),
    mixingLnSd: situationShape.mixingLnSd,
    temperatureC: situationShape.temperatureC,
    ambientC: situationShape.ambientC,
    agitationId: situationShape.agitationId,
    movement: situationShape.movement,
    stockId: situationShape.stockId.unwrap(),
    rollId: situationShape.rollId.unwrap(),
    brewId: situationShape.brewId.unwrap(),
    lotId: situationShape.lotId,
    benchId: situationShape.benchId,
  })
  .partial()
  .default({});

const common = { id: z.string('Evidence: give each piece an id.').min(1).max(200), setting: settingSchema };
const timeMin = within('Time', 0.1, 300, 'min');
const baseFogD = within('Base + fog', 0, 4, 'D');

/** A time from a chart, for this film when fresh. */
const chartSchema = z.strictObject({
  ...common,
  kind: z.literal('chart'),
  timeMin: within('Leaflet’s time', 0.5, 300, 'min'),
  source: oneOf('Source of the leaflet’s time', chartSourceIds),
  /** An own time that was found on film as old as this; else it speaks of fresh film. */
  aged: z.boolean('Aged: give true or false.').optional(),
});

/** Two strips of one leader: the brew against a known developer, in open light. */
const dropSchema = z.strictObject({
  ...common,
  kind: z.literal('drop'),
  /** Rate of the brew ÷ rate of the known developer: time in the known one ÷ time in the brew. */
  rateRatio: within('Rate against the known developer', 0.01, 100),
  /** Spread of ln(ratio) between repeats, of their mean; 0 for a single pair. */
  lnSd: within('Spread of the repeats', 0, 2).default(0),
  known: developerSchema,
});

/** Index at which a strip would have been exposed rightly. */
export const speedReadingSchema = z.strictObject({
  index: limited('iso', 'Effective speed'),
  /** Whether the frames are the roll's own, whose latent image has faded since; else they were exposed for the test. */
  ownFrames: z.boolean('Own frames: give true or false.'),
});

/** What makes densities that a camera read doubtful, besides what makes every strip doubtful. */
export const readingDoubtSchema = z.strictObject({
  /** Camera whose error all its readings share; a reading of its own where nobody knows which it was. */
  camera: z.string('Camera: give its name.').min(1).max(200),
  /** Spread of ln(density) that its readings share. */
  cameraLnSd: within('Spread of the camera', 0, 2),
  /** Spread of ln(gradient) that this reading has for itself. */
  ownLnSd: within('Spread of the reading', 0, 2),
});

export type ReadingDoubt = z.infer<typeof readingDoubtSchema>;

/** A few centimetres of the film, developed and read. */
const clipSchema = z.strictObject({
  ...common,
  kind: z.literal('clip'),
  timeMin,
  /** Average gradient net of fog, as read. */
  gradient: within('Average gradient', 0, 6),
  baseFogD: baseFogD.nullable().default(null),
  method: oneOf('Reading', readingMethods),
  /** Effective index by its speed point; null where no exposures were known. */
  speed: speedReadingSchema.nullable().default(null),
  doubt: readingDoubtSchema.optional(),
});

/** Base + fog of a leader or a clip. */
const fogSchema = z.strictObject({
  ...common,
  kind: z.literal('fog'),
  timeMin,
  baseFogD,
  method: oneOf('Reading', readingMethods),
  /** It is as much as that, or more: black film says no more. */
  atLeast: z.boolean('At least: give true or false.').optional(),
  doubt: readingDoubtSchema.optional(),
});

/** The judgement of a run. */
const verdictEvidenceSchema = z.strictObject({
  ...common,
  kind: z.literal('verdict'),
  timeMin,
  /** Contrast by eye, −2 much too soft to +2 much too hard. */
  contrast: within('Contrast', -2, 2),
  /** Standard deviation of one judgement of this eye, grades; missing for the usual one. */
  sdGrades: within('Scatter of the eye', 0.2, 3).optional(),
  /** Age fog by eye, D above a clear base; null when it was not judged. */
  fogD: within('Fog', 0, 3, 'D').nullable().default(null),
  target: targetSchema.default({ purpose: 'scan', pushStops: 0 }),
});

/** Anything that moves the estimate. */
export const evidenceSchema = z.discriminatedUnion(
  'kind',
  [chartSchema, dropSchema, clipSchema, fogSchema, verdictEvidenceSchema],
  'Evidence: its kind is one of chart, drop, clip, fog, verdict.',
);

export type Evidence = z.infer<typeof evidenceSchema>;
export type EvidenceInput = z.input<typeof evidenceSchema>;
