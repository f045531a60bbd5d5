import { expect, test } from '@playwright/test';
import { choose, openDemo, recordsOf } from '../bench';

test('a recipe is given as an address and a code, looked at over there, and kept on a word', async ({
  page,
  browser,
}) => {
  await page.goto('/brews');
  await page.getByRole('button', { name: 'Duplicate Coffee, standard' }).click();
  await page.getByRole('button', { name: 'Give Coffee, standard, mine' }).click();
  await expect(page.getByRole('img', { name: '“Coffee, standard, mine” as a code to scan' })).toBeVisible();
  const address = await page.getByLabel('Address').inputValue();
  expect(new URL(address).pathname).toBe('/given');

  const other = await browser.newContext({ serviceWorkers: 'block' });
  try {
    const there = await other.newPage();
    await there.goto(address);
    await expect(there.getByRole('heading', { level: 1, name: 'Coffee, standard, mine' })).toBeVisible();
    await expect(there.getByText('washing soda 54 · ascorbic acid 16 · instant coffee 40')).toBeVisible();
    expect((await recordsOf(there, 'aetas')).recipes).toHaveLength(0);
    await there.getByRole('button', { name: 'Keep it among my recipes' }).click();
    await expect(there.getByRole('link', { name: 'Coffee, standard, mine' })).toBeVisible();
    const [mine, theirs] = await Promise.all([recordsOf(page, 'aetas'), recordsOf(there, 'aetas')]);
    const lines = (records: Record<string, unknown[]>): unknown =>
      (records.recipes as { lines: unknown }[]).map((recipe) => recipe.lines);
    expect(lines(theirs)).toEqual(lines(mine));
    await there.goto(address.slice(0, -20));
    await expect(there.getByText('This address was cut off or changed on its way.')).toBeVisible();
  } finally {
    await other.close();
  }
});

test('baths of one’s own are given, and stand beside those of the same name', async ({ page }) => {
  await openDemo(page, '/rolls/instruments#run');
  await page.getByLabel('Keep these baths as').fill('At the hut');
  await page.getByRole('button', { name: 'Save preset' }).click();
  await page.getByRole('button', { name: 'Give At the hut' }).click();
  const address = await page.getByLabel('Address').inputValue();
  await page.goto('/');
  await page.goto(address);
  await expect(page.getByRole('heading', { level: 1, name: 'At the hut' })).toBeVisible();
  await expect(page.getByText('these are kept as “At the hut, given”')).toBeVisible();
  await page.getByRole('button', { name: 'Keep them among my presets' }).click();
  await expect
    .poll(async () =>
      ((await recordsOf(page, 'aetas-demo')).habits as { kind: string; name: string }[])
        .filter(({ kind }) => kind === 'baths')
        .map(({ name }) => name),
    )
    .toEqual(expect.arrayContaining(['At the hut', 'At the hut, given']));
});

test('a plan is given, looked at, and put into the plan of another roll, where its time is worked out anew', async ({
  page,
}) => {
  await openDemo(page, '/rolls/instruments#choose');
  await page.getByRole('button', { name: /^Give plan of/ }).click();
  const address = await page.getByLabel('Address').inputValue();
  await page.goto('/rolls/tin-3#choose');
  await expect(page.locator('#developer')).toContainText('Instant coffee');
  const there = await page.getByTestId('time').first().textContent();
  await page.getByLabel('Temperature', { exact: true }).first().fill('23');
  await expect(page.getByTestId('time').first()).not.toHaveText(there ?? '');
  await page.goto(address);
  await expect(page.getByText('How somebody else develops it.')).toBeVisible();
  await expect(page.getByText(/Theirs took \d+:\d\d\. Yours gets a time of its own/)).toBeVisible();
  const before = await recordsOf(page, 'aetas-demo');
  await choose(page, /^For which roll/, 'Tin 3, cloud studies');
  expect((await recordsOf(page, 'aetas-demo')).plans).toEqual(before.plans);
  await page.getByRole('button', { name: 'Put it into the plan of this roll' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Tin 3, cloud studies' })).toBeVisible();
  await expect(page.locator('#developer')).not.toContainText('Instant coffee');
  await expect(page.getByTestId('time').first()).not.toHaveText(there ?? '');
  // What was typed there is not lost.
  const { aside } = await recordsOf(page, 'aetas-demo');
  expect(JSON.stringify(aside)).toContain(
    'Somebody’s plan took the place of what was typed for “Tin 3, cloud studies”.',
  );
});

test('a lab note is given as an address, and read by somebody who keeps nothing of it', async ({ page, browser }) => {
  await openDemo(page, '/log/run-past-03');
  await page.getByRole('button', { name: /^Give/ }).click();
  const address = await page.getByLabel('Address').inputValue();
  const other = await browser.newContext({ serviceWorkers: 'block' });
  try {
    const there = await other.newPage();
    await there.goto(address);
    const note = there.getByTestId('given-note');
    await expect(note.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(note).toContainText(/Time: \d+:\d\d; 80 % likely between/);
    await expect(note.getByRole('table')).toContainText('Planned');
    const saved = there.waitForEvent('download');
    await there.getByRole('button', { name: 'Save it as a file' }).click();
    expect((await saved).suggestedFilename()).toMatch(/\.md$/);
    expect((await recordsOf(there, 'aetas')).runs).toHaveLength(0);
  } finally {
    await other.close();
  }
});
