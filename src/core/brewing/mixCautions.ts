import type { Makeup } from './part';
import type { RecipeUse } from './recipe';
import { substanceOf, type SubstanceTrait } from '../chemistry/substances';
import type { CautionNote } from '../safety/cautionNote';

/** A moment of mixing, as the rules see it. */
export interface MixMoment {
  step: 'water' | 'part' | 'stand' | 'strain' | 'top-up' | 'measure';
  use: RecipeUse;
  /** Traits of what goes in now. */
  adding: ReadonlySet<SubstanceTrait>;
  /** Traits of what is in the jug already. */
  inJug: ReadonlySet<SubstanceTrait>;
  /** It is the first powder of this batch. */
  firstPowder: boolean;
  /** Something in it comes from an animal. */
  animal: boolean;
}

interface MixRule extends Omit<CautionNote, 'at'> {
  when: (moment: MixMoment) => boolean;
}

/** Two traits that come together with this step, in either order. */
const meet = ({ adding, inJug }: MixMoment, one: SubstanceTrait, other: SubstanceTrait): boolean =>
  (adding.has(one) && (inJug.has(other) || adding.has(other))) || (adding.has(other) && inJug.has(one));

/** What is said of anything that comes from an animal. */
export const BIOHAZARD =
  'Anything of animal origin is a biohazard: gloves, separate vessels, no open jug in the kitchen, and disinfect what touched it. Aetas offers no such recipe.';

/** The cautions of mixing, each at the step where it bites. Source: common practice, no source; product safety sheets go before it. */
export const mixRules: readonly MixRule[] = [
  {
    id: 'vessels',
    severity: 'warn',
    text: 'A jug and spoon for film only, from now on: they never go back to food.',
    when: (m) => m.step === 'water',
  },
  {
    id: 'powder-mask',
    severity: 'warn',
    text: 'Powders: a mask on and the air still, so that no dust rises.',
    when: (m) => m.firstPowder,
  },
  {
    id: 'alkali-gloves',
    severity: 'warn',
    text: 'Alkali: gloves and eye protection. Rinse splashes with plenty of water.',
    when: (m) => m.adding.has('alkali') && !m.inJug.has('alkali'),
  },
  {
    id: 'caustic-heat',
    severity: 'stop',
    text: 'Caustic: into cold water only, a little at a time, with eye protection. Never hot water, never water onto it: it boils and spits. No aluminium vessel.',
    when: (m) => m.adding.has('caustic'),
  },
  {
    id: 'carbonate-acid',
    severity: 'warn',
    text: 'Acid and carbonate make gas: an open, tall jug, a little at a time, and no lid or cap until it is still.',
    when: (m) => meet(m, 'carbonate', 'acid'),
  },
  {
    id: 'ammonium-alkali',
    severity: 'stop',
    text: 'Ammonium salt and alkali together give off ammonia. Do not mix these two: take one of them out of the recipe.',
    when: (m) => meet(m, 'ammonium', 'alkali'),
  },
  {
    id: 'sulfite-acid',
    severity: 'warn',
    text: 'Sulfite or metabisulfite with acid gives off sulfur dioxide: open the window, keep your face away, and let the jug be cool.',
    when: (m) => (m.adding.has('sulfite') && m.adding.has('acid')) || meet(m, 'sulfite', 'acid'),
  },
  {
    id: 'sealed-can',
    severity: 'warn',
    text: 'Open the can or bottle before you warm it: sealed, it bursts.',
    when: (m) => m.adding.has('sealed'),
  },
  {
    id: 'acid-eyes',
    severity: 'warn',
    text: 'Acid: gloves and eye protection, and keep the powder away from your face. Rinse splashes with plenty of water.',
    when: (m) => m.adding.has('irritant') && !m.inJug.has('irritant'),
  },
  {
    id: 'safety-sheet',
    severity: 'warn',
    text: 'Gloves, eye protection and fresh air. Its own safety sheet takes precedence over anything said here: read it first.',
    when: (m) => m.adding.has('bought') && !m.inJug.has('bought'),
  },
  {
    id: 'unknown',
    severity: 'warn',
    text: 'Aetas does not know this substance or what it may give off with the others: look it up before you add it.',
    when: (m) => m.adding.has('unknown'),
  },
  {
    id: 'harmful',
    severity: 'note',
    text: 'Harmful when swallowed: away from food and children, and wash your hands.',
    when: (m) => m.adding.has('harmful'),
  },
  { id: 'biohazard', severity: 'warn', text: BIOHAZARD, when: (m) => m.animal && m.step === 'part' },
  {
    id: 'bleach',
    severity: 'warn',
    text: 'Never let fixer meet chlorine bleach.',
    when: (m) => m.use === 'fixer' && m.step === 'measure',
  },
  {
    id: 'label',
    severity: 'warn',
    text: 'Label it now: what it is, when, and “not a drink”. Out of reach of children.',
    when: (m) => m.step === 'measure',
  },
];

/** The traits of a part's makeup. */
export function traitsOf(makeup: Makeup): SubstanceTrait[] {
  switch (makeup.kind) {
    case 'substance':
      return [...substanceOf(makeup.substanceId).traits];
    case 'tablets':
      return makeup.effervescent ? ['acid', 'carbonate', 'kitchen'] : ['acid', 'kitchen'];
    case 'packet':
      return ['powder', 'bought'];
    case 'concentrate':
      return ['bought'];
    case 'own':
      return ['unknown'];
  }
}

/** The cautions that bite at a moment, in the order of the table. */
export function mixCautionsAt(moment: MixMoment): CautionNote[] {
  return mixRules
    .filter(({ when }) => when(moment))
    .map(({ id, severity, text }) => ({ id, at: 'mix', severity, text }));
}
