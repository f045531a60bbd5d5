import { reachableGradient } from '../kinetics/developmentTime';
import type { Conditions, Wanted } from './conditions';
import { Development } from './development';
import { extendTime, extensionLimit, type Extension } from './extendTime';
import type { Deviations, LedgerRowId } from './parameters';
import { standTime } from './stand';

/** One evaluation of the model for one draw of the parameters. */
export interface Prediction {
  /** How the film develops in time. */
  film: Development;
  /** Factor on the time of each row after the base; their product with the base is the time. */
  ratios: Record<Exclude<LedgerRowId, 'base'>, number>;
  timeMin: number;
  /** Time for fresh film under the same conditions, min: what Hold gives. */
  freshTimeMin: number;
  extension: Extension;
  reach: { gradient: number; reachable: boolean };
}

/**
 * The model: from conditions, what is wanted, and deviations to a time and what it gives.
 * @param conditions resolved conditions
 * @param wanted strategy and target
 * @param deviations deviations of the parameters from their prior means
 * @param withRatios whether the factors of strategy and target are asked for: draws need the time alone
 * @returns the prediction. Sources: see each relation that it calls.
 */
export function predict(conditions: Conditions, wanted: Wanted, deviations: Deviations, withRatios = true): Prediction {
  const film = new Development(conditions, deviations);
  const { aged, rates, baseGradient } = film;
  const reach =
    conditions.oneBath === null
      ? reachableGradient(wanted.targetGradient, aged.freshMaximumGradient)
      : { gradient: baseGradient, reachable: true };

  const strategyTime = (gradient: number): Extension & { isothermalMin: number; freshMin: number } => {
    const freshMin = film.freshTimeAt(gradient);
    const freshClock = film.clockTime(freshMin);
    const at = timeByStrategy(film, wanted, gradient, freshClock);
    // Without drift clock and isothermal time are one, and the ledger needs no detour.
    return {
      ...at,
      freshMin,
      isothermalMin: conditions.drift === null ? at.timeMin : (freshMin * at.timeMin) / freshClock,
    };
  };
  const chosen = strategyTime(reach.gradient);
  const atBase = !withRatios || baseGradient === reach.gradient ? chosen : strategyTime(baseGradient);
  const timeMin = chosen.timeMin;
  const drifted = timeMin / chosen.isothermalMin;

  return {
    film,
    ratios: {
      dilution: 1 / rates.dilution,
      strength: 1 / rates.strength,
      wear: 1 / rates.wear,
      temperature: drifted / rates.temperature,
      agitation: 1 / rates.agitation,
      bromide: 1 / rates.bromide,
      age: 1 / rates.age,
      strategy: atBase.isothermalMin / atBase.freshMin,
      target: chosen.isothermalMin / atBase.isothermalMin,
    },
    timeMin,
    freshTimeMin: film.clockTime(chosen.freshMin),
    extension: { timeMin, met: chosen.met, capped: chosen.capped },
    reach,
  };
}

/** A millionth of tolerance: a gradient that was aimed at counts as met. */
const MET = 1 - 1e-6;

function timeByStrategy(
  film: Development,
  { strategy, timeIsKnown }: Wanted,
  gradient: number,
  freshMin: number,
): Extension {
  switch (strategy.id) {
    case 'hold':
      return { timeMin: freshMin, met: film.netGradientAt(freshMin) >= gradient * MET, capped: false };
    case 'extend':
      return extendTime(
        (timeMin) => film.netGradientAt(timeMin),
        gradient,
        freshMin,
        extensionLimit(freshMin, film.aged.imageLossStops, strategy.liftCap),
      );
    case 'stand': {
      const timeMin = timeIsKnown ? freshMin : standTime(freshMin);
      return { timeMin, met: film.netGradientAt(timeMin) >= gradient * MET, capped: timeMin !== freshMin };
    }
  }
}
