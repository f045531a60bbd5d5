import { brewAgeRate, brewUseRate, BREW_HALF_LIFE_H } from '../chemistry/brewWear';
import { dilutionRate } from '../chemistry/dilution';
import { AGENT_EXPONENT, ASCORBIC_EXPONENT, improvisedRate } from '../chemistry/improvisedStrength';
import { restrainer } from '../chemistry/restrainer';
import { averageGradient } from '../kinetics/averageGradient';
import { developmentTime, reachableGradient } from '../kinetics/developmentTime';
import { fogGrowth, netGradient } from '../kinetics/fogGrowth';
import { INDUCTION_SHARE, rateConstant } from '../kinetics/rateConstant';
import { temperatureRate } from '../thermal/arrhenius';
import { ageFilm, type AgedFilm } from './agedFilm';
import type { Conditions } from './conditions';
import { extendTime, extensionLimit, type Extension } from './extendTime';
import type { Deviations, LedgerRowId } from './parameters';

/** One evaluation of the model for one draw of the parameters. */
export interface Prediction {
  aged: AgedFilm;
  /** Time of the base row, min. */
  baseTimeMin: number;
  /** Factor on the time of each row after the base; their product with the base is the time. */
  ratios: Record<Exclude<LedgerRowId, 'base'>, number>;
  timeMin: number;
  /** Time for fresh film under the same conditions, min: what Hold gives. */
  freshTimeMin: number;
  extension: Extension;
  reach: { gradient: number; reachable: boolean };
  /** Gradient of the aged film, before fog, after a time under these conditions. */
  gradientAt: (timeMin: number) => number;
  /** Base + fog after a time under these conditions, D. */
  baseFogAt: (timeMin: number) => number;
  /** Gradient net of fog after a time under these conditions. */
  netGradientAt: (timeMin: number) => number;
}

/**
 * The model: from conditions and deviations to a time and what it gives.
 * Every rate factor r makes k → r·k and t0 → t0/r, so that time scales by exactly 1/r.
 * @param conditions resolved conditions
 * @param deviations deviations of the parameters from their prior means
 * @returns the prediction. Sources: see each relation that it calls.
 */
export function predict(conditions: Conditions, deviations: Deviations): Prediction {
  const aged = ageFilm(conditions, deviations);
  const baseTimeMin = conditions.baseTimeMin * Math.exp(deviations.lnBaseTime);
  const rates = rateFactors(conditions, deviations);
  const rate = rates.dilution * rates.strength * rates.wear * rates.temperature * rates.agitation * rates.age;

  const induction = INDUCTION_SHARE * Math.exp(deviations.lnInduction);
  const baseGradient = Math.min(conditions.baseGradient, reachableGradient(Infinity, aged.freshMaximumGradient).gradient);
  const base = rateConstant(baseTimeMin, baseGradient, aged.freshMaximumGradient, induction);
  const ratePerMin = base.ratePerMin * rate;
  const inductionMin = base.inductionMin / rate;
  const freshTime = (gradient: number): number => developmentTime(gradient, aged.freshMaximumGradient, ratePerMin, inductionMin);

  const reach = reachableGradient(conditions.targetGradient, aged.freshMaximumGradient);
  const freshTimeMin = freshTime(reach.gradient);
  const baseFreshMin = freshTime(baseGradient);
  const gradientAt = (timeMin: number): number => averageGradient(timeMin, aged.maximumGradient, ratePerMin, inductionMin);
  const fogAt = (timeMin: number): number => fogGrowth(timeMin, baseFreshMin, ratePerMin, aged.fogAtFreshTimeD);
  const netGradientAt = (timeMin: number): number => netGradient(gradientAt(timeMin), fogAt(timeMin), conditions.film.maximumDensityD);
  const extended = (gradient: number, fromMin: number): Extension =>
    extendTime(netGradientAt, gradient, fromMin, extensionLimit(fromMin, aged.imageLossStops, conditions.strategy.liftCap));

  const extending = conditions.strategy.id === 'extend';
  const held: Extension = { timeMin: freshTimeMin, met: netGradientAt(freshTimeMin) >= reach.gradient, capped: false };
  const extension = extending ? extended(reach.gradient, freshTimeMin) : held;
  const baseStrategyMin = baseGradient === reach.gradient ? extension.timeMin : extending ? extended(baseGradient, baseFreshMin).timeMin : baseFreshMin;

  return {
    aged,
    baseTimeMin,
    ratios: {
      dilution: 1 / rates.dilution,
      strength: 1 / rates.strength,
      wear: 1 / rates.wear,
      temperature: 1 / rates.temperature,
      agitation: 1 / rates.agitation,
      age: 1 / rates.age,
      strategy: baseStrategyMin / baseFreshMin,
      target: extension.timeMin / baseStrategyMin,
    },
    timeMin: extension.timeMin,
    freshTimeMin,
    extension,
    reach,
    gradientAt,
    baseFogAt: (timeMin) => conditions.film.freshBaseFogD + fogAt(timeMin),
    netGradientAt,
  };
}

type RateRow = 'dilution' | 'strength' | 'wear' | 'temperature' | 'agitation' | 'age';

function rateFactors(conditions: Conditions, deviations: Deviations): Record<RateRow, number> {
  const { dilution, strength, wear } = conditions;
  const halfLifeH = BREW_HALF_LIFE_H * Math.exp(deviations.lnHalfLife);
  return {
    dilution: dilution === null ? 1 : dilutionRate(dilution.parts, dilution.reference, dilution.exponent + deviations.dilutionExponent),
    strength:
      strength === null
        ? 1
        : improvisedRate(
            { ...strength, coffeeEquivalentGPerL: strength.coffeeEquivalentGPerL * Math.exp(deviations.lnPotency) },
            AGENT_EXPONENT.mean + deviations.agentExponent,
            ASCORBIC_EXPONENT.mean + deviations.ascorbicExponent,
          ) * Math.exp(deviations.lnAlkali),
    wear: conditions.wears
      ? brewAgeRate(wear.ageH, halfLifeH) * brewUseRate(wear.films, wear.volumeMl) ** (1 + deviations.useShare)
      : 1,
    temperature:
      temperatureRate(
        conditions.temperatureC + deviations.thermometerC,
        conditions.q10 * Math.exp(deviations.lnQ10),
        conditions.baseTemperatureC,
      ),
    agitation: conditions.agitation.rateFactor * Math.exp(deviations.lnAgitation),
    age: restrainer(conditions.bromideGPerL).rateFactor * Math.exp(deviations.lnAgedRate),
  };
}
