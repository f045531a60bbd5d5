import { expect, test, type ElementHandle, type Page } from '@playwright/test';
import { USE_TIME, addRoll, openDemo } from '../bench';

/** What the field under the cursor is called, and what stands in it. */
async function inHand(page: Page): Promise<{ name: string; value: string }> {
  return page.evaluate(() => {
    const field = document.activeElement as HTMLInputElement | null;
    return { name: field?.id || field?.getAttribute('aria-label') || field?.tagName || '', value: field?.value ?? '' };
  });
}

/** Types over a field key by key; says what went wrong, null for nothing. */
async function typedOver(page: Page, field: ElementHandle<Node>): Promise<string | null> {
  await field.click({ timeout: 3_000 });
  const { name } = await inHand(page);
  await page.keyboard.press('Control+A');
  for (const key of ['Delete', '2', '1', '.', '5']) {
    await page.keyboard.press(key);
    // What follows a key may take a moment, and must not take the field.
    await page.waitForTimeout(40);
    const now = await inHand(page);
    if (now.name !== name) return `${name}: lost after ${key}, to ${now.name}`;
  }
  const { value } = await inHand(page);
  return value === '21.5' ? null : `${name}: “${value}” for 21.5`;
}

/** Every page with fields, in two halves so that both workers have one. */
const halves = [
  ['/ask', '/rolls/new', '/rolls/tin-3#choose', '/brews/workbench', '/brews/standing', '/exposure', '/trials/new'],
  [
    '/prints/print-dog',
    '/trials/trial-soda',
    '/brews/kit',
    '/rolls/past-09',
    '/evening',
    '/boxes/box-brick',
    '/brews/waste',
    '/log',
  ],
];

for (const [nth, pages] of halves.entries())
  test(`a number is typed key by key into every field, and none of them goes away, half ${nth + 1}`, async ({
    page,
  }) => {
    test.setTimeout(240_000);
    for (const path of pages) {
      await page.goto('about:blank');
      await openDemo(page, path);
      await page.waitForTimeout(1_500);
      for (const fold of await page.locator('main details:not([open]) > summary').all())
        await fold.click({ timeout: 2_000 }).catch(() => undefined);
      const fields = page.locator(
        'main :is(input:not([type=checkbox], [type=radio], [type=range], [type=file]), textarea):visible',
      );
      expect(await fields.count(), path).toBeGreaterThan(0);
      const faults: string[] = [];
      for (const field of await fields.elementHandles()) {
        // Some fields stand there only while another has its old value.
        const isThere = await field.evaluate((node) => (node as Element).closest('[inert]') === null);
        if (!isThere || !(await field.isVisible())) continue;
        const fault = await typedOver(page, field);
        if (fault !== null) faults.push(fault);
      }
      expect(faults, path).toEqual([]);
    }
  });

test('a press on the time waits while the bench learns of another roll', async ({ page, context }) => {
  // What the page asks of its worker is held back while it learns.
  await page.addInitScript(() => {
    const held = { slow: false, count: 0 };
    Object.assign(window, { held });
    const post = Object.getOwnPropertyDescriptor(Worker.prototype, 'postMessage')?.value as (
      this: Worker,
      ...said: unknown[]
    ) => void;
    Worker.prototype.postMessage = function (this: Worker, ...said: unknown[]) {
      if (!held.slow || !JSON.stringify(said[0]).includes('"analysis"')) return post.apply(this, said);
      held.count += 1;
      setTimeout(() => post.apply(this, said), 1500);
    };
  });
  await addRoll(page, 'Pressed while it learns');
  const use = page.getByRole('button', { name: USE_TIME });
  await expect(use).toBeEnabled();
  await page.evaluate(() => Object.assign((window as unknown as { held: object }).held, { slow: true }));
  await addRoll(await context.newPage(), 'Another film');
  await page.waitForFunction(() => (window as unknown as { held: { count: number } }).held.count > 0);
  await page.waitForTimeout(200);
  await use.click({ timeout: 1000 });
  await expect(page.getByRole('button', { name: 'I’ve mixed this recipe' })).toBeVisible();
});
