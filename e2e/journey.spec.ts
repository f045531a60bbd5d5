import { expect, test, type Page } from '@playwright/test';
import { USE_TIME, EARLY, MORNING, addRoll, choose, openWhy, pourEarly, recordsOf, typeAndGo } from './bench';

/** Minutes and seconds of a clock such as 15:20, in seconds. */
function secondsOf(text: string): number {
  return text.split(':').reduce((sum, part) => sum * 60 + Number(part), 0);
}

async function clockS(page: Page): Promise<number> {
  return secondsOf((await page.getByTestId('clock').textContent()) ?? '');
}

/** What the clock shows, and the instant at which it shows it. */
interface ClockReading {
  shownS: number;
  atS: number;
}

async function readClock(page: Page): Promise<ClockReading> {
  const [shown, atMs] = await page.evaluate(
    () => [document.querySelector('[data-testid=clock]')?.textContent ?? '', Date.now()] as const,
  );
  return { shownS: secondsOf(shown), atS: atMs / 1000 };
}

/** The instant at which the step ends, by what the clock shows. */
function endS({ shownS, atS }: ClockReading): number {
  return atS + shownS;
}

function expectSameEnd(a: ClockReading, b: ClockReading): void {
  expect(Math.abs(endS(a) - endS(b))).toBeLessThanOrEqual(1.3);
}

test('a found roll goes from tin to log entry, and a reload in mid-development loses nothing', async ({ page }) => {
  test.setTimeout(240_000);
  // Nothing is sent anywhere: every request of the whole way goes to the page's own origin.
  const asked = new Set<string>();
  page.on('request', (request) => asked.add(new URL(request.url()).origin));
  await page.clock.install({ time: MORNING });
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'How long in this?' })).toBeAttached();
  await addRoll(page);

  // Choose: coffee by the litre, a temperature, a school; one time, its band, and the ledger that adds up to it.
  await page.getByRole('textbox', { name: 'Instant coffee' }).fill('36');
  await page.getByLabel('Temperature', { exact: true }).fill('68 F');
  await choose(page, 'How the tank is agitated', '5 inversions every 30 s');
  const ledger = page.getByRole('table', { name: 'Ledger of the development time' });
  await openWhy(page);
  await expect(ledger.getByText('5 inversions every 30 s')).toBeVisible();
  const total = ledger.locator('tfoot td').nth(1);
  await expect(page.getByRole('button', { name: USE_TIME })).toBeEnabled();
  await expect(page.getByTestId('time')).toHaveText((await total.textContent()) ?? '');
  const ratios = await ledger.locator('tbody tr td:nth-child(2)').allTextContents();
  const product = ratios
    .filter((text) => text !== '')
    .reduce((running, text) => running * Number(text.replace('× ', '')), 1);
  const first = secondsOf((await ledger.locator('tbody tr').first().locator('td').nth(2).textContent()) ?? '');
  const timeS = secondsOf((await page.getByTestId('time').textContent()) ?? '');
  expect(Math.abs(first * product - timeS)).toBeLessThan(0.02 * timeS);
  const band = (await page.getByTestId('band').textContent()) ?? '';
  const [low = '', high = ''] = band.match(/\d+:\d+(:\d+)?/g) ?? [];
  expect(secondsOf(low)).toBeLessThan(timeS);
  expect(secondsOf(high)).toBeGreaterThan(timeS);
  await expect(page.getByRole('img', { name: /80 % likely between/ })).toBeVisible();

  // A reload keeps what was chosen.
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Instant coffee' })).toHaveValue('36');
  await page.getByRole('button', { name: USE_TIME }).click();

  // Mix: the amounts for the tank.
  await expect(page.getByRole('list', { name: 'What goes in, in order' })).toContainText('18 g');
  await expect(page.getByText('label the jug “not a drink”')).toBeVisible();
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();

  // Run.
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await expect(page.getByTestId('hands')).toHaveText('Ready: pre-soak');
  await page.keyboard.press('Space');
  await expect(page.getByTestId('clock')).toHaveText('1:00');
  await page.clock.runFor(63_000);
  await expect(page.getByTestId('hands')).toHaveText('Pour out');
  await page.getByRole('button', { name: 'Develop: it is in' }).click();
  await expect(page.getByTestId('hands')).toHaveText('Turn the tank over, 5 times');
  await page.clock.runFor(20_000);
  await expect(page.getByTestId('hands')).toHaveText('Leave it still');
  await page.clock.runFor(11_000);
  await expect(page.getByTestId('hands')).toHaveText('Turn the tank over, 5 times');

  // Reload in mid-development, and a clock that sleeps for three minutes: the time is the wall's.
  await page.clock.runFor(60_000);
  const before = await readClock(page);
  expect(Math.abs(timeS - 91 - before.shownS)).toBeLessThanOrEqual(3);
  await page.reload();
  await expect(page.getByTestId('clock')).toBeVisible();
  expectSameEnd(before, await readClock(page));
  await page.clock.fastForward(180_000);
  await expect.poll(() => clockS(page)).toBeLessThanOrEqual(before.shownS - 179);
  expectSameEnd(before, await readClock(page));

  // The start was late by ten seconds; a slip to the next bath is undone at the old second.
  await page.getByRole('button', { name: 'Started 5 s earlier' }).click();
  await page.getByRole('button', { name: 'Started 5 s earlier' }).click();
  await expect.poll(async () => endS(await readClock(page)) - endS(before)).toBeLessThanOrEqual(-9);
  const shifted = await readClock(page);
  expect(Math.abs(endS(shifted) + 10 - endS(before))).toBeLessThanOrEqual(1);
  await pourEarly(page);
  await expect(page.getByTestId('hands')).toContainText('turn the tank 6 times');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => clockS(page)).toBeGreaterThan(60);
  expectSameEnd(shifted, await readClock(page));

  // A note, kept through a reload while it is typed.
  await page.getByRole('button', { name: 'Note' }).click();
  await typeAndGo(page, page.getByLabel('Note'), 'lid leaks');
  await page.getByRole('button', { name: 'Note' }).click();
  await expect(page.getByLabel('Note')).toHaveValue('lid leaks');
  await page.getByRole('button', { name: 'Save the note' }).click();
  await expect(page.getByRole('list', { name: 'Notes' })).toContainText('lid leaks');

  // On to the end.
  await page.clock.fastForward((await clockS(page)) * 1000 + 2_000);
  await expect(page.getByTestId('clock')).toContainText('+0:0');
  for (const name of [
    'Rinse 1 of 3',
    'Rinse 2 of 3',
    'Rinse 3 of 3',
    'Fix',
    'Wash 1 of 3',
    'Wash 2 of 3',
    'Wash 3 of 3',
    'Wetting bath',
  ]) {
    const press = page.getByRole('button', { name: `${name}: it is in` });
    if ((await press.count()) > 0) await press.click();
    else await pourEarly(page);
    await expect(page.getByRole('list', { name: 'Steps' }).locator('[aria-current]')).toContainText(name);
    await page.clock.runFor(5_000);
  }
  await pourEarly(page);
  await expect(page.getByTestId('hands')).toHaveText('Hung to dry');
  await page.getByRole('button', { name: 'Go to the verdict' }).click();

  // Judge: a verdict is not preset; what is open is named.
  await page.getByRole('button', { name: 'Save verdict' }).click();
  await expect(page.getByText('Contrast: choose one of the five.')).toBeVisible();
  await page.getByRole('radio', { name: 'A little soft' }).click();
  await page.getByRole('radio', { name: 'Slight fog' }).click();
  await page.getByRole('radio', { name: 'Thin' }).click();
  await page.getByRole('radio', { name: 'Even', exact: true }).click();
  await page.getByLabel('Air bells').check();
  await typeAndGo(page, page.getByLabel('Note'), 'two minutes more next time');
  await expect(page.getByLabel('Note')).toHaveValue('two minutes more next time');
  await expect(page.getByRole('radio', { name: 'A little soft' })).toBeChecked();
  await page.getByRole('button', { name: 'Save verdict' }).click();
  await expect(page.getByRole('link', { name: /^Judge.*Contrast a little soft/ })).toBeVisible();

  // The log has it.
  await page.getByRole('link', { name: 'Log' }).click();
  const line = page.getByRole('listitem').filter({ hasText: 'Shoebox, hill fog' });
  await expect(line).toContainText('Instant coffee, 36 g/l');
  await expect(line).toContainText('A little soft, slight fog');
  await expect(line).toContainText('two minutes more next time');
  const { runs } = await recordsOf(page, 'aetas');
  expect(runs).toHaveLength(1);
  expect([...asked].filter((origin) => origin !== 'null')).toEqual([new URL(page.url()).origin]);
});

test('a concentrate by dilution, an unexposed roll, and jugs that wear', async ({ page }) => {
  await page.clock.install({ time: MORNING });
  await addRoll(page, 'Second tin');
  await choose(page, 'Developer', /^Hydroquinone syrup/);
  await expect(page.getByLabel('Water', { exact: true })).toHaveValue('31');
  await page.getByLabel('Water', { exact: true }).fill('63');
  await expect(page.getByText(/ 1\+63$/).first()).toBeVisible();
  await page.getByRole('button', { name: USE_TIME }).click();
  await expect(page.getByRole('list', { name: 'What goes in, in order' })).toContainText('7.8 ml');
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Jugs' })).toContainText('Hydroquinone syrup concentrate 1+63');
  await page.getByRole('button', { name: 'Pour away Hydroquinone syrup concentrate 1+63' }).click();
  await expect(page.getByText('No jugs yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('region', { name: 'Jugs' })).toContainText('Hydroquinone syrup concentrate 1+63');
});

test('two tabs on one run: the second one follows, and can take over', async ({ context, page }) => {
  await addRoll(page, 'Third tin');
  await page.getByRole('button', { name: USE_TIME }).click();
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await page.getByRole('button', { name: 'Pre-soak is in: start' }).click();
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByText('Another tab controls this run')).toBeVisible();
  await expect(second.getByRole('button', { name: EARLY })).toBeDisabled();
  // A press that soon after the last is the same one felt twice.
  await page.waitForTimeout(1600);
  await pourEarly(page);
  await expect(second.getByRole('list', { name: 'Steps' }).locator('[aria-current]')).toContainText('Develop');
  await second.getByRole('button', { name: 'Control here' }).click();
  await expect(page.getByText('Another tab controls this run')).toBeVisible();
  await second.waitForTimeout(1600);
  await pourEarly(second);
  await expect(page.getByRole('list', { name: 'Steps' }).locator('[aria-current]')).toContainText('Rinse 1 of 3');
  await second.close();
  await expect(page.getByText('Another tab controls this run')).toBeHidden();
  await expect(page.getByRole('button', { name: EARLY })).toBeEnabled();
});
