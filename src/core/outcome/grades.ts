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
  slight: 'Slight veil',
  strong: 'Strong veil',
  heavy: 'Hides the image',
} as const;
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
} as const;

export type DefectId = keyof typeof defects;

/** Age fog of each grade, D above a clear base. Source: our estimate. */
export const fogGradeD = { clear: 0.05, slight: 0.2, strong: 0.5, heavy: 0.9 } as const satisfies Record<
  keyof typeof fogGrades,
  number
>;

/** A grade of contrast as ln of the gradient. Source: our estimate. */
export const LN_GRADIENT_PER_GRADE = 0.18;
