import * as z from 'zod';
import { chartSourceIds } from './chartSources';
import { evidenceSchema } from './evidenceSchema';
import { partsSchema } from '../chemistry/partsSchema';
import { situationShape } from './situationSchema';
import { strategyIds } from './strategyIds';
import { targetSchema } from './targetSchema';
import { oneOf, within } from '../schema/within';

/** What is known of the exposures; it decides which strategy is recommended. */
export const exposureKnowledge = ['known', 'mixed', 'unknown', 'unexposed'] as const;

/** What the estimator is asked. The interface, the worker and the route handler share this schema. */
export const estimateRequestSchema = z.strictObject({
  ...situationShape,
  exposure: oneOf('Exposures', exposureKnowledge).default('known'),
  strategy: z
    .strictObject({
      id: oneOf('Strategy', strategyIds),
      /** Lets Extend go beyond +15 % for each stop lost and +50 % in all. */
      liftCap: z.boolean('Lift the cap: give true or false.').default(false),
    })
    .default({ id: 'hold', liftCap: false }),
  target: targetSchema.default({ purpose: 'scan', pushStops: 0 }),
  /** A time that is known for this film, when fresh, in this developer. It replaces the family value. */
  knownTime: z
    .strictObject({
      timeMin: within('Known time', 0.5, 180, 'min'),
      temperatureC: within('Temperature of the known time', 5, 40, '°C'),
      source: oneOf('Source of the known time', chartSourceIds),
      /** Dilution of the known time, when it differs from the plan's. */
      parts: partsSchema.optional(),
    })
    .optional(),
  /** What was measured, tried or judged. A piece that leaves parts of its setting out takes them from the request. */
  evidence: z.array(evidenceSchema).max(200, 'Evidence: give 200 pieces at most.').default([]),
});

export type EstimateRequest = z.infer<typeof estimateRequestSchema>;

/** What a caller may leave out: defaults fill in the rest. */
export type EstimateRequestInput = z.input<typeof estimateRequestSchema>;
