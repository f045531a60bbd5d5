import { brewAgeRate, brewUseRate, BREW_HALF_LIFE_H } from '../chemistry/brewWear';
import { dilutionRate } from '../chemistry/dilution';
import { AGENT_EXPONENT, ALKALINITY_EXPONENT, ASCORBIC_EXPONENT, improvisedRate } from '../chemistry/improvisedStrength';
import { restrainer } from '../chemistry/restrainer';
import { averageGradient } from '../kinetics/averageGradient';
import { developmentTime, reachableGradient } from '../kinetics/developmentTime';
import { fogGrowth, netGradient } from '../kinetics/fogGrowth';
import { ONE_BATH_COMPLETION } from '../kinetics/oneBath';
import { INDUCTION_SHARE, rateConstant } from '../kinetics/rateConstant';
import { temperatureRate } from '../thermal/arrhenius';
import { driftDose, timeForDose, type Drift } from '../thermal/drift';
import { ageFilm, type AgedFilm } from './agedFilm';
import type { Conditions } from './conditions';
import type { Deviations, LedgerRowId } from './parameters';

export type RateRow = Extract<LedgerRowId, 'dilution' | 'strength' | 'wear' | 'temperature' | 'agitation' | 'age'>;

/** How a film develops in time under given conditions, for one draw of the parameters. */
export interface Development {
  aged: AgedFilm;
  /** Time of the base row, min. */
  baseTimeMin: number;
  /** Gradient that the base time gives to fresh film. */
  baseGradient: number;
  /** Rate factors by row. */
  rates: Record<RateRow, number>;
  ratePerMin: number;
  /** Time at which fresh film reaches a gradient, min at the starting temperature. */
  freshTimeAt: (gradient: number) => number;
  /** Clock time for a time at the starting temperature, min, and back: they differ when the bath drifts. */
  clockTime: (isothermalMin: number) => number;
  /** Gradient of the aged film, before fog, after a clock time, min. */
  gradientAt: (timeMin: number) => number;
  /** Age fog after a clock time, D. */
  fogAt: (timeMin: number) => number;
  /** Base + fog after a clock time, D. */
  baseFogAt: (timeMin: number) => number;
  /** Gradient net of fog after a clock time. */
  netGradientAt: (timeMin: number) => number;
}

/**
 * Development under given conditions. Every rate factor r makes k → r·k and t0 → t0/r, so that time scales by exactly 1/r.
 * @param conditions resolved conditions
 * @param deviations deviations of the parameters from their prior means
 * @returns the development. Sources: see each relation that it calls.
 */
export function development(conditions: Conditions, deviations: Deviations): Development {
  const aged = ageFilm(conditions, deviations);
  const baseTimeMin = conditions.baseTimeMin * Math.exp(deviations.lnStock + deviations.lnDeveloper + deviations.lnPair);
  const rates = rateFactors(conditions, deviations);
  const rate = rates.dilution * rates.strength * rates.wear * rates.temperature * rates.agitation * rates.age;

  const induction = INDUCTION_SHARE * Math.exp(deviations.lnInduction);
  const baseGradient =
    conditions.oneBath === null
      ? Math.min(conditions.baseGradient, reachableGradient(Infinity, aged.freshMaximumGradient).gradient)
      : ONE_BATH_COMPLETION * aged.freshMaximumGradient;
  const base = rateConstant(baseTimeMin, baseGradient, aged.freshMaximumGradient, Math.min(0.5, induction));
  const ratePerMin = base.ratePerMin * rate;
  const inductionMin = base.inductionMin / rate;
  const freshTimeAt = (gradient: number): number => developmentTime(gradient, aged.freshMaximumGradient, ratePerMin, inductionMin);
  const baseFreshMin = baseTimeMin / rate;

  const drift = driftOf(conditions, deviations);
  const q10 = conditions.q10 * Math.exp(deviations.lnQ10);
  const isothermal = (timeMin: number): number => (drift === null ? timeMin : driftDose(drift, q10, timeMin));
  const gradientAt = (timeMin: number): number => averageGradient(isothermal(timeMin), aged.maximumGradient, ratePerMin, inductionMin);
  const fogAt = (timeMin: number): number => fogGrowth(isothermal(timeMin), baseFreshMin, ratePerMin, aged.fogAtFreshTimeD);
  return {
    aged,
    baseTimeMin,
    baseGradient,
    rates,
    ratePerMin,
    freshTimeAt,
    clockTime: (isothermalMin) => (drift === null ? isothermalMin : timeForDose(drift, q10, isothermalMin)),
    gradientAt,
    fogAt,
    baseFogAt: (timeMin) => conditions.film.freshBaseFogD + deviations.freshFogD + fogAt(timeMin),
    netGradientAt: (timeMin) => netGradient(gradientAt(timeMin), fogAt(timeMin), conditions.film.maximumDensityD),
  };
}

function driftOf({ drift }: Conditions, deviations: Deviations): Drift | null {
  if (drift === null) return null;
  return {
    startC: drift.startC + deviations.thermometerC,
    ambientC: drift.ambientC,
    timeConstantMin: drift.timeConstantMin * Math.exp(deviations.lnCooling),
  };
}

function rateFactors(conditions: Conditions, deviations: Deviations): Record<RateRow, number> {
  const { dilution, strength, wear, oneBath } = conditions;
  const temperature = temperatureRate(conditions.temperatureC + deviations.thermometerC, conditions.q10 * Math.exp(deviations.lnQ10), conditions.baseTemperatureC);
  return {
    dilution: dilution === null ? 1 : dilutionRate(dilution.parts, dilution.reference, dilution.exponent + deviations.dilutionExponent),
    strength:
      (strength === null
        ? 1
        : improvisedRate(
            { ...strength, coffeeEquivalentGPerL: strength.coffeeEquivalentGPerL * Math.exp(deviations.lnPotency) },
            AGENT_EXPONENT.mean + deviations.agentExponent,
            ASCORBIC_EXPONENT.mean + deviations.ascorbicExponent,
          ) * Math.exp((ALKALINITY_EXPONENT.mean + deviations.alkalinityExponent) * strength.phShift)) * Math.exp(deviations.lnMixing),
    wear: oneBath !== null ? oneBath.freshTimeMin / oneBath.usedTimeMin : conditions.wears ? wearRate(wear, deviations) : 1,
    // A one-bath's times at three temperatures are common practice; the doubt about its Q10 moves them around the first.
    temperature:
      oneBath === null
        ? temperature
        : (conditions.baseTimeMin / oneBath.freshTimeMin) * (temperature / temperatureRate(conditions.temperatureC, conditions.q10, conditions.baseTemperatureC)),
    agitation: conditions.agitation.rateFactor * Math.exp(deviations.lnAgitation + deviations.lnRun),
    age: restrainer(conditions.bromideGPerL).rateFactor * Math.exp(deviations.lnAgedRate),
  };
}

function wearRate(wear: Conditions['wear'], deviations: Deviations): number {
  const halfLifeH = BREW_HALF_LIFE_H * Math.exp(deviations.lnHalfLife);
  return brewAgeRate(wear.ageH, halfLifeH) * brewUseRate(wear.films, wear.volumeMl) ** (1 + deviations.useShare);
}
