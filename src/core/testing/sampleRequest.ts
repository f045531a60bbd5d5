import { completeRequest } from '../estimate/estimate';
import type { EstimateRequest, EstimateRequestInput } from '../estimate/request';

/** Fresh fast film in the standard coffee brew at 20 °C: what tests start from. */
export const coffeeRequest: EstimateRequestInput = {
  film: { familyId: 'pan-cubic-fast', iso: 400 },
  developer: {
    kind: 'improvised',
    agents: [{ agentId: 'instant-coffee', amountPerL: 40 }],
    ascorbicGPerL: 16,
    sodaGPerL: 54,
  },
  temperatureC: 20,
  agitationId: 'ten-each-minute',
};

/** A complete request that differs from fresh film in coffee by the parts given. */
export function sampleRequest(part: Partial<EstimateRequestInput> = {}): EstimateRequest {
  return completeRequest({ ...coffeeRequest, ...part });
}

/** Storage of so many years in a room. */
export function roomYears(years: number): NonNullable<EstimateRequestInput['age']> {
  return { storage: [{ years, temperatureC: 21, temperatureSdC: 0, humid: false }] };
}
