import { afterFizz, tabletContents } from '../chemistry/ascorbicForms';
import type { AgentAmount } from '../chemistry/coffeeEquivalent';
import { solutionOf, type SubstanceAmount } from '../chemistry/ph/brewPh';
import { solvePh } from '../chemistry/ph/solvePh';
import { molesIn, substances, type SubstanceId } from '../chemistry/substances';
import type { DeveloperFamilyId } from '../chemistry/developerFamilies';
import { BROMIDE_LIMIT_G_PER_L } from '../chemistry/restrainer';
import { situationSchema, type SituationInput } from '../estimate/situationSchema';
import { inALitre } from '../units/perLitre';
import { amountOf, type BrewPart } from './part';

export type Developer = SituationInput['developer'];

/** What is in a litre of a jug. */
export interface Composition {
  agents: AgentAmount[];
  /** Ascorbic acid, erythorbic acid and ascorbate, as ascorbic acid. */
  ascorbicGPerL: number;
  /** All sodium carbonate, as anhydrous. */
  sodaGPerL: number;
  bromideGPerL: number;
  /** Everything else that is known. */
  others: SubstanceAmount[];
  /** Concentrate of a class of developer, as the share of its own full strength, ml/ml. */
  concentrate: { familyId: DeveloperFamilyId; fraction: number } | null;
  oneBath: boolean;
  /** Whether developers of several classes are poured together: no model follows that. */
  mixedClasses: boolean;
  /** Names of what Aetas does not know: they count for nothing. */
  unknown: string[];
}

const carbonates: readonly SubstanceId[] = ['soda-anhydrous', 'soda-monohydrate', 'soda-crystals'];
const ascorbics: readonly SubstanceId[] = ['ascorbic-acid', 'erythorbic-acid', 'sodium-ascorbate'];

/**
 * What is in a litre of a jug, from its parts.
 * @param parts what went in, or what was wanted
 * @param volumeMl volume of the jug, ml; above 0
 * @returns amounts per litre. Every exchange keeps the moles that matter: carbonate, ascorbate, acid and sodium.
 */
export function compositionOf(parts: readonly BrewPart[], volumeMl: number): Composition {
  const composition: Composition = {
    agents: [],
    ascorbicGPerL: 0,
    sodaGPerL: 0,
    bromideGPerL: 0,
    others: [],
    concentrate: null,
    oneBath: false,
    mixedClasses: false,
    unknown: [],
  };
  for (const part of parts) addPart(composition, part, volumeMl);
  composition.others = composition.others.filter(({ amountPerL }) => amountPerL > 0);
  return composition;
}

function addPart(composition: Composition, part: BrewPart, volumeMl: number): void {
  const { name, makeup } = part;
  const amount = amountOf(part);
  const perL = (inJug: number): number => inALitre(inJug, volumeMl);
  switch (makeup.kind) {
    case 'substance':
      return addSubstance(composition, makeup.substanceId, perL(amount));
    case 'tablets': {
      const contents = tabletContents(amount, makeup, makeup.effervescent);
      const { carbonateMol, sodiumMol } = afterFizz(contents);
      addSubstance(composition, 'ascorbic-acid', perL(contents.ascorbicG));
      addOther(composition, 'citric-acid', perL(contents.citricG));
      addOther(composition, 'baking-soda', perL(carbonateMol / molesIn('baking-soda', 1)));
      // Sodium whose carbonate left as gas is as good as hydroxide.
      addOther(composition, 'hydroxide', perL((sodiumMol - carbonateMol) / molesIn('hydroxide', 1)));
      return;
    }
    case 'concentrate':
      if (makeup.familyId !== null) addConcentrate(composition, makeup.familyId, amount / volumeMl);
      else composition.unknown.push(name);
      return;
    case 'packet':
      if (makeup.familyId === 'one-bath') composition.oneBath = true;
      else if (makeup.familyId === null) composition.unknown.push(name);
      // A packet mixed as it says is the developer at stock strength.
      else addConcentrate(composition, makeup.familyId, (amount / volumeMl) * (makeup.makesMl / makeup.packetG));
      return;
    case 'own':
      composition.unknown.push(name);
  }
}

/** Two portions of one class add up; two classes in one jug are a developer that nobody knows. */
function addConcentrate(composition: Composition, familyId: DeveloperFamilyId, fraction: number): void {
  const { concentrate } = composition;
  if (fraction <= 0) return;
  if (concentrate === null) composition.concentrate = { familyId, fraction };
  else if (concentrate.familyId === familyId) concentrate.fraction += fraction;
  else composition.mixedClasses = true;
}

function addSubstance(composition: Composition, id: SubstanceId, amountPerL: number): void {
  const { agentId } = substances[id];
  if (agentId !== null) composition.agents.push({ agentId, amountPerL });
  else if (carbonates.includes(id)) composition.sodaGPerL += molesIn(id, amountPerL) / molesIn('soda-anhydrous', 1);
  else if (ascorbics.includes(id)) {
    composition.ascorbicGPerL += molesIn(id, amountPerL) / molesIn('ascorbic-acid', 1);
    // An ascorbate is the acid with its sodium: as much hydroxide as acid.
    if (id === 'sodium-ascorbate')
      addOther(composition, 'hydroxide', molesIn(id, amountPerL) / molesIn('hydroxide', 1));
  } else if (id === 'bromide') composition.bromideGPerL += amountPerL;
  else addOther(composition, id, amountPerL);
}

function addOther({ others }: Composition, substanceId: SubstanceId, amountPerL: number): void {
  const known = others.find((other) => other.substanceId === substanceId);
  if (known === undefined) others.push({ substanceId, amountPerL });
  else known.amountPerL += amountPerL;
}

/**
 * pH of a jug at 25 °C, where it can be known.
 * @param composition what is in a litre
 * @returns pH and ionic strength, or null for bought developers and for what Aetas does not know. Source: solvePh.
 */
export function phOf(composition: Composition): { ph: number; ionicStrength: number } | null {
  const { concentrate, oneBath, unknown, ascorbicGPerL, sodaGPerL, others, agents, bromideGPerL } = composition;
  if (concentrate !== null || oneBath || unknown.length > 0) return null;
  const contents: SubstanceAmount[] = [
    { substanceId: 'ascorbic-acid', amountPerL: ascorbicGPerL },
    { substanceId: 'soda-anhydrous', amountPerL: sodaGPerL },
    { substanceId: 'bromide', amountPerL: bromideGPerL },
    ...others,
  ];
  return contents.every(({ amountPerL }) => amountPerL === 0) && agents.length === 0
    ? null
    : solvePh(solutionOf(contents, agents));
}

/** Share from which a concentrate is as good as undiluted: the rest is binary dust. */
const UNDILUTED = 1 - 1e-6;

/** Parts of water beyond which a dilution is not followed. Source: limit of the estimator. */
const MOST_WATER_PARTS = 1000;

/**
 * A jug as the estimator takes it: nothing that it would refuse.
 * @param composition what is in a litre
 * @returns the developer; null for a bath, and for a brew that hardly develops or lies outside of what the model follows
 */
export function estimableDeveloper(composition: Composition): Developer | null {
  const developer = developerOf(composition);
  if (developer === null || composition.mixedClasses || composition.bromideGPerL > BROMIDE_LIMIT_G_PER_L) return null;
  return situationSchema.shape.developer.safeParse(developer).success ? developer : null;
}

/**
 * A jug as the estimator knows developers.
 * @param composition what is in a litre
 * @returns the developer; null for what develops no film: a bath, a control without agent
 */
export function developerOf(composition: Composition): Developer | null {
  const { oneBath, concentrate, agents, ascorbicGPerL, sodaGPerL, others } = composition;
  if (oneBath) return { kind: 'one-bath' };
  if (concentrate !== null && concentrate.fraction > 0) {
    const { familyId, fraction } = concentrate;
    // Three figures are finer than any cylinder.
    const water = Math.min(MOST_WATER_PARTS, fraction > UNDILUTED ? 0 : Number((1 / fraction - 1).toPrecision(3)));
    return { kind: 'concentrate', familyId, parts: { concentrate: 1, water } };
  }
  if (!agents.some(({ amountPerL }) => amountPerL > 0)) return null;
  return { kind: 'improvised', agents, ascorbicGPerL, sodaGPerL, others };
}
