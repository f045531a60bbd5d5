import type { Condition } from './condition';

/** Signs of decay on a roll, what they change, in the imperative. Source: common practice, no source. */
export const conditionSigns = {
  vinegar: {
    name: 'Smells of vinegar',
    advice: 'The acetate base decays. Keep it apart from other film, develop soon, ventilate.',
  },
  shrunken: {
    name: 'Shrunken',
    advice: 'It may not run in the reel: load without force, or see-saw it. No sharp steps of temperature.',
  },
  brittle: {
    name: 'Brittle',
    advice: 'Let it lie a day in a humid box before loading; pre-soak 6 minutes; never bend it back.',
  },
  mould: {
    name: 'Mould',
    advice: 'Gloves and mask. Do not wipe it dry; the gelatin under it dissolves easily, so stay at 20 °C or below.',
  },
  'stuck-paper': {
    name: 'Backing paper sticks',
    advice: 'Do not pull. Pre-soak 6 minutes or longer until it floats off.',
  },
} as const;

export type ConditionSign = keyof typeof conditionSigns;

/** What the back of the film says about rem-jet. */
export const backings = {
  unknown: 'Not looked at yet',
  present: 'Black, and rubs off in alkaline water',
  absent: 'Not black, or does not rub off',
} as const;

export type Backing = keyof typeof backings;

/** What the print along the edge says of the base. */
export const edgePrints = {
  safety: 'SAFETY',
  nitrate: 'NITRATE',
  neither: 'Neither is there',
} as const;

export type EdgePrint = keyof typeof edgePrints;

/** Nothing known, nothing wrong. */
export const soundCondition: Condition = { backing: 'unknown', signs: [] };

/**
 * Whether a rem-jet backing must be expected.
 * @param condition what was seen
 * @param familyRemJet whether the stock family has one
 */
export function expectsRemJet(condition: Condition, familyRemJet: boolean): boolean {
  return condition.backing === 'unknown' ? familyRemJet : condition.backing === 'present';
}

/**
 * Whether the film wants the long pre-soak.
 * @param condition what was seen
 */
export function wantsLongSoak({ signs }: Condition): boolean {
  return signs.includes('brittle') || signs.includes('stuck-paper') || signs.includes('shrunken');
}
