import { estimate, fitOf } from '../src/core/estimate/estimate';
import type { EvidenceInput } from '../src/core/estimate/evidenceSchema';
import { estimateRequestSchema, type EstimateRequest } from '../src/core/estimate/request';
import type { StrategyId } from '../src/core/estimate/strategyIds';
import { chance, type Chance } from '../src/core/testing/chance';
import { hillWorld } from './hillWorld';
import { wildWorld } from './wildWorld';
import {
  ageGroups,
  boxKinds,
  boxVerdict,
  evidenceKinds,
  GUEST_RUN,
  verdictOf,
  worldBox,
  worldLog,
  worldRoll,
  type AgeGroup,
  type BoxKind,
  type World,
  type WorldRoll,
} from './world';

/** The worlds that rolls are drawn from; none is the model. */
export const worlds: Readonly<Record<string, World>> = { wild: wildWorld, hill: hillWorld };

/** What a roll brings: nothing, one piece of a kind, a chart and a clip, or three clips. */
export const bundles = [
  'none',
  ...evidenceKinds,
  'leaflet + clip',
  'own time + clip',
  'two clips',
  'three runs of another bench',
] as const;
export type Bundle = (typeof bundles)[number];
export const strategyNames: readonly StrategyId[] = ['hold', 'extend', 'stand'];

/** What came out in one cell. */
export interface Cell {
  bundle: Bundle | BoxKind | 'five runs of the stock';
  group: AgeGroup | 'all ages';
  strategy: StrategyId;
  rolls: number;
  /** Share of rolls whose true time lies in the 80 % band. */
  coverage: number;
  /** Median of |ln(estimate / truth)|. */
  medianError: number;
  /** The same for the fresh-film time unchanged, and for ten per cent more for each decade. */
  unchangedError: number;
  perDecadeError: number;
  /** Median width of the band in ln, as a standard deviation. */
  medianLnSd: number;
}

interface Outcome {
  lnError: number;
  inside: boolean;
  lnSd: number;
  unchanged: number;
  perDecade: number;
}

/**
 * Estimates simulated rolls and counts how often the truth lies in the band, cell by cell.
 * @param rolls rolls in each cell
 * @param seed any integer
 * @param some which bundles; all, when left out
 * @param strategies which strategies; all, when left out
 * @returns one entry for each bundle, age group and strategy, drawn by turns from every world
 */
export function calibrate(
  rolls: number,
  seed: number,
  some: readonly Bundle[] = bundles,
  strategies: readonly StrategyId[] = strategyNames,
): Cell[] {
  const cells: Cell[] = [];
  const luck = chance(seed);
  for (const strategy of strategies) {
    for (const group of Object.keys(ageGroups) as AgeGroup[]) {
      const outcomes = new Map<Bundle, Outcome[]>(some.map((bundle) => [bundle, []]));
      for (let index = 0; index < rolls; index++) {
        const roll = drawInGroup(luck, worldAt(index), strategy, group);
        const alone = judge(roll, []);
        const unchanged = unchangedMin(roll);
        for (const bundle of some) {
          const found = bundle === 'none' ? alone : judge(roll, bundleOf(roll, bundle, alone.timeMin));
          outcomes.get(bundle)?.push(outcomeOf(roll, found, unchanged));
        }
      }
      for (const bundle of some) cells.push({ bundle, group, strategy, ...summary(outcomes.get(bundle) ?? []) });
    }
  }
  return cells;
}

/** The sixth roll of a stock after five judged runs. */
export function calibrateLog(logs: number, seed: number): Cell[] {
  const luck = chance(seed);
  return strategyNames.map((strategy): Cell => {
    const outcomes = Array.from({ length: logs }, (_, index): Outcome => {
      const drawn = worldLog(luck, worldAt(index), 6, strategy);
      const last = drawn.pop() as WorldRoll;
      const evidence: EvidenceInput[] = [];
      drawn.forEach((roll, n) => {
        const { timeMin } = judge(roll, evidence);
        evidence.push(verdictOf(roll, timeMin, `run ${n}`));
      });
      return outcomeOf(last, judge(last, evidence), unchangedMin(last));
    });
    return { bundle: 'five runs of the stock', group: 'all ages', strategy, ...summary(outcomes) };
  });
}

/**
 * A roll after others of its box were developed. Black sisters are looked for: an outcome that is rare on young film.
 * @param boxes boxes in each cell
 * @param seed any integer
 * @param groups which ages; all, when left out
 * @param kinds which sisters; all, when left out
 * @param strategies which strategies; all, when left out
 * @returns a cell for each that had enough outcomes
 */
export function calibrateBoxes(
  boxes: number,
  seed: number,
  groups: readonly AgeGroup[] = Object.keys(ageGroups) as AgeGroup[],
  kinds: readonly BoxKind[] = boxKinds,
  strategies: readonly StrategyId[] = strategyNames,
): Cell[] {
  const luck = chance(seed);
  return strategies.flatMap((strategy) =>
    groups.flatMap((group) =>
      kinds.flatMap((bundle): Cell[] => {
        const outcomes: Outcome[] = [];
        for (let index = 0; outcomes.length < boxes && index < MOST_DRAWN * boxes; index++) {
          const sisters = bundle === 'three sisters of the box' ? 3 : 1;
          const [roll, ...others] = worldBox(luck, worldAt(index), 1 + sisters, strategy, group);
          const evidence: EvidenceInput[] = [];
          let blacks = 0;
          others.forEach((other, n) => {
            const { black, ...piece } = boxVerdict(luck, other, judge(other, evidence).timeMin, `run ${n}`);
            evidence.push(piece);
            if (black) blacks += 1;
          });
          if ((bundle === 'black sister of the box') !== blacks > 0 && sisters === 1) continue;
          outcomes.push(outcomeOf(roll, judge(roll, evidence), unchangedMin(roll)));
        }
        return outcomes.length < FEW ? [] : [{ bundle, group, strategy, ...summary(outcomes) }];
      }),
    ),
  );
}

/** Boxes that are drawn for one that is wanted, and outcomes that make a cell. */
const MOST_DRAWN = 300;
const FEW = 30;

/** All cells together. */
export function pooledCoverage(cells: readonly Cell[]): number {
  const rolls = cells.reduce((sum, cell) => sum + cell.rolls, 0);
  return cells.reduce((sum, cell) => sum + cell.coverage * cell.rolls, 0) / rolls;
}

function worldAt(index: number): World {
  const list = Object.values(worlds);
  return list[index % list.length] as World;
}

/** Effective ages of the groups, room-years. */
const groupEnds: Record<AgeGroup, readonly [number, number]> = {
  'under 10': [0, 10],
  '10 to 30': [10, 30],
  'over 30': [30, 300],
};

/** A roll whose stated age lies in the group. */
function drawInGroup(luck: Chance, world: World, strategy: StrategyId, group: AgeGroup): WorldRoll {
  const [low, high] = groupEnds[group];
  for (;;) {
    const roll = worldRoll(luck, world, strategy, group);
    const age = estimate(roll.request).effectiveAge.value;
    if (age >= low && age < high) return roll;
  }
}

function bundleOf(roll: WorldRoll, bundle: Exclude<Bundle, 'none'>, timeMin: number): EvidenceInput[] {
  switch (bundle) {
    case 'leaflet + clip':
      return withClip(roll, roll.piece('leaflet', timeMin, 'chart'));
    case 'own time + clip':
      return withClip(roll, roll.piece('own time', timeMin, 'chart'));
    case 'three runs of another bench':
      return [1, 2, 3].map((n) => roll.piece(GUEST_RUN, timeMin, `theirs ${n}`));
    case 'two clips': {
      const first = roll.piece('clip by densities', timeMin, 'first');
      return [first, roll.piece('clip by densities', judge(roll, [first]).timeMin, 'second')];
    }
    default:
      return [roll.piece(bundle, timeMin, bundle)];
  }
}

function withClip(roll: WorldRoll, chart: EvidenceInput): EvidenceInput[] {
  return [chart, roll.piece('clip by densities', judge(roll, [chart]).timeMin, 'clip')];
}

interface Judged {
  timeMin: number;
  lowMin: number;
  highMin: number;
  lnSd: number;
}

function judge({ request }: WorldRoll, evidence: readonly EvidenceInput[]): Judged {
  const full: EstimateRequest = estimateRequestSchema.parse({ ...request, evidence });
  const { timeMin, freshTimeMin, band, lnSd } = estimate(full, fitOf(full));
  // The time of a stand is left within its usual limits; what the film wants is judged.
  return { timeMin: request.strategy.id === 'stand' ? freshTimeMin : timeMin, ...band, lnSd };
}

function outcomeOf(
  { request, trueTimeMin }: WorldRoll,
  { timeMin, lowMin, highMin, lnSd }: Judged,
  unchanged: number,
): Outcome {
  const off = (minutes: number): number => Math.abs(Math.log(minutes / trueTimeMin));
  const years = request.age.storage.reduce((sum, segment) => sum + segment.years, 0);
  return {
    lnError: off(timeMin),
    inside: trueTimeMin >= lowMin && trueTimeMin <= highMin,
    lnSd,
    unchanged: off(unchanged),
    perDecade: off(unchanged * (1 + 0.1 * (years / 10))),
  };
}

/** The fresh-film time under the same conditions, whatever the age: what a chart says, carried over by the model itself. */
function unchangedMin({ request }: WorldRoll): number {
  return estimate({ ...request, strategy: { id: 'hold', liftCap: false } }).timeMin;
}

function summary(outcomes: readonly Outcome[]): Omit<Cell, 'bundle' | 'group' | 'strategy'> {
  return {
    rolls: outcomes.length,
    coverage: outcomes.filter(({ inside }) => inside).length / outcomes.length,
    medianError: median(outcomes.map(({ lnError }) => lnError)),
    unchangedError: median(outcomes.map(({ unchanged }) => unchanged)),
    perDecadeError: median(outcomes.map(({ perDecade }) => perDecade)),
    medianLnSd: median(outcomes.map(({ lnSd }) => lnSd)),
  };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length / 2;
  return ((sorted[Math.ceil(middle) - 1] ?? 0) + (sorted[Math.floor(middle)] ?? 0)) / 2;
}
