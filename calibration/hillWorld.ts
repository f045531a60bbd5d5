import { developerFamilies, type DeveloperFamilyId } from '../src/core/chemistry/developerFamilies';
import type { StockFamilyId } from '../src/core/films/stockFamilies';
import { agitationSchools, type AgitationSchoolId } from '../src/core/schedule/agitationSchools';
import type { Chance } from '../src/core/testing/chance';
import type { World } from './world';

/*
 * A second world, further from the model than the first: gradients after Hill, ageing by a power of time, fog that is added
 * by weight of silver, losses of speed in steps of storage, eyes that round, and scatter that is a mixture of careful and
 * careless people.
 */

/** A careless one in five scatters more than twice as far; the middle four fifths are about those of a normal. */
function mixed(luck: Chance): number {
  return (luck.uniform() < 0.2 ? 1.9 : 0.8) * luck.normal();
}

const FILMS: readonly StockFamilyId[] = [
  'pan-cubic-slow',
  'pan-cubic-medium',
  'pan-cubic-fast',
  'pan-tabular-medium',
  'pan-tabular-fast',
  'orthochromatic',
  'cine-monochrome-negative',
  'colour-negative-current',
  'colour-reversal-couplers',
  'cine-colour-negative',
];

const CONCENTRATES = Object.keys(developerFamilies) as DeveloperFamilyId[];
const SCHOOLS: readonly AgitationSchoolId[] = [
  'ten-each-minute',
  'last-ten-each-minute',
  'ten-then-three',
  'five-each-half-minute',
  'continuous',
];

/** Share of the last gradient after Hill: half of it at extent 1. */
const hill = (x: number, power: number): number => x ** power / (1 + x ** power);

/** See above. */
export const hillWorld: World = {
  films: FILMS,
  concentrates: CONCENTRATES,
  schools: SCHOOLS,
  scatter: mixed,
  shapeOf: (luck) => {
    const power = luck.uniform(1.05, 1.5);
    return (x) => hill(x, power);
  },
  gradientAfter: (fresh, lossPerYear, age) => fresh * (1 + lossPerYear * age * 2) ** -0.5,
  fogAfter: (perYear, age, largest) => largest * 0.55 * (1 - 1 / (1 + (perYear * age) / (largest * 0.55))),
  fogGrowth: (extent) => Math.min(1.8, extent) ** 0.85,
  maskedBy: (fog, largest) => Math.max(0, 1 - fog / largest),
  lossAfter: (proportional, luck) => Math.min(7 * Math.exp(0.3 * luck.normal()), proportional ** 0.95),
  handSpread: (school) => agitationSchools[school].rateLnSd,
};
