import { expect, test, type Page } from '@playwright/test';
import {
  MORNING,
  USE_TIME,
  choose,
  openDemo,
  openFact,
  openMore,
  openStage,
  recordsOf,
  throughTheTank,
} from '../bench';

/** Minutes of the times of the box that wait, as they are shown. */
async function timesOf(page: Page): Promise<string[]> {
  return page.getByRole('list', { name: 'Rolls of the box' }).locator('.num.text-\\[18px\\]').allInnerTexts();
}

test('a brick of ten: one goes first, comes out black, and nine times move', async ({ page }) => {
  await page.clock.install({ time: MORNING });
  await page.goto('/rolls/new');
  await openMore(page);
  await page.getByLabel('Name of the roll').fill('Attic brick');
  await page.getByLabel('Film', { exact: true }).fill('Larkholm Pan 200');
  await page.getByLabel('Expiry year').fill('1980');
  await choose(page, 'Stored in', /^Attic/);
  await page.getByLabel('How many alike').fill('10');
  await page.getByRole('radio', { name: 'Exposed, as metered' }).click();
  await page.getByRole('button', { name: 'Add it to the bench' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Attic brick, 1 of 10' })).toBeVisible();

  await page.goto('/rolls');
  await page.getByRole('link', { name: 'Attic brick', exact: true }).click();
  const first = page.getByTestId('first-of-box');
  await expect(first).toContainText('Develop Attic brick, 1 of 10 first');
  await expect(first).toContainText(/narrow the others’ likely ranges by about \d+ %/);
  await expect.poll(async () => (await timesOf(page)).length).toBe(10);
  const before = await timesOf(page);
  await first.getByRole('link', { name: 'Open it' }).click();

  await openStage(page, 'Choose');
  await page.getByRole('button', { name: USE_TIME }).click();
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
  await throughTheTank(page);
  await page.getByRole('button', { name: 'Go to the verdict' }).click();
  await page.getByRole('radio', { name: 'None: the film is black' }).click();
  await page.getByRole('button', { name: 'Save verdict' }).click();
  await expect(page.getByRole('region', { name: 'Outcome' })).toBeVisible();

  await page.goto('/rolls');
  await page.getByRole('link', { name: 'Attic brick', exact: true }).click();
  await expect(page.getByText('10 rolls, 1 judged.')).toBeVisible();
  await expect.poll(async () => (await timesOf(page)).filter((time) => !before.includes(time)).length).toBe(9);
  await page.getByRole('link', { name: 'Attic brick, 2 of 10' }).click();
  await openStage(page, 'Test');
  await expect(page.getByText(/^its sister Attic brick, 1 of 10/)).toBeVisible();
});

test('a box is named, filled, emptied and taken apart, and undo brings it back', async ({ page }) => {
  await openDemo(page, '/rolls/mast#identify');
  await openFact(page, 'What did it come with?');
  await page.getByLabel('Name of a new box').fill('Tin from the mast');
  await page.getByRole('button', { name: 'Make a box' }).click();
  await expect(page.getByText('It is alone in it so far.')).toBeVisible();
  await page.getByRole('link', { name: 'Open the box' }).click();
  const rolls = page.getByRole('list', { name: 'Rolls of the box' }).getByRole('listitem');
  await expect(rolls).toHaveCount(1);
  await page.getByLabel('More like these').fill('99');
  await page.getByRole('button', { name: 'Put them in' }).click();
  await expect(page.getByText('Give 1 to 30 rolls.')).toBeVisible();
  await page.getByLabel('More like these').fill('2');
  await page.getByRole('button', { name: 'Put them in' }).click();
  await expect(rolls).toHaveCount(3);
  const name = page.getByLabel('Name of the box');
  await name.fill('');
  await expect(page.getByText('Give it a name of 1 to 120 letters.')).toBeVisible();
  await name.fill('Mast tin, 1988');
  await page.getByRole('button', { name: 'take out Tin from the mast, roll 3' }).click();
  await expect(rolls).toHaveCount(2);
  await page.reload();
  await expect(name).toHaveValue('Mast tin, 1988');
  await page.getByText('They are cut from a reel').click();
  await page.getByLabel('The reel had, m').fill('30,5');
  await expect(page.getByTestId('reel-left')).toHaveText(/^About \d+\.\d m left: \d+ more of 36\.$/);
  await page.reload();
  await expect(page.getByLabel('The reel had, m')).toHaveValue('30.5');
  await page.getByRole('button', { name: 'Take the box apart, and keep its rolls' }).click();
  await expect(page.getByRole('link', { name: 'Mast tin, 1988' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Mast tin, 1988' })).toBeVisible();
  const { boxes } = await recordsOf(page, 'aetas-demo');
  expect(boxes).toHaveLength(2);
  await page.goto('/boxes/nothing');
  await expect(page.getByText(/This box/).first()).toBeVisible();
});
