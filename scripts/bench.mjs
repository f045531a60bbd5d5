import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { all, create } from 'mathjs';
import { chromium } from '@playwright/test';
import { PNG } from 'pngjs';
import { build, runnerImport } from 'vite';
import { benchBig } from './bench-big.mjs';
import { benchMemory } from './bench-memory.mjs';
import { benchStrip } from './bench-strip.mjs';
import { ensureBuild } from './build.mjs';
import { ensureChromium, ensurePackages, root, start, tool } from './shell.mjs';

/**
 * Speed and size, measured on this machine and held against its own yardsticks: mathjs evaluating the same closed form, and a
 * fixed amount of arithmetic. Prints a table; exits non-zero when a limit is broken.
 */
const ROUNDS = 4000;
const PORT = 4313;
/** What two million roots and quotients take on the machine for which the limits of time were written, ms. */
const YARDSTICK_MS = 9;
let broken = 0;

/** How much slower this machine is at this moment than the one for which the limits were written; 1 for a faster one. */
function pace() {
  const times = Array.from({ length: 9 }, () => {
    const from = performance.now();
    let sum = 0;
    for (let i = 1; i < 2_000_000; i++) sum += Math.sqrt(i) / i;
    return sum > 0 ? performance.now() - from : 0;
  });
  // The fastest ones: what else runs here is no excuse.
  return Math.max(1, times.sort((a, b) => a - b)[2] / YARDSTICK_MS);
}

/** The machine's pace, measured before each group of figures while nothing else of ours runs. */
let slower = pace();

/** One line of the table. A limit of time goes with the machine's pace, which stands beside it. */
function report(what, value, unit, limit) {
  const timed = ['ms', 's'].includes(unit) && slower > 1;
  const ok = limit === undefined || value <= limit * (timed ? slower : 1);
  if (!ok) broken += 1;
  const here = timed ? ` × ${slower.toFixed(2)}` : '';
  console.log(
    `${what.padEnd(62)} ${value.toFixed(value < 10 ? 3 : 1).padStart(9)} ${unit.padEnd(3)} ${limit === undefined ? '' : `limit ${limit} ${unit}${here} ${ok ? 'kept' : 'BROKEN'}`}`,
  );
}

/** Median time of a call, ms, after a warm-up. */
function medianMs(call) {
  for (let round = 0; round < ROUNDS / 4; round++) call();
  const times = [];
  for (let round = 0; round < ROUNDS; round++) {
    const from = performance.now();
    call();
    times.push(performance.now() - from);
  }
  return times.sort((a, b) => a - b)[ROUNDS / 2];
}

async function load(path) {
  const resolve = { alias: { '@': join(root, 'src') } };
  return (await runnerImport(join(root, path), { configFile: false, logLevel: 'error', resolve })).module;
}

async function benchCore() {
  const { estimate, sampleRequest, roomYears } = await bundled(join(root, 'src/core/testing/benchEstimate.ts'));
  const math = create(all);
  const formula = math.compile(
    '(0.06 * tb + log(G / (G - target)) / (log(G / (G - base)) / (tb * 0.94))) / (q10 ^ ((1 / 293.15 - 1 / (T + 273.15)) / (1 / 293.15 - 1 / 303.15)) * (P / 40.8) ^ 0.8 * ((A + 0.5) / 16.5) ^ 0.25 * agitation)',
  );
  const scope = { tb: 12.8, G: 1.15, base: 0.58, target: 0.62, q10: 2.2, T: 21, P: 38.8, A: 16, agitation: 1.06 };
  const yardstick = medianMs(() => formula.evaluate(scope));
  const fresh = sampleRequest();
  const old = sampleRequest({ age: roomYears(31), strategy: { id: 'extend' } });
  const freshMs = medianMs(() => estimate(fresh));
  const oldMs = medianMs(() => estimate(old));
  report('yardstick: one mathjs evaluation of the closed form, median', yardstick, 'ms');
  report('estimate() of fresh film, median', freshMs, 'ms', 0.5);
  report('estimate() of old film with Extend, median', oldMs, 'ms');
  report('  fresh, as a multiple of the yardstick', freshMs / yardstick, '×');
  report('  old, as a multiple of the yardstick', oldMs / yardstick, '×');
}

async function benchDating() {
  const { dateRoll, ageRoll } = await load('src/core/films/rollDating.ts');
  const { stayAt, plainStay } = await load('src/core/films/storageStay.ts');
  const stays = [stayAt('room', 1985), stayAt('attic', 2001), stayAt('cellar')].map(plainStay);
  const hints = [
    { kind: 'stamp', year: 1971, slackYears: 17 },
    { kind: 'use', what: 'hut', from: 1954, to: 1985 },
    { kind: 'story', what: 'story', year: 1964, slackYears: 8 },
  ];
  const whole = () => {
    const window = dateRoll({ formatId: '120', familyId: 'pan-cubic-fast', hints }, 2026);
    return ageRoll(window.years, stays, 2026);
  };
  report('age window and effective age, three hints and three stays, median', medianMs(whole), 'ms', 4);
}

/** The workbench worked out anew, as on every keystroke: amounts, pH, strength, spread, water, order and cautions. */
async function benchBrewing() {
  const { workbench } = await load('src/core/brewing/workbench.ts');
  const { initialWorkbench } = await load('src/core/brewing/workbenchForm.ts');
  const { formulary } = await load('src/core/brewing/formulary.ts');
  const { mixSteps } = await load('src/core/brewing/mixSteps.ts');
  const { ordinaryKit } = await load('src/core/kit/kit.ts');
  const { solvePh } = await load('src/core/chemistry/ph/solvePh.ts');
  const form = {
    ...initialWorkbench(formulary['coffee-restrained'], null),
    ascorbicForm: 'effervescent',
    sodaForm: 'crystals',
  };
  const stopped = { ...form, sodaForm: 'baking' };
  const whole = (typed) => () => {
    const { sheet } = workbench(typed, ordinaryKit);
    return mixSteps(sheet.batch);
  };
  const solution = {
    acids: { carbonic: 0.5, ascorbic: 0.09, citric: 0.05, plant: 0.04 },
    strongCharge: 1,
    strongIons: 1,
  };
  report(
    'solvePh() of a brew with four acids, median',
    medianMs(() => solvePh(solution)),
    'ms',
    0.3,
  );
  report('whole workbench, five ingredients, median', medianMs(whole(form)), 'ms', 4);
  report('whole workbench with a brew to mend, median', medianMs(whole(stopped)), 'ms', 4);
}

/** Code as the browser gets it: in one piece. */
async function bundle(entry) {
  const [{ output }] = await build({
    configFile: false,
    logLevel: 'error',
    root,
    build: { write: false, minify: false, lib: { entry, formats: ['es'], fileName: 'bench' } },
  });
  return output[0].code;
}

async function bundled(entry) {
  const file = join(mkdtempSync(join(tmpdir(), 'aetas-')), 'bench.mjs');
  writeFileSync(file, await bundle(entry));
  return import(pathToFileURL(file).href);
}

/** Core as the browser runs it for users: bundled, in a worker. */
async function benchWorker(page) {
  const code = await bundle(join(root, 'src/core/testing/benchWorker.ts'));
  const medians = await page.evaluate(
    (code) =>
      new Promise((resolve, reject) => {
        const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })), {
          type: 'module',
        });
        worker.onmessage = ({ data }) => resolve(data);
        worker.onerror = ({ message }) => reject(new Error(message));
      }),
    code,
  );
  report('yardstick in the worker: two million roots and quotients, median', medians.yardstick, 'ms');
  report('estimate with 3 pieces of evidence, in the worker, median', medians.estimate, 'ms', 4);
  report('analysis around it (curves, strategies, tests), median', medians.analysis, 'ms', 8);
  report('refit of 500 runs, 60 stocks, 40 formulas, in the worker, median', medians.wholeLog, 'ms', 250);
  report('  as a multiple of the yardstick', medians.wholeLog / medians.yardstick, '×');
  report('a trial of 24 strips laid out, in the worker, median', medians.trialLaid, 'ms', 200);
  report('  analysed in all six measures, median', medians.trialAnalysed, 'ms', 1000);
  report('first fit of 10,000 verdicts, in the worker', medians.longLog / 1000, 's');
  report('refit of them after one more verdict', medians.refit / 1000, 's', 4);
}

/** Ways to move the slider by a step: a key pressed now and then, and a mouse that drags it. */
const SLIDER_BY = {
  'a key': {
    everyMs: 90,
    take: (page) => page.getByRole('slider', { name: 'What if' }).focus(),
    move: (page, _places, round) => page.keyboard.press(round % 2 === 0 ? 'ArrowRight' : 'ArrowLeft'),
  },
  'a mouse': {
    everyMs: 33,
    take: async (page, places) => {
      await page.mouse.move(...places(20));
      await page.mouse.down();
    },
    move: (page, places, round, step) => page.mouse.move(...places(round % 2 === 0 ? 20 + step / 2 : 26 - step / 2)),
  },
};

/** Where the slider stands on the page for a temperature of its range, found once: asking at every move is work of its own. */
async function placesOf(page) {
  const slider = page.getByRole('slider', { name: 'What if' });
  await slider.scrollIntoViewIfNeeded();
  const { x, y, width, height } = await slider.boundingBox();
  const [min, max] = await slider.evaluate((element) => [Number(element.min), Number(element.max)]);
  const THUMB_PX = 12;
  return (degrees) => [x + THUMB_PX / 2 + ((degrees - min) / (max - min)) * (width - THUMB_PX), y + height / 2];
}

/**
 * Main-thread work for one move of a slider that keeps moving, ms: the time of all tasks by the browser's own count, less that of as
 * long a pause, so that the time, its ledger and its curve have been painted for every move. The median of rounds on one page.
 */
async function sliderWork(page, { everyMs, take, move }) {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const taskS = async () =>
    (await session.send('Performance.getMetrics')).metrics.find(({ name }) => name === 'TaskDuration').value;
  const MOVES = 12;
  const shown = () => page.getByTestId('time').innerText();
  const places = await placesOf(page);
  await take(page, places);
  await page.waitForTimeout(700);
  const rounds = [];
  for (let round = 0; round < 7; round++) {
    const before = await shown();
    const from = await taskS();
    for (let step = 1; step <= MOVES; step++) {
      await move(page, places, round, step);
      await page.waitForTimeout(everyMs);
    }
    const moved = (await taskS()) - from;
    if ((await shown()) === before) throw new Error('The slider moved, and the time on the screen did not.');
    await page.waitForTimeout(700);
    const pauseFrom = await taskS();
    await page.waitForTimeout(MOVES * everyMs);
    rounds.push(((moved - ((await taskS()) - pauseFrom)) * 1000) / MOVES);
  }
  await page.mouse.up();
  return rounds.sort((a, b) => a - b)[3];
}

/** Three pages for each way, since one page may have a slow minute; their median, and the same against the yardstick. */
async function benchSlider(browser, address) {
  for (const [by, way] of Object.entries(SLIDER_BY)) {
    const pages = [];
    for (let time = 0; time < 3; time++) {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      await page.addInitScript(() => localStorage.setItem('aetas.bench', 'demo'));
      await page.goto(`${address}/rolls/tin-3`);
      await page.locator('[data-next-step]:enabled').first().waitFor();
      await page.locator('#why > summary').click();
      await page.locator('#why canvas').first().waitFor();
      await page.waitForTimeout(1000);
      const work = await sliderWork(page, way);
      pages.push({ work, ratio: work / (await pageYardstick(page)) });
      await page.context().close();
    }
    const [, middle] = pages.sort((a, b) => a.work - b.work);
    report(
      `a move of the slider by ${by}, until it is painted: work of the main thread (${pages.map(({ work }) => work.toFixed(1)).join(', ')})`,
      middle.work,
      'ms',
      16,
    );
    report('  as a multiple of two million roots and quotients on the same thread', middle.ratio, '×');
  }
}

/** A fixed amount of arithmetic on the main thread, ms: how fast this machine is at this moment. */
async function pageYardstick(page) {
  return page.evaluate(() => {
    const times = Array.from({ length: 15 }, () => {
      const from = performance.now();
      let sum = 0;
      for (let i = 1; i < 2_000_000; i++) sum += Math.sqrt(i) / i;
      return sum > 0 ? performance.now() - from : 0;
    });
    return times.sort((a, b) => a - b)[7];
  });
}

/** The same over what can be done three times: the median, since one task in a hundred meets other work of the machine. */
async function usualLongestTask(page, act) {
  const times = [];
  for (let time = 0; time < 3; time++) times.push(await longestTask(page, act));
  return times.sort((a, b) => a - b)[1];
}

/** The longest task of a page while something is done there, ms; 0 for none over 50 ms. */
async function longestTask(page, act) {
  await page.evaluate(() => {
    window.longest = 0;
    window.watcher?.disconnect();
    window.watcher = new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
    });
    window.watcher.observe({ type: 'longtask' });
  });
  await act();
  await page.waitForTimeout(700);
  return page.evaluate(() => window.longest);
}

/** Runs something with a server of its own. */
async function withServer(act) {
  await ensureBuild();
  slower = pace();
  const address = `http://127.0.0.1:${PORT}`;
  const server = start(tool('next'), ['start', '--hostname', '127.0.0.1', '--port', String(PORT)], {}, 'ignore');
  try {
    while (!(await fetch(address).catch(() => ({ ok: false }))).ok)
      await new Promise((resolve) => setTimeout(resolve, 150));
    await act(address);
  } finally {
    server.kill();
  }
}

const browserOptions = () => ({
  executablePath: ensureChromium(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});

async function benchBrowser(address) {
  const { firstLoad, FIRST_LOAD_LIMIT_KB } = await load('e2e/firstLoad.ts');
  const { files, sizeKb } = await firstLoad(address);
  report(`Bench route: first-load JavaScript, gzipped, ${files} files`, sizeKb, 'kB', FIRST_LOAD_LIMIT_KB);

  const browser = await chromium.launch(browserOptions());
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript(() => localStorage.setItem('aetas.bench', 'demo'));
  await page.goto(`${address}/rolls/tin-3`);
  await page.locator('#why > summary').click();
  await page.locator('#why canvas').first().waitFor();
  await page.waitForTimeout(1000);
  const typing = await usualLongestTask(page, async () => {
    for (const [field, text] of [
      ['temperatureC', '21.5'],
      ['agentPerL', '36.25'],
      ['sodaGPerL', '52.5'],
      ['volumeMl', '550'],
      ['pushStops', '0.5'],
    ]) {
      await page.locator(`#${field}`).fill('');
      await page.locator(`#${field}`).pressSequentially(text, { delay: 60 });
    }
  });
  report('typing in the plan: longest task over 50 ms, 0 for none', typing, 'ms', 50);

  await benchWorker(page);
  await benchSlider(browser, address);
  await benchMemory(browser, address, report);

  await page.goto(`${address}/rolls/tin-3#identify`);
  await page.reload();
  await page.getByRole('button', { name: 'Photographs' }).click();
  await page.getByLabel('Photographs of the roll').waitFor({ state: 'attached' });
  // The page's own beginning is not the photograph's.
  await page.waitForTimeout(1500);
  // From a file, as from a user: handed over in memory, the page would first have to unpack it for the test's own sake.
  const picture = join(mkdtempSync(join(tmpdir(), 'aetas-')), 'twelve.png');
  writeFileSync(picture, PNG.sync.write(new PNG({ width: 4000, height: 3000, colorType: 2 }), { deflateLevel: 1 }));
  const photo = await longestTask(page, async () => {
    await page.getByLabel('Photographs of the roll').setInputFiles(picture);
    await page.getByRole('img', { name: 'Photograph twelve.png' }).waitFor();
  });
  report('a 12-megapixel photograph: longest task over 50 ms, 0 for none', photo, 'ms', 50);
  await page.context().close();
  await benchStrip({ browser, address, report, longestTask });
  await browser.close();
}

ensurePackages();
// `npm run bench -- big` measures the large bench alone, `-- memory` what estimates leave behind, `-- strip` a large picture of a strip.
const only = process.argv[2];
if (only === 'memory')
  await withServer(async (address) => {
    const browser = await chromium.launch(browserOptions());
    await benchMemory(browser, address, report);
    await browser.close();
  });
else if (only === 'strip')
  await withServer(async (address) => {
    const browser = await chromium.launch(browserOptions());
    await benchStrip({ browser, address, report, longestTask });
    await browser.close();
  });
else if (only !== 'big') {
  await benchCore();
  await benchDating();
  await benchBrewing();
  await withServer(benchBrowser);
}
if (only !== 'memory' && only !== 'strip')
  await withServer((address) => benchBig({ options: browserOptions(), address, load, report, usualLongestTask }));
process.exit(broken === 0 ? 0 : 1);
