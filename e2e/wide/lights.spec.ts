import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { openDemo, openMore, openWhy, pourEarly } from '../bench';
import { shelfViews } from '../views';

const axePath = 'node_modules/axe-core/axe.min.js';
const views = [
  '/',
  '/ask',
  '/first',
  '/rolls',
  '/rolls/new',
  '/rolls/tin-3',
  '/rolls/tin-3#identify',
  '/rolls/tin-3#test',
  '/exposure',
  '/rolls/portraits/dark',
  '/rolls/portraits',
  '/rolls/instruments',
  '/rolls/barograph',
  '/rolls/reel-a',
  '/log',
  '/handbook',
  '/handbook/method',
  '/records',
  '/brews',
  '/brews/workbench?recipe=coffee-standard&roll=tin-3',
  '/brews/brew-portraits',
  '/brews/kit',
  '/log/learned',
  '/log/compare?run=run-past-03&run=run-past-04',
  '/practice',
  '/rolls/past-03/strip',
  '/evening',
  ...shelfViews,
];

/** Green and blue up to this value count as none: it is the noise of no encoder, but leaves room for one. */
const DARK = 3;

async function brightestForbidden(page: Page): Promise<number> {
  const { data } = PNG.sync.read(await page.screenshot());
  let worst = 0;
  for (let at = 0; at < data.length; at += 4) worst = Math.max(worst, data[at + 1] ?? 0, data[at + 2] ?? 0);
  return worst;
}

async function goToTank(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await page.getByRole('button', { name: 'Pre-soak is in: start' }).click();
  await pourEarly(page);
  await expect(page.getByTestId('clock')).toBeVisible();
}

test('Safe light has no green and no blue: lists, fields, charts and the tank, from the first look', async ({
  page,
}) => {
  await page.addInitScript(() => localStorage.setItem('aetas.light', 'safe'));
  await openDemo(page, '/rolls/tin-3');
  expect(await brightestForbidden(page), 'roll').toBeLessThanOrEqual(DARK);
  for (const canvas of await page.locator('canvas').all()) {
    await canvas.scrollIntoViewIfNeeded();
    expect(await brightestForbidden(page), 'chart').toBeLessThanOrEqual(DARK);
  }
  await page.getByRole('button', { name: 'How the tank is agitated' }).click();
  await page.getByRole('option').nth(3).hover();
  expect(await brightestForbidden(page), 'open list').toBeLessThanOrEqual(DARK);
  await page.keyboard.press('Escape');
  await page.getByLabel('Temperature', { exact: true }).selectText();
  expect(await brightestForbidden(page), 'selected text').toBeLessThanOrEqual(DARK);
  await openDemo(page, '/rolls/portraits');
  await goToTank(page);
  expect(await brightestForbidden(page), 'tank').toBeLessThanOrEqual(DARK);
  await page.getByRole('button', { name: 'Note' }).click();
  expect(await brightestForbidden(page), 'note').toBeLessThanOrEqual(DARK);
});

test('the check can fail: Day has green', async ({ page }) => {
  await openDemo(page);
  expect(await brightestForbidden(page)).toBeGreaterThan(100);
});

test('a page opened in Safe light never flashes: the light is set before the first frame', async ({ page }) => {
  await page.addInitScript(() => {
    localStorage.setItem('aetas.light', 'safe');
    const look = (): void => {
      if (document.body === null) requestAnimationFrame(look);
      else Object.assign(window, { lightAtFirstFrame: document.documentElement.dataset.light });
    };
    requestAnimationFrame(look);
  });
  await page.goto('/');
  expect(await page.evaluate(() => (window as unknown as { lightAtFirstFrame: string }).lightAtFirstFrame)).toBe(
    'safe',
  );
});

/** What axe finds, of any weight: by all its rules, or one alone. */
async function axeFaults(page: Page, rule?: string): Promise<string[]> {
  return page.evaluate(async (only) => {
    const { axe: runner } = window as unknown as {
      axe: {
        run: (
          context: Document,
          options: object,
        ) => Promise<{
          violations: { id: string; impact: string; nodes: { html: string; failureSummary: string }[] }[];
        }>;
      };
    };
    const { violations } = await runner.run(document, only === undefined ? {} : { runOnly: [only] });
    return violations.map(
      ({ id, impact, nodes }) => `${id} (${impact}): ${nodes[0]?.html} ${nodes[0]?.failureSummary}`,
    );
  }, rule);
}

/**
 * A view in all three lights, one key apart: axe's rules once, and no green or blue in Safe. What of contrast hangs on the colours alone
 * is a unit test of the palettes; one view is held against it in every light all the same.
 */
async function checkLights(page: Page, where: string, after = 'day', contrastToo = false): Promise<void> {
  await page.evaluate(await readFile(axePath, 'utf8'));
  expect(await axeFaults(page), where).toEqual([]);
  for (const light of ['dim', 'safe']) {
    await page.keyboard.press('l');
    await expect(page.locator('html')).toHaveAttribute('data-light', light);
    if (contrastToo) expect(await axeFaults(page, 'color-contrast'), `${where} in ${light} light`).toEqual([]);
  }
  expect(await brightestForbidden(page), `${where} in safe light`).toBeLessThanOrEqual(DARK);
  await page.keyboard.press('l');
  await expect(page.locator('html')).toHaveAttribute('data-light', after);
}

const half = Math.ceil(views.length / 2);
for (const [name, some] of [
  ['first', views.slice(0, half)],
  ['second', views.slice(half)],
] as const) {
  test(`axe finds nothing in any light, ${name} half of the views`, async ({ page }) => {
    test.setTimeout(240_000);
    for (const path of some) {
      await openDemo(page, path);
      if (path === '/rolls/tin-3') await openWhy(page);
      if (path === '/rolls/tin-3') await page.locator('canvas').first().waitFor();
      await checkLights(page, path, 'day', path === '/rolls/tin-3');
    }
  });
}

test('axe finds nothing at the tank, in any light', async ({ page }) => {
  await openDemo(page, '/rolls/portraits');
  await goToTank(page);
  // At the tank the key moves between Dim and Safe: nobody is thrown into daylight.
  await checkLights(page, 'tank', 'dim', true);
});

test('axe finds nothing while fields are wrong', async ({ page }) => {
  test.setTimeout(240_000);
  await openDemo(page, '/rolls/new');
  await openMore(page);
  await page.getByLabel('Expiry year').fill('last summer');
  await page.getByLabel('Speed', { exact: true }).fill('fast');
  await page.getByRole('button', { name: 'Add it to the bench' }).click();
  await expect(page.locator('[aria-invalid=true]').first()).toBeVisible();
  // The first fault has the focus, and letters are typed there.
  const fault = page.locator('[aria-invalid=true]:focus');
  await expect(fault).toBeVisible();
  await fault.blur();
  await checkLights(page, 'new roll with two wrong fields');

  await openDemo(page, '/rolls/tin-3#choose');
  await page.getByLabel('Temperature', { exact: true }).fill('lukewarm');
  await page.getByLabel('Temperature', { exact: true }).blur();
  await expect(page.getByText('Temperature: give a number from 5 to 40 °C.')).toBeVisible();
  await checkLights(page, 'a roll with a wrong temperature');

  await openDemo(page, '/brews/workbench?recipe=coffee-standard&roll=tin-3');
  await page.getByLabel('Washing soda, anhydrous, in a litre').fill('a handful');
  await page.getByLabel('Washing soda, anhydrous, in a litre').blur();
  await expect(page.getByRole('alert').filter({ hasText: 'Give an amount such as' })).toBeVisible();
  await checkLights(page, 'a worksheet with a wrong amount');

  await openDemo(page, '/brews/kit');
  await page.getByLabel('Smallest step').fill('none');
  await page.getByLabel('Smallest step').blur();
  await expect(page.getByText(/Step of the scale: give a number/)).toBeVisible();
  await checkLights(page, 'a kit with a wrong step');
});
