import { describe, expect, test } from 'vitest';
import { sampleRequest } from '../testing/sampleRequest';
import type { EstimateRequestInput } from './request';
import { estimate } from './estimate';

/**
 * Times that practitioners use for fresh film. Source: common practice, no source; so each is only asked to lie
 * inside the 80 % prior band of its class.
 */
const bands: [what: string, minutes: number[], request: Partial<EstimateRequestInput>][] = [
  ['coffee 54/16/40 at 20 °C, medium film', [12, 13, 15], { film: { familyId: 'pan-cubic-medium', iso: 125 } }],
  ['coffee 54/16/40 at 20 °C, fast film', [12, 13, 15], {}],
  ['coffee 54/16/40 at 20 °C, slow film', [12, 13, 14], { film: { familyId: 'pan-cubic-slow', iso: 50 } }],
  ['second film in 500 ml of coffee', [15], { wear: { films: 1, volumeMl: 500 } }],
  [
    'very dilute p-aminophenol, stand',
    [60],
    {
      developer: { kind: 'concentrate', familyId: 'p-aminophenol', parts: { concentrate: 1, water: 100 } },
      agitationId: 'stand',
      film: { familyId: 'pan-cubic-medium', iso: 125 },
    },
  ],
  [
    'syrup 15 ml + 485 ml, fast film',
    [5, 6, 7],
    { developer: { kind: 'concentrate', familyId: 'hydroquinone-syrup', parts: { concentrate: 15, water: 485 } } },
  ],
  [
    'syrup 9 ml + 291 ml, medium film',
    [5, 6, 7],
    {
      developer: { kind: 'concentrate', familyId: 'hydroquinone-syrup', parts: { concentrate: 9, water: 291 } },
      film: { familyId: 'pan-cubic-medium', iso: 125 },
    },
  ],
  ['one-bath at 22 °C, gentle', [6], { developer: { kind: 'one-bath' }, temperatureC: 22, agitationId: 'gentle' }],
  [
    'one-bath at 24 °C, continuous',
    [4],
    { developer: { kind: 'one-bath' }, temperatureC: 24, agitationId: 'continuous' },
  ],
];

describe('common practice lies inside the prior band', () => {
  for (const [what, minutes, request] of bands) {
    test.each(minutes)(`${what}: %d min`, (time) => {
      const { band } = estimate(sampleRequest(request));
      expect(time).toBeGreaterThan(band.lowMin);
      expect(time).toBeLessThan(band.highMin);
    });
  }
});
