import * as z from 'zod';
import { cautionNoteSchema } from '../safety/cautionNote';
import { ledgerRowIds } from './parameters';

const rangeSchema = z.object({ value: z.number(), low: z.number(), high: z.number() });

/** A value with its 80 % range. */
export type Range = z.infer<typeof rangeSchema>;

export const ledgerRowSchema = z.object({
  id: z.enum(ledgerRowIds),
  /** Factor on the time; null for the first row, which is a time. */
  ratio: z.number().nullable(),
  /** Running time after this row, min. */
  timeMin: z.number(),
  /** Share of the variance of ln(time) that this row brings; all rows add up to 1. */
  varianceShare: z.number(),
  source: z.enum(['published', 'practice', 'estimate', 'user']),
});

export type LedgerRow = z.infer<typeof ledgerRowSchema>;

/** What the estimator answers. */
export const estimateSchema = z.object({
  /** Development time, min. */
  timeMin: z.number(),
  /** 80 % band of the time, min. */
  band: z.object({ lowMin: z.number(), highMin: z.number(), coverage: z.literal(0.8) }),
  /** How much wider the band is drawn than the model gives it, because this bench's last bands did not hold; 1 as a rule. */
  widening: z.number(),
  /** Standard deviation of ln(time). */
  lnSd: z.number(),
  ledger: z.array(ledgerRowSchema),
  /** Time of the base row before any evidence, min. */
  familyTimeMin: z.number(),
  /** pH of an improvised brew at 25 °C; null for a bought one. */
  ph: z.number().nullable(),
  /** Time for the same film when fresh, min: what Hold gives. */
  freshTimeMin: z.number(),
  gradient: z.object({
    target: z.number(),
    /** False when the target is at or above 0.97 of the largest gradient; the time is then for the best reachable one. */
    reachable: z.boolean(),
    bestReachable: z.number(),
    /** Gradient net of fog at the time. */
    net: z.number(),
    /** Whether the net gradient meets the target. */
    met: z.boolean(),
    /** Whether the cap on Extend decided the time. */
    capped: z.boolean(),
  }),
  /** Base + fog at the time, D. */
  baseFogD: rangeSchema,
  /** Speed that the image has lost to age and fading, stops. */
  imageLossStops: rangeSchema,
  /** Index to expose unexposed film at, ISO arithmetic. */
  exposureIndex: rangeSchema,
  effectiveAge: rangeSchema,
  /** Pieces of evidence more than three standard deviations from what everything else says, and what is left of their weight. */
  conflicts: z.array(
    z.object({
      pieceId: z.string(),
      measure: z.enum(['chart', 'drop', 'gradient', 'fog', 'contrast', 'speed']),
      distanceSd: z.number(),
      above: z.boolean(),
      weight: z.number(),
    }),
  ),
  /** Whether the evidence could be fitted to the end; else the time is the best that was found. */
  converged: z.boolean(),
  /** Whether a picture is to be expected at all, and why not. */
  outlook: z.enum(['usable', 'little-contrast', 'no-shadows']),
  cautions: z.array(cautionNoteSchema),
});

export type Estimate = z.infer<typeof estimateSchema>;
