import type { DeveloperFamilyId } from '../src/core/chemistry/developerFamilies';
import type { StockFamilyId } from '../src/core/films/stockFamilies';
import { agitationSchools, type AgitationSchoolId } from '../src/core/schedule/agitationSchools';
import type { World } from './world';

const FILMS: readonly StockFamilyId[] = [
  'pan-cubic-slow',
  'pan-cubic-medium',
  'pan-cubic-fast',
  'pan-tabular-medium',
  'pan-tabular-fast',
  'orthochromatic',
  'cine-monochrome-negative',
  'colour-reversal-couplers',
  'colour-negative-current',
];
const CONCENTRATES: readonly DeveloperFamilyId[] = [
  'mq-borax',
  'phenidone-ascorbate',
  'pq-liquid',
  'hydroquinone-syrup',
  'p-aminophenol',
  'staining',
];
const SCHOOLS: readonly AgitationSchoolId[] = [
  'ten-each-minute',
  'four-each-minute',
  'five-each-half-minute',
  'continuous',
  'every-three-minutes',
];

/** Shapes of gradient against rate × time, each rising to one and reaching a half at the same place. */
const SHAPES: readonly ((x: number, bend: number) => number)[] = [
  // Stretched exponential.
  (x, bend) => -Math.expm1(-Math.LN2 * x ** (1 + 0.22 * bend)),
  // Second order, with a shoulder that comes late.
  (x, bend) => x ** (1.25 + 0.1 * bend) / (1 + x ** (1.25 + 0.1 * bend)),
  // Gompertz, which starts slowly.
  (x, bend) =>
    (Math.exp(-Math.exp(-1.35 * (x - 1) - Math.log(1 / Math.LN2) + 0.05 * bend)) -
      Math.exp(-Math.exp(1.35 - Math.log(1 / Math.LN2)))) /
    (1 - Math.exp(-Math.exp(1.35 - Math.log(1 / Math.LN2)))),
];

/**
 * A world of other curve shapes, heavy tails, batch scatter, a thermometer with a bias, fog that grows by another law, and
 * eyes that drift.
 */
export const wildWorld: World = {
  films: FILMS,
  concentrates: CONCENTRATES,
  schools: SCHOOLS,
  scatter: (luck) => luck.heavy(),
  shapeOf: (luck) => {
    const bend = luck.uniform(-1, 1);
    const shape = luck.pick(SHAPES);
    return (x) => shape(x, bend);
  },
  gradientAfter: (fresh, lossPerYear, age) => fresh / (1 + lossPerYear * age),
  fogAfter: (perYear, age, largest) => Math.min(0.6 * largest, perYear * age ** 0.95 * 1.1),
  fogGrowth: (extent) => Math.min(2, extent) ** 0.7,
  maskedBy: (fog, largest) => Math.max(0, 1 - fog / largest) ** 1.1,
  lossAfter: (proportional, luck) => Math.min(7 * Math.exp(0.3 * luck.normal()), proportional),
  handSpread: (school) => agitationSchools[school].rateLnSd,
};
