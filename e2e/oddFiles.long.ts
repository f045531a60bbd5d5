import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { unzipSync, zipSync } from 'fflate';
import { chance } from '../src/core/testing/chance';
import { openDemo, openMore, recordsOf } from './bench';

/** How many files are made odd, in how many tests: two run at a time. */
const FILES = process.env.AETAS_SHORT === '1' ? 20 : 50;
const PARTS = [1, 2, 3];

/** Deeper than any record. */
const nested = (depth: number): string => '['.repeat(depth) + ']'.repeat(depth);

/** What stands in a file where something else belongs, as JSON text. */
const odd: readonly string[] = [
  '9e15',
  '-9e15',
  '1e308',
  '-1',
  '0',
  '-0',
  '0.5',
  '99',
  '1e9',
  'null',
  'true',
  '""',
  '"constructor"',
  '"__proto__"',
  '"<img src=x onerror=alert(1)>"',
  '"\\u0000\\uffff\\ud800"',
  JSON.stringify('x'.repeat(100_000)),
  '{}',
  '{"__proto__":{"polluted":true}}',
  '[]',
  '[null]',
  nested(3_000),
  '"2026-13-45"',
  '"../../etc"',
];

type Path = readonly (string | number)[];

/** Every place in a value. */
function placesIn(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  const inner = Array.isArray(value) ? [...value.entries()] : Object.entries(value);
  return [path, ...inner.flatMap(([key, one]) => placesIn(one, [...path, key as string | number]))];
}

/** A value with a mark in one place. */
function marked(value: unknown, path: Path, mark: string): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return mark;
  const copy: unknown = Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) };
  const at = copy as Record<string | number, unknown>;
  at[key] = marked(at[key], rest, mark);
  return copy;
}

/** The pages that show the most of the records. */
const pages = ['/', '/rolls', '/log', '/rolls/tin-3', '/rolls/past-03'];

/** Faults of a page, from its own words and from its console. */
async function faultsOn(page: Page, path: string): Promise<string[]> {
  const faults: string[] = [];
  const onError = (error: Error): void => void faults.push(`${path}: ${error.message}`);
  page.on('pageerror', onError);
  await page.goto(path);
  await expect(page.locator('main h1').first()).toBeVisible();
  await page.waitForTimeout(120);
  const words = await page.locator('main').innerText();
  if (/This page broke|Opening the|Invalid Date|NaN|undefined/.test(words))
    faults.push(`${path}: ${words.slice(0, 200)}`);
  page.off('pageerror', onError);
  return faults;
}

for (const part of PARTS)
  test(`${FILES} odd files, part ${part}: none breaks a page, and what is refused changes nothing`, async ({
    page,
  }) => {
    test.setTimeout(400_000);
    await openDemo(page, '/records');
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save all records' }).click();
    const zip = unzipSync(await readFile(await (await saved).path()));
    const text = new TextDecoder().decode(zip['records.json']);
    const whole = JSON.parse(text) as { records: Record<string, unknown[]> };
    const places = placesIn(whole.records).filter((path) => path.length > 0);
    const luck = chance(10 + part);
    const alert = page.locator('main').getByRole('alert');
    let before = await recordsOf(page, 'aetas-demo');
    const faults: string[] = [];
    let [taken, refused] = [0, 0];
    for (let n = part * FILES; n < (part + 1) * FILES; n++) {
      const path = places[Math.floor(luck.uniform(0, places.length))] ?? [];
      const value = odd[n % odd.length] ?? 'null';
      const name = `odd-${n}.zip`;
      const changed = JSON.stringify({ ...whole, records: marked(whole.records, path, '@odd@') });
      const records = new TextEncoder().encode(changed.replace('"@odd@"', () => value));
      const buffer = Buffer.from(zipSync({ ...zip, 'records.json': records }, { level: 1 }));
      await page.getByLabel('File with records').setInputFiles({ name, mimeType: 'application/zip', buffer });
      const isTaken = page.getByText(`“${name}” is on the bench now`);
      await expect(
        isTaken.or(alert.filter({ hasText: `“${name}” was not opened, and nothing has changed.` })).first(),
        `${path.join('.')} = ${value.slice(0, 60)}`,
      ).toBeVisible();
      if ((await isTaken.count()) === 0) {
        refused += 1;
        expect(await recordsOf(page, 'aetas-demo'), `${path.join('.')} = ${value.slice(0, 60)}`).toEqual(before);
        continue;
      }
      taken += 1;
      for (const view of pages)
        faults.push(
          ...(await faultsOn(page, view)).map((fault) => `${path.join('.')} = ${value.slice(0, 60)}: ${fault}`),
        );
      await page.goto('/records');
      await expect(page.getByRole('button', { name: 'Save all records' })).toBeVisible();
      before = await recordsOf(page, 'aetas-demo');
    }
    console.log(`${taken} odd files were taken, ${refused} refused, ${faults.length} pages broke`);
    expect(faults).toEqual([]);
    expect(await page.evaluate(() => ({}) as { polluted?: boolean }).then(({ polluted }) => polluted)).toBeUndefined();
  });

test('the browser’s storage is full: told, the tank goes on, nothing typed is lost, emptying makes room', async ({
  page,
}) => {
  test.setTimeout(300_000);
  // As the browser refuses: every write that adds something fails, and what deletes goes through.
  await page.addInitScript(() => {
    for (const name of ['put', 'add'] as const) {
      const plain = IDBObjectStore.prototype[name];
      IDBObjectStore.prototype[name] = function (this: IDBObjectStore, ...given: Parameters<typeof plain>) {
        if (sessionStorage.getItem('full') === 'yes') throw new DOMException('full', 'QuotaExceededError');
        return plain.apply(this, given);
      };
    }
  });
  const full = (yes: boolean): Promise<void> =>
    page.evaluate((now) => sessionStorage.setItem('full', now ? 'yes' : 'no'), yes);
  await openDemo(page, '/rolls/portraits');
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await page.getByRole('button', { name: 'Pre-soak is in: start' }).click();
  await expect(page.getByTestId('clock')).toBeVisible();
  await page.waitForTimeout(1_600);
  await full(true);
  // The tank goes on in memory, says so, and stores when there is room again.
  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByLabel('Note').fill('the stove went out');
  await page.getByRole('button', { name: 'Save the note' }).click();
  await expect(page.getByText('The clock goes on in this tab only.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Notes' })).toContainText('the stove went out');
  await full(false);
  await expect(page.getByText('The clock goes on in this tab only.')).toBeHidden();
  expect(JSON.stringify((await recordsOf(page, 'aetas-demo')).runs)).toContain('the stove went out');

  // What is typed stays on the screen, and comes back.
  await page.goto('/rolls/new');
  await openMore(page);
  await expect(page.getByLabel('Note')).toBeVisible();
  await full(true);
  await page.getByLabel('Note').fill('from the attic of the old station');
  await expect(page.getByText('The browser’s storage is full').first()).toBeVisible();
  await full(false);
  await page.goto('/rolls/new');
  await expect(page.getByLabel('Note')).toHaveValue('from the attic of the old station');

  // Emptying frees space although there is no room for a copy, told before.
  await page.goto('/records');
  await expect(page.getByRole('button', { name: 'Save all records' })).toBeVisible();
  await full(true);
  await page.getByRole('button', { name: 'Empty the bench' }).click();
  await expect(page.getByText('There is no room to keep a copy for undo.')).toBeVisible();
  await page.getByRole('button', { name: 'Go on without undo' }).click();
  await expect(page.getByText('The bench is empty.')).toBeVisible();
  expect((await recordsOf(page, 'aetas-demo')).rolls).toEqual([]);
});
