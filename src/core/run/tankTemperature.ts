import { integral } from '../inference/quadrature';
import { temperatureRate } from '../thermal/arrhenius';
import { driftTemperature } from '../thermal/drift';

/** A thermometer reading in the tank. */
export interface TankReading {
  /** Seconds since the developer went in. */
  atS: number;
  celsius: number;
}

/** What decides how warm a tank is, before and between its readings. */
export interface TankBath {
  /** Temperature when it was poured in, °C. */
  startC: number;
  /** Room temperature, °C; null for a bath that holds its temperature. */
  ambientC: number | null;
  /** Time constant, min; above 0. */
  timeConstantMin: number;
}

/** Readings closer together than this are one, corrected, s. Source: our choice. */
const SAME_READING_S = 20;

/**
 * How warm a tank is in the course of its development. A reading takes the place of the model up to its moment, in a straight line
 * from what was known before; after the last one the bath drifts on from there.
 */
export class TankTemperature {
  /** What is known, in order of time: the pouring in, and every reading. */
  private readonly anchors: readonly TankReading[];
  private readonly bath: TankBath;

  /**
   * @param bath how it was poured in
   * @param readings in any order; of two within 20 s the later counts
   */
  constructor(bath: TankBath, readings: readonly TankReading[] = []) {
    this.bath = bath;
    const sorted = [...readings].filter(({ atS }) => atS >= 0).sort((a, b) => a.atS - b.atS);
    const kept = sorted.filter(({ atS }, index) => (sorted[index + 1]?.atS ?? Infinity) - atS > SAME_READING_S);
    // A reading at the pouring in is the temperature of the pouring in.
    const first = kept[0];
    this.anchors =
      first !== undefined && first.atS <= SAME_READING_S
        ? [{ ...first, atS: 0 }, ...kept.slice(1)]
        : [{ atS: 0, celsius: bath.startC }, ...kept];
  }

  /**
   * Temperature at a moment.
   * @param s seconds since the developer went in; 0 or more
   * @returns °C. Source: Newton's law of cooling after the last reading.
   */
  at(s: number): number {
    const next = this.anchors.findIndex(({ atS }) => atS > s);
    const from = this.anchors[(next < 0 ? this.anchors.length : next) - 1] ?? { atS: 0, celsius: this.bath.startC };
    const to = next < 0 ? undefined : this.anchors[next];
    if (to !== undefined) return from.celsius + ((to.celsius - from.celsius) * (s - from.atS)) / (to.atS - from.atS);
    const { ambientC, timeConstantMin } = this.bath;
    if (ambientC === null) return from.celsius;
    return driftTemperature({ startC: from.celsius, ambientC, timeConstantMin }, (s - from.atS) / 60);
  }

  /** The moments between which it runs smoothly, s. */
  get moments(): number[] {
    return this.anchors.map(({ atS }) => atS);
  }
}

/** Longest stretch that is integrated at once, s. */
const STRETCH_S = 600;

/**
 * Development dose of a tank, as minutes at a temperature: ∫ r(T(τ))/r(T_ref) dτ.
 * @param tank how warm it is
 * @param q10 rate at 30 °C ÷ rate at 20 °C; above 0
 * @param referenceC temperature at which a minute counts as a minute, °C
 * @param untilS seconds since the developer went in; 0 or more
 * @returns min at the reference temperature. Source: dose integral of the Arrhenius rate, by Gauss–Legendre quadrature.
 * @example tankDose(new TankTemperature({ startC: 20, ambientC: null, timeConstantMin: 55 }), 2.2, 20, 600) // 10
 */
export function tankDose(tank: TankTemperature, q10: number, referenceC: number, untilS: number): number {
  const ends = [...tank.moments.filter((s) => s > 0 && s < untilS), untilS];
  let sum = 0;
  let fromS = 0;
  for (const toS of ends) {
    const stretches = Math.max(1, Math.ceil((toS - fromS) / STRETCH_S));
    const stretchS = (toS - fromS) / stretches;
    for (let at = 0; at < stretches; at++)
      sum += integral(
        (s) => temperatureRate(tank.at(s), q10, referenceC),
        fromS + at * stretchS,
        fromS + (at + 1) * stretchS,
      );
    fromS = toS;
  }
  return sum / 60;
}

/** Newton steps, and how near is near enough, s. */
const STEPS = 12;
const NEAR_S = 0.01;

/**
 * When a tank has given a dose.
 * @param tank how warm it is
 * @param q10 rate at 30 °C ÷ rate at 20 °C; above 0
 * @param referenceC temperature at which a minute counts as a minute, °C
 * @param doseMin wanted dose, min at the reference temperature; 0 or more
 * @returns seconds since the developer went in, to a hundredth
 */
export function timeOfDose(tank: TankTemperature, q10: number, referenceC: number, doseMin: number): number {
  let s = doseMin * 60;
  for (let step = 0; step < STEPS; step++) {
    const missing = (doseMin - tankDose(tank, q10, referenceC, s)) * 60;
    const next = Math.max(0, s + missing / temperatureRate(tank.at(s), q10, referenceC));
    if (Math.abs(next - s) < NEAR_S) return next;
    s = next;
  }
  return s;
}
