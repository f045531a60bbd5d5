import { ensureBuild } from './build.mjs';
import { ensureChromium, ensurePackages, run, tool } from './shell.mjs';

/* The browser tests that npm test leaves out: every corner of every view, in every light. */
ensurePackages();
const chromium = ensureChromium();
await ensureBuild();
process.exit(run(tool('playwright'), ['test'], { CHROMIUM_PATH: chromium, AETAS_WIDE: '1' }));
