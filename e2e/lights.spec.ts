import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { openDemo } from './bench';

const axePath = 'node_modules/axe-core/axe.min.js';
const views = ['/', '/rolls', '/rolls/new', '/rolls/tin-3', '/rolls/tin-3#identify', '/rolls/tin-3#test', '/exposure', '/rolls/portraits/dark', '/rolls/portraits', '/rolls/instruments', '/rolls/barograph', '/rolls/reel-a', '/log', '/handbook', '/handbook/method', '/records', '/brews', '/brews/workbench?recipe=coffee-standard&roll=tin-3', '/brews/brew-portraits', '/brews/kit'];

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
  await page.getByRole('button', { name: 'Develop: in early' }).click();
  await expect(page.getByTestId('clock')).toBeVisible();
}

test('Safe light has no green and no blue, lists, fields, charts and the tank included', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('aetas.light', 'safe'));
  for (const path of views) {
    await openDemo(page, path);
    expect(await brightestForbidden(page), path).toBeLessThanOrEqual(DARK);
  }
  await openDemo(page, '/rolls/tin-3');
  for (const canvas of await page.locator('canvas').all()) {
    await canvas.scrollIntoViewIfNeeded();
    expect(await brightestForbidden(page), 'chart').toBeLessThanOrEqual(DARK);
  }
  await page.getByRole('button', { name: 'Agitation' }).click();
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
  expect(await page.evaluate(() => (window as unknown as { lightAtFirstFrame: string }).lightAtFirstFrame)).toBe('safe');
});

for (const light of ['day', 'dim', 'safe'] as const) {
  test(`axe finds nothing serious in ${light} light`, async ({ page }) => {
    test.setTimeout(240_000);
    await page.addInitScript((value) => localStorage.setItem('aetas.light', value), light);
    const axe = await readFile(axePath, 'utf8');
    const check = async (where: string): Promise<void> => {
      await page.evaluate(axe);
      const serious = await page.evaluate(async () => {
        const { axe: runner } = window as unknown as { axe: { run: () => Promise<{ violations: { id: string; impact: string; nodes: { html: string; failureSummary: string }[] }[] }> } };
        const { violations } = await runner.run();
        return violations.filter(({ impact }) => impact === 'serious' || impact === 'critical').map(({ id, nodes }) => `${id}: ${nodes[0]?.html} ${nodes[0]?.failureSummary}`);
      });
      expect(serious, where).toEqual([]);
    };
    for (const path of views) {
      await openDemo(page, path);
      if (path === '/rolls/tin-3') await page.locator('canvas').first().waitFor();
      await check(path);
    }
    await openDemo(page, '/rolls/portraits');
    await goToTank(page);
    await check('tank');
  });
}
