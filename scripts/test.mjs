import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium, ensurePackages, root, run, runBeside, tool } from './shell.mjs';

/** Runs every check, adds up both runners, and ends with one line that says so. */
const results = join(root, 'test-results');
const unitFile = join(results, 'unit.json');
const browserFile = join(results, 'browser.json');

let passed = 0;
let failed = 0;

/** A check without counts of its own: one that passed or failed. */
async function check(name, command, args) {
  const code = await runBeside(command, args);
  console.log(`${name}: ${code === 0 ? 'passed' : 'FAILED'}`);
  if (code === 0) passed += 1;
  else failed += 1;
}

function readJson(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return null;
  }
}

/** Adds a runner's counts; a runner that left none behind has failed. */
function add(name, counts) {
  if (counts === null) {
    console.error(`${name} left no result behind.`);
    failed += 1;
    return;
  }
  passed += counts.passed;
  failed += counts.failed;
}

ensurePackages();
const chromium = ensureChromium();
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

console.log('\nLayout, lint and types, and the build beside them');
run(tool('next'), ['typegen']);
const building = runBeside(process.execPath, ['-e', "import('./scripts/build.mjs').then((m) => m.ensureBuild())"]);
await check('Layout', tool('prettier'), ['--check', '--cache', '--log-level', 'warn', '.']);
await check('Lint', tool('eslint'), ['--cache', '--cache-location', 'node_modules/.cache/eslint', '.']);
await check('Types', process.execPath, ['node_modules/typescript-native/bin/tsc', '--noEmit']);
await check('Types in other languages', process.execPath, ['scripts/language/checkTypes.mjs']);
if ((await building) !== 0) process.exit(1);
passed += 1;

console.log('\nUnit tests');
const unitCode = run(tool('vitest'), ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${unitFile}`]);
const unit = readJson(unitFile);
add('Vitest', unit && { passed: unit.numPassedTests, failed: unit.numFailedTests });
if (unitCode !== 0 && unit?.numFailedTests === 0) failed += 1;

console.log('\nMain journeys in the browser; npm run test:wide has the others');
const browserCode = run(tool('playwright'), ['test'], { CHROMIUM_PATH: chromium, AETAS_WIDE: '0' });
const browser = readJson(browserFile);
add(
  'Playwright',
  browser && { passed: browser.stats.expected, failed: browser.stats.unexpected + browser.stats.flaky },
);
if (browserCode !== 0 && browser?.stats.unexpected === 0) failed += 1;

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
