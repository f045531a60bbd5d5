import { expect, test } from '@playwright/test';
import { openDemo } from './bench';
import { FIRST_LOAD_LIMIT_KB, firstLoad } from './firstLoad';

test('the bench loads no more script than its limit before it shows', async ({ baseURL }) => {
  const { files, sizeKb } = await firstLoad(`${baseURL ?? ''}/`);
  expect(files).toBeGreaterThan(3);
  expect(sizeKb).toBeGreaterThan(100);
  expect(sizeKb).toBeLessThan(FIRST_LOAD_LIMIT_KB);
});

test('when the first estimate and its pictures come, the form stays where it was', async ({ page }) => {
  await page.addInitScript(() => {
    const tops: number[] = [];
    Object.assign(window, { tops });
    const look = (): void => {
      const field = document.getElementById('agitationId');
      if (field !== null) tops.push(Math.round(field.getBoundingClientRect().top + window.scrollY));
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  await openDemo(page, '/rolls/tin-3');
  await expect(page.getByTestId('time')).toBeVisible();
  await expect(page.getByRole('radio', { name: /^Stand, / })).toBeAttached();
  await expect
    .poll(() => page.evaluate(() => (window as unknown as { tops: number[] }).tops.length))
    .toBeGreaterThan(10);
  const tops = await page.evaluate(() => (window as unknown as { tops: number[] }).tops);
  expect(Math.max(...tops) - Math.min(...tops)).toBeLessThanOrEqual(1);
});
