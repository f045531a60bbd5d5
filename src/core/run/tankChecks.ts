import { isPourable } from '../brewing/bottle';
import { jugState } from '../brewing/keeping';
import { amountOf } from '../brewing/part';
import { TALLY_WARNS_AT, clearingAtDilution, expectedClearing, fixerState } from '../fixing/clearing';
import { fixerStrength } from '../fixing/fixerStrength';
import type { FilmFormatId } from '../films/filmFormats';
import type { Brew, Run } from '../records/records';
import type { RunProgress } from './runProgress';
import { tankFilms, tankVolumeMl } from '../films/filmsInTank';

/** One thing to be sure of before the first pour. */
export type TankCheck =
  | { id: 'volume'; state: 'good' | 'warn' | 'open'; volumeMl: number | null; wantedMl: number }
  | { id: 'temperature'; state: 'good' | 'warn' | 'open'; stepIndex: number; celsius: number | null; plannedC: number }
  | { id: 'brew'; state: 'good' | 'warn' | 'open'; left: number | null; spent: boolean }
  | { id: 'stop' | 'fix'; state: 'good' | 'warn' | 'open'; jug: JugTally | null }
  | { id: 'clock'; state: 'good' | 'warn' };

/** How far a jug of stop or fixer is used. */
export interface JugTally {
  id: string;
  name: string;
  films: number;
  /** Films that it takes in all; null where they are not counted. */
  takes: number | null;
  /** How many times as long as fresh it takes to clear; null without a test. */
  clearingFactor: number | null;
  /** How many times as long as at the usual dilution a fixer takes; 1 for any other. */
  slower: number;
  state: 'good' | 'near' | 'spent';
}

/** A developer off by no more than this from its plan is as planned, °C. Source: our choice, what a kitchen thermometer shows. */
const AS_PLANNED_C = 0.5;

/**
 * How far a jug is used.
 * @param brew a stop or a fixer
 * @param nowMs this moment, ms since the epoch
 * @returns near from 80 % of its tally on; spent at its end, by age, or when clearing takes twice the fresh time
 */
export function jugTally(brew: Brew, nowMs: number): JugTally {
  const { filmsLeft, spent } = jugState(brew, nowMs);
  const clearing = fixerState(brew.clearings ?? []);
  const takes = filmsLeft === null ? null : filmsLeft + brew.films;
  const used = takes === null || takes === 0 ? 0 : brew.films / takes;
  const isSpent = spent || clearing?.spent === true;
  return {
    id: brew.id,
    name: brew.name,
    films: brew.films,
    takes,
    clearingFactor: clearing?.factor ?? null,
    slower: slowerFixing(brew),
    state: isSpent ? 'spent' : used >= TALLY_WARNS_AT ? 'near' : 'good',
  };
}

/**
 * How many times as long a fixer takes as at the dilution that fixing times are for.
 * @returns 1 for 1+4, 2 for 1+9; 1 where it is no fixer or its strength is not known
 */
export function slowerFixing(brew: Pick<Brew, 'use' | 'parts' | 'volumeMl'> | undefined): number {
  return brew?.use === 'fixer' ? 1 / (fixerStrength(brew.parts, brew.volumeMl) ?? 1) : 1;
}

/**
 * Everything to be sure of before the first pour, as far as the bench knows it.
 * @param run the run, laid out
 * @param progress its readings so far
 * @param formatIds format of each film in the tank
 * @param brews jugs on the bench
 * @param clockIsRight whether the computer's clock has not jumped since the page opened
 * @param nowMs this moment, ms since the epoch
 * @returns the checks in the order in which people make them
 */
export function tankChecks(
  run: Run,
  progress: Pick<RunProgress, 'readings'>,
  formatIds: readonly FilmFormatId[],
  brews: readonly Brew[],
  clockIsRight: boolean,
  nowMs: number,
): TankCheck[] {
  const developAt = run.steps.findIndex(({ kind }) => kind === 'develop');
  const reading = progress.readings.findLast(({ stepIndex }) => stepIndex === developAt)?.celsius ?? null;
  const brew = brews.find(({ id }) => id === run.brewId);
  const wantedMl = tankVolumeMl(formatIds);
  const volumeMl = brew?.volumeMl ?? run.volumeMl ?? null;
  const checks: TankCheck[] = [
    { id: 'volume', volumeMl, wantedMl, state: volumeMl === null ? 'open' : volumeMl < wantedMl ? 'warn' : 'good' },
    {
      id: 'temperature',
      stepIndex: developAt,
      celsius: reading,
      plannedC: run.temperatureC,
      state: reading === null ? 'open' : Math.abs(reading - run.temperatureC) > AS_PLANNED_C ? 'warn' : 'good',
    },
  ];
  if (brew !== undefined) {
    const { left, spent } = jugState({ ...brew, films: brew.films + tankFilms(formatIds) }, nowMs);
    const before = jugState(brew, nowMs).spent;
    checks.push({ id: 'brew', left, spent: before, state: before || spent ? 'warn' : 'good' });
  }
  for (const id of ['stop', 'fix'] as const) {
    if (!wantsJug(run, id)) continue;
    const chosen = brews.find((one) => one.id === run.jugs?.[id]);
    const jug = chosen === undefined ? null : jugTally(chosen, nowMs);
    checks.push({ id, jug, state: jug === null ? 'open' : jug.state === 'good' ? 'good' : 'warn' });
  }
  checks.push({ id: 'clock', state: clockIsRight ? 'good' : 'warn' });
  return checks;
}

/**
 * Clearing time to expect of a fixer, from its first test and the films through it. One that was never tested is told by the
 * newest jug of the same fixer that was, carried to its own dilution.
 * @param fixer the jug
 * @param nowMs this moment, ms since the epoch
 * @param brews all jugs on the bench
 * @returns s; null without a test or a tally
 */
export function clearingToExpect(fixer: Brew, nowMs: number, brews: readonly Brew[] = []): number | null {
  const freshS = fixerState(fixer.clearings ?? [])?.freshS ?? clearingOfAnother(fixer, brews);
  const { takes } = jugTally(fixer, nowMs);
  return freshS === null || takes === null || takes === 0 ? null : expectedClearing(freshS, fixer.films, takes);
}

/** Fresh clearing time by another jug of the same fixer, s; null where there is none. */
function clearingOfAnother(fixer: Brew, brews: readonly Brew[]): number | null {
  const own = fixingPart(fixer);
  if (own === null) return null;
  const others = brews
    .filter((other) => other.use === 'fixer' && other.id !== fixer.id)
    .sort((a, b) => b.mixedMs - a.mixedMs);
  for (const other of others) {
    const part = fixingPart(other);
    const tested = fixerState(other.clearings ?? []);
    if (tested !== null && part?.name === own.name) return clearingAtDilution(tested.freshS, part.share, own.share);
  }
  return null;
}

/** What fixes in a jug: its largest part, and how much of it there is in the whole; null for a jug that was not weighed. */
function fixingPart({ parts, volumeMl }: Brew): { name: string; share: number } | null {
  const [largest] = [...parts].sort((a, b) => amountOf(b) - amountOf(a));
  if (largest === undefined || amountOf(largest) <= 0) return null;
  return { name: largest.name, share: amountOf(largest) / volumeMl };
}

/** Whether a run takes a bath from a jug of stop or of fixer. */
export function wantsJug(run: Pick<Run, 'steps'>, which: 'stop' | 'fix'): boolean {
  return run.steps.some(({ kind, liquid }) =>
    which === 'fix' ? kind === 'fix' && liquid === 'fixer' : kind === 'stop' && liquid === 'acid',
  );
}

/** Jugs that may serve as stop or as fixer, those that are not spent first, the newest of each. */
export function jugsFor(brews: readonly Brew[], which: 'stop' | 'fix', nowMs: number): Brew[] {
  const use = which === 'fix' ? 'fixer' : 'stop';
  const spent = (brew: Brew): number => Number(jugTally(brew, nowMs).state === 'spent');
  return brews
    .filter((brew) => brew.use === use && isPourable(brew))
    .sort((a, b) => spent(a) - spent(b) || b.mixedMs - a.mixedMs);
}
