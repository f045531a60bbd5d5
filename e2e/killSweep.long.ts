import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import { chromium as launcher, expect, test, type BrowserContext, type Page } from '@playwright/test';
import { chromium } from '../playwright.config';
import { rollOfVersion1 } from '../src/core/testing/rollOfVersion1';
import { USE_TIME, addRoll, openFact, openMore, recordsOf } from './bench';

/*
 * A hundred times the whole browser is killed, as when the power goes: no page and no process can finish anything. What
 * stood a moment before must be there, and an act is done whole or not at all. Each test prints how many were whole.
 */

/** What was typed or pressed so long ago stands in the database, ms. A hand takes longer to reach for anything else. */
const SETTLED_MS = 250;

/** A browser that keeps its profile, and can be killed. */
class Killable {
  private readonly profile = mkdtempSync(join(tmpdir(), 'aetas-kill-'));
  private context: BrowserContext | null = null;

  async open(baseURL: string, path: string): Promise<Page> {
    this.context = await this.launch(baseURL);
    const page = this.context.pages()[0] ?? (await this.context.newPage());
    page.setDefaultTimeout(20_000);
    await page.goto(path);
    return page;
  }

  /** Starts the browser; one that dies of itself while it starts, before it has seen a page, is started again. */
  private async launch(baseURL: string, tries = 3): Promise<BrowserContext> {
    try {
      return await launcher.launchPersistentContext(this.profile, {
        ...chromium,
        baseURL,
        viewport: { width: 1280, height: 800 },
        locale: 'en-GB',
        timezoneId: 'UTC',
      });
    } catch (error) {
      if (tries <= 1) throw error;
      console.log(`The browser did not start: ${String(error).split('\n')[0]}`);
      await this.kill();
      return this.launch(baseURL, tries - 1);
    }
  }

  /** Kills every process of the browser at once. */
  async kill(): Promise<void> {
    for (let left = this.processes(); left.length > 0; left = this.processes()) {
      for (const pid of left) {
        try {
          process.kill(pid, 'SIGKILL');
        } catch {
          // It went by itself meanwhile.
        }
      }
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
    await this.context?.close().catch(() => undefined);
    this.context = null;
  }

  /** All processes that run on this profile. */
  private processes(): number[] {
    return readdirSync('/proc')
      .filter((name) => /^\d+$/.test(name))
      .filter((pid) => {
        try {
          return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(this.profile);
        } catch {
          return false;
        }
      })
      .map(Number);
  }

  async end(): Promise<void> {
    await this.kill();
    try {
      rmSync(this.profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
    } catch {
      // The system clears its place for such files by itself.
    }
  }
}

function told(what: string, whole: number, of: number): void {
  console.log(`${what}: ${whole} of ${of} whole after a kill`);
  expect(whole).toBe(of);
}

/** A field somewhere in Aetas, and a text for it. */
interface Place {
  path: string;
  /** What must be opened before the field is there. */
  open?: (page: Page) => Promise<void>;
  label: string;
  text: string;
}

/** What a new roll may be told besides; it stays open once something stands in it. */
async function showMore(page: Page): Promise<void> {
  await expect(page.getByText('More', { exact: true })).toBeVisible();
  if (!(await page.getByLabel('Note').isVisible())) await openMore(page);
}

const places: readonly Place[] = [
  { path: '/rolls/new', open: showMore, label: 'Name of the roll', text: 'Biscuit tin, north shelf' },
  {
    path: '/rolls/new',
    open: showMore,
    label: 'Note',
    text: 'Behind the barograph, wrapped in a page of the hut’s paper',
  },
  { path: '/rolls/new', open: showMore, label: 'Film', text: 'Larkholm Pan' },
  { path: '/rolls/new', label: 'Expiry year', text: '1971' },
  { path: '/brews/kit', label: 'Smallest step', text: '0.25' },
  { path: '/brews/kit', label: 'Smallest mark', text: '2.5' },
  { path: '/exposure', label: 'The meter says', text: '1/125' },
  { path: '/brews/workbench?recipe=coffee-standard', label: 'Instant coffee, in a litre', text: '37.5' },
  {
    path: '/rolls/tin-3#expose',
    open: async (page) => {
      await expect(page.getByRole('heading', { name: 'Frames', exact: true })).toBeVisible();
      if ((await page.getByLabel('Remark of line 1').count()) === 0)
        await page.getByRole('button', { name: 'Add a frame' }).click();
    },
    label: 'Remark of line 1',
    text: 'yellow filter, from the terrace',
  },
  {
    path: '/rolls/tin-3#identify',
    open: async (page) => {
      await openFact(page, 'When was it made?');
      if ((await page.getByLabel('The story').count()) === 0)
        await page.getByRole('button', { name: 'Something I was told', exact: true }).click();
    },
    label: 'The story',
    text: 'the summer when the bridge was built',
  },
];

test('typing: thirty kills, everywhere that somebody types', async ({ baseURL }) => {
  test.setTimeout(900_000);
  const browser = new Killable();
  let whole = 0;
  await demo(browser, baseURL ?? '');
  const fieldOf = (page: Page, label: string) => page.getByLabel(label, { exact: true }).first();
  /** What was typed before the last kill. */
  let before: (Place & { typed: string }) | null = null;
  const look = async (page: Page): Promise<void> => {
    if (before === null) return;
    const { path, open, label, typed } = before;
    await page.goto(path);
    await open?.(page);
    const came = await expect(fieldOf(page, label))
      .toHaveValue(typed)
      .then(() => true)
      .catch(async () => {
        const found = await fieldOf(page, label)
          .inputValue()
          .catch(() => 'no field');
        console.log(`${path}, ${label}: “${found}” for “${typed}”`);
        return false;
      });
    if (came) whole += 1;
  };
  for (let round = 0; round < 3; round++) {
    for (const place of places) {
      const { path, open, label, text } = place;
      const typed = text.slice(0, Math.max(1, Math.ceil((text.length * (round + 1)) / 3)));
      const page = await browser.open(baseURL ?? '', '/handbook');
      await look(page);
      await page.goto(path);
      await open?.(page);
      await fieldOf(page, label).fill('');
      await fieldOf(page, label).pressSequentially(typed, { delay: 15 });
      await page.waitForTimeout(SETTLED_MS);
      await browser.kill();
      before = { ...place, typed };
    }
  }
  await look(await browser.open(baseURL ?? '', '/handbook'));
  await browser.end();
  told('typing', whole, 3 * places.length);
});

/** Lays the demo's bench out in a new profile. */
async function demo(browser: Killable, baseURL: string): Promise<void> {
  const page = await browser.open(baseURL, '/');
  await page.evaluate(() => localStorage.setItem('aetas.bench', 'demo'));
  await page.goto('/');
  await expect(page.getByRole('list', { name: 'Rolls on the bench' })).toBeVisible();
  await expect.poll(async () => (await recordsOf(page, 'aetas-demo')).rolls?.length).toBeGreaterThan(10);
  // The browser writes its immediate store to disk every few seconds; a kill before would bring the other bench back.
  await page.waitForTimeout(6_000);
  await browser.kill();
}

/** Instants after a press at which the browser is killed, ms. */
const KILLS = [0, 10, 25, 45, 70, 100, 150, 220, 320, 500];

test('pinning: ten kills', async ({ baseURL }) => {
  test.setTimeout(600_000);
  const browser = new Killable();
  let whole = 0;
  for (const [index, kill] of KILLS.entries()) {
    let page = await browser.open(baseURL ?? '', '/');
    await addRoll(page, `Pin tin ${index}`);
    const pin = page.getByRole('button', { name: USE_TIME });
    await expect(pin).toBeEnabled();
    await page.waitForTimeout(SETTLED_MS);
    await pin.evaluate((button: HTMLButtonElement) => button.click());
    await page.waitForTimeout(kill);
    await browser.kill();
    page = await browser.open(baseURL ?? '', '/rolls');
    await expect(page.getByText(`Pin tin ${index}`).first()).toBeVisible();
    const { rolls = [], plans = [] } = await recordsOf(page, 'aetas');
    const sound = (plans as { pinned: { timeMin: number } | null }[]).every(
      ({ pinned }) => pinned === null || pinned.timeMin > 0,
    );
    if (rolls.length === index + 1 && sound && plans.length <= rolls.length) whole += 1;
    await browser.kill();
  }
  await browser.end();
  told('pinning', whole, KILLS.length);
});

interface Event {
  kind: string;
}

/** Presses the primary act again and again; after each kill the events are those from before it, and at most one more. */
async function presses(
  browser: Killable,
  baseURL: string,
  address: string,
  count: number,
  settle: number,
  act: (page: Page) => Promise<void>,
  events: (page: Page) => Promise<Event[]>,
): Promise<number> {
  let whole = 0;
  let before: Event[] = [];
  for (let press = 0; press < count; press++) {
    let page = await browser.open(baseURL, address);
    before = await events(page);
    await act(page);
    // Every second press has a moment to be written, and then it must be there.
    const settled = press % 2 === 1;
    await page.waitForTimeout(settled ? SETTLED_MS : (press * 7) % 60);
    await browser.kill();
    page = await browser.open(baseURL, address);
    await expect(page.locator('main')).not.toBeEmpty();
    // What was on its way is stored a moment after the page is there.
    if (settled) {
      await expect
        .poll(async () => (await events(page)).length, { timeout: 8_000 })
        .toBeGreaterThan(before.length)
        .catch(() => undefined);
    } else await page.waitForTimeout(300);
    const after = await events(page);
    const kept = JSON.stringify(after.slice(0, before.length)) === JSON.stringify(before);
    const grown = after.length - before.length;
    if (kept && (settled ? grown === 1 : grown === 0 || grown === 1)) whole += 1;
    else console.log(`press ${press}: from ${before.length} to ${after.length} events`);
    await page.waitForTimeout(settle);
    await browser.kill();
  }
  return whole;
}

test('the tank: six kills in each of two tanks', async ({ baseURL }) => {
  test.setTimeout(600_000);
  const browser = new Killable();
  let whole = 0;
  // A tank has fewer steps than there are kills, and a hung film has nothing left to press.
  for (const name of ['First killed tank', 'Second killed tank']) {
    const page = await browser.open(baseURL ?? '', '/');
    await addRoll(page, name);
    await page.getByRole('button', { name: USE_TIME }).click();
    // The second roll of a film begins with the first one's jug.
    const mix = page.getByRole('button', { name: 'I’ve mixed this recipe' });
    const go = page.getByRole('button', { name: 'Go to the tank' });
    await expect(mix.or(go)).toBeVisible();
    if (await mix.isVisible()) await mix.click();
    await go.click();
    await expect(page.getByTestId('hands')).toBeVisible();
    const address = page.url();
    await page.waitForTimeout(SETTLED_MS);
    await browser.kill();
    whole += await presses(
      browser,
      baseURL ?? '',
      address,
      6,
      1_300,
      async (tank) => {
        const primary = tank.getByRole('button', { name: /: start$|: it is in$|^Hold to |^Hung to dry$/ });
        await expect(primary).toBeEnabled();
        await primary.evaluate((button: HTMLButtonElement) => button.click());
      },
      async (tank) =>
        ((await recordsOf(tank, 'aetas')).runs as { id: string; events: Event[] }[] | undefined)?.find(({ id }) =>
          address.includes(id),
        )?.events ?? [],
    );
  }
  await browser.end();
  told('the tank', whole, 12);
});

test('mixing and bottling: eight kills while it is mixed, ten while it is bottled', async ({ baseURL }) => {
  test.setTimeout(900_000);
  const browser = new Killable();
  let whole = 0;
  const mixing = async (): Promise<string> => {
    const page = await browser.open(baseURL ?? '', '/brews/workbench?recipe=coffee-standard');
    await page.getByRole('button', { name: 'Guide me through mixing' }).click();
    await expect(page.getByRole('heading', { name: 'Water first' })).toBeVisible();
    await page.waitForTimeout(SETTLED_MS);
    const address = page.url();
    await browser.kill();
    return address;
  };
  const primaryOf = (page: Page) => page.locator('main .act-primary').last();
  const address = await mixing();
  whole += await presses(
    browser,
    baseURL ?? '',
    address,
    8,
    0,
    async (page) => {
      await expect(primaryOf(page)).toBeEnabled();
      await primaryOf(page).evaluate((button: HTMLButtonElement) => button.click());
    },
    async (page) => (((await recordsOf(page, 'aetas')).mixes ?? [])[0] as { events: Event[] }).events,
  );
  const bottled: boolean[] = [];
  for (const [index, kill] of KILLS.entries()) {
    const at = index === 0 ? address : await mixing();
    let page = await browser.open(baseURL ?? '', at);
    for (let press = 0; press < 24; press++) {
      await expect(primaryOf(page)).toBeEnabled();
      if ((await primaryOf(page).textContent()) === 'Finish the jug') break;
      await primaryOf(page).click();
      await page.waitForTimeout(60);
    }
    await page.waitForTimeout(SETTLED_MS);
    const before = ((await recordsOf(page, 'aetas')).brews ?? []).length;
    await page.getByRole('button', { name: 'Finish the jug' }).evaluate((button: HTMLButtonElement) => button.click());
    await page.waitForTimeout(kill);
    await browser.kill();
    page = await browser.open(baseURL ?? '', '/brews');
    await expect(page.locator('main h1').first()).toBeVisible();
    const { brews = [], mixes = [] } = await recordsOf(page, 'aetas');
    const open = (mixes as { brewId: string | null }[]).filter(({ brewId }) => brewId === null).length;
    // Either a jug more and no mixing open, or as before with its mixing open: never both, never neither.
    const done = brews.length === before + 1;
    bottled.push(done);
    if (done ? open === 0 : brews.length === before && open === 1) whole += 1;
    else console.log(`bottling ${index}: ${before} jugs before, ${brews.length} after, ${open} mixings open`);
    if (!done) {
      await page.goto(at);
      await page.getByRole('button', { name: 'Finish the jug' }).click();
      await expect(page.getByRole('heading', { name: 'Label' })).toBeVisible();
    }
    await page.waitForTimeout(SETTLED_MS);
    await browser.kill();
  }
  expect(bottled).toContain(true);
  await browser.end();
  told('mixing and bottling', whole, 8 + KILLS.length);
});

test('opening a file and undoing it: ten kills each', async ({ baseURL }) => {
  test.setTimeout(900_000);
  const browser = new Killable();
  await demo(browser, baseURL ?? '');
  let page = await browser.open(baseURL ?? '', '/records');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save all records' }).click();
  const file = await readFile(await (await saved).path());
  const full = await recordsOf(page, 'aetas-demo');
  await page.getByRole('button', { name: 'Empty the bench' }).click();
  await expect(page.getByText('The bench is empty.')).toBeVisible();
  const none = await recordsOf(page, 'aetas-demo');
  await page.waitForTimeout(SETTLED_MS);
  let whole = 0;
  /** What the bench is after a kill: null when it is neither. */
  const after = async (): Promise<'full' | 'none' | null> => {
    await browser.kill();
    page = await browser.open(baseURL ?? '', '/records');
    await expect(page.getByRole('button', { name: 'Save all records' })).toBeVisible();
    // A bench that has just been opened may still be putting itself in order.
    let now: Record<string, unknown[]> = {};
    for (let look = 0; look < 10; look++) {
      now = await recordsOf(page, 'aetas-demo');
      if (isDeepStrictEqual(now, full)) return 'full';
      if (isDeepStrictEqual(now, none)) return 'none';
      await page.waitForTimeout(300);
    }
    const differs = Object.keys(full).filter((table) => !isDeepStrictEqual(now[table], full[table]));
    for (const table of differs) console.log(`${table}: ${JSON.stringify(now[table]).slice(0, 400)}`);
    return null;
  };
  const seen = new Set<string>();
  for (const kill of [...KILLS.slice(1), 2_500]) {
    await page
      .getByLabel('File with records')
      .setInputFiles({ name: 'hut.zip', mimeType: 'application/zip', buffer: file });
    await page.waitForTimeout(kill);
    const now = await after();
    if (now !== null) whole += 1;
    seen.add(`file ${now}`);
    if (now !== 'full') continue;
    await page.getByRole('button', { name: 'Empty the bench' }).click();
    await expect(page.getByText('The bench is empty.')).toBeVisible();
    await page.waitForTimeout(SETTLED_MS);
  }
  for (const kill of KILLS) {
    await page.getByRole('button', { name: 'Bring it back' }).evaluate((button: HTMLButtonElement) => button.click());
    await page.waitForTimeout(kill);
    const now = await after();
    if (now !== null) whole += 1;
    seen.add(`undo ${now}`);
    if (now !== 'full') continue;
    await page.getByRole('button', { name: 'Empty the bench' }).click();
    await expect(page.getByText('The bench is empty.')).toBeVisible();
    await page.waitForTimeout(SETTLED_MS);
  }
  expect([...seen]).toContain('file full');
  expect([...seen]).toContain('undo full');
  await browser.end();
  told('opening a file and undoing it', whole, 20);
});

test('the upgrade of a bench of the first version: ten kills', async ({ baseURL }) => {
  test.setTimeout(600_000);
  const ROLLS = 400;
  let whole = 0;
  for (const kill of [...KILLS.slice(1), 900]) {
    const browser = new Killable();
    // Nothing of Aetas runs there yet: the bench is laid out as its first version left it.
    let page = await browser.open(baseURL ?? '', '/api/schema');
    await page.evaluate(
      (rolls) =>
        new Promise<void>((resolve, reject) => {
          const request = indexedDB.open('aetas', 10);
          request.onerror = () => reject(request.error);
          request.onupgradeneeded = () => {
            const columns: Record<string, readonly string[]> = {
              settings: [],
              stocks: ['name'],
              rolls: ['updatedMs'],
              brews: ['mixedMs'],
              plans: ['rollId'],
              runs: ['rollId', 'createdMs'],
              verdicts: ['runId', 'rollId'],
              drafts: [],
            };
            for (const [name, fields] of Object.entries(columns)) {
              const store = request.result.createObjectStore(name, { keyPath: 'id' });
              for (const field of fields) store.createIndex(field, field);
            }
            request.result.createObjectStore('safekeeping', { keyPath: 'id', autoIncrement: true });
          };
          request.onsuccess = () => {
            const db = request.result;
            const write = db.transaction(['stocks', 'rolls'], 'readwrite');
            const stamps = { createdMs: 1, updatedMs: 1 };
            write.objectStore('stocks').add({
              ...stamps,
              id: 's',
              name: 'Larkholm Pan 200',
              familyId: 'pan-cubic-fast',
              iso: 200,
            });
            for (const roll of rolls) write.objectStore('rolls').add(roll);
            write.oncomplete = () => {
              db.close();
              resolve();
            };
          };
        }),
      Array.from({ length: ROLLS }, (_, n) => rollOfVersion1({ id: `old-${n}`, label: `Tin ${n}` })),
    );
    await page.waitForTimeout(SETTLED_MS);
    await page.goto('/records', { waitUntil: 'commit' });
    await page.waitForTimeout(kill);
    await browser.kill();
    page = await browser.open(baseURL ?? '', '/records');
    await expect(page.getByText(`${ROLLS} rolls`), await page.locator('main').innerText()).toBeVisible();
    const { rolls = [] } = await recordsOf(page, 'aetas');
    const sound = (rolls as { hints?: { year: number }[]; storage?: unknown[] }[]).every(
      ({ hints, storage }) => hints?.[0]?.year === 1971 && storage?.length === 1,
    );
    if (rolls.length === ROLLS && sound) whole += 1;
    await browser.end();
  }
  told('the upgrade', whole, 10);
});
