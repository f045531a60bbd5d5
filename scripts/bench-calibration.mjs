import { join } from 'node:path';
import { runnerImport } from 'vite';
import { ensurePackages, root } from './shell.mjs';

/**
 * Calibration of the band on simulated rolls that are not drawn from the estimator's own model. Prints the table of
 * docs/method.md; exits non-zero when a limit is broken. Arguments: number of rolls, seed.
 */
const rolls = Number(process.argv[2] ?? 500);
const seed = Number(process.argv[3] ?? 1958);

ensurePackages();
const { calibrate } = (
  await runnerImport(join(root, 'src/core/testing/calibration/calibrate.ts'), { configFile: false, logLevel: 'error' })
).module;
const from = performance.now();
const lines = calibrate(rolls, seed);
const tookS = (performance.now() - from) / 1000;

const percent = (share) => `${(100 * share).toFixed(1)} %`;
console.log(`${rolls} simulated rolls, seed ${seed}`);
console.log(
  '| evidence | 80 % band holds | median ln error | chart unchanged | chart + 10 % a decade | median sd of the band |',
);
console.log('|---|---|---|---|---|---|');
for (const line of lines) {
  console.log(
    `| ${line.what} | ${percent(line.coverage)} | ${line.medianError.toFixed(3)} | ${line.unchangedError.toFixed(3)} | ${line.perDecadeError.toFixed(3)} | ${line.medianLnSd.toFixed(3)} |`,
  );
}

const broken = [];
const line = (what) => lines.find((one) => one.what === what);
for (const one of lines) {
  if (one.coverage < 0.75 || one.coverage > 0.88)
    broken.push(`${one.what}: the band holds ${percent(one.coverage)}, wanted 75 to 88 %`);
  if (one.medianError >= Math.min(one.unchangedError, one.perDecadeError))
    broken.push(`${one.what}: a rule of thumb is as good`);
}
if (line('1 clip by densities').medianError > 0.12) broken.push('one clip: median error above 0.12');
if (line('2 clips by densities').medianError > 0.09) broken.push('two clips: median error above 0.09');
if (tookS > 120) broken.push(`took ${tookS.toFixed(0)} s, limit 120 s`);
console.log(`Took ${tookS.toFixed(1)} s.`);
for (const sentence of broken) console.error(`BROKEN: ${sentence}`);
process.exit(broken.length === 0 ? 0 : 1);
