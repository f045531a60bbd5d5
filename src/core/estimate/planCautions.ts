import type { EstimateRequest } from './request';
import { stockFamilies } from '../films/stockFamilies';
import type { CautionNote } from '../safety/cautionNote';
import { cautionsFor } from '../safety/cautions';

/**
 * The cautions that follow from an estimate alone, at the places where it is chosen.
 * @param facts the request and what the model made of it
 * @returns cautions for choosing
 */
export function planCautions(facts: {
  request: EstimateRequest;
  ageRoomYears: number;
  ageFogD: number;
  timeMin: number;
}): CautionNote[] {
  const { request, ageRoomYears, ageFogD, timeMin } = facts;
  return cautionsFor(
    {
      temperatureC: request.temperatureC,
      ageRoomYears,
      ageFogD,
      timeMin,
      remJet: stockFamilies[request.film.familyId].remJet,
    },
    'choose',
  );
}
