import * as z from 'zod';
import { yearField } from '../schema/fields';

const year = yearField;

/** A hint as a user gives it. */
export const userHintSchema = z.discriminatedUnion('kind', [
  /** “Develop before” on the box, and by how many years it may be misread. */
  z.strictObject({ kind: z.literal('stamp'), year, slackYears: z.number().int().min(0).max(30) }),
  /** Bought fresh in a shop in that year. */
  z.strictObject({ kind: z.literal('bought'), year }),
  /** Years in which the camera, the place or the owner was in use; the film was exposed then. */
  z.strictObject({ kind: z.literal('use'), what: z.string().max(120), from: year, to: year }),
  /** A story: exposed about then. */
  z.strictObject({
    kind: z.literal('story'),
    what: z.string().max(120),
    year,
    slackYears: z.number().int().min(1).max(40),
  }),
]);

export type UserHint = z.infer<typeof userHintSchema>;
