import { expect, type Locator, type Page } from '@playwright/test';

/** Morning at the hut: an ordinary weekday in the time zone of the tests. */
export const MORNING = new Date('2026-11-24T09:00:00');

/** Opens the demo's bench, freshly laid out, with the clock in the test's hands. */
export async function openDemo(page: Page, path = '/'): Promise<void> {
  await page.addInitScript(() => {
    if (localStorage.getItem('aetas.bench') === null) localStorage.setItem('aetas.bench', 'demo');
  });
  await page.goto(path);
  await expect(page.locator('main h1').first()).toBeVisible();
}

/** Chooses an option of a list. On a slow machine a page can still move between press and release: a hand presses again. */
export async function choose(page: Page, label: string | RegExp, option: string | RegExp): Promise<void> {
  await page.getByRole('button', { name: label }).click();
  await expect(async () => {
    await page.getByRole('option', { name: option }).click({ timeout: 5_000 });
    await expect(page.getByRole('listbox')).toHaveCount(0, { timeout: 3_000 });
  }).toPass({ timeout: 30_000 });
}

/** Adds an ingredient, and waits until the list has given the keys back: it does so a frame after the press. */
export async function addIngredient(page: Page, search: string, option: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name: 'Add an ingredient' }).fill(search);
  await page.getByRole('option', { name: option, exact: true }).click();
  await expect(page.getByRole('listbox')).toHaveCount(0);
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
}

/** Where something begins on the page, px from its top, however far the page is scrolled. */
export async function topOf(locator: Locator): Promise<number> {
  return locator.evaluate((element) => element.getBoundingClientRect().top + window.scrollY);
}

/** Types into a field, and in the same breath, before the browser can do anything else, the page goes and is loaded anew. */
export async function typeAndGo(page: Page, field: Locator, text: string): Promise<void> {
  const loaded = page.waitForEvent('load');
  await field.evaluate((element: HTMLInputElement | HTMLTextAreaElement, typed) => {
    // Past React's own setter, so that it takes the letters as typed.
    Object.getOwnPropertyDescriptor(Object.getPrototypeOf(element) as object, 'value')?.set?.call(element, typed);
    element.dispatchEvent(new Event('input', { bubbles: true }));
    location.reload();
  }, text);
  await loaded;
}

/** The button that takes the time as it stands. */
export const USE_TIME = /^Use \d[\d:]*$/;

/** Goes to a stage of a roll by its ribbon. */
export async function openStage(page: Page, name: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .click();
  await expect(page.getByRole('heading', { level: 2, name, exact: true })).toBeVisible();
}

/** Opens the reasons behind a time. */
export async function openWhy(page: Page): Promise<void> {
  await page.locator('#why > summary').click();
  await expect(page.getByRole('table', { name: 'Ledger of the development time' })).toBeVisible();
}

/** Opens what can be known about a roll under a title. */
export async function openFact(page: Page, title: string): Promise<void> {
  const card = page.getByRole('button', { name: title }).and(page.locator('[aria-expanded]'));
  await expect(card).toBeVisible();
  if ((await card.getAttribute('aria-expanded')) === 'false') await card.click();
  await expect(card).toHaveAttribute('aria-expanded', 'true');
}

/** Opens what a new roll may be told besides. */
export async function openMore(page: Page): Promise<void> {
  await page.getByText('More', { exact: true }).click();
}

/** Types a roll by hand and puts it on the bench. */
export async function addRoll(
  page: Page,
  label = 'Shoebox, hill fog',
  format: string | RegExp = '120 (roll film)',
  server = '',
): Promise<void> {
  await page.goto(`${server}/rolls/new`);
  await openMore(page);
  await page.getByLabel('Name of the roll').fill(label);
  await choose(page, 'Format', format);
  await page.getByLabel('Film', { exact: true }).fill('Larkholm Pan 200');
  await page.getByLabel('Speed', { exact: true }).fill('200');
  await page.getByLabel('Expiry year').fill('1971');
  await choose(page, 'How sure is the date', 'Within a few years');
  await choose(page, 'Stored in', /^Room/);
  await page.getByRole('radio', { name: 'Exposed, as metered' }).click();
  await page.getByRole('button', { name: 'Add it to the bench' }).click();
  await expect(page.getByRole('heading', { level: 1, name: label })).toBeVisible();
}

/** Tables of the database's own: kept for undo, or worked out from the records. */
const OWN_TABLES = ['acts', 'kept', 'done', 'shards', 'starts', 'folders', 'known'];

/** All records of the bench, as the browser's database holds them. */
export async function recordsOf(page: Page, bench: 'aetas' | 'aetas-demo'): Promise<Record<string, unknown[]>> {
  let last = await recordsNow(page, bench);
  // What was pressed shows a moment before it is stored: read until nothing more arrives.
  for (let look = 0; look < 40; look++) {
    await page.waitForTimeout(200);
    const now = await recordsNow(page, bench);
    if (JSON.stringify(now) === JSON.stringify(last)) return now;
    last = now;
  }
  return last;
}

async function recordsNow(page: Page, bench: 'aetas' | 'aetas-demo'): Promise<Record<string, unknown[]>> {
  return page.evaluate(
    ([name, OWN_TABLES]) =>
      new Promise<Record<string, unknown[]>>((resolve, reject) => {
        const request = indexedDB.open(name);
        request.onerror = () => reject(request.error);
        request.onsuccess = () => {
          const db = request.result;
          const tables = [...db.objectStoreNames].filter((table) => !OWN_TABLES.includes(table));
          const found: Record<string, unknown[]> = {};
          const transaction = db.transaction(tables);
          for (const table of tables) {
            const all = transaction.objectStore(table).getAll();
            all.onsuccess = () =>
              (found[table] = all.result.map((row: { packed?: string }) =>
                typeof row.packed === 'string' ? (JSON.parse(row.packed) as unknown) : row,
              ));
          }
          transaction.oncomplete = () => {
            db.close();
            resolve(found);
          };
        };
      }),
    [bench, OWN_TABLES] as const,
  );
}

/** The primary button of a tank whose bath is not over yet. */
export const EARLY = /^Hold to (pour out|hang it) early$/;

/** Pours out before the time: the button is held for a second, on whatever clock the page has. */
export async function pourEarly(page: Page): Promise<void> {
  const button = page.getByRole('button', { name: EARLY });
  // A press that soon after the last bath would be the same one felt twice.
  await page.waitForTimeout(600);
  await button.hover();
  await page.mouse.down();
  await page.waitForTimeout(1_200);
  await page.mouse.up();
}

/** Leads a run through the tank to its end, on a clock that the test moves on: each bath is poured out early by the key. */
export async function throughTheTank(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await expect(page.getByTestId('hands')).toContainText('Ready');
  const list = page.getByRole('list', { name: 'Steps' });
  const steps = await list.getByRole('listitem').count();
  // A clock that is moved on by hand can make a tab lose its lead for a moment: a hand presses again.
  await expect(async () => {
    if (await page.getByTestId('hands').getByText('Ready').isVisible()) await page.keyboard.press('Space');
    await expect(page.getByTestId('hands')).not.toContainText('Ready', { timeout: 3_000 });
  }).toPass({ timeout: 30_000 });
  for (let done = 1; done <= steps; done++) {
    await page.clock.fastForward(2_000);
    await expect(async () => {
      if ((await list.getByText(', done').count()) < done) {
        // A bath that is not over yet wants the key held for a second.
        await page.keyboard.down('Space');
        await page.clock.fastForward(1_100);
        await page.keyboard.up('Space');
      }
      await expect(list.getByText(', done')).toHaveCount(done, { timeout: 3_000 });
    }).toPass({ timeout: 30_000 });
  }
  await expect(page.getByTestId('hands')).toHaveText('Hung to dry');
}
