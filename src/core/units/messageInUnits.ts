import { formatNumber, type UnitChoice } from './quantity';
import { celsiusToFahrenheit } from './temperature';
import { mlToUsFluidOunces } from './volume';

const NUMBER = '[−-]?\\d+(?:\\.\\d+)?';

/**
 * A sentence about a field in the units that the user reads: core says °C and ml.
 * @param message a sentence of core
 * @param units the user's choice
 * @example messageInUnits('Temperature: give a number from 5 to 40 °C.', { temperature: 'F', volume: 'ml' })
 * // 'Temperature: give a number from 41 to 104 °F.'
 */
export function messageInUnits(message: string, units: UnitChoice): string {
  let said = message;
  if (units.temperature === 'F')
    said = replaced(said, '°C', '°F', (value) => formatNumber(celsiusToFahrenheit(value), 0));
  if (units.volume === 'floz')
    said = replaced(said, 'ml', 'fl oz', (value) => String(Number(mlToUsFluidOunces(value).toPrecision(3))));
  return said;
}

function replaced(message: string, unit: string, other: string, convert: (value: number) => string): string {
  const read = (text: string): number => Number(text.replace('−', '-'));
  return message
    .replace(
      new RegExp(`(${NUMBER}) to (${NUMBER}) ${unit}`, 'g'),
      (_, low: string, high: string) => `${convert(read(low))} to ${convert(read(high))} ${other}`,
    )
    .replace(new RegExp(`(${NUMBER}) ${unit}`, 'g'), (_, value: string) => `${convert(read(value))} ${other}`);
}
