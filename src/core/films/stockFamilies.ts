import type { StockFamily } from './stockFamilySchema';

type Row = readonly [
  name: string,
  hint: string,
  maximumGradient: number,
  referenceTimeMin: number,
  freshBaseFogD: number,
  maximumDensityD: number,
  speedLossStopsPerYear: number,
  fogDPerYear: number,
  gradientLossPerYear: number,
  usualIso: number,
  remJet?: boolean,
];

function family(row: Row): StockFamily {
  const [name, hint, maximumGradient, referenceTimeMin, freshBaseFogD, maximumDensityD, speed, fog, gradient, usualIso, remJet = false] = row;
  return {
    name,
    hint,
    maximumGradient,
    referenceTimeMin,
    freshBaseFogD,
    maximumDensityD,
    speedLossStopsPerYear: speed,
    fogDPerYear: fog,
    gradientLossPerYear: gradient,
    usualIso,
    remJet,
  };
}

/**
 * The stock families and their priors. Columns: name, hint, G∞, reference time (min), fresh base+fog (D), Dmax (D),
 * speed loss (stop/yr), fog (D/yr), ln G∞ loss (1/yr), usual ISO, rem-jet.
 * Source: our estimate for every number, to be learned from logs.
 */
export const stockFamilies = {
  'pan-cubic-slow': family(['Panchromatic, cubic grain, slow', 'Black-and-white, ISO 64 or less', 1.6, 7, 0.22, 3.0, 0.03, 0.004, 0.002, 50]),
  'pan-cubic-medium': family(['Panchromatic, cubic grain, medium', 'Black-and-white, ISO 80 to 160', 1.4, 7.5, 0.24, 2.9, 0.045, 0.006, 0.003, 125]),
  'pan-cubic-fast': family(['Panchromatic, cubic grain, fast', 'Black-and-white, ISO 200 to 640', 1.15, 8, 0.27, 2.7, 0.065, 0.01, 0.004, 400]),
  'pan-cubic-very-fast': family(['Panchromatic, cubic grain, very fast', 'Black-and-white, ISO 800 and over', 1.0, 9.5, 0.3, 2.5, 0.1, 0.018, 0.006, 1250]),
  'pan-tabular-medium': family(['Panchromatic, tabular grain, medium', 'Black-and-white from the mid-1980s on, about ISO 100', 1.5, 7, 0.24, 2.9, 0.045, 0.006, 0.003, 100]),
  'pan-tabular-fast': family(['Panchromatic, tabular grain, fast', 'Black-and-white from the mid-1980s on, ISO 400 and over', 1.25, 8.5, 0.28, 2.7, 0.065, 0.01, 0.004, 400]),
  orthochromatic: family(['Orthochromatic', 'Blind to red, often older or technical; may say “ortho”', 1.8, 6, 0.2, 3.0, 0.03, 0.004, 0.002, 50]),
  'chromogenic-monochrome': family(['Chromogenic monochrome', 'Black-and-white film made for a C-41 type process', 0.9, 9, 0.35, 2.2, 0.08, 0.01, 0.004, 400]),
  'colour-negative-current': family(['Colour negative, masked (C-41 type)', 'Colour prints, orange base', 0.9, 9.5, 0.55, 2.2, 0.09, 0.011, 0.005, 200]),
  'colour-negative-obsolete': family(['Colour negative, obsolete process', 'Colour prints, 1950s to 1970s', 0.85, 10, 0.5, 2.1, 0.1, 0.012, 0.006, 80]),
  'colour-reversal-couplers': family(['Colour reversal with couplers', 'Colour slides, E-6 type and its forerunners', 1.3, 9, 0.25, 2.6, 0.09, 0.01, 0.005, 64]),
  'colour-reversal-nonsubstantive': family(['Colour reversal, non-substantive', 'Colour slides or home cine with a black back, K-14 type', 1.2, 8, 0.45, 2.6, 0.08, 0.01, 0.005, 25, true]),
  'cine-colour-negative': family(['Cine colour negative', 'Cine stock with a black back, ECN-2 type', 0.9, 8.5, 0.5, 2.2, 0.09, 0.011, 0.005, 250, true]),
  'cine-monochrome-negative': family(['Cine black-and-white negative', 'Camera stock for black-and-white cine', 1.2, 6.5, 0.28, 2.7, 0.05, 0.008, 0.003, 200]),
  'cine-print': family(['Cine print, intermediate or duplicating', 'Very slow laboratory stock, ISO 12 or less', 2.5, 4, 0.08, 3.5, 0.02, 0.002, 0.001, 6]),
  'lith-line': family(['Lith, line or copy film', 'Graphic-arts film, very contrasty', 4.0, 3, 0.06, 4.0, 0.03, 0.003, 0.002, 12]),
  'x-ray': family(['Medical or industrial X-ray', 'Double coated sheet, green or blue sensitive', 2.8, 5, 0.25, 3.2, 0.06, 0.012, 0.004, 100]),
} as const satisfies Record<string, StockFamily>;

export type StockFamilyId = keyof typeof stockFamilies;

export const stockFamilyIds = Object.keys(stockFamilies) as [StockFamilyId, ...StockFamilyId[]];

/** Prior spread of ln(maximum gradient) within a family. Source: our estimate. */
export const MAXIMUM_GRADIENT_LN_SD = 0.15;

/** Prior spread of the natural log of each ageing rate within a family. Source: our estimate. */
export const AGEING_RATE_LN_SD = 0.5;

/** Prior spread of the fresh base + fog within a family, D. Source: our estimate. */
export const FRESH_FOG_SD_D = 0.04;
