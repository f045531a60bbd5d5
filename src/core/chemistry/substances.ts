import type { AcidSystemId } from './ph/acidSystems';
import { molarMass } from './molarMass';
import { organicAgents, type OrganicAgentId } from './organicAgents';

/** What a substance is, for whoever must know what not to bring together. */
export type SubstanceTrait =
  | 'powder'
  | 'alkali'
  | 'caustic'
  | 'carbonate'
  | 'acid'
  | 'sulfite'
  | 'ammonium'
  | 'kitchen'
  | 'infusion'
  /** Comes in a closed bottle or can that people warm. */
  | 'sealed'
  /** An acid strong enough to hurt eyes and skin. */
  | 'irritant'
  /** Comes with a safety sheet of its own. */
  | 'bought'
  | 'unknown'
  | 'harmful';

/** What a mole of a substance brings into a solution. */
export interface Dissolved {
  /** Moles of weak acids, whatever their form. */
  acids: Partial<Record<AcidSystemId, number>>;
  /** Charge of strong ions, mol. */
  strongCharge: number;
  /** Strong ions as single charges for the ionic strength, mol·z². */
  strongIons: number;
}

/** Something that goes into a jug. */
export interface Substance {
  name: string;
  /** Other names under which it is sold or written down, lower case. */
  alsoCalled: readonly string[];
  unit: 'g' | 'ml';
  /** Null for mixtures such as coffee. */
  formula: string | null;
  /** g/mol; null for mixtures. */
  molarMassG: number | null;
  /** Share of the formula in a unit of the substance: g/g, or g/ml for liquids. */
  share: number;
  /** Null for what takes no known part in pH. */
  dissolved: Dissolved | null;
  /** Enthalpy of solution, kJ/mol; plus cools the water. Null where none is known. */
  heatKJPerMol: number | null;
  /** Most that 100 ml of water at 20 °C takes, g; null where none is known or it mixes freely. */
  solubilityGPer100Ml: number | null;
  /** A level teaspoon of 4.93 ml; null where nobody spoons it. */
  teaspoon: { massG: number; lnSd: number } | null;
  agentId: OrganicAgentId | null;
  traits: readonly SubstanceTrait[];
  /** Place in the order of mixing: lower goes in first. */
  order: number;
  /** What to do while it goes in. */
  goingIn: string;
}

/** Spread of ln(mass) of a level teaspoon of one powder, between brands, packings and hands. Source: our estimate. */
const SPOON_LN_SD = 0.12;

/**
 * Instant coffee, by a teaspoon of which nobody says how it is filled: 1.6 g as people weigh it, 2.2 g where the spoon recipe of 18 coffee,
 * 3 ascorbic acid and 12 soda makes the 54/16/40 brew. Their middle; the spread runs from 1.2 g, level powder, to 2.9 g, heaped.
 * Source: both are common practice, no source; the spread is our estimate.
 */
const COFFEE_SPOON = { massG: Math.sqrt(1.6 * 2.2), lnSd: 0.27 };

/** A level teaspoon of ascorbic or erythorbic powder weighs 4.5 to 5.3 g: its middle. Source: common practice, no source. */
const ASCORBIC_SPOON_G = 4.9;

type Row = Partial<Omit<Substance, 'name' | 'molarMassG' | 'teaspoon' | 'agentId'>> & { spoonG?: number };

function substance(name: string, { spoonG, ...row }: Row): Substance {
  return {
    name,
    alsoCalled: [],
    unit: 'g',
    formula: null,
    share: 1,
    dissolved: null,
    heatKJPerMol: null,
    solubilityGPer100Ml: null,
    traits: [],
    order: 50,
    goingIn: '',
    ...row,
    molarMassG: row.formula == null ? null : molarMass(row.formula),
    teaspoon: spoonG === undefined ? null : { massG: spoonG, lnSd: SPOON_LN_SD },
    agentId: null,
  };
}

/** An organic agent of the kitchen: its name and unit come from the table of agents. */
function agent(
  agentId: OrganicAgentId,
  row: Pick<Row, 'alsoCalled' | 'order' | 'goingIn' | 'traits'> & { teaspoon?: Substance['teaspoon'] },
): Substance {
  const { teaspoon = null, ...rest } = row;
  return {
    ...substance(organicAgents[agentId].name, { ...rest, unit: organicAgents[agentId].unit }),
    agentId,
    teaspoon,
  };
}

const carbonateOf = (moles: number): Dissolved => ({
  acids: { carbonic: moles },
  strongCharge: 2 * moles,
  strongIons: 2 * moles,
});

/**
 * Everything that Aetas knows by name. Heats of solution: CRC Handbook, from memory where the science text marks them so.
 * Solubilities at 20 °C: CRC Handbook, from memory. Teaspoons: common practice, from memory. Traits and hints: common practice.
 */
export const substances = {
  'soda-anhydrous': substance('Washing soda, anhydrous', {
    alsoCalled: ['washing soda', 'soda ash', 'sodium carbonate', 'sodium carbonate anhydrous', 'soda'],
    formula: 'Na2CO3',
    dissolved: carbonateOf(1),
    heatKJPerMol: -26.7,
    solubilityGPer100Ml: 21.5,
    spoonG: 4.6,
    traits: ['powder', 'alkali', 'carbonate'],
    order: 20,
    goingIn: 'Pour it in a thin stream and stir at once: left alone it cakes. It warms the water.',
  }),
  'soda-monohydrate': substance('Washing soda, monohydrate', {
    alsoCalled: ['sodium carbonate monohydrate'],
    formula: 'Na2CO3·H2O',
    dissolved: carbonateOf(1),
    solubilityGPer100Ml: 25,
    spoonG: 4.6,
    traits: ['powder', 'alkali', 'carbonate'],
    order: 20,
    goingIn: 'Stir at once: it cakes.',
  }),
  'soda-crystals': substance('Soda crystals, decahydrate', {
    alsoCalled: ['soda crystals', 'sal soda', 'laundry crystals', 'sodium carbonate decahydrate'],
    formula: 'Na2CO3·10H2O',
    dissolved: carbonateOf(1),
    heatKJPerMol: 67.9,
    solubilityGPer100Ml: 91,
    spoonG: 4.6,
    traits: ['powder', 'alkali', 'carbonate'],
    order: 20,
    goingIn: 'They cool the water a lot: start warmer.',
  }),
  'baking-soda': substance('Baking soda', {
    alsoCalled: ['bicarbonate', 'sodium bicarbonate', 'bicarbonate of soda', 'sodium hydrogen carbonate'],
    formula: 'NaHCO3',
    dissolved: { acids: { carbonic: 1 }, strongCharge: 1, strongIons: 1 },
    heatKJPerMol: 18.7,
    solubilityGPer100Ml: 9.6,
    spoonG: 4.6,
    traits: ['powder', 'carbonate'],
    order: 20,
    goingIn: 'It is not washing soda; a brew made with it barely develops.',
  }),
  borax: substance('Borax', {
    alsoCalled: ['sodium tetraborate', 'borax decahydrate'],
    formula: 'Na2B4O7·10H2O',
    dissolved: { acids: { boric: 4 }, strongCharge: 2, strongIons: 2 },
    solubilityGPer100Ml: 4.7,
    spoonG: 4.2,
    traits: ['powder', 'alkali', 'harmful'],
    order: 18,
    goingIn: 'It dissolves slowly: use hot water.',
  }),
  hydroxide: substance('Sodium hydroxide', {
    alsoCalled: ['caustic soda', 'lye', 'naoh'],
    formula: 'NaOH',
    dissolved: { acids: {}, strongCharge: 1, strongIons: 1 },
    heatKJPerMol: -44.5,
    solubilityGPer100Ml: 109,
    traits: ['powder', 'alkali', 'caustic'],
    order: 22,
    goingIn: 'Into cold water, a little at a time, never water onto it: it heats up.',
  }),
  'ascorbic-acid': substance('Ascorbic acid', {
    alsoCalled: ['vitamin c', 'l-ascorbic acid'],
    formula: 'C6H8O6',
    dissolved: { acids: { ascorbic: 1 }, strongCharge: 0, strongIons: 0 },
    solubilityGPer100Ml: 33,
    spoonG: ASCORBIC_SPOON_G,
    traits: ['powder', 'acid', 'kitchen'],
    order: 40,
    goingIn: 'It fizzes with the soda: a little at a time.',
  }),
  'erythorbic-acid': substance('Erythorbic acid', {
    alsoCalled: ['isoascorbic acid', 'd-ascorbic acid'],
    formula: 'C6H8O6',
    dissolved: { acids: { ascorbic: 1 }, strongCharge: 0, strongIons: 0 },
    solubilityGPer100Ml: 40,
    spoonG: ASCORBIC_SPOON_G,
    traits: ['powder', 'acid', 'kitchen'],
    order: 40,
    goingIn: 'It fizzes with the soda: a little at a time.',
  }),
  'sodium-ascorbate': substance('Sodium ascorbate', {
    alsoCalled: ['ascorbate'],
    formula: 'NaC6H7O6',
    dissolved: { acids: { ascorbic: 1 }, strongCharge: 1, strongIons: 1 },
    solubilityGPer100Ml: 62,
    spoonG: ASCORBIC_SPOON_G,
    traits: ['powder', 'kitchen'],
    order: 40,
    goingIn: '',
  }),
  'citric-acid': substance('Citric acid', {
    alsoCalled: ['citric acid anhydrous'],
    formula: 'C6H8O7',
    dissolved: { acids: { citric: 1 }, strongCharge: 0, strongIons: 0 },
    solubilityGPer100Ml: 145,
    spoonG: 4.3,
    traits: ['powder', 'acid', 'irritant', 'kitchen'],
    order: 42,
    goingIn: '',
  }),
  sulfite: substance('Sodium sulfite', {
    alsoCalled: ['sodium sulphite', 'sodium sulfite anhydrous'],
    formula: 'Na2SO3',
    dissolved: { acids: { sulfurous: 1 }, strongCharge: 2, strongIons: 2 },
    solubilityGPer100Ml: 26,
    traits: ['powder', 'sulfite', 'alkali'],
    order: 15,
    goingIn: '',
  }),
  metabisulfite: substance('Potassium metabisulfite', {
    alsoCalled: ['metabisulfite', 'potassium metabisulphite', 'campden powder'],
    formula: 'K2S2O5',
    dissolved: { acids: { sulfurous: 2 }, strongCharge: 2, strongIons: 2 },
    solubilityGPer100Ml: 45,
    spoonG: 5,
    traits: ['powder', 'sulfite', 'acid', 'harmful'],
    order: 45,
    goingIn: 'Only once the jug is cool: warm it gives off a sharp gas.',
  }),
  thiosulfate: substance('Sodium thiosulfate, crystals', {
    alsoCalled: ['sodium thiosulfate', 'hypo', 'sodium thiosulfate pentahydrate', 'sodium thiosulphate'],
    formula: 'Na2S2O3·5H2O',
    dissolved: { acids: {}, strongCharge: 0, strongIons: 6 },
    heatKJPerMol: 47.4,
    solubilityGPer100Ml: 180,
    spoonG: 6,
    traits: [],
    order: 25,
    goingIn: 'They cool the water sharply: that is why it starts hot.',
  }),
  'ammonium-chloride': substance('Ammonium chloride', {
    alsoCalled: ['sal ammoniac'],
    formula: 'NH4Cl',
    dissolved: { acids: { ammonium: 1 }, strongCharge: -1, strongIons: 1 },
    heatKJPerMol: 14.8,
    solubilityGPer100Ml: 37,
    spoonG: 4,
    traits: ['powder', 'ammonium', 'harmful'],
    order: 30,
    goingIn: 'After the thiosulfate is clear.',
  }),
  bromide: substance('Potassium bromide', {
    alsoCalled: ['kbr', 'bromide'],
    formula: 'KBr',
    dissolved: { acids: {}, strongCharge: 0, strongIons: 2 },
    heatKJPerMol: 19.9,
    solubilityGPer100Ml: 65,
    spoonG: 6.5,
    traits: ['harmful'],
    order: 60,
    goingIn: 'The restrainer: it holds fog down, and a tenth of a gram counts.',
  }),
  'instant-coffee': agent('instant-coffee', {
    alsoCalled: ['coffee'],
    teaspoon: COFFEE_SPOON,
    traits: ['kitchen'],
    order: 50,
    goingIn: 'Stir until no grain is left on the bottom.',
  }),
  'ground-coffee': agent('ground-coffee', {
    alsoCalled: ['filter coffee'],
    traits: ['kitchen', 'infusion'],
    order: 10,
    goingIn: 'Brew it hot in a part of the water for 10 minutes, strain it, and let it cool.',
  }),
  'black-tea': agent('black-tea', {
    alsoCalled: ['tea'],
    traits: ['kitchen', 'infusion'],
    order: 10,
    goingIn: 'Steep the leaf in hot water for 15 minutes, strain it, and let it cool.',
  }),
  'green-tea': agent('green-tea', {
    alsoCalled: [],
    traits: ['kitchen', 'infusion'],
    order: 10,
    goingIn: 'Steep the leaf in hot water for 15 minutes, strain it, and let it cool.',
  }),
  'red-wine': agent('red-wine', {
    alsoCalled: ['wine'],
    traits: ['kitchen', 'acid', 'sealed'],
    order: 12,
    goingIn: 'It replaces the water.',
  }),
  'dark-beer': agent('dark-beer', {
    alsoCalled: ['beer', 'stout'],
    traits: ['kitchen', 'sealed'],
    order: 12,
    goingIn: 'Stir it flat first, in a jug of twice its volume: it foams over when soda goes in.',
  }),
  herb: agent('herb', {
    alsoCalled: ['rosemary', 'mint', 'thyme', 'nettle'],
    traits: ['kitchen', 'infusion'],
    order: 10,
    goingIn: 'Steep it under a lid in hot water for 30 minutes, strain it, and let it cool.',
  }),
  wood: agent('wood', {
    alsoCalled: ['bark'],
    traits: ['kitchen', 'infusion'],
    order: 10,
    goingIn: 'Simmer the chips in water for an hour, strain them, and let it cool.',
  }),
  salt: substance('Table salt, without iodine', {
    alsoCalled: ['salt', 'sodium chloride'],
    formula: 'NaCl',
    dissolved: { acids: {}, strongCharge: 0, strongIons: 2 },
    heatKJPerMol: 3.9,
    solubilityGPer100Ml: 36,
    traits: ['kitchen'],
    order: 60,
    goingIn: 'Only salt without iodine and without flowing agents.',
  }),
  vinegar: substance('Vinegar, 5 %', {
    alsoCalled: ['vinegar', 'white vinegar'],
    unit: 'ml',
    formula: 'C2H4O2',
    share: 0.05,
    dissolved: { acids: { acetic: 1 }, strongCharge: 0, strongIons: 0 },
    traits: ['acid', 'kitchen'],
    order: 70,
    goingIn: 'Clear vinegar only.',
  }),
  'wetting-agent': substance('Wetting agent', {
    alsoCalled: ['rinse aid'],
    unit: 'ml',
    order: 90,
    goingIn: 'Stir slowly: foam dries as spots.',
  }),
} as const satisfies Record<string, Substance>;

export type SubstanceId = keyof typeof substances;
export const substanceIds = Object.keys(substances) as [SubstanceId, ...SubstanceId[]];

/** Short names where the first words of the long one would mislead. */
const shortNames: Partial<Record<SubstanceId, string>> = {
  herb: 'herb',
  wood: 'wood or bark',
  'soda-monohydrate': 'washing soda, monohydrate',
};

/**
 * A substance within a sentence: its name up to the comma, in small letters.
 * @example shortName('soda-anhydrous') // 'washing soda'
 */
export function shortName(id: SubstanceId): string {
  return shortNames[id] ?? substances[id].name.split(',')[0]?.toLowerCase() ?? id;
}

/** Looks up a substance with its full type. */
export function substanceOf(id: SubstanceId): Substance {
  return substances[id];
}

/**
 * Moles of its formula in an amount of a substance.
 * @param id the substance
 * @param amount g or ml, in the substance's own unit; 0 or more
 * @returns mol; 0 for mixtures without a formula
 * @example molesIn('soda-anhydrous', 53) // 0.5
 */
export function molesIn(id: SubstanceId, amount: number): number {
  const { molarMassG, share } = substances[id];
  return molarMassG === null ? 0 : (amount * share) / molarMassG;
}

/**
 * The substance that somebody means by a name.
 * @param name as typed
 * @returns its id, or null for one that Aetas does not know
 * @example substanceByName('Soda ash') // 'soda-anhydrous'
 */
export function substanceByName(name: string): SubstanceId | null {
  const plain = name.trim().toLowerCase();
  return (
    substanceIds.find(
      (id) =>
        substances[id].name.toLowerCase() === plain || (substances[id].alsoCalled as readonly string[]).includes(plain),
    ) ?? null
  );
}
