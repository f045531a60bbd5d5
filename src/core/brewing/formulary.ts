import { developerFamilies, type DeveloperFamilyId } from '../chemistry/developerFamilies';
import { organicAgents, type OrganicAgentId } from '../chemistry/organicAgents';
import { REFERENCE_COFFEE_BREW } from '../chemistry/improvisedStrength';
import type { SubstanceId } from '../chemistry/substances';
import type { Recipe, RecipeLine } from './recipe';

/** A recipe of the formulary: where it comes from stands with it. */
export interface FormularyRecipe extends Recipe {
  source: 'practice' | 'estimate';
}

const of = (substanceId: SubstanceId, perL: number): RecipeLine => ({ kind: 'substance', substanceId, perL });

/** The usual soda and ascorbic acid with another agent, at its usual amount. */
function brewed(name: string, agentId: OrganicAgentId, note: string): FormularyRecipe {
  return {
    name,
    use: 'film-developer',
    source: 'estimate',
    note,
    lines: [of(agentId, organicAgents[agentId].usualPerL), of('soda-anhydrous', 54), of('ascorbic-acid', 16)],
  };
}

function concentrate(familyId: DeveloperFamilyId, note: string): FormularyRecipe {
  const { name, referenceParts } = developerFamilies[familyId];
  return {
    name,
    use: 'film-developer',
    source: 'practice',
    note,
    lines: [{ kind: 'concentrate', name, familyId, parts: { ...referenceParts } }],
  };
}

function packet(familyId: DeveloperFamilyId, note: string): FormularyRecipe {
  const { name } = developerFamilies[familyId];
  return {
    name: `${name}, part of a packet`,
    use: 'film-developer',
    source: 'practice',
    note,
    lines: [{ kind: 'packet', name, familyId, packetG: null, makesMl: 1000 }],
  };
}

function bath(
  name: string,
  use: Recipe['use'],
  what: string,
  concentrateParts: number,
  water: number,
  note: string,
): FormularyRecipe {
  return {
    name,
    use,
    source: 'practice',
    note,
    lines: [{ kind: 'concentrate', name: what, familyId: null, parts: { concentrate: concentrateParts, water } }],
  };
}

const PACKET_NOTE =
  'Read the weight and the volume off your packet and put them in. Powders part in the packet, so a share of one is never quite the same: shake it well, and use the whole packet where you can.';

/**
 * The recipes that Aetas brings. Source: amounts of coffee, stop, fixers from concentrate and home-made rapid fixer are common
 * practice, no source; those of other agents, of print-strength coffee, the alkaline fixer and the pre-bath are our estimate.
 */
export const formulary = {
  'coffee-standard': {
    name: 'Coffee, standard',
    use: 'film-developer',
    source: 'practice',
    note: 'The brew that every other is measured against. Cheap instant coffee works as well as expensive coffee.',
    lines: [
      of('soda-anhydrous', REFERENCE_COFFEE_BREW.sodaGPerL),
      of('ascorbic-acid', REFERENCE_COFFEE_BREW.ascorbicGPerL),
      of('instant-coffee', REFERENCE_COFFEE_BREW.coffeeGPerL),
    ],
  },
  'coffee-restrained': {
    name: 'Coffee with restrainer',
    use: 'film-developer',
    source: 'practice',
    note: 'For fast or fogged film: bromide keeps fog down and costs a quarter of a stop per gram.',
    lines: [of('soda-anhydrous', 54), of('ascorbic-acid', 16), of('instant-coffee', 40), of('bromide', 1)],
  },
  'coffee-stand': {
    name: 'Coffee, low contrast, to stand',
    use: 'film-developer',
    source: 'estimate',
    note: 'A third of the strength for 45 to 75 minutes, when exposures are mixed or unknown.',
    lines: [of('soda-anhydrous', 18), of('ascorbic-acid', 5.3), of('instant-coffee', 13.3)],
  },
  tea: brewed(
    'Tea',
    'black-tea',
    'Strong tea of the plainest black leaf. Teas can differ by half or more: make a drop test.',
  ),
  wine: brewed('Red wine', 'red-wine', 'Its acid uses up some of the soda. It stains the gelatin a little.'),
  beer: brewed('Dark beer', 'dark-beer', 'Slow, and one beer can be twice as strong as another: make a drop test.'),
  herbs: brewed('Herb infusion', 'herb', 'Rosemary, mint, thyme, nettle: whatever grows near you. Make a drop test.'),
  wood: brewed('Wood or bark infusion', 'wood', 'Wood chips rich in tannin. Make a drop test.'),
  control: {
    name: 'Ascorbate and carbonate alone, the control',
    use: 'film-developer',
    source: 'practice',
    note: 'The brew without its agent. In 10 minutes it shows only the most over-exposed frames, which proves what the agent does. It is not a developer and gets no time.',
    lines: [of('soda-anhydrous', 54), of('ascorbic-acid', 16)],
  },
  'p-aminophenol': concentrate('p-aminophenol', 'One shot: dilute, use, pour away.'),
  syrup: concentrate('hydroquinone-syrup', 'Thick as honey: let the syringe drain, and rinse it with the water.'),
  'pq-liquid': concentrate('pq-liquid', 'Common in liquid form.'),
  'pq-high-dilution': concentrate('pq-liquid-high-dilution', 'One shot.'),
  'mq-packet': packet('mq-borax', PACKET_NOTE),
  'ascorbate-packet': packet('phenidone-ascorbate', PACKET_NOTE),
  'one-bath': {
    name: 'One-bath kit in two parts',
    use: 'film-developer',
    source: 'practice',
    note: 'Read the weights off your kit and put them in. Dissolve the first part whole before the second goes in.',
    lines: [
      { kind: 'packet', name: 'First part of the kit', familyId: 'one-bath', packetG: null, makesMl: 1000 },
      { kind: 'packet', name: 'Second part of the kit', familyId: 'one-bath', packetG: null, makesMl: 1000 },
    ],
  },
  'coffee-print': {
    name: 'Coffee, print strength',
    use: 'paper-developer',
    source: 'estimate',
    note: 'Half as strong again, for paper: 4 to 6 minutes, longer with each sheet, about eight sheets per litre. The tone is warm, and a stain remains.',
    lines: [of('soda-anhydrous', 80), of('ascorbic-acid', 24), of('instant-coffee', 60)],
  },
  'stop-concentrate': bath(
    'Stop from concentrate',
    'stop',
    'Stop concentrate',
    1,
    19,
    '50 ml + 950 ml. Mixed and in use it keeps for about a week.',
  ),
  'stop-citric': {
    name: 'Citric stop',
    use: 'stop',
    source: 'practice',
    note: 'Odourless. Mixed and in use it keeps for about a week.',
    lines: [of('citric-acid', 15)],
  },
  'stop-water': {
    name: 'Plain-water stop',
    use: 'stop',
    source: 'practice',
    note: 'Water of the same temperature, changed three times with six inversions each.',
    lines: [],
  },
  'fixer-1-4': bath('Rapid fixer 1+4', 'fixer', 'Rapid fixer concentrate', 1, 4, 'For film.'),
  'fixer-1-9': bath(
    'Rapid fixer 1+9',
    'fixer',
    'Rapid fixer concentrate',
    1,
    9,
    'For paper, or film with twice the time.',
  ),
  'fixer-plain': {
    name: 'Plain thiosulfate fixer',
    use: 'fixer',
    source: 'practice',
    note: 'The oldest fixer: slow, and it keeps badly once used. Fix by the clearing test.',
    lines: [of('thiosulfate', 250)],
  },
  'fixer-rapid': {
    name: 'Home-made rapid fixer',
    use: 'fixer',
    source: 'practice',
    note: 'The two salts make ammonium thiosulfate between them. The metabisulfite goes in cool.',
    lines: [of('thiosulfate', 200), of('ammonium-chloride', 50), of('metabisulfite', 10)],
  },
  'fixer-alkaline': {
    name: 'Alkaline fixer, for staining developers',
    use: 'fixer',
    source: 'estimate',
    note: 'Keeps the stain that an acid fixer takes away. Use it after a water stop, never after acid.',
    lines: [of('thiosulfate', 250), of('sulfite', 15), of('borax', 10)],
  },
  'rem-jet-bath': {
    name: 'Rem-jet pre-bath',
    use: 'pre-bath',
    source: 'estimate',
    note: 'Warm, a minute with hard shaking, then rinse until it runs clear. Pour it away: it is black.',
    lines: [of('borax', 20), of('soda-anhydrous', 5)],
  },
  'wetting-bath': {
    name: 'Wetting bath',
    use: 'wetting',
    source: 'practice',
    note: 'In distilled water. More is not better: it leaves a smear.',
    lines: [of('wetting-agent', 5)],
  },
} as const satisfies Record<string, FormularyRecipe>;

export type FormularyId = keyof typeof formulary;
export const formularyIds = Object.keys(formulary) as FormularyId[];

/** Looks up a recipe of the formulary with its full type; undefined for an id that it does not have. */
export function formularyRecipe(id: string): FormularyRecipe | undefined {
  return Object.hasOwn(formulary, id) ? (formulary as Record<string, FormularyRecipe>)[id] : undefined;
}
