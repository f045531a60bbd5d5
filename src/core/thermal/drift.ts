import { integral } from '../inference/quadrature';
import { temperatureRate } from './arrhenius';

/** Time in which a 500 ml plastic tank in air loses 63 % of its distance to the room, min. Source: our estimate, ± 30 %. */
export const TANK_TIME_CONSTANT_MIN = 55;
export const TANK_TIME_CONSTANT_LN_SD = 0.3;

/** Volume that the time constant is stated for, ml. */
const STATED_VOLUME_ML = 500;

/** A bath that drifts towards its surroundings. */
export interface Drift {
  /** Temperature when it is poured in, °C. */
  startC: number;
  /** Room temperature, °C. */
  ambientC: number;
  /** Time constant, min; above 0. */
  timeConstantMin: number;
}

/**
 * Time constant of a tank in air: it grows with volume over surface, the cube root of the volume.
 * @param volumeMl solution in the tank, ml; above 0
 * @returns min. Source: Newton's law of cooling for bodies of one shape; 55 min at 500 ml is our estimate.
 * @example tankTimeConstant(1000) // 69.3
 */
export function tankTimeConstant(volumeMl: number): number {
  return TANK_TIME_CONSTANT_MIN * Math.cbrt(volumeMl / STATED_VOLUME_ML);
}

/**
 * Temperature of a drifting bath.
 * @param drift the bath
 * @param timeMin min since it was poured in; 0 or more
 * @returns °C. Source: Newton's law of cooling.
 * @example driftTemperature({ startC: 24, ambientC: 18, timeConstantMin: 55 }, 55) // 20.2
 */
export function driftTemperature({ startC, ambientC, timeConstantMin }: Drift, timeMin: number): number {
  return ambientC + (startC - ambientC) * Math.exp(-timeMin / timeConstantMin);
}

/**
 * Development dose of a drifting bath, as minutes at its start temperature: ∫ r(T(τ))/r(T0) dτ.
 * @param drift the bath
 * @param q10 rate at 30 °C ÷ rate at 20 °C; above 0
 * @param timeMin min since it was poured in; 0 or more
 * @returns min at the start temperature
 * Source: dose integral of the Arrhenius rate; temperature by Newton's law of cooling.
 */
export function driftDose(drift: Drift, q10: number, timeMin: number): number {
  return integral((minute) => temperatureRate(driftTemperature(drift, minute), q10, drift.startC), 0, timeMin);
}

/** Newton steps; each doubles the digits. */
const STEPS = 4;

/**
 * Time at which a drifting bath has given a dose.
 * @param drift the bath
 * @param q10 rate at 30 °C ÷ rate at 20 °C; above 0
 * @param doseMin wanted dose, min at the start temperature; 0 or more
 * @returns min since it was poured in
 * @example timeForDose({ startC: 20, ambientC: 20, timeConstantMin: 55 }, 2.2, 12) // 12
 */
export function timeForDose(drift: Drift, q10: number, doseMin: number): number {
  let timeMin = doseMin;
  for (let step = 0; step < STEPS; step++) {
    const slope = temperatureRate(driftTemperature(drift, timeMin), q10, drift.startC);
    timeMin = Math.max(0, timeMin - (driftDose(drift, q10, timeMin) - doseMin) / slope);
  }
  return timeMin;
}
