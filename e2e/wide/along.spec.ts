import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium as browserType, expect, test, type BrowserContext, type Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { chromium } from '../../playwright.config';
import { MORNING, USE_TIME, addRoll, openStage, recordsOf, throughTheTank } from '../bench';

/** Picture of a camera that stands before a screen: grey room, the screen in the middle. */
const CAMERA = { width: 640, height: 480 };

/** Pictures of a screen as a camera’s film, in a plain format that the browser’s stand-in for a camera reads. */
function filmOf(screens: readonly Buffer[]): Buffer {
  const pieces = [Buffer.from(`YUV4MPEG2 W${CAMERA.width} H${CAMERA.height} F4:1 Ip A1:1 C420jpeg\n`)];
  const colour = Buffer.alloc((CAMERA.width * CAMERA.height) / 2, 128);
  for (const screen of screens) {
    const { width, height, data } = PNG.sync.read(screen);
    const side = CAMERA.height - 20;
    const left = (CAMERA.width - side) / 2;
    const grey = Buffer.alloc(CAMERA.width * CAMERA.height, 110);
    for (let y = 0; y < side; y++)
      for (let x = 0; x < side; x++) {
        const from = 4 * (Math.floor((y * height) / side) * width + Math.floor((x * width) / side));
        grey[(y + 10) * CAMERA.width + left + x] = data[from] ?? 0;
      }
    // Each code stands for a while, as on the screen.
    for (let frame = 0; frame < 3; frame++) pieces.push(Buffer.from('FRAME\n'), grey, colour);
  }
  return Buffer.concat(pieces);
}

/** Every code of a roll as it stands on the screen. */
async function codesOn(page: Page, address: string): Promise<Buffer[]> {
  await page.goto(address);
  const code = page.getByTestId('code');
  await expect(code).toBeVisible();
  const name = (await code.getByRole('img').getAttribute('aria-label')) ?? '';
  const total = Number(/of (\d+)$/.exec(name)?.[1]);
  if (total > 1) await page.getByRole('button', { name: 'Hold this one' }).click();
  const screens: Buffer[] = [];
  for (let at = 0; at < total; at++) {
    screens.push(await code.screenshot());
    if (total > 1) await page.getByRole('button', { name: 'Next' }).click();
  }
  return screens;
}

/** A device of its own, whose camera sees a film. */
async function device(folder: string, baseURL: string, film?: Buffer): Promise<BrowserContext> {
  const seen = join(folder, 'camera.y4m');
  if (film !== undefined) await writeFile(seen, film);
  const eyes = film === undefined ? [] : [`--use-file-for-fake-video-capture=${seen}`];
  return browserType.launchPersistentContext(folder, {
    executablePath: chromium.executablePath,
    args: [...chromium.args, '--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream', ...eyes],
    baseURL,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    timezoneId: 'UTC',
    locale: 'en-GB',
  });
}

async function takeIn(page: Page, label: string): Promise<void> {
  await page.goto('/records');
  await page.getByRole('link', { name: 'Take in a roll by camera' }).click();
  await page.getByRole('button', { name: 'Start the camera' }).click();
  await expect(page.getByText(`“${label}”, with plan, jugs and run.`)).toBeVisible({ timeout: 60_000 });
  expect((await recordsOf(page, 'aetas')).rolls?.length ?? 0).toBeLessThanOrEqual(1);
  await page.getByRole('button', { name: 'Put it on this bench' }).click();
  await expect(page.getByRole('status').filter({ hasText: /Added: |Newer in the file/ })).toBeVisible();
}

test('a roll goes to the phone by codes on the screen, is developed there, and its run comes back', async ({
  baseURL,
}) => {
  test.setTimeout(300_000);
  const LABEL = 'Shoebox, hill fog';
  const [desk, phone] = await Promise.all([
    mkdtemp(join(tmpdir(), 'aetas-desk-')),
    mkdtemp(join(tmpdir(), 'aetas-phone-')),
  ]);
  const open: BrowserContext[] = [];
  const start = async (...args: Parameters<typeof device>): Promise<BrowserContext> => {
    const context = await device(...args);
    open.push(context);
    return context;
  };
  try {
    // The desk chooses a time and mixes.
    let context = await start(desk, baseURL ?? '');
    let page = await context.newPage();
    await addRoll(page, LABEL);
    const address = new URL(page.url()).pathname;
    await page.getByRole('button', { name: USE_TIME }).click();
    await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
    await expect(page.getByRole('button', { name: 'Go to the tank' })).toBeVisible();
    await page.getByRole('link', { name: 'Take it along' }).click();
    await expect(page.getByTestId('code')).toBeVisible();
    const before = await recordsOf(page, 'aetas');
    const going = filmOf(await codesOn(page, `${address}/along`));
    await context.close();

    // The phone reads it, and leads through the tank.
    context = await start(phone, baseURL ?? '', going);
    page = await context.newPage();
    await page.clock.install({ time: MORNING });
    await page.clock.resume();
    await takeIn(page, LABEL);
    const there = await recordsOf(page, 'aetas');
    for (const table of ['rolls', 'stocks', 'plans', 'brews'] as const) expect(there[table]).toEqual(before[table]);
    await page.goto(address);
    await openStage(page, 'Run');
    await throughTheTank(page);
    await page.goto(address);
    const coming = filmOf(await codesOn(page, `${address}/along`));
    const developed = await recordsOf(page, 'aetas');
    await context.close();

    // The run comes back.
    context = await start(desk, baseURL ?? '', coming);
    page = await context.newPage();
    await takeIn(page, LABEL);
    const after = await recordsOf(page, 'aetas');
    expect(after.runs).toEqual(developed.runs);
    expect(after.runs).toHaveLength(1);
    await page.goto(address);
    await expect(page.getByRole('heading', { level: 2, name: 'Judge', exact: true })).toBeVisible();
  } finally {
    for (const context of open) await context.close().catch(() => undefined);
    await Promise.all([desk, phone].map((folder) => rm(folder, { recursive: true, force: true })));
  }
});

test('without a camera the page says by what other way a roll comes in', async ({ page }) => {
  await page.goto('/along');
  await page.getByRole('button', { name: 'Start the camera' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Save the roll as a file over there' })).toBeVisible();
});
