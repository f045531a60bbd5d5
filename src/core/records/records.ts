import * as z from 'zod';
import { chartSourceIds } from '../estimate/chartSources';
import { archiveSchema, MOST_FRAMES } from '../archive/archive';
import { batchSchema } from '../brewing/batch';
import { mixEventSchema } from '../brewing/mixRun';
import { jugChangeSchema } from '../brewing/changeJug';
import { brewPartSchema } from '../brewing/part';
import { bottlePriceSchema, bottleSchema } from '../brewing/bottleSchema';
import { recipeShape } from '../brewing/recipe';
import { estimateRequestSchema } from '../estimate/request';
import { strategyIds } from '../estimate/strategyIds';
import { partsSchema } from '../chemistry/partsSchema';
import { targetSchema } from '../estimate/targetSchema';
import { channelIds } from '../densitometry/pixelGrid';
import { calibrationSchema } from '../densitometry/calibrationPairs';
import { cameraBeliefSchema } from '../densitometry/cameraBeliefSchema';
import { keptSpreadSchema } from '../densitometry/keptSpread';
import { measuredPatchSchema } from '../densitometry/patchDensity';
import { MOST_PATCHES, stripSources, type StripSource } from '../evidence/stripForm';
import { readingDoubtSchema } from '../estimate/evidenceSchema';
import { findingSchema, settingRecordSchema } from '../evidence/evidenceRecord';
import { ledgerRowSchema } from '../estimate/result';
import { kitSchema } from '../kit/kitSchema';
import { filmFormatIds } from '../films/filmFormats';
import { stockFamilyIds } from '../films/stockFamilies';
import { frameSchema } from '../exposure/frame';
import { conditionSchema } from '../films/condition';
import { storageStaySchema } from '../films/storageStaySchema';
import { logColumnIds } from './logColumns';
import { PHOTO_EDGE_PX } from './photoSize';
import { userHintSchema } from '../films/userHint';
import { verdictValuesSchema } from '../outcome/verdict';
import { runEventSchema } from './runEvents';
import { bathsSchema, pourInSchema } from '../schedule/baths';
import { movementSchema, namedMovementSchema } from '../schedule/movement';
import { tankOutlookSchema } from '../outcome/tankOutlook';
import { clearingReadingSchema } from '../fixing/clearing';
import { printShape } from '../printing/print';
import { trialShape } from '../trial/trial';
import { guestShape } from '../evidence/guestLogSchema';
import { wasteKindIds } from '../waste/waste';
import { wetStepSchema } from '../schedule/wetSteps';
import { within } from '../schema/within';
import { freeValue, idField, instantMs, limited, nameField, text, yearField } from '../schema/fields';

const id = idField;

/** Repeats of a verdict that are kept. */
export const MOST_REPEATS = 20;
const stamps = { id, createdMs: instantMs, updatedMs: instantMs };
const request = estimateRequestSchema.shape;

/** A kind of film as made. */
export const stockSchema = z.strictObject({
  ...stamps,
  name: nameField('Film'),
  familyId: z.enum(stockFamilyIds),
  iso: request.film.shape.iso,
  own: request.film.shape.own,
});

/** Rolls that came together and lay together ever since: a purchase, a find, a brick. */
export const boxSchema = z.strictObject({
  ...stamps,
  name: nameField('Name of the box'),
  note: text('Note', 5000),
  /** Length of the reel that its rolls are cut from, m; missing where they came as rolls. */
  reelM: within('Reel', 0.5, 610, 'm').optional(),
});

/** How the film was exposed. */
export const exposureStates = {
  unexposed: 'Not exposed yet',
  known: 'Exposed, as metered',
  mixed: 'Exposed, mixed light',
  unknown: 'Found, exposure unknown',
} as const;
export type ExposureState = keyof typeof exposureStates;

/** One physical film and its history. */
export const rollSchema = z.strictObject({
  ...stamps,
  label: nameField('Name of the roll'),
  stockId: id,
  formatId: z.enum(filmFormatIds),
  /** What the user knows about when it was made. */
  hints: z.array(userHintSchema).max(20),
  /** Where it lay, in order of time, from manufacture to now. */
  storage: z.array(storageStaySchema).min(1).max(20),
  xrayPasses: z.number().int().min(0).max(200),
  condition: conditionSchema,
  exposure: z.strictObject({
    state: z.enum(Object.keys(exposureStates) as [ExposureState, ...ExposureState[]]),
    year: yearField.nullable(),
    /** Index at which it was or will be exposed; null when unknown. */
    index: limited('iso', 'Metered at ISO').nullable(),
  }),
  /** The box that it came in with others; missing for one that came alone. */
  boxId: id.nullable().optional(),
  /** Where it is kept now, how it was cut, what is on its frames; missing until somebody said so. */
  archive: archiveSchema.optional(),
  /** Frames as noted, where somebody noted them. */
  frames: z.array(frameSchema).max(100),
  note: text('Note', 5000),
});

/** One mixed batch. */
export const brewSchema = z.strictObject({
  ...stamps,
  name: nameField('Name of the brew'),
  /** What is written on the jug to tell it from the others. */
  code: z.string().min(1).max(12),
  use: recipeShape.use,
  /** As the estimator knows it; null for what develops no film. */
  developer: request.developer.nullable(),
  bromideGPerL: limited('amountPerL', 'Potassium bromide'),
  volumeMl: limited('jugVolumeMl'),
  mixedMs: instantMs,
  /** What was wanted and what went in; empty for a brew that nobody weighed here. */
  parts: z.array(brewPartSchema).max(12),
  temperatureC: limited('waterC').nullable(),
  /** pH at 25 °C, worked out from what went in; null where it is not known. */
  ph: limited('ph').nullable(),
  /** Spread of ln(rate) that the measuring left; null where nobody measured. */
  mixingLnSd: limited('lnSd').nullable(),
  /** Films of 80 square inches through it so far. */
  films: limited('jugFilms'),
  /** Volume that its films wore, where water came after them, ml; missing where none did. */
  wornMl: limited('jugVolumeMl').optional(),
  /** What was done to it since it was mixed; missing where nothing was. */
  changes: z.array(jugChangeSchema).max(500).optional(),
  /** Films that it takes in all by its owner's own tally; missing for the usual one. */
  takesFilms: limited('jugFilms').optional(),
  /** When somebody called it spent; missing for one that is in use. */
  spentMs: instantMs.optional(),
  /** The jug that it was made from; missing for one that was mixed by itself. */
  from: z.strictObject({ id, name: nameField('Name of the brew'), code: z.string().min(1).max(12) }).optional(),
  /** What is known of the bottle, where it holds no working solution; missing for a jug. */
  bottle: bottleSchema.optional(),
  /** What it cost in the shop; missing where nobody said. */
  price: bottlePriceSchema.optional(),
  /** Clearing times of scraps in this fixer, oldest first; missing where none was taken. */
  clearings: z.array(clearingReadingSchema).max(500).optional(),
});

/** A recipe of the user's own. */
export const recipeSchema = z.strictObject({ ...stamps, ...recipeShape });

/** A mixing under way, or done. */
export const mixSchema = z.strictObject({
  ...stamps,
  /** The roll that it is mixed for; null when it is for none. */
  rollId: id.nullable(),
  batch: batchSchema,
  events: z.array(mixEventSchema).max(500),
  /** The brew that it became; null while it is under way. */
  brewId: id.nullable(),
});

/** What was decided, as it stood when it was pinned. */
export const pinnedSchema = z.strictObject({
  atMs: instantMs,
  timeMin: limited('timeMin'),
  lowMin: limited('timeMin'),
  highMin: limited('timeMin'),
  ledger: z.array(ledgerRowSchema).max(40),
  /** Whether the time is the user’s own: it is kept to the second. */
  own: z.boolean().optional(),
  /** How much wider the band was drawn than the model gave it; missing for 1. */
  widening: within('Widening of the range', 1, 4).optional(),
  /** Pieces of evidence that the time rested on. */
  evidenceIds: z.array(id).max(20_000),
  /** What the tank has to know of the estimate; missing in pins from before it was kept. */
  outlook: tankOutlookSchema.optional(),
});

/** The decision for a roll. */
export const planSchema = z.strictObject({
  ...stamps,
  rollId: id,
  developer: request.developer,
  bromideGPerL: limited('amountPerL', 'Potassium bromide'),
  temperatureC: limited('bathC'),
  agitationId: request.agitationId,
  /** A movement of one's own in place of the school's. */
  movement: namedMovementSchema.nullable(),
  strategy: z.strictObject({ id: z.enum(strategyIds), liftCap: z.boolean() }),
  target: z.strictObject(targetSchema.shape),
  knownTime: z
    .strictObject({
      timeMin: limited('timeMin', 'Known time'),
      temperatureC: limited('bathC'),
      source: z.enum(chartSourceIds),
      parts: partsSchema.optional(),
      agitationId: request.agitationId.optional(),
      /** A movement of one's own that it was found with. */
      movement: movementSchema.optional(),
      aged: z.boolean().optional(),
      /** The brew that it was for, where its amounts were others than the plan's. */
      developer: request.developer.optional(),
      /** How it was found out, in the user's words. */
      note: text('How it was found out', 300).optional(),
    })
    .nullable(),
  volumeMl: limited('jugVolumeMl'),
  /** Room temperature, °C; null for a bath that holds its temperature. */
  ambientC: limited('roomC').nullable(),
  /** Pieces of evidence that are switched off for this roll. */
  muted: z.array(id).max(1000),
  /** A time of one's own, min: it goes before the estimate. */
  ownTimeMin: limited('timeMin', 'My time').nullable(),
  baths: bathsSchema,
  pourIn: pourInSchema,
  brewId: id.nullable(),
  pinned: pinnedSchema.nullable(),
});

/** Other rolls that one tank takes at the most: eight reels are the tallest that are common. Source: common practice, no source. */
export const MOST_ALONGSIDE = 7;

/** What became of a jug after a run. */
const jugFate = z.enum(['poured', 'kept', 'spent']);
export type JugFate = z.infer<typeof jugFate>;

/** One execution of a plan at the tank. */
export const runSchema = z
  .strictObject({
    ...stamps,
    rollId: id,
    planId: id,
    brewId: id.nullable(),
    developerName: text('Developer', 400),
    temperatureC: limited('bathC'),
    pinned: pinnedSchema,
    /** What it was set up with; null where nobody kept it. */
    setup: z.strictObject({ ...settingRecordSchema.shape, target: planSchema.shape.target }).nullable(),
    /** Name of the movement, and the volume that was planned; missing in runs from before they were kept. */
    movementName: text('Agitation', 200).optional(),
    volumeMl: limited('jugVolumeMl').optional(),
    /** Jugs that stop and fixer come from; null or missing where nobody said. */
    jugs: z.strictObject({ stop: id.nullable(), fix: id.nullable() }).optional(),
    /** What became of each jug after the run; missing where nobody said. */
    afterwards: z
      .strictObject({ develop: jugFate.optional(), stop: jugFate.optional(), fix: jugFate.optional() })
      .optional(),
    /** Other rolls in the same tank, with the time as it was pinned for each, and their own runs once the first bath went in. */
    alongside: z
      .array(z.strictObject({ rollId: id, pinned: pinnedSchema, runId: id.nullable() }))
      .max(MOST_ALONGSIDE)
      .optional(),
    /** The run whose tank this roll shares: its clock is the one that counts. */
    tankRunId: id.optional(),
    steps: z.array(wetStepSchema).min(1).max(200),
    events: z.array(runEventSchema).max(5000),
  })
  .refine(
    ({ steps, events }) => events.every((event) => event.kind !== 'begin' || event.stepIndex < steps.length),
    'A run began a step that it does not have.',
  );

/** The judgement of one run. */
export const verdictSchema = z.strictObject({
  ...stamps,
  runId: id,
  rollId: id,
  ...verdictValuesSchema.shape,
  /** The contrast judged once more on other days, without a look at what was said before. */
  again: z
    .array(z.strictObject({ contrast: verdictValuesSchema.shape.contrast, atMs: instantMs }))
    .max(MOST_REPEATS)
    .optional(),
});

/** The most that a photograph may weigh, bytes. */
export const PHOTO_LIMIT_BYTES = 4_500_000;

/** A photograph of the roll or its box, reduced; the original is not kept. */
export const photoSchema = z.strictObject({
  ...stamps,
  rollId: id,
  name: text('Name of the photograph', 200),
  /** The frame that it shows, from 1; missing for one of the box, the edge or the whole roll. */
  frame: z.number().int().min(1).max(MOST_FRAMES).optional(),
  /** That it is the scan of a print; missing for one of the film. */
  of: z.literal('print').optional(),
  /** How it was scanned; missing where nobody said. */
  scanned: text('How it was scanned', 200).optional(),
  widthPx: z.number().int().positive().max(PHOTO_EDGE_PX),
  heightPx: z.number().int().positive().max(PHOTO_EDGE_PX),
  jpeg: z
    .instanceof(Blob, { error: 'A photograph must be a JPEG.' })
    .refine(({ type }) => type === 'image/jpeg', 'A photograph must be a JPEG.')
    .refine(({ size }) => size > 0 && size <= PHOTO_LIMIT_BYTES, 'A photograph is empty, or larger than 4.5 MB.'),
});

/** Something that moves the estimate of a roll, as it was found. */
export const evidenceRecordSchema = z.strictObject({
  ...stamps,
  rollId: id,
  setting: settingRecordSchema,
  finding: findingSchema,
  note: text('Note', 1000),
});

/** A strip that was read: densities of its patches, and what was known of their exposures. */
export const readingSchema = z.strictObject({
  ...stamps,
  rollId: id,
  name: nameField('Name of the strip'),
  timeMin: limited('timeMin', 'Developed for'),
  /** Where densities came from, and in which channel they were read. */
  source: z.enum(Object.keys(stripSources) as [StripSource, ...StripSource[]]),
  channel: z.enum(channelIds),
  meteredIso: limited('iso', 'Metered at').nullable(),
  clear: measuredPatchSchema.nullable(),
  /** What its camera leaves open of its densities; missing where no camera read it, and from before it was kept. */
  doubt: readingDoubtSchema.optional(),
  /** How the errors of its densities go together; missing where no camera read it, and from before it was kept. */
  spread: keptSpreadSchema.optional(),
  steps: z.array(measuredPatchSchema.extend({ logH: z.number().min(-20).max(20).nullable() })).max(MOST_PATCHES),
  /** What it tells the estimate; null where that was not added, or was taken off. */
  evidenceId: id.nullable(),
  /** Its picture, reduced; null where none was kept. */
  photoId: id.nullable(),
});

/** A way of doing things that somebody keeps under a name: a movement of the tank, or the baths of a wet process. */
export const habitSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...stamps, kind: z.literal('movement'), name: nameField('Name'), movement: movementSchema }),
  z.strictObject({
    ...stamps,
    kind: z.literal('baths'),
    name: nameField('Name'),
    baths: bathsSchema,
    pourIn: pourInSchema,
    /** Whether new plans begin with it. */
    usual: z.boolean(),
  }),
  /** A letter that a bottle gives one of its dilutions. */
  z.strictObject({
    ...stamps,
    kind: z.literal('dilution'),
    name: nameField('Name', 12),
    /** Class of developer, or the name of what is in the bottle. */
    bottle: nameField('Bottle', 160),
    parts: partsSchema,
  }),
  /** A camera or scanner, held against a wedge of known densities. */
  z.strictObject({
    ...stamps,
    kind: z.literal('camera'),
    name: nameField('Name'),
    /** Steps as plain sRGB read them, from before responses were kept. */
    pairs: calibrationSchema.optional(),
    /** What was learned of its response and glare. */
    belief: cameraBeliefSchema.optional(),
    /** Camera and program as its pictures name them; missing where they did not. */
    device: text('Camera as its pictures name it', 200).optional(),
  }),
]);

/** Somebody else’s log, kept apart: it counts as evidence with a scatter of its own. */
export const guestSchema = z.strictObject({ ...stamps, ...guestShape });

/** Something that went into a waste bottle. */
export const wasteSchema = z.strictObject({
  ...stamps,
  kind: z.enum(wasteKindIds),
  /** What it was, as its jug said. */
  name: nameField('What was poured'),
  volumeMl: limited('jugVolumeMl'),
  films: limited('jugFilms'),
  /** When it was handed in; null while it stands here. */
  handedInMs: instantMs.nullable(),
});

/** A set of strips that differ in one thing. */
export const trialRecordSchema = z.strictObject({ ...stamps, ...trialShape });

/** A picture on paper. */
export const printRecordSchema = z.strictObject({ ...stamps, ...printShape });

/** How the user reads quantities and lights the bench. */
export const settingsSchema = z.strictObject({
  id: z.literal('bench'),
  temperature: z.enum(['C', 'F']),
  volume: z.enum(['ml', 'floz']),
  sound: z.boolean(),
  /** Whether the tank counts and speaks; missing means no. */
  voice: z.boolean().optional(),
  /** Whether single letters act as keys. */
  keys: z.boolean(),
  /** Columns of the log that somebody wants besides the usual ones; missing for none. */
  logColumns: z.array(z.enum(logColumnIds)).max(logColumnIds.length).optional(),
  kit: kitSchema,
});

/** A form that was not finished: its fields as typed. */
export const draftSchema = z.strictObject({ id: nameField('Form', 200), values: freeValue, updatedMs: instantMs });

/** Something that could not stay where it was: a record whose roll is gone, a form that no longer reads. Nothing is thrown away. */
export const asideSchema = z.strictObject({
  id,
  /** Table that it came from. */
  from: text('Table', 40),
  why: text('Reason', 300),
  /** The record itself, as JSON text. */
  record: z.string(),
  createdMs: instantMs,
});

export type Stock = z.infer<typeof stockSchema>;
export type Roll = z.infer<typeof rollSchema>;
export type Brew = z.infer<typeof brewSchema>;
export type Plan = z.infer<typeof planSchema>;
export type Run = z.infer<typeof runSchema>;
export type Verdict = z.infer<typeof verdictSchema>;
export type Pinned = z.infer<typeof pinnedSchema>;
export type Box = z.infer<typeof boxSchema>;
export type Photo = z.infer<typeof photoSchema>;
export type EvidenceRecord = z.infer<typeof evidenceRecordSchema>;
export type Aside = z.infer<typeof asideSchema>;
export type Draft = z.infer<typeof draftSchema>;
export type RecipeRecord = z.infer<typeof recipeSchema>;
export type Mix = z.infer<typeof mixSchema>;
export type StripRecord = z.infer<typeof readingSchema>;
export type Habit = z.infer<typeof habitSchema>;
export type Print = z.infer<typeof printRecordSchema>;
export type Trial = z.infer<typeof trialRecordSchema>;
export type Guest = z.infer<typeof guestSchema>;
export type Waste = z.infer<typeof wasteSchema>;
export type Settings = z.infer<typeof settingsSchema>;

/** Schema of every table's records. */
export const recordSchemas = {
  settings: settingsSchema,
  stocks: stockSchema,
  boxes: boxSchema,
  rolls: rollSchema,
  brews: brewSchema,
  plans: planSchema,
  runs: runSchema,
  verdicts: verdictSchema,
  drafts: draftSchema,
  photos: photoSchema,
  evidence: evidenceRecordSchema,
  recipes: recipeSchema,
  mixes: mixSchema,
  aside: asideSchema,
  habits: habitSchema,
  readings: readingSchema,
  waste: wasteSchema,
  trials: trialRecordSchema,
  prints: printRecordSchema,
  guests: guestSchema,
} as const;

export type TableName = keyof typeof recordSchemas;
export type Records = { [K in TableName]: z.infer<(typeof recordSchemas)[K]>[] };
