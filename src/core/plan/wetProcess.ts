import { stopSchoolIds, stopSchools, type StopSchoolId } from '../fixing/stopSchools';
import { washSchoolIds, washSchools, type WashSchoolId } from '../fixing/washSchools';
import { wettingBathIds, wettingBaths, type WettingBathId } from '../fixing/wettingBaths';
import { DEVELOP, readyBaths, type Bath, type BathKind } from '../schedule/baths';
import { preSoakIds, preSoaks, type PreSoakId } from '../schedule/preSoaks';

/** One school for each part of the wet process: how a list of baths begins. */
export interface WetChoice {
  preSoakId: PreSoakId;
  stopId: StopSchoolId;
  fixMin: number;
  washId: WashSchoolId;
  wettingId: WettingBathId;
}

/** Parts of a wet process that have schools: where in the list they stand, and what each school puts there. */
export const processParts = {
  preSoakId: { kind: 'pre-soak', name: 'Before', ids: preSoakIds, schools: preSoaks },
  stopId: { kind: 'stop', name: 'After the developer', ids: stopSchoolIds, schools: stopSchools },
  washId: { kind: 'wash', name: 'Wash', ids: washSchoolIds, schools: washSchools },
  wettingId: { kind: 'wetting', name: 'Last bath', ids: wettingBathIds, schools: wettingBaths },
} as const satisfies Record<
  string,
  {
    kind: BathKind;
    name: string;
    ids: readonly string[];
    schools: Record<string, { name: string; baths: readonly Bath[] }>;
  }
>;

export type ProcessPart = keyof typeof processParts;

/**
 * The baths that a choice of schools gives.
 * @param choice a school for each part
 * @returns from the pre-soak to the wetting bath; a black backing is wiped last
 */
export function bathsOf(choice: WetChoice): Bath[] {
  const fix: Bath = { ...readyBaths.fixer, length: { kind: 'time', seconds: Math.round(choice.fixMin * 60) } };
  return [
    ...preSoaks[choice.preSoakId].baths,
    DEVELOP,
    ...stopSchools[choice.stopId].baths,
    fix,
    ...washSchools[choice.washId].baths,
    ...(choice.preSoakId === 'rem-jet' ? [readyBaths.wipe] : []),
    ...wettingBaths[choice.wettingId].baths,
  ];
}

/** Where each kind of bath stands in a list. */
const ORDER: readonly BathKind[] = ['pre-soak', 'develop', 'stop', 'fix', 'wash', 'wetting'];

/**
 * Where a bath of a kind belongs in a list: after the last of its kind, else after what comes before it.
 * @param baths the list
 * @param kind the kind
 * @returns index at which it is put in
 */
export function placeFor(baths: readonly { kind: BathKind }[], kind: BathKind): number {
  return baths.findLastIndex((one) => ORDER.indexOf(one.kind) <= ORDER.indexOf(kind)) + 1;
}

/**
 * A list with one part done after a school.
 * @param baths the list
 * @param kind which baths are replaced
 * @param by what takes their place: where they stood, else where they belong
 */
export function withPart<T extends { kind: BathKind; name: string }>(
  baths: readonly T[],
  kind: BathKind,
  by: readonly T[],
): T[] {
  // What is wiped off a back is no part of any school: it stays.
  const kept = baths.filter((one) => one.kind === kind && one.name === readyBaths.wipe.name);
  const first = baths.findIndex((one) => one.kind === kind);
  const at = first < 0 ? placeFor(baths, kind) : baths.slice(0, first).filter((one) => one.kind !== kind).length;
  const rest = baths.filter((one) => one.kind !== kind);
  return [...rest.slice(0, at), ...by, ...kept, ...rest.slice(at)];
}

/** The school whose baths these are; null for a way of one's own. */
export function schoolOf(part: ProcessPart, baths: readonly Bath[]): string | null {
  const { kind, ids, schools } = processParts[part];
  const own = JSON.stringify(baths.filter((one) => one.kind === kind && one.name !== readyBaths.wipe.name));
  const table: Record<string, { baths: readonly Bath[] }> = schools;
  return ids.find((id) => JSON.stringify(table[id]?.baths) === own) ?? null;
}

/**
 * The wet choices to offer at first.
 * @param film what matters of the film and its brew
 * @returns common-practice defaults
 */
export function usualWetChoice(film: {
  remJet: boolean;
  longSoak: boolean;
  fixMin: number;
  carbonateBrew: boolean;
}): WetChoice {
  return {
    preSoakId: film.remJet ? 'rem-jet' : film.longSoak ? 'six-minutes' : 'one-minute',
    stopId: film.carbonateBrew ? 'three-rinses' : 'acid',
    fixMin: film.fixMin,
    washId: '5-10-20',
    wettingId: 'agent',
  };
}
