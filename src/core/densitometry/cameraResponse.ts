import { interpolate } from '../inference/interpolate';
import { normalPoints } from '../inference/quasiRandom';
import { encodedOf, linearOf, type Transfer } from './transfer';

/**
 * How a camera’s code values stand for light: the slope d ln(light) / d ln(value) at tones from black to white, where the value is
 * the code undone by its declared encoding. 1 everywhere is a camera that keeps to its encoding.
 *
 * Source: that responses of cameras form a narrow family is published (Grossberg and Nayar 2003, What is the space of camera
 * response functions?). The figures of this family are our estimate.
 */

/** Tones at which the slope is held, as codes of sRGB; straight lines between. */
const KNOTS = [0.03, 0.1, 0.2, 0.32, 0.45, 0.58, 0.7, 0.8, 0.88, 0.95, 1] as const;
export const RESPONSE_SIZE = KNOTS.length;

/** What is believed of the ln slopes: their mean and covariance. */
export interface ResponseBelief {
  mean: number[];
  covariance: number[][];
}

/** No camera's ln slope is farther from nought; beyond it a fit has gone astray. Source: our choice. */
const MOST_LN_SLOPE = 2.5;

/** Darkest value that is followed, and in how many steps. */
const LN_DARKEST = Math.log(1 / 4096);
const NODES = 192;
const STEP = -LN_DARKEST / (NODES - 1);

/** Weight of each knot at each node of ln(value), dark to bright. */
const weights: readonly (readonly { knot: number; weight: number }[])[] = Array.from({ length: NODES }, (_, node) => {
  const tone = encodedOf(Math.exp(LN_DARKEST + node * STEP), { id: 'srgb' });
  const above = KNOTS.findIndex((knot) => knot >= tone);
  if (above <= 0) return [{ knot: 0, weight: 1 }];
  const [from, to] = [KNOTS[above - 1] as number, KNOTS[above] as number];
  const share = (tone - from) / (to - from);
  return [
    { knot: above - 1, weight: 1 - share },
    { knot: above, weight: share },
  ];
});

const believable = (lnSlope: number): number => Math.min(MOST_LN_SLOPE, Math.max(-MOST_LN_SLOPE, lnSlope));

/** A response whose light can be asked for. */
export interface Response {
  /** ln(light) of a linear value, against that of white; the value is above 0. */
  lnLight: (value: number) => number;
  /** d ln(light) / d ln(value). */
  slopeAt: (value: number) => number;
  /** ln of the value that shows a light, ln against that of white; the way back of `lnLight`. */
  lnValueOf: (lnLight: number) => number;
}

/**
 * The response of some ln slopes.
 * @param lnSlopes ln of the slope at each knot
 * @returns ln(light) by the integral of the slope. Source: definition.
 */
export function responseOf(lnSlopes: ArrayLike<number>): Response {
  const slopes = weights.map((some) =>
    Math.exp(some.reduce((sum, { knot, weight }) => sum + weight * believable(lnSlopes[knot] as number), 0)),
  );
  const light = new Float64Array(NODES);
  for (let node = NODES - 2; node >= 0; node--)
    light[node] = (light[node + 1] as number) - (STEP * ((slopes[node] ?? 1) + (slopes[node + 1] ?? 1))) / 2;
  const placeOf = (value: number): { node: number; share: number } => {
    const at = Math.min(NODES - 1, Math.max(0, (Math.log(Math.max(value, 1e-9)) - LN_DARKEST) / STEP));
    const node = Math.min(NODES - 2, Math.floor(at));
    return { node, share: at - node };
  };
  return {
    lnLight: (value) => {
      const { node, share } = placeOf(value);
      return (light[node] as number) * (1 - share) + (light[node + 1] as number) * share;
    },
    slopeAt: (value) => {
      const { node, share } = placeOf(value);
      return (slopes[node] ?? 1) * (1 - share) + (slopes[node + 1] ?? 1) * share;
    },
    lnValueOf: (lnLight) =>
      LN_DARKEST +
      STEP *
        interpolate(
          NODES,
          (node) => light[node] as number,
          (node) => node,
          lnLight,
        ),
  };
}

/** Contrast curves of cameras: strength of an S about a middle tone, and a power on top. Source: our estimate. */
const S_STRENGTH = { lnMean: Math.log(1.7), lnSd: 0.55 } as const;
const S_MIDDLE = { mean: 0.45, sd: 0.05 } as const;
const POWER_LN_SD = 0.03;

/**
 * Both ends go their own ways: shadows are lifted or crushed, lights roll off or run into white. Spread of the ln slope at black and
 * at white, and how far along the tones each reaches. Source: our estimate.
 */
const FOOT = { lnMean: 0.15, lnSd: 0.8, reach: 0.07 } as const;
const HEAD = { lnMean: 0.13, lnSd: 0.2, reach: 0.45 } as const;

/** What no such curve says: a slope's own deviation, and how far along the tones it reaches. Source: our estimate. */
const OWN_LN_SD = 0.02;
const OWN_REACH = 0.2;

/** How many curves the family is drawn from. */
const CURVES = 400;

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

const SRGB: Transfer = { id: 'srgb' };

/** ln slopes of one curve: code = S(sRGB code ^ power). */
function lnSlopesOf(strength: number, middle: number, power: number): number[] {
  const [foot, head] = [logistic(-strength * middle), logistic(strength * (1 - middle))];
  const lnLightOf = (code: number): number => {
    const share = foot + code * (head - foot);
    const tone = middle - Math.log(1 / share - 1) / strength;
    return Math.log(linearOf(Math.max(1e-6, tone) ** (1 / power), SRGB));
  };
  return KNOTS.map((knot) => {
    const [low, high] = [Math.max(0.01, knot - 0.01), Math.min(1, knot + 0.01)];
    const rise = lnLightOf(high) - lnLightOf(low);
    return Math.log(Math.max(0.2, rise / Math.log(linearOf(high, SRGB) / linearOf(low, SRGB))));
  });
}

let family: ResponseBelief | null = null;

/** The family of cameras and of programs that develop their pictures: mean and covariance of the ln slopes. */
function cameraFamily(): ResponseBelief {
  if (family !== null) return family;
  const curves = normalPoints(3, CURVES).map(([strength = 0, middle = 0, power = 0]) =>
    lnSlopesOf(
      Math.exp(S_STRENGTH.lnMean + S_STRENGTH.lnSd * strength),
      S_MIDDLE.mean + S_MIDDLE.sd * middle,
      Math.exp(POWER_LN_SD * power),
    ),
  );
  const middle = KNOTS.map((_, knot) => curves.reduce((sum, curve) => sum + (curve[knot] as number), 0) / CURVES);
  const covariance = KNOTS.map((one, a) =>
    KNOTS.map((other, b) => {
      const together =
        curves.reduce(
          (sum, curve) =>
            sum + ((curve[a] as number) - (middle[a] as number)) * ((curve[b] as number) - (middle[b] as number)),
          0,
        ) / CURVES;
      return (
        together +
        FOOT.lnSd ** 2 * Math.exp(-(one + other) / FOOT.reach) +
        HEAD.lnSd ** 2 * Math.exp(-(2 - one - other) / HEAD.reach) +
        OWN_LN_SD ** 2 * Math.exp(-(((one - other) / OWN_REACH) ** 2)) +
        (a === b ? 1e-5 : 0)
      );
    }),
  );
  const mean = KNOTS.map(
    (knot, at) =>
      (middle[at] as number) +
      FOOT.lnMean * Math.exp(-knot / FOOT.reach) +
      HEAD.lnMean * Math.exp(-(1 - knot) / HEAD.reach),
  );
  family = { mean, covariance };
  return family;
}

/** A picture that is declared to keep to a plain encoding, as scanners and raw developers write: how far it does. Source: our estimate. */
const DECLARED_LN_SD = { linear: 0.02, gamma: 0.04 } as const;

/**
 * What is believed of a response before anything was measured.
 * @param transfer how the picture is encoded: sRGB is what cameras write, with a contrast curve of their own on top
 */
export function responsePrior(transfer: Transfer): ResponseBelief {
  if (transfer.id === 'srgb') return cameraFamily();
  const sd = DECLARED_LN_SD[transfer.id];
  return {
    mean: KNOTS.map(() => 0),
    covariance: KNOTS.map((one, a) =>
      KNOTS.map(
        (other, b) => sd ** 2 * (0.7 + 0.3 * Math.exp(-(((one - other) / OWN_REACH) ** 2))) + (a === b ? 1e-7 : 0),
      ),
    ),
  };
}
