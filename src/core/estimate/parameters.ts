import { AGENT_EXPONENT, ALKALINITY_EXPONENT, ASCORBIC_EXPONENT } from '../chemistry/improvisedStrength';
import { BREW_GRACE_H, BREW_HALF_LIFE_LN_SD, USE_LN_SD_SHARE } from '../chemistry/brewWear';
import { DILUTION_EXPONENT_SD, Q10_LN_SD } from '../chemistry/developerFamilies';
import { AGEING_RATE_LN_SD, FRESH_FOG_SD_D, MAXIMUM_GRADIENT_LN_SD } from '../films/stockFamilies';
import { LARGEST_LOSS_LN_SD } from '../films/speedLoss';
import { INDUCTION_LN_SD } from '../kinetics/rateConstant';
import { TANK_TIME_CONSTANT_LN_SD } from '../thermal/drift';
import type { Conditions } from './conditions';

/** The rows of the ledger, in the order in which conditions are switched on. */
export const ledgerRowIds = [
  'base',
  'dilution',
  'strength',
  'wear',
  'temperature',
  'agitation',
  'bromide',
  'age',
  'strategy',
  'target',
] as const;

export type LedgerRowId = (typeof ledgerRowIds)[number];

/**
 * What a parameter belongs to. Evidence about one roll bears on another as far as they share its stock, its developer, its
 * brew, the hands or the thermometer.
 */
export type Scope =
  'stock' | 'developer' | 'pair' | 'brew' | 'lot' | 'batch' | 'roll' | 'bench' | 'school' | 'run' | 'camera';

/** Standard deviation of a kitchen thermometer's error, °C. Source: our estimate. */
const THERMOMETER_SD_C = 0.3;

/** Spread of ln(rate) between two runs that do the same, and what the shape of the development law leaves out. Source: our estimate. */
const RUN_LN_SD = 0.08;

/** How far somebody else’s bench works faster or slower than said: hand, scale, water, clock; ln(rate). Source: our estimate, by calibration. */
const BENCH_LN_SD = 0.22;

/**
 * Spread of ln(rate) that ageing brings by itself, per room-year, and its ceiling. Old gelatin swells and takes up
 * developer differently, in a direction that nobody has published. Source: our estimate.
 */
const AGED_RATE_LN_SD_PER_ROOM_YEAR = 0.005;
const AGED_RATE_LN_SD_LIMIT = 0.4;

/**
 * The three ageing rates of a stock move together: a stock that fogs faster than its family loses speed and contrast faster
 * as well. Their correlation. Source: our estimate.
 */
const AGEING_CORRELATION = 0.6;
const AGEING_SHARED_SD = AGEING_RATE_LN_SD * Math.sqrt(AGEING_CORRELATION);
const AGEING_OWN_SD = AGEING_RATE_LN_SD * Math.sqrt(1 - AGEING_CORRELATION);

/**
 * Films do not follow one law: times away from the base time stretch or shrink by this power, as sd of its ln. Source: our
 * estimate, from the spread of published shapes of time–gradient curves.
 */
const SHAPE_LN_SD = 0.25;

/** Spread of ln(pace) at which age fog comes up in the developer. Source: our estimate. */
const FOG_PACE_LN_SD = 0.4;

/**
 * Spread of ln(fog) between rolls of one stock and age, and what no law of fog gets right: a measured fog is believed, and
 * what it says of age and stock is not believed as far. Source: our estimate.
 */
const ROLL_FOG_LN_SD = 0.4;

/**
 * Rolls of one box lay together: what of the scatter between rolls of a stock they have in common, as a share of its
 * variance. The rest is the place in the box, the wrapper and the chance of the coating. Source: our estimate.
 */
const LOT_SHARE = 0.75;

/** How much of what a box fogs faster than its stock it also loses speed and contrast faster. Source: our estimate: as between the rates of a stock. */
export const LOT_LOSS_SHARE = AGEING_CORRELATION;

/** Spread that belongs to a roll alone: all of it for one that came alone, the rest for one from a box. */
const ownSpread = ({ aged, inLot }: Conditions, sd: number): number =>
  aged ? sd * (inLot ? Math.sqrt(1 - LOT_SHARE) : 1) : 0;

/** Spread that the rolls of one stock in a box share. */
const sharedSpread = ({ aged, inLot }: Conditions, sd: number): number =>
  aged && inLot ? sd * Math.sqrt(LOT_SHARE) : 0;

/** Spread of a person’s own idea of right contrast, grades. Source: our estimate. */
const EYE_SD_GRADES = 0.5;

/** A quantity that is not known exactly: which ledger row it belongs to, what shares it, and how wide it is. */
interface Parameter {
  row: LedgerRowId;
  scope: Scope;
  /** Standard deviation of the deviation from the prior mean, in the parameter's own scale. */
  sd: (conditions: Conditions) => number;
}

const aged =
  (sd: number) =>
  (c: Conditions): number =>
    c.aged ? sd : 0;

/** Every parameter of the model. A deviation of 0 is the prior mean; names that start with ln are natural logs. */
export const parameters = {
  lnStock: { row: 'base', scope: 'stock', sd: (c) => c.lnSd.stock },
  lnDeveloper: { row: 'base', scope: 'developer', sd: (c) => c.lnSd.developer },
  lnPair: { row: 'base', scope: 'pair', sd: (c) => c.lnSd.pair },
  lnInduction: { row: 'base', scope: 'pair', sd: () => INDUCTION_LN_SD },
  dilutionExponent: {
    row: 'dilution',
    scope: 'developer',
    sd: (c) => (c.dilution === null ? 0 : DILUTION_EXPONENT_SD),
  },
  lnPotency: { row: 'strength', scope: 'developer', sd: (c) => c.strength?.potencyLnSd ?? 0 },
  agentExponent: { row: 'strength', scope: 'developer', sd: (c) => (c.strength === null ? 0 : AGENT_EXPONENT.sd) },
  ascorbicExponent: {
    row: 'strength',
    scope: 'developer',
    sd: (c) => (c.strength === null ? 0 : ASCORBIC_EXPONENT.sd),
  },
  alkalinityExponent: {
    row: 'strength',
    scope: 'developer',
    sd: (c) => (c.strength === null ? 0 : ALKALINITY_EXPONENT.sd),
  },
  lnMixing: { row: 'strength', scope: 'brew', sd: (c) => c.lnSd.mixing },
  lnHalfLife: {
    row: 'wear',
    scope: 'developer',
    sd: (c) => (c.wears?.halfLifeH != null && c.wear.ageH > BREW_GRACE_H ? BREW_HALF_LIFE_LN_SD : 0),
  },
  useShare: {
    row: 'wear',
    scope: 'developer',
    sd: (c) => (c.wears !== null && c.wear.films > 0 ? USE_LN_SD_SHARE : 0),
  },
  lnQ10: { row: 'temperature', scope: 'developer', sd: () => Q10_LN_SD },
  thermometerC: { row: 'temperature', scope: 'bench', sd: () => THERMOMETER_SD_C },
  lnCooling: { row: 'temperature', scope: 'bench', sd: (c) => (c.drift === null ? 0 : TANK_TIME_CONSTANT_LN_SD) },
  lnAgitation: { row: 'agitation', scope: 'school', sd: (c) => c.agitation.lnSd },
  lnRun: { row: 'agitation', scope: 'run', sd: () => RUN_LN_SD },
  /** How fast somebody else’s bench works: learned where its runs and one’s own overlap. One’s own is what all else is held against. */
  lnBench: { row: 'agitation', scope: 'bench', sd: (c) => (c.elsewhere ? BENCH_LN_SD : 0) },
  /** Where in the distribution of its age the roll stands: a standard normal position, the same for all that lay in one box. */
  agePosition: { row: 'age', scope: 'lot', sd: (c) => (c.ageInDoubt ? 1 : 0) },
  /** How ageing moved the rate, in the spread that belongs to the age itself. */
  agedRate: { row: 'age', scope: 'roll', sd: (c) => ownSpread(c, 1) },
  /** The same, of all rolls of the stock in one box. */
  lotAgedRate: { row: 'age', scope: 'batch', sd: (c) => sharedSpread(c, 1) },
  lnAgeing: {
    row: 'age',
    scope: 'stock',
    sd: (c) => (c.aged ? Math.hypot(AGEING_SHARED_SD, c.film.doubt.ageingLnSd) : 0),
  },
  lnFogRate: { row: 'age', scope: 'stock', sd: aged(AGEING_OWN_SD) },
  /** How far the fog of this very roll departs from what its age and stock make of it. */
  lnRollFog: { row: 'age', scope: 'roll', sd: (c) => ownSpread(c, ROLL_FOG_LN_SD) },
  /** How far the fog of the rolls of this stock in one box does. */
  lnLotFog: { row: 'age', scope: 'batch', sd: (c) => sharedSpread(c, ROLL_FOG_LN_SD) },
  lnSpeedLossRate: { row: 'age', scope: 'stock', sd: aged(AGEING_OWN_SD) },
  lnLargestLoss: { row: 'age', scope: 'stock', sd: aged(LARGEST_LOSS_LN_SD) },
  /** How fast age fog comes up in the developer against the law. */
  lnFogPace: { row: 'age', scope: 'stock', sd: aged(FOG_PACE_LN_SD) },
  lnGradientLossRate: { row: 'age', scope: 'stock', sd: aged(AGEING_OWN_SD) },
  freshFogD: { row: 'age', scope: 'stock', sd: (c) => Math.hypot(FRESH_FOG_SD_D, c.film.doubt.freshFogSdD) },
  lnMaximumGradient: {
    row: 'target',
    scope: 'stock',
    sd: (c) => Math.hypot(MAXIMUM_GRADIENT_LN_SD, c.film.doubt.gradientLnSd),
  },
  /** How much faster or slower than the law the gradient goes on rising away from the base time. */
  lnShape: { row: 'target', scope: 'stock', sd: () => SHAPE_LN_SD },
  /** How far the user’s eye calls everything too hard, grades: it moves what is judged, and no time by itself. */
  eyeGrades: { row: 'target', scope: 'bench', sd: () => EYE_SD_GRADES },
  /** How far a camera stretches all densities that were read by it, ln: readings bring its spread, and no time has it. */
  lnCamera: { row: 'target', scope: 'camera', sd: () => 0 },
} as const satisfies Record<string, Parameter>;

/** Parameters that only quicken (+) or slow (−) development, each by its whole deviation in ln(rate). */
export const rateSign: Partial<Record<keyof typeof parameters, 1 | -1>> = {
  lnStock: -1,
  lnDeveloper: -1,
  lnPair: -1,
  lnMixing: 1,
  lnAgitation: 1,
  lnRun: 1,
  lnBench: 1,
};

/**
 * Parameters that enter the rate alone, through its factors: how they move anything follows from how the rate does. Those
 * of temperature do so while the bath keeps its temperature.
 */
export const rateOnly: Partial<Record<keyof typeof parameters, 'always' | 'isothermal'>> = {
  dilutionExponent: 'always',
  lnPotency: 'always',
  agentExponent: 'always',
  ascorbicExponent: 'always',
  alkalinityExponent: 'always',
  lnHalfLife: 'always',
  useShare: 'always',
  agedRate: 'always',
  lotAgedRate: 'always',
  lnQ10: 'isothermal',
  thermometerC: 'isothermal',
};

export type ParameterId = keyof typeof parameters;
export const parameterIds = Object.keys(parameters) as ParameterId[];

/** Deviations of all parameters from their prior means. */
export type Deviations = Record<ParameterId, number>;

const allZero = Object.fromEntries(parameterIds.map((id) => [id, 0])) as Deviations;

/** Fresh deviations, all 0: the prior mean. */
export function noDeviations(): Deviations {
  return { ...allZero };
}

/**
 * Spread of ln(rate) that ageing brings at an age.
 * @param ageRoomYears effective age, room-years
 * @returns sd of ln(rate). Source: our estimate.
 */
export function agedRateLnSd(ageRoomYears: number): number {
  return Math.min(AGED_RATE_LN_SD_LIMIT, AGED_RATE_LN_SD_PER_ROOM_YEAR * ageRoomYears);
}
