import type { ResponseBelief } from './cameraResponse';

/** What is believed of a camera: its response, and the glare of its lens and its place. */
export interface CameraBelief {
  response: ResponseBelief;
  lnGlare: { mean: number; sd: number };
  /** How much it brightens dark neighbourhoods: the power of their light that it takes off. Missing for what is usual. */
  local?: { mean: number; sd: number };
}

/** Local tone mapping of cameras, a power. Source: our estimate. */
export const USUAL_LOCAL = { mean: 0.013, sd: 0.015 } as const;

/** A scan, and a raw file that was developed plainly, have none. */
export const NO_LOCAL = { mean: 0, sd: 0.0005 } as const;

/** Veiling glare of a camera on a light table, as a share of the mean light. Source: our estimate. */
export const USUAL_GLARE = { mean: Math.log(0.0095), sd: Math.log(1.8) } as const;
