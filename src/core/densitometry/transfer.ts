/** How code values of a picture stand for light. */
export type Transfer = { id: 'srgb' } | { id: 'gamma'; gamma: number } | { id: 'linear' };

export const transferIds = ['srgb', 'gamma', 'linear'] as const;

/**
 * Light that a code value stands for.
 * @param code code value as a share of the largest, 0 to 1
 * @param transfer how the picture is encoded; a gamma lies above 0
 * @returns linear light as a share of white, 0 to 1
 * Source: sRGB after IEC 61966-2-1; a plain power for gamma.
 * @example linearOf(0.5, { id: 'srgb' }) // 0.214
 */
export function linearOf(code: number, transfer: Transfer): number {
  switch (transfer.id) {
    case 'srgb':
      return code <= 0.04045 ? code / 12.92 : ((code + 0.055) / 1.055) ** 2.4;
    case 'gamma':
      return code ** transfer.gamma;
    case 'linear':
      return code;
  }
}

/** Light by code value, for the picture that was looked at last: a picture is asked for millions of times. */
let lastTable = { key: '', light: new Float64Array(0) };

/**
 * Light that the code values of a picture stand for, looked up.
 * @param maximum largest code value, above 0
 * @param transfer how the picture is encoded
 * @returns linear light of a code, 0 to `maximum`, as `linearOf` has it
 */
export function lightOfCodes(maximum: number, transfer: Transfer): (code: number) => number {
  const key = `${transfer.id} ${transfer.id === 'gamma' ? transfer.gamma : ''} ${maximum}`;
  if (lastTable.key !== key) {
    const light = new Float64Array(Math.floor(maximum) + 1);
    for (let code = 0; code < light.length; code++) light[code] = linearOf(code / maximum, transfer);
    lastTable = { key, light };
  }
  const { light } = lastTable;
  // Pictures that were reduced have values between the codes.
  return (code) => light[code] ?? linearOf(code / maximum, transfer);
}

/**
 * Code value for a light: the way back of `linearOf`.
 * @param linear linear light as a share of white, 0 to 1
 * @param transfer how the picture is to be encoded
 * @returns code value as a share of the largest, 0 to 1
 * Source: sRGB after IEC 61966-2-1; a plain power for gamma.
 * @example encodedOf(0.214, { id: 'srgb' }) // 0.5
 */
export function encodedOf(linear: number, transfer: Transfer): number {
  switch (transfer.id) {
    case 'srgb':
      return linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055;
    case 'gamma':
      return linear ** (1 / transfer.gamma);
    case 'linear':
      return linear;
  }
}
