import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { join } from 'node:path';
import { runnerImport } from 'vite';
import { root } from './shell.mjs';

/** Most that the median of |ln(gradient / truth)| and of the miss of base + fog may be, by reading. */
const MOST_GRADIENT = { 'one picture': 0.1, 'two exposures': 0.04, coin: 0.1, layers: 0.025, 'coin and wedge': 0.025 };
const MOST_FOG_D = { 'one picture': 0.03, 'two exposures': 0.015, coin: 0.03, layers: 0.015, 'coin and wedge': 0.015 };

/** Share of strips within ±1.28 standard deviations as stated: of a reading over all cameras, and of everything. */
const READING = [0.72, 0.96];
const POOLED = [0.76, 0.94];
/** The same of the gradient by one kind of camera alone: no camera is so odd that its readings pretend to know. */
const LEAST_OF_A_KIND = 0.6;

/** Most strips of which nothing is read: they count in no other figure. */
const MOST_LOST = 0.01;

async function load() {
  const file = join(root, 'calibration/calibrateStrips.ts');
  return (await runnerImport(file, { configFile: false, logLevel: 'error' })).module;
}

if (!isMainThread && workerData?.strips !== undefined) {
  const { calibrateStrips } = await load();
  parentPort.on('message', ({ kind, reading }) => {
    parentPort.postMessage(calibrateStrips(workerData.strips, workerData.seed, [reading], [kind])[0]);
  });
  parentPort.postMessage(null);
}

/**
 * Reads simulated photographs of strips by cameras that the program does not know, and prints how often the truth lies where it was
 * said to.
 * @param strips strips in each cell
 * @param seed same seed, same photographs
 * @returns what is broken, in words
 */
export async function benchStripCalibration(strips, seed) {
  const { cameraKinds, oddCameraKinds, readings } = await load();
  const jobs = readings.flatMap((reading) => [...cameraKinds, ...oddCameraKinds].map((kind) => ({ kind, reading })));
  const all = await inThreads(jobs, strips, seed);
  const [cells, odd] = [cameraKinds, oddCameraKinds].map((kinds) => all.filter(({ kind }) => kinds.includes(kind)));
  console.log(
    `\nStrips read from photographs: ${strips} in each cell. Held in the 80 % range (base + fog, gradient, index) / median miss`,
  );
  printTable(cells, cameraKinds, readings);
  console.log(`\nAll strips together: ${percent(heldOf(cells))}.\n\nThe same with odder cameras`);
  printTable(odd, oddCameraKinds, readings);
  console.log(`\nAll strips of odder cameras together: ${percent(heldOf(odd))}.`);
  const lost = all.reduce((sum, cell) => sum + strips - cell.strips, 0);
  console.log(`Strips without a reading: ${lost} of ${strips * all.length}.`);
  const outside = (some, [low, high]) => {
    const figures = 3 * some.reduce((sum, cell) => sum + cell.strips, 0);
    return surelyBelow(heldOf(some), low, figures) || surelyBelow(1 - heldOf(some), 1 - high, figures);
  };
  return [
    ...readings.flatMap((reading) => {
      const own = cells.filter((cell) => cell.reading === reading);
      const [gradient, fogD] = [mean(own.map((cell) => cell.medianGradient)), mean(own.map((cell) => cell.medianFogD))];
      return [
        ...(outside(own, READING) ? [`${reading}: ranges hold ${percent(heldOf(own))}`] : []),
        ...own
          .filter(({ held, strips: read }) => surelyBelow(held.gradient, LEAST_OF_A_KIND, read))
          .map(({ kind, held }) => `${reading}, ${kind}: gradients hold ${percent(held.gradient)}`),
        ...(gradient > MOST_GRADIENT[reading] ? [`${reading}: the gradient misses by ${percent(gradient)}`] : []),
        ...(fogD > MOST_FOG_D[reading] ? [`${reading}: base + fog misses by ${fogD.toFixed(3)} D`] : []),
      ];
    }),
    ...(lost > MOST_LOST * strips * all.length ? [`${lost} of ${strips * all.length} strips have no reading`] : []),
    ...(outside(cells, POOLED) ? [`all strips together: ${percent(heldOf(cells))}`] : []),
    ...(outside(odd, POOLED) ? [`all strips of odder cameras together: ${percent(heldOf(odd))}`] : []),
  ];
}

/**
 * Whether a share of so many lies below a limit by more than chance makes it in one of ten.
 * Source: normal approximation to the binomial (textbook).
 */
const surelyBelow = (share, limit, count) => share < limit - 1.2816 * Math.sqrt((limit * (1 - limit)) / count);

const percent = (share) => `${(100 * share).toFixed(0)} %`;
const mean = (values) => values.reduce((sum, one) => sum + one, 0) / values.length;
const heldOf = (cells) => mean(cells.flatMap(({ held }) => [held.fog, held.gradient, held.index]));

function printTable(cells, kinds, readings) {
  console.log(`\n| reading | ${kinds.join(' | ')} |\n|---|${kinds.map(() => '---|').join('')}`);
  for (const reading of readings) {
    const row = kinds.map((kind) => cells.find((cell) => cell.kind === kind && cell.reading === reading));
    console.log(
      `| ${reading} | ${row.map(({ held, medianFogD, medianGradient }) => `${percent(held.fog)}, ${percent(held.gradient)}, ${percent(held.index)} / ${medianFogD.toFixed(3)} D, ${percent(medianGradient)}`).join(' | ')} |`,
    );
  }
}

/** Cells by as many threads as there are processors. */
async function inThreads(jobs, strips, seed) {
  const cells = [];
  let next = 0;
  await Promise.all(
    Array.from(
      { length: Math.min(jobs.length, availableParallelism()) },
      () =>
        new Promise((resolve, reject) => {
          const worker = new Worker(fileURLToPath(import.meta.url), { workerData: { strips, seed } });
          worker.once('error', reject);
          worker.on('message', (cell) => {
            if (cell !== null) cells.push(cell);
            if (next < jobs.length) worker.postMessage(jobs[next++]);
            else void worker.terminate().then(resolve);
          });
        }),
    ),
  );
  return cells;
}
