/** Longest extension for each stop lost, and in all, as shares of the fresh-film time. Source: our estimate. */
export const EXTENSION_PER_STOP = 0.15;
export const EXTENSION_LIMIT = 0.5;

/** How far Extend may go when the user lifts the cap, as a multiple of the fresh-film time. Source: our choice. */
const UNCAPPED_MULTIPLE = 8;

/** Halvings of the interval: 30 leave less than a thousandth of a second of an hour. */
const STEPS = 30;
/** Share of a time to which it is found. Source: our choice: a hundredth of a second in an hour. */
const TOLERANCE = 3e-6;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

export interface Extension {
  timeMin: number;
  /** Whether the wanted net gradient is met at that time. */
  met: boolean;
  /** Whether the cap, not the gradient, decided. */
  capped: boolean;
}

/**
 * The longest time that Extend may take.
 * @param freshTimeMin fresh-film time, min
 * @param lossStops speed lost, stops
 * @param liftCap whether the user lifted the cap
 */
export function extensionLimit(freshTimeMin: number, lossStops: number, liftCap: boolean): number {
  if (liftCap) return freshTimeMin * UNCAPPED_MULTIPLE;
  return freshTimeMin * (1 + Math.min(EXTENSION_LIMIT, EXTENSION_PER_STOP * Math.max(0, lossStops)));
}

/**
 * Time at which a net gradient that rises and later falls first meets a target, not before the fresh-film time and
 * not after a limit. Where the target is not met, the time of the best net gradient within the limit.
 * @param net net gradient as a function of time, min; rises, then may fall
 * @param target wanted net gradient
 * @param freshTimeMin earliest time, min
 * @param limitMin latest time, min
 */
export function extendTime(
  net: (timeMin: number) => number,
  target: number,
  freshTimeMin: number,
  limitMin: number,
): Extension {
  if (net(freshTimeMin) >= target) return { timeMin: freshTimeMin, met: true, capped: false };
  const topMin = net(limitMin) >= target ? limitMin : peakTime(net, freshTimeMin, limitMin);
  if (net(topMin) < target) return { timeMin: topMin, met: false, capped: topMin > limitMin * (1 - 1e-6) };
  return { timeMin: firstMet(net, target, freshTimeMin, topMin), met: true, capped: false };
}

/**
 * Where a rising net gradient meets a target, from above.
 * Source: regula falsi with the Illinois weighting (Dowell and Jarratt 1971, textbook).
 */
function firstMet(net: (timeMin: number) => number, target: number, fromMin: number, toMin: number): number {
  let [low, high] = [fromMin, toMin];
  let [below, above] = [net(low) - target, net(high) - target];
  let last = 0;
  for (let step = 0; step < STEPS && high - low > TOLERANCE * high; step++) {
    const chord = high - (above * (high - low)) / (above - below);
    // A hair beyond the chord: the other side closes in as well.
    const at = Math.min(high - (high - low) * 0.001, chord + TOLERANCE * high * 0.5);
    const value = net(at) - target;
    const side = value < 0 ? -1 : 1;
    if (side < 0) [low, below] = [at, value];
    else [high, above] = [at, value];
    if (side === last && side < 0) above /= 2;
    if (side === last && side > 0) below /= 2;
    last = side;
  }
  return high;
}

function peakTime(net: (timeMin: number) => number, fromMin: number, toMin: number): number {
  if (net(toMin) >= net(toMin - (toMin - fromMin) * 1e-4)) return toMin;
  let low = fromMin;
  let high = toMin;
  for (let step = 0; step < STEPS; step++) {
    const a = high - GOLDEN * (high - low);
    const b = low + GOLDEN * (high - low);
    if (net(a) < net(b)) low = a;
    else high = b;
  }
  return (low + high) / 2;
}
