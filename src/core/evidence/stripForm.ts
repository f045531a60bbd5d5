import * as z from 'zod';
import { channelIds } from '../densitometry/pixelGrid';
import { transferIds, type Transfer } from '../densitometry/transfer';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';
import { failure, success, type Problem, type Result } from '../schema/result';
import { typed } from '../schema/typed';
import { within } from '../schema/within';
import { limited, nameField } from '../schema/fields';

/** A share of a picture's longest edge; things may hang over its edge a little. */
const share = z.number().min(-0.5).max(1.5);

/** Edge of a patch: from a speck to a quarter of the picture. */
const edge = z.number().min(0.002).max(0.25);

export const placeSchema = z.strictObject({ x: share, y: share });
export const patchSchema = z.strictObject({
  ...placeSchema.shape,
  along: edge,
  across: edge,
  turn: z.number().min(-7).max(7),
});

/** Most patches of a row. */
export const MOST_PATCHES = 60;

/** What is known of the exposures of a row. */
export const exposureKinds = {
  bracket: 'Metered bracket',
  wedge: 'Step wedge',
  own: 'My own stops',
  unknown: 'Nobody knows',
} as const;
export type ExposureKind = keyof typeof exposureKinds;
export const exposureKindIds = Object.keys(exposureKinds) as [ExposureKind, ...ExposureKind[]];

/** Where densities come from. */
export const stripSources = {
  picture: 'A picture',
  gap: 'The gap between frames',
  densitometer: 'A densitometer',
} as const;
export type StripSource = keyof typeof stripSources;

/** A strip that is being read, as typed and as marked. */
export const stripFormSchema = z.object({
  source: z.enum(['picture', 'gap', 'densitometer']),
  /** In what it was developed: as the plan stands, or in the roll's own run. */
  developed: z.enum(['plan', 'run']),
  /** Whether anybody, or the search for a row, has placed the marks. */
  marked: z.boolean(),
  name: z.string(),
  timeMin: typed,
  light: z.array(patchSchema).max(8),
  /** Something that lets no light through, beside the film; null where none is marked. */
  opaque: patchSchema.nullable().default(null),
  clear: patchSchema.nullable(),
  row: z.strictObject({
    first: placeSchema,
    last: placeSchema,
    fill: z.number().min(0.1).max(1),
    across: edge,
    perspective: z.number().min(-0.8).max(4).optional(),
  }),
  count: typed,
  transfer: z.enum(transferIds),
  gamma: typed,
  channel: z.enum(channelIds),
  /** Camera by whose calibration densities are corrected; empty for none. */
  camera: z.string(),
  exposures: z.enum(exposureKindIds),
  firstStops: typed,
  stepStops: typed,
  stepD: typed,
  ownStops: z.string(),
  meteredIso: typed,
  /** Whether the first patch is known to be the first exposure: where thinner ones may be missing, it is asked. */
  numbered: z.boolean().default(true),
  /** Whether its frames were exposed with the roll and waited as long, and not for the test. */
  ownFrames: z.boolean().default(false),
  /** Densities typed or read by a densitometer: clear film first. */
  typedD: z.array(typed).max(MOST_PATCHES + 1),
});

export type StripForm = z.infer<typeof stripFormSchema>;

/** A strip as it first opens: seven frames across the middle. */
export function initialStripForm(
  timeMin: number,
  meteredIso: number | null,
  developed: StripForm['developed'] = 'plan',
): StripForm {
  return {
    source: 'picture',
    developed,
    marked: false,
    name: 'Strip',
    timeMin: Math.round(timeMin * 4) / 4,
    light: [],
    opaque: null,
    clear: { x: 0.1, y: 0.3, along: 0.03, across: 0.05, turn: 0 },
    row: { first: { x: 0.2, y: 0.3 }, last: { x: 0.8, y: 0.3 }, fill: 0.6, across: 0.08 },
    count: 7,
    transfer: 'srgb',
    gamma: 2.2,
    channel: 'green',
    camera: '',
    exposures: 'bracket',
    firstStops: -3,
    stepStops: 1,
    stepD: 0.15,
    ownStops: '',
    meteredIso: meteredIso ?? '',
    numbered: true,
    ownFrames: false,
    typedD: [],
  };
}

/** How a picture is read, once the form is. */
export interface StripPlan {
  name: string;
  timeMin: number;
  count: number;
  transfer: Transfer;
  /** log10 of each patch's exposure, first to last; null where nobody knows. */
  logH: number[] | null;
  /** Whether 0 is the exposure as metered, and which index the meter was set to. */
  meteredIso: number | null;
  /** Whether it is known which exposure each patch had. */
  numbered: boolean;
}

/** What else the numbers of the form have to hold. */
const numbers = {
  count: within('Patches', 1, MOST_PATCHES).int('Patches: give a whole number.'),
  gamma: within('Gamma', 0.3, 4),
  firstStops: within('First patch', -20, 20, 'stops'),
  stepStops: within('From patch to patch', -10, 10, 'stops'),
  stepD: within('Step of the wedge', 0.02, 1, 'D'),
  timeMin: within('Developed for', 0.1, 300, 'min'),
  meteredIso: limited('iso', 'Metered at'),
} as const;

/**
 * Reads how a strip is to be read.
 * @param typedForm as typed
 * @returns the plan, or what is wrong, by field
 */
export function readStripForm(typedForm: StripForm): Result<StripPlan> {
  // A gap has no patches, and nothing is asked of them.
  const form: StripForm =
    typedForm.source === 'gap' ? { ...typedForm, count: 1, exposures: 'unknown', meteredIso: '' } : typedForm;
  const problems: Problem[] = [];
  const number = (field: keyof typeof numbers): number => {
    const read = numbers[field].safeParse(form[field]);
    if (read.success) return read.data;
    problems.push({ path: field, message: read.error.issues[0]?.message ?? '' });
    return Number.NaN;
  };
  const name = nameField('Name of the strip').safeParse(form.name.trim());
  if (!name.success) problems.push({ path: 'name', message: name.error.issues[0]?.message ?? '' });
  const timeMin = number('timeMin');
  const count = number('count');
  const transfer: Transfer =
    form.transfer === 'gamma' ? { id: 'gamma', gamma: number('gamma') } : { id: form.transfer };
  const logH = Number.isNaN(count) ? null : exposuresOf(form, count, number, problems);
  const metered = form.exposures === 'bracket' || form.exposures === 'own';
  const meteredIso = metered && form.meteredIso !== '' ? number('meteredIso') : null;
  if (problems.length > 0) return failure(...problems);
  return success({
    name: form.name.trim(),
    timeMin,
    count: form.source === 'gap' ? 0 : count,
    transfer,
    logH,
    meteredIso,
    numbered: form.numbered,
  });
}

function exposuresOf(
  form: StripForm,
  count: number,
  number: (field: 'firstStops' | 'stepStops' | 'stepD') => number,
  problems: Problem[],
): number[] | null {
  switch (form.exposures) {
    case 'unknown':
      return null;
    case 'bracket': {
      const [first, step] = [number('firstStops'), number('stepStops')];
      if (step === 0)
        problems.push({ path: 'stepStops', message: 'From patch to patch: give the stops between two, not 0.' });
      return Array.from({ length: count }, (_, at) => (first + at * step) * LOG_EXPOSURE_PER_STOP);
    }
    case 'wedge': {
      // Each step of the wedge holds back so much more light than the one before.
      const stepD = number('stepD');
      return Array.from({ length: count }, (_, at) => at * stepD);
    }
    case 'own': {
      const stops = form.ownStops
        .split(/[\s;|]+|,\s+/)
        .filter((one) => one !== '')
        .map((one) => Number(one.replace('−', '-').replace(',', '.')));
      const wrong = stops.findIndex((one) => !Number.isFinite(one) || Math.abs(one) > 20);
      if (wrong >= 0)
        problems.push({ path: 'ownStops', message: `Stops: number ${wrong + 1} does not read. Type −2 −1 0 1 2.` });
      else if (stops.length !== count)
        problems.push({
          path: 'ownStops',
          message: `Stops: ${stops.length === 0 ? 'none typed' : `${stops.length} typed`} for ${count} patches. Type one for each, first to last.`,
        });
      return stops.map((one) => one * LOG_EXPOSURE_PER_STOP);
    }
  }
}
