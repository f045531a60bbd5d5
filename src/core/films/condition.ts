import * as z from 'zod';
import {
  backings,
  conditionSigns,
  edgePrints,
  type Backing,
  type ConditionSign,
  type EdgePrint,
} from './conditionFacts';

/** State of the film as it lies there. */
export const conditionSchema = z.strictObject({
  backing: z.enum(Object.keys(backings) as [Backing, ...Backing[]]),
  /** What is printed along its edge about its base; missing while nobody looked. */
  edge: z.enum(Object.keys(edgePrints) as [EdgePrint, ...EdgePrint[]]).optional(),
  signs: z.array(z.enum(Object.keys(conditionSigns) as [ConditionSign, ...ConditionSign[]])),
});

export type Condition = z.infer<typeof conditionSchema>;
