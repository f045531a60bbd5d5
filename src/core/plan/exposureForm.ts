import * as z from 'zod';
import { stockFamilyIds } from '../films/stockFamilies';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';
import { filters, type FilterId } from '../exposure/filters';
import { longExposure, type LongExposureAnswer } from '../exposure/longExposure';
import { fitExponent, usualExponent } from '../exposure/reciprocity';
import { carryExposure, readRow, type CameraSetting } from '../exposure/oldCamera';
import { typed } from '../schema/typed';

/** The exposure calculator as typed. */
export const exposureFormSchema = z.object({
  meteredS: typed,
  meterIndex: typed,
  filmIndex: typed,
  filterId: z.enum(Object.keys(filters) as [FilterId, ...FilterId[]]),
  familyId: z.enum(stockFamilyIds),
  /** f-number of the exposure that the meter or another camera gave; only for carrying it to an old one. */
  carry: z.boolean().default(false),
  meterF: typed.default(8),
  ownF: z.string().max(200).default('4.5 6.3 9 12.5 18 25'),
  ownSpeeds: z.string().max(300).default('1/25 1/50 1/100'),
  slowStops: typed.default(0),
  ownFrames: z.boolean(),
  frames: z.array(z.object({ meteredS: typed, rightS: typed })).length(2),
});

export type ExposureForm = z.infer<typeof exposureFormSchema>;

/** The calculator as it first opens. */
export const emptyExposureForm: ExposureForm = {
  meteredS: 4,
  meterIndex: 100,
  filmIndex: 100,
  filterId: 'none',
  familyId: 'pan-cubic-medium',
  carry: false,
  meterF: 8,
  ownF: '4.5 6.3 9 12.5 18 25',
  ownSpeeds: '1/25 1/50 1/100',
  slowStops: 0,
  ownFrames: false,
  frames: [
    { meteredS: '', rightS: '' },
    { meteredS: '', rightS: '' },
  ],
};

const seconds = (what: string) =>
  z
    .number(`${what}: give a number of seconds above 0.`)
    .positive(`${what}: give a number of seconds above 0.`)
    .max(86_400, `${what}: give a day at most.`);
const index = (what: string) =>
  z
    .number(`${what}: give an ISO number from 0.1 to 25600.`)
    .min(0.1, `${what}: give 0.1 or more.`)
    .max(25_600, `${what}: give 25600 or less.`);
const valuesSchema = z.object({
  meteredS: seconds('Metered time'),
  meterIndex: index('Speed set on the meter'),
  filmIndex: index('Speed of the film'),
});

/**
 * Reads the calculator and works it out.
 * @param form the calculator as typed
 * @returns the times and the exponent used, or every problem with its path
 */
export function readExposure(form: ExposureForm): Result<LongExposureAnswer & { exponent: number }> {
  const values = valuesSchema.safeParse(form);
  const exponent = readExponent(form);
  const problems = [
    ...(values.success ? [] : problemsFromZod(values.error.issues)),
    ...(exponent.ok ? [] : exponent.problems),
  ];
  if (!values.success || !exponent.ok) return failure(...problems);
  return success({
    ...longExposure({ ...values.data, filterStops: filters[form.filterId].stops, exponent: exponent.value }),
    exponent: exponent.value,
  });
}

const carrySchema = z.object({
  meterF: z
    .number('f-number: give a number from 0.5 to 256.')
    .min(0.5, 'f-number: give 0.5 or more.')
    .max(256, 'f-number: give 256 or less.'),
  slowStops: z
    .number('Slow by: give stops from -2 to 4.')
    .min(-2, 'Slow by: give -2 or more.')
    .max(4, 'Slow by: give 4 at most.'),
});

/**
 * Carries the exposure to a camera of other f-numbers and speeds.
 * @param form the calculator as typed
 * @param exposeS time that is wanted at the f-number of the meter, s
 * @returns the nearest settings, or every problem with its path
 */
export function readCarried(form: ExposureForm, exposeS: number): Result<CameraSetting[]> {
  const values = carrySchema.safeParse(form);
  const fNumbers = readRow(form.ownF, 'f-numbers', 'ownF');
  const speeds = readRow(form.ownSpeeds, 'speeds', 'ownSpeeds');
  const problems = [
    ...(values.success ? [] : problemsFromZod(values.error.issues)),
    ...(fNumbers.ok ? [] : fNumbers.problems),
    ...(speeds.ok ? [] : speeds.problems),
  ];
  if (!values.success || !fNumbers.ok || !speeds.ok) return failure(...problems);
  const { meterF, slowStops } = values.data;
  return success(carryExposure({ fNumber: meterF, timeS: exposeS }, fNumbers.value, speeds.value, slowStops));
}

function readExponent(form: ExposureForm): Result<number> {
  if (!form.ownFrames) return success(usualExponent(form.familyId));
  const frames = form.frames.flatMap(({ meteredS, rightS }) =>
    typeof meteredS === 'number' && typeof rightS === 'number' ? [{ meteredS, rightS }] : [],
  );
  return fitExponent(frames);
}
