import { AGENT_EXPONENT, ASCORBIC_EXPONENT } from '../chemistry/improvisedStrength';
import { BREW_HALF_LIFE_LN_SD, USE_LN_SD_SHARE } from '../chemistry/brewWear';
import { DILUTION_EXPONENT_SD, Q10_LN_SD } from '../chemistry/developerFamilies';
import { AGEING_RATE_LN_SD, MAXIMUM_GRADIENT_LN_SD } from '../films/stockFamilies';
import { INDUCTION_LN_SD } from '../kinetics/rateConstant';
import type { Conditions } from './conditions';

/** The rows of the ledger, in the order in which conditions are switched on. */
export const ledgerRowIds = ['base', 'dilution', 'strength', 'wear', 'temperature', 'agitation', 'age', 'strategy', 'target'] as const;

export type LedgerRowId = (typeof ledgerRowIds)[number];

/** Standard deviation of a kitchen thermometer's error, °C. Source: our estimate. */
const THERMOMETER_SD_C = 0.3;

/**
 * Spread of ln(rate) that ageing brings by itself, per room-year, and its ceiling. Old gelatin swells and takes up
 * developer differently, in a direction that nobody has published. Source: our estimate.
 */
const AGED_RATE_LN_SD_PER_ROOM_YEAR = 0.005;
const AGED_RATE_LN_SD_LIMIT = 0.4;

/** A quantity that is not known exactly: which ledger row it belongs to, and how wide it is. */
interface Parameter {
  row: LedgerRowId;
  /** Standard deviation of the deviation from the prior mean, in the parameter's own scale. */
  sd: (conditions: Conditions) => number;
}

/** Every parameter of the model. A deviation of 0 is the prior mean; names that start with ln are natural logs. */
export const parameters = {
  lnBaseTime: { row: 'base', sd: (c) => c.baseTimeLnSd },
  lnInduction: { row: 'base', sd: () => INDUCTION_LN_SD },
  dilutionExponent: { row: 'dilution', sd: (c) => (c.dilution === null ? 0 : DILUTION_EXPONENT_SD) },
  lnPotency: { row: 'strength', sd: (c) => c.strength?.potencyLnSd ?? 0 },
  agentExponent: { row: 'strength', sd: (c) => (c.strength === null ? 0 : AGENT_EXPONENT.sd) },
  ascorbicExponent: { row: 'strength', sd: (c) => (c.strength === null ? 0 : ASCORBIC_EXPONENT.sd) },
  lnAlkali: { row: 'strength', sd: (c) => c.strength?.sodaLnSd ?? 0 },
  lnHalfLife: { row: 'wear', sd: (c) => (c.wears ? BREW_HALF_LIFE_LN_SD : 0) },
  useShare: { row: 'wear', sd: (c) => (c.wears ? USE_LN_SD_SHARE : 0) },
  lnQ10: { row: 'temperature', sd: () => Q10_LN_SD },
  thermometerC: { row: 'temperature', sd: () => THERMOMETER_SD_C },
  lnAgitation: { row: 'agitation', sd: (c) => c.agitation.lnSd },
  lnAge: { row: 'age', sd: (c) => c.ageLnSd },
  lnAgedRate: { row: 'age', sd: agedRateSd },
  lnFogRate: { row: 'age', sd: (c) => (c.ageRoomYears > 0 ? AGEING_RATE_LN_SD : 0) },
  lnSpeedLossRate: { row: 'age', sd: (c) => (c.ageRoomYears > 0 ? AGEING_RATE_LN_SD : 0) },
  lnGradientLossRate: { row: 'age', sd: (c) => (c.ageRoomYears > 0 ? AGEING_RATE_LN_SD : 0) },
  lnMaximumGradient: { row: 'target', sd: () => MAXIMUM_GRADIENT_LN_SD },
} as const satisfies Record<string, Parameter>;

export type ParameterId = keyof typeof parameters;
export const parameterIds = Object.keys(parameters) as ParameterId[];

/** Deviations of all parameters from their prior means. */
export type Deviations = Record<ParameterId, number>;

/** Fresh deviations, all 0: the prior mean. */
export function noDeviations(): Deviations {
  return Object.fromEntries(parameterIds.map((id) => [id, 0])) as Deviations;
}

/** An age that is hardly known counts by its root mean square, exp(sd²/2) above it. */
function agedRateSd({ ageRoomYears, ageLnSd }: Conditions): number {
  return Math.min(AGED_RATE_LN_SD_LIMIT, AGED_RATE_LN_SD_PER_ROOM_YEAR * ageRoomYears * Math.exp(ageLnSd ** 2 / 2));
}
