import type { Developer } from '../brewing/composition';
import { strengthLeft } from '../brewing/keeping';
import { SPENT_SHARE } from '../brewing/keeping';
import type { WetStep } from '../schedule/wetSteps';

/** A roll of the evening, as its plan stands. */
export interface EveningRoll {
  id: string;
  label: string;
  /** Its wet steps, from the pre-soak to the wetting bath. */
  steps: readonly WetStep[];
  /** The jug that it is developed in, shared by its id; null for a developer of its own that keeps. */
  jug: EveningJug | null;
  /** What it counts as in the jug, films of 80 square inches. */
  films: number;
  /** Instant at which its first bath really went in, min on the evening's clock; null before that. */
  begunMin: number | null;
}

/** A jug that is mixed for the evening, or stands already. */
export interface EveningJug {
  id: string;
  name: string;
  /** What it is; null where nobody knows. */
  developer: Developer | null;
  /** Volume by which it wears, ml. */
  volumeMl: number;
  /** Films through it before this evening. */
  films: number;
  /** When it was mixed, min on the evening's clock; null where that is still to be done. */
  mixedMin: number | null;
  /** How long mixing takes, and how long it stands afterwards, min. */
  mixingMin: number;
  standingMin: number;
  /** When the time of this roll was chosen, min on the evening's clock: it reckons with the jug as it stood then. */
  chosenMin: number;
}

/** How an evening is to go. */
export interface EveningWish {
  /** When hands are free, min on the evening's clock. */
  fromMin: number;
  rolls: readonly EveningRoll[];
  /** Tanks with their reels. */
  tanks: number;
  /** How long a reel dries before its next film, min; 0 for one that takes film wet. */
  reelDryMin: number;
  /** How long water stands to come to the room, and other baths to theirs, min. */
  waterMin: number;
  temperMin: number;
  /** Loading a film in the dark, min. */
  loadMin: number;
}

export type EveningLane = 'kitchen' | `roll:${string}`;

/** Something that happens on the evening's clock. */
export interface EveningItem {
  id: string;
  lane: EveningLane;
  kind: 'kitchen' | 'load' | 'develop' | 'bath' | 'hang';
  /** In words. */
  what: string;
  startMin: number;
  endMin: number;
  /** Hands that pour at its start: two of these want half a minute between them. */
  pours: boolean;
  /** Whether it belongs to the hours before, and goes into a calendar. */
  ahead: boolean;
}

/** Something that was moved, and why. */
export interface EveningShift {
  what: string;
  byMin: number;
  why: 'pours' | 'tank' | 'mixing';
}

/** Something that cannot be mended by moving. */
export interface EveningProblem {
  what: string;
  why: 'spent' | 'weak';
  /** Share of its strength that is left. */
  left: number;
}

export interface Evening {
  items: EveningItem[];
  shifts: EveningShift[];
  problems: EveningProblem[];
  /** When the last film hangs, min. */
  endsMin: number;
}

/** Least time between two pours, min. Source: our choice: half a minute for a pair of hands. */
export const POURS_APART_MIN = 0.5;

/** By how much a roll is moved to find room for its pours, min. */
const NUDGE_MIN = 0.25;

/** Nudges after which no room is looked for any more: four hours. */
const MOST_NUDGES = 960;

/** A brew below this share of its strength is told to be weak. Source: our choice. */
export const WEAK_SHARE = 0.7;

interface Placed {
  startMin: number;
  pours: number[];
  endMin: number;
  items: EveningItem[];
}

/**
 * Lays out an evening: water and mixing before, every bath of every roll, reels that dry, and what had to be moved.
 * @param wish rolls in the order of the user, tanks, and how long things take
 * @returns items on one clock. A tank holds one roll at a time; two pours are half a minute apart; a roll is developed when its jug
 * has stood; a later film in one jug gets the longer time that its wear asks for.
 */
export function planEvening(wish: EveningWish): Evening {
  const items: EveningItem[] = [];
  const shifts: EveningShift[] = [];
  const problems: EveningProblem[] = [];
  const free: number[] = Array.from({ length: wish.tanks }, () => -Infinity);
  const pours: number[] = [];
  const jugs = new Map<string, { readyMin: number; mixedMin: number; films: number }>();
  let handsMin = wish.fromMin;
  let wetEndMin = wish.fromMin;
  // Rolls that are in the tank already stand where they stand; what follows goes around them.
  const running = wish.rolls.filter(({ begunMin }) => begunMin !== null);
  const waiting = wish.rolls.filter(({ begunMin }) => begunMin === null);
  // Nobody loads a film in the dark beside a tank that wants to be turned: what goes in together is mixed and loaded before.
  const together = new Map<string, number>();
  if (running.length === 0) {
    const first = waiting.slice(0, wish.tanks);
    for (const roll of first)
      if (roll.jug?.mixedMin === null)
        handsMin = Math.max(handsMin, jugFor(roll.jug, wish, jugs, items, handsMin).mixedMin);
    for (const { id } of first) {
      together.set(id, handsMin);
      handsMin += wish.loadMin;
    }
  }
  for (const roll of [...running, ...waiting]) {
    const tank = free.indexOf(Math.min(...free));
    // It is mixed as late as the tank allows: a brew fades from its first hour on.
    const mixFrom = Math.max(handsMin, (free[tank] ?? -Infinity) - (roll.jug?.mixingMin ?? 0));
    const jug = roll.jug === null ? null : jugFor(roll.jug, wish, jugs, items, mixFrom);
    // Hands that mix cannot load; while the jug stands they can.
    const mixed = roll.jug?.mixedMin === null && jug !== null ? jug.mixedMin : -Infinity;
    const handsFrom = Math.max(handsMin, Math.min(mixed, handsMin + (roll.jug?.mixingMin ?? 0)));
    const loadFrom = together.get(roll.id) ?? Math.max(handsMin, mixed, free[tank] ?? -Infinity);
    const wetFrom = together.has(roll.id) ? handsMin : loadFrom + wish.loadMin;
    const due = Math.max(wetFrom, (jug?.readyMin ?? -Infinity) - beforeDeveloper(roll.steps));
    const place = (startMin: number): Placed => placeRoll(roll, startMin, jug);
    let placed = place(roll.begunMin ?? due);
    if (roll.begunMin === null) {
      if (due > wetFrom + 1e-9 && jug !== null) shifts.push({ what: roll.label, byMin: due - wetFrom, why: 'mixing' });
      if (loadFrom > handsFrom + 1e-9) shifts.push({ what: roll.label, byMin: loadFrom - handsFrom, why: 'tank' });
      for (let nudge = 0; nudge < MOST_NUDGES && collides(placed.pours, pours); nudge++)
        placed = place(placed.startMin + NUDGE_MIN);
      if (placed.startMin > due + 1e-9) shifts.push({ what: roll.label, byMin: placed.startMin - due, why: 'pours' });
      items.push({
        id: `${roll.id} load`,
        lane: `roll:${roll.id}`,
        kind: 'load',
        what: 'Load it in the dark',
        startMin: together.get(roll.id) ?? placed.startMin - wish.loadMin,
        endMin: (together.get(roll.id) ?? placed.startMin - wish.loadMin) + wish.loadMin,
        pours: false,
        ahead: false,
      });
    }
    items.push(...placed.items);
    pours.push(...placed.pours);
    if (jug !== null) {
      const left = roll.jug === null ? 1 : leftAt(jug.films, jug.mixedMin, roll.jug, developStart(roll.steps, placed));
      if (left < WEAK_SHARE) problems.push({ what: roll.label, why: left < SPENT_SHARE ? 'spent' : 'weak', left });
      jug.films += roll.films;
    }
    const dryMin = placed.endMin + wish.reelDryMin;
    items.push({
      id: `${roll.id} hang`,
      lane: `roll:${roll.id}`,
      kind: 'hang',
      what: 'Hangs',
      startMin: placed.endMin,
      endMin: placed.endMin + HANGS_MIN,
      pours: false,
      ahead: false,
    });
    if (wish.reelDryMin > 0 && wish.rolls.length > wish.tanks)
      items.push({
        id: `${roll.id} reel`,
        lane: 'kitchen',
        kind: 'kitchen',
        what: `Reel of ${roll.label} dries`,
        startMin: placed.endMin,
        endMin: dryMin,
        pours: false,
        ahead: false,
      });
    free[tank] = dryMin;
    wetEndMin = Math.max(wetEndMin, placed.endMin);
    together.delete(roll.id);
    // The hands are free again when everything that went in together hangs.
    if (together.size === 0) handsMin = wetEndMin;
  }
  const beginsMin = Math.min(
    ...items.filter(({ lane }) => lane !== 'kitchen').map(({ startMin }) => startMin),
    wish.fromMin,
  );
  items.push(
    kitchen('water', 'Set water out to come to the room', beginsMin - wish.waterMin, beginsMin, true),
    kitchen('temper', 'Bring stop, fixer and wash water to temperature', beginsMin - wish.temperMin, beginsMin, true),
  );
  const sorted = items.sort((a, b) => a.startMin - b.startMin || a.id.localeCompare(b.id));
  const ends = sorted.filter(({ kind }) => kind === 'hang').map(({ startMin }) => startMin);
  return { items: sorted, shifts, problems, endsMin: Math.max(wish.fromMin, ...ends) };
}

/** Minutes that a film hangs in the picture. Source: common practice (1 to 2 h in air), no source. */
export const HANGS_MIN = 60;

function kitchen(id: string, what: string, startMin: number, endMin: number, ahead: boolean): EveningItem {
  return { id, lane: 'kitchen', kind: 'kitchen', what, startMin, endMin, pours: false, ahead };
}

type JugInHand = { readyMin: number; mixedMin: number; films: number };

/** The jug of a roll: mixed once, before its first film. */
function jugFor(
  jug: EveningJug,
  { fromMin }: EveningWish,
  jugs: Map<string, JugInHand>,
  items: EveningItem[],
  handsMin: number,
): JugInHand {
  const known = jugs.get(jug.id);
  if (known !== undefined) return known;
  const startMin = Math.max(fromMin, handsMin);
  const mixedMin = jug.mixedMin ?? startMin + jug.mixingMin;
  const readyMin = jug.mixedMin === null ? mixedMin + jug.standingMin : mixedMin;
  const made = { readyMin, mixedMin, films: jug.films };
  jugs.set(jug.id, made);
  if (jug.mixedMin === null) {
    items.push(kitchen(`${jug.id} mix`, `Mix ${jug.name}`, startMin, mixedMin, false));
    if (jug.standingMin > 0) items.push(kitchen(`${jug.id} stand`, `${jug.name} stands`, mixedMin, readyMin, false));
  }
  return made;
}

/** Strength of a jug at a moment, against fresh. */
function leftAt(films: number, mixedMin: number, { developer, volumeMl }: EveningJug, atMin: number): number {
  return strengthLeft(developer, films, volumeMl, Math.max(0, atMin - mixedMin) / 60);
}

function beforeDeveloper(steps: readonly WetStep[]): number {
  let sum = 0;
  for (const step of steps) {
    if (step.kind === 'develop') break;
    sum += step.durationS / 60;
  }
  return sum;
}

function developStart(steps: readonly WetStep[], placed: Placed): number {
  return placed.startMin + beforeDeveloper(steps);
}

/** A roll from a moment on: its baths one after another, development as long as its jug then asks for. */
function placeRoll(roll: EveningRoll, startMin: number, jug: JugInHand | null): Placed {
  const items: EveningItem[] = [];
  let at = startMin;
  roll.steps.forEach((step, index) => {
    // The plan reckons with its jug as it will be for its own film; a jug that is used up further since asks for more.
    const factor = step.kind === 'develop' && jug !== null ? wearFactor(roll, jug, at) : 1;
    const endMin = at + (step.durationS / 60) * factor;
    items.push({
      id: `${roll.id} ${String(index).padStart(3, '0')}`,
      lane: `roll:${roll.id}`,
      kind: step.kind === 'develop' ? 'develop' : 'bath',
      what: step.name,
      startMin: at,
      endMin,
      pours: true,
      ahead: false,
    });
    at = endMin;
  });
  return { startMin, pours: items.map((item) => item.startMin), endMin: at, items };
}

/** How much longer a film takes in a jug that other films went through, and that stood, since the time was chosen. */
function wearFactor({ jug: made }: EveningRoll, jug: JugInHand, atMin: number): number {
  if (made === null) return 1;
  const chosen = leftAt(made.films, made.mixedMin ?? made.chosenMin, made, made.chosenMin);
  return chosen / leftAt(jug.films, jug.mixedMin, made, atMin);
}

function collides(mine: readonly number[], others: readonly number[]): boolean {
  return mine.some((minute) => others.some((other) => Math.abs(other - minute) < POURS_APART_MIN - 1e-9));
}
