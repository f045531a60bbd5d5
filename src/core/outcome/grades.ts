/** Contrast by eye, from much too soft to much too hard. */
export const contrastGrades = {
  '-2': 'Much too soft',
  '-1': 'A little soft',
  '0': 'As wanted',
  '1': 'A little hard',
  '2': 'Much too hard',
} as const;

export const fogGrades = {
  clear: 'Clear',
  slight: 'Slight fog',
  strong: 'Strong fog',
  heavy: 'Hides the image',
} as const;
/** The fog as a part of a sentence. */
export const fogWords: Record<keyof typeof fogGrades, string> = {
  clear: 'no fog',
  slight: 'slight fog',
  strong: 'strong fog',
  heavy: 'fog hides the image',
};
export const shadowGrades = { open: 'Open', thin: 'Thin', lost: 'Lost' } as const;
export const evennessGrades = { even: 'Even', uneven: 'Uneven', streaked: 'Streaked' } as const;

/** Defects that a user may tick. */
export const defects = {
  'air-bells': 'Air bells',
  dust: 'Dust',
  'rem-jet-smear': 'Black smears from the backing',
  stain: 'Stain',
  scratches: 'Scratches',
  reticulation: 'Reticulation',
  'drying-marks': 'Drying marks',
  'no-image': 'No image at all',
  black: 'Black with fog',
} as const;

export type DefectId = keyof typeof defects;

/** Whether a film has an image: none on clear film and none on black film are two answers. */
export const images = {
  there: 'An image',
  clear: 'None: the film is clear',
  black: 'None: the film is black',
} as const;
export type ImageId = keyof typeof images;

/**
 * What a verdict says of the image.
 * @param defects the defects that it names
 * @example imageOf(['no-image', 'black']) // 'black'
 */
export function imageOf(found: readonly DefectId[]): ImageId {
  if (!found.includes('no-image')) return 'there';
  return found.includes('black') ? 'black' : 'clear';
}

/** Fog that hides every image, D above a clear base: such film has as much, or more. Source: our estimate. */
export const BLACK_FOG_D = 1.2;

/** Age fog of each grade, D above a clear base. Source: our estimate. */
export const fogGradeD = { clear: 0.05, slight: 0.2, strong: 0.5, heavy: 0.9 } as const satisfies Record<
  keyof typeof fogGrades,
  number
>;

/** A grade of contrast as ln of the gradient. Source: our estimate. */
export const LN_GRADIENT_PER_GRADE = 0.18;
