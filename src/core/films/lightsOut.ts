import { conditionSigns } from './conditionFacts';
import type { Condition } from './condition';
import { filmFormats, fitsUsualReel, type FilmFormatId } from './filmFormats';

/** One step in the dark: what the hands do, and what the fingers feel when it is right. */
export interface DarkStep {
  act: string;
  feel: string;
  /** What commonly goes wrong, and the way out; empty where nothing does. */
  snag: string;
}

/** Everything for the minutes without light. */
export interface LightsOutCard {
  title: string;
  /** What lies in reach, in the order of the hands, from left to right. */
  inReach: string[];
  steps: DarkStep[];
  /** What this very roll asks for. */
  warnings: string[];
}

const step = (act: string, feel: string, snag = ''): DarkStep => ({ act, feel, snag });

type Kind = 'cassette' | 'paper' | 'cartridge' | 'cine' | 'sheet';

const opening: Record<Exclude<Kind, 'sheet'>, { reach: string[]; steps: DarkStep[] }> = {
  cassette: {
    reach: ['Cassette', 'Opener', 'Scissors'],
    steps: [
      step(
        'Pry the flat end off the cassette.',
        'The rim gives way all round and the spool slides out.',
        'If it sticks, work around the rim; do not dig deeper in one place.',
      ),
      step(
        'Cut the leader off square, and clip both corners.',
        'A straight edge with two short slants.',
        'Clip outwards, away from the film: a cut into the frame catches in the reel.',
      ),
    ],
  },
  paper: {
    reach: ['Roll', 'Scissors'],
    steps: [
      step(
        'Break the paper seal and unroll until the film begins.',
        'Paper alone, then paper and film together, stiffer.',
        'Do not let it spring open: hold the coil in the palm.',
      ),
      step(
        'Unroll on, letting the film coil up by itself, to the tape.',
        'The film ends in a strip of tape on the paper.',
        'The paper sticks: stop, close the tank, and soak it as it is.',
      ),
      step(
        'Tear or cut the tape, or fold it over the film.',
        'A thick, flat edge. This end goes in first: it is straight.',
        'Peel slowly: tape pulled fast sparks, and sparks are light.',
      ),
    ],
  },
  cartridge: {
    reach: ['Cartridge', 'Pliers', 'Scissors'],
    steps: [
      step(
        'Break the cartridge open at its bridge.',
        'The plastic cracks and the roll lies free.',
        'Splinters: feel for them before you pull the film out.',
      ),
      step('Peel the paper off and find the end of the film.', 'Paper is dull and soft, film smooth and springy.'),
    ],
  },
  cine: {
    reach: ['Can', 'Ruler or notch on the bench', 'Scissors', 'Black bag for the rest'],
    steps: [
      step(
        'Take the end of the coil and measure off the length for the reel.',
        'Perforations on one or both edges.',
        'The coil falls open: keep it flat on the bench with one palm.',
      ),
      step(
        'Cut it square, put the rest back and close the can.',
        'The lid sits flat all round.',
        'Stay dark until the can is closed.',
      ),
    ],
  },
};

/** Kinds of tank that a film on a reel goes into. */
export const tankKinds = { adjustable: 'Adjustable plastic reel', spiral: 'Steel spiral' } as const;
export type TankKind = keyof typeof tankKinds;

/** Ways of a film that fits no usual reel. */
export const oddWays = { 'see-saw': 'See-saw through trays', adjustable: 'A reel of its width' } as const;
export type OddWay = keyof typeof oddWays;

const intoReel: Record<TankKind, DarkStep[]> = {
  adjustable: [
    step(
      'Lead the end into the entry of the reel, under both lips.',
      'Two small steps, then it slides a hand’s width.',
      'It will not enter: the corners are not clipped, or the reel is wet.',
    ),
    step(
      'Turn the halves to and fro until the film is in.',
      'An even, light pull at each turn.',
      'At any resistance stop, turn back half a turn, tap the reel, go on. Never push.',
    ),
  ],
  spiral: [
    step(
      'Bow the film a little between thumb and finger, and clip its end to the core.',
      'The end holds when you tug lightly.',
      'It slips out: the end is not square, or not in the middle of the core.',
    ),
    step(
      'Turn the reel on the bench and let it draw the film in.',
      'It glides; pushed back a little, it gives and has play.',
      'No play, or a crackle: two turns share a groove. Unwind half a turn and go on.',
    ),
  ],
};

function loading(kind: Kind, tank: TankKind | OddWay): DarkStep[] {
  if (kind === 'sheet') {
    return [
      step('Find the notches: at the top right, the emulsion faces you.', 'Notches under the right forefinger.'),
      step(
        'Lay the sheet into its holder or tray, emulsion up.',
        'It lies flat and moves when the tray is tilted.',
        'Two sheets stick together: part them under water.',
      ),
    ];
  }
  if (tank === 'see-saw') {
    return [
      step(
        'Hold one end in each hand, emulsion down, and dip the middle.',
        'The coil pulls evenly on both hands.',
        'It curls: clip a peg to each end.',
      ),
      step(
        'Keep it moving, end to end, until the fixer is done.',
        'The film turns soft and slippery.',
        'Gelatin scratches on the rim of the tray: keep the bow low.',
      ),
    ];
  }
  return [
    ...intoReel[tank],
    step('Cut off the spool or the tape, and turn the end in.', 'No end stands out beyond the reel.'),
    step(
      'Put the reel on its column, into the tank, and close the lid.',
      'The lid turns until it stops. Shake: nothing rattles.',
      'Stay dark until the lid has locked.',
    ),
  ];
}

function kindOf(formatId: FilmFormatId): Kind {
  if (formatId.startsWith('sheet')) return 'sheet';
  if (formatId.startsWith('cine')) return 'cine';
  if (formatId === '126' || formatId === '110') return 'cartridge';
  return formatId.startsWith('135') ? 'cassette' : 'paper';
}

/**
 * The lights-out card of a format.
 * @param formatId film format
 * @param condition state of the film
 * @param tank kind of reel, or the way of a film that fits no usual one; of no matter for sheets
 * @returns what lies in reach, the steps in the order of the hands, and what this roll asks for
 * Source: common practice, no source.
 */
export function lightsOutCard(
  formatId: FilmFormatId,
  condition: Condition,
  tank: TankKind | OddWay = fitsUsualReel(formatId) ? 'adjustable' : 'see-saw',
): LightsOutCard {
  const kind = kindOf(formatId);
  const { name, coping, widthMm } = filmFormats[formatId];
  const reel = fitsUsualReel(formatId);
  const open = kind === 'sheet' ? { reach: ['Box of sheets', 'Holders or first tray'], steps: [] } : opening[kind];
  const loadInto =
    kind === 'sheet'
      ? []
      : tank !== 'see-saw'
        ? [
            tank === 'spiral'
              ? `Steel spiral for ${Math.round(widthMm)} mm`
              : reel
                ? `Reel, set to ${Math.round(widthMm)} mm and dry`
                : `Reel for ${Math.round(widthMm)} mm, dry`,
            'Column',
            'Tank',
            'Lid',
          ]
        : ['Trays in a row, poured', 'Pegs', 'Covered clock'];
  return {
    title: `Lights out: ${name}`,
    inReach: [...open.reach, ...loadInto],
    steps: [...open.steps, ...loading(kind, tank)],
    warnings: [
      ...(reel || coping === '' ? [] : [coping]),
      ...condition.signs.map((sign) => `${conditionSigns[sign].name}. ${conditionSigns[sign].advice}`),
    ],
  };
}
