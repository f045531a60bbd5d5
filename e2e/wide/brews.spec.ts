import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import {
  MORNING,
  USE_TIME,
  addIngredient,
  addRoll,
  choose,
  openDemo,
  openStage,
  openWhy,
  recordsOf,
  topOf,
} from '../bench';

const seconds = (text: string): number => text.split(':').reduce((sum, part) => sum * 60 + Number(part), 0);
const timeOf = async (page: Page): Promise<number> =>
  seconds((await page.getByTestId('brew-time').textContent()) ?? '');
const number = async (page: Page, id: string): Promise<number> =>
  Number(((await page.getByTestId(id).textContent()) ?? '').replace(/[^\d.]/g, ''));

/** The demo's kit as it is stored: what was typed gets there a moment after the letter. */
async function kitOf(page: Page): Promise<Record<string, unknown>> {
  const [settings] = (await recordsOf(page, 'aetas-demo')).settings as { kit: Record<string, unknown> }[];
  return settings?.kit ?? {};
}

/** Opens the workbench with standard coffee for the roll of the tin, once its time is there. */
async function openCoffee(page: Page): Promise<void> {
  await openDemo(page, '/brews/workbench?recipe=coffee-standard&roll=tin-3');
  await expect(page.getByTestId('brew-time')).toBeVisible();
}

test('pH, strength and the roll’s time move while the recipe is changed, and a reload keeps what was typed', async ({
  page,
}) => {
  await openCoffee(page);
  const before = await timeOf(page);
  expect(await number(page, 'ph')).toBeGreaterThan(10);
  expect(await number(page, 'rate')).toBe(1);
  await expect(page.getByTestId('amount-line-2')).toHaveText('20.0 g');
  await page.getByLabel('Instant coffee, in a litre').fill('20');
  await expect(page.getByTestId('amount-line-2')).toHaveText('10.0 g');
  await expect.poll(() => timeOf(page)).toBeGreaterThan(before);
  expect(await number(page, 'rate')).toBeLessThan(0.7);
  await page.reload();
  await expect(page.getByTestId('amount-line-2')).toHaveText('10.0 g');
  await page.getByRole('radio', { name: /spoons, level/ }).click();
  await expect(page.getByText(/weighing ±\s[12]\d\s%/)).toBeVisible();
});

test('baking soda is stopped with the reason and the mend; crystals and tablets are converted', async ({ page }) => {
  await openCoffee(page);
  await choose(page, 'Which soda do you have?', /^Soda crystals/);
  await expect(page.getByTestId('amount-line-0')).toHaveText('72.9 g');
  await choose(page, 'Which soda do you have?', /^Baking soda From/);
  const alert = page.getByRole('alert').filter({ hasText: 'Stop.' });
  await expect(alert).toContainText('Baking soda is not washing soda');
  await expect(page.getByRole('button', { name: 'Guide me through mixing' })).toBeDisabled();
  await expect(page.getByTestId('brew-time')).toHaveCount(0);
  await page.getByRole('button', { name: 'Dry it in the oven first' }).click();
  await expect(alert).toHaveCount(0);
  await expect(page.getByText(/From 43 g of baking soda/)).toBeVisible();
  await expect(page.getByTestId('brew-time')).toBeVisible();
  const ph = await number(page, 'ph');
  await choose(page, 'Form of ascorbic acid', /^Effervescent/);
  await expect(page.getByTestId('amount-line-1')).toHaveText('8 tablets');
  await expect(page.getByText(/Their citric acid uses up \d/)).toBeVisible();
  expect(await number(page, 'ph')).toBeLessThan(ph);
});

test('too little soda is mended by the amount that it names', async ({ page }) => {
  await openCoffee(page);
  await page.getByLabel('Washing soda, anhydrous, in a litre').fill('8');
  const mend = page.getByRole('button', { name: /^Take \d+ g\/l of washing soda/ });
  await mend.click();
  await expect(page.getByLabel('Washing soda, anhydrous, in a litre')).toHaveValue('54');
  await expect(mend).toHaveCount(0);
});

test('senseless amounts are told at their line, nothing is lost, and the sheet comes back', async ({ page }) => {
  await openCoffee(page);
  const soda = page.getByLabel('Washing soda, anhydrous, in a litre');
  for (const [typed, sentence] of [
    ['0', /0 means nothing to weigh/],
    ['-5', /Give an amount such as/],
    ['a handful', /Give an amount such as/],
  ] as const) {
    await soda.fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Guide me through mixing' })).toBeDisabled();
  }
  await page.reload();
  await expect(soda).toHaveValue('a handful');
  await soda.fill('54');
  await expect(page.getByRole('button', { name: 'Guide me through mixing' })).toBeEnabled();
  await page.getByRole('radio', { name: 'A volume' }).click();
  await page.getByLabel('Volume', { exact: true }).fill('20');
  await soda.fill('999');
  await expect(page.getByText(/20\.0 g does not dissolve in 20 ml: at 20 °C that takes 4\.3 g/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Guide me through mixing' })).toBeDisabled();
  await page.getByLabel('Volume', { exact: true }).fill('3');
  await expect(page.getByText('Volume: give a number from 20 to 100000 ml.')).toBeVisible();
});

test('while an amount is emptied, the sheet stands grey where it stood, prices stay open, and nothing can be weighed', async ({
  page,
}) => {
  await openCoffee(page);
  await page.getByText('Your prices').click();
  const price = page.getByLabel('Instant coffee', { exact: true });
  await price.fill('9');
  const order = page.getByRole('list', { name: 'Order of mixing' });
  const [top, before] = [await topOf(order), await page.getByTestId('amount-line-2').textContent()];
  await page.getByLabel('Instant coffee, in a litre').fill('');
  await expect(page.getByText('Fill in the empty field to see the time.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Guide me through mixing' })).toBeDisabled();
  await expect(page.getByTestId('amount-line-2')).toHaveText(before ?? '');
  await expect(price).toBeVisible();
  // A line of error is all that comes between.
  expect(Math.abs((await topOf(order)) - top)).toBeLessThan(60);
  await page.getByLabel('Instant coffee, in a litre').fill('60');
  await expect(page.getByTestId('amount-line-2')).toHaveText('30.0 g');
  await expect(page.getByRole('button', { name: 'Guide me through mixing' })).toBeEnabled();
});

test('in °F and fluid ounces: small volumes keep their figures on the workbench, the sheet and the label', async ({
  page,
}) => {
  await openDemo(page, '/brews/workbench?recipe=syrup');
  await page.getByRole('button', { name: /Switch to °F and fl oz/ }).click();
  await expect(page.getByRole('button', { name: /Switch to °C and ml/ })).toBeVisible();
  await page.getByRole('radio', { name: 'A volume' }).click();
  await page.getByLabel('Volume', { exact: true }).fill('16');
  // 16 fl oz are 473 ml: 14.8 ml of concentrate, which a cylinder in steps of 1 ml shows as 15.
  await expect(page.getByTestId('amount-line-0')).toHaveText('0.507 fl oz');
  await page.getByLabel('Wanted').fill('70');
  await expect(page.getByTestId('water-words')).toContainText(/at 70\.1 °F/);
  await page.getByRole('button', { name: 'Guide me through mixing' }).click();
  await page.getByRole('button', { name: 'The water is in' }).click();
  await expect(page.getByTestId('mix-target')).toHaveText('0.507 fl oz');
  await page.getByLabel('What went in').fill('0.6');
  await expect(page.getByText(/More than the target/)).toBeVisible();
  await page.getByLabel('What went in').fill('15 ml');
  await page.getByRole('button', { name: 'Added' }).click();
  await page.getByLabel('It reads').fill('70.5');
  await page.getByRole('button', { name: 'Added' }).click();
  await expect(page.getByRole('row', { name: /syrup concentrate/i })).toContainText('0.507 fl oz');
  await page.getByRole('button', { name: 'Finish the jug' }).click();
  await expect(page.getByTestId('label').first()).toContainText('16.0 fl oz');
  const { brews } = await recordsOf(page, 'aetas-demo');
  const made = (brews as { name: string; parts: { actual: number }[]; temperatureC: number | null }[]).find(
    ({ parts }) => parts?.[0]?.actual === 15,
  );
  expect(made?.temperatureC).toBeCloseTo((70.5 - 32) / 1.8, 6);
});

test('what is left of the scarcest decides the volume; unknown and animal ingredients are told for what they are', async ({
  page,
}) => {
  await openCoffee(page);
  await page.getByRole('radio', { name: 'What is left' }).click();
  await choose(page, 'Scarcest ingredient', 'Ascorbic acid');
  await page.getByLabel('Left of it').fill('12');
  await expect(page.getByTestId('volume')).toHaveText('750 ml');
  await addIngredient(page, 'goat milk', /goat milk.*your own ingredient/);
  await page.getByLabel('goat milk, in a litre').fill('5');
  await expect(page.getByText('Aetas does not know this one: it is weighed and recorded')).toBeVisible();
  await expect(page.getByText('The pH is not known: Aetas does not know goat milk.')).toBeVisible();
  const order = page.getByRole('list', { name: 'Order of mixing' });
  await expect(order).toContainText('Anything of animal origin is a biohazard');
  await page.getByRole('button', { name: 'remove from the recipe: goat milk' }).click();
  await addIngredient(page, 'sal ammoniac', 'Ammonium chloride');
  await page.getByLabel('Ammonium chloride, in a litre').fill('5');
  await expect(order).toContainText('Ammonium salt and alkali together give off ammonia');
});

test('a dilution is read as written, with the other reading offered; a coarse scale and thermometer are told', async ({
  page,
}) => {
  await openDemo(page, '/brews/workbench?recipe=syrup');
  await page.getByRole('radio', { name: 'A volume' }).click();
  await page.getByLabel('Volume', { exact: true }).fill('500');
  const dilution = page.getByLabel('Dilution, as written');
  await dilution.fill('1:9');
  await expect(page.getByText('50.0 ml + 450 ml water = 500 ml')).toBeVisible();
  await page.getByRole('button', { name: 'Read it as 1+8 instead' }).click();
  await expect(page.getByText('55.6 ml + 444 ml water = 500 ml')).toBeVisible();
  await dilution.fill('nine to nothing at all');
  await expect(page.getByText(/does not read as a dilution/)).toBeVisible();
  await dilution.fill('15 in 500');
  await expect(page.getByText('15.0 ml + 485 ml water = 500 ml')).toBeVisible();

  await openDemo(page, '/brews/kit');
  await page.getByLabel('Smallest step').fill('1');
  await page.getByLabel('Smallest mark').nth(1).fill('much');
  await expect(page.getByText(/Step of the thermometer: give a number from 0.01/)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Smallest mark').nth(1)).toHaveValue('much');
  await page.getByLabel('Smallest mark').nth(1).fill('1');
  await expect.poll(() => kitOf(page)).toMatchObject({ thermometerStepC: 1 });
  await openDemo(page, '/brews/workbench?recipe=coffee-restrained');
  await page.getByLabel('Wanted').fill('20.5');
  await expect(page.getByText('Your thermometer cannot show 20.5 °C: its nearest mark is 21.0 °C.')).toBeVisible();
  await page.getByRole('radio', { name: 'A volume' }).click();
  await page.getByLabel('Volume', { exact: true }).fill('1000');
  await expect(page.getByText('dissolve 10 g in water to make 100 ml, and take 10.0 ml of that')).toBeVisible();
});

test('from the roll to the jug: weighed on the simulated scale, undone, timed over a reload, and the ledger shows it', async ({
  page,
}) => {
  await page.clock.install({ time: MORNING });
  await openDemo(page, '/rolls/instruments#mix');
  await page.locator('#mix').getByRole('button', { name: 'Guide me through mixing' }).click();
  await expect(page.getByRole('heading', { name: 'Water first' })).toBeVisible();
  await expect(page.getByTestId('mix-target')).toHaveText('294 ml');
  await page.getByRole('button', { name: 'The water is in' }).click();

  // Bromide from the simulated scale: the cup is tared away before a reading can be taken.
  await expect(page.getByRole('heading', { name: 'Potassium bromide' })).toBeVisible();
  await expect(page.getByText('0.35 g to 0.45 g is as near as your scale goes')).toBeVisible();
  await page.clock.runFor(2000);
  await expect(page.getByTestId('scale')).toHaveText(/38\.[345] g/);
  await expect(page.getByRole('button', { name: 'Take this reading' })).toBeDisabled();
  await page.getByRole('button', { name: 'Tare' }).click();
  await page.getByRole('button', { name: 'Pour' }).click();
  await page.clock.runFor(3000);
  await expect(page.getByTestId('scale')).toHaveText(/0\.[345] g/);
  await page.getByRole('button', { name: 'Take this reading' }).click();

  // The concentrate is typed: nonsense is told, too much is told, undo comes back.
  await expect(page.getByRole('heading', { name: 'p-Aminophenol concentrate', exact: true })).toBeVisible();
  await page.getByLabel('What went in').fill('a splash');
  await expect(page.getByRole('alert').filter({ hasText: 'is not a unit' })).toBeVisible();
  await page.getByLabel('What went in').fill('12');
  await expect(page.getByText(/More than the target/)).toBeVisible();
  await page.getByRole('button', { name: 'Added' }).click();
  await expect(page.getByRole('heading', { name: 'Let it stand' })).toBeVisible();
  await page.getByRole('button', { name: /^Undo: back to p-aminophenol/ }).click();
  await expect(page.getByLabel('What went in')).toHaveValue('12');
  await page.getByLabel('What went in').fill('7');
  await page.getByRole('button', { name: 'Added' }).click();

  await page.clock.runFor(60_000);
  await expect(page.getByTestId('standing')).toHaveText(/^(6:5\d|7:00)$/);
  await page.reload();
  await page.clock.runFor(60_000);
  await expect(page.getByTestId('standing')).toHaveText(/^5:[45]\d$/);
  await page.clock.runFor(7 * 60_000);
  await expect(page.getByTestId('standing')).toHaveText('Ready');
  await page.getByRole('button', { name: 'Go on' }).click();
  await page.getByRole('button', { name: /^(Added exactly|Filled to the mark)/ }).click();
  await page.clock.runFor(60_000);
  await expect(page.getByTestId('probe')).toHaveText(/2[01]\.\d °C/);
  await page.getByRole('button', { name: 'Take this reading' }).click();
  await expect(page.getByRole('heading', { name: 'It is mixed' })).toBeVisible();
  await page.getByRole('button', { name: 'Finish the jug' }).click();

  const label = page.getByTestId('label').first();
  await expect(label).toContainText('Not a drink');
  await expect(label).toContainText('Harmful when swallowed');
  await expect(label.getByRole('img', { name: 'Label as a code to scan' })).toBeVisible();
  expect((await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
  await page.getByRole('button', { name: 'Count one film' }).click();
  await expect(page.getByTestId('jug-left')).toContainText('1 film through it');

  await page.goto('/rolls/instruments');
  await expect(page.getByRole('link', { name: /^Mix/ })).toContainText('mixed 24 Nov');
  await openStage(page, 'Choose');
  await openWhy(page);
  await expect(page.locator('#choose')).toContainText('7.0 ml p-Aminophenol concentrate for 7.8 ml');
  const { plans, brews, mixes } = await recordsOf(page, 'aetas-demo');
  const plan = (plans as { rollId: string; brewId: string }[]).find(({ rollId }) => rollId === 'instruments');
  const brew = (brews as { id: string; temperatureC: number; developer: { parts: { water: number } } }[]).find(
    ({ id }) => id === plan?.brewId,
  );
  expect(brew?.developer.parts.water).toBeCloseTo(400 / 7 - 1, 1);
  expect(brew?.temperatureC).toBeGreaterThan(19);
  expect(mixes).toHaveLength(2);
});

test('a kit’s weights are asked for, not guessed, and then its share follows', async ({ page }) => {
  await openDemo(page, '/brews/workbench?recipe=one-bath');
  await expect(page.getByText('First part of the kit: type the weight printed on your packet.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Guide me through mixing' })).toBeDisabled();
  await page.getByLabel('The packet weighs').first().fill('120');
  await page.getByLabel('The packet weighs').last().fill('80');
  await expect(page.getByTestId('amount-line-0')).toHaveText('39.6 g');
  await expect(page.getByText('33 % of the packet.').first()).toBeVisible();
  await page.getByRole('button', { name: 'Guide me through mixing' }).click();
  await expect(page.getByRole('heading', { name: 'Water first' })).toBeVisible();
});

test('a mixing waits among the brews, goes on where it was, and giving it up is undone', async ({ page }) => {
  await openDemo(page, '/brews/workbench?recipe=stop-citric');
  await page.getByRole('button', { name: 'Guide me through mixing' }).click();
  await page.getByRole('button', { name: 'The water is in' }).click();
  await page.getByRole('link', { name: 'Pause' }).click();
  const waiting = page
    .getByRole('listitem')
    .filter({ hasText: 'Citric stop' })
    .filter({ has: page.getByRole('link', { name: 'Go on' }) });
  await expect(waiting).toContainText(/1 of \d done/);
  await waiting.getByRole('link', { name: 'Go on' }).click();
  await expect(page.getByRole('heading', { name: 'Citric acid' })).toBeVisible();
  await page.getByRole('button', { name: 'Discard this mix' }).click();
  await expect(page.getByRole('heading', { name: 'What are you mixing?' })).toBeVisible();
  await expect(waiting).toHaveCount(0);
  await page.goto('/records');
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByText(/2 mixes/)).toBeVisible();
  await page.goto('/brews');
  await expect(waiting).toBeVisible();
});

test('own recipes: duplicated, changed, saved to a file, taken in again; a bad file changes nothing', async ({
  page,
}) => {
  await openDemo(page, '/brews');
  const own = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Your own' }) });
  await page.getByRole('button', { name: 'Duplicate Tea', exact: true }).click();
  await own.getByRole('link', { name: 'Tea, mine' }).click();
  await page.getByLabel('Black tea leaf, brewed, in a litre').fill('80');
  await page.getByLabel('Name', { exact: true }).fill('Tea, strong');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(page.getByText('“Tea, strong” is saved among your recipes.')).toBeVisible();
  await page.goto('/brews');
  await expect(own.getByRole('link', { name: 'Tea, strong' })).toBeVisible();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save my recipes' }).click();
  const text = await readFile(await (await saving).path(), 'utf8');
  expect(JSON.parse(text).recipes.map(({ name }: { name: string }) => name)).toContain('Tea, strong');
  await page.getByRole('button', { name: 'Delete Tea, strong' }).click();
  await expect(own.getByRole('link', { name: 'Tea, strong' })).toHaveCount(0);
  const file = (name: string, content: string) => ({
    name,
    mimeType: 'application/json',
    buffer: Buffer.from(content),
  });
  await page.getByLabel('File with recipes').setInputFiles(file('cut.json', text.slice(0, 100)));
  await expect(page.getByRole('alert').filter({ hasText: 'cut.json' })).toContainText(
    '“cut.json” was not opened, and nothing has changed.',
  );
  await expect(own.getByRole('link', { name: 'Tea, strong' })).toHaveCount(0);
  await page.getByLabel('File with recipes').setInputFiles(file('recipes.json', text));
  await expect(page.getByText('2 recipes taken in.')).toBeVisible();
  await own.getByRole('link', { name: 'Tea, strong' }).click();
  await expect(page.getByLabel('Black tea leaf, brewed, in a litre')).toHaveValue('80');
});

test('a recipe begun from nothing, with prices, prints on one page', async ({ page }) => {
  await openDemo(page, '/brews/workbench?recipe=new');
  await expect(page.getByText('Nothing in it yet: add the first ingredient.')).toBeVisible();
  for (const [search, name, perL] of [
    ['soda ash', 'Washing soda, anhydrous', '54'],
    ['vitamin', 'Ascorbic acid', '16'],
    ['stout', 'Dark beer', '900'],
  ] as const) {
    await addIngredient(page, search, name);
    await page.getByLabel(`${name}, in a litre`).fill(perL);
  }
  await addIngredient(page, 'hut syrup', /a concentrate to dilute/);
  await page.getByLabel('Dilution, as written').fill('10 in 1000');
  await expect(page.getByText(/Read as so much concentrate in the whole/)).toBeVisible();
  await page.getByRole('button', { name: 'remove from the recipe: hut syrup' }).click();
  await expect(page.getByText('Give it a name to save it.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Hut stout');
  await page.getByText('Your prices').click();
  const cost = page.getByRole('table', { name: 'Cost of a film' });
  await expect(cost).toContainText('type a price below');
  await page.getByLabel('Dark beer', { exact: true }).fill('3');
  await page.locator('#per-line-2').fill('500');
  await expect(cost).toContainText('1.78 €');
  await expect(cost).toContainText('without washing soda, ascorbic acid');
  await page.getByLabel('One-bath kit').fill('dear');
  await expect(page.getByText('“dear” is not a number: type digits, such as 4.50.')).toBeVisible();
  await page.getByLabel('One-bath kit').fill('22');
  await expect(cost).toContainText('2.00 €');
  await page.reload();
  await expect(cost).toContainText('2.00 €');
  await expect(page.getByRole('heading', { level: 1, name: 'Hut stout' })).toBeVisible();
  const printed = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(printed.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
});

test('the code on a label reads back as the label, by a reader that is not ours', async ({ page }) => {
  await openDemo(page, '/brews/brew-portraits');
  const code = page.getByRole('img', { name: 'Label as a code to scan' }).first();
  await code.evaluate((svg) =>
    svg.setAttribute('style', 'position:fixed;inset:0;width:600px;height:600px;padding:40px;background:#fff;z-index:9'),
  );
  const { data, width, height } = PNG.sync.read(await code.screenshot());
  const read = jsQR(new Uint8ClampedArray(data), width, height)?.data ?? '';
  const { brews } = await recordsOf(page, 'aetas-demo');
  const brew = (brews as { id: string; code: string; parts: { name: string }[] }[]).find(
    ({ id }) => id === 'brew-portraits',
  );
  expect(read).toMatch(new RegExp(`^${brew?.code} Hut coffee\\nmixed .*300 ml\\n`));
  for (const { name } of brew?.parts ?? [{ name: 'lost' }]) expect(read).toContain(name);
  expect(read).toMatch(/NOT A DRINK$/);
});

test('the workbench is worked by keys alone: amounts, soda, spoons, another ingredient, and on to the weighing', async ({
  page,
}) => {
  await openCoffee(page);
  const before = await timeOf(page);
  await page.getByLabel('Instant coffee, in a litre').focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('30');
  await expect(page.getByTestId('amount-line-2')).toHaveText('15.0 g');
  await expect.poll(() => timeOf(page)).toBeGreaterThan(before);
  await page.getByRole('button', { name: 'Which soda do you have?' }).focus();
  // What is typed at once is meant for the list, and presses no key of the page.
  await page.keyboard.press('Space');
  await page.keyboard.type('soda cry');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('amount-line-0')).toHaveText('72.9 g');
  await page.getByRole('combobox', { name: 'Add an ingredient' }).focus();
  await page.keyboard.type('bromide');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Potassium bromide, in a litre')).toBeVisible();
  await page.getByLabel('Potassium bromide, in a litre').focus();
  await page.keyboard.type('1');
  await expect(page.getByTestId('amount-line-3')).toHaveText('0.50 g');
  await page.getByLabel('Potassium bromide, in a litre').blur();
  await page.keyboard.press('s');
  await page.keyboard.press('s');
  await expect(page.getByRole('heading', { name: 'Water first' })).toBeVisible();
});

/** A stop of citric acid on its way: the water is in. */
async function beginStop(page: Page): Promise<void> {
  await openDemo(page, '/brews/workbench?recipe=stop-citric');
  await page.getByRole('button', { name: 'Guide me through mixing' }).click();
  await page.getByRole('button', { name: 'The water is in' }).click();
  await expect(page.getByRole('heading', { name: 'Citric acid' })).toBeVisible();
}

test('when storage fills up in the middle of a mixing, the sheet says so, stays where it is, and goes on when there is room', async ({
  page,
}) => {
  await beginStop(page);
  await expect(
    page.getByText('Acid: gloves and eye protection, and keep the powder away from your face.'),
  ).toBeVisible();
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    Object.assign(window, { roomAgain: () => (IDBObjectStore.prototype.put = put) });
  });
  await page.getByLabel('What went in').fill('14.6');
  await page.getByRole('button', { name: 'Added' }).click();
  await expect(page.getByText('The browser’s storage is full')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Citric acid' })).toBeVisible();
  await expect(page.getByLabel('What went in')).toHaveValue('14.6');
  await page.evaluate(() => (window as unknown as { roomAgain: () => void }).roomAgain());
  await page.getByRole('button', { name: 'Added' }).click();
  await expect(page.getByRole('heading', { name: 'Let it stand' })).toBeVisible();
  await expect(page.getByText('The browser’s storage is full')).toBeHidden();
});

test('two tabs on one mixing: the second follows, and one tap counts once', async ({ context, page }) => {
  await beginStop(page);
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByRole('heading', { name: 'Citric acid' })).toBeVisible();
  // Both at once, as two hands would: neither waits for the other's page to follow.
  await Promise.all(
    [page, second].map((tab) =>
      tab.evaluate(() => document.querySelector<HTMLButtonElement>('main button[type=submit]')?.click()),
    ),
  );
  for (const tab of [page, second]) await expect(tab.getByRole('heading', { name: 'Let it stand' })).toBeVisible();
  const { mixes } = await recordsOf(page, 'aetas-demo');
  const mix = (mixes as { batch: { recipeName: string }; events: { stepId: string }[]; brewId: string | null }[]).find(
    ({ batch, brewId }) => batch.recipeName === 'Citric stop' && brewId === null,
  );
  expect(mix?.events.map(({ stepId }) => stepId)).toEqual(['water', 'part:line-0']);
  await second.getByRole('button', { name: /^Undo: back to citric acid/ }).click();
  await expect(page.getByRole('heading', { name: 'Citric acid' })).toBeVisible();
});

test('a jug counts down on the bench: hours and films left, slower for the next film, then spent', async ({ page }) => {
  await page.clock.install({ time: MORNING });
  await openDemo(page);
  const jug = page.getByRole('listitem').filter({ hasText: 'Hut coffee' }).first();
  await expect(jug).toContainText(/good for 4 h \d+ min · 2 more films/);
  const full = await jug.getByRole('img').getAttribute('aria-label');
  await page.clock.fastForward(2 * 3_600_000);
  await expect(jug).toContainText(/next × 1\.\d+ · good for 2 h \d+ min/);
  expect(await jug.getByRole('img').getAttribute('aria-label')).not.toBe(full);
  await page.clock.fastForward(3 * 3_600_000);
  await expect(jug).toContainText('spent');
});

test('the kit decides what is shown: Australian tablespoons, a scale in steps of 5 g, a thermometer that ends too soon', async ({
  page,
}) => {
  await openDemo(page, '/brews/kit');
  await page.getByRole('radio', { name: 'Australian' }).click();
  await expect(page.getByText('A teaspoon of this set holds 5 ml, a tablespoon 20 ml, level.')).toBeVisible();
  await page.getByLabel('Smallest step').fill('5');
  await page.getByLabel('up to').last().fill('18');
  await expect.poll(() => kitOf(page)).toMatchObject({ scaleStepG: 5, thermometerHighC: 18 });
  await openDemo(page, '/brews/workbench?recipe=coffee-standard');
  await page.getByRole('radio', { name: 'A volume' }).click();
  await page.getByLabel('Volume', { exact: true }).fill('1000');
  await expect(page.getByTestId('amount-line-0')).toHaveText('55 g');
  await expect(page.getByText('A scale in steps of 5 g is too coarse for 16.0 g')).toBeVisible();
  await expect(page.getByText('Your thermometer does not reach 20.0 °C.')).toBeVisible();
  // 54 g of soda at 4.6 g a US teaspoon: 11.6 metric teaspoons, 2 tablespoons of four and 3½ of them.
  await expect(
    page.getByRole('table', { name: 'Ingredients' }).getByRole('row').filter({ hasText: 'Washing soda, anhydrous' }),
  ).toContainText('2 tbsp + 3½ tsp');
});

test('a teaspoon that was weighed goes before the tables, stays through a reload, and is taken back', async ({
  page,
}) => {
  await openDemo(page, '/brews/kit');
  await choose(page, 'A teaspoon of', 'Washing soda, anhydrous');
  await page.getByLabel('Washing soda, anhydrous').fill('900');
  await page.getByLabel('Washing soda, anhydrous').blur();
  await expect(page.getByText('A level teaspoon of yours: give a number from 0.1 to 40 g.')).toBeVisible();
  await page.getByLabel('Washing soda, anhydrous').fill('6,2');
  await page.reload();
  await expect(page.getByLabel('Washing soda, anhydrous')).toHaveValue('6.2');
  await expect.poll(() => kitOf(page)).toMatchObject({ teaspoons: { 'soda-anhydrous': 6.2 } });
  await page.goto('/brews/workbench?recipe=coffee-standard');
  await page.getByRole('radio', { name: 'A volume' }).click();
  await page.getByLabel('Volume', { exact: true }).fill('1000');
  const soda = page
    .getByRole('table', { name: 'Ingredients' })
    .getByRole('row')
    .filter({ hasText: 'Washing soda, anhydrous' });
  // 54 g at 6.2 g a teaspoon of one's own: 8.7 of them, two tablespoons of three and 2¾.
  await expect(soda).toContainText('2 tbsp + 2¾ tsp');
  await page.goto('/brews/kit');
  await page.getByRole('button', { name: 'Remove Washing soda, anhydrous' }).click();
  await expect.poll(async () => (await kitOf(page)).teaspoons ?? {}).toEqual({});
  await page.goto('/brews/workbench?recipe=coffee-standard');
  await expect(soda).not.toContainText('2 tbsp + 2¾ tsp');
});

test('a plan keeps what else its jug held when the jug is poured away, until that is left out', async ({ page }) => {
  await openDemo(page, '/brews/workbench?recipe=coffee-standard&roll=instruments');
  await addIngredient(page, 'borax', 'Borax');
  await page.getByLabel('Borax, in a litre').fill('12');
  await page.getByRole('button', { name: 'Guide me through mixing' }).click();
  await page.getByRole('button', { name: 'The water is in' }).click();
  for (const name of [/^Borax/, /^Washing soda/, /^Ascorbic acid/, /^Instant coffee/]) {
    await expect(page.getByRole('heading', { name })).toBeVisible();
    await page.getByRole('button', { name: /^(Added exactly|Filled to the mark)/ }).click();
  }
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await page.getByRole('button', { name: 'Strained' }).click();
  await page.getByRole('button', { name: /^(Added exactly|Filled to the mark)/ }).click();
  await page.getByRole('button', { name: 'Skip the reading' }).click();
  await page.getByRole('button', { name: 'Finish the jug' }).click();
  await expect(page.getByRole('heading', { name: 'Label' })).toBeVisible();
  const jugAddress = page.url();
  await page.goto('/rolls/instruments#choose');
  await page
    .locator('#choose')
    .getByRole('button', { name: /^Use .* instead$/ })
    .click();
  // A time was pinned before: the new one is there once its jug is the plan's.
  const jugOf = async (): Promise<string | null | undefined> => {
    const plans = (await recordsOf(page, 'aetas-demo')).plans as { rollId: string; brewId: string | null }[];
    return plans.find(({ rollId }) => rollId === 'instruments')?.brewId;
  };
  await expect.poll(async () => jugAddress.endsWith(`/${await jugOf()}`)).toBe(true);
  await page.goto(jugAddress);
  await page.getByRole('button', { name: 'Pour it away' }).click();
  await expect(page.getByRole('heading', { name: 'What are you mixing?' })).toBeVisible();
  await page.goto('/rolls/instruments#choose');
  const choose = page.locator('#choose');
  await expect(choose.getByText(/Also in the jug, calculated as borax 12\.\d g\/l/)).toBeVisible();
  const time = choose.getByTestId('time');
  const before = await time.textContent();
  await choose.getByRole('button', { name: 'Leave it out' }).click();
  await expect(choose.getByText(/Besides, as the jug/)).toHaveCount(0);
  await expect(time).not.toHaveText(before ?? '');
});

test('amounts typed as people say them, in this jug: the litre follows, and nonsense says what to give', async ({
  page,
}) => {
  await openDemo(page, '/brews/workbench?recipe=coffee-standard');
  const sheet = page.getByRole('table', { name: 'Ingredients' });
  const row = sheet.getByRole('row').filter({ hasText: 'Washing soda' }).first();
  await row.getByRole('button', { name: /^edit/ }).click();
  const field = page.getByLabel(/Washing soda.* in this jug/);
  await field.fill('3 spoons of it');
  await expect(page.getByText('Say whether it is a teaspoon or a tablespoon: 2 tsp, 1½ tbsp.')).toBeVisible();
  await field.fill('54 g');
  const perLitre = Number(await row.getByRole('textbox').first().inputValue());
  await field.fill('27 g');
  await expect
    .poll(async () => Number(await row.getByRole('textbox').first().inputValue()))
    .toBeCloseTo(perLitre / 2, 1);
  await field.fill('3 tbsp');
  await expect
    .poll(async () => Number(await row.getByRole('textbox').first().inputValue()))
    .toBeGreaterThan(perLitre / 2);
  await page.keyboard.press('Enter');
  await expect(field).toBeHidden();
});

test('a can and what goes into it, as a recipe for one jug: it opens again with the can’s own amounts', async ({
  page,
}) => {
  await page.goto('/brews/workbench?recipe=beer');
  await page.getByRole('radio', { name: 'A volume' }).click();
  await page.locator('#bottleMl').fill('440');
  const inJug = async (name: RegExp, amount: string): Promise<void> => {
    const row = page.getByRole('table', { name: 'Ingredients' }).getByRole('row').filter({ hasText: name }).first();
    await row.getByRole('button', { name: /^edit/ }).click();
    await page.getByLabel(/ in this jug/).fill(amount);
    await page.keyboard.press('Enter');
  };
  await inJug(/Dark beer/, '440 ml');
  await inJug(/Washing soda/, '50 g');
  await page.locator('#recipeName').fill('One can');
  await page.getByLabel('For one jug of 440 ml').check();
  await page.getByRole('button', { name: 'Save recipe' }).click();
  await expect(page.getByText('“One can” is saved among your recipes.')).toBeVisible();
  const { recipes = [] } = await recordsOf(page, 'aetas');
  expect((recipes as { makesMl?: number }[]).map(({ makesMl }) => makesMl)).toEqual([440]);
  await page.goto('/brews');
  await page.getByRole('link', { name: 'One can' }).click();
  await expect(page.locator('#bottleMl')).toHaveValue('440');
  await expect(page.getByRole('table', { name: 'Ingredients' })).toContainText('50 g');
});

test('a half-used fixer is entered with its films and its day, and a stock gives working solutions until it is empty', async ({
  page,
}) => {
  await page.clock.setFixedTime(MORNING);
  await page.goto('/brews');
  await page.getByRole('link', { name: 'One that stands there already' }).click();
  await page.getByLabel('Films through it').fill('8');
  await page.reload();
  await expect(page.getByLabel('Films through it')).toHaveValue('8');
  await page.getByRole('button', { name: 'Stand it on the bench' }).click();
  await expect(page.getByText('The day: give one such as 2026-11-03')).toBeVisible();
  await page.getByLabel('Mixed on').fill('2026-11-03');
  await page.getByRole('button', { name: 'Stand it on the bench' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Fixer' })).toBeVisible();
  await expect(page.getByTestId('jug-left')).toContainText('8 films through it');
  await expect(page.getByRole('img', { name: '33 % left' })).toBeVisible();

  await page.goto('/brews/standing');
  await choose(page, 'What is in it', /^Metol–hydroquinone borax powder/);
  await page.getByLabel('Mixed on').fill('four days ago');
  await page.getByLabel('Name', { exact: true }).fill('Hut stock');
  await page.getByRole('button', { name: 'Stand it on the bench' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Hut stock' })).toBeVisible();
  for (let n = 1; n <= 4; n++) {
    await page.getByLabel('For a working solution take').fill('300');
    await page.getByLabel('and water', { exact: true }).fill('300');
    await page.getByRole('button', { name: 'Make it' }).click();
    if (n < 4)
      await expect(page.getByRole('list', { name: 'Changes since it was mixed' }).getByRole('listitem')).toHaveCount(n);
  }
  await expect(page.getByRole('alert').filter({ hasText: 'The jug holds 100 ml: take 90 ml at most.' })).toBeVisible();
  await page.getByRole('link', { name: 'Open it' }).click();
  await expect(page.getByText(/made from Hut stock/)).toBeVisible();
  const { brews } = await recordsOf(page, 'aetas');
  expect((brews as { volumeMl: number }[]).map(({ volumeMl }) => volumeMl).sort((a, b) => a - b)).toEqual([
    100, 600, 600, 600, 1000,
  ]);
});

test('a bottle of concentrate is told with its letters, gives working solutions, is offered first, and is not poured as it is', async ({
  page,
}) => {
  await page.clock.setFixedTime(MORNING);
  await page.goto('/brews/standing');
  await choose(page, 'What is in it', /^Hydroquinone syrup/);
  await page.getByRole('radio', { name: 'Concentrate' }).click();
  await page.getByLabel('Opened on').fill('a year ago');
  await page.getByLabel('Volume left').fill('230');
  await page.getByLabel('The bottle holds').fill('500');
  await page.getByLabel('Dilutions').fill('B 1+31, H 1+63');
  await page.getByLabel('Where it stands').fill('Cellar shelf');
  await page.getByLabel('Name', { exact: true }).fill('Hut syrup');
  await page.getByLabel('What it cost').fill('dear');
  await page.getByRole('button', { name: 'Stand it on the bench' }).click();
  await expect(page.getByLabel('What it cost')).toHaveAttribute('aria-invalid', 'true');
  await page.getByLabel('What it cost').fill('25');
  await page.getByRole('button', { name: 'Stand it on the bench' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Hut syrup' })).toBeVisible();
  await expect(page.getByText('Cellar shelf. It keeps for about 12 months as it stands')).toBeVisible();
  await expect(page.getByText('Air shortens that')).toBeVisible();
  await expect(page.getByLabel('What it cost')).toHaveValue(/^25/);
  await expect(page.getByText('for 500 ml')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Count one film' })).toHaveCount(0);

  await page.getByLabel('So much of it').fill('320');
  await expect(page.getByTestId('bottle-shares')).toHaveText('10 ml of it and 310 ml of water');
  await page.getByRole('button', { name: 'It is made' }).click();
  await page.getByRole('link', { name: 'Open it' }).click();
  await expect(page.getByText(/made from Hut syrup/)).toBeVisible();

  await page.goBack();
  await page.getByLabel('Film', { exact: true }).fill('larkholm pan 200');
  await page.getByLabel('Diluted', { exact: true }).fill('strong');
  await page.getByLabel('Time', { exact: true }).fill('11');
  await page.getByRole('button', { name: 'Add this time' }).click();
  await expect(page.getByText('Diluted: give it as 1+31, or its letter.')).toBeVisible();
  await page.getByLabel('Diluted', { exact: true }).fill('h');
  await page.getByRole('button', { name: 'Add this time' }).click();
  await expect(page.getByRole('list', { name: 'Leaflet’s times' })).toContainText('larkholm pan 200 · 1+63 · 20.0 °C');

  await page.getByText('A whole table, of a notebook or from elsewhere').click();
  await page
    .getByLabel('Table of times')
    .fill('Emulsion;how long;Ratio\nFellbrook Ortho 50;9;1+31\nFellbrook Ortho 50;7.30;1+31\nlarkholm pan 200;11;H');
  await expect(page.getByText('Name the column of the time.')).toBeVisible();
  await choose(page, /^Time column/, 'how long');
  const left = page.getByRole('list', { name: 'Lines that are left out' });
  await expect(left).toContainText('line 3: “7.30” may be 7.3 or 7.5 min.');
  await page.reload();
  await page.getByText('A whole table, of a notebook or from elsewhere').click();
  await page.getByRole('button', { name: 'Take these 2 times' }).click();
  await expect(page.getByText('1 time was new.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Leaflet’s times' })).toContainText('Fellbrook Ortho 50 · 1+31');

  await addRoll(page);
  await choose(page, 'Developer', /^Hut syrup H 1\+63/);
  await expect(page.getByTestId('leaflet-offer')).toContainText(
    'The leaflet of Hut syrup says 11:00 at 20.0 °C for 1+63.',
  );
  await page.getByRole('button', { name: 'Count with it' }).click();
  await expect(page.getByRole('textbox', { name: 'Time', exact: true })).toHaveValue('11');
  await expect(page.locator('#developer')).toContainText('Hut syrup H 1+63');
  await page.getByRole('button', { name: USE_TIME }).click();
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
  await expect(page.getByRole('button', { name: 'Go to the tank' })).toBeVisible();
  const { brews } = await recordsOf(page, 'aetas');
  // 230 ml less 10 for the first, less 500/64 for the second.
  const volumes = (brews as { volumeMl: number }[]).map(({ volumeMl }) => volumeMl).sort((a, b) => a - b);
  expect(volumes).toEqual([212.2, 320, 500]);
});

test('two fixers are held against each other on scraps, a fixer’s clearing times are drawn, and two jugs become one', async ({
  page,
}) => {
  await page.clock.setFixedTime(MORNING);
  for (const name of ['Old fixer', 'New fixer']) {
    await page.goto('/brews/standing');
    await page.getByLabel('Mixed on').fill('yesterday');
    await page.getByLabel('Name', { exact: true }).fill(name);
    await page.getByRole('button', { name: 'Stand it on the bench' }).click();
    await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  }
  await page.getByLabel('Clear after').fill('30');
  await choose(page, 'Against', /^Old fixer/);
  await page.getByLabel('Clear in that after').fill('48');
  await expect(
    page.getByText('New fixer clears 1.6 times as fast. Fix for 60 s in this one, 96 s in the other.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('img', { name: 'Clearing times: 30 s after 0 films. Done at 60 s.' })).toBeVisible();
  const { brews } = await recordsOf(page, 'aetas');
  expect(
    (brews as { clearings?: { seconds: number }[] }[]).map(({ clearings }) => clearings?.[0]?.seconds).sort(),
  ).toEqual([30, 48]);

  await page.getByRole('button', { name: 'They are one now' }).click();
  await expect(page.getByText('1000 ml of Old fixer poured in')).toBeVisible();
  expect((await recordsOf(page, 'aetas')).brews).toHaveLength(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect
    .poll(async () =>
      ((await recordsOf(page, 'aetas')).brews as { volumeMl: number }[]).map(({ volumeMl }) => volumeMl),
    )
    .toEqual([1000, 1000]);
});
