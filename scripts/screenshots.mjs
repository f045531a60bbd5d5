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
  { file: 'new-roll', path: '/rolls/new' },
  { file: 'roll-identify', path: '/rolls/tin-3#identify', ready: identified },
  { file: 'roll-choose', path: '/rolls/tin-3', ready: chosen },
  { file: 'roll-test', path: '/rolls/tin-3#test', ready: testing },
  { file: 'drop-test-phone', path: '/rolls/tin-3#test', size: phone, ready: dropTest },
  { file: 'clip-test', path: '/rolls/tin-3#test', light: 'dim', ready: clipTest },
  { file: 'roll-mix', path: '/rolls/instruments' },
  { file: 'brews', path: '/brews' },
  { file: 'workbench', path: '/brews/workbench?recipe=coffee-standard&roll=tin-3', ready: weighed },
  {
    file: 'mix-sheet-phone',
    path: '/brews/workbench?recipe=coffee-standard&roll=tin-3',
    size: phone,
    light: 'dim',
    ready: weighing,
  },
  { file: 'jug', path: '/brews/brew-portraits' },
  { file: 'roll-judge', path: '/rolls/barograph' },
  { file: 'tank-day', path: '/rolls/portraits', ready: atTank },
  { file: 'tank-safe', path: '/rolls/portraits', light: 'safe', ready: atTank },
  { file: 'exposure', path: '/exposure' },
  { file: 'lights-out', path: '/rolls/portraits/dark' },
  { file: 'log', path: '/log' },
  { file: 'handbook', path: '/handbook' },
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

async function identified(page) {
  await page.getByRole('heading', { name: 'When was it made?' }).waitFor();
  await page.locator('#identify').evaluate((section) => section.scrollIntoView());
  await page.waitForTimeout(300);
}

async function chosen(page) {
  await page.getByTestId('band').waitFor();
  await page.locator('canvas').first().waitFor();
  await page.waitForTimeout(300);
}

/** The tests alone: the stage that chooses is folded. */
async function testing(page) {
  await page
    .locator('#choose')
    .getByRole('button', { name: /^Choose/ })
    .first()
    .click();
  await page.locator('#test canvas').waitFor();
  await page.locator('#test').evaluate((section) => section.scrollIntoView());
  await page.waitForTimeout(300);
}

async function dropTest(page) {
  await testing(page);
  await page.getByRole('button', { name: 'Start a drop test' }).click();
  await page.getByRole('button', { name: 'The drops are on: start' }).click();
  await page.clock.runFor(41_300);
  await page
    .getByRole('button', { name: /is dark: stop/ })
    .first()
    .click();
  await page.clock.runFor(22_000);
  await page.getByRole('heading', { name: 'Drop test', exact: true }).evaluate((heading) => heading.scrollIntoView());
}

async function clipTest(page) {
  await testing(page);
  await page.getByRole('button', { name: 'Take a clip' }).click();
  const press = (row, density) =>
    page
      .getByRole('radiogroup', { name: row })
      .getByRole('radio', { name: `Density ${density}` })
      .click();
  await press('Clear film', '0.45');
  await press('Thin tone', '0.60');
  await press('Dense tone', '1.50');
  await page.getByRole('heading', { name: 'Clip test', exact: true }).evaluate((heading) => heading.scrollIntoView());
}

async function weighed(page) {
  await page.getByTestId('brew-time').waitFor();
}

async function weighing(page) {
  await page.getByRole('button', { name: 'Weigh it out' }).click();
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

ensurePackages();
ensureBuild();
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
