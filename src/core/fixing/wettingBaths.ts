import { readyBaths, type Bath } from '../schedule/baths';

/** Last baths. Source: common practice, no source. */
export const wettingBaths = {
  agent: { name: 'Wetting agent in distilled water', baths: [readyBaths.wetting] },
  soap: { name: 'A drop of dish soap', baths: [{ ...readyBaths.wetting, liquid: 'soap' }] },
  none: { name: 'None', baths: [] },
} as const satisfies Record<string, { name: string; baths: readonly Bath[] }>;

export type WettingBathId = keyof typeof wettingBaths;
export const wettingBathIds = Object.keys(wettingBaths) as [WettingBathId, ...WettingBathId[]];
