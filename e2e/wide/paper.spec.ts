import { PNG } from 'pngjs';
import { expect, test } from '@playwright/test';
import { choose, openDemo, recordsOf } from '../bench';

test('a paper’s own range is found by a strip without a negative, kept, and used by its next print', async ({
  page,
}) => {
  await openDemo(page, '/prints/print-dog');
  await page.getByRole('radio', { name: 'The paper by itself' }).click();
  await page.getByLabel('Begins with').fill('0.5');
  await page.getByRole('textbox', { name: 'Patches' }).fill('12');
  await page.getByRole('button', { name: 'full black at 1.0 s' }).click();
  await page.getByRole('button', { name: 'first grey at 1.4 s' }).click();
  const told = page.getByTestId('paper-range');
  await expect(told).toContainText('Black has to come after the first grey.');
  await page.getByRole('button', { name: 'full black at 11.3 s' }).click();
  await expect(told).toContainText('“Resin-coated, pearl” on grade 3 spans 91 hundredths of log exposure, ± 9');
  await expect(told).toContainText('By the table it would be 88.');
  await page.getByRole('button', { name: 'Keep it as this paper’s own' }).click();
  await expect(told).toContainText('With the strip before it is taken for');
  await page.getByRole('button', { name: 'Keep this print' }).click();
  const kept = async (): Promise<unknown> =>
    ((await recordsOf(page, 'aetas-demo')).prints as { id: string; ownRange?: { range: number } }[]).find(
      ({ id }) => id === 'print-dog',
    )?.ownRange?.range;
  await expect.poll(kept).toBeCloseTo(90.7, 0);
  await page.goto('/prints/print-stove');
  await page.getByLabel('Paper', { exact: true }).fill('resin-coated, PEARL ');
  await page.getByLabel('Grade', { exact: true }).fill('3');
  await page.getByRole('radio', { name: 'The paper by itself' }).click();
  await page.getByRole('button', { name: 'first grey at 4.0 s' }).click();
  await page.getByRole('button', { name: 'full black at 22.6 s' }).click();
  await expect(told).toContainText('With the strip before it is taken for');
  await expect(told).toContainText('it has its whole curve');
  await page.getByRole('button', { name: 'grey card at 11.3 s' }).click();
  await expect(page.getByRole('img', { name: 'The curve of this paper' })).toBeVisible();
});

test('areas are drawn on the picture, told where they meet, and outlive a reload', async ({ page }) => {
  await openDemo(page, '/prints/print-stove');
  await page.getByRole('button', { name: /^Draw ?: area 1/ }).click();
  const map = page.getByTestId('area-map');
  await map.scrollIntoViewIfNeeded();
  const stroke = async (from: number, to: number): Promise<void> => {
    const box = await map.boundingBox();
    if (box === null) throw new Error('The map is not in view.');
    await page.mouse.move(box.x + from * box.width, box.y + 0.2 * box.height);
    await page.mouse.down();
    await page.mouse.move(box.x + to * box.width, box.y + 0.7 * box.height, { steps: 4 });
    await page.mouse.up();
  };
  await stroke(0.1, 0.6);
  await expect(page.getByRole('img', { name: 'The picture with 1 area' })).toBeVisible();
  await page.getByRole('button', { name: 'One more' }).click();
  await page.getByLabel('Area 2').fill('corner');
  await page.getByLabel('stops, − for less').nth(1).fill('1');
  await page.getByRole('button', { name: /^Draw ?: area 2/ }).click();
  await stroke(0.4, 0.9);
  await expect(page.getByText('Where window and corner meet: +1.6 stops')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Where window and corner meet: +1.6 stops')).toBeVisible();
  await page.getByLabel('stops, − for less').nth(0).fill('-1');
  await page.getByLabel('stops, − for less').nth(1).fill('-2');
  await expect(page.getByText('more is held back than the base gives')).toBeVisible();
});

test('a scan is tied to its print, lies under its areas, and goes and comes with it', async ({ page }) => {
  await openDemo(page, '/prints/print-stove');
  const scan = PNG.sync.write(new PNG({ width: 800, height: 1000, colorType: 2 }));
  const choosing = page.getByLabel('Scan of the print');
  await choosing.setInputFiles({ name: 'scan.txt', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert').filter({ hasText: 'scan.txt' })).toBeVisible();
  await choosing.setInputFiles({ name: 'stove.png', mimeType: 'image/png', buffer: scan });
  await expect(page.getByRole('button', { name: /^Picture/ })).toContainText('the scan of this print');
  const map = page.getByTestId('area-map');
  await expect(map.locator('image')).toHaveCount(1);
  const box = await map.boundingBox();
  expect((box?.height ?? 0) / (box?.width ?? 1)).toBeCloseTo(1.25, 1);
  const scans = async (): Promise<unknown[]> =>
    ((await recordsOf(page, 'aetas-demo')).photos as { of?: string }[]).filter(({ of }) => of === 'print');
  await expect.poll(async () => (await scans()).length).toBe(1);
  await page.reload();
  await expect(map.locator('image')).toHaveCount(1);
  await choose(page, /^Picture/, 'a plain frame');
  await expect(map).toHaveCount(0);
  await page.getByRole('button', { name: 'Take it off the bench' }).click();
  await expect.poll(async () => (await scans()).length).toBe(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await scans()).length).toBe(1);
});

test('a print is judged by what it looks like, and the next one begins like it', async ({ page }) => {
  await openDemo(page, '/prints/print-stove');
  await page.getByText('Judge it: which one does it look like?').click();
  await page.getByRole('group', { name: 'How dark' }).getByRole('button', { name: 'a little dark' }).click();
  await page.getByRole('group', { name: 'How hard' }).getByRole('button', { name: 'a little hard' }).click();
  // 19 s less half a stop, and a grade softer, on which the lights want three quarters of it.
  await expect(page.getByTestId('next-print')).toContainText('The next one: 10.1 s on grade 1.');
  await page.getByRole('button', { name: 'Keep this print' }).click();
  const all = async () =>
    (await recordsOf(page, 'aetas-demo')).prints as { name: string; baseS: number; grade: string; judged?: object }[];
  const count = (await all()).length;
  await expect.poll(async () => (await all()).filter(({ judged }) => judged !== undefined)).toHaveLength(1);
  await page.getByRole('link', { name: 'Begin that one' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'A print' })).toBeVisible();
  await expect(page.getByLabel('What is on it')).toHaveValue('Aunt Ragnfrid by the stove');
  await expect(page.getByLabel('Exposure', { exact: true })).toHaveValue('10.1');
  await expect(page.getByLabel('Grade', { exact: true })).toHaveValue('1');
  await page.getByRole('button', { name: 'Keep this print' }).click();
  await expect(page.getByRole('link', { name: 'The same again' })).toBeVisible();
  await expect.poll(async () => (await all()).length).toBe(count + 1);
  const made = (await all()).filter(({ name }) => name === 'Aunt Ragnfrid by the stove');
  expect(made.map(({ grade }) => grade).sort()).toEqual(['1', '2']);
  expect(made.find(({ grade }) => grade === '1')?.judged).toBeUndefined();
  // What was judged is of that exposure: another one on the same record is another print.
  await page.goto('/prints/print-stove');
  await page.getByText('Judge it: which one does it look like?').click();
  await page.getByLabel('Exposure', { exact: true }).fill('15');
  await expect(page.getByText(/what was judged goes when it is kept/)).toBeVisible();
  await page.getByRole('group', { name: 'How dark' }).getByRole('button', { name: 'much too dark' }).click();
  await page.getByRole('button', { name: 'Keep this print' }).click();
  await expect.poll(async () => (await all()).filter(({ judged }) => judged !== undefined)).toHaveLength(0);
});

test('what another grade costs is common practice at first, and the paper’s own after a comparison', async ({
  page,
}) => {
  await openDemo(page, '/prints/print-stove');
  await page.getByText('Another grade, size, aperture').click();
  await page.getByLabel('New grade or filter').fill('4');
  const cost = page.getByTestId('grade-cost');
  await expect(cost).toContainText('Grade 4 takes 2.00 × the time of grade 2');
  await expect(cost).toContainText('by common practice');
  await page.getByLabel('One grey took').fill('10');
  await page.getByLabel('Now it takes').fill('30');
  await page.getByRole('button', { name: 'Keep it: 3.00 × the time' }).click();
  await expect(cost).toContainText('by one comparison on this paper');
  await page.getByRole('button', { name: /^Take grade 4: 5\d\.\d s/ }).click();
  await expect(page.getByLabel('Grade', { exact: true })).toHaveValue('4');
  await page.getByRole('button', { name: 'Keep this print' }).click();
  const kept = async () =>
    ((await recordsOf(page, 'aetas-demo')).prints as { id: string; gradeStep?: unknown }[]).find(
      ({ id }) => id === 'print-stove',
    )?.gradeStep;
  await expect.poll(kept).toEqual({ from: '2', to: '4', factor: 3 });
});

test('a tray poured from a jug counts its sheets at the jug', async ({ page }) => {
  await openDemo(page, '/prints/print-stove');
  await page.getByText('How long in each tray').click();
  await choose(page, /^Poured from/, /^Hut fixer/);
  const tally = page.getByRole('status').filter({ hasText: 'sheets of 8 × 10 through it' });
  const before = Number(/, ([\d.]+) sheets/.exec((await tally.textContent()) ?? '')?.[1]);
  await page.getByRole('button', { name: 'One more sheet' }).click();
  await expect(tally).toContainText(`${(before + 1).toFixed(1)} sheets`);
  const films = async (): Promise<number[]> =>
    ((await recordsOf(page, 'aetas-demo')).brews as { name: string; films: number }[])
      .filter(({ name }) => name === 'Hut fixer')
      .map((jug) => jug.films);
  await expect.poll(films).toContain(before + 1);
  await page.getByRole('button', { name: 'One less' }).click();
  await expect(tally).toContainText(`${before.toFixed(1)} sheets`);
});
