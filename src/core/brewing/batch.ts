import * as z from 'zod';
import { brewPartSchema } from './part';
import { recipeUseIds } from './recipe';

/** The water of a batch: what everything dissolves in, and what tops it up. */
export const waterPlanSchema = z.strictObject({
  firstMl: z.number().min(0),
  /** How warm the first water starts; null for one that is brought to the boil. */
  firstC: z.number().nullable(),
  /** Hot and cold water that make the first; null where they cannot. */
  hotMl: z.number().min(0).nullable(),
  coldMl: z.number().min(0).nullable(),
  /** Water that goes in last, up to the mark. */
  lastMl: z.number().min(0),
  lastC: z.number(),
});

export type WaterPlan = z.infer<typeof waterPlanSchema>;

/** A batch as it was laid out: what is to be weighed, in how much water, for which temperature. */
export const batchSchema = z.strictObject({
  recipeName: z.string().min(1).max(120),
  use: z.enum(recipeUseIds),
  volumeMl: z.number().positive(),
  targetC: z.number(),
  /** Temperature of the room it stands in, °C. */
  roomC: z.number(),
  parts: z.array(brewPartSchema).max(12),
  water: waterPlanSchema,
  /** Smallest steps of scale and cylinder when it was laid out. */
  scaleStepG: z.number().positive(),
  cylinderStepMl: z.number().positive(),
});

export type Batch = z.infer<typeof batchSchema>;
