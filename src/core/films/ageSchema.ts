import * as z from 'zod';
import { within } from '../schema/within';

/** A stretch of years in one place. */
const storageSegmentSchema = z.strictObject({
  years: within('Years in storage', 0, 150, 'years'),
  temperatureC: within('Storage temperature', -40, 60, '°C'),
  temperatureSdC: within('Spread of the storage temperature', 0, 20, '°C').default(2),
  humid: z.boolean('Humid: give true or false.').default(false),
});

/** A roll whose year is a distribution, carried through its storage. It takes the place of `storage` and `yearsSd`. */
const datedSchema = z.strictObject({
  made: z
    .array(
      z.strictObject({ year: within('Year of manufacture', 1800, 2200), weight: within('Weight of a year', 0, 1) }),
    )
    .min(1, 'Years of manufacture: give one at least.')
    .max(400, 'Years of manufacture: give 400 at most.')
    .refine(
      (years) => Math.abs(years.reduce((sum, { weight }) => sum + weight, 0) - 1) < 1e-6,
      'Years of manufacture: the weights must add up to 1.',
    ),
  stays: z
    .array(
      z.strictObject({
        temperatureC: within('Storage temperature', -40, 60, '°C'),
        temperatureSdC: within('Spread of the storage temperature', 0, 20, '°C'),
        humid: z.boolean('Humid: give true or false.'),
        untilYear: within('Stay until', 1800, 2200).nullable(),
      }),
    )
    .min(1, 'Stays: give one at least.')
    .max(50, 'Stays: give 50 at most.'),
  nowYear: within('This year', 1800, 2200),
});

/** Age of a film: its storage, or the distribution of its year carried through its storage. */
export const ageSchema = z.strictObject({
  storage: z.array(storageSegmentSchema).max(50, 'Storage: give 50 stretches at most.').default([]),
  yearsSd: within('Doubt about the years', 0, 60, 'years').default(0),
  /** The years between exposure and now, for a film that was exposed long ago. */
  sinceExposure: z
    .array(storageSegmentSchema)
    .max(50, 'Storage since exposure: give 50 stretches at most.')
    .default([]),
  dated: datedSchema.optional(),
  /** Passes through an X-ray machine for hand baggage. */
  xrayPasses: within('X-ray passes', 0, 200).default(0),
});

export type FilmAge = z.infer<typeof ageSchema>;
