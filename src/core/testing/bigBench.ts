import type { Records } from '../records/records';
import { chance } from './chance';

/** An hour and a day, ms. */
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/**
 * A bench of somebody who has developed for a lifetime, for benchmarks: every finished roll of a small bench over and over,
 * with other names and days, and with temperatures and grades as near the first as a hand and an eye come, on top of what the
 * small bench has in hand.
 * @param small a bench with finished rolls; the demo's, as a rule
 * @param runs number of runs
 * @param stocks number of films; a multiple of the finished rolls of the small bench
 * @param shelf bottles and boxes besides: every jug of the small bench over and over, and boxes that share the rolls among them
 */
export function bigBench(
  small: Records,
  runs: number,
  stocks: number,
  shelf: { bottles: number; boxes: number } = { bottles: 0, boxes: 0 },
): Records {
  const luck = chance(1867);
  const finished = small.verdicts.flatMap((verdict) => {
    const run = small.runs.find(({ id }) => id === verdict.runId);
    const roll = small.rolls.find(({ id }) => id === verdict.rollId);
    const plan = small.plans.find(({ id }) => id === run?.planId);
    return run && roll && plan ? [{ verdict, run, roll, plan }] : [];
  });
  const big: Records = { ...structuredClone(small) };
  const films = Array.from({ length: stocks }, (_, index) => {
    const like = finished[index % finished.length]?.roll.stockId;
    const stock = small.stocks.find(({ id }) => id === like) as Records['stocks'][number];
    return { ...stock, id: `film-${index}`, name: `${stock.name}, batch ${index}` };
  });
  big.stocks.push(...films);
  for (let index = 0; index < shelf.bottles; index++) {
    const like = small.brews[index % small.brews.length] as Records['brews'][number];
    const mixedMs = Math.max(0, like.mixedMs - index * DAY_MS);
    big.brews.push({ ...like, id: `big-brew-${index}`, code: `S${index}`, name: `${like.name} ${index}`, mixedMs });
  }
  for (let index = 0; index < shelf.boxes; index++) {
    const stamps = { createdMs: index, updatedMs: index };
    big.boxes.push({ ...stamps, id: `big-box-${index}`, name: `Attic find ${index}`, note: '' });
  }
  for (let index = 0; index < runs; index++) {
    const { verdict, run, roll, plan } = finished[index % finished.length] as (typeof finished)[number];
    const laterMs = -index * DAY_MS + Math.round(luck.uniform(0, 8) * HOUR_MS);
    const ids = { roll: `big-roll-${index}`, plan: `big-plan-${index}`, run: `big-run-${index}` };
    const temperatureC = Math.round(10 * (run.temperatureC + luck.uniform(-0.5, 0.5))) / 10;
    const at = (ms: number): number => Math.max(0, ms + laterMs);
    const moved = <T extends { createdMs: number; updatedMs: number }>(record: T): T => ({
      ...record,
      createdMs: at(record.createdMs),
      updatedMs: at(record.updatedMs),
    });
    const stockId = films[index % stocks]?.id ?? roll.stockId;
    const boxId = shelf.boxes === 0 ? roll.boxId : `big-box-${index % shelf.boxes}`;
    big.rolls.push({ ...moved(roll), id: ids.roll, label: `${roll.label} ${index}`, stockId, boxId });
    big.plans.push({ ...moved(plan), id: ids.plan, rollId: ids.roll, brewId: null, temperatureC });
    big.runs.push({
      ...moved(run),
      id: ids.run,
      rollId: ids.roll,
      planId: ids.plan,
      brewId: null,
      temperatureC,
      setup: run.setup === null ? null : { ...run.setup, brewId: null, temperatureC },
      events: run.events.map((event) => ({ ...event, atMs: at(event.atMs) })),
    });
    big.verdicts.push({
      ...moved(verdict),
      id: `big-verdict-${index}`,
      runId: ids.run,
      rollId: ids.roll,
      contrast: Math.max(-2, Math.min(2, Math.round(verdict.contrast + 0.5 * luck.normal()))),
    });
  }
  return big;
}
