import { readFile } from 'node:fs/promises';
import { strFromU8, unzipSync } from 'fflate';
import { expect, test, type Page } from '@playwright/test';
import { openDemo, recordsOf } from './bench';

/** Saves the bench: the zip, and the list of records in it. */
async function saveFile(page: Page): Promise<{ zip: Buffer; text: string }> {
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save all records' }).click();
  const zip = await readFile(await (await saved).path());
  const list = unzipSync(new Uint8Array(zip))['records.json'];
  if (list === undefined) throw new Error('The file has no list of records.');
  return { zip, text: strFromU8(list) };
}

async function openFile(page: Page, content: string | Buffer, name = 'hut.json'): Promise<void> {
  await page
    .getByLabel('File with records')
    .setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(content) });
}

test('save, empty, open: the same records', async ({ page }) => {
  await openDemo(page, '/records');
  const before = await recordsOf(page, 'aetas-demo');
  expect(before.rolls).toHaveLength(20);
  const { zip, text } = await saveFile(page);
  await page.getByRole('button', { name: 'Empty the bench' }).click();
  await expect(page.getByText('The bench is empty.')).toBeVisible();
  expect((await recordsOf(page, 'aetas-demo')).rolls).toHaveLength(0);
  await openFile(page, text);
  await expect(page.getByText('“hut.json” is on the bench now')).toBeVisible();
  expect(await recordsOf(page, 'aetas-demo')).toEqual(before);
  await openFile(page, zip, 'hut.zip');
  await expect(page.getByText('“hut.zip” is on the bench now')).toBeVisible();
  expect(await recordsOf(page, 'aetas-demo')).toEqual(before);
});

test('a damaged, foreign or newer file is refused whole, and says where', async ({ page }) => {
  await openDemo(page, '/records');
  const before = await recordsOf(page, 'aetas-demo');
  const { text } = await saveFile(page);
  const alert = page.locator('main').getByRole('alert');
  const damaged = JSON.parse(text) as { version: number; records: { rolls: { formatId: string }[] } };
  const third = damaged.records.rolls[2];
  if (third === undefined) throw new Error('The demo has too few rolls.');
  third.formatId = 'moon';
  for (const [file, words] of [
    [text.slice(0, 2000), 'cut off'],
    ['{"tracks": []}', 'not exported by Aetas'],
    [JSON.stringify({ ...JSON.parse(text), version: 99 }), 'Open it with a newer Aetas'],
    [JSON.stringify(damaged), 'records.rolls[2].formatId'],
  ] as const) {
    await openFile(page, file, 'bad.json');
    await expect(alert).toContainText('“bad.json” was not opened, and nothing has changed.');
    await expect(alert).toContainText(words);
  }
  expect(await recordsOf(page, 'aetas-demo')).toEqual(before);
});

test('what was wiped can be brought back, also after a reload', async ({ page }) => {
  await openDemo(page, '/records');
  const before = await recordsOf(page, 'aetas-demo');
  await page.getByRole('button', { name: 'Empty the bench' }).click();
  await expect(page.getByText('The bench is empty.')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByText(/20 rolls/)).toBeVisible();
  expect(await recordsOf(page, 'aetas-demo')).toEqual(before);
});

test('the own bench and the demo bench do not mix', async ({ page }) => {
  await openDemo(page, '/records');
  await page.getByRole('button', { name: 'Go to your own bench' }).click();
  await expect(page.getByRole('heading', { name: 'How long in this?' })).toBeAttached();
});

test('a file is merged: what was removed since comes back, what was written here stays, and it is undone', async ({
  page,
}) => {
  await openDemo(page, '/records');
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save all records' }).click();
  const path = await (await saving).path();
  await expect(page.getByText('read back to check')).toBeVisible();
  await expect(page.getByText('Last saved as a file today, no run since.')).toBeVisible();
  const before = await recordsOf(page, 'aetas-demo');
  await page.getByRole('button', { name: 'Empty the bench' }).click();
  await expect(page.getByText('The bench is empty.')).toBeVisible();
  await page.getByLabel('File to merge').setInputFiles(path);
  await expect(page.getByText(/is merged into the bench\. Added: .*20 rolls/)).toBeVisible();
  expect((await recordsOf(page, 'aetas-demo')).runs).toEqual(before.runs);
  await page.getByLabel('File to merge').setInputFiles(path);
  await expect(page.getByText(/Nothing was new\. [\d,]+ records were the same here/)).toBeVisible();
  await page
    .getByLabel('File to merge')
    .setInputFiles({ name: 'not.zip', mimeType: 'application/zip', buffer: Buffer.from('PK no') });
  await expect(page.getByRole('alert').filter({ hasText: 'not.zip' })).toBeVisible();
});

test('one table goes out as CSV, is changed in a spreadsheet, and is merged back in', async ({ page }) => {
  await openDemo(page, '/records');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Runs', exact: true }).click();
  const csv = await readFile(await (await saved).path(), 'utf8');
  const { runs = [] } = await recordsOf(page, 'aetas-demo');
  expect(csv.split('\r\n').length).toBeGreaterThan(runs.length);
  const first = (runs as { id: string; movementName?: string }[]).find(
    ({ movementName }) => movementName !== undefined,
  );
  const name = first?.movementName ?? '';
  expect(csv).toContain(name);
  const upload = (text: string) =>
    page
      .getByLabel('File to merge')
      .setInputFiles({ name: 'runs.csv', mimeType: 'text/csv', buffer: Buffer.from(text, 'utf8') });
  await upload(csv.replace(name, 'Twirled'));
  await expect(page.getByText('“runs.csv” is merged into the bench.')).toBeVisible();
  const after = (await recordsOf(page, 'aetas-demo')).runs as { movementName?: string }[];
  expect(after.filter(({ movementName }) => movementName === 'Twirled')).toHaveLength(1);
  // What is no table of ours is refused, and nothing changes.
  await upload('a,b\r\n1,2');
  await expect(page.locator('main').getByRole('alert')).toContainText(
    '“runs.csv” was not opened, and nothing has changed.',
  );
});
