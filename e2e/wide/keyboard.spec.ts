import { expect, test } from '@playwright/test';
import { EARLY, openDemo } from '../bench';
import { shelfViews } from '../views';

test('every place has its key, and ? lists them', async ({ page }) => {
  await openDemo(page, '/log');
  await page.keyboard.press('b');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('ready to develop');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog').getByRole('heading', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.keyboard.press('l');
  await expect(page.locator('html')).toHaveAttribute('data-light', 'dim');
  await page.keyboard.press('/');
  await expect(page.getByLabel('Search')).toBeFocused();
  await page.keyboard.type('snow line');
  await expect(page.getByRole('status').first()).toHaveText('1 of 20');
  await page.getByLabel('Search').blur();
  await page.keyboard.press('n');
  await expect(page.getByRole('heading', { name: 'What have you found?' })).toBeVisible();
});

test('a brew is weighed and a roll brought to the tank without a pointer', async ({ page }) => {
  await openDemo(page, '/rolls/instruments');
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).waitFor();
  await page.keyboard.press('s');
  // The first press only shows the way.
  await expect(page.locator('[data-next-step]').first()).toBeFocused();
  await page.keyboard.press('s');
  await page.getByRole('heading', { name: 'Water first' }).waitFor();
  // The same key tares, pours, takes the reading and goes on; the probe needs a while until it rests.
  // With the jug the way goes on to the roll’s tank.
  const tank = page.getByRole('button', { name: 'Go to the tank' });
  for (let press = 0; press < 300 && !(await tank.isVisible()); press++) {
    await page.keyboard.press('s');
    await page.waitForTimeout(150);
  }
  await expect(page).toHaveURL(/\/rolls\/instruments#run$/);
  await tank.waitFor();
  for (let press = 0; press < 10 && (await tank.isVisible()); press++) {
    await page.keyboard.press('s');
    await page.waitForTimeout(300);
  }
  await expect(page.getByTestId('hands')).toHaveText('Ready: pre-soak');
  await expect(page.getByRole('button', { name: 'Pre-soak is in: start' })).toBeEnabled();
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: EARLY })).toBeEnabled();
  await page.getByRole('button', { name: 'Undo' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('hands')).toHaveText('Ready: pre-soak');
});

test('a list opens, moves and closes by keys', async ({ page }) => {
  await openDemo(page, '/rolls/tin-3');
  await page.getByRole('button', { name: 'How the tank is agitated' }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('listbox')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'How the tank is agitated' })).toContainText(
    'last 10 s of each minute',
  );
});

test('no view scrolls sideways at 360 px', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 780 });
  for (const path of [
    '/',
    '/rolls',
    '/rolls/new',
    '/rolls/tin-3',
    '/exposure',
    '/rolls/portraits/dark',
    '/rolls/portraits',
    '/rolls/barograph',
    '/log',
    '/handbook',
    '/records',
    '/brews',
    '/brews/workbench?recipe=coffee-standard&roll=tin-3',
    '/brews/mix/mix-nettle',
    '/rolls/past-03/strip',
    '/brews/brew-portraits',
    '/brews/kit',
    ...shelfViews,
  ]) {
    await openDemo(page, path);
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow, path).toBeLessThanOrEqual(0);
    // Turned round, as for a script that is read from the right, it fits as well, and begins at its right edge.
    const turned = await page.evaluate(() => {
      document.documentElement.dir = 'rtl';
      const { scrollWidth, clientWidth } = document.documentElement;
      const heading = document.querySelector('h1')?.getBoundingClientRect();
      return { overflow: scrollWidth - clientWidth, fromRight: clientWidth - (heading?.right ?? clientWidth) };
    });
    expect(turned.overflow, `${path}, from right to left`).toBeLessThanOrEqual(0);
    expect(turned.fromRight, `${path}, from right to left`).toBeLessThan(40);
  }
});
