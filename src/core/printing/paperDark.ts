import type { DarkStep, LightsOutCard } from '../films/lightsOut';

const step = (act: string, feel: string, snag = ''): DarkStep => ({ act, feel, snag });

/** A sheet out of its box and onto the easel, in its order. Source: common practice, no source. */
export const sheetFromBox: LightsOutCard = {
  title: 'A sheet from its box',
  inReach: ['Box of paper', 'Scissors', 'Easel', 'Lid'],
  warnings: ['The white light and the enlarger stay off until the lid is on again.'],
  steps: [
    step('Stop the lens down, focus, switch the enlarger off.', 'The easel is where the picture was.'),
    step(
      'White light off, red lamp on, screens to Safe or face down.',
      'Wait a minute: eyes that see nothing tear paper.',
    ),
    step('Open the box, then its black bag.', 'The paper lies with its coat towards the middle of the stack.'),
    step(
      'Take one sheet, and cut a strip where one is wanted.',
      'The coat is the smooth, slightly sticky side; it curls inwards.',
      'Two that cling: bend a corner, and they part.',
    ),
    step('Fold the bag twice, and put the lid on the box.', 'The lid sits all round.'),
    step(
      'Say aloud: the box is closed.',
      'Only now may the enlarger light up.',
      'Boxes are lost by this step more than by any other.',
    ),
    step('Lay the sheet in the easel, coat up.', 'It lies flat against both stops.'),
  ],
};

/** A test of lamp and screen: three strips of one scrap, each longer in their light. Source: common practice, no source. */
export const safelightTest: LightsOutCard = {
  title: 'Is this light safe?',
  inReach: ['Scrap of paper', 'Three coins', 'Card', 'Clock'],
  warnings: ['Test with the lamp, the distance and the screen that you work with: a new bulb is a new light.'],
  steps: [
    step('In full darkness lay a scrap coat up, and a card over all of it.', 'The card lies flat.'),
    step('Red lamp on, screens as you work with them.', ''),
    step('Draw the card back by a third and lay a coin there. Wait four minutes.', 'The coin stays where it is.'),
    step('Draw it back by another third, lay a coin. Wait two minutes.', ''),
    step('Draw it off, lay the last coin. Wait two minutes.', ''),
    step(
      'Lamp off. Take the coins off, develop for the usual time, fix.',
      'The strips had eight, four and two minutes.',
    ),
    step('In white light: look for round, lighter places.', 'A coin that shows says that its strip was fogged.'),
  ],
};

/** Minutes that the strips of the test had, the shortest first. */
export const testedMinutes = [2, 4, 8] as const;
export type TestedMinutes = (typeof testedMinutes)[number];

/** Of what the test leaves safe, the part that a sheet may have. Source: common practice, no source: paper with an image on it fogs sooner. */
const IMAGE_SHARE = 0.5;

/**
 * How long a sheet may lie in a light.
 * @param shown minutes of the shortest strip whose coin shows; null where none does
 * @returns minutes; 0 for a light that is not safe
 * @example safeMinutes(8) // 2: four minutes left no trace, and an image takes half
 */
export function safeMinutes(shown: TestedMinutes | null): number {
  const clear = testedMinutes.filter((minutes) => shown === null || minutes < shown);
  return IMAGE_SHARE * (clear.at(-1) ?? 0);
}
