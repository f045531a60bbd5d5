import * as z from 'zod';
import { within } from '../schema/within';
import { coffeeSpoonIds, instrumentIds, spoonSetIds } from './kit';

/** The user's measuring things, with what they can show. */
export const kitSchema = z.strictObject({
  scaleStepG: within('Step of the scale', 0.001, 100, 'g'),
  scaleMostG: within('Most that the scale takes', 1, 100000, 'g'),
  cylinderStepMl: within('Step of the cylinder', 0.01, 500, 'ml'),
  thermometerStepC: within('Step of the thermometer', 0.01, 10, '°C'),
  thermometerLowC: within('Lowest that the thermometer reads', -50, 60, '°C'),
  thermometerHighC: within('Highest that the thermometer reads', 0, 300, '°C'),
  spoons: z.enum(spoonSetIds, 'Spoons: choose a set.'),
  coffeeSpoon: z.enum(coffeeSpoonIds, 'Spoon of coffee: choose how it is filled.').optional(),
  scale: z.enum(instrumentIds, 'Scale: choose where its readings come from.'),
  probe: z.enum(instrumentIds, 'Thermometer: choose where its readings come from.'),
  teaspoons: z
    .record(z.string().max(40), within('A level teaspoon of yours', 0.1, 40, 'g'))
    .refine((found) => Object.keys(found).length <= 60, 'Teaspoons: sixty substances at the most.')
    .optional(),
  densitometer: z.enum(instrumentIds, 'Densitometer: choose where its readings come from.').optional(),
});
