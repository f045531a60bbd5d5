import { placeInMixing } from '../brewing/mixSteps';
import { amountPerL, lineName, unitOf, type Recipe, type RecipeLine } from '../brewing/recipe';
import { substanceOf } from '../chemistry/substances';

/** What one level is mixed from, and how much of it is wanted. */
export interface LevelToMix {
  name: string;
  lines: readonly RecipeLine[];
  volumeMl: number;
}

/** Something that is weighed or measured. */
export interface Weighed {
  name: string;
  unit: 'g' | 'ml';
  amount: number;
}

/** The mixing of a trial: what all levels share goes into one jug, and is poured out into each. */
export interface TrialMix {
  /** What is weighed once for all; null where no two levels begin alike. */
  shared: { makesMl: number; amounts: Weighed[] } | null;
  levels: {
    name: string;
    volumeMl: number;
    /** Of what is shared, ml; 0 where nothing is. */
    sharedMl: number;
    /** What goes into this jug alone, in the order in which it goes in. */
    own: Weighed[];
  }[];
  /** Everything that has to be in the house. */
  totals: Weighed[];
}

/** Share of a jug that what is shared fills: the rest is room for what goes in by itself. Source: our choice. */
export const SHARED_SHARE = 0.8;

/** Amounts per litre that are one amount: closer than any scale. */
const ALIKE = 1e-9;

const keyOf = (line: RecipeLine): string => `${lineName(line)}|${unitOf(line)}`;

const inMixingOrder = (lines: readonly RecipeLine[]): RecipeLine[] =>
  lines
    .filter((line) => amountPerL(line) > 0)
    .map((line, index) => ({ line, index }))
    .sort((a, b) => placeInMixing(a.line, unitOf(a.line)) - placeInMixing(b.line, unitOf(b.line)) || a.index - b.index)
    .map(({ line }) => line);

/**
 * A recipe without what develops: the control that tells what the rest does by itself.
 * @param recipe any recipe; a concentrate of a developer, and a packet, go as well
 */
export function withoutAgent({ lines }: Pick<Recipe, 'lines'>): RecipeLine[] {
  return lines.filter((line) => {
    if (line.kind === 'substance') return substanceOf(line.substanceId).agentId === null;
    return line.kind === 'own' || line.familyId === null;
  });
}

/**
 * Lays out the mixing of a trial: water and weighing once for what all levels have alike, and what each has by itself.
 * @param levels what is mixed, in the order of the trial; volumes above 0, ml
 * @returns the plan. What is shared stands at the beginning of the mixing order alone: what goes in before something that differs
 * may, and what goes in after it may not. Amounts per litre come out as each recipe has them
 */
export function trialMix(levels: readonly LevelToMix[]): TrialMix {
  const ordered = levels.map(({ lines }) => inMixingOrder(lines));
  const common = levels.length < 2 ? [] : alikeFrom(ordered);
  const makesMl = SHARED_SHARE * levels.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
  const weighed = (line: RecipeLine, volumeMl: number): Weighed => ({
    name: lineName(line),
    unit: unitOf(line),
    amount: (amountPerL(line) * volumeMl) / 1000,
  });
  const totals = new Map<string, Weighed>();
  levels.forEach(({ volumeMl }, at) => {
    for (const line of ordered[at] as RecipeLine[]) {
      const here = weighed(line, volumeMl);
      const known = totals.get(keyOf(line));
      if (known === undefined) totals.set(keyOf(line), here);
      else known.amount += here.amount;
    }
  });
  return {
    shared:
      common.length === 0
        ? null
        : // As strong as each jug wants it when it is filled up.
          { makesMl, amounts: common.map((line) => weighed(line, makesMl / SHARED_SHARE)) },
    levels: levels.map(({ name, volumeMl }, at) => ({
      name,
      volumeMl,
      sharedMl: common.length === 0 ? 0 : SHARED_SHARE * volumeMl,
      own: (ordered[at] as RecipeLine[]).slice(common.length).map((line) => weighed(line, volumeMl)),
    })),
    totals: [...totals.values()],
  };
}

/** The lines with which all lists begin. */
function alikeFrom(lists: readonly (readonly RecipeLine[])[]): RecipeLine[] {
  const [first = [], ...others] = lists;
  const until = first.findIndex((line, at) =>
    others.some((list) => {
      const other = list[at];
      return (
        other === undefined ||
        keyOf(other) !== keyOf(line) ||
        Math.abs(amountPerL(other) - amountPerL(line)) > ALIKE * amountPerL(line)
      );
    }),
  );
  return first.slice(0, until < 0 ? first.length : until);
}
