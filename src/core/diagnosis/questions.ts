/** What can be looked at, and what may be seen. Words: ours. */
export const questions = {
  rim: {
    asks: 'The edge print: numbers and names exposed at the factory',
    options: {
      good: 'As dark as on a good film',
      thin: 'Thin and grey',
      missing: 'Missing',
      none: 'This film has none',
    },
  },
  image: {
    asks: 'The image as a whole',
    options: { none: 'None: clear', thin: 'Thin', good: 'About right', dense: 'Dense and hard', black: 'None: black' },
  },
  shadows: {
    asks: 'Detail where the scene was dark',
    options: { there: 'There', missing: 'Missing' },
  },
  frames: {
    asks: 'The frames beside each other',
    options: { alike: 'All alike', differ: 'Some good, some not' },
  },
  fog: {
    asks: 'Grey between the frames',
    options: {
      clear: 'Hardly any',
      even: 'Even, from end to end',
      edges: 'Stronger at the edges or the outer turns',
      bars: 'Wavy bars, or one that comes back',
      patches: 'Patches and flashes',
    },
  },
  base: {
    asks: 'The base, held against the light',
    options: {
      clean: 'Clean',
      milky: 'Milky or violet, changing with the angle',
      smears: 'Black smears that rub off wet',
      coloured: 'Evenly coloured',
    },
  },
  marks: {
    asks: 'Marks',
    options: {
      none: 'None',
      rings: 'Small round spots, clear or dark',
      specks: 'Specks and grit',
      streaks: 'Streaks from dense places or from the holes',
      broad: 'Broad uneven areas',
      crust: 'White rims of dried drops',
      crescents: 'Dark crescents or kinks',
      net: 'A net of fine cracks',
    },
  },
  soda: {
    asks: 'The soda in the brew',
    options: { washing: 'Washing soda, sure', baking: 'Baking soda, or not sure', other: 'No soda in it' },
  },
  brew: {
    asks: 'The developer when it went in',
    options: {
      fresh: 'Mixed within the hour',
      old: 'Hours old, or used before',
      cold: 'Colder than planned',
      right: 'Bought, and right',
    },
  },
  run: {
    asks: 'The development by the clock',
    options: {
      planned: 'As planned',
      short: 'Shorter, or colder, than planned',
      long: 'Longer, or warmer, than planned',
    },
  },
  start: {
    asks: 'Agitation as the developer went in',
    options: { moved: 'Agitated from the start', still: 'Left still' },
  },
  expected: {
    asks: 'Fog to expect of film of this age',
    options: { little: 'Hardly any', some: 'Some', much: 'Much' },
  },
} as const;

export type QuestionId = keyof typeof questions;
export const questionIds = Object.keys(questions) as QuestionId[];
export type AnswerOf<Q extends QuestionId> = keyof (typeof questions)[Q]['options'] & string;
export type Answers = { [Q in QuestionId]?: AnswerOf<Q> };

/** How often each answer is given where nothing of the kind is wrong. Source: our estimate. */
export const usual: { [Q in QuestionId]: Record<AnswerOf<Q>, number> } = {
  rim: { good: 0.78, thin: 0.07, missing: 0.02, none: 0.13 },
  image: { none: 0.02, thin: 0.18, good: 0.64, dense: 0.15, black: 0.01 },
  shadows: { there: 0.8, missing: 0.2 },
  frames: { alike: 0.75, differ: 0.25 },
  fog: { clear: 0.66, even: 0.22, edges: 0.06, bars: 0.02, patches: 0.04 },
  base: { clean: 0.86, milky: 0.04, smears: 0.02, coloured: 0.08 },
  marks: { none: 0.72, rings: 0.05, specks: 0.05, streaks: 0.04, broad: 0.05, crust: 0.05, crescents: 0.03, net: 0.01 },
  soda: { washing: 0.6, baking: 0.08, other: 0.32 },
  brew: { fresh: 0.6, old: 0.1, cold: 0.08, right: 0.22 },
  run: { planned: 0.9, short: 0.05, long: 0.05 },
  start: { moved: 0.85, still: 0.15 },
  expected: { little: 0.5, some: 0.3, much: 0.2 },
};
