import { expect, test, type Page } from '@playwright/test';
import { addRoll, openDemo, recordsOf } from '../bench';

/*
 * Two benches of one browser are two devices here: their records lie apart, and the browser's own file system is the folder that is
 * copied between them.
 */

/** Hands pages the shared folder where a person would choose one. */
async function withFolder(page: Page): Promise<void> {
  await page.addInitScript(() => {
    window.showDirectoryPicker = async () =>
      (await navigator.storage.getDirectory()).getDirectoryHandle('shared', { create: true });
  });
}

async function connect(page: Page, name: string): Promise<void> {
  await page.goto('/records');
  await page.getByRole('button', { name: 'Choose the folder' }).click();
  await expect(page.getByText('Give this device a name')).toBeVisible();
  await page.getByLabel('This device is called').fill(name);
  await page.getByRole('button', { name: 'Choose the folder' }).click();
  await expect(page.getByText(/^shared, as “/)).toBeVisible({ timeout: 60_000 });
}

async function inStep(page: Page): Promise<void> {
  await page.goto('/records');
  await page.getByRole('button', { name: 'Bring it up to date now' }).click();
  await expect(page.getByRole('status').filter({ hasText: /written|Nothing new/ })).toBeVisible({ timeout: 60_000 });
}

const labels = async (page: Page, bench: 'aetas' | 'aetas-demo'): Promise<string[]> =>
  ((await recordsOf(page, bench)).rolls as { label: string }[]).map(({ label }) => label).sort();

test('two devices come to the same bench through a folder, and a damaged journal is named', async ({
  page,
  context,
}) => {
  await withFolder(page);
  await openDemo(page);
  await connect(page, 'hut');
  const other = await context.newPage();
  await withFolder(other);
  await other.addInitScript(() => localStorage.setItem('aetas.bench', 'own'));
  await other.goto('/records');
  await connect(other, 'valley');
  await expect.poll(() => labels(other, 'aetas'), { timeout: 60_000 }).toEqual(await labels(page, 'aetas-demo'));
  const photos = async (from: Page, bench: 'aetas' | 'aetas-demo') => (await recordsOf(from, bench)).photos?.length;
  expect(await photos(other, 'aetas')).toBe(await photos(page, 'aetas-demo'));

  // A roll there, and a removal there: both are here after the next step.
  await addRoll(other, 'From the valley');
  await inStep(other);
  await page.evaluate(() => localStorage.setItem('aetas.bench', 'demo'));
  await inStep(page);
  await expect.poll(() => labels(page, 'aetas-demo')).toContain('From the valley');
  expect(await labels(page, 'aetas-demo')).toEqual(await labels(other, 'aetas'));
  await expect(page.getByRole('status').filter({ hasText: 'Other devices: valley.' })).toBeVisible();

  // Somebody's copy of the journal is broken in its middle, while its own device, which would write it anew, is off.
  await other.goto('/api/schema');
  await page.evaluate(async () => {
    localStorage.setItem('aetas.bench', 'demo');
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('shared');
    for await (const [name, entry] of folder.entries()) {
      if (!name.endsWith('.aetas-journal')) continue;
      const file = entry as FileSystemFileHandle;
      const text = await (await file.getFile()).text();
      if (!text.startsWith('{') || !text.split('\n')[0]?.includes('valley')) continue;
      const stream = await file.createWritable();
      await stream.write(text.replace(/\n(.{20})./, '\n$1~'));
      await stream.close();
    }
  });
  await inStep(page);
  await expect(page.getByText(/“valley” is set aside: Line \d+ of \d+ is damaged\./)).toBeVisible();
  // Its own device writes it anew.
  await other.evaluate(() => localStorage.setItem('aetas.bench', 'own'));
  await inStep(other);
  await page.evaluate(() => localStorage.setItem('aetas.bench', 'demo'));
  await inStep(page);
  await expect(page.getByText('is set aside')).toHaveCount(0);
  await page.getByRole('button', { name: 'Leave the folder' }).click();
  await expect(page.getByRole('button', { name: 'Choose the folder' })).toBeVisible();
  expect(await labels(page, 'aetas-demo')).toContain('From the valley');
});
