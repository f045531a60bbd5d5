import { PK_WATER, acidSystemIds, acidSystems, type AcidSystem, type AcidSystemId } from './acidSystems';
import { davies } from './davies';

/** What is dissolved: totals of weak acids whatever their form, and ions that take no part. */
export interface Solution {
  /** Total of each acid system, mol/l; 0 or more. */
  acids: Partial<Record<AcidSystemId, number>>;
  /** Charge that strong ions bring, mol/l: sodium and potassium count plus, chloride and bromide minus. */
  strongCharge: number;
  /** Strong ions altogether, mol/l of single charges: for the ionic strength. */
  strongIons: number;
}

/** Where the answer can lie. */
const LOWEST_PH = -1;
const HIGHEST_PH = 15;

/** Steps of the root finder, and how near it comes. */
const MOST_STEPS = 60;
const NEAR_PH = 1e-9;

/** Charge that counts as none, mol/l: it moves no pH in the sixth digit. */
const NEUTRAL = 1e-13;

/** Ionic product of water. */
const WATER = 10 ** -PK_WATER;

/** Half width of the bracket that a later round starts from. */
const LATER_BRACKET_PH = 0.3;

/** Rounds in which pH and ionic strength settle. */
const ROUNDS = 20;
const SETTLED_PH = 1e-7;

/**
 * pH of a solution at 25 °C, by mass action and charge balance with Davies activities.
 * @param solution totals and strong ions, mol/l
 * @returns pH (−log10 of the activity of H⁺) and ionic strength, mol/l
 * Source: mass action and electroneutrality; activities after Davies 1962; constants see acidSystems.
 * @example solvePh({ acids: { carbonic: 0.05 }, strongCharge: 0.075, strongIons: 0.075 }) // pH 10.0
 */
export function solvePh(solution: Solution): { ph: number; ionicStrength: number } {
  const present = acidSystemIds.flatMap((id) => {
    const total = solution.acids[id] ?? 0;
    return total > 0 ? [{ system: acidSystems[id] as AcidSystem, total }] : [];
  });
  let ionicStrength = solution.strongIons / 2;
  let ph = 7;
  for (let round = 0; round < ROUNDS; round++) {
    const ionised = ionisedBy(present, davies(ionicStrength));
    const before = ph;
    ph = neutralPh(ionised, solution.strongCharge, round === 0 ? null : ph);
    ionicStrength = solution.strongIons / 2 + chargeSum(ionised, ph, true) / 2;
    if (Math.abs(ph - before) < SETTLED_PH) break;
  }
  return { ph, ionicStrength };
}

/**
 * How much of an acid stands at each step of ionisation.
 * @param system the acid
 * @param ph pH
 * @param activity −log10 of the activity coefficient of a single charge
 * @returns fractions from fully protonated to fully ionised; they add up to 1
 */
export function ionisedFractions(system: AcidSystem, ph: number, activity = 0): number[] {
  const weights = [1];
  let charge = system.chargeProtonated;
  for (const pKa of system.pKas) {
    weights.push((weights.at(-1) ?? 1) * 10 ** (ph - stepConstant(pKa, charge, activity)));
    charge -= 1;
  }
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return weights.map((weight) => weight / sum);
}

/** The acids of a solution at one ionic strength: their constants as factors, so that a pH costs one power of ten. */
interface Ionised {
  single: number;
  acids: readonly { total: number; chargeProtonated: number; factors: readonly number[] }[];
}

function ionisedBy(present: readonly { system: AcidSystem; total: number }[], activity: number): Ionised {
  return {
    single: 10 ** activity,
    acids: present.map(({ system: { chargeProtonated, pKas }, total }) => ({
      total,
      chargeProtonated,
      factors: pKas.map((pKa, k) => 10 ** -stepConstant(pKa, chargeProtonated - k, activity)),
    })),
  };
}

/** The pH at which all charges cancel: they fall with pH, so that a bracket and false position (Illinois) find it. */
function neutralPh(ionised: Ionised, strongCharge: number, near: number | null): number {
  const charge = (ph: number): number => strongCharge + chargeSum(ionised, ph, false);
  let low = near === null ? LOWEST_PH : near - LATER_BRACKET_PH;
  let high = near === null ? HIGHEST_PH : near + LATER_BRACKET_PH;
  let atLow = charge(low);
  let atHigh = charge(high);
  if (atLow < 0 || atHigh > 0) return near === null ? (atLow < 0 ? low : high) : neutralPh(ionised, strongCharge, null);
  let side = 0;
  for (let step = 0; step < MOST_STEPS && high - low > NEAR_PH; step++) {
    // Charges grow by powers of ten towards the ends: there halving is faster.
    const lopsided = atLow > 100 * -atHigh || -atHigh > 100 * atLow;
    const ph = lopsided ? (low + high) / 2 : (low * atHigh - high * atLow) / (atHigh - atLow);
    const at = charge(ph);
    if (Math.abs(at) < NEUTRAL) return ph;
    if (at > 0) {
      low = ph;
      atLow = at;
      if (side === 1) atHigh /= 2;
      side = 1;
    } else {
      high = ph;
      atHigh = at;
      if (side === -1) atLow /= 2;
      side = -1;
    }
  }
  return (low + high) / 2;
}

/** Sum of charges, or of their squares, of everything that takes part: H⁺, OH⁻ and the acids. */
function chargeSum({ single, acids }: Ionised, ph: number, squared: boolean): number {
  const power = 10 ** ph;
  const hydrogen = single / power;
  const hydroxide = power * WATER * single;
  let sum = squared ? hydrogen + hydroxide : hydrogen - hydroxide;
  for (const { total, chargeProtonated, factors } of acids) {
    // The same weights as in ionisedFractions, without keeping them.
    let charge = chargeProtonated;
    let weight = 1;
    let weights = 1;
    let charges = squared ? charge * charge : charge;
    for (let k = 0; k < factors.length; k++) {
      weight *= power * (factors[k] as number);
      charge -= 1;
      weights += weight;
      charges += weight * (squared ? charge * charge : charge);
    }
    sum += (total * charges) / weights;
  }
  return sum;
}

/** a(H)·[A]·γ(z−1) / ([HA]·γ(z)) = Ka, so the constant in concentrations moves by ((z−1)² − z²)·activity. */
function stepConstant(pKa: number, charge: number, activity: number): number {
  return pKa - ((charge - 1) ** 2 - charge ** 2) * activity;
}
