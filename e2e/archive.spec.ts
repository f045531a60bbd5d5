import { expect, test } from '@playwright/test';
import { openDemo, recordsOf } from './bench';

test('a roll is cut, put into its binder, and found by somebody’s name and by its place', async ({ page }) => {
  await openDemo(page, '/rolls/past-04');
  await page.getByLabel('Place', { exact: true }).fill('binder 2, page 14');
  await page.getByLabel('Frames', { exact: true }).fill('37');
  await page.getByLabel('On a strip').fill('5');
  const strips = page.getByRole('list', { name: 'Strips' }).getByRole('listitem');
  await expect(strips).toHaveCount(8);
  await expect(strips.last().getByRole('button')).toHaveCount(2);
  await page.getByRole('button', { name: 'Frame 12', exact: true }).click();
  await page.getByLabel('On frame 12').fill('Aunt Ragnfrid by the stove');
  await page.getByLabel('On frame 12').press('Enter');
  await page.getByLabel('On frame 13').fill('The stove');
  await page.getByLabel('On a strip').fill('none');
  await expect(page.getByText(/^Frames on a strip: /)).toBeVisible();
  await page.getByLabel('On a strip').fill('6');
  await expect(strips).toHaveCount(7);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Frame 12 Aunt Ragnfrid by the stove' })).toBeVisible();
  const { rolls } = await recordsOf(page, 'aetas-demo');
  expect((rolls as { id: string; archive?: unknown }[]).find(({ id }) => id === 'past-04')?.archive).toEqual({
    place: 'binder 2, page 14',
    frames: 37,
    perStrip: 6,
    words: [
      { frame: 12, words: 'Aunt Ragnfrid by the stove' },
      { frame: 13, words: 'The stove' },
    ],
  });

  await page.getByRole('link', { name: 'The page for its sleeve' }).click();
  await expect(page.getByRole('list', { name: 'Words on the frames' }).getByRole('listitem')).toHaveCount(2);
  expect((await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);

  await expect(page.getByRole('img', { name: 'The roll as a code to scan' })).toBeVisible();
  await page.getByRole('link', { name: 'Index of the binders' }).click();
  const place = page.getByRole('region', { name: 'binder 2, page 14' });
  await expect(place).toContainText('12 Aunt Ragnfrid by the stove');
  await page.goto('/rolls');
  for (const words of ['ragnfrid', 'binder 2, page']) {
    await page.getByRole('searchbox').fill(words);
    await expect(page.getByRole('status').filter({ hasText: /^1 of \d+$/ })).toBeVisible();
  }
});
