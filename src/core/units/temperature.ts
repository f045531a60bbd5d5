/** Offset of the Celsius scale from absolute zero, K. Source: SI Brochure, 9th edition (2019), 2.3.1. */
export const CELSIUS_ZERO_K = 273.15;

/**
 * Converts a temperature from °C to °F.
 * @param temperatureC temperature, °C; any finite number
 * @returns temperature, °F. Source: NIST SP 811 (2008), appendix B.
 * @example celsiusToFahrenheit(20) // 68
 */
export function celsiusToFahrenheit(temperatureC: number): number {
  return temperatureC * 1.8 + 32;
}

/**
 * Converts a temperature from °F to °C.
 * @param temperatureF temperature, °F; any finite number
 * @returns temperature, °C. Source: NIST SP 811 (2008), appendix B.
 * @example fahrenheitToCelsius(68) // 20
 */
export function fahrenheitToCelsius(temperatureF: number): number {
  return (temperatureF - 32) / 1.8;
}

/**
 * Converts a temperature from °C to kelvin.
 * @param temperatureC temperature, °C; above −273.15
 * @returns temperature, K. Source: SI Brochure, 9th edition (2019), 2.3.1.
 */
export function celsiusToKelvin(temperatureC: number): number {
  return temperatureC + CELSIUS_ZERO_K;
}
