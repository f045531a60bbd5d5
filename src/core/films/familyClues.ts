import { stockFamilyIds, unknownAmong, type StockFamilyId } from './stockFamilies';

/** Where on a film or its box a clue is found. */
export const clueGroups = {
  back: 'The back of the film',
  base: 'The base, held against the light',
  edge: 'Printed on the edge',
  box: 'On the box or can',
} as const;

export type ClueGroup = keyof typeof clueGroups;

interface Clue {
  group: ClueGroup;
  name: string;
  fits: readonly StockFamilyId[];
}

const pan: readonly StockFamilyId[] = [
  'pan-cubic-slow',
  'pan-cubic-medium',
  'pan-cubic-fast',
  'pan-cubic-very-fast',
  'pan-tabular-medium',
  'pan-tabular-fast',
];
const backed: readonly StockFamilyId[] = ['colour-reversal-nonsubstantive', 'cine-colour-negative'];
const cine: readonly StockFamilyId[] = [
  'cine-colour-negative',
  'cine-monochrome-negative',
  'cine-print',
  'colour-reversal-nonsubstantive',
];
const known = stockFamilyIds.filter((id) => !(id in unknownAmong));

/** What may be seen of a film, and which families show it. Source: from memory, to be checked. */
export const familyClues = {
  'back-black': { group: 'back', name: 'Black, comes off on a wet finger', fits: backed },
  'back-plain': { group: 'back', name: 'Plain', fits: known.filter((id) => !backed.includes(id)) },
  'base-clear': {
    group: 'base',
    name: 'Clear',
    fits: ['cine-print', 'lith-line', 'orthochromatic', 'pan-cubic-slow', 'colour-reversal-couplers'],
  },
  'base-grey': {
    group: 'base',
    name: 'Grey',
    fits: [...pan, 'orthochromatic', 'cine-monochrome-negative', 'colour-reversal-couplers'],
  },
  'base-orange': { group: 'base', name: 'Orange', fits: ['colour-negative-current', 'cine-colour-negative'] },
  'base-brown': {
    group: 'base',
    name: 'Brownish or pinkish',
    fits: ['chromogenic-monochrome', 'colour-negative-obsolete', 'colour-reversal-nonsubstantive'],
  },
  'base-blue': { group: 'base', name: 'Blue', fits: ['x-ray'] },
  'edge-numbers': {
    group: 'edge',
    name: 'Frame numbers, a name',
    fits: known.filter(
      (id) => !['cine-print', 'x-ray', 'cine-colour-negative', 'cine-monochrome-negative'].includes(id),
    ),
  },
  'edge-keys': { group: 'edge', name: 'Long numbers, one each foot', fits: cine },
  'edge-none': {
    group: 'edge',
    name: 'Nothing, or notches',
    fits: ['lith-line', 'x-ray', 'cine-print', 'orthochromatic', ...pan],
  },
  'box-c': { group: 'box', name: 'C-41 type', fits: ['colour-negative-current', 'chromogenic-monochrome'] },
  'box-e': { group: 'box', name: 'E-6 type, or E and another number', fits: ['colour-reversal-couplers'] },
  'box-k': { group: 'box', name: 'K and a number', fits: ['colour-reversal-nonsubstantive'] },
  'box-ecn': { group: 'box', name: 'ECN type', fits: ['cine-colour-negative'] },
  'box-prints': {
    group: 'box',
    name: '“For colour prints”',
    fits: ['colour-negative-current', 'colour-negative-obsolete'],
  },
  'box-slides': {
    group: 'box',
    name: '“For colour slides”',
    fits: ['colour-reversal-couplers', 'colour-reversal-nonsubstantive'],
  },
  'box-pan': { group: 'box', name: '“Pan”, “panchromatic”', fits: [...pan, 'cine-monochrome-negative'] },
  'box-ortho': { group: 'box', name: '“Ortho”, “red light”', fits: ['orthochromatic', 'lith-line', 'x-ray'] },
  'box-line': { group: 'box', name: '“Line”, “lith”, “copy”', fits: ['lith-line'] },
  'box-print': { group: 'box', name: '“Print”, “duplicating”', fits: ['cine-print'] },
  'box-x': { group: 'box', name: '“X-ray”, “medical”', fits: ['x-ray'] },
} as const satisfies Record<string, Clue>;

export type ClueId = keyof typeof familyClues;

/**
 * Which families show everything that was seen.
 * @param seen clues; of one group any counts, of different groups all do
 * @returns families in the order of the table; every family where nothing was seen, none where the clues contradict each other
 * @example familiesByClues(['back-black', 'base-orange']) // ['cine-colour-negative']
 */
export function familiesByClues(seen: readonly ClueId[]): StockFamilyId[] {
  const groups = new Set(seen.map((id) => familyClues[id].group));
  return known.filter((family) =>
    [...groups].every((group) =>
      seen.some((id) => {
        const clue: Clue = familyClues[id];
        return clue.group === group && clue.fits.includes(family);
      }),
    ),
  );
}

/**
 * What to take where several families fit: the answer “I don’t know” of their kind.
 * @param families those that fit
 * @returns black-and-white or colour; null where they are of both kinds, or of none that a camera takes
 */
export function unknownOf(families: readonly StockFamilyId[]): keyof typeof unknownAmong | null {
  const kinds = Object.keys(unknownAmong) as (keyof typeof unknownAmong)[];
  return kinds.find((kind) => families.length > 0 && families.every((id) => unknownAmong[kind].includes(id))) ?? null;
}
