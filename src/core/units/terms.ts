/** Terms of the field, each in one sentence. The interface opens them where they stand, and the handbook lists them. */
export const terms = {
  'average-gradient': {
    name: 'Average gradient',
    words:
      'How steeply density rises with exposure over the part of the curve that carries the picture: the contrast of the negative. Longer development raises it.',
  },
  'base-fog': {
    name: 'Base + fog',
    words:
      'The density of developed film that saw no light: the base, its dye, and grains that develop all the same. It grows with age.',
  },
  density: {
    name: 'Density (D)',
    words: 'How much light a piece of film holds back, in powers of ten: D 1 lets a tenth through, D 2 a hundredth.',
  },
  'room-year': {
    name: 'Years at room temperature',
    words:
      'What its age comes to at 21 °C. A year in a freezer is worth about five days of it, a year in a hot attic more than two years.',
  },
  band: {
    name: 'Likely range',
    words: 'Four rolls in five should need a time inside it. A wide range is not a fault: it shows what is not known.',
  },
  box: {
    name: 'Box',
    words:
      'Rolls that came together and lay together ever since: a brick, a tin, a find. They aged alike, so what one of them shows tells of the others.',
  },
  ledger: {
    name: 'Ledger',
    words: 'The reasons for a time in order, each as a factor; multiplied together they give the time.',
  },
  hold: { name: 'Hold', words: 'Develop old film for the fresh-film time, with a restrainer where fog is heavy.' },
  extend: { name: 'Extend', words: 'Develop old film longer to regain contrast, at the price of fog.' },
  stand: {
    name: 'Stand development',
    words:
      'Very dilute developer, hardly any agitation, for 45 to 75 minutes: dense areas exhaust it while thin ones keep developing.',
  },
  'shadow-separation': {
    name: 'Shadow separation',
    words: 'The difference in density between the two darkest parts of the scene that still hold detail.',
  },
  'latent-image': {
    name: 'Latent image',
    words: 'What exposure leaves in the film before it is developed. On a found roll it has been fading ever since.',
  },
  restrainer: {
    name: 'Restrainer',
    words: 'Potassium bromide: a gram per litre or two keeps fog down and costs a little speed.',
  },
  'rem-jet': {
    name: 'Rem-jet',
    words: 'A black carbon layer on the back of cine stock. It comes off only in alkaline water.',
  },
  'drop-test': {
    name: 'Drop test',
    words:
      'A drop of the brew and a drop of a known developer on one leader in room light: the times to go dark compare their strength.',
  },
  'clip-test': {
    name: 'Clip test',
    words: 'A few centimetres of the roll itself, developed first and read.',
  },
  'clearing-time': {
    name: 'Clearing time',
    words: 'The time a scrap of film takes to turn clear in the fixer. Fix for twice as long.',
  },
  'one-bath': {
    name: 'One-bath (monobath)',
    words: 'Developer and fixer in one: it develops and fixes at the same time and runs to completion.',
  },
} as const;

export type TermId = keyof typeof terms;
