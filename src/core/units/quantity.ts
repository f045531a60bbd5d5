import { minutesToInput, parseMinutes } from './duration';
import { parseShutter, shutterText } from './shutter';
import { failure, success, type Result } from '../schema/result';
import { celsiusToFahrenheit, fahrenheitToCelsius } from './temperature';
import { threeFigures } from './threeFigures';
import { mlToUsFluidOunces, usFluidOuncesToMl } from './volume';

/** How a user wants to read and type quantities. */
export interface UnitChoice {
  temperature: 'C' | 'F';
  volume: 'ml' | 'floz';
}

interface Unit {
  /** As printed after the number. */
  symbol: string;
  /** What a user may type after a number to mean this unit, lower case. */
  suffixes: readonly string[];
  decimals: number;
  /** A unit so large that small amounts need more digits: three figures of them. */
  large?: true;
  toBase: (value: number) => number;
  fromBase: (value: number) => number;
}

const same = (value: number): number => value;
const plain = (symbol: string, suffixes: readonly string[], decimals: number): Unit => ({
  symbol,
  suffixes,
  decimals,
  toBase: same,
  fromBase: same,
});

/** Every kind of quantity that a field can hold; the first unit of each is the base unit that is stored. */
export const quantityKinds = {
  temperature: [
    plain('°C', ['c', '°c', 'degc'], 1),
    {
      symbol: '°F',
      suffixes: ['f', '°f', 'degf'],
      decimals: 1,
      toBase: fahrenheitToCelsius,
      fromBase: celsiusToFahrenheit,
    },
  ],
  /** A difference of temperatures. */
  temperatureStep: [
    plain('°C', ['c', '°c', 'degc'], 2),
    {
      symbol: '°F',
      suffixes: ['f', '°f', 'degf'],
      decimals: 2,
      toBase: (v: number) => v / 1.8,
      fromBase: (v: number) => v * 1.8,
    },
  ],
  volume: [
    plain('ml', ['ml'], 0),
    {
      symbol: 'fl oz',
      suffixes: ['floz', 'fl oz', 'oz'],
      decimals: 1,
      large: true,
      toBase: usFluidOuncesToMl,
      fromBase: mlToUsFluidOunces,
    },
    {
      symbol: 'l',
      suffixes: ['l', 'litre', 'liter'],
      decimals: 3,
      toBase: (v: number) => v * 1000,
      fromBase: (v: number) => v / 1000,
    },
  ],
  mass: [
    plain('g', ['g', 'gram', 'grams'], 1),
    { symbol: 'kg', suffixes: ['kg'], decimals: 3, toBase: (v: number) => v * 1000, fromBase: (v: number) => v / 1000 },
  ],
  milligrams: [plain('mg', ['mg'], 0)],
  percent: [plain('%', ['%', 'percent'], 0)],
  tablets: [plain('tablets', ['tablets', 'tablet'], 1)],
  money: [plain('', [], 2)],
  concentration: [plain('g/l', ['g/l', 'g'], 1)],
  volumeConcentration: [plain('ml/l', ['ml/l', 'ml'], 0)],
  minutes: [
    plain('min', ['min', 'm'], 1),
    {
      symbol: 's',
      suffixes: ['s', 'sec'],
      decimals: 0,
      toBase: (v: number) => v / 60,
      fromBase: (v: number) => v * 60,
    },
  ],
  seconds: [plain('s', ['s', 'sec', 'seconds'], 0)],
  /** An exposure time, as a shutter has it. */
  shutter: [plain('s', ['s', 'sec'], 3)],
  hours: [plain('h', ['h'], 1)],
  year: [plain('', [], 0)],
  count: [plain('', [], 0)],
  parts: [plain('parts', ['parts', 'part'], 1)],
  iso: [plain('ISO', ['iso'], 0)],
  fNumber: [plain('', [], 1)],
  stops: [plain('stops', ['stop', 'stops'], 1)],
  gradient: [plain('', [], 2)],
  density: [plain('D', ['d'], 2)],
} as const satisfies Record<string, readonly Unit[]>;

export type QuantityKind = keyof typeof quantityKinds;

/**
 * The unit in which a user reads a kind of quantity.
 * @param kind kind of quantity
 * @param choice the user's setting
 */
export function displayUnit(kind: QuantityKind, choice: UnitChoice): Unit {
  const units: readonly Unit[] = quantityKinds[kind];
  const wanted =
    (kind === 'temperature' || kind === 'temperatureStep') && choice.temperature === 'F'
      ? 1
      : kind === 'volume' && choice.volume === 'floz'
        ? 1
        : 0;
  return units[wanted] ?? (units[0] as Unit);
}

/**
 * Writes a quantity in the user's unit with the unit's symbol.
 * @param value value in the base unit of its kind
 * @param kind kind of quantity
 * @param choice the user's setting
 * @param decimals digits after the point, when other than usual for the unit. Fluid ounces show three figures, one digit at least: a tenth of one is 3 ml.
 * @example formatQuantity(20, 'temperature', { temperature: 'F', volume: 'ml' }) // '68.0 °F'
 */
export function formatQuantity(value: number, kind: QuantityKind, choice: UnitChoice, decimals?: number): string {
  const unit = displayUnit(kind, choice);
  const shown = unit.fromBase(value);
  const usual = unit.large ? Math.max(unit.decimals, threeFigures(shown)) : unit.decimals;
  const text = formatNumber(shown, decimals ?? usual);
  return unit.symbol === '' ? text : `${text} ${unit.symbol}`;
}

/**
 * Writes a number with a true minus sign.
 * @param value number
 * @param decimals digits after the point
 */
export function formatNumber(value: number, decimals: number): string {
  const text = Math.abs(value).toFixed(decimals);
  return value < 0 && Number(text) !== 0 ? `−${text}` : text;
}

/**
 * The text to put into an empty field for a stored value: the user's unit, no symbol, no padding zeros.
 * @param value value in the base unit
 */
export function quantityToInput(value: number, kind: QuantityKind, choice: UnitChoice): string {
  if (kind === 'minutes') return minutesToInput(value);
  if (kind === 'shutter') return shutterText(value);
  const unit = displayUnit(kind, choice);
  // A value typed in the unit it is stored in comes back as typed; a converted one is rounded.
  const shown = unit.fromBase(value);
  const digits = unit.fromBase === same ? 6 : Math.max(unit.decimals, 2, unit.large ? threeFigures(shown) : 0);
  return String(Number(shown.toFixed(digits)));
}

/**
 * Reads what a user typed as a quantity: comma or point, with or without a unit of the same kind.
 * @param text what was typed
 * @param kind kind of quantity
 * @param choice the user's setting, used when no unit was typed
 * @param path path for a problem
 * @returns value in the base unit, or a problem that says what was not understood
 * @example parseQuantity('68 F', 'temperature', { temperature: 'C', volume: 'ml' }) // { ok: true, value: 20 }
 */
export function parseQuantity(text: string, kind: QuantityKind, choice: UnitChoice, path = ''): Result<number> {
  if (kind === 'shutter' && text.trim() !== '') {
    const seconds = parseShutter(text);
    return seconds === null
      ? failure({ path, message: `“${text.trim()}” is not an exposure time: type 1/125, 4 s or 2 min.` })
      : success(seconds);
  }
  if (kind === 'minutes' && text.trim() !== '') {
    const minutes = parseMinutes(text);
    return minutes === null
      ? failure({ path, message: `“${text.trim()}” is not a time: type 12, 7:30, 7 min 30 s, 450 s or 1 h.` })
      : success(minutes);
  }
  const match = /^\s*([-−+]?)\s*(\d+(?:[.,]\d+)?|[.,]\d+)\s*([^\d]*?)\s*$/u.exec(text);
  if (match === null) {
    return failure({
      path,
      message:
        text.trim() === ''
          ? 'This is empty: type a number.'
          : `“${text.trim()}” is not a number: type digits, such as 20 or 20.5.`,
    });
  }
  const [, sign = '', digits = '', suffix = ''] = match;
  const magnitude = Number(digits.replace(',', '.'));
  const value = sign === '-' || sign === '−' ? -magnitude : magnitude;
  if (suffix === '') return success(displayUnit(kind, choice).toBase(value));
  const units: readonly Unit[] = quantityKinds[kind];
  const typed = suffix.toLowerCase();
  const unit = units.find(
    (candidate) => candidate.suffixes.includes(typed) || candidate.symbol.toLowerCase() === typed,
  );
  if (unit === undefined) {
    const known = units.map((candidate) => candidate.symbol).filter((symbol) => symbol !== '');
    const advice = known.length === 0 ? 'type the number alone' : `use ${known.join(' or ')}, or the number alone`;
    return failure({ path, message: `“${suffix}” is not a unit for this: ${advice}.` });
  }
  return success(unit.toBase(value));
}
