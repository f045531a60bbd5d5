import { expect, test } from '@playwright/test';
import { PNG } from 'pngjs';
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

test('a picture stands in its frame, with how it was scanned, and is taken away and put back', async ({ page }) => {
  await openDemo(page, '/rolls/past-04');
  const frame = page.getByRole('button', { name: /^Frame 3\b/ });
  await frame.click();
  const png = new PNG({ width: 300, height: 200 });
  png.data.fill(160);
  await page
    .getByLabel('Picture of frame 3')
    .setInputFiles({ name: 'third.png', mimeType: 'image/png', buffer: PNG.sync.write(png) });
  await expect(frame.locator('img')).toBeVisible();
  await page.getByLabel('Scanned').fill('flatbed, 3200 dpi');
  await expect
    .poll(async () => {
      const { photos = [] } = await recordsOf(page, 'aetas-demo');
      return (photos as { frame?: number; scanned?: string }[])
        .filter((photo) => photo.frame === 3)
        .map(({ scanned }) => scanned);
    })
    .toEqual(['flatbed, 3200 dpi']);
  await page
    .getByLabel('Picture of frame 3')
    .setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('no') });
  await expect(page.getByRole('alert').filter({ hasText: 'no.png' })).toBeVisible();
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(frame.locator('img')).toHaveCount(0);
  await page.getByRole('button', { name: 'Put third.png back' }).click();
  await expect(frame.locator('img')).toBeVisible();
});
