import { expect, test, type ElementHandle, type Page } from '@playwright/test';
import { openDemo } from '../bench';

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
