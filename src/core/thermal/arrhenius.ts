import { celsiusToKelvin } from '../units/temperature';

/** Molar gas constant, J/(mol·K). Source: CODATA 2018 (exact since 2019). */
export const GAS_CONSTANT = 8.31446261815324;

/**
 * Activation energy that makes a rate grow by a given factor between 20 and 30 °C.
 * @param q10 rate at 30 °C ÷ rate at 20 °C; above 0
 * @returns activation energy, J/mol. Source: Arrhenius equation, solved for E.
 * @example activationEnergy(2.2) // 58 263
 */
export function activationEnergy(q10: number): number {
  return (GAS_CONSTANT * Math.log(q10)) / (1 / celsiusToKelvin(20) - 1 / celsiusToKelvin(30));
}

/**
 * Rate of development at a temperature relative to another, by Arrhenius.
 * @param temperatureC temperature, °C; 5 to 45
 * @param q10 rate at 30 °C ÷ rate at 20 °C; above 0
 * @param referenceC temperature at which the rate is 1, °C
 * @returns relative rate. Source: Arrhenius equation; Q10 stated between 20 and 30 °C.
 * @example temperatureRate(30, 2.2) // 2.2
 */
export function temperatureRate(temperatureC: number, q10: number, referenceC = 20): number {
  const span = 1 / celsiusToKelvin(20) - 1 / celsiusToKelvin(30);
  return q10 ** ((1 / celsiusToKelvin(referenceC) - 1 / celsiusToKelvin(temperatureC)) / span);
}
