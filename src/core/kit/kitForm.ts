import * as z from 'zod';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';
import { typed } from '../schema/typed';
import type { Kit } from './kit';
import { kitSchema } from './kitSchema';

/** The kit as typed: numbers may be half typed. */
export const kitFormSchema = z.object({
  scaleStepG: typed,
  scaleMostG: typed,
  cylinderStepMl: typed,
  thermometerStepC: typed,
  thermometerLowC: typed,
  thermometerHighC: typed,
  spoons: kitSchema.shape.spoons,
  coffeeSpoon: kitSchema.shape.coffeeSpoon,
  scale: kitSchema.shape.scale,
  probe: kitSchema.shape.probe,
  densitometer: kitSchema.shape.densitometer,
  teaspoons: z.record(z.string(), typed).optional(),
});

export type KitForm = z.infer<typeof kitFormSchema>;

/** Reads a kit as typed, or says what is wrong, by field. */
export function readKit(form: KitForm): Result<Kit> {
  const read = kitSchema.safeParse(form);
  return read.success ? success(read.data) : failure(...problemsFromZod(read.error.issues));
}
