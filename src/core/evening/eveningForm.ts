import { format, parseISO, set, startOfDay } from 'date-fns';
import * as z from 'zod';
import { failure, success, type Problem, type Result } from '../schema/result';
import { within } from '../schema/within';
import { typed } from '../schema/typed';
import { SPENT_SHARE } from '../brewing/keeping';
import { HANGS_MIN, POURS_APART_MIN, WEAK_SHARE, type EveningWish } from './evening';

/** Reels by how long they dry before they take the next film, min. Source: common practice, no source. */
export const reels = {
  plastic: { name: 'Plastic, dried in air', dryMin: 45 },
  warm: { name: 'Plastic, dried with warm air', dryMin: 5 },
  steel: { name: 'Steel, takes film damp', dryMin: 1 },
} as const;

export type ReelId = keyof typeof reels;
const reelIds = Object.keys(reels) as [ReelId, ...ReelId[]];

/** An evening as typed. */
export const eveningFormSchema = z.object({
  /** Hour and minute, as `18:30`. */
  from: z.string().max(20),
  tanks: typed,
  reel: z.enum(reelIds),
  waterH: typed,
  /** Rolls in the order in which they go; those left out stay on the bench. */
  order: z.array(z.string().max(100)).max(40),
  /** The day that it is for, as `2026-11-29`; an evening goes on past midnight. Missing for today. */
  day: z.string().max(10).optional(),
});

export type EveningForm = z.infer<typeof eveningFormSchema>;

/**
 * The order of an evening with one roll in the place of another; those between make room.
 * @param order ids in their order
 * @param id the roll that moves
 * @param place the roll whose place it takes
 */
export function movedTo(order: readonly string[], id: string, place: string): string[] {
  const at = order.indexOf(place);
  if (at < 0 || !order.includes(id)) return [...order];
  const rest = order.filter((other) => other !== id);
  return [...rest.slice(0, at), id, ...rest.slice(at)];
}

/** How long other baths take to their temperature in a basin, and a film to be loaded, min. Source: common practice, no source. */
const TEMPER_MIN = 30;
const LOAD_MIN = 10;

/** What an evening is laid out by, in words. */
export function eveningRules(): string[] {
  return [
    'Rolls go in the order you give them. Each tank holds one roll at a time.',
    `Loading a film in the dark: ${LOAD_MIN} min. Films that go in together are all loaded before the first pour.`,
    `Stop, fixer and wash water come to temperature in a basin: ${TEMPER_MIN} min.`,
    ...Object.values(reels).map(
      ({ name, dryMin }) => `Reel before its next film: ${name.toLowerCase()}, ${dryMin} min.`,
    ),
    `Two baths are poured at least ${POURS_APART_MIN * 60} s apart; a roll waits until they are.`,
    'A brew is mixed as late as its tank allows, because it fades from the first hour on. A later film in the same jug gets a longer time.',
    `A brew is called weak below ${WEAK_SHARE * 100} % of its strength and spent below ${SPENT_SHARE * 100} %.`,
    `A film is drawn as hanging for ${HANGS_MIN} min. In damp air leave it for two hours.`,
  ];
}

const numbers = {
  tanks: within('Tanks', 1, 6).int('Tanks: give a whole number.'),
  waterH: within('Water stands', 0, 24, 'h'),
} as const;

/** Hour and minute of a clock as typed; null where it does not read. */
function readClock(text: string): { hour: number; minute: number } | null {
  const match = /^\s*(\d{1,2})[:.h ]?(\d{2})?\s*$/.exec(text);
  const hour = Number(match?.[1] ?? Number.NaN);
  const minute = Number(match?.[2] ?? 0);
  return match === null || hour > 23 || minute > 59 ? null : { hour, minute };
}

/** How long after its hour an evening still is that evening, h. Source: our choice. */
const LASTS_H = 14;

/**
 * The day that an evening belongs to: the one that it was laid out for until the next morning is well under way, then today.
 * @param form hour and day as typed
 * @param nowMs this instant, ms since the epoch
 * @returns the first instant of that day on the local clock, ms since the epoch
 */
export function eveningZeroMs({ from, day }: Pick<EveningForm, 'from' | 'day'>, nowMs: number): number {
  const today = startOfDay(nowMs).getTime();
  const kept = day === undefined ? null : parseISO(day);
  if (kept === null || Number.isNaN(kept.getTime()) || kept.getTime() > nowMs) return today;
  const { hour, minute } = readClock(from) ?? { hour: 0, minute: 0 };
  return nowMs < set(kept, { hours: hour, minutes: minute }).getTime() + LASTS_H * 3_600_000 ? kept.getTime() : today;
}

/** The day of an instant on the local clock, as the form keeps it. */
export function dayOf(nowMs: number): string {
  return format(nowMs, 'yyyy-MM-dd');
}

/**
 * Reads an evening's form.
 * @param form as typed
 * @param zeroMs first instant of its day, ms since the epoch: on a day when clocks change, an hour is not where it is on others
 * @returns what the evening asks for but its rolls; else every problem with its field
 * @example readEveningForm({ from: '18:30', tanks: 1, reel: 'plastic', waterH: 2, order: [] }, today) // fromMin 1110
 */
export function readEveningForm(form: EveningForm, zeroMs: number): Result<Omit<EveningWish, 'rolls'>> {
  const problems: Problem[] = [];
  const clock = readClock(form.from);
  if (clock === null) problems.push({ path: 'from', message: 'Start at: give a time such as 18:30.' });
  const read = (field: keyof typeof numbers): number => {
    const parsed = numbers[field].safeParse(form[field]);
    if (!parsed.success) problems.push({ path: field, message: parsed.error.issues[0]?.message ?? '' });
    return parsed.data ?? 1;
  };
  const tanks = read('tanks');
  const waterMin = read('waterH') * 60;
  if (clock === null || problems.length > 0) return failure(...problems);
  const fromMs = set(zeroMs, { hours: clock.hour, minutes: clock.minute }).getTime();
  return success({
    fromMin: (fromMs - zeroMs) / 60_000,
    tanks,
    reelDryMin: reels[form.reel].dryMin,
    waterMin,
    temperMin: TEMPER_MIN,
    loadMin: LOAD_MIN,
  });
}
