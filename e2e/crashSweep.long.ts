import { expect, test } from '@playwright/test';
import { addRoll, recordsOf } from './bench';

/** Kills the page at every step of a run, in the middle of the write, and looks for what is lost. */
test('a page killed at any press of a run comes back at that press or just before it', async ({ context }) => {
  test.setTimeout(600_000);
  let page = await context.newPage();
  await addRoll(page, 'Crash tin');
  await page.getByRole('button', { name: /^Use .* and mix$/ }).click();
  await page.getByRole('button', { name: 'It is mixed' }).click();
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await expect(page.getByTestId('hands')).toBeVisible();
  const address = page.url();
  const eventsOf = async (): Promise<unknown[]> => {
    const { runs = [] } = await recordsOf(page, 'aetas');
    return (runs[0] as { events: unknown[] }).events;
  };
  let before: unknown[] = [];
  for (let press = 0; press < 40; press++) {
    const primary = page.locator('footer button').last();
    await expect(primary).toBeEnabled();
    if ((await primary.textContent()) === 'Go to the verdict') break;
    // The click is sent and the page is gone before it can be shown.
    await primary.evaluate((button: HTMLButtonElement) => button.click());
    await page.close({ runBeforeUnload: false });
    page = await context.newPage();
    await page.goto(address);
    await expect(page.getByTestId('hands')).toBeVisible();
    const after = await eventsOf();
    expect(after.slice(0, before.length)).toEqual(before);
    expect(after.length - before.length).toBeLessThanOrEqual(1);
    before = after;
  }
  await expect(page.getByTestId('hands')).toHaveText('Hung to dry');
});

test('a page killed at any press of a mixing comes back at that press or just before it', async ({ context }) => {
  test.setTimeout(600_000);
  let page = await context.newPage();
  await page.goto('/brews/workbench?recipe=coffee-standard');
  await page.getByRole('button', { name: 'Weigh it out' }).click();
  await expect(page.getByRole('heading', { name: 'Water first' })).toBeVisible();
  const address = page.url();
  const mixOf = async () =>
    ((await recordsOf(page, 'aetas')).mixes?.[0] ?? { events: [], brewId: null }) as {
      events: unknown[];
      brewId: string | null;
    };
  let before: unknown[] = [];
  for (let press = 0; press < 20; press++) {
    const primary = page.locator('main .act-primary').last();
    await expect(primary).toBeEnabled();
    if ((await primary.textContent()) === 'Finish the jug') break;
    await primary.evaluate((button: HTMLButtonElement) => button.click());
    await page.close({ runBeforeUnload: false });
    page = await context.newPage();
    await page.goto(address);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Coffee, standard');
    const { events } = await mixOf();
    expect(events.slice(0, before.length)).toEqual(before);
    expect(events.length - before.length).toBeLessThanOrEqual(1);
    before = events;
  }
  expect(before).toHaveLength(8);
  await page.getByRole('button', { name: 'Finish the jug' }).evaluate((button: HTMLButtonElement) => button.click());
  await page.close({ runBeforeUnload: false });
  page = await context.newPage();
  await page.goto(address);
  await page.getByRole('button', { name: /^(Put it among the jugs|To the jug)$/ }).click();
  await expect(page.getByRole('heading', { name: 'Label' })).toBeVisible();
  expect((await recordsOf(page, 'aetas')).brews).toHaveLength(1);
});

test('a form killed at any letter comes back with that letter', async ({ context }) => {
  test.setTimeout(300_000);
  const text = 'Behind the barograph, in a biscuit tin';
  for (let letters = 4; letters <= text.length; letters += 8) {
    const page = await context.newPage();
    await page.goto('/rolls/new');
    const note = page.getByLabel('Note');
    await note.fill('');
    // Faster than any hand.
    await note.pressSequentially(text.slice(0, letters), { delay: 20 });
    await page.close({ runBeforeUnload: false });
    const next = await context.newPage();
    await next.goto('/rolls/new');
    await expect(next.getByLabel('Note')).toHaveValue(text.slice(0, letters));
    await next.close();
  }
});
