import * as z from 'zod';

export const wettingBathSchema = z.object({
  name: z.string(),
  instruction: z.string(),
  durationS: z.number().nonnegative(),
});

/** Last baths. Source: common practice, no source. */
export const wettingBaths = {
  agent: {
    name: 'Wetting agent in distilled water',
    instruction: 'Let it stand, then lift the reel out without foam',
    durationS: 60,
  },
  soap: {
    name: 'A drop of dish soap',
    instruction: 'Let it stand, then lift the reel out without foam',
    durationS: 60,
  },
  none: { name: 'None', instruction: '', durationS: 0 },
} as const satisfies Record<string, z.infer<typeof wettingBathSchema>>;

export type WettingBathId = keyof typeof wettingBaths;
export const wettingBathIds = Object.keys(wettingBaths) as [WettingBathId, ...WettingBathId[]];
