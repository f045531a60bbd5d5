import { minutesToInput, readMinutes } from './duration';
import { measureOf, weighed } from './measures';
import { readNumber, type NumberReading } from './readNumber';
import { readYear } from './readYear';
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
  /** Another size that the same word may have, in the base unit, and how that is said. */
  other?: { size: number; says: string };
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
    plain('°C', ['c', '°c', '° c', 'degc', 'celsius', 'degrees c', 'degrees'], 1),
    {
      symbol: '°F',
      suffixes: ['f', '°f', '° f', 'degf', 'fahrenheit', 'degrees f'],
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
  filmLength: [
    plain('m', ['m', 'metre', 'metres', 'meter', 'meters'], 2),
    {
      symbol: 'ft',
      suffixes: ['ft', 'foot', 'feet'],
      decimals: 1,
      toBase: (v: number) => v * 0.3048,
      fromBase: (v: number) => v / 0.3048,
    },
    {
      symbol: 'cm',
      suffixes: ['cm', 'centimetre', 'centimetres'],
      decimals: 0,
      toBase: (v: number) => v / 100,
      fromBase: (v: number) => v * 100,
    },
  ],
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

/** A quantity as it was understood. */
export interface QuantityReading {
  /** In the base unit. */
  value: number;
  /** Whether it was written otherwise than the field writes it, so that what was understood is said beside it. */
  said: boolean;
  /** The other thing that the same words may mean, in the base unit; null where they mean one. */
  other: { value: number; says: string } | null;
}

/** Temperatures from which a bare number in a field of °C is likely one of °F, °C. Source: our choice: no bath is as warm. */
const LIKELY_FAHRENHEIT = { from: 50, to: 110 };

/**
 * Reads what a user typed as a quantity: comma or point, in figures or words, with or without a unit of the same kind.
 * @param text what was typed
 * @param kind kind of quantity
 * @param choice the user's setting, used when no unit was typed
 * @param path path for a problem
 * @param nowYear this year, for years of two figures; without it they are not read
 * @returns the value with the other reading where there is one, or a problem that says what was not understood
 * @example readQuantity('1 gal', 'volume', { temperature: 'C', volume: 'ml' }) // { ok: true, value: { value: 3785.4…, said: true, other: null } }
 */
export function readQuantity(
  text: string,
  kind: QuantityKind,
  choice: UnitChoice,
  path = '',
  nowYear?: number,
): Result<QuantityReading> {
  const plain = text.trim();
  const wrong = (message: string): Result<QuantityReading> => failure({ path, message });
  if (plain === '') return wrong('This is empty: type a number.');
  if (kind === 'shutter') {
    const seconds = parseShutter(plain);
    return seconds === null
      ? wrong(`“${plain}” is not an exposure time: type 1/125, 4 s or 2 min.`)
      : success({ value: seconds, said: false, other: null });
  }
  if (kind === 'minutes') {
    const read = readMinutes(plain);
    return read === null
      ? wrong(`“${plain}” is not a time: type 12, 7:30, 7 min 30 s, 450 s or 1 h.`)
      : success({ value: read.minutes, said: !isFigures(plain) || read.other !== null, other: read.other });
  }
  if (kind === 'year') {
    const read = nowYear === undefined ? null : readYear(plain, nowYear);
    if (read !== null)
      return success({
        value: read.year,
        said: read.filledIn,
        other: read.other === null ? null : { value: read.other, says: String(read.other) },
      });
    if (nowYear !== undefined && !isFigures(plain))
      return wrong(`“${plain}” is not a date: type 1989, '89, 03/89 or March 1989.`);
  }
  const [, sign = '', size = ''] = /^([-−+]?)\s*(.*)$/su.exec(plain) ?? [];
  const number = readNumber(size);
  if (number === null) return wrong(`“${plain}” is not a number: type digits, such as 20 or 20.5.`);
  const minus = sign === '-' || sign === '−' ? -1 : 1;
  const unit = unitNamed(number.rest, kind, choice);
  if (unit === null) {
    const typed = size.slice(size.length - number.rest.length).trim();
    const known = quantityKinds[kind].map(({ symbol }) => symbol).filter((symbol) => symbol !== '');
    const advice = known.length === 0 ? 'type the number alone' : `use ${known.join(' or ')}, or the number alone`;
    return wrong(`“${typed}” is not a unit for this: ${advice}.`);
  }
  const value = unit.toBase(minus * number.value);
  return success({
    value,
    said: !isFigures(plain) || number.other !== null,
    other: otherQuantity(minus * number.value, number, unit, kind),
  });
}

/** Figures alone, as a field shows them. */
function isFigures(plain: string): boolean {
  return /^[-−+]?\s*(?:\d+(?:[.,]\d*)?|[.,]\d+)$/.test(plain) || /^\d+:\d{2}(?::\d{2})?$/.test(plain);
}

/** The unit that a word names for a kind of quantity; null for a word that names none. */
function unitNamed(word: string, kind: QuantityKind, choice: UnitChoice): Unit | null {
  const typed = word.toLowerCase();
  // Degrees of nothing are those of the field.
  if (typed === '' || typed === '°') return displayUnit(kind, choice);
  const units: readonly Unit[] = quantityKinds[kind];
  const own = units.find(({ suffixes, symbol }) => suffixes.includes(typed) || symbol.toLowerCase() === typed);
  if (own !== undefined) return own;
  const measure = measureOf(typed);
  if (measure === null || (kind !== 'volume' && kind !== 'mass')) return null;
  const fitting = kind === 'mass' ? weighed(measure) : measure;
  if (fitting.of !== kind) return null;
  const { size, otherSize, otherName, name } = fitting;
  return {
    symbol: name,
    suffixes: [],
    decimals: 2,
    toBase: (value) => value * size,
    fromBase: (value) => value / size,
    ...(otherSize === undefined ? {} : { other: { size: otherSize, says: otherName ?? name } }),
  };
}

function otherQuantity(count: number, number: NumberReading, unit: Unit, kind: QuantityKind): QuantityReading['other'] {
  if (number.other !== null) return { value: unit.toBase(number.other), says: `${number.other} ${unit.symbol}`.trim() };
  if (unit.other !== undefined) return { value: count * unit.other.size, says: unit.other.says };
  const bareCelsius = kind === 'temperature' && unit.symbol === '°C' && (number.rest === '' || number.rest === '°');
  if (bareCelsius && count >= LIKELY_FAHRENHEIT.from && count <= LIKELY_FAHRENHEIT.to)
    return { value: fahrenheitToCelsius(count), says: `${count} °F` };
  return null;
}

/**
 * Reads what a user typed as a quantity, and takes what it most likely means.
 * @see readQuantity for what is read
 * @returns value in the base unit, or a problem that says what was not understood
 * @example parseQuantity('68 F', 'temperature', { temperature: 'C', volume: 'ml' }) // { ok: true, value: 20 }
 */
export function parseQuantity(text: string, kind: QuantityKind, choice: UnitChoice, path = ''): Result<number> {
  const read = readQuantity(text, kind, choice, path);
  return read.ok ? success(read.value.value) : read;
}
