import { expect, test } from '@playwright/test';
import { openDemo, recordsOf } from '../bench';

test('a fixer that is poured away stands in its waste bottle, undo takes it out again, and handing in empties it', async ({
  page,
}) => {
  await openDemo(page, '/brews/standing');
  await page.getByLabel('Mixed on').fill('3 weeks ago');
  await page.getByLabel('Films through it').fill('8');
  await page.getByRole('button', { name: 'Stand it on the bench' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Fixer');
  await page.goto('/brews');
  const jugs = page.locator('section[aria-labelledby=jugs]');
  await jugs
    .getByRole('button', { name: /^Pour away Fixer/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Waste bottles' }).click();
  const bottle = page
    .getByRole('list', { name: 'Waste bottles' })
    .getByRole('listitem')
    .filter({ hasText: 'with silver' });
  await expect(bottle).toContainText('28 films · silver about 6');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bottle).toContainText('20 films');
  const { waste, brews } = await recordsOf(page, 'aetas-demo');
  expect(waste).toHaveLength(4);
  expect((brews as { films: number; use: string }[]).some(({ use, films }) => use === 'fixer' && films === 8)).toBe(
    true,
  );

  await page.goto('/brews');
  await jugs
    .getByRole('button', { name: /^Pour away Fixer/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Waste bottles' }).click();
  await page.getByRole('textbox', { name: 'Where you live' }).fill('Tuesdays, behind the town hall');
  await bottle.getByLabel('The bottle holds').fill('1000');
  await expect(bottle).toContainText('full: hand it in');
  await bottle.getByLabel('The bottle holds').fill('none');
  await expect(bottle).toContainText('Give a volume above 0.');
  await bottle.getByLabel('The bottle holds').fill('1000');
  expect((await page.pdf({ format: 'A4' })).length).toBeGreaterThan(1000);
  await bottle.getByRole('button', { name: /^Handed in/ }).click();
  await expect(bottle).toContainText('Empty');
  await expect(bottle).toContainText('Last handed in on');
  await page.getByRole('button', { name: 'Take that back' }).click();
  await expect(bottle).toContainText('full: hand it in');
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Where you live' })).toHaveValue('Tuesdays, behind the town hall');
});

test('what a roll cost is reckoned from prices typed once, for each frame that came out', async ({ page }) => {
  await openDemo(page, '/rolls/past-09');
  await page.getByText(/^What it cost/).click();
  const table = page.getByRole('table', { name: 'Cost of the roll' });
  await expect(table).toContainText('not priced');
  await page.getByLabel('A roll of film').fill('7.20');
  await page.getByLabel('A litre of fixer').fill('a few');
  await expect(page.getByText(/^“a few” is not a number/)).toBeVisible();
  await page.getByLabel('A litre of fixer').fill('6');
  await expect(table.getByRole('row', { name: /^In all/ })).toContainText('7.70');
  await page.getByLabel('Came out').fill('10');
  await expect(table.getByRole('row', { name: /^For each of 10 frames/ })).toContainText('0.77');
});
