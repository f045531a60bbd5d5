/** A step of the first roll, for somebody who never developed. */
export interface FirstStep {
  id: string;
  title: string;
  /** What to do, a line each. */
  lines: readonly string[];
  /** Where in the program it is done; missing for what is done away from it. */
  place?: { href: string; name: string };
  /** Whether the step is timed and read aloud with the eyes shut. */
  spoken?: readonly string[];
}

/** How much water a wash takes that is carried, by filling and pouring out, l for a tank of 300 ml. Source: common practice, no source. */
export const CARRIED_WASH_L = 2.5;

/**
 * The first roll in eight steps, from the shop to the drying line; then the roll that was found.
 * Source: common practice, no source.
 */
export const firstRollSteps: readonly FirstStep[] = [
  {
    id: 'buy',
    title: 'What to buy',
    lines: [
      'A daylight tank with its reel, a thermometer that reads to half a degree, two jugs, a measure of 500 ml, clips.',
      'Fixer: a rapid fixer for film. Wetting agent, or a drop of plain washing-up liquid.',
      'The developer is in the kitchen: instant coffee, washing soda (sodium carbonate, not bicarbonate), vitamin C as a plain powder.',
      'Scissors, a bottle opener for the cassette, gloves, glasses for your eyes. Nothing that touches food again.',
    ],
  },
  {
    id: 'film',
    title: 'A film that does not matter',
    lines: [
      'Buy one fresh black-and-white film, the cheapest. Take pictures of anything, in daylight.',
      'Buy or beg a second, spoilt one: it is for practising with the lights on.',
      'The found roll waits. It has waited long.',
    ],
  },
  {
    id: 'load',
    title: 'Loading, in the light and then blind',
    lines: [
      'In the light: cut the leader square between two holes, round its corners, feed it under the bearings, turn the two halves in turn.',
      'Then with your eyes shut, and the lines below read aloud. Three times without a stop is enough.',
      'In earnest: a room without a window at night, a coat with its sleeves tucked in, or a bed under two blankets do for a dark bag. Wait five minutes: where you then see your hand, light comes in.',
      'The reel must be bone dry. Damp film sticks: breathe elsewhere, and stop when it is warm under the coat.',
    ],
    spoken: [
      'Tank, lid, reel and scissors lie in front of you, left to right.',
      'Shut your eyes.',
      'Open the cassette, and take the film out by its edges.',
      'Feel for the two notches of the reel, and bring them together.',
      'Slide the film under the bearings until it holds.',
      'Turn left, turn right, as far as it goes.',
      'Cut the spool off. Turn twice more.',
      'Reel onto the column, column into the tank, lid on, and turn it until it clicks.',
      'Open your eyes.',
    ],
  },
  {
    id: 'water',
    title: 'Water, jugs and warmth',
    lines: [
      'No tap in the dark room: one bucket with water of the right warmth, one for what is used. A bucket drifts by a degree in a quarter of an hour: tell the tank what the thermometer says, and it corrects the time.',
      'No water bath: stand the jugs in a washing-up bowl with water two degrees warmer than wanted.',
      `Washing with carried water: fill, five turns, pour out; fill, ten turns; fill, twenty turns, and once more. About ${CARRIED_WASH_L} litres for a tank of 300 ml.`,
      'Three jugs in a row, labelled in big letters: 1 developer, 2 water, 3 fixer. Nothing else on the table.',
    ],
  },
  {
    id: 'practise',
    title: 'Three runs in the practice tank',
    lines: [
      'The practice tank runs like the real one, at any speed, and tells afterwards what went wrong and by how much.',
      'Three runs, with water in your own tank if you like. Go on when the last one is within its likely range.',
    ],
    place: { href: '/practice', name: 'To the practice tank' },
  },
  {
    id: 'mix',
    title: 'The developer that forgives',
    lines: [
      'Coffee, standard: it is slow, so ten seconds more or less are nothing, and it cannot be mistaken for water.',
      'Weigh everything out step by step. It is no drink from then on, and smells like none.',
    ],
    place: {
      href: '/ask#ask=1&film=pan-cubic-medium&size=135&past=new&kept=room&exposed=known&in=instant-coffee&at=20',
      name: 'Ask for its time',
    },
  },
  {
    id: 'run',
    title: 'The first run',
    lines: [
      'From the answer, Use it now leads to weighing out, and from there to the tank.',
      'Set the phone where it stays dry and can be seen. The tank says each thing before it has to be done, and speaks if you let it.',
      'If you lose the thread, leave the tank as it is and read the screen: a minute more is less than a mistake.',
      'On this first run the tank says at each bath what it is for.',
    ],
  },
  {
    id: 'judge',
    title: 'The first verdict',
    lines: [
      'Hang it with a weight at its foot, without dust: a bathroom after a hot shower. It is dry in two hours.',
      'Judge it when it is dry, by the pictures. Whatever came out, the next estimate is better for it.',
      'Now the found roll.',
    ],
    place: { href: '/log', name: 'To the log' },
  },
];
