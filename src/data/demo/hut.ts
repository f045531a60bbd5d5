import type { DevelopedFilm } from '@/core/kinetics/characteristicCurve';
import { DEVELOP, readyBaths, type Bath } from '@/core/schedule/baths';
import { bursts, turns, type Movement } from '@/core/schedule/movement';
import type { StockFamilyId } from '@/core/films/stockFamilies';
import type { StoragePresetId } from '@/core/films/storagePresets';
import { stayAt } from '@/core/films/storageStay';
import type { PrintValues } from '@/core/printing/print';
import type { TrialForm } from '@/core/trial/trial';
import type { MeasureId } from '@/core/trial/measures';
import type { UserHint } from '@/core/films/userHint';
import type { EvidenceRecord, RecipeRecord, Roll, Waste } from '@/core/records/records';
import { ordinaryKit, type Kit } from '@/core/kit/kit';
import { bathFormsOf } from '@/core/schedule/bathForm';
import { bathsOf } from '@/core/plan/wetProcess';
import type { PlanForm } from '@/core/plan/planForm';
import type { VerdictValues } from '@/core/outcome/verdict';

/**
 * The demo's world: a hill-weather society empties a closed mountain weather hut and finds film behind the barograph.
 * Films, makers and people are invented.
 */

/** Invented stocks, by short id. */
export const hutStocks: Record<string, { name: string; familyId: StockFamilyId; iso: number }> = {
  larkholm: { name: 'Larkholm Pan 200', familyId: 'pan-cubic-fast', iso: 200 },
  larkholmFine: { name: 'Larkholm Fine 50', familyId: 'pan-cubic-slow', iso: 50 },
  halvard: { name: 'Halvard 400', familyId: 'pan-cubic-fast', iso: 400 },
  ravnholt: { name: 'Ravnholt Cine 500', familyId: 'cine-colour-negative', iso: 500 },
  ravnholtGrey: { name: 'Ravnholt Grey 80', familyId: 'cine-monochrome-negative', iso: 80 },
  tveitlund: { name: 'Tveitlund Ortho 40', familyId: 'orthochromatic', iso: 40 },
  solbrekk: { name: 'Solbrekk Colour 80', familyId: 'colour-negative-obsolete', iso: 80 },
  morkedal: { name: 'Morkedal T 100', familyId: 'pan-tabular-medium', iso: 100 },
};

/** The hut's scale shows a tenth of a gram; its thermometer is a good one. */
export const hutKit: Kit = {
  ...ordinaryKit,
  scaleStepG: 0.1,
  scaleMostG: 500,
  cylinderStepMl: 1,
  thermometerStepC: 0.1,
  scale: 'simulated',
  probe: 'simulated',
};

/** The hut's own recipes, without the instants at which they were written down. */
export const hutRecipes: readonly Omit<RecipeRecord, 'createdMs' | 'updatedMs'>[] = [
  {
    id: 'recipe-nettle',
    name: 'Nettle tea, from behind the hut',
    use: 'film-developer',
    note: 'Young tops, a full pot. Greener than it is strong: drop test first.',
    lines: [
      { kind: 'substance', substanceId: 'herb', perL: 120 },
      { kind: 'substance', substanceId: 'soda-anhydrous', perL: 60 },
      { kind: 'substance', substanceId: 'ascorbic-acid', perL: 20 },
    ],
  },
];

/** A roll from the hut: what it is, and how far its work has come. */
export interface HutRoll {
  id: string;
  stock: keyof typeof hutStocks;
  roll: Pick<Roll, 'label' | 'formatId' | 'exposure' | 'note' | 'hints' | 'storage'> &
    Partial<Pick<Roll, 'condition' | 'xrayPasses'>>;
  /** Choices that differ from the form as it first opens. */
  plan?: Partial<PlanForm>;
  /** How far the work went; `draft` keeps the plan as typed only. */
  reached: 'roll' | 'draft' | 'pinned' | 'mixed' | 'hung' | 'judged';
  /** Days before the demo starts at which the film was developed. */
  daysAgo?: number;
  verdict?: VerdictValues;
  /** What was tested the day before. */
  findings?: { finding: EvidenceRecord['finding']; setting: EvidenceRecord['setting']; note: string }[];
}

const stamp = (year: number, slackYears = 0): UserHint => ({ kind: 'stamp', year, slackYears });
const exposed = (
  state: Roll['exposure']['state'],
  year: number | null = null,
  index: number | null = null,
): Roll['exposure'] => ({ state, year, index });
const asWanted = (note: string, part: Partial<VerdictValues> = {}): VerdictValues => ({
  contrast: 0,
  fog: 'slight',
  shadows: 'open',
  evenness: 'even',
  defects: [],
  note,
  ...part,
});
/** The hut's coffee on the day it was tested. */
const hutCoffee: EvidenceRecord['setting'] = {
  developer: {
    kind: 'improvised',
    agents: [{ agentId: 'instant-coffee', amountPerL: 40 }],
    ascorbicGPerL: 16,
    sodaGPerL: 54,
    others: [],
  },
  bromideGPerL: 0,
  wear: { ageH: 0.3, films: 0, volumeMl: 500 },
  temperatureC: 19.5,
  ambientC: null,
  agitationId: 'ten-each-minute',
  brewId: null,
  mixingLnSd: null,
};
const coffee: Partial<PlanForm> = { developerKind: 'improvised' };
const aminophenol: Partial<PlanForm> = {
  developerKind: 'concentrate',
  concentrateFamilyId: 'p-aminophenol',
  concentrateParts: 1,
  waterParts: 50,
  baths: bathFormsOf(
    bathsOf({ preSoakId: 'one-minute', stopId: 'acid', fixMin: 5, washId: '5-10-20', wettingId: 'agent' }),
  ),
};
const ownTime = (minutes: number): Partial<PlanForm> => ({
  knownTimeOn: true,
  knownTimeMin: minutes,
  knownTimeC: 20,
  knownTimeSource: 'own',
});

/** Where developed rolls of the hut are kept, by roll. */
export const hutArchive: Readonly<Record<string, NonNullable<Roll['archive']>>> = {
  'past-09': {
    place: 'Grey binder, page 14',
    frames: 37,
    perStrip: 5,
    words: [
      { frame: 3, words: 'The dog on the coal heap' },
      { frame: 11, words: 'Observer with the rain gauge, noon' },
      { frame: 12, words: 'The same, laughing' },
      { frame: 36, words: 'Sledge leaving for the valley' },
    ],
  },
};

/** Rolls that came together. */
export const hutBoxes = [
  {
    id: 'box-brick',
    name: 'Brick from the storm week',
    note: '',
    rolls: ['barograph', 'past-09', 'past-10', 'past-11'],
  },
] as const;

/** Rolls on the bench today. */
export const hutRolls: readonly HutRoll[] = [
  {
    id: 'tin-3',
    stock: 'larkholm',
    roll: {
      label: 'Tin 3, cloud studies',
      formatId: '120',
      hints: [stamp(1971, 3), { kind: 'use', what: 'The hut was manned', from: 1954, to: 1985 }],
      storage: [stayAt('room', 1985), stayAt('cellar')],
      exposure: exposed('unknown'),
      note: 'Behind the barograph, in a biscuit tin. “Ci, Cs, 14 h” in pencil on the paper.',
    },
    plan: { ...coffee, strategyId: 'extend' },
    reached: 'draft',
    findings: [
      {
        finding: {
          kind: 'drop',
          known: { kind: 'concentrate', familyId: 'p-aminophenol', parts: { concentrate: 1, water: 25 } },
          pairs: [
            { brewS: 96, knownS: 44 },
            { brewS: 90, knownS: 46 },
          ],
        },
        setting: hutCoffee,
        note: 'On the leader, by the window.',
      },
    ],
  },
  {
    id: 'portraits',
    stock: 'halvard',
    roll: {
      label: 'Portraits, winter crew',
      formatId: '135',
      hints: [stamp(1999)],
      storage: [stayAt('cellar')],
      exposure: exposed('known', 2026, 200),
      note: 'Shot last week in the hut kitchen, at 200.',
    },
    plan: { ...coffee, ...ownTime(14.5) },
    reached: 'mixed',
  },
  {
    id: 'instruments',
    stock: 'larkholmFine',
    roll: {
      label: 'Instrument readings',
      formatId: '127',
      hints: [
        stamp(1966, 3),
        { kind: 'story', what: 'The old observer is in the pictures', year: 1964, slackYears: 4 },
      ],
      storage: [stayAt('unknown')],
      exposure: exposed('mixed'),
      note: 'Dials and tables by window light.',
    },
    plan: { ...aminophenol, bromideGPerL: 1 },
    reached: 'pinned',
  },
  {
    id: 'barograph',
    stock: 'morkedal',
    roll: {
      label: 'Barograph, 1988',
      formatId: '135',
      hints: [stamp(1990)],
      storage: [stayAt('room')],
      exposure: exposed('known', 1988, 100),
      note: 'The storm week, drum and needle.',
    },
    plan: { ...coffee },
    reached: 'hung',
    daysAgo: 0.12,
  },
  {
    id: 'mast',
    stock: 'solbrekk',
    roll: {
      label: 'Rime on the mast',
      formatId: '126',
      hints: [stamp(1968, 3)],
      storage: [stayAt('attic')],
      exposure: exposed('unknown'),
      note: 'Colour film of a process that is gone; black-and-white is what is left.',
      condition: { backing: 'absent', signs: ['stuck-paper'] },
    },
    plan: {
      developerKind: 'improvised',
      agentId: 'dark-beer',
      agentPerL: 900,
      sodaGPerL: 60,
      ascorbicGPerL: 20,
      bromideGPerL: 1,
    },
    reached: 'draft',
  },
  {
    id: 'summit',
    stock: 'tveitlund',
    roll: {
      label: 'For the summit panorama',
      formatId: '120',
      hints: [stamp(1978)],
      storage: [stayAt('fridge')],
      exposure: exposed('unexposed'),
      note: 'Still sealed. For a clear morning.',
    },
    reached: 'roll',
  },
  {
    id: 'reel-b',
    stock: 'ravnholt',
    roll: {
      label: 'Reel B, snow line',
      formatId: 'cine16',
      hints: [],
      storage: [stayAt('unknown')],
      exposure: exposed('unknown'),
      note: 'Black on the back. No can, no label.',
      condition: { backing: 'present', signs: [] },
    },
    reached: 'roll',
  },
  {
    id: 'reel-a',
    stock: 'ravnholtGrey',
    roll: {
      label: 'Reel A, before 1952',
      formatId: 'cine35',
      hints: [stamp(1951, 3)],
      storage: [stayAt('unknown')],
      exposure: exposed('unknown'),
      note: 'Smells sharp. Kept apart, lid ajar.',
      condition: { backing: 'absent', signs: ['shrunken'] },
    },
    reached: 'roll',
  },
];

const past = (
  id: string,
  label: string,
  stock: HutRoll['stock'],
  daysAgo: number,
  expiredYear: number,
  storageId: StoragePresetId,
  plan: Partial<PlanForm>,
  verdict: VerdictValues,
): HutRoll => ({
  id,
  stock,
  roll: {
    label,
    formatId: '135',
    hints: [stamp(expiredYear)],
    storage: [stayAt(storageId)],
    exposure: exposed('known', null, null),
    note: '',
  },
  plan,
  reached: 'judged',
  daysAgo,
  verdict,
});

/** A dozen rolls of the past months, on the way from the family’s time to one of their own. */
export const hutPast: readonly HutRoll[] = [
  past(
    'past-01',
    'North ridge, first try',
    'halvard',
    171,
    1999,
    'cellar',
    { ...coffee },
    asWanted('Thin. Coffee brand with little in it?', { contrast: -1 }),
  ),
  past(
    'past-02',
    'Kitchen window',
    'halvard',
    150,
    1999,
    'cellar',
    { ...coffee, agitationId: 'five-each-half-minute' },
    asWanted('Still a little soft, streaks at the perforation.', { contrast: -1, evenness: 'streaked' }),
  ),
  past(
    'past-03',
    'Snow gauge',
    'halvard',
    128,
    1999,
    'cellar',
    { ...coffee, ...ownTime(14) },
    asWanted('Close. Shadows are there.'),
  ),
  past('past-04', 'The ladder', 'halvard', 96, 1999, 'cellar', { ...coffee, ...ownTime(14.5) }, asWanted('As wanted.')),
  past(
    'past-05',
    'Rain radar dome',
    'larkholm',
    142,
    1974,
    'attic',
    { ...coffee },
    asWanted('Heavy veil, soft below it.', { contrast: -1, fog: 'strong', shadows: 'thin' }),
  ),
  past(
    'past-06',
    'Dome, second roll',
    'larkholm',
    119,
    1974,
    'attic',
    { ...coffee, strategyId: 'extend', bromideGPerL: 1 },
    asWanted('Bromide helped; better than the first.', { fog: 'slight' }),
  ),
  past(
    'past-07',
    'Notebook pages',
    'larkholmFine',
    110,
    1966,
    'room',
    { ...aminophenol },
    asWanted('Crisp.', { fog: 'clear' }),
  ),
  past(
    'past-08',
    'Cloud atlas copies',
    'larkholmFine',
    88,
    1966,
    'room',
    { ...aminophenol, waterParts: 25 },
    asWanted('Too hard at 1+25.', { contrast: 1, fog: 'clear' }),
  ),
  past('past-09', 'Hut dog', 'morkedal', 75, 1990, 'room', { ...coffee }, asWanted('Fine.')),
  past(
    'past-10',
    'Mint tea trial',
    'morkedal',
    61,
    1990,
    'room',
    { ...coffee, agentId: 'herb', agentPerL: 120 },
    asWanted('An image, barely. The band had said so.', { contrast: -2, shadows: 'lost' }),
  ),
  past(
    'past-11',
    'Stout trial',
    'morkedal',
    47,
    1990,
    'room',
    { ...coffee, agentId: 'dark-beer', agentPerL: 900 },
    asWanted('It foamed over, and it works.', { contrast: -1, defects: ['stain'] }),
  ),
  past(
    'past-12',
    'First snow',
    'halvard',
    20,
    1999,
    'cellar',
    { ...coffee, ...ownTime(14.5) },
    asWanted('The same again.'),
  ),
];

/** Ways that the hut keeps: how its warden moved the tank, and the baths that the rain butt allowed. */
export const hutHabits: readonly (
  { kind: 'movement'; name: string; movement: Movement } | { kind: 'baths'; name: string; baths: Bath[] }
)[] = [
  {
    kind: 'movement',
    name: 'Between two readings',
    movement: bursts(turns(8), [120, 'end', turns(3)], { stillFromMin: 14 }),
  },
  {
    kind: 'baths',
    name: 'Rain butt',
    baths: [
      readyBaths['water-soak'],
      DEVELOP,
      readyBaths['still-water'],
      readyBaths.fixer,
      { ...readyBaths.change, name: 'Rain water, first', length: { kind: 'turns', turns: 6 } },
      { ...readyBaths.change, name: 'Rain water, second', length: { kind: 'turns', turns: 12 } },
      readyBaths['still-wash'],
      readyBaths.wetting,
    ],
  },
];

/** A strip that the hut read: a bracket of a grey card on film that has aged. */
interface HutStrip {
  rollId: string;
  name: string;
  timeMin: number;
  film: DevelopedFilm;
  /** Stops of the first frame from the metered exposure. */
  firstStops: number;
  count: number;
}

const agedFilm = (gradient: number, baseFogD: number): DevelopedFilm => ({
  gradient,
  baseFogD,
  fogD: baseFogD - 0.24,
  maximumDensityD: 2.6,
  lossStops: 0.9,
  highlightShare: 1,
});

/** Two strips of one roll: the clip before its run, and the grey card on its last frames. */
export const hutStrips: readonly HutStrip[] = [
  { rollId: 'past-03', name: 'Clip, grey card', timeMin: 8, film: agedFilm(0.44, 0.33), firstStops: -4, count: 8 },
  {
    rollId: 'past-03',
    name: 'Last frames, grey card',
    timeMin: 14,
    film: agedFilm(0.59, 0.37),
    firstStops: -4,
    count: 8,
  },
];

/** What the hut keeps until somebody goes down to the valley. */
export const hutWaste: readonly (Pick<Waste, 'kind' | 'name' | 'volumeMl' | 'films'> & { daysAgo: number })[] = [
  { kind: 'fixer', name: 'Fixer of the spring', volumeMl: 1000, films: 11, daysAgo: 150 },
  { kind: 'fixer', name: 'Fixer of the summer', volumeMl: 900, films: 9, daysAgo: 70 },
  { kind: 'developer', name: 'Hut coffee', volumeMl: 500, films: 2, daysAgo: 41 },
  { kind: 'acid', name: 'Stop', volumeMl: 1000, films: 6, daysAgo: 40 },
];

/** Trials of the hut: how each level moves what is looked at, and how far each has come. Their readings are drawn from this. */
export const hutTrials: readonly {
  id: string;
  daysAgo: number;
  form: TrialForm;
  seed: number;
  /** What a level adds to each measure, by its place. */
  effects: Partial<Record<MeasureId, readonly number[]>>;
  /** Strips that were read, in the order of the lot, and which one was lost. */
  read: number;
  developed: number;
  lost?: { at: number; why: string };
}[] = [
  {
    id: 'trial-mugs',
    daysAgo: 60,
    seed: 1957,
    form: {
      name: 'Does it matter which mug?',
      held: 'Larkholm Pan 200, 12 frames each, the barograph against the wall, 20 °C, 13 min, 10 s a minute.',
      levels: ['Hut coffee', 'Coffee from the valley', 'Nettle tea', 'Neither'],
      control: 0,
      measures: ['gradient', 'fog'],
      margins: {},
      blocks: 3,
      perBlock: 4,
      days: 1,
      material: 'length',
      frames: 12,
      filmM: '',
    },
    effects: { gradient: [0.58, 0.57, 0.44, 0.12], fog: [0.34, 0.35, 0.33, 0.24] },
    read: 12,
    developed: 12,
    lost: { at: 5, why: 'Stuck to the reel' },
  },
  {
    id: 'trial-soda',
    daysAgo: 6,
    seed: 3,
    form: {
      name: 'Half the soda',
      held: 'Clips of 5 cm, a step wedge, 20 °C, 13 min.',
      levels: ['54 g/l', '27 g/l'],
      control: 0,
      measures: ['contrast', 'fog'],
      margins: {},
      blocks: 4,
      perBlock: 2,
      days: 2,
      material: 'clip',
      frames: 12,
      filmM: '',
    },
    effects: { contrast: [0, -1], fog: [0.31, 0.27] },
    read: 3,
    developed: 5,
  },
];

/** Prints that hang in the hut. */
export const hutPrints: readonly (PrintValues & { id: string; daysAgo: number })[] = [
  {
    id: 'print-dog',
    daysAgo: 38,
    rollId: 'past-09',
    name: 'Frame 3, the dog on the coal heap',
    paper: 'Resin-coated, pearl',
    grade: '3',
    sideMm: 240,
    negativeMm: 36,
    fNumber: 8,
    baseS: 11.3,
    dryDown: 0,
    areas: [
      { where: 'sky', stops: 0.5, at: { x: 0.5, y: 0.2, rx: 0.46, ry: 0.2 } },
      { where: 'its face', stops: -0.3, at: { x: 0.38, y: 0.42, rx: 0.13, ry: 0.13 } },
    ],
    trays: 'Coffee, 5 min at 20 °C; warm in the lights',
    note: 'The coal keeps its edges.',
    final: true,
  },
  {
    id: 'print-stove',
    daysAgo: 37,
    rollId: 'past-04',
    name: 'Aunt Ragnfrid by the stove',
    paper: 'Fibre, matt',
    grade: '2',
    sideMm: 178,
    negativeMm: 36,
    fNumber: 11,
    baseS: 19,
    dryDown: 8,
    areas: [{ where: 'window', stops: 1 }],
    trays: 'Bought developer, 2 min',
    note: '',
    final: false,
  },
];
