import { responsePrior } from './cameraResponse';
import type { CalibrationPair } from './calibrationPairs';
import { NO_LOCAL, USUAL_GLARE, type CameraBelief } from './cameraUnknowns';
import { fitStrip } from './stripFit';
import type { Transfer } from './transfer';

/** Stray light of a scanner, which sees little but the film, as a share of the mean light. Source: our estimate. */
const SCANNER_GLARE = { mean: Math.log(0.0003), sd: Math.log(3) } as const;

/** To six figures: what is kept reads back to the same densities. */
export function keptBelief({ response, lnGlare, local }: CameraBelief): CameraBelief {
  const round = (value: number): number => Number(value.toPrecision(6));
  return {
    response: { mean: response.mean.map(round), covariance: response.covariance.map((row) => row.map(round)) },
    lnGlare: { mean: round(lnGlare.mean), sd: round(lnGlare.sd) },
    ...(local === undefined ? {} : { local }),
  };
}

/**
 * What is believed of a camera of which nothing is known but how its picture is encoded.
 * @param transfer sRGB is what cameras write, with a contrast curve of their own on top
 * Source: our estimate; see `cameraResponse`.
 */
export function unknownCamera(transfer: Transfer): CameraBelief {
  return {
    response: responsePrior(transfer),
    lnGlare: transfer.id === 'linear' ? { ...SCANNER_GLARE } : { ...USUAL_GLARE },
    ...(transfer.id === 'srgb' ? {} : { local: { ...NO_LOCAL } }),
  };
}

/** Light at which cameras show a bare light table, as ln of its value, and what a step of a wedge is good to, D. Source: our estimate. */
const LN_USUAL_LIGHT = Math.log(0.8);
const STEP_SD_D = 0.015;

/**
 * What calibrations from before responses were kept say: densities as read by plain sRGB beside their truth.
 * @param pairs densities as read and as known, three or more
 * Source: `fitStrip`, with the bare light where cameras usually show it.
 */
export function beliefOfPairs(pairs: readonly CalibrationPair[]): CameraBelief {
  const fit = fitStrip(
    [
      {
        patches: pairs.map(({ readD }) => ({ lnValue: LN_USUAL_LIGHT - readD * Math.LN10, lnSe: 0.005 })),
        light: pairs.map(() => ({ lnValue: LN_USUAL_LIGHT, shared: [0.01] })),
        tones: [{ lnValue: LN_USUAL_LIGHT, share: 0.6 }],
        opaque: null,
        lnExposure: null,
      },
    ],
    unknownCamera({ id: 'srgb' }),
    pairs.map(({ knownD }, patch) => ({ patch, unitShare: 0, offsetD: knownD, sdD: STEP_SD_D })),
  );
  return fit.camera;
}
