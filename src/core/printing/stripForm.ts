import * as z from 'zod';
import { typed } from '../schema/typed';
import type { GradeOfPaper, OwnRange } from './paperRange';
import { rangeOfStrip } from './paperRange';
import { testStrip, type StripPatch, type StripScale } from './testStrip';
import { twoTones, type TwoTones } from './twoTones';

/** How patches follow each other, by the name that is chosen. */
export const stripSteps = {
  third: { name: 'a third of a stop', scale: { kind: 'stops', stops: 1 / 3 } },
  half: { name: 'half a stop', scale: { kind: 'stops', stops: 1 / 2 } },
  stop: { name: 'a stop', scale: { kind: 'stops', stops: 1 } },
  two: { name: '2 seconds', scale: { kind: 'seconds', seconds: 2 } },
  five: { name: '5 seconds', scale: { kind: 'seconds', seconds: 5 } },
} as const satisfies Record<string, { name: string; scale: StripScale }>;
export type StripStepId = keyof typeof stripSteps;
export const stripStepIds = Object.keys(stripSteps) as [StripStepId, ...StripStepId[]];

/** A test strip as typed. */
export const testStripFormSchema = z.object({
  fromS: typed,
  count: typed,
  step: z.enum(stripStepIds),
  /** Patches whose light and dark tone look right, or of a bare paper the first grey and the full black, from 0; null while nobody said. */
  light: z.number().int().nullable(),
  dark: z.number().int().nullable(),
  /** Of a bare paper, the patch that is as grey as a grey card. */
  card: z.number().int().nullable().default(null),
  /** Whether it lies under the negative, or is the paper by itself. */
  of: z.enum(['negative', 'paper']).default('negative'),
});
export type TestStripForm = z.infer<typeof testStripFormSchema>;

/** As it first opens. Source: common practice, no source. */
export const emptyTestStrip: TestStripForm = {
  fromS: 4,
  count: 6,
  step: 'half',
  light: null,
  dark: null,
  card: null,
  of: 'negative',
};

/** Exposure and patches that a strip may have. */
export const FROM_S = [0.1, 600] as const;
export const PATCHES = [2, 12] as const;

const within = (value: number | string, [low, high]: readonly [number, number]): value is number =>
  typeof value === 'number' && value >= low && value <= high;

/** What a strip says. */
export interface StripSaid {
  /** Empty where its fields do not read. */
  patches: StripPatch[];
  fields: { fromS: boolean; count: boolean };
  /** Exposure at which the light tones are right, s; undefined while nobody said. */
  lightS: number | undefined;
  /** Exposure and grade together; null without both tones, and on a grade that the table has not. */
  tones: TwoTones | null;
  /** What a paper by itself told; null while nobody said, and where black does not come after grey. */
  range: OwnRange | null;
}

/**
 * Reads a test strip.
 * @param form as typed
 * @param grade the grade that it was made on
 * @param grades grades of this paper
 */
export function readTestStrip(form: TestStripForm, grade: string, grades: readonly GradeOfPaper[]): StripSaid {
  const { fromS, count, step, light, dark, card } = form;
  const fields = { fromS: within(fromS, FROM_S), count: within(count, PATCHES) };
  const { scale } = stripSteps[step];
  const patches = fields.fromS && fields.count ? testStrip(fromS as number, scale, Math.round(count as number)) : [];
  const [lightS, darkS, cardS] = [light, dark, card].map((at) => (at === null ? undefined : patches[at]?.totalS));
  const stepStops = stopsOf(scale, lightS ?? (fields.fromS ? (fromS as number) : 1));
  const own = grades.find((one) => one.grade === grade.trim());
  const both = lightS !== undefined && darkS !== undefined;
  return {
    patches,
    fields,
    lightS,
    tones: form.of === 'negative' && both && own !== undefined ? twoTones(lightS, darkS, own, stepStops, grades) : null,
    range: form.of === 'paper' && both ? rangeOfStrip(lightS, darkS, stepStops, cardS) : null,
  };
}

/** Stops from one patch to the next; of steps in seconds, where the light tone stands. */
function stopsOf(scale: StripScale, atS: number): number {
  return scale.kind === 'stops' ? scale.stops : Math.log2((atS + scale.seconds) / atS);
}
