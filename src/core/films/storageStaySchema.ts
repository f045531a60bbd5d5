import * as z from 'zod';
import { storagePresetIds } from './storagePresets';

/** A stay as a user gives it: a preset, whose numbers may be changed, until a year. */
export const storageStaySchema = z.strictObject({
  placeId: z.enum(storagePresetIds),
  temperatureC: z
    .number('Temperature: give a number from −40 to 60 °C.')
    .min(-40, 'Temperature: give −40 °C or more.')
    .max(60, 'Temperature: give 60 °C or less.'),
  temperatureSdC: z.number().min(0).max(20),
  humid: z.boolean(),
  untilYear: z.number().int().min(1880).max(2200).nullable(),
});

export type RollStay = z.infer<typeof storageStaySchema>;
