import { readyBaths, type Bath } from './baths';

/** A way of soaking before the developer. */
export interface PreSoak {
  name: string;
  baths: readonly Bath[];
}

const water = (minutes: number): PreSoak => ({
  name: `Water, ${minutes} min`,
  baths: [{ ...readyBaths['water-soak'], length: { kind: 'time', seconds: minutes * 60 } }],
});

/** Pre-soaks. Source: common practice, no source; the soda of the alkaline one is our estimate. */
export const preSoaks = {
  none: { name: 'None', baths: [] },
  'one-minute': water(1),
  'two-minutes': water(2),
  'six-minutes': water(6),
  'rem-jet': {
    name: 'Alkaline, for a black backing',
    baths: [readyBaths['alkaline-soak'], readyBaths['soak-until-clear']],
  },
} as const satisfies Record<string, PreSoak>;

export type PreSoakId = keyof typeof preSoaks;
export const preSoakIds = Object.keys(preSoaks) as [PreSoakId, ...PreSoakId[]];
