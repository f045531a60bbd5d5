import { randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { watchMemory } from './memory.mjs';

/** Runs of the large bench, and films among them. */
const RUNS = 10_000;
const FILMS = 60;
const SHELF = { bottles: 300, boxes: 500 };

/** First row of each view. */
const views = [
  { name: 'bench', path: '/', row: 'main li' },
  { name: 'rolls', path: '/rolls', row: 'main li' },
  { name: 'log', path: '/log', row: 'main li' },
  { name: 'shelf', path: '/brews', row: 'main li' },
  { name: 'one roll', path: '/rolls/tin-3', row: '#choose' },
];

/**
 * Time until the first row of a view shows, ms, on each of some pages: the median of seven loads, in turns, since a machine that slows down
 * for a minute would else be taken for a long list.
 */
async function firstRowMs(pages, address, view) {
  const times = pages.map(() => []);
  for (let round = 0; round < 7; round++) {
    for (const [at, page] of pages.entries()) {
      await page.goto('about:blank');
      await page.goto(address + view.path, { waitUntil: 'commit' });
      await page.locator(view.row).first().waitFor();
      times[at].push(
        await page.evaluate((row) => {
          const shown = document.querySelector(row) !== null;
          return shown ? performance.now() : Infinity;
        }, view.row),
      );
      await page.goto('about:blank');
    }
  }
  return times.map((own) => own.sort((a, b) => a - b)[3]);
}

/** Longest task while a list scrolls from end to end, ms. */
async function scrollTask(page, label, usualLongestTask) {
  // Looking the list up each time would count as the page's own work.
  const region = await page.getByRole('region', { name: label }).elementHandle();
  return usualLongestTask(page, async () => {
    for (let at = 0; at < 30; at++) {
      await region.evaluate((element, share) => {
        element.scrollTop = share * element.scrollHeight;
      }, at / 30);
      await page.waitForTimeout(60);
    }
  });
}

/** Time from the last letter of a search to the list that answers it, ms. */
async function filterMs(page, words) {
  await page.locator('#search').fill('');
  await page.waitForTimeout(600);
  return page.evaluate(async (text) => {
    const field = document.querySelector('#search');
    const status = document.querySelector('main p[role=status]');
    const before = status.textContent;
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, text);
    const from = performance.now();
    field.dispatchEvent(new Event('input', { bubbles: true }));
    while (status.textContent === before) await new Promise((resolve) => setTimeout(resolve, 1));
    await new Promise((resolve) => requestAnimationFrame(resolve));
    return performance.now() - from;
  }, words);
}

/**
 * A page on a demo bench of its own, in a browser with a profile on the disk as people have it: a private window keeps its
 * database in memory, where rows take five times as long.
 */
async function demoPage(options, address) {
  const profile = mkdtempSync(join(tmpdir(), 'aetas-profile-'));
  const context = await chromium.launchPersistentContext(profile, {
    ...options,
    viewport: { width: 1280, height: 800 },
  });
  context.on('close', () => rmSync(profile, { recursive: true, force: true }));
  const page = await context.newPage();
  await page.addInitScript(() => localStorage.setItem('aetas.bench', 'demo'));
  await page.goto(address);
  await page.locator('main li').first().waitFor();
  // What a first visit keeps for when there is no server is fetched once, and is none of what is measured.
  await page.evaluate(() =>
    Promise.race([navigator.serviceWorker?.ready, new Promise((resolve) => setTimeout(resolve, 60_000))]).then(
      () => undefined,
    ),
  );
  return page;
}

/** Time from choosing a file to the bench being what it holds, s. */
async function importS(page, address, path) {
  await page.goto(`${address}/records`);
  await page.getByRole('button', { name: 'Save all records' }).waitFor();
  const from = Date.now();
  await page.getByLabel('File with records').setInputFiles(path);
  await page.getByText('is on the bench now').waitFor({ timeout: 120_000 });
  return (Date.now() - from) / 1000;
}

const megabytes = (path) => Math.round(statSync(path).size / 1e6);

/** Photographs on a large bench, and bytes of each. */
const PHOTOS = 500;
const PHOTO_BYTES = 300_000;

/** Ten thousand runs and five hundred photographs, into an empty browser and out again: time, and memory of the pages. */
async function benchPhotos({ options, address, report, big, writeWhole, folder }) {
  const photos = Array.from({ length: PHOTOS }, (_, index) => ({
    id: `photo-${index}`,
    createdMs: index,
    updatedMs: index,
    rollId: big.rolls[index].id,
    name: `${index}.jpg`,
    widthPx: 1600,
    heightPx: 1200,
    jpeg: new Blob([randomBytes(PHOTO_BYTES)], { type: 'image/jpeg' }),
  }));
  const path = join(folder, 'photos.zip');
  writeFileSync(path, Buffer.from(await (await writeWhole({ ...big, photos })).arrayBuffer()));
  const page = await demoPage(options, address);
  const whileIn = watchMemory();
  report(
    `import of them with ${PHOTOS} photographs, zip of ${megabytes(path)} MB`,
    await importS(page, address, path),
    's',
  );
  report('  memory of the pages at the most, over what they held before', whileIn(), 'MB', 400);
  // A page of its own: what the first one still holds is no part of it.
  const context = page.context();
  await page.close();
  const next = await context.newPage();
  await next.addInitScript(() => localStorage.setItem('aetas.bench', 'demo'));
  await next.goto(`${address}/records`);
  const whileOut = watchMemory();
  report('  saving them again, read back to check', await saveS(next, address), 's');
  report('  memory of the pages at the most, over what they held before', whileOut(), 'MB', 400);
  await context.close();
}

/** Time until all records are in a file that was read back, s. */
async function saveS(page, address) {
  const saved = page.waitForEvent('download', { timeout: 120_000 });
  await page.goto(`${address}/records`);
  const from = Date.now();
  await page.getByRole('button', { name: 'Save all records' }).click();
  await saved;
  return (Date.now() - from) / 1000;
}

/** The question on a bench of ten thousand runs: from the first paint to a time, and from a typed temperature to its own. */
export async function benchAsk(page, address, report) {
  await page.addInitScript(() => {
    const look = () => {
      const seen = document.querySelector('[data-testid=time]');
      if (seen !== null) window.sentenceMs ??= performance.now();
      if (/\d/.test(seen?.textContent ?? '')) window.answerMs ??= performance.now();
      if (window.answerMs === undefined) requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  await page.goto('about:blank');
  await page.goto(`${address}/ask`, { waitUntil: 'commit' });
  await page.waitForFunction(() => window.answerMs !== undefined);
  const first = await page.evaluate(() => window.answerMs - window.sentenceMs);
  report('the question with ten thousand runs: from the sentence to a time', first, 'ms', 300);
  const field = page.getByLabel('Temperature, °C');
  await field.waitFor();
  // The log is learned from first.
  await page.waitForTimeout(40_000);
  await field.focus();
  await page.keyboard.press('Control+A');
  const before = await page.getByTestId('time').textContent();
  const from = await page.evaluate(() => performance.now());
  await page.keyboard.type('30');
  await page.waitForFunction((was) => document.querySelector('[data-testid=time]').textContent !== was, before);
  const took = (await page.evaluate(() => performance.now())) - from;
  report('  from a typed temperature to its time', took, 'ms', 300);
}

/** A bench of ten thousand runs against the demo's, in one run: first rows, nodes, filter, scrolling, import, learning. */
export async function benchBig({ options, address, load, report, usualLongestTask }) {
  const { demoRecords } = await load('src/data/demo/demoRecords.ts');
  const { bigBench } = await load('src/core/testing/bigBench.ts');
  const { plainFile } = await load('src/core/testing/wholeFile.ts');
  const { latestVersion } = await load('src/core/formats/migrations.ts');
  const { writeWhole } = await load('src/core/testing/wholeFile.ts');
  const big = bigBench(demoRecords(Date.now()), RUNS, FILMS, SHELF);
  const folder = mkdtempSync(join(tmpdir(), 'aetas-big-'));
  const file = join(folder, 'big.json');
  writeFileSync(file, plainFile(big, latestVersion()));
  const zip = join(folder, 'big.zip');
  writeFileSync(zip, Buffer.from(await (await writeWhole(big)).arrayBuffer()));

  const plain = await demoPage(options, address);
  report(`import of ${RUNS} runs, plain JSON of ${megabytes(file)} MB`, await importS(plain, address, file), 's', 8);
  await plain.context().close();
  const demo = await demoPage(options, address);
  await demo.goto('about:blank');
  const page = await demoPage(options, address);
  report(`import of them, zip of ${megabytes(zip)} MB`, await importS(page, address, zip), 's', 8);
  // Three jobs in one act: as many records are copied for undo and taken out, before the file goes in.
  report('  again, over a bench as large, which is copied for undo', await importS(page, address, zip), 's', 16);
  await benchAsk(page, address, report);
  const memory = await page.evaluate(() => performance.memory?.usedJSHeapSize ?? 0);
  report('  page memory after it', memory / 1e6, 'MB', 400);

  for (const view of views) {
    const [small, ms] = await firstRowMs([demo, page], address, view);
    report(`first row of ${view.name}: ${small.toFixed(0)} ms with the demo, later by`, ms - small, 'ms', 300);
    await page.goto(address + view.path);
    await page.locator(view.row).first().waitFor();
    await page.waitForTimeout(2500);
    const nodes = await page.evaluate(() => document.querySelectorAll('*').length);
    report(`  nodes of ${view.name}`, nodes, '', 3000);
    if (view.name === 'log') {
      report('  filter of the log', await filterMs(page, 'ladder 77'), 'ms', 100);
      await page.locator('#search').fill('');
      await page.waitForTimeout(500);
      report('  longest task while the log scrolls', await scrollTask(page, 'Runs', usualLongestTask), 'ms', 50);
    }
    if (view.name === 'rolls') {
      report('  filter of the rolls', await filterMs(page, 'ladder 77'), 'ms', 100);
      await page.locator('#search').fill('');
      await page.waitForTimeout(500);
      report(
        '  longest task while finished rolls scroll',
        await scrollTask(page, 'Finished rolls', usualLongestTask),
        'ms',
        50,
      );
    }
    if (view.name === 'one roll') {
      const from = Date.now();
      await page.reload();
      await page.getByTestId('time').waitFor({ timeout: 60_000 });
      report('  a first time on the page, greyed or not', Date.now() - from, 'ms');
      await page.locator('[data-next-step]:enabled').first().waitFor({ timeout: 120_000 });
      report('  until the time knows all 10,000 verdicts', (Date.now() - from) / 1000, 's');
    }
  }
  report('saving them, read back to check', await saveS(page, address), 's');
  await page.context().close();
  await demo.context().close();
  await benchPhotos({ options, address, report, big, writeWhole, folder });
}
