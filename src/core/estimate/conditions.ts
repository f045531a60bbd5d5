import { coffeeEquivalent, coffeeEquivalentLnSd } from '../chemistry/coffeeEquivalent';
import { COFFEE_TIME_FACTOR, IMPROVISED_Q10, developerFamilies } from '../chemistry/developerFamilies';
import { REFERENCE_COFFEE_BREW, SODA_LN_SD_PER_LN, type ImprovisedStrength } from '../chemistry/improvisedStrength';
import type { Parts } from '../chemistry/dilution';
import { radiationFog } from '../films/ageFog';
import { effectiveAge, effectiveAgeLnSd } from '../films/effectiveAge';
import { ageRoll } from '../films/rollDating';
import { stockFamilies } from '../films/stockFamilies';
import type { StockFamily } from '../films/stockFamilySchema';
import { xrayFog } from '../films/xrayFog';
import { BASE_GRADIENT, targetGradient } from '../kinetics/targets';
import { agitationSchools } from '../schedule/agitationSchools';
import type { EstimateRequest } from './request';

/** Prior spread of ln(time) by where the base time comes from. Source: our estimate. */
const BASE_TIME_LN_SD = { family: 0.25, organic: 0.6, leaflet: 0.12, somebody: 0.2, own: 0.07 } as const;

/** Where a number comes from; every ledger row carries one. */
export type SourceMark = 'published' | 'practice' | 'estimate' | 'user';

/** The request with every table looked up: the plain numbers that the model works on. */
export interface Conditions {
  film: StockFamily;
  iso: number;
  baseTimeMin: number;
  baseTimeLnSd: number;
  baseSource: SourceMark;
  baseTemperatureC: number;
  baseGradient: number;
  /** Null for an improvised brew. */
  dilution: { parts: Parts; reference: Parts; exponent: number } | null;
  /** Null for a bought developer, and for a brew whose own time is known. */
  strength: (ImprovisedStrength & { potencyLnSd: number; sodaLnSd: number }) | null;
  q10: number;
  bromideGPerL: number;
  wear: { ageH: number; films: number; volumeMl: number };
  /** Whether the brew fades and tires like an organic brew. */
  wears: boolean;
  temperatureC: number;
  agitation: { rateFactor: number; lnSd: number };
  ageRoomYears: number;
  ageLnSd: number;
  latentRoomYears: number;
  radiationD: number;
  strategy: { id: 'hold' | 'extend'; liftCap: boolean };
  targetGradient: number;
}

/**
 * Looks up the tables for a request.
 * @param request a valid request
 * @returns the numbers that the model works on
 */
export function resolveConditions(request: EstimateRequest): Conditions {
  const film = { ...stockFamilies[request.film.familyId], ...request.film.own };
  const { developer, knownTime } = request;
  const school = agitationSchools[request.agitationId];
  const ageing = resolveAge(request.age);
  return {
    film,
    iso: request.film.iso,
    ...baseTime(request, film),
    baseTemperatureC: knownTime?.temperatureC ?? 20,
    baseGradient: BASE_GRADIENT,
    dilution:
      developer.kind === 'concentrate'
        ? {
            parts: developer.parts,
            reference: knownTime === undefined ? developerFamilies[developer.familyId].referenceParts : (knownTime.parts ?? developer.parts),
            exponent: developerFamilies[developer.familyId].dilutionExponent,
          }
        : null,
    strength:
      developer.kind === 'improvised' && knownTime === undefined
        ? {
            coffeeEquivalentGPerL: coffeeEquivalent(developer.agents),
            ascorbicGPerL: developer.ascorbicGPerL,
            potencyLnSd: coffeeEquivalentLnSd(developer.agents),
            sodaLnSd: SODA_LN_SD_PER_LN * Math.abs(Math.log(developer.sodaGPerL / REFERENCE_COFFEE_BREW.sodaGPerL)),
          }
        : null,
    q10: developer.kind === 'concentrate' ? developerFamilies[developer.familyId].q10 : IMPROVISED_Q10,
    bromideGPerL: request.bromideGPerL,
    wear: request.wear,
    wears: developer.kind === 'improvised',
    temperatureC: request.temperatureC,
    agitation: { rateFactor: school.rateFactor, lnSd: school.rateLnSd },
    ageRoomYears: ageing.roomYears,
    ageLnSd: ageing.lnSd,
    latentRoomYears: effectiveAge(request.age.sinceExposure),
    radiationD: radiationFog(request.film.iso, ageing.calendarYears) + xrayFog(request.film.iso, request.age.xrayPasses),
    strategy: request.strategy,
    targetGradient: targetGradient(request.target.purpose, request.target.pushStops),
  };
}

/** Age from a distribution of years where there is one, else from plain stretches of storage. */
function resolveAge(age: EstimateRequest['age']): { roomYears: number; lnSd: number; calendarYears: number } {
  if (age.dated !== undefined) {
    const { years, roomYears, roomYearsLnSd } = ageRoll(age.dated.made, age.dated.stays, age.dated.nowYear);
    return { roomYears, lnSd: roomYearsLnSd, calendarYears: years };
  }
  return {
    roomYears: effectiveAge(age.storage),
    lnSd: effectiveAgeLnSd(age.storage, age.yearsSd),
    calendarYears: age.storage.reduce((sum, segment) => sum + segment.years, 0),
  };
}

function baseTime(request: EstimateRequest, film: StockFamily): Pick<Conditions, 'baseTimeMin' | 'baseTimeLnSd' | 'baseSource'> {
  const { developer, knownTime } = request;
  if (knownTime !== undefined) {
    return { baseTimeMin: knownTime.timeMin, baseTimeLnSd: BASE_TIME_LN_SD[knownTime.source], baseSource: 'user' };
  }
  if (developer.kind === 'concentrate') {
    return {
      baseTimeMin: film.referenceTimeMin * developerFamilies[developer.familyId].timeFactor,
      baseTimeLnSd: BASE_TIME_LN_SD.family,
      baseSource: 'estimate',
    };
  }
  const onlyCoffee = developer.agents.every((agent) => agent.agentId === 'instant-coffee' || agent.amountPerL === 0);
  return {
    baseTimeMin: film.referenceTimeMin * COFFEE_TIME_FACTOR,
    baseTimeLnSd: onlyCoffee ? BASE_TIME_LN_SD.family : BASE_TIME_LN_SD.organic,
    baseSource: 'estimate',
  };
}
