import { tankTimeConstant } from './drift';

/** Time constant of 500 ml standing in a water bath, min. Source: our estimate. */
export const BATH_TIME_CONSTANT_MIN = 10;

/** Distance at which a jug counts as arrived, °C. Source: our choice, what a kitchen thermometer shows. */
export const ARRIVED_C = 0.5;

/**
 * Time constant of a jug in a water bath: it grows with volume over surface, as in air.
 * @param volumeMl solution, ml; above 0
 * @returns min. Source: Newton's law of cooling; 10 min at 500 ml is our estimate.
 */
export function bathTimeConstant(volumeMl: number): number {
  return (BATH_TIME_CONSTANT_MIN * tankTimeConstant(volumeMl)) / tankTimeConstant(500);
}

/**
 * Time until a body comes to a temperature on the way to its surroundings.
 * @param fromC temperature now, °C
 * @param toC temperature wanted, °C
 * @param surroundingsC temperature around it, °C
 * @param timeConstantMin min; above 0
 * @returns min; 0 when it is there already, null when it never comes there. Source: Newton's law of cooling.
 * @example coolingTime(40, 20.5, 20, 55) // 203
 */
export function coolingTime(fromC: number, toC: number, surroundingsC: number, timeConstantMin: number): number | null {
  if (Math.abs(fromC - toC) <= ARRIVED_C) return 0;
  // What has the temperature of its surroundings stays there.
  if (fromC === surroundingsC) return null;
  const near = surroundingsC + Math.sign(fromC - surroundingsC) * Math.max(Math.abs(toC - surroundingsC), ARRIVED_C);
  const share = (fromC - surroundingsC) / (near - surroundingsC);
  const wrongSide = (toC - surroundingsC) * (fromC - surroundingsC) < 0 && Math.abs(toC - surroundingsC) > ARRIVED_C;
  if (wrongSide || share < 1) return null;
  return timeConstantMin * Math.log(share);
}

/** The ways to bring a jug to a temperature by waiting. */
export interface Waiting {
  /** Standing in air, min; null when the room does not lead there. */
  inAirMin: number | null;
  /** Standing in a water bath of the wanted temperature, min. */
  inBathMin: number;
  /** Whether the bath saves time worth having. */
  bathIsQuicker: boolean;
}

/** A bath is worth the trouble when it saves this much, min. Source: our choice. */
const WORTH_MIN = 5;

/**
 * How long a jug takes to come to a temperature in air and in a bath.
 * @param fromC temperature now, °C
 * @param toC temperature wanted, °C
 * @param roomC temperature of the room, °C
 * @param volumeMl solution, ml; above 0
 */
export function waitingFor(fromC: number, toC: number, roomC: number, volumeMl: number): Waiting {
  const inAirMin = coolingTime(fromC, toC, roomC, tankTimeConstant(volumeMl));
  const inBathMin = coolingTime(fromC, toC, toC, bathTimeConstant(volumeMl)) ?? 0;
  return { inAirMin, inBathMin, bathIsQuicker: inAirMin === null || inAirMin - inBathMin > WORTH_MIN };
}
