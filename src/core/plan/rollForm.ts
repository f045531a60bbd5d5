import * as z from 'zod';
import { rollSchema, stockSchema } from '../records/records';
import { FIRST_FILM_YEAR } from '../films/filmYears';
import { storagePresetIds } from '../films/storagePresets';
import type { UserHint } from '../films/userHint';
import { SHELF_YEARS } from '../films/yearHints';

/** Years by which a box date may be misread, and how a user says so. */
export const dateDoubts = {
  '0': 'Printed on the box',
  '3': 'Within a few years',
  '7': 'The decade is right',
  '17': 'A guess',
} as const;

/** How old a film is, as a first answer. */
export const ageAnswers = {
  new: 'Bought new',
  dated: 'It has an expiry year',
  unknown: 'I don’t know',
} as const;
export type AgeAnswer = keyof typeof ageAnswers;

/** The answer that nobody knows how old it is. */
const AGE_UNKNOWN = -2;

/** The answer to how sure the date is that needs no date. */
export const BOUGHT_FRESH = -1;

/** Schemas of a stock's own numbers. */
const ownPriors = stockSchema.shape.own.unwrap().shape;

/** Own numbers of a stock that has none. */
export const noOwnPriors = {
  maximumGradient: null,
  referenceTimeMin: null,
  freshBaseFogD: null,
  maximumDensityD: null,
  speedLossStopsPerYear: null,
  fogDPerYear: null,
  gradientLossPerYear: null,
};

/** Margin beyond the usual shelf time before a date is called impossible, years. Source: our choice. */
const SHELF_MARGIN_YEARS = 2;

/**
 * Schema of the roll form: what a user says about a roll and its stock.
 * @param thisYear calendar year, for years that cannot lie ahead
 * @returns a schema whose messages say what is wrong and what to do
 */
export function rollFormSchema(thisYear: number) {
  const year = (what: string, last: number) => {
    const sentence = `${what}: give a year from ${FIRST_FILM_YEAR} to ${last}, or leave it empty.`;
    return z.number(sentence).int(sentence).min(FIRST_FILM_YEAR, sentence).max(last, sentence).nullable();
  };
  return z
    .strictObject({
      /** Both names may stay empty; the roll is then called by its format, the film unknown. */
      label: z.string().trim().max(120, 'Keep the name under 120 characters.'),
      stockName: z.string().trim().max(120, 'Keep the name under 120 characters.'),
      familyId: stockSchema.shape.familyId,
      iso: stockSchema.shape.iso,
      formatId: rollSchema.shape.formatId,
      expiredYear: year('Expiry year', thisYear + 10),
      dateSlackYears: z.number().int().min(AGE_UNKNOWN).max(30),
      storageId: z.enum(storagePresetIds),
      exposureState: rollSchema.shape.exposure.shape.state,
      exposedYear: year('Exposed', thisYear),
      exposureIndex: z
        .number('Metered at: give an ISO number from 0.1 to 25600, or leave it empty.')
        .min(0.1, 'Metered at: give 0.1 or more.')
        .max(25600, 'Metered at: give 25600 or less.')
        .nullable(),
      note: rollSchema.shape.note,
      own: z.strictObject({
        maximumGradient: ownPriors.maximumGradient.unwrap().nullable(),
        referenceTimeMin: ownPriors.referenceTimeMin.unwrap().nullable(),
        freshBaseFogD: ownPriors.freshBaseFogD.unwrap().nullable(),
        maximumDensityD: ownPriors.maximumDensityD.unwrap().nullable(),
        speedLossStopsPerYear: ownPriors.speedLossStopsPerYear.unwrap().nullable(),
        fogDPerYear: ownPriors.fogDPerYear.unwrap().nullable(),
        gradientLossPerYear: ownPriors.gradientLossPerYear.unwrap().nullable(),
      }),
    })
    .superRefine((roll, context) => {
      if (roll.exposureState === 'unexposed' && roll.exposedYear !== null) {
        context.addIssue({
          code: 'custom',
          path: ['exposedYear'],
          message: 'The roll is marked as not exposed: empty this year, or say that it was exposed.',
        });
      }
      if (ageAnswerOf(roll) !== 'dated' || roll.expiredYear === null || roll.exposedYear === null) return;
      const earliest = roll.expiredYear - SHELF_YEARS.most - SHELF_MARGIN_YEARS - roll.dateSlackYears;
      if (roll.exposedYear < earliest) {
        context.addIssue({
          code: 'custom',
          path: ['exposedYear'],
          message: `A film dated ${roll.expiredYear} was not made before about ${earliest}, so it cannot have been exposed in ${roll.exposedYear}. Check both years, or say that the expiry year is a guess.`,
        });
      }
    });
}

export type RollForm = z.infer<ReturnType<typeof rollFormSchema>>;

const typedNumber = z.union([z.string().max(200), z.number(), z.null()]);

/** A roll's form as typed: the fields that were touched, numbers half typed. A draft that does not read as this is set aside. */
export const rollDraftSchema = z
  .object({
    label: z.string().max(5000),
    stockName: z.string().max(5000),
    familyId: stockSchema.shape.familyId,
    iso: typedNumber,
    formatId: rollSchema.shape.formatId,
    expiredYear: typedNumber,
    dateSlackYears: z.number(),
    storageId: z.enum(storagePresetIds),
    exposureState: rollSchema.shape.exposure.shape.state,
    exposedYear: typedNumber,
    exposureIndex: typedNumber,
    note: z.string().max(50_000),
    own: z.record(z.string(), typedNumber),
  })
  .partial();

export type TypedRoll = z.infer<typeof rollDraftSchema>;

/**
 * The first answer about a film's age that a form holds.
 * @param form how sure its date is
 */
export function ageAnswerOf({ dateSlackYears }: { dateSlackYears: number | null }): AgeAnswer {
  if (dateSlackYears === BOUGHT_FRESH) return 'new';
  return dateSlackYears === AGE_UNKNOWN ? 'unknown' : 'dated';
}

/**
 * How sure a date is, by the first answer.
 * @example slackOfAnswer('new') // -1
 */
export function slackOfAnswer(answer: AgeAnswer): number {
  return answer === 'new' ? BOUGHT_FRESH : answer === 'unknown' ? AGE_UNKNOWN : 0;
}

/**
 * What the form says of the film's age.
 * @param form date and how sure it is
 * @param nowYear this year
 * @returns one hint, or none where no date was typed
 */
export function hintsOf(
  { expiredYear, dateSlackYears }: Pick<RollForm, 'expiredYear' | 'dateSlackYears'>,
  nowYear: number,
): UserHint[] {
  const answer = ageAnswerOf({ dateSlackYears });
  if (answer === 'new') return [{ kind: 'bought', year: nowYear }];
  return expiredYear === null || answer === 'unknown'
    ? []
    : [{ kind: 'stamp', year: expiredYear, slackYears: dateSlackYears }];
}
