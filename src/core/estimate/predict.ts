import { reachableGradient } from '../kinetics/developmentTime';
import type { Conditions, Wanted } from './conditions';
import { Development } from './development';
import { extendTime, extensionLimit, type Extension } from './extendTime';
import type { Deviations, LedgerRowId } from './parameters';
import { standTime } from './stand';

/** The time of one draw of the parameters, and the film that it develops. */
export interface DrawnTime {
  /** How the film develops in time. */
  film: Development;
  timeMin: number;
  /** Time for fresh film under the same conditions, min: what Hold gives. */
  freshTimeMin: number;
}

/** One evaluation of the model for one draw of the parameters, with its reasons. */
export interface Prediction extends DrawnTime {
  /** Factor on the time of each row after the base; their product with the base is the time. */
  ratios: Record<Exclude<LedgerRowId, 'base'>, number>;
  extension: Extension;
  reach: { gradient: number; reachable: boolean };
}

/**
 * The time that a draw of the parameters gives: the model without its reasons.
 * @param conditions resolved conditions
 * @param wanted strategy and target
 * @param deviations deviations of the parameters from their prior means
 */
export function drawTime(conditions: Conditions, wanted: Wanted, deviations: Deviations): DrawnTime {
  const film = new Development(conditions, deviations);
  const { gradient } = reachOf(conditions, wanted, film);
  const freshTimeMin = film.clockTime(film.freshTimeAt(gradient));
  return { film, timeMin: timeByStrategy(film, wanted, gradient, freshTimeMin).timeMin, freshTimeMin };
}

function reachOf({ oneBath }: Conditions, { targetGradient }: Wanted, film: Development): Prediction['reach'] {
  return oneBath === null
    ? reachableGradient(targetGradient, film.aged.freshMaximumGradient)
    : { gradient: film.baseGradient, reachable: true };
}

/**
 * The model: from conditions, what is wanted, and deviations to a time and what it gives.
 * @param conditions resolved conditions
 * @param wanted strategy and target
 * @param deviations deviations of the parameters from their prior means
 * @returns the prediction. Sources: see each relation that it calls.
 */
export function predict(conditions: Conditions, wanted: Wanted, deviations: Deviations): Prediction {
  const film = new Development(conditions, deviations);
  const { rates, baseGradient } = film;
  const reach = reachOf(conditions, wanted, film);

  const strategyTime = (gradient: number): TimeByStrategy & { isothermalMin: number; freshMin: number } => {
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
  const atBase = baseGradient === reach.gradient ? chosen : strategyTime(baseGradient);
  const { timeMin, capped } = chosen;
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
    extension: { timeMin, met: film.netGradientAt(timeMin) >= reach.gradient * MET, capped },
    reach,
  };
}

/** A millionth of tolerance: a gradient that was aimed at counts as met. */
const MET = 1 - 1e-6;

/** A time as a strategy makes it, and whether a limit decided it. */
type TimeByStrategy = Omit<Extension, 'met'>;

function timeByStrategy(
  film: Development,
  { strategy, timeIsKnown }: Wanted,
  gradient: number,
  freshMin: number,
): TimeByStrategy {
  switch (strategy.id) {
    case 'hold':
      return { timeMin: freshMin, capped: false };
    case 'extend':
      return extendTime(
        (timeMin) => film.netGradientAt(timeMin),
        gradient,
        freshMin,
        extensionLimit(freshMin, film.aged.imageLossStops, strategy.liftCap),
      );
    case 'stand': {
      const timeMin = timeIsKnown ? freshMin : standTime(freshMin);
      return { timeMin, capped: timeMin !== freshMin };
    }
  }
}
