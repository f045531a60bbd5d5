import { expect, test, type Page } from '@playwright/test';
import { askToFragment, firstAsk } from '../src/core/plan/ask';
import { openDemo, recordsOf } from './bench';

/** An empty bench of one's own. */
async function openEmpty(page: Page, path = '/'): Promise<void> {
  await page.addInitScript(() => localStorage.setItem('aetas.bench', 'own'));
  await page.goto(path);
}

const time = (page: Page) => page.getByTestId('time');
const answer = (page: Page) => page.getByRole('region', { name: 'Answer' });

async function choose(page: Page, word: RegExp, option: string | RegExp): Promise<void> {
  await page.getByRole('button', { name: word }).click();
  await page.getByRole('option', { name: option }).first().click();
}

test('an empty bench answers before anything is tapped, and each word moves the answer', async ({ page }) => {
  await openEmpty(page);
  await expect(time(page)).toHaveText(/^\d+:\d\d$/);
  await expect(page.getByTestId('band')).toContainText('80 % likely between');
  const first = await time(page).textContent();
  await choose(page, /^Film: /, /^slow black-and-white/);
  await expect(time(page)).not.toHaveText(first ?? '');
  const slow = await time(page).textContent();
  await page.getByLabel('Years past its date', { exact: true }).fill('48');
  await expect(time(page)).not.toHaveText(slow ?? '');
  await choose(page, /^Kept in: /, /^a freezer/);
  await choose(page, /^Developer: /, /^p-aminophenol/i);
  await page.getByLabel('Temperature, °C').fill('24');
  await expect(page).toHaveURL(/#ask=1&film=pan-cubic-slow&size=135&past=48&kept=freezer.*in=p-aminophenol&at=24/);
  await expect(answer(page).locator('[aria-busy="true"]')).toHaveCount(0);
  const asked = await time(page).textContent();
  // The address is the question: a reload has the same answer, and nothing was kept meanwhile.
  await page.reload();
  await expect(time(page)).toHaveText(asked ?? '');
  const { rolls, plans } = await recordsOf(page, 'aetas');
  expect([rolls, plans]).toEqual([[], []]);
});

test('put on the bench, the roll has the answer that was given', async ({ page }) => {
  await openEmpty(page, `/ask#${askToFragment({ ...firstAsk, past: 33, developer: 'pq-liquid', temperatureC: 21 })}`);
  await expect(time(page)).toHaveText(/^\d+:\d\d$/);
  await expect(answer(page).locator('[aria-busy="true"]')).toHaveCount(0);
  const said = await time(page).textContent();
  const band = await page.getByTestId('band').textContent();
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await page.waitForURL(/\/rolls\//);
  await expect(time(page)).toHaveText(said ?? '');
  const [low, high] = /between ([\d:]+) and ([\d:]+)/.exec(band ?? '')?.slice(1) ?? [];
  await expect(page.getByTestId('band')).toContainText(`${low} and ${high}`);
  const { rolls, plans } = await recordsOf(page, 'aetas');
  expect(rolls).toHaveLength(1);
  expect(plans).toEqual([]);
});

/** Taps on whatever leads on, from the answer to a tank whose clock runs. */
async function tapsToTheClock(page: Page): Promise<number> {
  let taps = 0;
  const tap = async (what: ReturnType<Page['locator']>): Promise<void> => {
    await what.click();
    taps += 1;
  };
  await tap(page.getByRole('button', { name: 'Use it now' }));
  await page.waitForURL(/\/brews\/mix\//);
  // Whatever leads on, until the tank stands there: it is entered by the last of these taps.
  const hands = page.getByTestId('hands');
  for (let left = 16; left > 0 && !(await hands.isVisible()); left--) {
    // A page that goes on by itself takes its button away under the finger: that was no tap.
    const next = page.locator('[data-next-step]').first();
    const step = (): Promise<string> =>
      page.evaluate(() => `${location.href} ${document.querySelector('[data-next-step]')?.textContent ?? ''}`);
    const before = await step();
    if (
      await next.click({ timeout: 3_000 }).then(
        () => true,
        () => false,
      )
    ) {
      taps += 1;
      // A hand does not tap the same step again while it is still being done, however slow the machine.
      await expect
        .poll(step, { timeout: 20_000 })
        .not.toBe(before)
        .catch(() => undefined);
    }
    await page.waitForTimeout(700);
  }
  await expect(page.getByTestId('hands')).toContainText('Ready');
  await tap(page.getByRole('button', { name: /is in: start$/ }));
  await expect(page.getByTestId('hands')).not.toContainText('Ready');
  return taps;
}

test('from an empty bench to a running clock: twelve taps with coffee, ten with a concentrate', async ({ page }) => {
  await openEmpty(page);
  await expect(time(page)).toHaveText(/\d:\d\d$/);
  expect(await tapsToTheClock(page)).toBeLessThanOrEqual(12);
  await page.goto('/ask');
  await choose(page, /^Developer: /, /^p-aminophenol/i);
  await expect(page).toHaveURL(/in=p-aminophenol/);
  expect(2 + (await tapsToTheClock(page))).toBeLessThanOrEqual(10);
});

test('by keys alone: words step, lists open, numbers are typed, and q asks from anywhere', async ({ page }) => {
  await openDemo(page, '/log');
  await page.keyboard.press('q');
  await page.waitForURL(/\/ask$/);
  await expect(time(page)).toHaveText(/\d:\d\d$/);
  const film = page.getByRole('button', { name: /^Film: / });
  await film.focus();
  await page.keyboard.press('ArrowRight');
  await expect(film).toHaveAccessibleName('Film: very fast black-and-white');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Home');
  await page.keyboard.press('Enter');
  await expect(film).toHaveAccessibleName('Film: some black-and-white');
  await page.getByLabel('Years past its date', { exact: true }).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByLabel('Years past its date', { exact: true })).toHaveValue('26');
});

test('a broken or newer address opens the rest and says what it could not read', async ({ page }) => {
  await openEmpty(page, '/ask#ask=1&film=wrong&past=12&kept=fridge&colour=blue');
  await expect(page.getByText('“film”, “colour” could not be read')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Kept in: a fridge' })).toBeVisible();
  await expect(page.getByLabel('Years past its date', { exact: true })).toHaveValue('12');
  await page.goto('/ask#ask=7&past=3');
  await page.reload();
  await expect(page.getByText('made by a newer Aetas')).toBeVisible();
  await expect(page.getByLabel('Years past its date', { exact: true })).toHaveValue('3');
});

test('what is typed wrong changes nothing and is marked; a known time decides', async ({ page }) => {
  await openEmpty(page);
  await expect(time(page)).toHaveText(/\d:\d\d$/);
  const before = await time(page).textContent();
  const years = page.getByLabel('Years past its date', { exact: true });
  await years.fill('many');
  await expect(years).toHaveAttribute('aria-invalid', 'true');
  await expect(time(page)).toHaveText(before ?? '');
  await expect(page.getByText('give 0 to 120; 25 counts till then')).toBeVisible();
  await years.fill('0');
  await expect(page.getByText('counts till then')).toHaveCount(0);
  await choose(page, /^Developer: /, /^metol/);
  const known = page.getByLabel('Time on the leaflet, min');
  await known.fill('9:45');
  await expect(time(page)).toHaveText(/^(9:(30|45)|10:00)$/);
  await choose(page, /^Developer: /, /^black tea/);
  await expect(known).toHaveValue('');
  await expect(page.getByText('9:45 was said of another film or developer, and waits there.')).toBeVisible();
  await expect(time(page)).not.toHaveText(/^(9:(30|45)|10:00)$/);
  await choose(page, /^Developer: /, /^metol/);
  await expect(known).toHaveValue('9:45');
  await page.getByRole('button', { name: 'Forget it' }).click();
  await expect(known).toHaveValue('');
});

test('numbers of the sentence are typed key by key, and none is cut short', async ({ page }) => {
  await openEmpty(page);
  await expect(time(page)).toHaveText(/\d:\d\d$/);
  for (const [label, typed] of [
    ['Years past its date', '31'],
    ['Temperature, °C', '21.5'],
    ['Time on the leaflet, min', '10:30'],
    ['Temperature on the leaflet, °C', '23.5'],
  ] as const) {
    const field = page.getByLabel(label, { exact: true });
    await field.click();
    for (const key of typed) {
      await page.keyboard.press(key === ':' ? 'Shift+:' : key);
      await page.waitForTimeout(80);
      await expect(field).toBeFocused();
    }
    await expect(field).toHaveValue(typed);
  }
  await expect(page).toHaveURL(/past=31.*at=21\.5&known=10\.5&knownat=23\.5/);
});

test('likely nitrate stops, and nothing leads on', async ({ page }) => {
  await openEmpty(
    page,
    `/ask#${askToFragment({ ...firstAsk, familyId: 'cine-monochrome-negative', formatId: 'cine35', past: 95 })}`,
  );
  await expect(time(page)).toHaveText('Stop');
  await expect(answer(page)).toContainText('Do not process it');
  await expect(page.getByRole('button', { name: 'Use it now' })).toHaveCount(0);
});

test.describe('on a phone', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });
  test('five taps to one’s own answer, nothing to be scrolled sideways', async ({ page }) => {
    await openEmpty(page);
    await expect(time(page)).toHaveText(/\d:\d\d$/);
    await page.getByRole('button', { name: /^Film: / }).tap();
    await page.getByRole('option', { name: /^orthochromatic/ }).tap();
    await page.getByRole('button', { name: /^Developer: / }).tap();
    await page.getByRole('option', { name: /^black tea/ }).tap();
    await expect(page).toHaveURL(/in=black-tea/);
    await expect(time(page)).toBeInViewport();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});

test('a new roll says its time while its form is filled, and what would narrow it', async ({ page }) => {
  await openEmpty(page, '/rolls/new');
  const so = page.getByTestId('so-far');
  await expect(so).toHaveText(/\d:\d\d$/);
  const says = page.getByRole('region', { name: 'What this says so far' });
  const unknown = await says.textContent();
  await page.getByRole('radio', { name: 'Bought new' }).click();
  await expect(says).not.toHaveText(unknown ?? '');
  await page.getByRole('radio', { name: 'It has an expiry year' }).click();
  await page.getByLabel('Expiry year').fill('1971');
  await expect(page.getByRole('region', { name: 'What this says so far' })).toContainText('stops lost');
  await page.getByRole('link', { name: 'say it in a sentence' }).click();
  await expect(time(page)).toHaveText(/\d:\d\d$/);
});
