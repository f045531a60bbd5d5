import { jugState } from '../brewing/keeping';
import type { Brew, JugFate, Run } from '../records/records';
import type { WetStep } from '../schedule/wetSteps';
import type { WasteKindId } from '../waste/waste';

/** Ways of drying, each with the hours it takes. Source: common practice, no source. */
export const dryings = {
  air: { name: 'Hanging in air', fromMin: 60, toMin: 120 },
  cabinet: { name: 'In a warm cabinet', fromMin: 20, toMin: 20 },
  night: { name: 'Overnight', fromMin: 480, toMin: 600 },
} as const;

export type DryingId = keyof typeof dryings;

/**
 * When a film is dry.
 * @param hungMs instant at which it was hung, ms since the epoch
 * @param way how it dries
 * @returns earliest and latest instant, ms since the epoch
 * @example dryAt(0, 'cabinet') // { fromMs: 1200000, toMs: 1200000 }
 */
export function dryAt(hungMs: number, way: DryingId): { fromMs: number; toMs: number } {
  const { fromMin, toMin } = dryings[way];
  return { fromMs: hungMs + fromMin * 60_000, toMs: hungMs + toMin * 60_000 };
}

/** Where a bath goes after the run. */
export type GoesTo = 'back' | 'waste' | 'drain' | 'leaflet';

/** What becomes of one liquid of a run, and why. */
export interface Leftover {
  liquid: NonNullable<WetStep['liquid']>;
  goesTo: GoesTo;
  why: string;
}

/**
 * What goes back into which bottle, and what goes where, after a run.
 * @param run the run
 * @returns one line for each liquid, in the order of use. Source: common practice, no source; local rules go before it.
 */
export function leftovers(run: Pick<Run, 'steps' | 'setup'>): Leftover[] {
  const liquids = new Set(run.steps.flatMap(({ liquid }) => (liquid === undefined ? [] : [liquid])));
  return [...liquids].flatMap((liquid): Leftover[] => {
    const said = says[liquid];
    if (liquid === 'developer') return [developerLeft(run.setup?.developer.kind)];
    return said === undefined ? [] : [{ liquid, ...said }];
  });
}

const says: Partial<Record<NonNullable<WetStep['liquid']>, Omit<Leftover, 'liquid'>>> = {
  acid: { goesTo: 'back', why: 'Back into its bottle until its colour or its count says that it is spent.' },
  fixer: {
    goesTo: 'back',
    why: 'Back into its bottle, and the film counted. Spent fixer holds silver: keep it for the collection of chemicals, never the drain.',
  },
  alkaline: {
    goesTo: 'waste',
    why: 'It holds the black of the backing: let it settle, and keep the sludge out of the drain.',
  },
  aid: { goesTo: 'back', why: 'Back into its bottle for as many films as its leaflet says.' },
  wetting: { goesTo: 'drain', why: 'Thrown away after the evening: it goes mouldy when it is kept.' },
};

function developerLeft(kind: string | undefined): Leftover {
  switch (kind) {
    case 'one-bath':
      return {
        liquid: 'developer',
        goesTo: 'back',
        why: 'Back into its bottle: it is used again. It holds silver, so spent it goes to the collection of chemicals.',
      };
    case 'improvised':
      return {
        liquid: 'developer',
        goesTo: 'waste',
        why: 'Used up, or back into its jug if another film follows within the hour. Ask your local rules before it goes anywhere.',
      };
    default:
      return {
        liquid: 'developer',
        goesTo: 'leaflet',
        why: 'Used once, it goes into the waste bottle; one that is used again goes back, with the film counted, as its leaflet says.',
      };
  }
}

/** What a run leaves for a waste bottle that stood in no jug. */
export interface LooseWaste {
  /** The same for the same bath of a run. */
  id: string;
  kind: WasteKindId;
  name: string;
  volumeMl: number;
  films: number;
}

/**
 * Baths of a run that go to waste and came from no jug on the bench: a developer used once, and an alkaline pre-bath.
 * @param run the run, done
 * @param films films of 80 square inches that were in the tank
 */
export function looseWaste(
  run: Pick<Run, 'id' | 'brewId' | 'steps' | 'setup' | 'volumeMl' | 'developerName' | 'afterwards'>,
  films: number,
): LooseWaste[] {
  const volumeMl = run.volumeMl ?? 0;
  if (volumeMl <= 0) return [];
  return leftovers(run).flatMap(({ liquid }): LooseWaste[] => {
    const id = `${run.id.slice(0, 80)}:${liquid}`;
    if (liquid === 'alkaline') return [{ id, kind: 'alkali', name: 'Alkaline pre-bath', volumeMl, films: 0 }];
    // A jug that was poured away is in its waste bottle already, and no run names it any more.
    const stoodInJug = run.brewId !== null || run.afterwards?.develop !== undefined;
    if (liquid !== 'developer' || stoodInJug || run.setup?.developer.kind === 'one-bath') return [];
    return [{ id, kind: 'developer', name: run.developerName.slice(0, 120) || 'Developer', volumeMl, films }];
  });
}

/** A jug that was used in a run, and what is usual for it now. */
export interface UsedJug {
  which: 'develop' | 'stop' | 'fix';
  brew: Brew;
  usual: JugFate;
  why: string;
}

/**
 * The jugs that a run came from, each with what usually becomes of it.
 * @param run the run, done
 * @param brews jugs on the bench
 * @param nowMs this instant, ms since the epoch
 * @returns in the order of use. Source: common practice, no source: a one-shot is poured away; what is used again is kept until its tally.
 */
export function usedJugs(run: Pick<Run, 'brewId' | 'jugs'>, brews: readonly Brew[], nowMs: number): UsedJug[] {
  const ids = { develop: run.brewId, stop: run.jugs?.stop ?? null, fix: run.jugs?.fix ?? null };
  return (['develop', 'stop', 'fix'] as const).flatMap((which): UsedJug[] => {
    const brew = brews.find(({ id }) => id === ids[which]);
    if (brew === undefined) return [];
    const { oneShot, spent } = jugState(brew, nowMs);
    if (oneShot) return [{ which, brew, usual: 'poured', why: 'A one-shot: it has done its film.' }];
    if (spent) return [{ which, brew, usual: 'spent', why: 'By its tally it is spent.' }];
    return [{ which, brew, usual: 'kept', why: `${Number(brew.films.toFixed(1))} through it, this one counted.` }];
  });
}
