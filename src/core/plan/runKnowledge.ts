import type { RunKnowledge } from '../diagnosis/answersOfRun';
import { resolveConditions } from '../estimate/conditions';
import { ageFog } from '../films/ageFog';
import { stockFamilies } from '../films/stockFamilies';
import { developedMin } from '../run/judgedRun';
import type { Brew, Roll, Run, Stock, StripRecord } from '../records/records';
import { rollAge } from '../films/rollAge';
import { developSeconds } from './developSeconds';

/**
 * What a bench knows of a run without asking: its developer and how used it was, by how much it was short or long, when the hands began,
 * and the fog that film of this age has as a rule.
 * @param run the run, done
 * @param film its roll and stock
 * @param brew the jug that it came from; undefined where there is none
 * @param strips strips of the roll that were read
 * @returns null for a run whose setting nobody kept
 */
export function runKnowledge(
  run: Run,
  { roll, stock }: { roll: Roll; stock: Stock },
  brew: Brew | undefined,
  strips: readonly Pick<StripRecord, 'clear'>[],
): RunKnowledge | null {
  const { setup } = run;
  if (setup === null) return null;
  const index = run.steps.findIndex(({ kind }) => kind === 'develop');
  const isTimed = run.events.some((event) => event.kind === 'begin' && event.stepIndex > index);
  const clearD = strips.at(-1)?.clear?.densityD ?? null;
  const freshBaseD = { ...stockFamilies[stock.familyId], ...stock.own }.freshBaseFogD;
  return {
    developer: setup.developer,
    wear: setup.wear,
    soda: sodaIn(brew),
    doseRatio: isTimed ? developedMin(run) / (developSeconds(run.pinned) / 60) : null,
    firstAgitationS: run.steps[index]?.cues[0]?.startS ?? null,
    expectedFogD: expectedFog(run, { roll, stock }),
    readFogD: clearD === null ? null : Math.max(0, clearD - freshBaseD),
  };
}

/** The soda that was really weighed here. */
function sodaIn(brew: Brew | undefined): RunKnowledge['soda'] {
  const ids = (brew?.parts ?? []).flatMap(({ makeup }) => (makeup.kind === 'substance' ? [makeup.substanceId] : []));
  if (ids.includes('baking-soda')) return 'baking';
  return ids.some((id) => id.startsWith('soda-')) ? 'washing' : null;
}

/** Age fog that film of this stock and age has as a rule, before anything was learned of this roll, D. */
function expectedFog(run: Run, { roll, stock }: { roll: Roll; stock: Stock }): number {
  const { film, ageRoomYears, radiationD } = resolveConditions({
    film: { familyId: stock.familyId, iso: stock.iso, own: stock.own },
    age: rollAge(roll, stock.familyId, new Date(run.createdMs).getFullYear()),
    developer: { kind: 'one-bath' },
    bromideGPerL: 0,
    wear: { ageH: 0, films: 0, volumeMl: 500 },
    temperatureC: run.temperatureC,
    agitationId: 'ten-each-minute',
    stockId: stock.id,
    rollId: roll.id,
    brewId: 'any',
  });
  return ageFog(film.fogDPerYear, ageRoomYears, film.maximumDensityD, radiationD);
}
