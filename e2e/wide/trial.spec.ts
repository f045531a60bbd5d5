import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { USE_TIME, addRoll, choose, openDemo, openStage, recordsOf } from '../bench';

/** What the world of this test shows: each brew its contrast and its fog, as a little scatter leaves them. */
const shown: Record<string, { contrast: string; fog: number }> = {
  Coffee: { contrast: 'As wanted', fog: 0.31 },
  Stout: { contrast: 'Much too soft', fog: 0.3 },
  'Green tea': { contrast: 'As wanted', fog: 0.45 },
  Neither: { contrast: 'Much too soft', fog: 0.22 },
};

/** Reads the strip that is offered, by what it had; its code alone is on the page. */
async function readNext(page: Page, had: Map<string, string>, nth: number): Promise<void> {
  const heading = page.getByRole('heading', { name: /^Read strip / });
  const code = ((await heading.textContent()) ?? '').replace('Read strip ', '');
  const { contrast = '', fog = 0 } = shown[had.get(code) ?? ''] ?? {};
  await page.getByRole('radio', { name: contrast }).click();
  await page.getByLabel('Base + fog').fill((fog + 0.01 * (nth % 3)).toFixed(2));
  await page.getByRole('button', { name: 'Keep it, and the next' }).click();
  await expect(page.getByRole('heading', { name: `Read strip ${code}` })).toHaveCount(0);
}

test('on an empty bench: three brews and a control on twelve strips, one is lost, and the answer is told', async ({
  page,
}) => {
  await page.goto('/trials');
  await page.getByRole('link', { name: 'Lay a trial out' }).click();
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(page.getByText('Name of the trial: give at least one letter.')).toBeVisible();
  await page.getByLabel('Name of the trial').fill('Three mugs');
  await page.getByLabel('Strip 2', { exact: true }).fill('Stout');
  await page.getByRole('button', { name: 'One more' }).click();
  await page.getByLabel('Strip 3', { exact: true }).fill('Green tea');
  await page.getByRole('button', { name: 'One more' }).click();
  await page.getByLabel('Strip 4', { exact: true }).fill('Neither');
  await page.getByRole('radio', { name: 'control' }).last().click();
  await expect(page.getByLabel('Strips from each')).toHaveValue('4');
  await expect(page.getByTestId('forecast')).toContainText('What 3 strips of each would see');
  await expect(page.getByTestId('forecast')).toContainText(
    /Contrast by eye: \d\.\d grades or more, in 80 of 100 trials/,
  );
  await page.reload();
  await expect(page.getByLabel('Strip 4', { exact: true })).toHaveValue('Neither');
  await page.getByRole('button', { name: 'Lay it out' }).click();

  await expect(page.getByRole('heading', { level: 1, name: 'Three mugs' })).toBeVisible();
  const strips = page.getByRole('list', { name: 'Strips' }).getByRole('listitem');
  await expect(strips).toHaveCount(12);
  const had = new Map<string, string>();
  for (const strip of await strips.all()) {
    const [code = '', level = ''] = await Promise.all([
      strip.locator('b').textContent(),
      strip.locator('b + span').evaluate((element) => element.firstChild?.textContent ?? ''),
    ]).then((found) => found.map((one) => one ?? ''));
    had.set(code, level);
  }
  expect([...had.values()].sort()).toEqual(
    Object.keys(shown)
      .flatMap((name) => [name, name, name])
      .sort(),
  );
  const lost = [...had].find(([, level]) => level === 'Stout')?.[0] ?? '';
  await page
    .getByRole('button', { name: `Lost : ${lost}` })
    .or(page.getByRole('button', { name: `Lost: ${lost}` }))
    .click();
  await page.getByLabel('Why').fill('Stuck to the reel');
  await page.getByRole('button', { name: 'It is lost' }).click();
  await expect(page.getByRole('button', { name: /^It hangs/ })).toHaveCount(11);
  for (let hung = 0; hung < 11; hung++) {
    await page
      .getByRole('button', { name: /^It hangs/ })
      .first()
      .click();
    await expect(page.getByRole('button', { name: /^It hangs/ })).toHaveCount(10 - hung);
  }
  // Nothing on the page says what the strip had.
  const text = (await page.locator('main').textContent()) ?? '';
  for (const name of ['Coffee', 'Stout', 'Green tea']) expect(text).not.toContain(name);
  for (let nth = 0; nth < 11; nth++) {
    if (nth === 4) await page.reload();
    await readNext(page, had, nth);
  }
  await expect(page.getByText('11 of 12 strips read, 1 lost.')).toBeVisible();
  await expect(page.getByTestId('told-contrast-0')).toContainText('“Coffee” is harder than “Neither” by 2.0 grades');
  await expect(page.getByTestId('told-fog-2')).toContainText(/“Green tea” is more fogged than “Neither” by 0\.2\d D/);
  await expect(strips.filter({ hasText: 'lost: Stuck to the reel' })).toHaveCount(1);

  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the readings' }).click();
  const rows = (await readFile(await (await saving).path(), 'utf8')).trim().split('\r\n');
  expect(rows).toHaveLength(1 + 24);
  expect(rows[0]).toBe('code,roll_or_day,day,level,control,measure,value,unit,lost');
  await page.getByRole('button', { name: 'Take it off the bench' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Trials' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Three mugs' })).toBeVisible();
});

test('a trial may be looked at before all is read, and says that the rest is no longer blind', async ({ page }) => {
  await openDemo(page, '/trials/trial-soda');
  await page.getByLabel('Base + fog').fill('a lot');
  await page.getByRole('button', { name: 'Keep it, and the next' }).click();
  await expect(page.getByText('Base + fog: give a number from 0 to 4.')).toBeVisible();
  await expect(page.getByText('Choose the one that it looks like.')).toBeVisible();
  await page.getByRole('button', { name: 'Stop here and look' }).click();
  await expect(page.getByRole('heading', { name: 'What it says' })).toBeVisible();
  await expect(page.getByText('Its label was opened.')).toBeVisible();
  await expect(page.getByTestId('go-on')).not.toBeEmpty();
});

test('levels that differ in temperature are each timed by their own', async ({ page }) => {
  await openDemo(page, '/trials/trial-soda');
  await page.getByRole('button', { name: 'Lay the evening out' }).click();
  await choose(page, 'Strips are cut from', 'Tin 3, cloud studies');
  await choose(page, 'Beside brew and time, what differs is', 'the temperature');
  for (const level of ['54 g/l', '27 g/l']) await choose(page, level, 'Hut coffee · AKRW');
  const expected = page.getByText(/^expected /);
  await expect(expected).toHaveCount(2);
  const cool = (await expected.first().textContent()) ?? '';
  await expect(expected.last()).toHaveText(cool);
  await page.getByLabel('Temperature of “27 g/l”').fill('hot');
  await expect(page.getByText('“27 g/l”: give its temperature, 5 to 40 °C.')).toBeVisible();
  await page.getByLabel('Temperature of “27 g/l”').fill('25');
  await expect(expected.last()).not.toHaveText(cool);
  await expect(expected.first()).toHaveText(cool);
});

test('what a trial found counts in the times of its rolls, is named there, and is taken back', async ({ page }) => {
  await addRoll(page, 'Shoebox, hill fog');
  const roll = new URL(page.url()).pathname;
  await page.getByRole('button', { name: USE_TIME }).click();
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
  await expect(page.getByRole('button', { name: 'Go to the tank' })).toBeVisible();
  const bandOf = async (): Promise<string> => {
    await page.goto(`${roll}#choose`);
    await expect(page.getByTestId('band')).toBeVisible();
    return (await page.getByTestId('band').textContent()) ?? '';
  };
  const before = await bandOf();

  await page.goto('/trials/new');
  await page.getByLabel('Name of the trial').fill('Two mugs');
  await page.getByRole('checkbox', { name: 'Contrast by eye' }).uncheck();
  await page.getByRole('checkbox', { name: 'Average gradient' }).check();
  await page.getByLabel('Rolls or days').fill('1');
  await page.getByLabel('Strips from each').fill('4');
  await page.getByRole('button', { name: 'Lay it out' }).click();
  for (let waiting = 4; waiting > 0; waiting--) {
    await page
      .getByRole('button', { name: /^It hangs/ })
      .first()
      .click();
    await expect(page.getByRole('button', { name: /^It hangs/ })).toHaveCount(waiting - 1);
  }
  for (let strip = 0; strip < 4; strip++) {
    const heading = page.getByRole('heading', { name: /^Read strip / });
    const code = (await heading.textContent()) ?? '';
    await page.getByLabel('Average gradient').fill((0.5 + 0.01 * strip).toFixed(2));
    await page.getByLabel('Base + fog').fill('0.62');
    await page.getByRole('button', { name: 'Keep it, and the next' }).click();
    await expect(page.getByRole('heading', { name: code, exact: true })).toHaveCount(0);
  }
  await page.getByText('Let the estimates learn from its 4 strips').click();
  await page.getByRole('button', { name: 'Let the estimates learn from it' }).click();
  await expect(page.getByText(/^Nothing to learn yet/)).toBeVisible();
  await choose(page, 'All strips came from', 'Shoebox, hill fog');
  await choose(page, /^Coffee/, /·/);
  await page.reload();
  await page.getByText('Let the estimates learn from its 4 strips').click();
  await page.getByRole('button', { name: 'Let the estimates learn from it' }).click();
  await expect(page.getByText('“Coffee”: give its time, 0.1 to 300 min.')).toBeVisible();
  await page.getByLabel('Time in “Coffee”').fill('12');
  await page.getByRole('button', { name: 'Let the estimates learn from it' }).click();
  await expect(page.getByText(/^2 strips count among the evidence/)).toBeVisible();
  expect((await recordsOf(page, 'aetas')).evidence).toHaveLength(2);

  expect(await bandOf()).not.toBe(before);
  await openStage(page, 'Test');
  await expect(page.getByText(/Strip \w{2} of the trial “Two mugs”/)).toHaveCount(2);
  await page.goto('/trials');
  await page.getByRole('link', { name: 'Two mugs' }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('Let the estimates learn from its 4 strips')).toBeVisible();
  expect((await recordsOf(page, 'aetas')).evidence).toHaveLength(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/^2 strips count among the evidence/)).toBeVisible();
});

test('a trial goes out as a file, is refused when it is none, repeated, and put with another', async ({ page }) => {
  await openDemo(page, '/trials/trial-mugs');
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it for somebody to repeat' }).click();
  const file = { name: 'mugs.json', mimeType: 'application/json', buffer: await readFile(await (await saving).path()) };
  const name = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
  await page.goto('/trials');
  const field = page.getByLabel('File of a trial');
  await field.setInputFiles({ ...file, buffer: Buffer.from('{"format":"aetas-records"}') });
  await expect(page.getByText(/This is no trial/)).toBeVisible();
  await field.setInputFiles(file);
  await expect(page.getByText('Nothing has been changed yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Repeat it here' }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'To develop, in this order' })).toBeVisible();
  const strips = (): Promise<number[]> =>
    recordsOf(page, 'aetas-demo').then(({ trials }) =>
      (trials as { name: string; strips: unknown[] }[])
        .filter((trial) => trial.name === name)
        .map((trial) => trial.strips.length)
        .sort((a, b) => a - b),
    );
  const [one = 0] = await strips();
  expect(await strips()).toEqual([one, one]);
  await page.goto('/trials');
  await field.setInputFiles(file);
  await page
    .getByRole('button', { name: `Put its strips with “${name}”` })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  await expect.poll(strips).toEqual([one, 2 * one]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(strips).toEqual([one, one]);
});

test('what is left of a trial is mixed once and put on a clock, with a time for each brew', async ({ page }) => {
  await openDemo(page, '/trials/trial-soda');
  await page.getByRole('button', { name: 'Lay the evening out' }).click();
  await choose(page, /^54 g\/l/, /^Nettle tea, from behind the hut Your recipe|^Nettle tea, from behind the hut$/);
  await choose(page, /^27 g\/l/, /without what develops/);
  await choose(page, /^Strips are cut from/, 'Portraits, winter crew');
  await expect(page.getByText(/^expected \d+:\d\d \(\d+:\d\d to \d+:\d\d\)$/)).toHaveCount(1);
  await page.getByRole('button', { name: 'To come out alike: take the expected times' }).click();
  await page.getByRole('button', { name: 'The control’s time for all' }).click();
  const mix = page.getByTestId('trial-mix');
  // Two tanks of the one, one of the other, 300 ml each: 60 g of soda a litre.
  await expect(mix).toContainText('36.0 g Washing soda');
  await expect(mix).toContainText('18.0 g Washing soda');
  const clock = page.getByTestId('trial-clock');
  await expect(clock.getByRole('row', { name: /A9 in “54 g\/l”/ })).toBeVisible();
  await page.getByLabel('Start at').fill('late');
  await expect(page.getByText('Start at: give a time such as 18:30.')).toBeVisible();
  await expect(clock).toHaveCount(0);
  await page.getByLabel('Start at').fill('20:00');
  await page.reload();
  await page.getByRole('button', { name: 'Lay the evening out' }).click();
  await expect(page.getByTestId('trial-clock').getByRole('row', { name: /^20:00 Mix the 2 brews/ })).toBeVisible();
});

test('grain and evenness are read by patches, blind, on a trial over two days; its labels and exposure sheet are for paper', async ({
  page,
}) => {
  await openDemo(page, '/trials/new');
  await page.getByLabel('Name of the trial').fill('Stand or not');
  for (const [name, on] of [
    ['Contrast by eye', false],
    ['Base + fog', false],
    ['Grain by eye', true],
    ['Unevenness by eye', true],
  ] as const)
    await page.getByRole('checkbox', { name }).setChecked(on);
  await page.getByLabel('Rolls or days').fill('2');
  await page.getByLabel('On how many days').fill('3');
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(page.getByText('On how many days: give a whole number, no more than there are rolls.')).toBeVisible();
  await page.getByLabel('On how many days').fill('2');
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(page.getByText('roll 1, day 1').first()).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('table', { name: 'roll 2, day 2' })).toBeVisible();
  await page.emulateMedia({ media: 'screen' });
  const levels = new Map<string, string>();
  for (const row of await page.getByRole('list', { name: 'Strips' }).getByRole('listitem').all()) {
    const text = (await row.textContent()) ?? '';
    levels.set(text.slice(0, 2), text);
  }
  const hang = page.getByRole('button', { name: /^It hangs/ });
  await hang.first().click();
  // The strip in hand stays in hand while others are hung.
  const inHand = page.getByRole('heading', { name: /^Read strip / });
  const first = (await inHand.textContent()) ?? '';
  for (let left = levels.size - 1; left > 0; left--) {
    await hang.first().click();
    await expect(hang).toHaveCount(left - 1);
    await expect(inHand).toHaveText(first);
  }
  for (let read = 0; read < levels.size; read++) {
    const heading = page.getByRole('heading', { name: /^Read strip / });
    const code = ((await heading.textContent()) ?? '').replace('Read strip ', '');
    expect([...levels.keys()]).toContain(code);
    const bare = (levels.get(code) ?? '').includes('without');
    for (const name of [bare ? 'Coarse' : 'Fine', 'Even']) {
      const patch = page.getByRole('radio', { name, exact: true });
      await patch.click();
      await expect(patch).toBeChecked();
    }
    await page.getByRole('button', { name: 'Keep it, and the next' }).click();
    if (read < levels.size - 1) await expect(heading).not.toHaveText(`Read strip ${code}`);
  }
  await expect(page.getByTestId('told-grain-0')).toContainText(
    '“Coffee” is finer than “The same without coffee” by 2.0 steps',
  );
  await expect(page.getByTestId('told-unevenness-0')).toContainText('are alike');
});

test('a strip that was measured gives a trial its figures, and curves lie over each other', async ({ page }) => {
  await openDemo(page, '/trials/trial-soda');
  await expect(page.getByRole('heading', { name: /^Read strip / })).toBeVisible();
  await choose(page, /^From a strip that was measured/, /^Clip, grey card/);
  await expect(page.getByText('Its curve of 8 steps is taken over.')).toBeVisible();
  await expect(page.getByLabel('Base + fog')).toHaveValue(/^0\.3\d/);
  await page.reload();
  await expect(page.getByText('Its curve of 8 steps is taken over.')).toBeVisible();
  await page.getByRole('radio', { name: 'As wanted' }).click();
  await page.getByRole('button', { name: 'Keep it, and the next' }).click();
  const curves = async (): Promise<number> => {
    const trials = (await recordsOf(page, 'aetas-demo')).trials as { id: string; strips: { curve?: unknown }[] }[];
    return trials.find(({ id }) => id === 'trial-soda')?.strips.filter(({ curve }) => curve !== undefined).length ?? 0;
  };
  await expect.poll(curves).toBe(1);
  await page.goto('/trials/trial-mugs');
  await expect(page.getByRole('img', { name: /^Characteristic curves of Hut coffee \(\d strips\)/ })).toBeVisible();
});

test('film that is short is told before anything is mixed, and a clip’s sheet asks for a wedge', async ({ page }) => {
  await page.goto('/trials/new');
  await expect(page.getByTestId('film-need')).toHaveText('6 strips take 0.30 m of film.');
  await page.getByLabel('Film at hand').fill('20 cm');
  await page.getByLabel('Film at hand').blur();
  await expect(page.getByTestId('film-need')).toContainText('There is film for 4 of them');
  await choose(page, 'Each strip is', 'a short length, spooled');
  await page.getByLabel('Film at hand').fill('12 ft');
  await page.getByLabel('Film at hand').blur();
  await expect(page.getByTestId('film-need')).toContainText('There is film for 5 of them');
  await page.getByLabel('Frames of each').fill('half');
  await page.getByLabel('Name of the trial').fill('Short film');
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(page.getByText('Frames of a length: give a whole number.')).toBeVisible();
  await choose(page, 'Each strip is', 'a clip of 5 cm');
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Short film' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByText('One step wedge on every strip, by the same light; note the light.')).toBeVisible();
});

test('strips that were photographed stand side by side when their labels are opened', async ({ page }) => {
  await openDemo(page, '/rolls/past-03/strip');
  await page.getByRole('button', { name: 'Try it on a made-up strip' }).click();
  await page.getByRole('button', { name: 'Add to the evidence' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Practice strip' })).toContainText('in the evidence');
  await page.goto('/trials/trial-soda');
  const code = ((await page.getByRole('heading', { name: /^Read strip / }).textContent()) ?? '').slice(-2);
  await choose(page, /^From a strip that was measured/, /^Practice strip/);
  await page.getByRole('radio', { name: 'As wanted' }).click();
  await page.getByRole('button', { name: 'Keep it, and the next' }).click();
  await expect(page.getByRole('heading', { name: `Read strip ${code}` })).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'Side by side' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Stop here and look' }).click();
  const picture = page.getByRole('img', { name: new RegExp(`^Strip ${code}, (54|27) g/l`) });
  await expect(picture).toBeVisible();
  await expect.poll(() => picture.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(50);
});
