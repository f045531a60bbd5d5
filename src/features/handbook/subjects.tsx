import type { ReactNode } from 'react';
import { sodaForms, sodaFormIds } from '@/core/chemistry/sodas';
import { CARRIED_WASH_L } from '@/core/practice/firstRoll';
import { SheetPicture } from '@/features/print/SheetPicture';
import { StripsPicture } from '@/features/trial/StripsPicture';
import { WasteBottlePicture } from '@/features/waste/WasteBottlePicture';
import { BenchDrawing } from '@/features/dark/BenchDrawing';
import { ReelDrawing } from '@/features/dark/ReelDrawing';
import {
  BottleAir,
  BucketDrift,
  FogRow,
  SodaGrains,
  SpoonFills,
  TankSection,
  TwoRanges,
  WashChanges,
  WedgeDrawing,
} from './drawings';

/** A subject of the handbook: one page, drawn. */
export interface Subject {
  id: string;
  title: string;
  /** What the page answers, in one line. */
  answers: string;
  /** Words that people use for it. */
  also: string;
  drawing: ReactNode;
  /** Sentences, a paragraph each. Source: common practice, no source, where nothing else is said. */
  words: readonly string[];
}

export const subjects: readonly Subject[] = [
  {
    id: 'reel',
    title: 'Loading a reel',
    answers: 'Where the film goes in, and what to do when it sticks.',
    also: 'reel spiral load stuck jam feed film in',
    drawing: (
      <>
        <ReelDrawing tank="adjustable" />
        <ReelDrawing tank="spiral" />
      </>
    ),
    words: [
      'Practise in the light with a film that is lost anyway, then with your eyes shut, until three in a row go in without a stop.',
      'Cut the leader square, between two holes, and round its corners. The reel must be bone dry: a damp one holds the film.',
      'When it sticks, do not push. Turn back two turns, feel for a kink, and go on by the edges of the film only.',
    ],
  },
  {
    id: 'tank',
    title: 'How a tank keeps light out',
    answers: 'Lid, column, cap: what must be in before the light goes on.',
    also: 'tank lid column cap volume cover liquid daylight',
    drawing: <TankSection />,
    words: [
      'Light cannot go round the bend in the lid, and liquid can. That holds only with the column in its place: without it a straight way leads to the film.',
      'The light stays off until the lid has locked. From then on everything is done in the light.',
      'The liquid must cover the film while the tank stands, and leave some air to mix it when the tank is turned. What your format needs stands beside “In the tank”.',
    ],
  },
  {
    id: 'dark',
    title: 'A bench in the dark',
    answers: 'What lies where before the light goes off.',
    also: 'dark darkroom bag lay out bench lights off blind',
    drawing: <BenchDrawing things={['cassette', 'opener', 'scissors', 'reel', 'column', 'tank', 'lid']} />,
    words: [
      'Lay everything out from left to right in the order in which the hands need it, and touch each thing once with your eyes shut.',
      'A room is dark when you see nothing of your hand after five minutes. A coat with its sleeves tucked in, or a bed under two blankets, do for a dark bag.',
      'The lights-out card of your roll lists what your format needs, and reads it aloud.',
    ],
  },
  {
    id: 'spoons',
    title: 'Spoons',
    answers: 'Level, rounded, heaped, and how far a spoon can be trusted.',
    also: 'spoon teaspoon tablespoon level heaped rounded weigh scale grams',
    drawing: <SpoonFills />,
    words: [
      'A level teaspoon is 5 ml, or 4.93 ml in an American set; a tablespoon is three of them, and four in Australia. A heaped one can be twice a level one.',
      'The same volume of two powders weighs differently, and the same powder packs differently from jar to jar. Aetas counts that as doubt in the time: scales narrow it.',
      'Strike level with a knife, do not tap, and use the same spoon for all of a recipe. Your own spoon, weighed once under Brews, Kit, is better than any table.',
    ],
  },
  {
    id: 'sodas',
    title: 'Which soda is it',
    answers: 'Four white powders, and only three of them develop.',
    also: 'soda washing baking crystals carbonate bicarbonate natron powder which',
    drawing: <SodaGrains />,
    words: [
      ...sodaFormIds.map((id) => `${sodaForms[id].name}. ${sodaForms[id].tell}`),
      'A brew with baking soda in the place of washing soda hardly develops. Heated dry at 200 °C for an hour it becomes washing soda, and loses more than a third of its weight.',
    ],
  },
  {
    id: 'range',
    title: 'How a likely range is read',
    answers: 'One number, and how far it may be off.',
    also: 'range band uncertainty doubt error likely 80 % wide narrow',
    drawing: <TwoRanges />,
    words: [
      'Of five films like yours, four need a time inside the range. The mark is the best single guess; near the ends it is less likely, and never impossible.',
      'A wide range is not a fault. It says what nobody knows: the age, the storage, the brew. “What would narrow it” says which fact or which small test would tell most.',
      'At the tank a late hand matters as much as the range is narrow: twenty seconds are nothing beside ten minutes of doubt.',
    ],
  },
  {
    id: 'fog',
    title: 'What fog looks like',
    answers: 'From clear to hiding the picture, on a light table.',
    also: 'fog foggy grey base clear dark old film flat',
    drawing: <FogRow />,
    words: [
      'Fog is silver that develops without any light. Age, heat, X-rays and strong developers bring it. It lies over everything alike, so shadows drown first.',
      'Slight fog costs nothing but exposure time in the scanner. Strong fog asks for a restrainer, and for a short, cool, strong development rather than a long one.',
      'Greys compare in Day light only, on a screen that is not turned down.',
    ],
  },
  {
    id: 'wedge',
    title: 'Densities and wedges',
    answers: 'What a density of 1 is, and how an eye reads one.',
    also: 'density wedge step patch grey scale densitometer measure read',
    drawing: <WedgeDrawing />,
    words: [
      'A density says how much light is held back, in powers of ten: 0.3 lets half through, 1 a tenth, 2 a hundredth. Densities of layers add up.',
      'Lay a dried clip beside the patches on a bright, even ground, and take the patch that it melts into. With a card with a hole over both, an eye is good to about 0.1.',
      'A photograph of the strip does better when its camera is known: two exposures, a coin beside the strip, or layers of a scrap of film.',
    ],
  },
  {
    id: 'temperature',
    title: 'Holding a temperature',
    answers: 'A bucket, a room, and what to do without a bath.',
    also: 'temperature bucket water bath drift cool warm heater field camping',
    drawing: <BucketDrift />,
    words: [
      'Nothing has to stay at 20 °C. The time is made for the temperature that you have, and readings during the run move its end.',
      'A bucket drifts by about a degree in a quarter of an hour. The tank that stands in it follows late, so it is steadier still; tell it what the thermometer says.',
      'Without a bath, work at the temperature of the room: let all liquids stand in it overnight. They need to be alike more than they need to be right.',
    ],
  },
  {
    id: 'washing',
    title: 'Washing with little water',
    answers: 'Fill, turn, pour: how few litres are enough.',
    also: 'wash water rinse save litres carried no tap field hypo',
    drawing: <WashChanges />,
    words: [
      'Fill the tank, turn it five times, pour it out; fill, ten times; fill, twenty times. Each change takes out what had time to leave the film, and the last one must not be hurried.',
      `For a tank of 300 ml that is about ${CARRIED_WASH_L} litres with one change more: carried from a well, it is enough.`,
      'A drop of wetting agent in the last water, distilled if yours is hard, and no wiping.',
    ],
  },
  {
    id: 'prints',
    title: 'A strip before a print',
    answers: 'How exposure and grade are found with one strip of paper.',
    also: 'print enlarger paper test strip exposure grade contrast dodge burn lamp timer',
    drawing: <SheetPicture />,
    words: [
      'Expose the whole strip, then cover a little more of it before each time that is added. In stops each patch is as far from the next to the eye.',
      'Look at it in white light, rinsed. Where the lightest tones just have detail is the exposure.',
      'Where the darkest tones just have detail should be the same patch. If it has had less, the grade is too hard; if more, too soft.',
      'Grades differ from paper to paper. A strip without a negative, from the first grey to the full black, tells what yours spans, and its other grades move with it.',
      'On another grade the middle grey stays and the light tones do not: a harder one wants more light for them, a softer one less.',
      'A harder filter takes more light: one grey printed on both tells how much, and Aetas keeps it with the paper.',
      'Close the box before anything lights up. “Paper in the dark”, under Prints, has the order of the hands and reads it aloud.',
      'Paper sees a bright screen. Use Safe light, and test it: a coin on a scrap of paper under the screen for two, four and eight minutes, then develop the scrap.',
    ],
  },
  {
    id: 'trials',
    title: 'Whether it made a difference',
    answers: 'How strips are compared so that the answer can be believed.',
    also: 'trial compare control blind bracket experiment difference strips',
    drawing: <StripsPicture />,
    words: [
      'Let one thing differ, and keep one strip without it: what the control shows as well was not made by what you added.',
      'Each roll gives one strip to each brew. Rolls differ more than brews do, and so they cancel.',
      'Read the strips without knowing what they had. Aetas gives them codes, and an order by lot.',
      'What all brews begin with is weighed once and poured out into each jug. A brew that waits for its tank ages: the clock says by how much.',
      'Two strips that look different may differ by chance. The range says how large the difference may be; “not told” is an honest answer, and Aetas says how many strips more would settle it, and when to stop.',
    ],
  },
  {
    id: 'bottles',
    title: 'How long a bottle keeps',
    answers: 'What air does to a developer, and how to find out whether it still works.',
    also: 'bottle concentrate stock powder keep expiry air old smell brown dead developer fixer',
    drawing: <BottleAir />,
    words: [
      'Air ends a developer, and half a bottle of it ends it in half the time. Move what is left into a smaller bottle, or fill it up with glass beads.',
      'A snip of leader in a drop of it, in room light, tells more than any date: it must go black in a few minutes.',
      'Some developers brown and work on for years; ascorbate ones stay clear and die from one week to the next.',
      'A fixer is tested by a scrap of film: the first clearing time counts, and at twice that it is done. A smell of sulphur ends it at once.',
    ],
  },
  {
    id: 'waste',
    title: 'Where it goes',
    answers: 'What is kept apart, and why.',
    also: 'waste fixer silver pour away drain collection hazardous disposal bleach',
    drawing: <WasteBottlePicture full={0.4} words="A canister, two fifths full" />,
    words: [
      'Spent fixer holds the silver of the films: keep it, and hand it in where chemicals are taken.',
      'Keep fixer, developer, acids and alkalis in bottles of their own. Fixer and chlorine bleach must never meet.',
      'Leave air in the bottle, write on it what it is and since when, and keep it from children and heat.',
      'The rules where you live go before everything here.',
    ],
  },
];

/** A subject by its name in the address. */
export const subjectOf = (id: string): Subject | undefined => subjects.find((one) => one.id === id);
