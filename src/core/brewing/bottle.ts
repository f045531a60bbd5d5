import { developerFamilies, type DeveloperFamilyId } from '../chemistry/developerFamilies';
import type { Parts } from '../chemistry/dilution';
import type { Bottle } from './bottleSchema';
import type { Developer } from './composition';
import type { BrewPart } from './part';
import type { RecipeUse } from './recipe';

/** What a bottle can hold that is not poured into a tank as it is. */
export const bottleStages = {
  concentrate: 'Concentrate',
  stock: 'Stock solution',
  powder: 'Powder, not mixed yet',
} as const;
export type BottleStage = keyof typeof bottleStages;
export const bottleStageIds = Object.keys(bottleStages) as BottleStage[];

/** Whether something can go into a tank as it stands. */
export function isPourable({ bottle }: { bottle?: Bottle | undefined }): boolean {
  return bottle === undefined || bottle.stage === 'stock';
}

/** How long a kind of bottle keeps, days: sealed, opened and full, opened and half full; and what shows that it is over, as a sentence. */
interface Keeps {
  sealed: number;
  full: number;
  half: number;
  signs: string;
}

const YEAR = 365;
const MONTH = 30;

/** Liquid with hydroquinone. */
const liquid: Keeps = {
  sealed: 2 * YEAR,
  full: 6 * MONTH,
  half: 3 * MONTH,
  signs: 'Strong-tea brown or a sludge: it is over.',
};
const stockOfPowder: Keeps = {
  sealed: 6 * MONTH,
  full: 6 * MONTH,
  half: 2 * MONTH,
  signs: 'Brown or a sludge: it is over.',
};
const powder: Keeps = { sealed: 5 * YEAR, full: 5 * YEAR, half: 5 * YEAR, signs: 'Lumps or brown specks: it is over.' };

/** Concentrates of developers by class. Source: common practice, no source, where leaflets of the classes lie close together. */
const developers: Record<DeveloperFamilyId, Keeps> = {
  'mq-borax': liquid,
  'phenidone-ascorbate': {
    ...liquid,
    full: 6 * MONTH,
    half: 2 * MONTH,
    signs: 'It dies without a sign: try a snip of leader first.',
  },
  'pq-liquid': liquid,
  'pq-liquid-high-dilution': liquid,
  'hydroquinone-syrup': {
    sealed: 5 * YEAR,
    full: 2 * YEAR,
    half: YEAR,
    signs: 'It darkens and works on for long.',
  },
  'p-aminophenol': {
    sealed: 10 * YEAR,
    full: 5 * YEAR,
    half: 3 * YEAR,
    signs: 'It darkens and works on; crystals do no harm.',
  },
  staining: { sealed: 2 * YEAR, full: YEAR, half: YEAR, signs: 'Brown in the part with the agent: it is over.' },
};

/** Other concentrates. Source: common practice, no source. */
const others: Partial<Record<RecipeUse, Keeps>> = {
  fixer: {
    sealed: 3 * YEAR,
    full: YEAR,
    half: 6 * MONTH,
    signs: 'A smell of sulphur or a yellow sludge: it is over.',
  },
  stop: {
    sealed: 5 * YEAR,
    full: 3 * YEAR,
    half: 3 * YEAR,
    signs: 'It hardly ages; one with a dye turns when it is used up.',
  },
  wetting: { sealed: 5 * YEAR, full: 3 * YEAR, half: 3 * YEAR, signs: 'Threads or slime: it is over.' },
  'paper-developer': { sealed: 2 * YEAR, full: 6 * MONTH, half: 3 * MONTH, signs: 'Strong-tea brown: it is over.' },
};

const DAY_MS = 24 * 3_600_000;

/** What the day of a bottle is the day of. */
export function bottleSince({ stage, opened }: Pick<Bottle, 'stage' | 'opened'>): 'mixed' | 'opened' | 'bought' {
  if (stage === 'stock') return 'mixed';
  return opened ? 'opened' : 'bought';
}

/** What is to be expected of a bottle. */
export interface BottleLife {
  /** How long it keeps in all, days. */
  keepsDays: number;
  /** Instant until which it is good, ms since the epoch. */
  goodUntilMs: number;
  /** Part of its time that is left, 0 to 1. */
  left: number;
  /** What shows that it is over, as a sentence. */
  signs: string;
}

/**
 * How long a bottle keeps.
 * @param bottle its stage, whether it was opened, what it holds
 * @param what its use, its class where it develops film, what is left in it in ml, and since when
 * @param nowMs this instant, ms since the epoch
 * @returns null where nobody says
 * source: the table is common practice, no source; that a bottle between full and half full lies between both, and one with less
 *   than half is no better than half, is our estimate
 */
export function bottleLife(
  bottle: Bottle,
  what: { use: RecipeUse; familyId: DeveloperFamilyId | null; volumeMl: number; sinceMs: number },
  nowMs: number,
): BottleLife | null {
  const keeps = keepsOf(bottle.stage, what.use, what.familyId);
  if (keeps === null) return null;
  const share = bottle.holdsMl === null || bottle.holdsMl === 0 ? 0.5 : what.volumeMl / bottle.holdsMl;
  const between = Math.min(1, Math.max(0, (share - 0.5) / 0.5));
  const keepsDays = Math.round(bottle.opened ? keeps.half + (keeps.full - keeps.half) * between : keeps.sealed);
  const goodUntilMs = what.sinceMs + keepsDays * DAY_MS;
  return {
    keepsDays,
    goodUntilMs,
    left: Math.min(1, Math.max(0, (goodUntilMs - nowMs) / (keepsDays * DAY_MS))),
    signs: keeps.signs,
  };
}

function keepsOf(stage: BottleStage, use: RecipeUse, familyId: DeveloperFamilyId | null): Keeps | null {
  if (stage === 'powder') return powder;
  if (familyId !== null)
    return stage === 'stock' ? { ...stockOfPowder, signs: developers[familyId].signs } : developers[familyId];
  return others[use] ?? null;
}

/** Usual dilutions of concentrates that develop no film. Source: common practice, no source. */
const usualParts: Partial<Record<RecipeUse, Parts>> = { fixer: { concentrate: 1, water: 4 } };
const OTHERWISE: Parts = { concentrate: 1, water: 19 };

/** Dilutions that a bottle is thinned to: those that are noted on it, else the usual one of its class or use. */
export function dilutionsOf({
  bottle,
  developer,
  use,
}: Pick<OnShelf, 'bottle' | 'developer'> & { use: RecipeUse }): Bottle['dilutions'] {
  if (bottle !== undefined && bottle.dilutions.length > 0) return bottle.dilutions;
  const parts =
    developer?.kind === 'concentrate'
      ? developerFamilies[developer.familyId].referenceParts
      : (usualParts[use] ?? OTHERWISE);
  return [{ letter: `${parts.concentrate}+${parts.water}`, parts }];
}

/** A bottle as it is looked for. */
interface OnShelf {
  id: string;
  developer: Developer | null;
  volumeMl: number;
  mixedMs: number;
  spentMs?: number | undefined;
  bottle?: Bottle | undefined;
}

/** Spread of a volume that somebody measured by hand, ln. Source: our estimate. */
const POURED_LN_SD = 0.02;

/** What a working solution holds of the bottle that it is made from: its dilution decides how strong it is. */
export function partOfBottle(
  { name, developer }: Pick<OnShelf, 'developer'> & { name: string },
  takeMl: number,
): BrewPart {
  return {
    key: 'bottle',
    name,
    unit: 'ml',
    target: takeMl,
    actual: takeMl,
    how: 'typed',
    lnSd: POURED_LN_SD,
    makeup: { kind: 'concentrate', familyId: developer?.kind === 'concentrate' ? developer.familyId : null },
  };
}

/**
 * The bottle that a concentrate comes from: of its class, not spent, with enough in it; an opened one before a sealed one, the older first.
 * @param brews all that stands on the shelf
 * @param familyId class of the developer
 * @param takeMl what is wanted of it, ml
 * @returns null where none stands there
 */
export function bottleFor<T extends OnShelf>(
  brews: readonly T[],
  familyId: DeveloperFamilyId,
  takeMl: number,
): T | null {
  const sealed = ({ bottle }: T): number => Number(bottle?.opened === false);
  const [first] = brews
    .filter(
      ({ bottle, developer, volumeMl, spentMs }) =>
        bottle?.stage === 'concentrate' &&
        spentMs === undefined &&
        developer?.kind === 'concentrate' &&
        developer.familyId === familyId &&
        volumeMl >= takeMl,
    )
    .sort((a, b) => sealed(a) - sealed(b) || a.mixedMs - b.mixedMs);
  return first ?? null;
}

/**
 * What a working solution takes from a bottle.
 * @param volumeMl how much is wanted, ml
 * @param parts its dilution
 * @returns ml of the bottle and ml of water
 * @example fromBottle(500, { concentrate: 1, water: 31 }) // 15.6 ml and 484.4 ml
 */
export function fromBottle(volumeMl: number, { concentrate, water }: Parts): { takeMl: number; waterMl: number } {
  const takeMl = (volumeMl * concentrate) / (concentrate + water);
  return { takeMl: Number(takeMl.toFixed(1)), waterMl: Number((volumeMl - takeMl).toFixed(1)) };
}
