import { brewAgeRate } from '../chemistry/brewWear';
import { dilutionRate } from '../chemistry/dilution';
import {
  AGENT_EXPONENT,
  ALKALINITY_EXPONENT,
  ASCORBIC_EXPONENT,
  improvisedRate,
} from '../chemistry/improvisedStrength';
import { restrainer } from '../chemistry/restrainer';
import { averageGradient } from '../kinetics/averageGradient';
import { REACHABLE_SHARE, developmentTime } from '../kinetics/developmentTime';
import { fogGrowth, netGradient } from '../kinetics/fogGrowth';
import { ONE_BATH_COMPLETION } from '../kinetics/oneBath';
import { INDUCTION_SHARE, rateConstant } from '../kinetics/rateConstant';
import { temperatureRate } from '../thermal/arrhenius';
import { driftDose, timeForDose, type Drift } from '../thermal/drift';
import { ageFilm, type AgedFilm } from './agedFilm';
import type { Conditions, Wears } from './conditions';
import { agedRateLnSd, parameters, rateOnly, type Deviations, type LedgerRowId, type ParameterId } from './parameters';

export type RateRow = Extract<
  LedgerRowId,
  'dilution' | 'strength' | 'wear' | 'temperature' | 'agitation' | 'bromide' | 'age'
>;

/**
 * How a film develops in time under given conditions, for one draw of the parameters. Every rate factor r makes k → r·k and
 * t0 → t0/r, so that time scales by exactly 1/r. Sources: see each relation that it calls.
 */
export class Development {
  readonly aged: AgedFilm;
  /** Time of the base row, min. */
  readonly baseTimeMin: number;
  /** Gradient that the base time gives to fresh film. */
  readonly baseGradient: number;
  /** Rate factors by row. */
  readonly rates: Record<RateRow, number>;
  readonly ratePerMin: number;
  private readonly inductionMin: number;
  private readonly baseFreshMin: number;
  private readonly shape: number;
  private readonly baseIsothermalMin: number;
  private readonly fogRatePerMin: number;
  /** How far the eye that judged it calls everything too hard, grades. */
  readonly eyeGrades: number;
  /** How far the camera that read it stretches densities, ln. */
  readonly lnCamera: number;
  private readonly drift: Drift | null;
  private readonly q10: number;
  private readonly freshBaseFogD: number;
  private readonly maximumDensityD: number;

  /**
   * @param conditions resolved conditions
   * @param deviations deviations of the parameters from their prior means
   * @param rates rate factors that are known already; only that of age is worked out anew
   */
  constructor(conditions: Conditions, deviations: Deviations, rates?: Record<RateRow, number>) {
    this.aged = ageFilm(conditions, deviations);
    this.baseTimeMin =
      conditions.baseTimeMin * Math.exp(deviations.lnStock + deviations.lnDeveloper + deviations.lnPair);
    const { ageRoomYears } = this.aged;
    this.rates =
      rates === undefined
        ? rateFactors(conditions, deviations, ageRoomYears)
        : { ...rates, age: rateOf.age(conditions, deviations, ageRoomYears) };
    const { dilution, strength, wear, temperature, agitation, bromide, age } = this.rates;
    const rate = dilution * strength * wear * temperature * agitation * bromide * age;
    const largest = this.aged.freshMaximumGradient;
    this.baseGradient =
      conditions.oneBath === null
        ? Math.min(conditions.baseGradient, REACHABLE_SHARE * largest)
        : ONE_BATH_COMPLETION * largest;
    const induction = Math.min(LARGEST_INDUCTION, INDUCTION_SHARE * Math.exp(deviations.lnInduction));
    const base = rateConstant(this.baseTimeMin, this.baseGradient, largest, induction);
    this.ratePerMin = base.ratePerMin * rate;
    this.inductionMin = base.inductionMin / rate;
    this.baseFreshMin = this.baseTimeMin / rate;
    this.shape = Math.exp(deviations.lnShape);
    this.baseIsothermalMin = developmentTime(this.baseGradient, largest, this.ratePerMin, this.inductionMin);
    this.fogRatePerMin = this.ratePerMin * Math.exp(deviations.lnFogPace);
    this.eyeGrades = deviations.eyeGrades;
    this.lnCamera = deviations.lnCamera;
    this.drift = driftOf(conditions, deviations);
    this.q10 = conditions.q10 * Math.exp(deviations.lnQ10);
    this.freshBaseFogD = conditions.film.freshBaseFogD + deviations.freshFogD;
    this.maximumDensityD = conditions.film.maximumDensityD;
  }

  /** Time at which fresh film reaches a gradient, min at the starting temperature. */
  freshTimeAt(gradient: number): number {
    const byLaw = developmentTime(gradient, this.aged.freshMaximumGradient, this.ratePerMin, this.inductionMin);
    return this.baseIsothermalMin * (byLaw / this.baseIsothermalMin) ** (1 / this.shape);
  }

  /** Clock time for a time at the starting temperature, min: they differ when the bath drifts. */
  clockTime(isothermalMin: number): number {
    return this.drift === null ? isothermalMin : timeForDose(this.drift, this.q10, isothermalMin);
  }

  /** Gradient of the aged film, before fog, after a clock time, min. */
  gradientAt(timeMin: number): number {
    // Away from the base time the film follows the law faster or slower; at the base time they agree.
    const byLaw = this.baseIsothermalMin * (this.isothermal(timeMin) / this.baseIsothermalMin) ** this.shape;
    return averageGradient(byLaw, this.aged.maximumGradient, this.ratePerMin, this.inductionMin);
  }

  /** Age fog after a clock time, D. */
  fogAt(timeMin: number): number {
    return fogGrowth(this.isothermal(timeMin), this.baseFreshMin, this.fogRatePerMin, this.aged.fogAtFreshTimeD);
  }

  /** Base + fog after a clock time, D. */
  baseFogAt(timeMin: number): number {
    return this.freshBaseFogD + this.fogAt(timeMin);
  }

  /** Gradient net of fog after a clock time. */
  netGradientAt(timeMin: number): number {
    return netGradient(this.gradientAt(timeMin), this.fogAt(timeMin), this.maximumDensityD);
  }

  private isothermal(timeMin: number): number {
    return this.drift === null ? timeMin : driftDose(this.drift, this.q10, timeMin);
  }
}

/**
 * Logarithm of the rate factor that a parameter enters.
 * @param id the parameter
 * @param conditions resolved conditions
 * @param deviations deviations of the parameters from their prior means
 * @returns ln of the factor of its row; null for a parameter that moves more than the rate
 */
export function lnRateOf(id: ParameterId, conditions: Conditions, deviations: Deviations): number | null {
  const when = rateOnly[id];
  if (when === undefined || (when === 'isothermal' && conditions.drift !== null)) return null;
  const age = id === 'agedRate' || id === 'lotAgedRate' ? conditions.ageAt(deviations.agePosition) : 0;
  return Math.log(rateOf[parameters[id].row as RateRow](conditions, deviations, age));
}

/** Induction is never more than half of the base time, however wide its spread. Source: our choice. */
const LARGEST_INDUCTION = 0.5;

function driftOf({ drift }: Conditions, deviations: Deviations): Drift | null {
  if (drift === null) return null;
  return {
    startC: drift.startC + deviations.thermometerC,
    ambientC: drift.ambientC,
    timeConstantMin: drift.timeConstantMin * Math.exp(deviations.lnCooling),
  };
}

/** The rate factor of each row, for one draw of the parameters. */
export const rateOf: Record<RateRow, (conditions: Conditions, deviations: Deviations, ageRoomYears: number) => number> =
  {
    dilution: ({ dilution }, { dilutionExponent }) =>
      dilution === null ? 1 : dilutionRate(dilution.parts, dilution.reference, dilution.exponent + dilutionExponent),
    strength: ({ strength }, deviations) =>
      (strength === null
        ? 1
        : improvisedRate(
            { ...strength, coffeeEquivalentGPerL: strength.coffeeEquivalentGPerL * Math.exp(deviations.lnPotency) },
            AGENT_EXPONENT.mean + deviations.agentExponent,
            ASCORBIC_EXPONENT.mean + deviations.ascorbicExponent,
          ) * Math.exp((ALKALINITY_EXPONENT.mean + deviations.alkalinityExponent) * strength.phShift)) *
      Math.exp(deviations.lnMixing),
    wear: ({ oneBath, wears, wear }, deviations) =>
      oneBath !== null
        ? oneBath.freshTimeMin / oneBath.usedTimeMin
        : wears === null
          ? 1
          : wearRate(wears, wear.ageH, deviations),
    temperature: ({ oneBath, temperatureC, q10, baseTemperatureC, baseTimeMin }, deviations) => {
      const temperature = temperatureRate(
        temperatureC + deviations.thermometerC,
        q10 * Math.exp(deviations.lnQ10),
        baseTemperatureC,
      );
      // A one-bath's times at three temperatures are common practice; the doubt about its Q10 moves them around the first.
      return oneBath === null
        ? temperature
        : (baseTimeMin / oneBath.freshTimeMin) * (temperature / temperatureRate(temperatureC, q10, baseTemperatureC));
    },
    agitation: ({ agitation }, { lnAgitation, lnRun, lnBench }) =>
      agitation.rateFactor * Math.exp(lnAgitation + lnRun + lnBench),
    bromide: ({ bromideGPerL }) => restrainer(bromideGPerL).rateFactor,
    age: (_, { agedRate, lotAgedRate }, ageRoomYears) => {
      const position = agedRate + lotAgedRate;
      return position === 0 ? 1 : Math.exp(position * agedRateLnSd(ageRoomYears));
    },
  };

function rateFactors(conditions: Conditions, deviations: Deviations, ageRoomYears: number): Record<RateRow, number> {
  return {
    dilution: rateOf.dilution(conditions, deviations, ageRoomYears),
    strength: rateOf.strength(conditions, deviations, ageRoomYears),
    wear: rateOf.wear(conditions, deviations, ageRoomYears),
    temperature: rateOf.temperature(conditions, deviations, ageRoomYears),
    agitation: rateOf.agitation(conditions, deviations, ageRoomYears),
    bromide: rateOf.bromide(conditions, deviations, ageRoomYears),
    age: rateOf.age(conditions, deviations, ageRoomYears),
  };
}

function wearRate({ halfLifeH, useRate }: Wears, ageH: number, deviations: Deviations): number {
  const byAge = halfLifeH === null ? 1 : brewAgeRate(ageH, halfLifeH * Math.exp(deviations.lnHalfLife));
  return byAge * useRate ** (1 + deviations.useShare);
}
