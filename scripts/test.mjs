import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild } from './build.mjs';
import { ensureChromium, ensurePackages, root, run, tool } from './shell.mjs';

/** Runs every check, adds up both runners, and ends with one line that says so. */
const results = join(root, 'test-results');
const unitFile = join(results, 'unit.json');
const browserFile = join(results, 'browser.json');

let passed = 0;
let failed = 0;

/** A check without counts of its own: one that passed or failed. */
function check(name, command, args) {
  console.log(`\n${name}`);
  if (run(command, args) === 0) passed += 1;
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

check('Layout', tool('prettier'), ['--check', '--log-level', 'warn', '.']);
check('Lint', tool('eslint'), ['.']);
run(tool('next'), ['typegen']);
check('Types', tool('tsc'), ['--noEmit']);

console.log('\nUnit tests');
const unitCode = run(tool('vitest'), ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${unitFile}`]);
const unit = readJson(unitFile);
add('Vitest', unit && { passed: unit.numPassedTests, failed: unit.numFailedTests });
if (unitCode !== 0 && unit?.numFailedTests === 0) failed += 1;

console.log('\nBuild');
ensureBuild();
passed += 1;

console.log('\nBrowser tests');
const browserCode = run(tool('playwright'), ['test'], { CHROMIUM_PATH: chromium });
const browser = readJson(browserFile);
add(
  'Playwright',
  browser && { passed: browser.stats.expected, failed: browser.stats.unexpected + browser.stats.flaky },
);
if (browserCode !== 0 && browser?.stats.unexpected === 0) failed += 1;

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
