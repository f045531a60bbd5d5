import { hermite, steffenSlope } from '../inference/monotoneCurve';
import { normalCumulative } from '../inference/normalCumulative';
import { normalQuantile } from '../inference/normalQuantile';
import type { FilmAge } from './ageSchema';
import { storageFactor } from './effectiveAge';
import { FRESH_YEARS } from './rollDating';
import { stayParts } from './storageHistory';

/** How old a film is in effect: a whole distribution, read by its quantiles. */
export interface AgeDistribution {
  /** Effective age at a standard normal position, room-years: 0 is the median, rising with the position. */
  at: (position: number) => number;
  /** Median effective age, room-years. */
  medianRoomYears: number;
  /** Whether anything about the age is in doubt. */
  inDoubt: boolean;
  /** Median of the calendar years that count. */
  calendarYears: number;
}

/** Positions at which the quantiles are tabulated: they are read by a smooth curve between. */
const FIRST = -3;
const STEPS_IN_ONE = 4;
const POSITIONS = Float64Array.from(
  { length: 1 - 2 * FIRST * STEPS_IN_ONE },
  (_, index) => FIRST + index / STEPS_IN_ONE,
);
const PROBABILITIES = POSITIONS.map((position) => normalCumulative(position));

/** Equal strips of probability by which a normal doubt is mixed in. Source: our choice: 3 % of the quantiles at the most. */
const STRIPS = 15;
const STRIP_MIDDLES = Array.from({ length: STRIPS }, (_, n) => normalQuantile((n + 0.5) / STRIPS));

/** Distributions by the age that they were worked out from: pages ask for the same one many times. */
const known = new WeakMap<FilmAge, AgeDistribution>();

/**
 * The effective age of a film as a distribution: every year of the window is carried through the storage, the doubt about
 * the temperatures is mixed in, and the mixture is kept by its quantiles.
 * @param age what is known of the age
 * @returns the distribution. Source: mixture of the years by their weights; storage by the Arrhenius form, our coefficient.
 */
export function ageDistribution(age: FilmAge): AgeDistribution {
  const before = known.get(age);
  if (before !== undefined) return before;
  const made = age.dated === undefined ? fromStorage(age) : fromWindow(age.dated);
  known.set(age, made);
  return made;
}

/** A possible age, and how likely it is. */
interface Possible {
  roomYears: number;
  calendarYears: number;
  weight: number;
  /** Sd of ln(room-years) that the temperatures leave. */
  lnSd: number;
}

function fromWindow({ made, stays, nowYear }: NonNullable<FilmAge['dated']>): AgeDistribution {
  return distributionOf(
    made.map(({ year, weight }): Possible => {
      const parts = stayParts(stays, year + FRESH_YEARS, nowYear);
      const roomYears = parts.reduce((sum, part) => sum + part.roomYears, 0);
      return {
        roomYears,
        calendarYears: Math.max(0, nowYear - year - FRESH_YEARS),
        weight,
        lnSd: temperatureLnSd(
          stays.map(({ temperatureC, temperatureSdC }, index) => ({
            temperatureC,
            temperatureSdC,
            roomYears: (parts[index] as (typeof parts)[number]).roomYears,
          })),
          roomYears,
        ),
      };
    }),
  );
}

function fromStorage({ storage, yearsSd }: FilmAge): AgeDistribution {
  const parts = storage.map((segment) => ({
    ...segment,
    roomYears: segment.years * storageFactor(segment.temperatureC, segment.humid),
  }));
  const roomYears = parts.reduce((sum, part) => sum + part.roomYears, 0);
  const calendarYears = storage.reduce((sum, { years }) => sum + years, 0);
  const lnSd = temperatureLnSd(parts, roomYears);
  if (yearsSd === 0 || calendarYears === 0) return distributionOf([{ roomYears, calendarYears, weight: 1, lnSd }]);
  return distributionOf(
    STRIP_MIDDLES.map((position): Possible => {
      const years = Math.max(0, calendarYears + yearsSd * position);
      return { roomYears: (roomYears * years) / calendarYears, calendarYears: years, weight: 1 / STRIPS, lnSd };
    }),
  );
}

/** To first order, with the errors of different places independent. */
function temperatureLnSd(
  parts: readonly { temperatureC: number; temperatureSdC: number; roomYears: number }[],
  roomYears: number,
): number {
  if (roomYears <= 0) return 0;
  const squares = parts.reduce((sum, { temperatureC, temperatureSdC, roomYears: own }) => {
    if (own === 0 || temperatureSdC === 0) return sum;
    const [warm, cold] = [temperatureC + temperatureSdC, temperatureC - temperatureSdC];
    const lnSd = Math.log(storageFactor(warm, false) / storageFactor(cold, false)) / 2;
    return sum + ((own / roomYears) * lnSd) ** 2;
  }, 0);
  return Math.sqrt(squares);
}

function distributionOf(possible: readonly Possible[]): AgeDistribution {
  const byYears = [...possible].sort((a, b) => a.calendarYears - b.calendarYears);
  const calendarYears = quantileOf(
    byYears.map(({ calendarYears: value, weight }) => ({ value, weight })),
    0.5,
  );
  const only = possible[0];
  if (possible.length === 1 && only !== undefined && (only.lnSd === 0 || only.roomYears === 0)) {
    const { roomYears } = only;
    return { at: () => roomYears, medianRoomYears: roomYears, inDoubt: false, calendarYears };
  }
  if (possible.length === 1 && only !== undefined) {
    const { roomYears, lnSd } = only;
    return {
      at: (position) => roomYears * Math.exp(lnSd * position),
      medianRoomYears: roomYears,
      inDoubt: true,
      calendarYears,
    };
  }
  const mixed = possible
    .flatMap(({ roomYears, weight, lnSd }) =>
      lnSd === 0
        ? [{ value: roomYears, weight }]
        : STRIP_MIDDLES.map((position) => ({ value: roomYears * Math.exp(lnSd * position), weight: weight / STRIPS })),
    )
    .sort((a, b) => a.value - b.value);
  const table = quantilesOf(mixed, PROBABILITIES);
  const at = curveOf(table);
  return {
    at,
    medianRoomYears: at(0),
    inDoubt: (table.at(-1) ?? 0) > (table[0] as number),
    calendarYears,
  };
}

interface Weighed {
  value: number;
  weight: number;
}

/** Quantiles of weighed values in rising order: each value stands in the middle of its own strip of probability. */
function quantilesOf(sorted: readonly Weighed[], probabilities: Float64Array): Float64Array {
  const total = sorted.reduce((sum, { weight }) => sum + weight, 0);
  let index = 0;
  let below = 0;
  const middleOf = (at: number): number => (below + (sorted[at]?.weight ?? 0) / 2) / total;
  return probabilities.map((p) => {
    while (index + 1 < sorted.length) {
      const next = (below + (sorted[index]?.weight ?? 0) + (sorted[index + 1]?.weight ?? 0) / 2) / total;
      if (next > p) break;
      below += sorted[index]?.weight ?? 0;
      index += 1;
    }
    const low = sorted[index] as Weighed;
    const high = sorted[index + 1];
    const from = middleOf(index);
    if (high === undefined || p <= from) return low.value;
    const to = (below + low.weight + high.weight / 2) / total;
    return low.value + ((p - from) / (to - from)) * (high.value - low.value);
  });
}

function quantileOf(sorted: readonly Weighed[], p: number): number {
  return quantilesOf(sorted, Float64Array.of(p))[0] as number;
}

/**
 * Reads a table over the positions by a smooth curve that rises where it does, and goes on straight beyond its ends.
 * Corners would stop a fit of many rolls short of its minimum.
 */
function curveOf(table: Float64Array): (position: number) => number {
  const last = table.length - 1;
  const value = (index: number): number => table[index] as number;
  // Slopes per step of the table.
  const slopes = table.map((_, index) => {
    if (index === 0) return value(1) - value(0);
    if (index === last) return value(last) - value(last - 1);
    return steffenSlope(value(index) - value(index - 1), value(index + 1) - value(index));
  });
  const slope = (index: number): number => slopes[index] as number;
  return (position) => {
    const at = (position - FIRST) * STEPS_IN_ONE;
    if (at <= 0) return Math.max(0, value(0) + at * slope(0));
    if (at >= last) return value(last) + (at - last) * slope(last);
    const below = Math.min(last - 1, Math.floor(at));
    return hermite(at - below, value(below), value(below + 1), slope(below), slope(below + 1));
  };
}
