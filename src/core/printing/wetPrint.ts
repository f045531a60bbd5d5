/** Papers by what they are made on: it decides how long they fix and wash. */
export const paperBases = { coated: 'Resin-coated', fibre: 'Fibre base' } as const;
export type PaperBase = keyof typeof paperBases;

/** How a print is fixed. */
export const fixWays = { one: 'One fixer', two: 'Two fixers in turn' } as const;
export type FixWay = keyof typeof fixWays;

/** One bath after the developer. */
export interface PrintBath {
  name: string;
  /** How long, min; null for as long as it takes. */
  minutes: number | null;
  say: string;
}

/** Sheets of 8 × 10 inches that a litre of each takes. Source: common practice, no source; the lower end of what people use. */
const sheetsPerL: Record<PaperBase, Record<FixWay, number>> = {
  coated: { one: 40, two: 80 },
  fibre: { one: 10, two: 40 },
};

/**
 * The baths of a print after its developer, with a rapid fixer as for film diluted 1+4 at 20 °C.
 * @param base what the paper is made on
 * @param way one fixer or two
 * @param aid whether a washing aid is used: only fibre wants one
 * @returns in order. Source: common practice, no source: longer fixing goes into the fibres and does not come out again
 * @example printBaths('coated', 'one', false) // stop ½, fixer 1, wash 2 min, and dry
 */
export function printBaths(base: PaperBase, way: FixWay, aid: boolean): PrintBath[] {
  const fix = base === 'coated' ? 1 : 2;
  const fixes: PrintBath[] =
    way === 'one'
      ? [{ name: 'Fixer', minutes: fix, say: 'Keep it moving. No longer: it goes into the paper.' }]
      : [
          { name: 'First fixer', minutes: fix / 2, say: 'Takes most of the silver.' },
          { name: 'Second fixer', minutes: fix / 2, say: 'Nearly fresh; it becomes the first when that is done.' },
        ];
  const wash: PrintBath[] =
    base === 'coated'
      ? [{ name: 'Wash', minutes: 2, say: 'Running water, both sides; longer lifts the edges.' }]
      : aid
        ? [
            { name: 'Rinse', minutes: 5, say: 'Running water.' },
            { name: 'Washing aid', minutes: 10, say: 'Sulfite, 20 g in a litre. Keep it moving.' },
            { name: 'Wash', minutes: 20, say: 'Running water, sheets apart.' },
          ]
        : [{ name: 'Wash', minutes: 60, say: 'Running water, sheets apart.' }];
  const dry: PrintBath = {
    name: 'Dry',
    minutes: null,
    say:
      base === 'coated'
        ? 'Wipe both sides; hang it by a corner, or lay it face up.'
        : 'Wipe both sides; face down on a clean screen overnight, then flat between clean blotters under books.',
  };
  return [{ name: 'Stop', minutes: 0.5, say: 'Lift it by a corner, let it drip.' }, ...fixes, ...wash, dry];
}

/** What is left of a fixer for paper. */
export interface PaperFixer {
  /** Sheets of 8 × 10 inches that it takes in all. */
  takes: number;
  left: number;
  /** Whether it is done, so that its prints would brown in years. */
  spent: boolean;
}

/**
 * How many sheets a fixer still takes.
 * @param base what the paper is made on
 * @param way one fixer or two: of two, the first
 * @param litres in the tray, l; above 0
 * @param sheets sheets of 8 × 10 inches through it so far
 */
export function paperFixer(base: PaperBase, way: FixWay, litres: number, sheets: number): PaperFixer {
  const takes = Math.round(sheetsPerL[base][way] * litres);
  return { takes, left: Math.max(0, Math.floor(takes - sheets)), spent: sheets >= takes };
}
