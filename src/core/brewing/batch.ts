import * as z from 'zod';
import { limited } from '../schema/fields';
import { brewPartSchema } from './part';
import { recipeUseIds } from './recipe';

/** The water of a batch: what everything dissolves in, and what tops it up. */
export const waterPlanSchema = z.strictObject({
  firstMl: limited('amount'),
  /** How warm the first water starts; null for one that is brought to the boil. */
  firstC: z.number().min(-1e12).max(1e12).nullable(),
  /** Hot and cold water that make the first; null where they cannot. */
  hotMl: limited('amount').nullable(),
  coldMl: limited('amount').nullable(),
  /** Water that goes in last, up to the mark. */
  lastMl: limited('amount'),
  lastC: z.number().min(-1e12).max(1e12),
  /** How warm the liquids start where they are the water, °C; missing where they are not. */
  liquidC: z.number().min(-1e12).max(1e12).optional(),
  /** How warm the jug is once all is in, where powders want it hot and it cools afterwards, °C. */
  coolsFromC: z.number().min(-1e12).max(1e12).optional(),
});

export type WaterPlan = z.infer<typeof waterPlanSchema>;

/** A batch as it was laid out: what is to be weighed, in how much water, for which temperature. */
export const batchSchema = z.strictObject({
  recipeName: z.string().min(1).max(120),
  use: z.enum(recipeUseIds),
  volumeMl: limited('jugVolumeMl'),
  targetC: limited('waterC'),
  /** Temperature of the room it stands in, °C. */
  roomC: limited('waterC'),
  parts: z.array(brewPartSchema).max(12),
  water: waterPlanSchema,
  /** Smallest steps of scale and cylinder when it was laid out. */
  scaleStepG: z.number().positive().max(100),
  cylinderStepMl: z.number().positive().max(500),
});

export type Batch = z.infer<typeof batchSchema>;
