import { expect, test } from '@playwright/test';
import { openDemo } from './bench';

test('the first roll: eight steps, kept as they are done, printed on one sheet', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('aetas.bench', 'own'));
  await page.goto('/');
  await page.getByRole('link', { name: /Eight steps/ }).click();
  await expect(page.getByRole('heading', { name: 'Your first roll' })).toBeVisible();
  await expect(page.getByRole('list').first().getByRole('heading', { level: 2 })).toHaveCount(8);
  await page.getByRole('button', { name: 'Done, or I know it' }).click();
  await expect(page.getByText('1 done; pass over what you know')).toBeVisible();
  await page.getByRole('button', { name: 'Done, or I know it' }).click();
  // Loading with the eyes shut is read aloud and timed.
  await page.getByRole('button', { name: 'Read it to me, eyes shut' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Tank, lid, reel' })).toBeVisible();
  await page.getByRole('button', { name: 'It is in the tank' }).click();
  await expect(page.getByText('Blind so far: 0:0')).toBeVisible();
  await page.reload();
  await expect(page.getByText('2 done; pass over what you know')).toBeVisible();
  await expect(page.getByText('Blind so far: 0:0')).toBeVisible();
  expect((await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
});

test('empty places show what they will hold, lead on, and lead to the demo bench and back', async ({ page }) => {
  await page.goto('/');
  await page.evaluate(() => localStorage.setItem('aetas.bench', 'own'));
  for (const [path, words, act] of [
    ['/rolls', 'No rolls yet', 'Ask about a film'],
    ['/log', 'No run yet', 'Go to the bench'],
    ['/log/learned', 'Nothing yet', 'Go to the bench'],
    ['/evening', 'laid out from rolls', 'Go to the bench'],
  ] as const) {
    await page.goto(path);
    await expect(page.getByText(words)).toBeVisible();
    await expect(page.getByRole('link', { name: act })).toBeVisible();
    await expect(page.getByTestId('demo-bench')).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'Look round the demo bench' }).click();
  await expect(page.getByTestId('demo-bench')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Rolls on the bench' })).toBeVisible();
  await page.goto('/handbook');
  await expect(page.getByTestId('demo-bench')).toBeVisible();
  await page.getByRole('button', { name: 'Go to my own bench' }).click();
  await expect(page.getByTestId('time')).toBeVisible();
  await expect(page.getByTestId('demo-bench')).toHaveCount(0);
});

test('the handbook answers to the first letters, and a term opens its own place there', async ({ page }) => {
  await openDemo(page, '/handbook');
  await page.getByRole('searchbox').fill('milk');
  const answers = page.getByRole('list', { name: 'Answers' });
  await expect(answers.getByRole('listitem').first()).toContainText('not fixed through');
  await page.getByRole('searchbox').fill('zzqx');
  await expect(page.getByText('Nothing by that name')).toBeVisible();
  await page.getByRole('searchbox').fill('restrainer');
  await answers.getByRole('link', { name: 'Restrainer' }).first().click();
  await expect(page).toHaveURL(/#term-restrainer/);
});
