import { shortName, substanceOf, type SubstanceId, type SubstanceTrait } from '../chemistry/substances';
import type { CautionNote } from '../safety/cautionNote';
import { mixCautionsAt, traitsOf, type MixMoment } from './mixCautions';
import { toStep } from '../kit/readable';
import { developerFamilies, type DeveloperFamilyId } from '../chemistry/developerFamilies';
import { ARRIVED_C, waitingFor } from '../thermal/jugCooling';
import { biohazardIn } from './animalMatter';
import type { Batch } from './batch';
import { jugRate } from './brewRate';
import type { BrewPart } from './part';
import { isInfusion } from './waterPlan';

/** One screen of the mix sheet. */
export interface MixStep {
  id: string;
  kind: MixMoment['step'];
  title: string;
  /** What to do, in short sentences. */
  say: string[];
  /** What is weighed or measured here. */
  partKey: string | null;
  unit: BrewPart['unit'] | null;
  /** Amount wanted; null where nothing is measured. */
  target: number | null;
  /** Between these it is as good as exact. */
  tolerance: { low: number; high: number } | null;
  /** Half a step of the instrument as a share of the target, where that is more than the tolerance; null where it is fine enough. */
  coarseShare: number | null;
  /** Minutes to wait; null where there is nothing to wait for. */
  standMin: number | null;
  cautions: CautionNote[];
}

/** An amount is as good as exact while it moves the time by no more than this. Source: our choice. */
const TOLERANCE_OF_TIME = 0.03;

/** Tolerance where the rate is not known, and the widest where it hardly matters. Source: our choice. */
const TOLERANCE_SHARE = 0.03;
const WIDEST_TOLERANCE_SHARE = 0.1;

/** By how much an amount is moved to see what it does to the rate, as a share. */
const NUDGE_SHARE = 0.01;

/** Minutes that a brew stands so that bubbles leave it. Source: common practice (5 to 10 min), no source. */
const BUBBLES_MIN = 8;

/** Minutes that effervescent tablets fizz in their glass. Source: common practice (“for minutes”), no source. */
const FIZZ_MIN = 5;

/** Minutes of steeping, by agent; an infusion that is not listed gets the first. Source: common practice, no source. */
const STEEP_MIN: Record<string, number> = { 'ground-coffee': 10, 'black-tea': 15, 'green-tea': 15, herb: 30, wood: 60 };

/** What can be done while a bath stands. */
const meanwhile: Record<Batch['use'], string> = {
  'film-developer':
    'Meanwhile pour stop and fixer and bring them to within 3 °C, measure the wetting bath, and lay out tank and clock.',
  'paper-developer': 'Meanwhile lay out three trays, pour stop and fixer, and cut the test strips.',
  stop: 'Meanwhile rinse the jug of the next bath.',
  fixer: 'Meanwhile write the label: fixer, the date, a line to count the films.',
  'pre-bath': 'Meanwhile mix the developer: the pre-bath waits, the film does not.',
  wetting: 'Meanwhile hang the clips.',
};

/**
 * The way through a batch, in the order in which things go in.
 * @param batch what is mixed
 * @returns steps with ids that stay the same for a batch. Source of the order: common practice, no source.
 */
export function mixSteps(batch: Batch): MixStep[] {
  const { parts, water, use } = batch;
  const animal = biohazardIn(parts.map(({ name }) => name)).length > 0;
  const inJug = new Set<SubstanceTrait>();
  const steps: MixStep[] = [];
  const put = (step: Omit<MixStep, 'cautions'>, adding: readonly SubstanceTrait[] = []): void => {
    const firstPowder = adding.includes('powder') && !inJug.has('powder');
    steps.push({
      ...step,
      cautions: mixCautionsAt({
        step: step.kind,
        use,
        adding: new Set(adding),
        inJug,
        firstPowder,
        animal: animal && step.partKey !== null && isAnimal(parts, step.partKey),
      }),
    });
    for (const trait of adding) inJug.add(trait);
  };
  const liquidIsWater = water.liquidC !== undefined;
  if (water.firstMl > 0) put(firstWater(batch));
  for (const part of inOrder(parts, liquidIsWater))
    for (const step of partSteps(part, batch)) put(step, step.kind === 'part' ? traitsOf(part.makeup) : []);
  const grains = parts.some(
    (part) => part.target > 0 && part.unit !== 'ml' && traitsOf(part.makeup).includes('kitchen'),
  );
  if (parts.some(({ unit, target }) => unit !== 'ml' && target > 0))
    put({
      ...blank,
      id: 'stand',
      kind: 'stand',
      title: 'Let it stand',
      say: [
        'Small bubbles rise out; otherwise they would cling to the film.',
        isOneBath(parts)
          ? 'Meanwhile lay out tank and clock, and bring the wash water to within 3 °C.'
          : meanwhile[use],
      ],
      standMin: BUBBLES_MIN,
    });
  if (grains)
    put({
      ...blank,
      id: 'strain',
      kind: 'strain',
      title: 'Strain it',
      say: ['Use a coffee filter or a fine cloth: undissolved grains leave spots.'],
    });
  if (water.lastMl > 0) {
    put({
      ...blank,
      id: 'top-up',
      kind: 'top-up',
      title: 'Top up to the mark',
      say: ['Add the last water, cold or warm, to reach the temperature. Stir.'],
      unit: 'ml',
      target: batch.volumeMl,
      ...toleranceOf(batch.volumeMl, batch.cylinderStepMl, toleranceShare(batch, null)),
    });
  }
  if (water.coolsFromC !== undefined && water.coolsFromC > batch.targetC + ARRIVED_C)
    put({
      ...blank,
      id: 'cool',
      kind: 'stand',
      title: 'Let it cool',
      say: [
        `It is at about ${Math.round(water.coolsFromC)} °C. Stand the jug in a basin of water at the temperature you want.`,
      ],
      standMin: Math.ceil(waitingFor(water.coolsFromC, batch.targetC, batch.targetC, batch.volumeMl).inBathMin),
    });
  put({
    ...blank,
    id: 'measure',
    kind: 'measure',
    title: 'Measure the temperature',
    say: ['Stir, wait until the thermometer settles, and read it.'],
  });
  return steps;
}

function isOneBath(parts: readonly BrewPart[]): boolean {
  return parts.some(({ makeup }) => makeup.kind === 'packet' && makeup.familyId === 'one-bath');
}

const blank = {
  say: [],
  partKey: null,
  unit: null,
  target: null,
  tolerance: null,
  coarseShare: null,
  standMin: null,
} as const;

function isAnimal(parts: readonly BrewPart[], key: string): boolean {
  return biohazardIn(parts.filter((part) => part.key === key).map(({ name }) => name)).length > 0;
}

function firstWater({ parts, water, cylinderStepMl, use }: Batch): Omit<MixStep, 'cautions'> {
  const infusion = isInfusion(parts);
  return {
    ...blank,
    id: 'water',
    kind: 'water',
    title: infusion ? 'Water, on the boil' : 'Water first',
    say: [
      ...(infusion ? ['Hot water for the infusion; the rest goes in last.'] : []),
      ...(use === 'wetting' ? ['Distilled water, so that nothing dries on the film.'] : []),
    ],
    unit: 'ml',
    target: toStep(water.firstMl, cylinderStepMl) || water.firstMl,
    // The mark of the last water decides; the first only has to dissolve everything.
    ...toleranceOf(water.firstMl, cylinderStepMl, WIDEST_TOLERANCE_SHARE),
  };
}

/**
 * Where something stands in the order of mixing: what has to be dissolved first is lowest.
 * @param what a part of a jug, or a line of a recipe
 * @param unit how it is measured
 * Source: substances by their table; the others common practice, no source.
 */
export function placeInMixing(
  what:
    | { kind: 'substance'; substanceId: SubstanceId }
    | { kind: 'tablets' }
    | { kind: 'packet' }
    | { kind: 'concentrate' }
    | { kind: 'own' },
  unit: BrewPart['unit'],
): number {
  switch (what.kind) {
    case 'substance':
      return substanceOf(what.substanceId).order;
    case 'tablets':
      return 40;
    case 'packet':
      return 30;
    case 'concentrate':
      return 70;
    case 'own':
      return unit === 'ml' ? 71 : 55;
  }
}

/**
 * Parts in the order in which they go in; those of one place keep the order of the recipe.
 * @param parts what goes in
 * @param liquidIsWater whether its liquids take the place of the water: they go first then
 */
export function inOrder(parts: readonly BrewPart[], liquidIsWater = false): BrewPart[] {
  const place = ({ makeup, unit }: BrewPart): number =>
    liquidIsWater && unit === 'ml' ? 0 : placeInMixing(makeup, unit);
  return parts
    .map((part, index) => ({ part, index }))
    .sort((a, b) => place(a.part) - place(b.part) || a.index - b.index)
    .map(({ part }) => part);
}

function partSteps(part: BrewPart, batch: Batch): Omit<MixStep, 'cautions'>[] {
  if (part.target === 0) return [];
  const step = part.unit === 'ml' ? batch.cylinderStepMl : part.unit === 'tablets' ? 0.5 : batch.scaleStepG;
  const weigh: Omit<MixStep, 'cautions'> = {
    ...blank,
    id: `part:${part.key}`,
    kind: 'part',
    title: part.name,
    say: sayOf(part, batch.water.liquidC),
    partKey: part.key,
    unit: part.unit,
    target: part.target,
    ...toleranceOf(part.target, step, toleranceShare(batch, part.key)),
  };
  const wait = waitFor(part);
  return wait === null
    ? [weigh]
    : [
        weigh,
        { ...blank, id: `stand:${part.key}`, kind: 'stand', title: wait.title, say: wait.say, standMin: wait.min },
      ];
}

function sayOf(part: BrewPart, liquidC: number | undefined): string[] {
  const warm = part.unit === 'ml' && liquidC !== undefined;
  return [...(warm ? [`Bring it to ${Math.round(liquidC)} °C first.`] : []), ...waysIn(part)];
}

function waysIn({ makeup, unit, how }: BrewPart): string[] {
  // What is spooned needs no scale.
  const tare = unit === 'g' && how !== 'spoons' ? ['Empty cup on the scale, tare, then weigh.'] : [];
  switch (makeup.kind) {
    case 'substance':
      return [
        ...tare,
        substanceOf(makeup.substanceId).goingIn,
        ...(unit === 'g' ? ['Stir until clear before adding the next.'] : []),
      ].filter((text) => text !== '');
    case 'tablets':
      return makeup.effervescent
        ? ['Into a glass of water of their own, not into the jug: let them fizz out first.']
        : ['Crush them in a mortar, and expect the fillers to stay cloudy.'];
    case 'packet':
      return [...tare, 'Shake the closed packet well first. Stir until clear before adding the next.'];
    case 'concentrate':
      return isStock(makeup.familyId)
        ? ['Shake the bottle of stock solution, and measure it in the cylinder.']
        : ['Measure it with a syringe or a small cylinder, and rinse that with the working solution.'];
    case 'own':
      return [...tare, 'Aetas does not know this one: it is recorded, but does not count towards pH or time.'];
  }
}

function waitFor({ makeup }: BrewPart): { title: string; say: string[]; min: number } | null {
  if (makeup.kind === 'tablets' && makeup.effervescent)
    return {
      title: 'Let the tablets fizz out',
      say: ['Gas that has escaped cannot foam in the jug. Then pour the glass in slowly.'],
      min: FIZZ_MIN,
    };
  if (makeup.kind !== 'substance') return null;
  const { traits } = substanceOf(makeup.substanceId);
  if (!traits.includes('infusion')) return null;
  return {
    title: 'Let it steep',
    say: [
      `Under a lid. Then strain off the ${shortName(makeup.substanceId)}, press it out, and let it cool before the soda goes in.`,
    ],
    min: STEEP_MIN[makeup.substanceId] ?? 10,
  };
}

/** Whether the bottle holds a stock solution made from powder, which is used as it is or thinned a little. */
function isStock(familyId: DeveloperFamilyId | null): boolean {
  return familyId !== null && developerFamilies[familyId].referenceParts.water === 0;
}

/**
 * How far an amount may be off before it moves the time by 3 %.
 * @param batch what is mixed
 * @param key the part; null for the volume
 * @returns share of the amount, at most a tenth. Source: derivative of the rate by a small step.
 */
function toleranceShare({ parts, volumeMl, use }: Batch, key: string | null): number {
  if (use !== 'film-developer' && use !== 'paper-developer') return TOLERANCE_SHARE;
  const rate = jugRate(parts, volumeMl);
  const nudged =
    key === null
      ? jugRate(parts, volumeMl * (1 + NUDGE_SHARE))
      : jugRate(
          parts.map((part) => (part.key === key ? { ...part, target: part.target * (1 + NUDGE_SHARE) } : part)),
          volumeMl,
        );
  if (rate === null || nudged === null || rate <= 0 || nudged <= 0) return TOLERANCE_SHARE;
  const slope = Math.abs(Math.log(nudged / rate) / Math.log(1 + NUDGE_SHARE));
  return Math.min(WIDEST_TOLERANCE_SHARE, TOLERANCE_OF_TIME / Math.max(slope, 1e-6));
}

/** So much of the amount either way, and never less than the nearest step of the instrument; where that is wider, by how much. */
function toleranceOf(target: number, step: number, share: number): Pick<MixStep, 'tolerance' | 'coarseShare'> {
  const half = step / 2;
  const by = Math.max(share * target, half);
  return {
    tolerance: { low: Math.max(0, target - by), high: target + by },
    coarseShare: target > 0 && half > share * target ? Math.min(1, half / target) : null,
  };
}
