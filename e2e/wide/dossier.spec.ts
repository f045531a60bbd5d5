import { expect, test, type Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { USE_TIME, addRoll, choose, openDemo, openFact, openMore, openStage, recordsOf } from '../bench';

async function openIdentify(page: Page, rollId: string): Promise<void> {
  await openDemo(page, `/rolls/${rollId}#identify`);
  await expect(page.getByTestId('so-far')).toBeVisible();
  for (const title of ['When was it made?', 'Where was it stored?']) await openFact(page, title);
}

test('hints narrow the age, contradictions are named, and half-typed hints survive a reload', async ({ page }) => {
  await openIdentify(page, 'reel-b');
  await expect(page.getByText(/^Made between \d{4} and \d{4}/)).toBeVisible();
  await page.getByRole('button', { name: 'An expiry year' }).click();
  await page.getByRole('textbox', { name: 'Year', exact: true }).fill('198');
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Year', exact: true })).toHaveValue('198');
  await page.getByRole('textbox', { name: 'Year', exact: true }).fill('1984');
  await expect(page.getByText('Made between 1980 and 1982, most likely about 1981.')).toBeVisible();
  await page.getByRole('button', { name: 'Years of use' }).click();
  await page.getByLabel('Used where').fill('Camera');
  await page.getByLabel('From').fill('1955');
  await page.getByLabel('To', { exact: true }).fill('1960');
  await expect(page.getByText('These cannot both be true: Expiry year 1984 and Camera, 1955–1960.')).toBeVisible();
  await page.getByRole('button', { name: 'Remove Years of use' }).click();
  await expect(page.getByText('Made between 1980 and 1982')).toBeVisible();
});

test('storage is a history: places follow each other, and their ends move by keys and by dragging', async ({
  page,
}) => {
  await openIdentify(page, 'tin-3');
  const handle = page.getByRole('slider', { name: 'End of stay 1' });
  await handle.focus();
  await page.keyboard.press('ArrowRight');
  await expect(handle).toHaveAttribute('aria-valuenow', '1986');
  await page.keyboard.press('PageUp');
  await expect(handle).toHaveAttribute('aria-valuenow', '1996');
  const before = await page.getByText(/in 55 calendar years past its fresh time/).textContent();
  // Hovering waits until the handle rests, since the page below it follows the new age.
  await handle.hover();
  const box = await handle.boundingBox();
  if (box === null) throw new Error('The handle is not in view.');
  await page.mouse.down();
  await page.mouse.move(box.x + 200, box.y + 10, { steps: 5 });
  await page.mouse.up();
  await expect.poll(async () => Number(await handle.getAttribute('aria-valuenow'))).toBeGreaterThan(2000);
  await expect(page.getByText(/in 55 calendar years past its fresh time/)).not.toHaveText(before ?? '');
  await page.getByRole('textbox', { name: 'About' }).first().fill('200');
  await expect(page.getByText('Temperature: give 60 °C or less.')).toBeVisible();
  await page.getByRole('textbox', { name: 'About' }).first().fill('22');
  await page.getByRole('button', { name: 'Add another place' }).click();
  await expect(page.getByRole('slider', { name: /^End of stay/ })).toHaveCount(2);
  await expect
    .poll(async () => {
      const { rolls } = await recordsOf(page, 'aetas-demo');
      const stored = (rolls as { id: string; storage: { temperatureC: number }[] }[]).find(({ id }) => id === 'tin-3');
      return [stored?.storage[0]?.temperatureC, stored?.storage.length];
    })
    .toEqual([22, 3]);
});

test('the speed is read off the cassette', async ({ page }) => {
  await page.goto('/rolls/new');
  await openMore(page);
  await page.getByText('Read the speed off the cassette').click();
  await expect(page.getByText('one of the last two squares is always bare')).toBeVisible();
  for (const square of [2, 3, 5]) await page.getByRole('button', { name: `Row 1, square ${square}: paint` }).click();
  for (const square of [4, 5, 6]) await page.getByRole('button', { name: `Row 2, square ${square}: paint` }).click();
  await expect(page.getByText('ISO 200, 36 exposures, tolerates +3.0 / −1.0 stops')).toBeVisible();
  await page.getByRole('button', { name: 'Show how ISO 400, 36 exposures would look' }).click();
  await expect(page.getByText('ISO 400, 36 exposures, tolerates')).toBeVisible();
  for (const square of [2, 3, 4])
    await page.getByRole('button', { name: new RegExp(`Row 1, square ${square}:`) }).click();
  await page.getByRole('button', { name: 'Use ISO 200' }).click();
  await expect(page.getByLabel('Speed', { exact: true })).toHaveValue('200');
});

test('signs of age change the run', async ({ page }) => {
  await addRoll(page, 'Brittle tin');
  await openStage(page, 'Identify');
  await openFact(page, 'Condition');
  await page.getByLabel('Brittle').check();
  await expect(page.getByText('pre-soak 6 minutes; never bend it back')).toBeVisible();
  await expect.poll(async () => JSON.stringify((await recordsOf(page, 'aetas')).rolls)).toContain('"brittle"');
  await page.reload();
  await openStage(page, 'Choose');
  await page.getByRole('button', { name: USE_TIME }).click();
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
  await expect(page.getByRole('list', { name: 'Wet steps' })).toContainText('6:00');
});

test('the exposure calculator goes from meter to shutter, and keeps what was typed', async ({ page }) => {
  await page.goto('/exposure');
  await page.getByLabel('The meter says').fill('10');
  await expect(page.getByTestId('expose')).toHaveText('20 s');
  await page.getByLabel('Use my own test frames').check();
  await page.getByLabel('Frame 1, metered').fill('10');
  await page.getByLabel('correct at').first().fill('40');
  await expect(page.getByTestId('expose')).toHaveText('40 s');
  await page.reload();
  await expect(page.getByLabel('Frame 1, metered')).toHaveValue('10');
  await page.getByLabel('Use my own test frames').uncheck();
  // A modern camera’s exposure, with a yellow filter, carried to an old camera whose shutter is slow.
  await page.getByLabel('The meter says').fill('1/125');
  await choose(page, 'Filter', /^Yellow 1/);
  await expect(page.getByTestId('nearest')).toContainText('1/60 s');
  await expect(page.getByText('set the meter to ISO 50')).toBeVisible();
  await page.getByLabel('Settings for an old camera').check();
  await page.getByLabel('Its shutter is slow by').fill('1');
  const settings = page.getByRole('list', { name: 'Settings of the old camera' });
  await expect(settings.getByRole('listitem').first()).toContainText(/f\/9 at 1\/100 s/);
  await page.getByLabel('f-numbers on the lens').fill('wide open');
  await expect(page.getByText('“wide” does not read')).toBeVisible();
  await page.getByLabel('The meter says').fill('soon');
  await expect(page.getByText('Metered time: give a number of seconds above 0.')).toBeVisible();
});

test('the lights-out card is practised by any key, and in the dark the screen is black', async ({ page }) => {
  await page.addInitScript(() => {
    const spoken: string[] = [];
    Object.assign(window, { spoken });
    Object.defineProperty(window, 'speechSynthesis', {
      value: { cancel: () => undefined, speak: ({ text }: { text: string }) => spoken.push(text) },
    });
    Object.assign(window, {
      SpeechSynthesisUtterance: class {
        constructor(readonly text: string) {}
      },
    });
  });
  await openDemo(page, '/rolls/portraits/dark');
  await expect(page.getByText('Reel, set to 35 mm and dry')).toBeVisible();
  await page.getByRole('radio', { name: 'Steel spiral' }).click();
  await expect(page.getByText('clip its end to the core')).toBeVisible();
  const printed = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(printed.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
  await page.getByRole('button', { name: 'Rehearse with spare film' }).click();
  await expect(page.getByText('Pry the flat end off the cassette.')).toBeVisible();
  // A tap says it again, a held press goes on, one key goes back.
  await page.keyboard.press('x');
  await expect(page.getByTestId('dark-count')).toHaveText('1 of 6');
  await page.keyboard.down('x');
  await expect(page.getByTestId('dark-count')).toHaveText('2 of 6');
  await page.keyboard.up('x');
  await page.keyboard.press('Backspace');
  await expect(page.getByTestId('dark-count')).toHaveText('1 of 6');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Read it to me in the dark' }).click();
  await page.keyboard.down('Enter');
  await expect(page.getByTestId('dark-count')).toHaveText('2 of 6');
  await page.keyboard.up('Enter');
  expect(await page.evaluate(() => (window as unknown as { spoken: string[] }).spoken.at(-1))).toContain(
    'clip both corners',
  );
});

test('photographs are reduced, HEIC and broken files are refused with a reason, and taking away is undone', async ({
  page,
}) => {
  await openIdentify(page, 'tin-3');
  const large = PNG.sync.write(new PNG({ width: 2400, height: 1800, colorType: 2 }), { deflateLevel: 1 });
  await openFact(page, 'Photographs');
  const input = page.getByLabel('Photographs of the roll');
  await input.setInputFiles({ name: 'box.png', mimeType: 'image/png', buffer: large });
  const picture = page.getByRole('img', { name: 'Photograph box.png' });
  await expect(picture).toHaveAttribute('width', '1600');
  await expect(picture).toHaveAttribute('height', '1200');
  await input.setInputFiles([
    { name: 'phone.heic', mimeType: 'image/heic', buffer: Buffer.from('\0\0\0\x18ftypheic\0\0\0\0mif1') },
    { name: 'cut.png', mimeType: 'image/png', buffer: large.subarray(0, 40) },
  ]);
  await expect(page.getByText('phone.heic: This is a HEIC picture')).toBeVisible();
  await expect(page.getByText('cut.png: The picture is damaged or was cut off.')).toBeVisible();
  await page.getByRole('button', { name: 'Remove box.png' }).click();
  await expect(picture).toBeHidden();
  await page.getByRole('button', { name: 'Put box.png back' }).click();
  await page.reload();
  await expect(picture).toBeVisible();
  expect((await recordsOf(page, 'aetas-demo')).photos).toHaveLength(1);
});

test('frames are noted line by line and survive a reload', async ({ page }) => {
  await openDemo(page, '/rolls/tin-3#expose');
  await page.getByRole('button', { name: 'Add a frame' }).click();
  await page.getByLabel('Metered of line 1').fill('1/60, f/8');
  await page.getByLabel('Remark of line 1').fill('yellow filter');
  await page.reload();
  await expect(page.getByLabel('Remark of line 1')).toHaveValue('yellow filter');
  await expect(page.getByLabel('Frame of line 1')).toHaveValue('1');
});

test('in the dark two fingers go back, and end it when they are held', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await openDemo(page, '/rolls/portraits/dark');
  await page.getByRole('button', { name: 'Rehearse with spare film' }).click();
  const count = page.getByTestId('dark-count');
  await expect(count).toHaveText('1 of 6');
  const session = await context.newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchEnd', fingers: number): Promise<unknown> =>
    session.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: Array.from({ length: fingers }, (_, id) => ({ x: 120 + 120 * id, y: 420, id })),
    });
  // One finger held goes on.
  await touch('touchStart', 1);
  await expect(count).toHaveText('2 of 6');
  await touch('touchEnd', 0);
  await touch('touchStart', 1);
  await touch('touchStart', 2);
  await touch('touchEnd', 0);
  await expect(count).toHaveText('1 of 6');
  await touch('touchStart', 1);
  await touch('touchStart', 2);
  await expect(count).toHaveCount(0, { timeout: 6_000 });
  await touch('touchEnd', 0);
  await context.close();
});
