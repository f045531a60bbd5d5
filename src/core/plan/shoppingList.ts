import { isPourable } from '../brewing/bottle';
import { jugState } from '../brewing/keeping';
import { priceKey } from '../brewing/cost';
import { amountOf, type BrewPart, type PartUnit } from '../brewing/part';
import type { RecipeUse } from '../brewing/recipe';
import { filmEquivalents, type FilmFormatId } from '../films/filmFormats';
import type { Kit } from '../kit/kit';
import type { Brew, Plan } from '../records/records';
import { batchOfPlan } from './batchOfPlan';
import { developerName } from './developerName';

/** A roll that waits for its run. */
export interface WaitingRoll {
  rollId: string;
  label: string;
  formatId: FilmFormatId;
  plan: Plan;
}

/** A bath to have ready, and the rolls that want it. */
export interface ToMix {
  name: string;
  /** Volume for all of them, ml; null where the jug decides. */
  volumeMl: number | null;
  labels: string[];
  why: string;
}

/** Something to have in the house. */
export interface ToHave {
  name: string;
  amount: number;
  unit: PartUnit;
}

export interface ShoppingList {
  mix: ToMix[];
  have: ToHave[];
}

/** Baths besides the developer, by the liquid that a plan names. */
const otherBaths = { acid: 'stop', fixer: 'fixer', wetting: 'wetting' } as const satisfies Record<string, RecipeUse>;
const bathNames = { acid: 'Stop', fixer: 'Fixer', wetting: 'Wetting bath' } as const;

/**
 * What to mix and have in the house before the rolls that wait are developed: a batch for each that has no jug yet, with its amounts
 * added up, and each further bath that no jug on the bench still does.
 * @param rolls rolls with a plan and no run
 * @param brews jugs on the bench
 * @param kit scale, spoons, jugs and bottles
 * @param nowMs this instant, ms since the epoch
 */
export function shoppingList(
  rolls: readonly WaitingRoll[],
  brews: readonly Brew[],
  kit: Kit,
  nowMs: number,
): ShoppingList {
  const mix: ToMix[] = [];
  const have = new Map<string, ToHave>();
  for (const { rollId, label, plan } of rolls) {
    if (plan.brewId !== null && brews.some(({ id }) => id === plan.brewId)) continue;
    const { developer, volumeMl } = plan;
    mix.push({ name: developerName(developer), volumeMl, labels: [label], why: 'no jug yet' });
    for (const part of batchOfPlan(plan, rollId, kit)?.parts ?? []) add(have, part);
  }
  for (const liquid of Object.keys(otherBaths) as (keyof typeof otherBaths)[]) {
    const wanting = rolls.filter(({ plan }) => wants(plan, liquid));
    const films = wanting.reduce((sum, { formatId }) => sum + filmEquivalents(formatId), 0);
    const jugs = brews
      .filter((brew) => brew.use === otherBaths[liquid] && isPourable(brew))
      .map((brew) => jugState(brew, nowMs));
    if (films === 0) continue;
    const good = jugs.filter(({ spent }) => !spent);
    const takes = good.reduce((sum, { filmsLeft }) => sum + (filmsLeft ?? Infinity), 0);
    if (takes >= films) continue;
    mix.push({
      name: bathNames[liquid],
      volumeMl: null,
      labels: wanting.map(({ label }) => label),
      why:
        good.length > 0 ? 'the jugs here do not take so many' : jugs.length > 0 ? 'what is here is spent' : 'none here',
    });
  }
  return { mix, have: [...have.values()].sort((a, b) => a.name.localeCompare(b.name)) };
}

/** A one-bath goes by without stop and fixer. */
function wants({ developer, baths }: Plan, liquid: keyof typeof otherBaths): boolean {
  if (developer.kind === 'one-bath' && liquid !== 'wetting') return false;
  return baths.some((bath) => bath.liquid === liquid);
}

function add(have: Map<string, ToHave>, part: BrewPart): void {
  const key = `${priceKey(part)} ${part.unit}`;
  const before = have.get(key)?.amount ?? 0;
  have.set(key, { name: part.name, amount: before + amountOf(part), unit: part.unit });
}
