import { expect, test } from '@playwright/test';
import { USE_TIME, addRoll, openDemo, openMore, topOf } from './bench';

test('fields say their range and unit, and impossible combinations explain themselves', async ({ page }) => {
  await page.goto('/rolls/new');
  await openMore(page);
  await page.getByText('My own numbers for this film').click();
  await page.getByLabel('Largest gradient').fill('99');
  await page.getByRole('button', { name: 'Add it to the bench' }).click();
  await expect(page.getByText('Largest gradient: give a number from 0.3 to 6.')).toBeVisible();
  await page.getByLabel('Largest gradient').fill('');
  await page.getByLabel('Expiry year').fill('1990');
  await page.getByLabel('Exposed, year').fill('1950');
  await page.getByLabel('Name of the roll').fill('Impossible');
  await page.getByLabel('Film', { exact: true }).fill('Larkholm Pan 200');
  await page.getByRole('button', { name: 'Add it to the bench' }).click();
  await expect(
    page.getByText('A film dated 1990 was not made before about 1984, so it cannot have been exposed in 1950.'),
  ).toBeVisible();
  // Nothing typed is lost by a reload.
  await page.reload();
  await expect(page.getByLabel('Name of the roll')).toHaveValue('Impossible');
  await expect(page.getByLabel('Exposed, year')).toHaveValue('1950');
});

test('a plan that cannot be says why and keeps what was typed', async ({ page }) => {
  await addRoll(page);
  await page.getByLabel('In the tank').fill('300');
  await expect(page.getByText('300 ml does not cover 120 (roll film): it needs about 500 ml.')).toBeVisible();
  await expect(page.locator('button:enabled', { hasText: USE_TIME })).toHaveCount(0);
  await page.getByLabel('Temperature', { exact: true }).fill('lukewarm');
  await expect(page.getByText('Temperature: give a number from 5 to 40 °C.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Temperature', { exact: true })).toHaveValue('lukewarm');
  await page.getByLabel('Temperature', { exact: true }).fill('20,5');
  await page.getByLabel('In the tank').fill('0.5 l');
  await expect(page.getByText('at 20.5 °C in')).toBeVisible();
  await page.getByLabel('Washing soda').fill('4');
  await expect(page.getByText('Take more soda: the usual brew has 54 g/l.')).toBeVisible();
});

test('while a field is emptied and typed anew, what stood before stays in its place, grey and unpinned', async ({
  page,
}) => {
  await openDemo(page, '/rolls/tin-3');
  const time = page.getByTestId('time');
  const pin = page.getByRole('button', { name: USE_TIME });
  // The time is the one with everything that the bench has learned.
  await expect(pin).toBeEnabled();
  const before = await time.textContent();
  // A field within the ledger itself: the hands stay in it.
  const field = page.locator('#temperatureC');
  await field.focus();
  const top = await topOf(field);
  await field.press('Control+a');
  await page.keyboard.press('Backspace');
  await expect(page.getByText('Correct the marked field to see the time.')).toBeVisible();
  await expect(pin).toBeDisabled();
  await expect(field).toBeFocused();
  await expect(time).toHaveText(before ?? '');
  await expect(time).toHaveAttribute('inert', '');
  expect(await topOf(field)).toBeCloseTo(top, 0);
  await page.keyboard.type('24');
  await expect(page.getByText('at 24.0 °C in')).toBeVisible();
  await expect(time).not.toHaveText(before ?? '');
  await expect(time).not.toHaveAttribute('inert', '');
  await expect(pin).toBeEnabled();
});

test('a likely nitrate roll cannot be planned, and says what to do', async ({ page }) => {
  await openDemo(page, '/rolls/reel-a');
  await expect(page.getByText('is likely on nitrate base. It burns fiercely')).toBeVisible();
  await page.getByRole('link', { name: /^Choose.*Blocked/ }).click();
  await expect(page.getByText('Do not process this roll.')).toBeVisible();
  await expect(page.getByRole('button', { name: USE_TIME })).toHaveCount(0);
});

test('when the browser’s storage is full, the page says so and keeps what is on it', async ({ page }) => {
  await addRoll(page);
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.getByRole('textbox', { name: 'Instant coffee' }).fill('33');
  await expect(page.getByText('The browser’s storage is full')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Instant coffee' })).toHaveValue('33');
});

test('units follow the setting everywhere', async ({ page }) => {
  await addRoll(page);
  await page.getByRole('button', { name: /Switch to °F and fl oz/ }).click();
  await expect(page.getByLabel('Temperature', { exact: true })).toHaveValue('68');
  await page.getByLabel('Temperature', { exact: true }).fill('75.2');
  await expect(page.getByText('at 75.2 °F in')).toBeVisible();
  await expect(page.getByLabel('In the tank')).toHaveValue('16.91');
});
