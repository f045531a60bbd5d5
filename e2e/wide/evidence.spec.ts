import { expect, test, type Page } from '@playwright/test';
import { USE_TIME, MORNING, choose, openDemo, openStage, openWhy, recordsOf } from '../bench';

const seconds = (text: string): number => text.split(':').reduce((sum, part) => sum * 60 + Number(part), 0);
const timeOf = async (page: Page): Promise<number> =>
  seconds((await page.getByTestId('time').first().textContent()) ?? '');

/** Width of the band in the words beside the time, as a ratio of its ends. */
async function bandRatio(page: Page): Promise<number> {
  const text = (await page.getByTestId('band').first().textContent()) ?? '';
  const [low = '', high = ''] = text.match(/\d+:\d+(:\d+)?/g) ?? [];
  return seconds(high) / seconds(low);
}

/** Opens the tests of a roll. */
async function openTests(page: Page): Promise<void> {
  await openDemo(page, '/rolls/tin-3#test');
  await expect(page.getByRole('heading', { name: 'What would narrow it' })).toBeVisible();
  await expect(page.getByTestId('time')).toHaveCount(1);
}

test('a clip by eye goes into the evidence, narrows the band, and can be switched off, removed and brought back', async ({
  page,
}) => {
  await openTests(page);
  const [time, width] = [await timeOf(page), await bandRatio(page)];
  await page.getByRole('button', { name: 'Take a clip' }).click();
  await expect(page.getByText('In the dark, unroll the paper')).toBeVisible();
  await page.getByRole('radiogroup', { name: 'Clear film' }).getByRole('radio', { name: 'Density 0.45' }).click();
  await page.getByRole('radiogroup', { name: 'Thin tone' }).getByRole('radio', { name: 'Density 0.45' }).click();
  await page.getByRole('radiogroup', { name: 'Dense tone' }).getByRole('radio', { name: 'Density 1.00' }).click();
  await expect(page.getByTestId('clip-gradient')).toHaveText('Average gradient 0.26');
  await page.getByRole('button', { name: 'Add to the evidence' }).click();

  const line = page.getByRole('checkbox', { name: /Clip of [\d:]+, by eye: gradient 0.26/ });
  await expect(line).toBeChecked();
  await expect.poll(() => timeOf(page)).toBeGreaterThan(time);
  expect(await bandRatio(page)).toBeLessThan(width);
  await expect(page.getByRole('link', { name: /^Test/ })).toContainText('1 drop test, 1 clip test');

  // Off: the time goes back to what it was. On again: it moves once more.
  await line.uncheck();
  await expect.poll(() => timeOf(page)).toBe(time);
  await line.check();
  await expect.poll(() => timeOf(page)).toBeGreaterThan(time);

  await page
    .getByRole('listitem')
    .filter({ hasText: /Clip of [\d:]+, by eye/ })
    .getByRole('button', { name: 'Remove' })
    .click();
  await expect(line).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(line).toBeChecked();
});

test('a drop test keeps its clocks over a reload, counts pairs, and puts the ratio into the evidence', async ({
  page,
}) => {
  await page.clock.install({ time: MORNING });
  await openTests(page);
  await page.getByRole('button', { name: 'Start a drop test' }).click();
  await choose(page, 'The developer you know', 'Hydroquinone syrup concentrate');
  await page.getByRole('button', { name: 'The drops are on: start' }).click();
  const stop = page.getByRole('button', { name: /Reference is dark: stop/ });
  const box = await stop.boundingBox();
  expect(Math.min(box?.height ?? 0, box?.width ?? 0)).toBeGreaterThanOrEqual(64);
  await page.clock.runFor(30_000);
  await stop.click();
  await page.reload();
  await page.locator('#test').getByRole('button', { name: 'Start a drop test' }).click();
  await expect(page.getByRole('button', { name: /Reference, stopped/ })).toContainText(/3\d\.\d/);
  await page.clock.runFor(30_000);
  await page.getByRole('button', { name: /The brew is dark: stop/ }).click();
  await expect(page.getByRole('list', { name: 'Pairs so far' }).getByRole('listitem')).toHaveCount(1);
  await expect(page.getByTestId('drop-ratio')).toContainText(
    /works 0\.[45]\d times as fast as the known one\. A second pair/,
  );

  await page.getByRole('button', { name: 'Another pair: the drops are on' }).click();
  await page.clock.runFor(20_000);
  await page.getByRole('button', { name: /Reference is dark: stop/ }).click();
  await page.clock.runFor(25_000);
  await page.getByRole('button', { name: /The brew is dark: stop/ }).click();
  await expect(page.getByTestId('drop-ratio')).toContainText(/to about \d+ %/);
  await page.getByRole('button', { name: 'Add to the evidence' }).click();
  await expect(
    page.getByRole('checkbox', { name: /times as fast as hydroquinone syrup concentrate 1\+31/ }),
  ).toBeChecked();
});

test('later evidence shows the pinned time beside the new one, and says why it moved', async ({ page }) => {
  await openDemo(page, '/rolls/tin-3');
  await page.getByRole('button', { name: USE_TIME }).click();
  await openStage(page, 'Test');
  await expect(page.getByText('nothing has changed')).toBeVisible();
  await page.getByRole('button', { name: 'A leaflet’s time' }).click();
  await page.locator('#test').getByLabel('Time', { exact: true }).fill('25');
  await page.getByRole('button', { name: 'Add to the evidence' }).click();
  const note = page.locator('#test').getByRole('status').first();
  await expect(note).toContainText(/You set \d+:\d\d; now it would be \d+:\d\d \(\+\d+ %\)/);
  await expect(note).toContainText('It moved because of “A leaflet says 25:00 in instant coffee, 40 g/l” (this roll');
});

test('a reading that cannot be is told, and nothing of it is lost', async ({ page }) => {
  await openTests(page);
  await page.getByRole('button', { name: 'Take a clip' }).click();
  await expect(page.getByTestId('clip-strip')).toContainText(/As expected after \d+:\d\d, .* base \+ fog 0\.\d\d/);
  await expect(page.getByRole('img', { name: 'A clip as expected, scanned' })).toBeVisible();
  await page.getByRole('radio', { name: 'By densities' }).click();
  await page.getByRole('textbox', { name: 'Clear film' }).fill('0.4');
  await page.getByRole('textbox', { name: 'Thin tone', exact: true }).fill('1.3');
  await page.getByRole('textbox', { name: 'Dense tone', exact: true }).fill('0.6');
  await expect(page.getByText('The denser tone is thinner than the thin one')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add to the evidence' })).toBeDisabled();
  await page.getByRole('textbox', { name: 'Dense tone', exact: true }).fill('thick');
  await expect(page.getByText('Dense tone: give a number from 0 to 4 D.')).toBeVisible();
  await page.reload();
  await page.locator('#test').getByRole('button', { name: 'Take a clip' }).click();
  await expect(page.getByRole('textbox', { name: 'Dense tone', exact: true })).toHaveValue('thick');
  await expect(page.getByRole('textbox', { name: 'Thin tone', exact: true })).toHaveValue('1.3');
  expect((await recordsOf(page, 'aetas-demo')).evidence).toHaveLength(1);
});

test('a reading that contradicts everything else is named, and counts for less', async ({ page }) => {
  await openTests(page);
  await page.getByRole('button', { name: 'Take a clip' }).click();
  await page.getByRole('radio', { name: 'By densities' }).click();
  await page.getByRole('textbox', { name: 'Clear film' }).fill('0.45');
  await page.getByRole('textbox', { name: 'Thin tone', exact: true }).fill('0.5');
  await page.getByRole('textbox', { name: 'Dense tone', exact: true }).fill('3.9');
  await page.getByRole('button', { name: 'Add to the evidence' }).click();
  await expect(
    page.getByText(
      /It says a higher gradient than everything else, \d+\.\d standard deviations off, so it counts for \d+ % of its weight\./,
    ),
  ).toBeVisible();
});

test('sliders move the time while the hand moves, and the page follows when it rests', async ({ page }) => {
  await openDemo(page, '/rolls/tin-3');
  await expect(page.getByTestId('time')).toBeVisible();
  const before = await timeOf(page);
  await openWhy(page);
  await page.getByRole('slider', { name: 'What if' }).focus();
  for (let press = 0; press < 4; press++) await page.keyboard.press('ArrowRight');
  await expect.poll(() => timeOf(page)).toBeLessThan(before);
  await expect(page.locator('#temperatureC')).toHaveValue('22');
  await page.reload();
  await expect(page.locator('#temperatureC')).toHaveValue('22');
});

test('a slider goes where it is pressed and where it is dragged, and not on when it is let go', async ({ page }) => {
  await openDemo(page, '/rolls/tin-3');
  await expect(page.getByTestId('time')).toBeVisible();
  const before = await timeOf(page);
  await openWhy(page);
  const slider = page.getByRole('slider', { name: 'What if' });
  await slider.scrollIntoViewIfNeeded();
  const { x, y, width, height } = (await slider.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const [left, middle] = [x + 6, y + height / 2];
  const degree = (width - 12) / 16;
  await page.mouse.move(left + 4 * degree, middle);
  await page.mouse.down();
  await expect(slider).toHaveValue('18');
  await expect(slider).toBeFocused();
  await page.mouse.move(left + 7 * degree, middle);
  await page.mouse.move(left + 10 * degree, middle + 60);
  await page.mouse.up();
  await page.mouse.move(left + 2 * degree, middle);
  await expect(slider).toHaveValue('24');
  await expect(slider).toHaveAttribute('aria-valuetext', '24.0 °C');
  await expect(page.locator('#temperatureC')).toHaveValue('24');
  await expect.poll(() => timeOf(page)).toBeLessThan(before);
  await page.keyboard.press('End');
  await expect(page.locator('#temperatureC')).toHaveValue('30');
  await page.locator('#temperatureC').fill('19.5');
  await expect(slider).toHaveValue('19.5');
  await slider.press('ArrowUp');
  await expect(page.locator('#temperatureC')).toHaveValue('20');
});

test.describe('on a phone', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

  test('a finger slides a slider or taps it, and one that scrolls the page leaves it', async ({ page }) => {
    await openDemo(page, '/rolls/tin-3');
    await expect(page.getByTestId('time')).toBeVisible();
    await openWhy(page);
    const slider = page.getByRole('slider', { name: 'What if' });
    const session = await page.context().newCDPSession(page);
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...touchPoints: { x: number; y: number }[]) =>
      session.send('Input.dispatchTouchEvent', { type, touchPoints });
    /** Where the slider lies for a temperature, in the middle of the screen. */
    const placeOf = async (degrees: number): Promise<{ x: number; y: number }> => {
      await slider.evaluate((element) => element.scrollIntoView({ block: 'center', behavior: 'instant' }));
      const { x, y, width, height } = (await slider.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
      return { x: x + 6 + ((degrees - 14) / 16) * (width - 12), y: y + height / 2 };
    };

    const from = await placeOf(20);
    const to = await placeOf(25);
    await touch('touchStart', from);
    await touch('touchMove', { x: from.x + 20, y: from.y + 2 });
    await touch('touchMove', to);
    await touch('touchEnd');
    await expect(slider).toHaveValue('25');
    await expect(page.locator('#temperatureC')).toHaveValue('25');

    const start = await placeOf(16);
    const scrolled = await page.evaluate(() => window.scrollY);
    await touch('touchStart', start);
    for (let step = 1; step <= 8; step++) await touch('touchMove', { x: start.x + step / 2, y: start.y - step * 20 });
    await touch('touchEnd');
    await expect.poll(() => page.evaluate(() => window.scrollY)).not.toBe(scrolled);
    await expect(slider).toHaveValue('25');

    // A page that still glides is stopped by a tap, and the tap is nothing else: a finger taps again.
    await expect(async () => {
      await touch('touchStart', await placeOf(18));
      await touch('touchEnd');
      await expect(slider).toHaveValue('18', { timeout: 2_000 });
    }).toPass({ timeout: 20_000 });
    await expect(page.locator('#temperatureC')).toHaveValue('18');
  });
});

test('a ledger row opens to its reason and leads to its field, and the total moves as they change', async ({
  page,
}) => {
  await openDemo(page, '/rolls/tin-3');
  await expect(page.getByTestId('time')).toBeVisible();
  const before = await timeOf(page);
  const ledger = page.getByRole('table', { name: 'Ledger of the development time' });
  await openWhy(page);
  await ledger.getByRole('button', { name: /^20.0 °C/ }).click();
  await expect(ledger.getByText('Source: published relation.')).toBeVisible();
  await ledger.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByLabel('Temperature', { exact: true })).toBeFocused();
  await page.getByLabel('Temperature', { exact: true }).fill('24');
  await expect.poll(() => timeOf(page)).toBeLessThan(before * 0.8);
  await expect(ledger.locator('tfoot')).toContainText((await page.getByTestId('time').textContent()) ?? '');
});

test('a dilution is read as it is written, with the other reading at hand', async ({ page }) => {
  await openDemo(page, '/rolls/tin-3');
  await choose(page, 'Developer', /^p-Aminophenol/);
  const written = page.getByLabel('Dilution, as written');
  await written.fill('1:9');
  await expect(
    page.getByText('Read as parts of concentrate and parts of water, 1+9: 50.0 ml + 450 ml water = 500 ml.'),
  ).toBeVisible();
  await expect(page.locator('#waterParts')).toHaveValue('9');
  await page.getByRole('button', { name: 'Read it as 1+8 instead' }).click();
  await expect(page.locator('#waterParts')).toHaveValue('8');
  await written.fill('rather weak');
  await expect(page.getByText('“rather weak” does not read as a dilution.')).toBeVisible();
  await page.reload();
  await expect(written).toHaveValue('rather weak');
  await written.fill('15 in 500');
  await expect(page.locator('#waterParts')).toHaveValue('485');
});

test('choosing Stand thins the developer, and leaving it brings back what was there', async ({ page }) => {
  await openDemo(page, '/rolls/instruments#choose');
  const water = page.locator('#waterParts');
  await expect(water).toHaveValue('50');
  await expect(page.getByText('Stand is recommended: the exposures are unknown or mixed')).toBeVisible();
  await page
    .getByRole('radio', { name: /^Stand/ })
    .first()
    .check();
  await expect(water).toHaveValue('77');
  await expect(page.locator('#agitationId')).toHaveText('Stand, one wake-up at half time');
  await page
    .getByRole('radio', { name: /^Extend/ })
    .first()
    .check();
  await expect(water).toHaveValue('50');
  await expect(page.locator('#agitationId')).toHaveText('First 30 s, then 10 s each minute');
});

test('a one-bath has its own time, no bromide, and neither stop nor fixer at the tank', async ({ page }) => {
  await openDemo(page, '/rolls/tin-3');
  await choose(page, 'Developer', /^One-bath/);
  await page.locator('#temperatureC').fill('24');
  await choose(page, 'How the tank is agitated', 'Continuous rotation');
  await expect(page.getByTestId('time')).toHaveText('4:00');
  await expect(page.locator('#bromideGPerL')).toHaveCount(0);
  await choose(page, 'How the tank is agitated', /^Gentle only/);
  await expect(page.getByText('gentle up to about 22 °C')).toBeVisible();
  await page.getByRole('button', { name: USE_TIME }).click();
  await openStage(page, 'Run');
  const steps = page.getByRole('list', { name: 'Wet steps' });
  await expect(steps).toContainText('Develop and fix');
  await expect(steps.getByText('Fix', { exact: true })).toHaveCount(0);
});

test('the method can be read in the app', async ({ page }) => {
  await openDemo(page, '/handbook');
  await page.getByRole('link', { name: 'The method in full' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'The method, as built' })).toBeVisible();
  await expect(page.getByRole('table').first()).toBeVisible();
});
