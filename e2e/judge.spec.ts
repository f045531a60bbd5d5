import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import { USE_TIME, choose, openDemo, openWhy, recordsOf } from './bench';

test('the predicted strips follow what is chosen, and a strategy is taken by its picture', async ({ page }) => {
  await openDemo(page, '/rolls/tin-3#choose');
  // The time is the one with everything that the bench has learned.
  await expect(page.getByRole('button', { name: USE_TIME })).toBeEnabled();
  await openWhy(page);
  const strips = page.getByRole('region', { name: 'How it would look' });
  await expect(strips.locator('svg')).toHaveCount(8);
  const hold = page.locator('label').filter({ hasText: 'Hold' });
  const greys = () => hold.locator('svg').first().locator('path').first().getAttribute('fill');
  const before = await greys();
  await page.getByRole('button', { name: 'My time', exact: true }).click();
  await page.locator('#ownTimeMin').fill('8:00');
  await expect(page.getByTestId('own-outlook')).toContainText('8:00');
  await expect(strips.locator('svg')).toHaveCount(10);
  await page.getByRole('textbox', { name: 'Instant coffee' }).fill('10');
  await expect.poll(greys).toBe(before);
  await hold.getByRole('radio').check();
  await expect(page.getByTestId('time')).toHaveText('8:00');
  await expect(strips.getByRole('img', { name: 'Softest likely, scanned' })).toBeVisible();
});

test('a verdict by likeness, what went wrong, and its advice in the next plan', async ({ page }) => {
  await openDemo(page, '/rolls/barograph');
  await page.getByRole('radio', { name: 'Much too soft' }).click();
  await page.getByRole('radio', { name: 'Clear', exact: true }).click();
  await page.getByRole('radio', { name: 'Open', exact: true }).click();
  await page.getByRole('radio', { name: 'Even', exact: true }).click();
  await page.getByRole('button', { name: /^(Save verdict|Save the changed verdict)$/ }).click();
  const diagnosis = page.getByRole('region', { name: /^(What went wrong|Likely)/ });
  await expect(diagnosis).toBeVisible();
  await expect(page.getByTestId('taught')).toContainText(/Other rolls changed: .*“.+” goes from \d+:\d\d to/);
  await diagnosis.getByText('What is known').click();
  await expect(diagnosis.getByRole('button', { name: 'Thin', exact: true })).toHaveAttribute('aria-pressed', 'true');
  // The next questions, answered as they come: the rim print accuses the development.
  for (let turn = 0; turn < 8; turn++) {
    const rim = diagnosis.getByRole('button', { name: 'Thin and grey' });
    if (await rim.isVisible()) {
      await rim.click();
      break;
    }
    const fresh = diagnosis.getByRole('button', {
      name: /^(All alike|Mixed within the hour|Washing soda, sure|Clean|None)$/,
    });
    await fresh.first().click();
  }
  await expect(diagnosis.getByRole('list', { name: 'Likely causes' }).getByRole('listitem').first()).toContainText(
    'Too short, too cold or too little agitation',
  );
  await page.reload();
  await expect(diagnosis.getByRole('list', { name: 'Likely causes' }).getByRole('listitem').first()).toContainText(
    'Too short, too cold or too little agitation',
  );
});

test('no image at all ends the questions and teaches nothing', async ({ page }) => {
  await openDemo(page, '/rolls/barograph');
  await page.getByRole('radio', { name: 'None: the film is clear' }).click();
  await expect(page.getByRole('radio', { name: 'Much too soft' })).toBeHidden();
  await page.getByRole('button', { name: /^(Save verdict|Save the changed verdict)$/ }).click();
  await expect(page.getByRole('region', { name: /^(What went wrong|Likely)/ })).toBeVisible();
  const { verdicts } = await recordsOf(page, 'aetas-demo');
  expect(
    (verdicts as { rollId: string; defects: string[] }[]).find(({ rollId }) => rollId === 'barograph')?.defects,
  ).toEqual(['no-image']);
});

test('a run goes out as a lab note, and the log as CSV', async ({ page }) => {
  await openDemo(page, '/log/run-past-03');
  const [note] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a lab note' }).click(),
  ]);
  const files = unzipSync(await readFile(await note.path()));
  expect(strFromU8(files['note.md'] ?? new Uint8Array())).toMatch(
    /^# Snow gauge[\s\S]*\| Develop \| Developer \| 14:05 \|/,
  );
  await page.goto('/log');
  await page.getByRole('searchbox').fill('coffee');
  await expect(page.getByRole('status')).toContainText(/of \d+/);
  const [table] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save these as CSV' }).click(),
  ]);
  const text = await readFile(await table.path(), 'utf8');
  expect(text.split('\r\n')[0]).toContain('begun,roll,film,developer,temperature_c');
  expect(text).toContain('Snow gauge');
});

test('a developer is found by its bottle, and a roll by another word for the same', async ({ page }) => {
  await openDemo(page, '/rolls/tin-3#choose');
  await page.getByTestId('band').waitFor();
  await choose(page, 'Developer', /^p-Aminophenol/);
  await page.getByText('Which bottle is it?').click();
  await page.getByRole('button', { name: /^Hydroquinone syrup concentrate/ }).click();
  await expect(page.locator('#developer')).toContainText('Hydroquinone syrup concentrate');
  await page.goto('/log');
  await page.getByRole('searchbox').fill('stout');
  await expect(page.getByRole('status')).toContainText(/^[1-9]\d* of/);
  await page.getByRole('searchbox').fill('zinc');
  await expect(page.getByRole('status')).toContainText('No run is like that');
});

test('two runs side by side: what differs is marked, and how each came out is drawn', async ({ page }) => {
  await openDemo(page, '/log');
  await page.getByRole('button', { name: 'Compare runs' }).click();
  const ticks = page.getByRole('checkbox', { name: /^Compare / });
  // The first is not judged yet.
  await ticks.nth(1).check();
  await ticks.nth(3).check();
  await page.getByRole('link', { name: 'Compare these 2' }).click();
  const table = page.getByRole('region', { name: 'Comparison' });
  await expect(table.getByRole('columnheader')).toHaveCount(2);
  await expect(table.getByRole('row', { name: /^(Developer|Film)\s*, differs/ }).first()).toBeVisible();
  await expect(table.getByRole('img', { name: 'As scanned, by its verdict' })).toHaveCount(2);
  await expect(page.getByRole('img', { name: /poured out after/ })).toBeVisible();
  await page.goto('/log/compare?run=nothing');
  await expect(page.getByText('It takes two runs that are still on this bench.')).toBeVisible();
});

test('columns of the log are chosen, stay chosen, and sort', async ({ page }) => {
  await openDemo(page, '/log');
  const sort = page.getByRole('group', { name: 'Sort by' });
  const toggle = async (name: string, on: boolean): Promise<void> => {
    const box = page.getByRole('checkbox', { name });
    await box.click();
    await expect(box).toBeChecked({ checked: on });
  };
  await expect(sort.getByRole('button', { name: 'Temperature' })).toHaveCount(0);
  await page.getByText('Columns', { exact: true }).click();
  await toggle('Temperature', true);
  await toggle('Agitation', true);
  await toggle('Time it would have needed', true);
  await expect(page.getByText(/^\d\d\.\d °C$/).first()).toBeVisible();
  await page.reload();
  await sort.getByRole('button', { name: 'Temperature' }).click();
  await expect(sort.getByRole('button', { name: 'Temperature' })).toHaveAttribute('aria-pressed', 'true');
  await expect(sort.getByRole('button', { name: 'Needed' })).toBeVisible();
  await page.getByText('Columns', { exact: true }).click();
  await toggle('Temperature', false);
  await expect(sort.getByRole('button', { name: 'Temperature' })).toHaveCount(0);
});

test('a film judged again on another day: kept beside its verdict, told, taken back', async ({ page }) => {
  await openDemo(page, '/log/learned');
  const eye = page.getByRole('region', { name: 'How steady is your eye?' });
  await expect(eye).toContainText('Until then Aetas assumes 0.8 of a grade.');
  const repeats = async (): Promise<number> => {
    const { verdicts = [] } = await recordsOf(page, 'aetas-demo');
    return (verdicts as { again?: unknown[] }[]).reduce((sum, { again = [] }) => sum + again.length, 0);
  };
  const film = await eye.locator('b').textContent();
  await eye.getByRole('radio', { name: 'As wanted' }).click();
  await expect(eye.getByRole('status')).toContainText(`${film}: `);
  await expect(eye).toContainText('from 1 repeat; 0.8 is usual');
  await expect(eye.locator('b')).not.toHaveText(film ?? '');
  expect(await repeats()).toBe(1);
  await eye.getByRole('button', { name: 'Take it back' }).click();
  await expect(eye).toContainText('Until then');
  expect(await repeats()).toBe(0);
});
