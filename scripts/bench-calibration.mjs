import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { fileURLToPath } from 'node:url';
import { join } from 'node:path';
import { runnerImport } from 'vite';
import { benchStripCalibration } from './bench-strip-calibration.mjs';
import { ensurePackages, root } from './shell.mjs';

/**
 * Calibration of the band on simulated rolls from two worlds that are not the estimator's own model. Prints the tables of
 * docs/method.md, then those of strips read from pictures; exits non-zero when a limit is broken. Arguments: rolls in each cell,
 * seed, strips in each cell. One thread a strategy.
 */
async function calibration() {
  const file = join(root, 'calibration/calibrate.ts');
  return (await runnerImport(file, { configFile: false, logLevel: 'error' })).module;
}

/** Share of rolls in the 80 % band: of one cell, of all together, of the sixth roll of a stock. */
const CELL = [0.72, 0.88];
const POOLED = [0.76, 0.84];
const MOST_S = 360;

if (isMainThread) {
  ensurePackages();
  const rolls = Number(process.argv[2] ?? 400);
  const seed = Number(process.argv[3] ?? 1958);
  const { strategyNames } = await calibration();
  const from = performance.now();
  const answers = await Promise.all(
    [...strategyNames, 'log', 'boxes'].map(
      (part, index) =>
        new Promise((resolve, reject) => {
          const worker = new Worker(fileURLToPath(import.meta.url), {
            workerData: { part, rolls, seed: seed + index },
          });
          worker.once('message', resolve);
          worker.once('error', reject);
        }),
    ),
  );
  const broken = report(
    rolls,
    seed,
    answers.slice(0, -2).flat(),
    answers.at(-2),
    answers.at(-1),
    (performance.now() - from) / 1000,
  );
  broken.push(...(await benchStripCalibration(Number(process.argv[4] ?? 24), seed)));
  for (const sentence of broken) console.error(`BROKEN: ${sentence}`);
  process.exit(broken.length === 0 ? 0 : 1);
} else {
  const { calibrate, calibrateBoxes, calibrateLog, bundles } = await calibration();
  const { part, rolls, seed } = workerData;
  parentPort.postMessage(
    part === 'log'
      ? calibrateLog(rolls, seed)
      : part === 'boxes'
        ? calibrateBoxes(Math.ceil(rolls / 2), seed, ['over 30'], ['sister of the box', 'three sisters of the box'])
        : calibrate(rolls, seed, bundles, [part]),
  );
}

function report(rolls, seed, cells, log, boxes, tookS) {
  const percent = (share) => `${(100 * share).toFixed(0)} %`;
  const groups = [...new Set(cells.map(({ group }) => group))];
  console.log(`${rolls} simulated rolls in each cell, seed ${seed}`);
  for (const strategy of [...new Set(cells.map((cell) => cell.strategy))]) {
    const own = cells.filter((cell) => cell.strategy === strategy);
    console.log(`\nStrategy: ${strategy}. Share in the 80 % band / median ln error, by effective age in room-years\n`);
    console.log(`| evidence | ${groups.join(' | ')} |`);
    console.log(`|---|${groups.map(() => '---|').join('')}`);
    for (const bundle of [...new Set(own.map((cell) => cell.bundle))]) {
      const row = groups.map((group) => own.find((cell) => cell.bundle === bundle && cell.group === group));
      console.log(
        `| ${bundle} | ${row.map((c) => `${percent(c.coverage)} / ${c.medianError.toFixed(2)}`).join(' | ')} |`,
      );
    }
    const plain = groups.map((group) => own.find((cell) => cell.bundle === 'none' && cell.group === group));
    console.log(`| *fresh time unchanged* | ${plain.map((c) => `– / ${c.unchangedError.toFixed(2)}`).join(' | ')} |`);
    console.log(`| *10 % more a decade* | ${plain.map((c) => `– / ${c.perDecadeError.toFixed(2)}`).join(' | ')} |`);
  }
  console.log('\nThe sixth roll of a stock after five judged runs\n');
  console.log('| strategy | 80 % band holds | median ln error |\n|---|---|---|');
  for (const cell of log)
    console.log(`| ${cell.strategy} | ${percent(cell.coverage)} | ${cell.medianError.toFixed(2)} |`);
  console.log('\nA roll after others of its box, where enough of them could be drawn\n');
  console.log('| sisters | age | strategy | boxes | 80 % band holds | median ln error |\n|---|---|---|---|---|---|');
  for (const cell of boxes)
    console.log(
      `| ${cell.bundle} | ${cell.group} | ${cell.strategy} | ${cell.rolls} | ${percent(cell.coverage)} | ${cell.medianError.toFixed(2)} |`,
    );
  const pooled = cells.reduce((sum, cell) => sum + cell.coverage * cell.rolls, 0) / (rolls * cells.length);
  console.log(`\nAll cells together: ${(100 * pooled).toFixed(1)} %. Took ${tookS.toFixed(0)} s.`);

  const outside = (share, [low, high]) => share < low || share > high;
  return [
    ...[...cells, ...log, ...boxes].flatMap(({ bundle, group, strategy, coverage }) =>
      outside(coverage, CELL) ? [`${bundle}, ${group}, ${strategy}: the band holds ${percent(coverage)}`] : [],
    ),
    ...(outside(pooled, POOLED) ? [`all together: ${percent(pooled)}`] : []),
    ...(tookS > MOST_S ? [`took ${tookS.toFixed(0)} s, limit ${MOST_S} s`] : []),
  ];
}
