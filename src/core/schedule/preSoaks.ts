import * as z from 'zod';

/** A bath before the developer. */
export const preSoakSchema = z.object({
  name: z.string(),
  baths: z.array(z.object({ name: z.string(), instruction: z.string(), durationS: z.number().positive() })),
});

/** Pre-soaks. Source: common practice, no source. */
export const preSoaks = {
  none: { name: 'None', baths: [] },
  'one-minute': {
    name: 'Water, 1 min',
    baths: [{ name: 'Pre-soak', instruction: 'Fill with water at working temperature', durationS: 60 }],
  },
  'six-minutes': {
    name: 'Water, 6 min',
    baths: [{ name: 'Pre-soak', instruction: 'Fill with water at working temperature', durationS: 360 }],
  },
  'rem-jet': {
    name: 'Alkaline, for a black backing',
    baths: [
      // Common practice: a spoon of washing soda a litre; the figure is our estimate.
      {
        name: 'Alkaline pre-bath',
        instruction: 'Water with 20 g/l washing soda: shake hard until the minute is over',
        durationS: 60,
      },
      { name: 'Rinse until clear', instruction: 'Fill, shake, pour out, until the water runs clear', durationS: 120 },
    ],
  },
} as const satisfies Record<string, z.infer<typeof preSoakSchema>>;

export type PreSoakId = keyof typeof preSoaks;
export const preSoakIds = Object.keys(preSoaks) as [PreSoakId, ...PreSoakId[]];
