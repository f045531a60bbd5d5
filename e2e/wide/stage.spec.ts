import { expect, test } from '@playwright/test';
import { USE_TIME, addRoll, choose, openDemo, openFact, openStage, openWhy, recordsOf } from '../bench';

test('one stage is open, its address is its own, and a time that is set opens the next one with the focus on its heading', async ({
  page,
}) => {
  await openDemo(page, '/rolls/tin-3');
  const stages = page.getByRole('navigation', { name: 'Stages' });
  await expect(stages.locator('[aria-current=step]')).toContainText('Choose');
  await expect(page.getByRole('heading', { level: 2, name: 'Identify', exact: true })).toHaveCount(0);
  await openStage(page, 'Test');
  await expect(page).toHaveURL(/#test$/);
  await expect(page.getByRole('heading', { level: 2, name: 'Test', exact: true })).toBeFocused();
  await page.goBack();
  await expect(stages.locator('[aria-current=step]')).toContainText('Choose');
  await page.getByRole('button', { name: USE_TIME }).click();
  await expect(page).toHaveURL(/#mix$/);
  await expect(page.getByRole('heading', { level: 2, name: 'Mix', exact: true })).toBeFocused();
  await page.reload();
  await expect(stages.locator('[aria-current=step]')).toContainText('Mix');
});

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const)
  test(`time, likely range and the next act are in view without scrolling at ${width}×${height}`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await openDemo(page, '/rolls/tin-3#choose');
    const act = page.getByRole('button', { name: USE_TIME });
    await expect(act).toBeEnabled();
    for (const part of [page.getByTestId('time'), page.getByTestId('band'), act]) await expect(part).toBeInViewport();
    // Where the fields have taken their place, the time is read out.
    await page.locator('#why').scrollIntoViewIfNeeded();
    await page.mouse.wheel(0, 2000);
    if (width < 500) await expect(page.getByTestId('read-out')).toBeInViewport();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
    await page.goto('/rolls/instruments#run');
    await expect(page.getByRole('button', { name: 'Go to the tank' })).toBeInViewport();
    await page.goto('/rolls/tin-3#test');
    await expect(page.getByRole('heading', { name: 'What would narrow it' })).toBeInViewport();
  });

test('no time is shown before the whole log is known', async ({ page }) => {
  await page.addInitScript(() => {
    const seen = new Set<string>();
    Object.assign(window, { seen });
    const look = (): void => {
      const text = document.querySelector('[data-testid=time]')?.textContent ?? '';
      if (/\d/.test(text)) seen.add(text);
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  await openDemo(page, '/rolls/tin-3#choose');
  await expect(page.getByRole('button', { name: USE_TIME })).toBeEnabled();
  await page.waitForTimeout(500);
  expect(await page.evaluate(() => [...(window as unknown as { seen: Set<string> }).seen])).toHaveLength(1);
});

test('exposure is asked with two large answers, moves the time, and another roll like it takes what is known', async ({
  page,
}) => {
  await addRoll(page, 'Biscuit tin');
  await openStage(page, 'Identify');
  const soFar = page.getByTestId('so-far');
  await expect(soFar).toHaveText(/\d/);
  await page.getByRole('radio', { name: /^Found, exposure unknown/ }).click();
  await expect
    .poll(async () => (await recordsOf(page, 'aetas')).rolls)
    .toMatchObject([{ exposure: { state: 'unknown' } }]);
  await openFact(page, 'When was it made?');
  await expect(page.getByRole('textbox', { name: 'Year', exact: true })).toHaveValue('1971');
  await page.getByRole('button', { name: 'Add another roll like this one' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Biscuit tin (2)' })).toBeVisible();
  const rolls = (await recordsOf(page, 'aetas')).rolls as { label: string; hints: unknown[] }[];
  expect(rolls.map(({ label }) => label).sort()).toEqual(['Biscuit tin', 'Biscuit tin (2)']);
  expect(rolls[0]?.hints).toEqual(rolls[1]?.hints);
});

test('a run prints on one page, a subject of the handbook as well, and settings are on one page', async ({ page }) => {
  const pages = async (): Promise<number> =>
    (await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)?.length ?? 0;
  await openDemo(page, '/rolls/instruments/sheet');
  await expect(page.getByText('11:15').first()).toBeVisible();
  await expect(page.getByRole('listitem')).toHaveCount(8);
  expect(await pages()).toBe(1);
  await page.goto('/handbook');
  await page.getByRole('link', { name: 'What fog looks like' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'What fog looks like' })).toBeVisible();
  expect(await pages()).toBe(1);
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('radio', { name: '°F' }).click();
  await expect(page.getByRole('button', { name: /°F · ml|°F · fl oz/ })).toBeVisible();
  await page.getByRole('radio', { name: 'Dim', exact: true }).click();
  await expect(page.locator('html')).toHaveAttribute('data-light', 'dim');
  await page.getByRole('radio', { name: 'As the system has it' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-light', 'day');
  await page.getByRole('button', { name: 'Keys' }).click();
  await expect(page.getByRole('dialog')).toContainText('Go to the next step');
});

test('the evening and the workbench are read on a small phone without scrolling sideways', async ({ page }) => {
  const width = async (): Promise<number> => page.evaluate(() => document.documentElement.scrollWidth);
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page, '/evening');
  const rolls = page.getByRole('group', { name: 'Rolls, in the order of the evening' }).getByRole('checkbox');
  await rolls.first().check();
  await rolls.nth(1).check();
  await expect(page.getByTestId('evening-strip')).toContainText('Develop');
  expect(await width()).toBeLessThanOrEqual(390);
  await page.setViewportSize({ width: 320, height: 640 });
  await page.goto('/brews/workbench?recipe=coffee-standard');
  await expect(page.getByLabel('Instant coffee, in a litre')).toBeVisible();
  expect(await width()).toBeLessThanOrEqual(320);
});

test('on a first run the tank says at each bath what it is for', async ({ page }) => {
  await openDemo(page, '/first');
  await page.getByRole('button', { name: 'Done, or I know it' }).click();
  await expect
    .poll(async () => (await recordsOf(page, 'aetas-demo')).drafts)
    .toContainEqual(expect.objectContaining({ id: 'first-roll' }));
  await page.goto('/rolls/portraits#run');
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await expect(page.getByTestId('first-run')).toContainText('Plain water');
});

test('rolls of an evening change places by dragging and by keys', async ({ page }) => {
  await openDemo(page, '/evening');
  const rolls = page.getByRole('group', { name: 'Rolls, in the order of the evening' });
  await rolls.getByRole('checkbox').first().check();
  await rolls.getByRole('checkbox').nth(1).check();
  const names = (): Promise<string[]> => rolls.getByRole('listitem').locator('label').allInnerTexts();
  const [first = '', second = ''] = await names();
  const grip = (name: string) => rolls.getByRole('button', { name: `Move ${name}`, exact: true });
  await grip(second).dragTo(grip(first), { steps: 8 });
  await expect.poll(names).toEqual([second, first]);
  await grip(second).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(`${second} is picked up.`)).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(`${second} is in the place of ${first}.`)).toBeAttached();
  await page.keyboard.press('Space');
  await expect.poll(names).toEqual([first, second]);
});

test('charts are printed in the colours of the day, whatever the light', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('aetas.light', 'safe'));
  await openDemo(page, '/rolls/tin-3');
  await openWhy(page);
  const canvas = page.locator('#why canvas').first();
  await expect(canvas).toBeVisible();
  const green = (): Promise<number> =>
    canvas.evaluate((element: HTMLCanvasElement) => {
      const { width, height } = element;
      const { data } = element.getContext('2d')?.getImageData(0, 0, width, height) ?? { data: [] };
      let most = 0;
      for (let at = 0; at < data.length; at += 4) most = Math.max(most, data[at + 1] ?? 0);
      return most;
    });
  expect(await green()).toBe(0);
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  await expect.poll(green).toBeGreaterThan(100);
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect.poll(green).toBe(0);
});

test('the log shows the runs of one developer', async ({ page }) => {
  await openDemo(page, '/log');
  const count = page.locator('main p[role=status]');
  await expect(count).toHaveText('13 of 13 runs');
  await choose(page, 'Runs in', 'p-Aminophenol concentrate 1+50');
  await expect(count).toHaveText(/^[1-5] of 13 runs$/);
  await page.getByRole('searchbox').fill('crisp');
  await expect(count).toHaveText('1 of 13 runs');
});
