import type { NitrateRisk } from './nitrate';
import type { CautionNote, CautionPlace } from './cautionNote';

/** What is known when cautions are looked up. Anything left out keeps its rules silent. */
export interface CautionFacts {
  /** How likely the film is on nitrate base. */
  nitrate?: NitrateRisk;
  remJet?: boolean;
  temperatureC?: number;
  ageRoomYears?: number;
  ageFogD?: number;
  timeMin?: number;
  alkalineDeveloper?: boolean;
  powders?: boolean;
  kitchenIngredients?: boolean;
  bromide?: boolean;
  /** Concentrate that each film of 80 square inches gets, and the least that its family wants, ml. */
  concentrate?: { mlPerFilm: number; leastMl: number };
  acidStop?: boolean;
  carbonateBrew?: boolean;
  fixer?: boolean;
  /** Set when developer and fixer are one bath. */
  oneBath?: { agitation: 'gentle' | 'continuous'; usual: 'gentle' | 'continuous' | 'either'; pushed: boolean };
  /** A one-shot that has had a film already. */
  oneShotAgain?: boolean;
  /** A stand in a developer that is not thin enough for one. */
  thickStand?: boolean;
}

interface CautionRule extends CautionNote {
  when: (facts: CautionFacts) => boolean;
}

/** Age from which gelatin is taken as old, room-years. Source: our choice. */
const OLD_GELATIN_ROOM_YEARS = 10;

/** The cautions and when they apply. Source: common practice, no source, unless a line says otherwise. */
export const cautionRules: readonly CautionRule[] = [
  {
    id: 'nitrate',
    at: 'identify',
    severity: 'stop',
    text: 'Film of this kind and age is likely on nitrate base. It burns fiercely, even under water, and cannot be put out. Do not process it, do not warm it, do not burn a sample. Look at the edge of the leader, and on its tin: if SAFETY stands there, say so, and the roll is yours to develop. A sharp smell, stickiness or brown powder point to nitrate. Keep it cool, alone and in a vented tin, and ask a film archive or the fire service.',
    when: (f) => f.nitrate === 'likely',
  },
  {
    id: 'possible-nitrate',
    at: 'identify',
    severity: 'warn',
    text: 'Some film of this format and these years was on nitrate base, which burns fiercely. Look at the edge of the leader, and on its box, before you go on: SAFETY settles it. If NITRATE is printed there, or the film smells sharp, is sticky or sheds brown powder, do not process it: keep it cool and alone, and ask a film archive or the fire service.',
    when: (f) => f.nitrate === 'possible',
  },
  {
    id: 'cold',
    at: 'choose',
    severity: 'warn',
    text: 'Below 13 °C (55 °F) hydroquinone almost stops working, and the estimate no longer holds. Warm the brew.',
    when: (f) => f.temperatureC !== undefined && f.temperatureC < 13,
  },
  {
    id: 'warm-old-gelatin',
    at: 'choose',
    severity: 'warn',
    text: 'Above 24 °C (75 °F) old or unhardened gelatin softens and may reticulate. Stay at 20 °C (68 °F) if you can, and keep all baths within 3 °C (5 °F) of each other.',
    when: (f) => f.temperatureC !== undefined && f.temperatureC > 24 && (f.ageRoomYears ?? 0) >= OLD_GELATIN_ROOM_YEARS,
  },
  {
    id: 'warm',
    at: 'choose',
    severity: 'note',
    text: 'Above 24 °C (75 °F) times get short and hard to keep even. Keep all baths within 3 °C (5 °F) of each other.',
    when: (f) => f.temperatureC !== undefined && f.temperatureC > 24 && (f.ageRoomYears ?? 0) < OLD_GELATIN_ROOM_YEARS,
  },
  {
    id: 'short-time',
    at: 'choose',
    severity: 'note',
    text: 'Under 4 minutes, pouring alone makes development uneven. Dilute more or go cooler.',
    when: (f) => f.timeMin !== undefined && f.timeMin < 4,
  },
  {
    id: 'heavy-fog',
    at: 'choose',
    severity: 'note',
    text: 'Heavy fog is expected (over 0.6). Hold with a restrainer, strong and cool, loses least.',
    when: (f) => f.ageFogD !== undefined && f.ageFogD > 0.6,
  },
  {
    id: 'too-little-concentrate',
    at: 'choose',
    severity: 'warn',
    text: 'There is less concentrate in the tank than one film uses up, so it may stop developing half-way. Use more solution or dilute less.',
    when: (f) => f.concentrate !== undefined && f.concentrate.mlPerFilm < f.concentrate.leastMl,
  },
  {
    id: 'one-shot-again',
    at: 'choose',
    severity: 'warn',
    text: 'This working solution has had a film already, and its kind is used once and poured away: what is left may stop half-way. Mix a fresh one. The time shown takes what the first film used up, and is very uncertain.',
    when: (f) => f.oneShotAgain === true,
  },
  {
    id: 'one-bath-agitation',
    at: 'choose',
    severity: 'warn',
    text: 'In a one-bath, more agitation favours fixing over developing: gentle up to about 22 °C (72 °F), continuous from about 24 °C (75 °F) on, and either between.',
    when: (f) => f.oneBath !== undefined && f.oneBath.usual !== 'either' && f.oneBath.usual !== f.oneBath.agitation,
  },
  {
    id: 'one-bath-push',
    at: 'choose',
    severity: 'note',
    text: 'A one-bath runs to completion, so a longer time does little. Push with temperature, not time.',
    when: (f) => f.oneBath?.pushed === true,
  },
  {
    id: 'thick-stand',
    at: 'choose',
    severity: 'warn',
    text: 'This developer is stronger than a third of the usual, so a stand in it blocks the highlights. Dilute it.',
    when: (f) => f.thickStand === true,
  },
  {
    id: 'powder-dust',
    at: 'mix',
    severity: 'warn',
    text: 'Powders: wear a mask and weigh with care, so that no dust rises.',
    when: (f) => f.powders === true,
  },
  {
    id: 'alkali',
    at: 'mix',
    severity: 'warn',
    text: 'The developer is alkaline: gloves and eye protection. Open a window.',
    when: (f) => f.alkalineDeveloper === true,
  },
  {
    id: 'bromide',
    at: 'mix',
    severity: 'note',
    text: 'Potassium bromide is harmful when swallowed. Keep it away from food and children.',
    when: (f) => f.bromide === true,
  },
  {
    id: 'not-a-drink',
    at: 'mix',
    severity: 'warn',
    text: 'It smells like food and is not: label the jug “not a drink”, keep it from children, and never use these vessels for food again.',
    when: (f) => f.kitchenIngredients === true,
  },
  {
    id: 'safety-sheet',
    at: 'mix',
    severity: 'note',
    text: 'Concentrates: gloves, eye protection and fresh air. Read the safety sheet of the product in your hand; it takes precedence over anything said here.',
    when: (f) => f.concentrate !== undefined,
  },
  {
    id: 'rem-jet',
    at: 'run',
    severity: 'note',
    text: 'The black backing comes off in the alkaline pre-bath: shake hard, rinse until the water runs clear, and wipe what is left after the wash. Never pour it into a bath that you keep.',
    when: (f) => f.remJet === true,
  },
  {
    id: 'acid-on-carbonate',
    at: 'run',
    severity: 'warn',
    text: 'Acid stop on a carbonate brew makes gas, and pressure in a closed tank. Rinse with water first, or lift the lid after the first turn.',
    when: (f) => f.acidStop === true && f.carbonateBrew === true,
  },
  {
    id: 'sulfite-acid',
    at: 'run',
    severity: 'note',
    text: 'Acid that meets sulfite or metabisulfite gives off sulfur dioxide. Ventilate.',
    when: (f) => f.acidStop === true && f.fixer === true,
  },
  {
    id: 'fixer-bleach',
    at: 'run',
    severity: 'warn',
    text: 'Never let fixer meet chlorine bleach.',
    when: (f) => f.fixer === true,
  },
  {
    id: 'spent-baths',
    at: 'after',
    severity: 'warn',
    text: 'Spent fixer and used developer contain silver and organics: collect them in labelled bottles and follow local rules.',
    when: (f) => f.fixer === true,
  },
];

/**
 * The cautions that apply.
 * @param facts what is known
 * @param at only those of one place; all when left out
 * @returns cautions in the order of the table
 */
export function cautionsFor(facts: CautionFacts, at?: CautionPlace): CautionNote[] {
  return cautionRules
    .filter((rule) => (at === undefined || rule.at === at) && rule.when(facts))
    .map(({ id, at: place, severity, text }) => ({ id, at: place, severity, text }));
}
