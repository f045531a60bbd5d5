import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { USE_TIME, addRoll, openDemo, openMore, recordsOf } from './bench';

/** Kills the page at every step of a run, in the middle of the write, and looks for what is lost. */
test('a page killed at any press of a run comes back at that press or just before it', async ({ context }) => {
  test.setTimeout(900_000);
  let page = await context.newPage();
  await addRoll(page, 'Crash tin');
  await page.getByRole('button', { name: USE_TIME }).click();
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await expect(page.getByTestId('hands')).toBeVisible();
  const address = page.url();
  const eventsOf = async (): Promise<unknown[]> => {
    const { runs = [] } = await recordsOf(page, 'aetas');
    return (runs[0] as { events: unknown[] }).events;
  };
  let before: unknown[] = [];
  for (let press = 0; press < 150; press++) {
    const primary = page.getByRole('button', {
      name: /: start$|: it is in$|^Hold to |^Hung to dry$|^Go to the verdict$/,
    });
    await expect(primary).toBeEnabled();
    // A press within a second and a half of the last counts as a slip.
    await page.waitForTimeout(1_600);
    if ((await primary.textContent()) === 'Go to the verdict') break;
    // The click is sent and the page is gone before it can be shown.
    await primary.evaluate((button: HTMLButtonElement) => button.click());
    // Every second press has a moment to be written; the others are lost or kept, as it falls.
    if (press % 2 === 1) await page.waitForTimeout(400);
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
  await page.getByRole('button', { name: 'Guide me through mixing' }).click();
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
  await page.getByRole('button', { name: /^(Finish the jug|Go to the jug)$/ }).click();
  await expect(page.getByRole('heading', { name: 'Label' })).toBeVisible();
  expect((await recordsOf(page, 'aetas')).brews).toHaveLength(1);
});

test('a form killed at any letter comes back with that letter', async ({ context }) => {
  test.setTimeout(300_000);
  const text = 'Behind the barograph, in a biscuit tin';
  for (let letters = 4; letters <= text.length; letters += 8) {
    const page = await context.newPage();
    await page.goto('/rolls/new');
    await expect(page.getByText('More', { exact: true })).toBeVisible();
    if (!(await page.getByLabel('Note').isVisible())) await openMore(page);
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

/** Instants after a press at which a page is killed, ms. */
const KILLS = [0, 5, 15, 40, 90, 160, 260, 420, 700];

test('an import killed at any instant leaves the bench that was, or the bench of the file', async ({ context }) => {
  test.setTimeout(600_000);
  let page = await context.newPage();
  await openDemo(page, '/records');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save all records' }).click();
  const file = await (await saved).path();
  const full = await recordsOf(page, 'aetas-demo');
  await page.getByRole('button', { name: 'Empty the bench' }).click();
  await expect(page.getByText('The bench is empty.')).toBeVisible();
  const none = await recordsOf(page, 'aetas-demo');
  const seen = new Set<string>();
  for (const kill of [...KILLS, 2_000]) {
    await page
      .getByLabel('File with records')
      .setInputFiles({ name: 'hut.zip', mimeType: 'application/zip', buffer: await readFile(file) });
    await page.waitForTimeout(kill);
    await page.close({ runBeforeUnload: false });
    page = await context.newPage();
    await page.goto('/records');
    await expect(page.getByRole('button', { name: 'Save all records' })).toBeVisible();
    const after = await recordsOf(page, 'aetas-demo');
    const taken = after.rolls?.length === full.rolls?.length;
    expect(after).toEqual(taken ? full : none);
    seen.add(taken ? 'file' : 'before');
    if (!taken) continue;
    await page.getByRole('button', { name: 'Empty the bench' }).click();
    await expect(page.getByText('The bench is empty.')).toBeVisible();
  }
  expect(seen).toContain('file');
});

test('an undo killed at any instant is done whole or not at all', async ({ context }) => {
  test.setTimeout(600_000);
  let page = await context.newPage();
  await openDemo(page, '/records');
  const full = await recordsOf(page, 'aetas-demo');
  const undone: boolean[] = [];
  for (const kill of KILLS) {
    await page.getByRole('button', { name: 'Empty the bench' }).click();
    await expect(page.getByText('The bench is empty.')).toBeVisible();
    const none = await recordsOf(page, 'aetas-demo');
    const back = page.getByRole('button', { name: 'Bring it back' });
    await back.evaluate((button: HTMLButtonElement) => button.click());
    await page.waitForTimeout(kill);
    await page.close({ runBeforeUnload: false });
    page = await context.newPage();
    await page.goto('/records');
    await expect(page.getByRole('button', { name: 'Save all records' })).toBeVisible();
    const after = await recordsOf(page, 'aetas-demo');
    undone.push(after.rolls?.length === full.rolls?.length);
    expect(after).toEqual(undone.at(-1) === true ? full : none);
    if (undone.at(-1) === true) continue;
    await page.getByRole('button', { name: 'Bring it back' }).click();
    await expect(page.getByText(/20 rolls/)).toBeVisible();
  }
  expect(undone).toContain(true);
});

test('a plan pinned while the page dies is pinned with its time, or not at all', async ({ context }) => {
  test.setTimeout(600_000);
  for (const [index, kill] of KILLS.slice(0, 6).entries()) {
    let page = await context.newPage();
    await addRoll(page, `Pin tin ${index}`);
    const address = page.url();
    const pin = page.getByRole('button', { name: USE_TIME });
    await expect(pin).toBeEnabled();
    await pin.evaluate((button: HTMLButtonElement) => button.click());
    await page.waitForTimeout(kill);
    await page.close({ runBeforeUnload: false });
    page = await context.newPage();
    await page.goto(address);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(`Pin tin ${index}`);
    const { rolls = [], plans = [] } = await recordsOf(page, 'aetas');
    expect(rolls).toHaveLength(index + 1);
    for (const plan of plans as { pinned: { timeMin: number } | null }[])
      expect(plan.pinned?.timeMin).toBeGreaterThan(0);
    await page.close();
  }
});

test('three tabs type into one roll, and every field keeps its letters', async ({ context }) => {
  const first = await context.newPage();
  await first.goto('/rolls/new');
  const second = await context.newPage();
  await second.goto('/rolls/new');
  const third = await context.newPage();
  await third.goto('/rolls/new');
  for (const page of [first, second, third]) await openMore(page);
  await first.getByLabel('Name of the roll').pressSequentially('Shoebox', { delay: 15 });
  await second.getByLabel('Film', { exact: true }).pressSequentially('Larkholm Pan', { delay: 15 });
  await third.getByLabel('Note').pressSequentially('behind the barograph', { delay: 15 });
  for (const page of [first, second, third]) {
    await page.close({ runBeforeUnload: false });
  }
  const page = await context.newPage();
  await page.goto('/rolls/new');
  await expect(page.getByLabel('Name of the roll')).toHaveValue('Shoebox');
  await expect(page.getByLabel('Film', { exact: true })).toHaveValue('Larkholm Pan');
  await expect(page.getByLabel('Note')).toHaveValue('behind the barograph');
});

test('files cut off or altered at a hundred places are refused whole, or give records that read', async ({
  context,
}) => {
  test.setTimeout(600_000);
  const page = await context.newPage();
  await openDemo(page, '/records');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save all records' }).click();
  const whole = await readFile(await (await saved).path());
  const before = await recordsOf(page, 'aetas-demo');
  const alert = page.locator('main').getByRole('alert');
  for (let n = 0; n < 100; n++) {
    const at = Math.floor((whole.length * (n + 0.5)) / 100);
    const odd = n % 2 === 0 ? whole.subarray(0, at) : Buffer.from(whole);
    if (n % 2 === 1) odd[at] = (odd[at] ?? 0) ^ 0x55;
    await page
      .getByLabel('File with records')
      .setInputFiles({ name: `odd-${n}.zip`, mimeType: 'application/zip', buffer: odd });
    const opened = page.getByText(`“odd-${n}.zip” is on the bench now`);
    const refused = alert.filter({ hasText: `“odd-${n}.zip” was not opened, and nothing has changed.` });
    await expect(opened.or(refused).first()).toBeVisible();
    // A zip carries checks of its own: what opens in spite of a changed byte has the same records.
    expect(await recordsOf(page, 'aetas-demo')).toEqual(before);
  }
});
