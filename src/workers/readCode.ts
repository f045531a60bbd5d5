import jsQR from 'jsqr';

/** A picture of a camera, as its pixels. */
export interface Frame {
  data: Uint8ClampedArray;
  width: number;
  height: number;
}

/** The text of the square code in a picture; null where there is none that reads. */
export function readCode({ data, width, height }: Frame): string | null {
  return jsQR(data, width, height, { inversionAttempts: 'dontInvert' })?.data ?? null;
}
