import * as z from 'zod';
import { chartSourceIds } from './chartSources';
import { evidenceSchema } from './evidenceSchema';
import { agitationSchoolIds } from '../schedule/agitationSchools';
import { movementSchema } from '../schedule/movement';
import { partsSchema } from '../chemistry/partsSchema';
import { situationShape } from './situationSchema';
import { strategyIds } from './strategyIds';
import { targetSchema } from './targetSchema';
import { oneOf, within } from '../schema/within';

/** Name of the piece that a request's known time makes. */
export const KNOWN_TIME_ID = 'known time';

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
      timeMin: within('Known time', 0.5, 300, 'min'),
      temperatureC: within('Temperature of the known time', 5, 40, '°C'),
      source: oneOf('Source of the known time', chartSourceIds),
      /** The developer that it is for, where that is not the request's: of another class or other agents it is evidence, and no more. */
      developer: situationShape.developer.optional(),
      /** Dilution of the known time, when it differs from the plan's. */
      parts: partsSchema.optional(),
      /** Agitation of the known time; left out, the request’s for an own time and once a minute for any other. */
      agitationId: oneOf('Agitation of the known time', agitationSchoolIds).optional(),
      /** A movement of one's own that it was found with, in place of a school's. */
      movement: movementSchema.optional(),
      /** An own time that was found on film as old as this; else it speaks of fresh film. */
      aged: z.boolean('Aged: give true or false.').optional(),
    })
    .optional(),
  /** What was measured, tried or judged. A piece that leaves parts of its setting out takes them from the request. */
  evidence: z
    .array(evidenceSchema)
    .max(200, 'Evidence: give 200 pieces at most.')
    .superRefine((pieces, context) => {
      const seen = new Set<string>([KNOWN_TIME_ID]);
      pieces.forEach(({ id }, index) => {
        if (seen.has(id))
          context.addIssue({
            code: 'custom',
            path: [index, 'id'],
            message: `Evidence: the id “${id}” is taken. Give each piece its own.`,
          });
        seen.add(id);
      });
    })
    .default([]),
});

export type EstimateRequest = z.infer<typeof estimateRequestSchema>;

/** What a caller may leave out: defaults fill in the rest. */
export type EstimateRequestInput = z.input<typeof estimateRequestSchema>;

let fields: string[] | null = null;

/** Every field that a request may have, at any depth: for proposals where one is misspelt. */
export function requestFields(): readonly string[] {
  fields ??= [...new Set(namesIn(z.toJSONSchema(estimateRequestSchema, { io: 'input' })))];
  return fields;
}

/** Names of properties in a JSON schema, at any depth. */
function namesIn(schema: unknown): string[] {
  if (typeof schema !== 'object' || schema === null) return [];
  return Object.entries(schema).flatMap(([key, value]) => [
    ...(key === 'properties' && typeof value === 'object' && value !== null ? Object.keys(value) : []),
    ...namesIn(value),
  ]);
}
