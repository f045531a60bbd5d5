import { expect, test } from '@playwright/test';
import { openDemo, openStage, recordsOf } from '../bench';

test('somebody’s log is looked at, named, counts among the evidence, is taken off and brought back', async ({
  page,
}) => {
  await openDemo(page, '/records');
  const logs = page.getByRole('list', { name: 'Logs that count' }).getByRole('listitem');
  await expect(logs).toHaveCount(1);
  await expect(logs.first()).toContainText('3 judged runs of 1 film.');
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save all records' }).click();
  const file = await (await saving).path();
  const field = page.getByLabel('File of somebody’s bench');
  await field.setInputFiles({ name: 'notes.json', mimeType: 'application/json', buffer: Buffer.from('{"a": 1}') });
  await expect(page.getByText('“notes.json” was not opened')).toBeVisible();
  const before = await recordsOf(page, 'aetas-demo');
  await field.setInputFiles(file);
  const seen = page.getByTestId('guest-seen');
  await expect(seen).toContainText(/\d+ judged runs and \d+ tests? .* On this bench by name: /);
  await page.getByRole('button', { name: 'Let it count' }).click();
  await expect(page.getByText('Whose log it is: give a name.')).toBeVisible();
  await page.getByLabel('Whose log it is').fill('Ragnfrid');
  await page.getByRole('button', { name: 'Let it count' }).click();
  await expect(logs).toHaveCount(2);
  // None of it became a record of this bench.
  const after = await recordsOf(page, 'aetas-demo');
  for (const table of ['rolls', 'runs', 'verdicts', 'evidence', 'stocks']) expect(after[table]).toEqual(before[table]);
  await page.goto('/rolls/tin-3#test');
  await openStage(page, 'Test');
  await expect(page.getByText(/^log of Ragnfrid/).first()).toBeVisible();
  await expect(
    page.getByText(/^Log of Ragnfrid: \d+ of its runs and tests bear on this; without them \d+:\d\d\./),
  ).toBeVisible();
  await page.goto('/records');
  await page.getByRole('button', { name: /^Take it off ?: log of Ragnfrid/ }).click();
  await expect(logs).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(logs).toHaveCount(2);
});
