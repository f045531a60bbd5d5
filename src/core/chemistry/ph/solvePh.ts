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

/** Halvings of the pH range: 40 leave 1.5e-11. */
const HALVINGS = 40;

/** Rounds in which pH and ionic strength settle. */
const ROUNDS = 12;
const SETTLED_PH = 1e-6;

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
    const activity = davies(ionicStrength);
    const before = ph;
    ph = balance(present, solution.strongCharge, activity);
    ionicStrength = solution.strongIons / 2 + halfSquares(present, ph, activity);
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
    // a(H)·[A]·γ(z−1) / ([HA]·γ(z)) = Ka, so the constant in concentrations moves by ((z−1)² − z²)·activity.
    const shifted = pKa - ((charge - 1) ** 2 - charge ** 2) * activity;
    weights.push((weights.at(-1) ?? 1) * 10 ** (ph - shifted));
    charge -= 1;
  }
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return weights.map((weight) => weight / sum);
}

type Present = readonly { system: AcidSystem; total: number }[];

function balance(present: Present, strongCharge: number, activity: number): number {
  const single = 10 ** activity;
  let low = LOWEST_PH;
  let high = HIGHEST_PH;
  for (let step = 0; step < HALVINGS; step++) {
    const ph = (low + high) / 2;
    let charge = strongCharge + (10 ** -ph - 10 ** (ph - PK_WATER)) * single;
    for (const { system, total } of present) {
      const fractions = ionisedFractions(system, ph, activity);
      for (let k = 0; k < fractions.length; k++) charge += total * (fractions[k] ?? 0) * (system.chargeProtonated - k);
    }
    if (charge > 0) low = ph;
    else high = ph;
  }
  return (low + high) / 2;
}

function halfSquares(present: Present, ph: number, activity: number): number {
  const single = 10 ** activity;
  let sum = (10 ** -ph + 10 ** (ph - PK_WATER)) * single;
  for (const { system, total } of present) {
    const fractions = ionisedFractions(system, ph, activity);
    for (let k = 0; k < fractions.length; k++) sum += total * (fractions[k] ?? 0) * (system.chargeProtonated - k) ** 2;
  }
  return sum / 2;
}
