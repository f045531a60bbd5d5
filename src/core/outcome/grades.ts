/** Contrast by eye, from much too soft to much too hard. */
export const contrastGrades = { '-2': 'Much too soft', '-1': 'A little soft', '0': 'As wanted', '1': 'A little hard', '2': 'Much too hard' } as const;

export const fogGrades = { clear: 'Clear', slight: 'Slight veil', strong: 'Strong veil', heavy: 'Hides the image' } as const;
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
