import * as z from 'zod';

const burstSchema = z.object({
  lengthS: z.number().positive(),
  /** Inversions or twirls within the burst; null for “keep moving”. */
  turns: z.number().int().positive().nullable(),
});

/** A way of agitating: how fast it makes development, and when the hands move. */
export const agitationSchoolSchema = z.object({
  name: z.string(),
  rateFactor: z.number().positive(),
  /** Spread of ln(rate factor). */
  rateLnSd: z.number().nonnegative(),
  pattern: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('continuous') }),
    z.object({
      kind: z.literal('bursts'),
      /** Movement at the very start. */
      first: burstSchema.nullable(),
      /** Movement that comes back every so many seconds, at the start or the end of each period. */
      every: burstSchema.extend({ periodS: z.number().positive(), placement: z.enum(['start', 'end']) }).nullable(),
      /** One wake-up at half time. */
      halfTime: burstSchema.nullable(),
    }),
  ]),
  /** What the hands do, in the imperative. */
  gesture: z.string(),
});

export type AgitationSchool = z.infer<typeof agitationSchoolSchema>;

type Burst = z.infer<typeof burstSchema>;
const burst = (lengthS: number, turns: number | null = null): Burst => ({ lengthS, turns });

function bursts(
  name: string,
  rateFactor: number,
  rateLnSd: number,
  first: Burst | null,
  every: [periodS: number, placement: 'start' | 'end', burst: Burst] | null,
  gesture = 'Turn the tank over',
  halfTime: Burst | null = null,
): AgitationSchool {
  const repeat = every === null ? null : { periodS: every[0], placement: every[1], ...every[2] };
  return { name, rateFactor, rateLnSd, pattern: { kind: 'bursts', first, every: repeat, halfTime }, gesture };
}

/** Spread of ln(rate) between hands that follow the same school. Source: our estimate. */
const HANDS_LN_SD = 0.03;

/**
 * Agitation schools. Patterns: common practice, no source. Rate factors: our estimate.
 * The time that a few inversions take (about 2.5 s each) is our estimate.
 */
export const agitationSchools = {
  'ten-each-minute': bursts('First 30 s, then 10 s each minute', 1, HANDS_LN_SD, burst(30), [60, 'start', burst(10)]),
  'last-ten-each-minute': bursts('First 30 s, then the last 10 s of each minute', 1, HANDS_LN_SD, burst(30), [
    60,
    'end',
    burst(10),
  ]),
  'four-each-minute': bursts('4 inversions at the top of each minute', 1, HANDS_LN_SD, burst(10, 4), [
    60,
    'start',
    burst(10, 4),
  ]),
  'ten-then-three': bursts('First minute 10 inversions, then 3 a minute', 1, HANDS_LN_SD, burst(25, 10), [
    60,
    'start',
    burst(8, 3),
  ]),
  'minute-then-four': bursts('Whole first minute, then 4 a minute', 1, HANDS_LN_SD, burst(60), [
    60,
    'start',
    burst(10, 4),
  ]),
  'five-each-half-minute': bursts('5 inversions every 30 s', 1.06, HANDS_LN_SD, burst(12, 5), [
    30,
    'start',
    burst(12, 5),
  ]),
  'five-seconds-each-half-minute': bursts('5 s every 30 s, none at the start', 1.06, HANDS_LN_SD, null, [
    30,
    'start',
    burst(5),
  ]),
  twirl: bursts(
    'Spindle twirl each minute',
    0.97,
    HANDS_LN_SD,
    burst(30),
    [60, 'start', burst(10)],
    'Twirl the spindle',
  ),
  'every-three-minutes': bursts('First 30 s, then 10 s every 3 minutes', 0.85, 0.08, burst(30), [
    180,
    'start',
    burst(10),
  ]),
  continuous: {
    name: 'Continuous rotation',
    rateFactor: 1.18,
    rateLnSd: HANDS_LN_SD,
    pattern: { kind: 'continuous' },
    gesture: 'Keep it turning',
  },
  gentle: bursts(
    'Gentle only: 2 slow inversions each minute',
    0.95,
    0.05,
    burst(10, 2),
    [60, 'start', burst(6, 2)],
    'Turn the tank over slowly',
  ),
  stand: bursts('Stand, one wake-up at half time', 0.36, 0.28, burst(30), null, 'Turn the tank over gently', burst(10)),
} as const satisfies Record<string, AgitationSchool>;

export type AgitationSchoolId = keyof typeof agitationSchools;
export const agitationSchoolIds = Object.keys(agitationSchools) as [AgitationSchoolId, ...AgitationSchoolId[]];
