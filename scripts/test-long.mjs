import { ensureBuild } from './build.mjs';
import { ensureChromium, ensurePackages, run, tool } from './shell.mjs';

/*
 * Soaks and crash sweeps: the same code, many more cases. `--short` runs a part of them, another one each time: the seed says which, and
 * repeats it.
 */
const PARTS = 8;
const short = process.argv.includes('--short');
const seed = Number(process.env.AETAS_SEED ?? Math.floor(Math.random() * 1_000_000));
const part = (seed % PARTS) + 1;
const shard = short ? [`--shard=${part}/${PARTS}`] : [];
/** Sweeps without a browser, by a word of their file's name. */
const withoutBrowser = ['anyBrew.long', 'estimate.long', 'src/core/plan', 'src/core/inference', 'src/core/estimate'];

ensurePackages();
const chromium = ensureChromium();
await ensureBuild();
if (short)
  console.log(`Part ${part} of ${PARTS} of the sweeps. AETAS_SEED=${seed} repeats it; npm run test:long runs all.`);
const env = { AETAS_LONG: '1', CHROMIUM_PATH: chromium, ...(short ? { AETAS_SHORT: '1' } : {}) };
const codes = [
  run(
    tool('vitest'),
    ['run', '--reporter=default', ...(short ? [withoutBrowser[seed % withoutBrowser.length]] : [])],
    env,
  ),
  run(tool('playwright'), ['test', '--grep-invert', '@alone', ...shard], env),
  // What is about moments has the machine to itself.
  ...(short && part !== 1 ? [] : [run(tool('playwright'), ['test', '--grep', '@alone', '--workers', '1'], env)]),
];
process.exit(codes.every((code) => code === 0) ? 0 : 1);
