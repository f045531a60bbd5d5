import { ensureBuild } from './build.mjs';
import { ensureChromium, ensurePackages, run, tool } from './shell.mjs';

/** Soaks and crash sweeps: the same code, many more cases. */
ensurePackages();
const chromium = ensureChromium();
ensureBuild();
const env = { AETAS_LONG: '1', CHROMIUM_PATH: chromium };
const codes = [
  run(tool('vitest'), ['run', '--reporter=default'], env),
  run(tool('playwright'), ['test', '--grep-invert', '@alone'], env),
  // What is about moments has the machine to itself.
  run(tool('playwright'), ['test', '--grep', '@alone', '--workers', '1'], env),
];
process.exit(codes.every((code) => code === 0) ? 0 : 1);
