import * as z from 'zod';

/** A way of keeping film: a mean temperature, what is not known about it, and whether it was humid. */
export const storagePresetSchema = z.object({
  name: z.string(),
  temperatureC: z.number(),
  /** Standard deviation of the mean temperature, °C. */
  temperatureSdC: z.number().nonnegative(),
  humid: z.boolean(),
});

export type StoragePreset = z.infer<typeof storagePresetSchema>;
