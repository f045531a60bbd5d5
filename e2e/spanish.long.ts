import { expect, test, type Page } from '@playwright/test';
import { entriesOf } from '../scripts/language/catalogue.mjs';
import { plainPages } from '../src/workers/offline/keptPages';
import { openDemo } from './bench';
import { servePackagedCopy } from './packagedCopy';
import { shelfViews } from './views';

/*
 * The whole program with its texts in Spanish.
 */
const PORT = '4391';
let served: Awaited<ReturnType<typeof servePackagedCopy>> | null = null;

// One build serves them all.
test.describe.configure({ mode: 'serial' });
test.use({ baseURL: `http://127.0.0.1:${PORT}` });

test.beforeAll(async () => {
  test.setTimeout(600_000);
  served = await servePackagedCopy('spanish', PORT, { AETAS_LANGUAGE: 'es' });
});

test.afterAll(() => {
  served?.stop();
  served?.remove();
});

const views = new Set([...plainPages.filter((one) => !one.startsWith('/handbook')), ...shelfViews]);

/** Everything on a page that is read, seen or heard. */
const textsOf = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode() !== null) {
      const node = walker.currentNode as Text;
      if (node.parentElement?.closest('script, style') === null) found.push(node.data.trim());
    }
    for (const name of ['aria-label', 'placeholder', 'title', 'alt'])
      for (const element of document.querySelectorAll(`[${name}]`))
        found.push(element.getAttribute(name)?.trim() ?? '');
    return found;
  });

test('no text of the interface stays in English, but for the handbook’s', async ({ page }) => {
  test.setTimeout(300_000);
  const entries = entriesOf('es');
  const spanish = new Set(entries.map(({ translation }) => translation));
  // A text that means the same in both languages, or stays in one file, says nothing.
  const english = new Set(
    entries
      .filter(({ text, translation }) => text !== translation && !spanish.has(text) && /[A-Za-z]{3}/.test(text))
      .filter(({ text }) => !entries.some((other) => other.text === text && other.translation === text))
      .map(({ text }) => text),
  );
  expect(english.size).toBeGreaterThan(4000);
  await openDemo(page);
  await expect(page.locator('html')).toHaveAttribute('lang', 'es-419');
  const left: string[] = [];
  let read = 0;
  for (const path of views) {
    await page.goto(path);
    await expect(page.locator('main h1').first(), path).toBeVisible();
    const texts = await textsOf(page);
    read += texts.length;
    left.push(...texts.filter((text) => english.has(text)).map((text) => `${path}: ${text}`));
  }
  expect(left).toEqual([]);
  expect(read).toBeGreaterThan(2000);
});

test('no page is wider than a phone', async ({ page }) => {
  test.setTimeout(300_000);
  await page.setViewportSize({ width: 360, height: 740 });
  await openDemo(page);
  const wide: string[] = [];
  for (const path of views) {
    await page.goto(path);
    await expect(page.locator('main h1').first(), path).toBeVisible();
    const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    if (over > 0) wide.push(`${path}: ${over} px`);
  }
  expect(wide).toEqual([]);
});

test('lists that were made in another language are made anew', async ({ page }) => {
  await openDemo(page, '/log');
  const key = 'aetas.linesLanguage.aetas-demo';
  const linesLanguage = (): Promise<string | null> => page.evaluate((name) => localStorage.getItem(name), key);
  await expect.poll(linesLanguage).toBe('es');
  const first = page.locator('main li').first();
  await expect(first).toContainText('Café instantáneo');
  await page.evaluate(async (name) => {
    localStorage.setItem(name, 'en');
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      const request = indexedDB.open('aetas-demo');
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(new Error('The demo bench does not open.'));
    });
    const shards = db.transaction('shards', 'readwrite').objectStore('shards');
    const all = shards.getAll();
    await new Promise((resolve) => (all.onsuccess = resolve));
    for (const shard of all.result as { text: string }[])
      shards.put({ ...shard, text: shard.text.replaceAll('Café instantáneo', 'Instant coffee') });
    await new Promise((resolve) => (shards.transaction.oncomplete = resolve));
    db.close();
  }, key);
  await page.reload();
  await expect(first).toContainText('Instant coffee');
  await expect(first).toContainText('Café instantáneo');
  expect(await linesLanguage()).toBe('es');
});

test('a time is asked for, and a brew weighed, in Spanish', async ({ page }) => {
  await openDemo(page, '/ask');
  await expect(page.getByText(/^Un rollo de/).first()).toBeVisible();
  await expect(page.getByTestId('time')).toHaveText(/^\d+:\d\d$/);
  await expect(page.getByText(/80 % probable entre \d+:\d\d y \d+:\d\d/)).toBeVisible();
  await page.getByLabel('Años pasados de fecha').fill('31');
  await expect(page.getByText('años pasado de fecha').first()).toBeVisible();
  await page.getByRole('button', { name: 'Ponerlo en el banco' }).click();
  await expect(page.getByRole('link', { name: /^Elegir/ }).first()).toBeVisible();
  await page.goto('/brews/workbench');
  await page
    .getByRole('button', { name: /^editar/ })
    .first()
    .click();
  await page.keyboard.type('3 cucharadas');
  await expect(page.getByText(/“3 cucharadas” se lee como/)).toBeVisible();
  await page.goto('/handbook');
  await expect(page.getByText('El manual aún no está traducido: sigue en inglés.')).toBeVisible();
});
