import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { ensureBuild } from './build.mjs';
import { ensureChromium, ensurePackages, root, start, tool } from './shell.mjs';

const PORT = 4312;
const address = `http://127.0.0.1:${PORT}`;
const folder = process.argv[2] ?? join(root, 'docs', 'screenshots');

/** Morning at the hut; pictures are the same whenever they are taken. */
const NOW = new Date('2026-11-24T12:05:00');

const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };

/** Every main view: its file, the size, the light, and how to get there. */
const views = [
  { file: 'bench-day', path: '/', ready: timed },
  { file: 'ask', path: '/ask', ready: timed },
  { file: 'roll-choose', path: '/rolls/tin-3', ready: chosen },
  { file: 'roll-test', path: '/rolls/tin-3#test', ready: testing },
  { file: 'workbench', path: '/brews/workbench?recipe=coffee-standard&roll=tin-3', ready: weighed },
  {
    file: 'mix-sheet-phone',
    path: '/brews/workbench?recipe=coffee-standard&roll=tin-3',
    size: phone,
    light: 'dim',
    ready: weighing,
  },
  { file: 'roll-judge', path: '/rolls/barograph', ready: judging },
  { file: 'diagnosis', path: '/rolls/barograph', ready: judged },
  { file: 'learned', path: '/log/learned', ready: learned },
  { file: 'evening', path: '/evening', ready: planned },
  { file: 'trial', path: '/trials/trial-mugs' },
  { file: 'roll-run', path: '/rolls/instruments#run', ready: baths },
  { file: 'run-record', path: '/log/run-past-03' },
  { file: 'compare', path: '/log/compare?run=run-past-01&run=run-past-03&run=run-past-06', ready: compared },
  { file: 'tank-day', path: '/rolls/portraits', ready: atTank },
  { file: 'tank-over', path: '/rolls/portraits', light: 'safe', size: phone, ready: overTime },
  { file: 'strip', path: '/rolls/past-03/strip', ready: read },
  { file: 'print', path: '/prints/print-dog' },
  { file: 'log', path: '/log' },
];

/** The bench with its times: they come once the log was learned from. */
async function timed(page) {
  await page
    .locator('main')
    .getByText(/^\d+:\d\d/)
    .first()
    .waitFor();
  await page.waitForTimeout(1_500);
}

/** Curves laid over each other, and the rows in which the runs differ. */
async function compared(page) {
  await page.locator('main canvas').first().waitFor();
  await page.waitForTimeout(500);
}

async function chosen(page) {
  await page.getByTestId('band').waitFor();
  await page.getByRole('radio', { name: /^Stand, / }).waitFor({ state: 'attached' });
  await page.waitForTimeout(300);
}

async function testing(page) {
  await page.locator('#test canvas').waitFor();
  await page.waitForTimeout(300);
}

/** The list of baths, and the ways that are kept. */
async function baths(page) {
  await page.getByRole('list', { name: 'Wet steps' }).waitFor();
  await page.waitForTimeout(300);
}

async function weighed(page) {
  await page.getByTestId('brew-time').waitFor();
}

async function weighing(page) {
  await page.getByRole('button', { name: 'Guide me through mixing' }).click();
  await page.getByRole('button', { name: 'The water is in' }).click();
  await page.getByRole('button', { name: 'Tare' }).waitFor();
  await page.clock.runFor(2500);
  await page.getByRole('button', { name: 'Tare' }).click();
  await page.getByRole('button', { name: 'Pour' }).click();
  await page.clock.runFor(4000);
}

async function atTank(page) {
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await page.getByRole('button', { name: 'Pre-soak is in: start' }).click();
  await page.clock.runFor(62_000);
  await page.getByRole('button', { name: 'Develop: it is in' }).click();
  await page.clock.runFor(317_000);
}

/** The clock has run out, and nobody has poured. */
async function overTime(page) {
  await atTank(page);
  await page.clock.fastForward(900_000);
  await page.clock.runFor(1_000);
}

/** A made-up strip, marked and measured. */
async function read(page) {
  await page.getByRole('button', { name: 'Try it on a made-up strip' }).click();
  // Marks are measured once they rest, by the page's own clock.
  for (let turn = 0; turn < 40 && !(await page.getByTestId('strip-sentences').isVisible()); turn++) {
    await page.clock.runFor(200);
    await page.waitForTimeout(200);
  }
  await page.waitForTimeout(800);
}

async function judging(page) {
  await page.locator('#contrast').waitFor();
}

async function judged(page) {
  for (const name of ['Much too soft', 'Clear', 'Thin', 'Even'])
    await page.getByRole('radio', { name, exact: true }).click();
  await page.getByRole('button', { name: /^(Save verdict|Save the changed verdict)$/ }).click();
  await page.getByRole('list', { name: 'Likely causes' }).waitFor();
  await page.evaluate(() => window.scrollTo(0, 0));
}

async function learned(page) {
  await page.getByRole('list', { name: 'Learned factors' }).waitFor();
}

async function planned(page) {
  await page.locator('#from').fill('18:30');
  await page.locator('#tanks').fill('2');
  const rolls = page.getByRole('group', { name: 'Rolls, in the order of the evening' }).getByRole('checkbox');
  for (let at = 0; at < (await rolls.count()); at++) await rolls.nth(at).check();
  await page.getByTestId('evening-strip').waitFor();
}

ensurePackages();
await ensureBuild();
mkdirSync(folder, { recursive: true });
const server = start(
  tool('next'),
  ['start', '--hostname', '127.0.0.1', '--port', String(PORT)],
  { AETAS_DEMO: '1' },
  'ignore',
);
try {
  while (!(await fetch(address).catch(() => ({ ok: false }))).ok)
    await new Promise((resolve) => setTimeout(resolve, 150));
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync', '--no-first-run'],
  });
  const wanted = process.argv.slice(3);
  for (const view of views) {
    if (wanted.length > 0 && !wanted.includes(view.file)) continue;
    const context = await browser.newContext({
      viewport: view.size ?? desk,
      locale: 'en-GB',
      timezoneId: 'UTC',
      reducedMotion: 'reduce',
    });
    const page = await context.newPage();
    page.on('pageerror', (error) => console.error(`${view.file}: ${error.message}`));
    await page.clock.install({ time: NOW });
    await page.addInitScript((light) => localStorage.setItem('aetas.light', light), view.light ?? 'day');
    await page.goto(address + view.path);
    await page.locator('main h1, main [role=timer]').first().waitFor();
    await page.clock.runFor(500);
    await page.waitForTimeout(400);
    await view.ready?.(page);
    await page.clock.runFor(500);
    await page.screenshot({ path: join(folder, `${view.file}.png`) });
    console.log(`${view.file}.png`);
    await context.close();
  }
  await browser.close();
} finally {
  server.kill();
}
