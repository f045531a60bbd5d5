import * as z from 'zod';
import { stockFamilyIds } from '../films/stockFamilies';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';
import { filters, type FilterId } from '../exposure/filters';
import { longExposure, type LongExposureAnswer } from '../exposure/longExposure';
import { fitExponent, usualExponent } from '../exposure/reciprocity';
import { typed } from '../schema/typed';

/** The exposure calculator as typed. */
export const exposureFormSchema = z.object({
  meteredS: typed,
  meterIndex: typed,
  filmIndex: typed,
  filterId: z.enum(Object.keys(filters) as [FilterId, ...FilterId[]]),
  familyId: z.enum(stockFamilyIds),
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
  meterIndex: index('Index of the meter'),
  filmIndex: index('Index for the film'),
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

function readExponent(form: ExposureForm): Result<number> {
  if (!form.ownFrames) return success(usualExponent(form.familyId));
  const frames = form.frames.flatMap(({ meteredS, rightS }) =>
    typeof meteredS === 'number' && typeof rightS === 'number' ? [{ meteredS, rightS }] : [],
  );
  return fitExponent(frames);
}
