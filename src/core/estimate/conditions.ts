import { BREW_HALF_LIFE_H, brewUseRate } from '../chemistry/brewWear';
import { WORKING_HALF_LIFE_H, concentrateUseRate, isOneShot } from '../chemistry/concentrateWear';
import { coffeeEquivalent, coffeeEquivalentLnSd } from '../chemistry/coffeeEquivalent';
import { COFFEE_TIME_FACTOR, IMPROVISED_Q10, developerFamilies } from '../chemistry/developerFamilies';
import type { Parts } from '../chemistry/dilution';
import type { ImprovisedStrength } from '../chemistry/improvisedStrength';
import { REFERENCE_BREW_PH, brewPh } from '../chemistry/ph/brewPh';
import { radiationFog } from '../films/ageFog';
import { ageDistribution } from '../films/ageDistribution';
import { effectiveAge } from '../films/effectiveAge';
import { stockFamilies } from '../films/stockFamilies';
import type { StockFamily } from '../films/stockFamilySchema';
import { xrayFog } from '../films/xrayFog';
import {
  ONE_BATH_COMPLETION,
  ONE_BATH_MIN_PER_FILM_AND_LITRE,
  ONE_BATH_Q10,
  ONE_BATH_TIMES,
  ONE_BATH_TIME_LN_SD,
  oneBathTime,
  roundUpOneBath,
} from '../kinetics/oneBath';
import { BASE_GRADIENT, targetGradient } from '../kinetics/targets';
import { agitationSchools, rateOfMovement } from '../schedule/agitationSchools';
import { tankTimeConstant, type Drift } from '../thermal/drift';
import type { SituationInput } from './situationSchema';
import type { EstimateRequest } from './request';
import type { StrategyId } from './strategyIds';

/**
 * Prior spreads of ln(time), in three parts that add up in squares to the spread of a family's time, 0.25: what the stock
 * brings in every developer, what the developer brings to every stock, and what only the pair shows. Source: our estimate.
 */
const STOCK_LN_SD = 0.16;
const DEVELOPER_LN_SD = 0.16;
const PAIR_LN_SD = Math.sqrt(0.25 ** 2 - STOCK_LN_SD ** 2 - DEVELOPER_LN_SD ** 2);

/** The same for organic brews other than coffee, which add up to 0.60. Source: our estimate. */
const ORGANIC_LN_SD = Math.sqrt(0.6 ** 2 - STOCK_LN_SD ** 2 - PAIR_LN_SD ** 2);

/** Spread of ln(rate) between two mixings of one recipe. Source: our estimate. */
const MIXING_LN_SD = { improvised: 0.06, concentrate: 0.03, 'one-bath': 0.03, other: 0.1 } as const;

/** Where a number comes from; every ledger row carries one. */
export type SourceMark = 'published' | 'practice' | 'estimate' | 'user';

/** A setting with every table looked up: the plain numbers that the model works on. */
export interface Conditions {
  film: StockFamily;
  iso: number;
  baseTimeMin: number;
  lnSd: { stock: number; developer: number; pair: number; mixing: number };
  baseTemperatureC: number;
  baseGradient: number;
  /** Null for an improvised brew and a one-bath. */
  dilution: { parts: Parts; reference: Parts; exponent: number } | null;
  /** Null for a bought developer. */
  strength: (ImprovisedStrength & { potencyLnSd: number; phShift: number }) | null;
  /** Null unless it is a one-bath: its own time at this temperature and use. */
  oneBath: { freshTimeMin: number; usedTimeMin: number } | null;
  q10: number;
  bromideGPerL: number;
  wear: { ageH: number; films: number; volumeMl: number };
  /** How the developer fades and tires; null for one that does neither. */
  wears: Wears | null;
  temperatureC: number;
  /** Null for a bath that holds its temperature. */
  drift: Drift | null;
  agitation: { rateFactor: number; lnSd: number };
  /** Effective age at a standard normal position of its distribution, room-years. */
  ageAt: (position: number) => number;
  /** Its median, room-years. */
  ageRoomYears: number;
  /** Whether the film is aged at all, and whether its age is in doubt. */
  aged: boolean;
  ageInDoubt: boolean;
  /** Whether the roll came in a box with others. */
  inLot: boolean;
  /** Whether it was done on somebody else’s bench. */
  elsewhere: boolean;
  latentRoomYears: number;
  radiationD: number;
}

/** How a developer loses strength. */
export interface Wears {
  /** Hours in which it halves by standing; null for one that keeps. */
  halfLifeH: number | null;
  /** Rate that is left after the films that have been through it. */
  useRate: number;
}

/** What is wanted of a setting. */
export interface Wanted {
  strategy: { id: StrategyId; liftCap: boolean };
  targetGradient: number;
  /** Whether a time is known for this film in this developer: the usual limits of a stand do not override it. */
  timeIsKnown: boolean;
}

/**
 * Looks up the tables for a setting.
 * @param setting a valid setting
 * @returns the numbers that the model works on
 */
export function resolveConditions(setting: SituationInput): Conditions {
  const film = { ...stockFamilies[setting.film.familyId], ...setting.film.own };
  const { developer } = setting;
  const school =
    setting.movement === undefined ? agitationSchools[setting.agitationId] : rateOfMovement(setting.movement);
  const age = ageDistribution(setting.age);
  return {
    film: developer.kind === 'one-bath' ? { ...film, maximumGradient: BASE_GRADIENT / ONE_BATH_COMPLETION } : film,
    iso: setting.film.iso,
    ...developerConditions(setting, film),
    baseGradient: BASE_GRADIENT,
    bromideGPerL: setting.bromideGPerL,
    wear: setting.wear,
    wears: wearsOf(developer, setting.wear),
    temperatureC: setting.temperatureC,
    drift:
      setting.ambientC === undefined
        ? null
        : {
            startC: setting.temperatureC,
            ambientC: setting.ambientC,
            timeConstantMin: tankTimeConstant(setting.tankMl ?? setting.wear.volumeMl),
          },
    agitation: { rateFactor: developer.kind === 'one-bath' ? 1 : school.rateFactor, lnSd: school.rateLnSd },
    ageAt: age.at,
    ageRoomYears: age.medianRoomYears,
    aged: age.at(3) > 0,
    ageInDoubt: age.inDoubt,
    inLot: setting.lotId !== undefined,
    elsewhere: setting.benchId !== undefined,
    latentRoomYears: effectiveAge(setting.age.sinceExposure),
    radiationD: radiationFog(setting.film.iso, age.calendarYears) + xrayFog(setting.film.iso, setting.age.xrayPasses),
  };
}

function wearsOf(developer: SituationInput['developer'], { films, volumeMl }: SituationInput['wear']): Wears | null {
  switch (developer.kind) {
    case 'improvised':
      return { halfLifeH: BREW_HALF_LIFE_H, useRate: brewUseRate(films, volumeMl) };
    case 'concentrate':
      return {
        halfLifeH: isOneShot(developer) ? WORKING_HALF_LIFE_H : null,
        useRate: concentrateUseRate(developer, films, volumeMl),
      };
    default:
      return null;
  }
}

/** What a request wants: a one-bath runs to its own end, whatever the target. */
export function resolveWanted(
  request: Pick<EstimateRequest, 'developer' | 'strategy' | 'target' | 'knownTime'>,
  timeIsKnown: boolean,
): Wanted {
  const oneBath = request.developer.kind === 'one-bath';
  // A time that was found on film as old as this has won back already what it could.
  const foundOnOld = request.knownTime?.aged === true && timeIsKnown;
  return {
    strategy:
      oneBath || (foundOnOld && request.strategy.id === 'extend') ? { id: 'hold', liftCap: false } : request.strategy,
    timeIsKnown,
    targetGradient: oneBath ? BASE_GRADIENT : targetGradient(request.target.purpose, request.target.pushStops),
  };
}

/** Spread of ln(time) of a developer of which nothing is known. Source: our estimate: a factor of four either way. */
const OTHER_LN_SD = 1.4;

type DeveloperConditions = Pick<
  Conditions,
  'baseTimeMin' | 'lnSd' | 'baseTemperatureC' | 'dilution' | 'strength' | 'oneBath' | 'q10'
>;

function developerConditions(
  { developer, temperatureC, wear, mixingLnSd }: SituationInput,
  film: StockFamily,
): DeveloperConditions {
  const spreads = {
    stock: Math.hypot(STOCK_LN_SD, film.doubt.timeLnSd),
    developer: DEVELOPER_LN_SD,
    pair: PAIR_LN_SD,
    mixing: mixingLnSd ?? MIXING_LN_SD[developer.kind],
  };
  const none = { dilution: null, strength: null, oneBath: null };
  switch (developer.kind) {
    case 'concentrate': {
      const { timeFactor, referenceParts, dilutionExponent, q10 } = developerFamilies[developer.familyId];
      return {
        ...none,
        baseTimeMin: film.referenceTimeMin * timeFactor,
        lnSd: spreads,
        baseTemperatureC: 20,
        dilution: { parts: developer.parts, reference: referenceParts, exponent: dilutionExponent },
        q10,
      };
    }
    case 'improvised': {
      const onlyCoffee = developer.agents.every(
        (agent) => agent.agentId === 'instant-coffee' || agent.amountPerL === 0,
      );
      return {
        ...none,
        baseTimeMin: film.referenceTimeMin * COFFEE_TIME_FACTOR,
        lnSd: { ...spreads, developer: onlyCoffee ? DEVELOPER_LN_SD : ORGANIC_LN_SD },
        baseTemperatureC: 20,
        strength: {
          coffeeEquivalentGPerL: coffeeEquivalent(developer.agents),
          ascorbicGPerL: developer.ascorbicGPerL,
          potencyLnSd: coffeeEquivalentLnSd(developer.agents),
          phShift: brewPh(developer) - REFERENCE_BREW_PH,
        },
        q10: IMPROVISED_Q10,
      };
    }
    case 'other':
      // As coffee does it, and hardly more than a guess: verdicts in the same developer take it over.
      return {
        ...none,
        baseTimeMin: film.referenceTimeMin * COFFEE_TIME_FACTOR,
        lnSd: { ...spreads, developer: OTHER_LN_SD },
        baseTemperatureC: 20,
        q10: IMPROVISED_Q10,
      };
    case 'one-bath': {
      const exactMin = oneBathTime(temperatureC);
      return {
        ...none,
        baseTimeMin: ONE_BATH_TIMES[0].timeMin,
        lnSd: { ...spreads, stock: 0, developer: ONE_BATH_TIME_LN_SD, pair: 0 },
        baseTemperatureC: ONE_BATH_TIMES[0].temperatureC,
        oneBath: {
          freshTimeMin: roundUpOneBath(exactMin),
          usedTimeMin: roundUpOneBath(exactMin + ONE_BATH_MIN_PER_FILM_AND_LITRE * wear.films * (1000 / wear.volumeMl)),
        },
        q10: ONE_BATH_Q10,
      };
    }
  }
}
