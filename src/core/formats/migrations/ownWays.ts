import type { Migration, RawRecords } from '../migration';

type Raw = Record<string, unknown>;

/** How baths were moved, as movements stood when this step was made. */
const still = {
  continuous: false,
  first: null,
  every: null,
  stillFromMin: null,
  wakeUp: null,
  gesture: 'invert',
  tap: false,
};
const moved = (firstS: number, periodS: number, lengthS: number): Raw => ({
  ...still,
  first: { unit: 'seconds', n: firstS },
  every: { periodS, placement: 'start', amount: { unit: 'seconds', n: lengthS } },
});

const bath = (
  kind: string,
  name: string,
  liquid: string,
  length: Raw,
  note = '',
  movement: Raw | null = null,
): Raw => ({
  kind,
  name,
  liquid,
  length,
  movement,
  note,
});
const time = (seconds: number): Raw => ({ kind: 'time', seconds });
const turns = (n: number): Raw => ({ kind: 'turns', turns: n });

const soak = (seconds: number): Raw => bath('pre-soak', 'Pre-soak', 'water', time(seconds));
const develop = bath('develop', 'Develop', 'developer', { kind: 'development' });
const rinse = (name: string): Raw => bath('stop', name, 'water', turns(6));
const acid = bath('stop', 'Acid stop', 'acid', time(60), '', moved(10, 30, 10));
const changes = (...counts: number[]): Raw[] =>
  counts.map((n, index) => bath('wash', `Wash ${index + 1} of ${counts.length}`, 'water', turns(n)));
const running = (minutes: number): Raw[] => [
  bath('wash', 'Wash', 'water', time(minutes * 60), 'Let it run at working temperature'),
];
const lastBath = (liquid: string): Raw[] => [
  bath('wetting', 'Wetting bath', liquid, time(60), 'Let it stand, then lift the reel out without foam'),
];

/** The choices of then, and the baths that they meant. */
const preSoaks: Record<string, Raw[]> = {
  none: [],
  'one-minute': [soak(60)],
  'six-minutes': [soak(360)],
  'rem-jet': [
    bath(
      'pre-soak',
      'Alkaline pre-bath',
      'alkaline',
      time(60),
      'Water with 20 g/l washing soda: shake hard until the minute is over',
    ),
    bath('pre-soak', 'Rinse until clear', 'water', { kind: 'until-clear', seconds: 120 }, 'Fill, shake, pour out'),
  ],
};
const stops: Record<string, Raw[]> = {
  acid: [acid],
  rinse: [rinse('Rinse')],
  'three-rinses': [rinse('Rinse 1 of 3'), rinse('Rinse 2 of 3'), rinse('Rinse 3 of 3')],
  'water-then-acid': [rinse('Rinse'), acid],
  'still-water': [bath('stop', 'Still water', 'water', time(120))],
};
const washes: Record<string, Raw[]> = {
  '5-10-20': changes(5, 10, 20),
  '5-10-15-20': changes(5, 10, 15, 20),
  '3-6-12-24': changes(3, 6, 12, 24),
  'running-5': running(5),
  'running-10': running(10),
  'running-20': running(20),
};
const wettings: Record<string, Raw[]> = { agent: lastBath('wetting'), soap: lastBath('soap'), none: [] };

/**
 * The wet steps of a plan become a list of baths; plans may carry a movement and a time of their own; habits get a table.
 * Half-typed plans keep their choices.
 */
export const ownWays: Migration = {
  to: 7,
  name: 'own ways',
  tables: ['plans', 'drafts', 'habits'],
  change: (records: RawRecords) => ({
    ...records,
    habits: [],
    plans: (records.plans ?? []).map((plan) => (isRaw(plan) ? changePlan(plan) : plan)),
    drafts: (records.drafts ?? []).map((draft) =>
      isRaw(draft) && String(draft.id).startsWith('plan:') && isRaw(draft.values)
        ? { ...draft, values: changeForm(draft.values) }
        : draft,
    ),
  }),
};

function isRaw(value: unknown): value is Raw {
  return typeof value === 'object' && value !== null;
}

function changePlan({ wet, ...plan }: Raw): Raw {
  return {
    ...plan,
    movement: null,
    ownTimeMin: null,
    baths: (isRaw(wet) ? bathsOf(wet) : null) ?? [develop],
    pourIn: { clock: 'full', seconds: 12 },
  };
}

/** A form keeps what it had; where its wet choices were all there, they become baths. */
function changeForm(values: Raw): Raw {
  const baths = bathsOf(values);
  return baths === null ? values : { ...values, baths: baths.map(formOf) };
}

function bathsOf({ preSoakId, stopId, fixMin, washId, wettingId }: Raw): Raw[] | null {
  const own = <T>(table: Record<string, T>, id: unknown): T | undefined =>
    typeof id === 'string' && Object.hasOwn(table, id) ? table[id] : undefined;
  const [before, stop, wash, wetting] = [
    own(preSoaks, preSoakId),
    own(stops, stopId),
    own(washes, washId),
    own(wettings, wettingId),
  ];
  const fixS = typeof fixMin === 'number' ? Math.round(fixMin * 60) : NaN;
  if (!before || !stop || !wash || !wetting || !(fixS >= 1)) return null;
  const wipe = bath(
    'wash',
    'Wipe the back',
    'water',
    time(60),
    'Draw the shiny side through wet fingers or a soft sponge until it stays clear',
  );
  return [
    ...before,
    develop,
    ...stop,
    bath('fix', 'Fix', 'fixer', time(fixS), '', moved(30, 60, 10)),
    ...wash,
    ...(preSoakId === 'rem-jet' ? [wipe] : []),
    ...wetting,
  ];
}

/** A bath as its form held it then. */
function formOf({ kind, name, liquid, length, movement, note }: Raw, index: number): Raw {
  const { kind: lengthKind, seconds, turns: n } = length as Raw;
  const { first, every } = (movement ?? {}) as { first?: Raw; every?: Raw & { amount: Raw } };
  return {
    key: `b${index}`,
    kind,
    name,
    liquid,
    lengthKind,
    lengthMin: typeof seconds === 'number' ? seconds / 60 : '',
    turns: n ?? '',
    movement:
      movement === null
        ? null
        : {
            name: '',
            continuous: false,
            firstN: first?.n ?? '',
            firstUnit: 'seconds',
            everyS: every?.periodS ?? '',
            placement: 'start',
            everyN: every?.amount.n ?? '',
            everyUnit: 'seconds',
            stillFromMin: '',
            wake: 'none',
            wakeAtMin: '',
            wakeN: '',
            wakeUnit: 'seconds',
            gesture: 'invert',
            tap: false,
          },
    note,
  };
}
