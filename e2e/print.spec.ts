import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { MORNING, openDemo, recordsOf } from './bench';

test('from the strip to the print that hangs, with a reload in the dark', async ({ page }) => {
  await page.clock.install({ time: MORNING });
  await openDemo(page, '/prints/new?roll=past-09');
  await page.getByLabel('What is on it').fill('Frame 12, the same, laughing');
  await page.getByLabel('Begins with').fill('8');
  await page.getByLabel('Patches', { exact: true }).fill('13');
  await expect(page.getByText('Give 2 to 12.')).toBeVisible();
  await page.getByLabel('Patches', { exact: true }).fill('3');
  const patches = page.getByRole('list', { name: 'Patches of the strip' }).getByRole('listitem');
  await expect(patches).toHaveCount(3);
  await expect(patches.nth(1)).toContainText('11.3 s');
  await expect(patches.nth(1)).toContainText('+ 3.3');
  await page.getByRole('button', { name: 'Expose the strip' }).click();
  const timer = page.getByRole('dialog', { name: 'Enlarger timer' });
  await expect(timer).toContainText('1 of 3 · lamp off');
  await page.keyboard.press('Space');
  await expect(timer).toContainText('lamp on');
  await page.clock.fastForward(3_000);
  await page.reload();
  await expect(timer).toContainText('lamp on');
  const left = Number(await page.getByTestId('lamp').textContent());
  expect(left).toBeGreaterThan(0);
  expect(left).toBeLessThanOrEqual(5.1);
  await page.clock.fastForward(6_000);
  for (const patch of [2, 3]) {
    await expect(timer).toContainText(`${patch} of 3 · lamp off`);
    await page.keyboard.press('Space');
    await expect(timer).toContainText('lamp on');
    await page.clock.fastForward(9_000);
  }
  await expect(timer).toContainText('Into the tray');
  await page.getByRole('button', { name: 'Back to the print' }).click();

  await patches
    .nth(2)
    .getByRole('button', { name: /lights right/ })
    .click();
  await patches
    .nth(1)
    .getByRole('button', { name: /darks right/ })
    .click();
  await expect(page.getByTestId('two-tones')).toContainText(/16\.0 s \(.* grade [12]/);
  // Softer than the strip's own grade: less light keeps the light tones where they are.
  await expect(page.getByTestId('two-tones')).toContainText('On grade 1 the lights want about 12.0 s');
  await page.getByRole('button', { name: 'Take 12.0 s and grade 1' }).click();
  await expect(page.getByLabel('Exposure', { exact: true })).toHaveValue('12');
  await page.getByLabel('Exposure', { exact: true }).fill('16');
  await page.getByRole('button', { name: 'An area' }).click();
  await page.getByLabel('Area 1').fill('sky');
  await page.getByLabel('stops, − for less').fill('1');
  await page.getByRole('button', { name: 'One more' }).click();
  await page.getByLabel('Area 2').fill('face');
  await page.getByLabel('stops, − for less').last().fill('-1');
  const hands = page.getByRole('list', { name: 'What the hands do' }).getByRole('listitem');
  await expect(hands).toHaveCount(3);
  await expect(hands.filter({ hasText: 'Burn in: sky' })).toContainText('16.0 s');
  await expect(hands.filter({ hasText: 'Hold back: face' })).toContainText('8.0 s');
  await page.getByRole('button', { name: 'To the lamp' }).click();
  // A foot pedal sends a key of its own.
  await page.keyboard.press('PageDown');
  await page.clock.fastForward(9_000);
  await expect(timer).toContainText('Hold back: face');
  await page.clock.fastForward(8_000);
  await expect(timer).toContainText('Burn in: sky');
  await page.getByRole('button', { name: 'Leave the timer' }).click();

  await page.getByText('Another grade, size, aperture').click();
  await page.getByLabel('New size, mm').fill('480');
  await page.getByRole('button', { name: /^At that size: 5\d\.\d s$/ }).click();
  await expect(page.getByLabel('On the print, mm')).toHaveValue('480');
  await page.getByLabel('Lens to paper, cm').fill('60');
  await page.getByLabel('Now, cm').fill('30');
  await page.getByRole('button', { name: /^At that distance: 1\d\.\d s$/ }).click();
  await page.getByText('How long in each tray').click();
  await page.getByLabel('Sheets of 8 × 10 so far').fill('8');
  await expect(page.getByTestId('tray-time')).toContainText('6:00');
  await page.getByLabel('First image after').fill('12');
  await expect(page.getByText('By its first image: 1:36')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this print' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Frame 12, the same, laughing' })).toBeVisible();
  await page.getByRole('button', { name: 'This is the one that hangs' }).click();
  await expect(page.getByRole('button', { name: 'It is not the one that hangs' })).toBeVisible();
  await page.goto('/prints');
  await expect(page.getByRole('listitem').filter({ hasText: 'laughing' })).toContainText('the one that hangs');
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save them as a table' }).click();
  expect(await readFile(await (await saving).path(), 'utf8')).toMatch(
    /^day,name,roll,[^]*"Frame 12, the same, laughing",Hut dog/,
  );
  const { prints } = await recordsOf(page, 'aetas-demo');
  const kept = (prints as { name: string; rollId: string; baseS: number; final: boolean }[]).filter(({ name }) =>
    name.includes('Frame 12'),
  );
  expect(kept).toHaveLength(1);
  expect(kept[0]).toMatchObject({ rollId: 'past-09', final: true });
});

test('a contact sheet, a second filter, a lamp that is late, and the baths after the developer', async ({ page }) => {
  await openDemo(page, '/prints/new?roll=past-09&sheet=contact');
  await expect(page.getByLabel('What is on it')).toHaveValue('Contact sheet');
  await page.getByRole('button', { name: 'edge is gone at 11.3 s' }).click();
  await expect(page.getByTestId('two-tones')).toContainText('11.3 s is the least that turns the clear edge black');
  await page.getByRole('button', { name: 'Take 11.3 s' }).click();
  await expect(page.getByLabel('Exposure')).toHaveValue('11.3');

  await page.goto('/prints/new');
  await page.getByLabel('Then a hard filter').fill('6');
  await expect(page.getByRole('list', { name: 'What the hands do' })).toContainText('Hard filter in');
  await page.getByText(/^The lamp/).click();
  await page.getByLabel('10 of 1 s look like one of').fill('8.2');
  await expect(page.getByText('The lamp: 0.20 s late, added each time')).toBeVisible();
  await page.getByRole('button', { name: 'To the lamp' }).click();
  await expect(page.getByText('Soft filter: the whole paper')).toBeVisible();
  await expect(page.getByTestId('lamp')).toHaveText(/12\.2/);
});

test('a picture is made again until one hangs, and its paper, roll and log know it', async ({ page }) => {
  await openDemo(page, '/prints/print-stove');
  await page.getByText('Another grade, size, aperture').click();
  await page.getByRole('button', { name: /^Taken off: 17\.5 s$/ }).click();
  await page.getByLabel('Developed in').click();
  await page.getByRole('option', { name: 'coffee' }).click();
  await page.getByLabel('or seconds').fill('8.75');
  await page.getByLabel('or seconds').blur();
  await expect(page.getByLabel('stops, − for less')).toHaveValue(/^0\.58/);
  await page.getByLabel('or seconds').fill('-30');
  await page.getByLabel('or seconds').blur();
  await page.getByRole('button', { name: 'Keep this print' }).click();
  await expect(page.getByText(/^Stops: /)).toBeVisible();
  await page.getByLabel('or seconds').fill('17.5');
  await page.getByLabel('or seconds').blur();
  await expect(page.getByLabel('stops, − for less')).toHaveValue('1');
  await page.getByRole('button', { name: 'Keep this print' }).click();
  await page.getByRole('button', { name: 'This is the one that hangs' }).click();
  await expect(page.getByRole('button', { name: 'It is not the one that hangs' })).toBeVisible();

  await page.getByRole('link', { name: 'The same again' }).click();
  const series = page.getByRole('list', { name: 'Prints of this picture' });
  await expect(series).toContainText('this one');
  await expect(page.getByLabel('Developed in')).toContainText('coffee');
  await page.getByLabel('Grade', { exact: true }).fill('3');
  await page.getByRole('button', { name: 'Keep this print' }).click();
  await expect(series.getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'This is the one that hangs' }).click();
  await expect(page.getByRole('button', { name: 'It is not the one that hangs' })).toBeVisible();
  await expect(series.getByText('hangs')).toHaveCount(1);
  await expect(series.getByRole('listitem').last()).toContainText('hangs');

  // Another print on this paper is offered what was taken off here.
  await page.goto('/prints/new');
  await page.getByLabel('Paper', { exact: true }).fill('fibre, matt');
  await page.getByText('Another grade, size, aperture').click();
  await page.getByRole('button', { name: 'Do the same here' }).click();
  await expect(page.getByLabel('Dries darker by')).toHaveValue('8');

  await page.goto('/rolls/past-04');
  await expect(page.getByRole('list', { name: 'Prints of this roll' }).getByRole('listitem')).toHaveCount(2);
  await page.goto('/log');
  await page.getByLabel('Search the log').fill('stove');
  await page.getByRole('link', { name: '2 prints have these words too' }).click();
  await expect(page.getByRole('searchbox', { name: 'Search the prints' })).toHaveValue('stove');
  await expect(page.getByRole('listitem').filter({ hasText: 'Ragnfrid' })).toHaveCount(2);
});

test('the baths after the developer follow the paper, and a fixer counts its sheets', async ({ page }) => {
  await openDemo(page, '/prints/print-dog');
  await page.getByText('How long in each tray').click();
  const baths = page.getByRole('list', { name: 'Baths after the developer' });
  await expect(baths.getByRole('listitem')).toHaveCount(4);
  await page.getByRole('radio', { name: 'Fibre base' }).click();
  await page.getByRole('radio', { name: 'Two fixers in turn' }).click();
  await expect(baths.getByRole('listitem')).toHaveCount(7);
  await page.getByLabel('Sheets of 8 × 10 through it').fill('40');
  await expect(page.getByText('It has done its 40 sheets: mix another, or prints brown in years.')).toBeVisible();
});

test('paper in the dark: the box in its order, and a light that was tested', async ({ page }) => {
  await openDemo(page, '/prints');
  await page.getByRole('link', { name: 'Paper in the dark' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'A sheet from its box' })).toBeVisible();
  await expect(page.getByText('Say aloud: the box is closed.')).toBeVisible();
  await page.getByRole('radio', { name: 'Is this light safe?' }).click();
  await page.getByRole('radio', { name: '8 min' }).click();
  await expect(page.getByRole('status')).toContainText('A sheet may lie in this light for 2 minutes');
  await page.reload();
  await page.getByRole('radio', { name: 'Is this light safe?' }).click();
  await expect(page.getByRole('status')).toContainText('for 2 minutes');
  await page.getByRole('radio', { name: '2 min' }).click();
  await expect(page.getByRole('status')).toContainText('Not safe.');
});

test('the strip shows the print on the grades that are open, and a colour head has its units', async ({ page }) => {
  await openDemo(page, '/prints/new');
  await page.getByText('A colour head for the filters').click();
  await page.getByLabel('Its scale goes to').fill('170');
  await expect(page.getByText('Grade 2: all filters at nought.')).toBeVisible();
  await page.getByRole('button', { name: 'lights right at 8.0 s' }).click();
  await page.getByRole('button', { name: 'darks right at 5.7 s' }).click();
  const seen = page.getByRole('list', { name: 'The print on other grades' });
  await expect(seen.getByRole('img', { name: 'The hut printed on grade 2' })).toBeVisible();
  await page.getByRole('button', { name: /^Take \d+\.\d s and grade / }).click();
  await expect(page.getByText(/^Grade \d+: (yellow|magenta) \d+, the others at nought\./)).toBeVisible();
  // A strip on a setting of the head makes the head one's own, whatever the print is made on afterwards.
  await page.getByLabel('Paper', { exact: true }).fill('Pearl');
  await page.getByLabel('Grade', { exact: true }).fill('60 M');
  await page.getByRole('radio', { name: 'The paper by itself' }).click();
  await page.getByRole('button', { name: 'first grey at 4.0 s' }).click();
  await page.getByRole('button', { name: 'full black at 22.6 s' }).click();
  await page.getByRole('button', { name: 'Keep it as this paper’s own' }).click();
  await page.getByLabel('Grade', { exact: true }).fill('3');
  const own = page.getByText(/^Grade 3: magenta \d+, likely .* by one strip of this paper on your head\.$/);
  await expect(own).toBeVisible();
  await page.getByLabel('What is on it').fill('The gate');
  await page.getByRole('button', { name: 'Keep this print' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'The gate' })).toBeVisible();
  await page.goto('/prints/new');
  await page.getByLabel('Paper', { exact: true }).fill('pearl');
  await page.getByLabel('Grade', { exact: true }).fill('3');
  await expect(own).toBeVisible();
});

test('the lamp says what comes next where a voice is wanted', async ({ page }) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    Object.assign(window, { said });
    if ('speechSynthesis' in window)
      window.speechSynthesis.speak = (utterance: SpeechSynthesisUtterance) => said.push(utterance.text);
    else
      Object.assign(window, {
        SpeechSynthesisUtterance: class {
          constructor(readonly text: string) {}
        },
        speechSynthesis: { cancel: () => undefined, speak: ({ text }: { text: string }) => said.push(text) },
      });
  });
  await openDemo(page, '/prints/new');
  await page.getByRole('button', { name: 'Expose the strip' }).click();
  const timer = page.getByRole('dialog', { name: 'Enlarger timer' });
  const said = (): Promise<string[]> => page.evaluate(() => (window as unknown as { said: string[] }).said);
  await timer.getByRole('button', { name: 'voice off' }).click();
  await expect.poll(said).toEqual(['The whole paper. 4 seconds.']);
  await timer.getByRole('button', { name: 'Lamp on' }).click();
  await expect.poll(said).toContain('Patch 1 covered. 1.7 seconds.');
  await timer.getByRole('button', { name: 'voice on' }).click();
  await timer.getByRole('button', { name: 'Leave the timer' }).click();
});
