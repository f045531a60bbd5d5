import { SHUTTER_LN_SD } from './cameraExposure';
import { responseOf } from './cameraResponse';
import type { CameraBelief } from './cameraUnknowns';
import type { PictureRead } from './pictureRead';
import { fitStrip, type StripFit } from './stripFit';

/** What a reading is good to, and what it would be good to with one thing more. */
export interface ReadingGains {
  /** Spread of ln(density range) from the thinnest patch to the densest: that of the gradient, nearly. */
  now: number;
  /** With another exposure two stops darker, its times written down by the camera. */
  exposure: number;
  /** With something opaque beside the film. */
  coin: number;
}

/** Two stops, ln. */
const LN_TWO_STOPS = 2 * Math.LN2;

/**
 * What one more picture, or a coin in this one, would win: the same fit with what they would show added.
 * @param pictures what was read
 * @param camera what is believed of the camera
 * @param fit what they say of the strip
 * @returns spreads, ln; null with fewer than two patches
 * Source: expected information of a measurement by its linearised fit (textbook).
 */
export function readingGains(
  pictures: readonly PictureRead[],
  camera: CameraBelief,
  fit: StripFit,
): ReadingGains | null {
  const now = rangeLnSd(fit);
  const [first] = pictures.filter(({ light }) => light !== null);
  if (now === null || first?.light == null) return null;
  const response = responseOf(fit.camera.response.mean);
  const lightOf = (lnValue: number): number => Math.exp(response.lnLight(Math.exp(lnValue)));
  const glare = Math.exp(fit.camera.lnGlare.mean);
  const veil = glare * first.tones.reduce((sum, { lnValue, share }) => sum + share * lightOf(lnValue), 0);
  const darker = Math.exp(-LN_TWO_STOPS);
  const shown = (light: number): number => response.lnValueOf(Math.log(light * darker));
  const second: PictureRead = {
    patches: first.patches.map((patch) =>
      patch === null ? null : { lnValue: shown(lightOf(patch.lnValue)), lnSe: 2 * patch.lnSe },
    ),
    light: first.light.map((light) => ({ ...light, lnValue: shown(lightOf(light.lnValue)) })),
    ...(first.lnAround === undefined ? {} : { lnAround: first.lnAround }),
    tones: first.tones.map(({ lnValue, share }) => ({ lnValue: shown(lightOf(lnValue)), share })),
    opaque: null,
    lnExposure: { ln: -LN_TWO_STOPS, sd: SHUTTER_LN_SD },
  };
  const level = { ln: 0, sd: 0 };
  const withExposure = fitStrip([{ ...first, lnExposure: level }, second], camera);
  const withCoin = fitStrip(
    pictures.map((one) =>
      one === first ? { ...one, opaque: { lnValue: response.lnValueOf(Math.log(veil)), lnSe: 0.05 } } : one,
    ),
    camera,
  );
  return { now, exposure: rangeLnSd(withExposure) ?? now, coin: rangeLnSd(withCoin) ?? now };
}

/** Spread of ln(D of the densest − D of the thinnest). */
function rangeLnSd({ densitiesD, covariance }: StripFit): number | null {
  if (densitiesD.length < 2) return null;
  const [thin, dense] = [Math.min(...densitiesD), Math.max(...densitiesD)].map((one) => densitiesD.indexOf(one)) as [
    number,
    number,
  ];
  const range = (densitiesD[dense] as number) - (densitiesD[thin] as number);
  if (range < 0.05) return null;
  return Math.sqrt(covariance.get(dense, dense) + covariance.get(thin, thin) - 2 * covariance.get(dense, thin)) / range;
}
