import * as z from 'zod';
import { backings, conditionSigns, type Backing, type ConditionSign } from './conditionFacts';

/** State of the film as it lies there. */
export const conditionSchema = z.strictObject({
  backing: z.enum(Object.keys(backings) as [Backing, ...Backing[]]),
  signs: z.array(z.enum(Object.keys(conditionSigns) as [ConditionSign, ...ConditionSign[]])),
});

export type Condition = z.infer<typeof conditionSchema>;
