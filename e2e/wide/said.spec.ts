import { expect, test, type Page } from '@playwright/test';
import { USE_TIME, MORNING, addIngredient, choose, openMore, openStage, recordsOf, throughTheTank } from '../bench';

/*
 * What a person says and does is what is reckoned: journeys from an empty bench to the verdict. Amounts, times and years are check
 * values of common practice, without a source.
 */

const seconds = (text: string): number => text.split(':').reduce((sum, part) => sum * 60 + Number(part), 0);
const timeOf = async (page: Page): Promise<number> => seconds((await page.getByTestId('time').textContent()) ?? '');

interface NewRoll {
  name: string;
  format?: string;
  family?: RegExp;
  age?: 'Bought new' | 'I don’t know';
  year?: string;
}

/** Puts a roll on an empty bench. */
async function putRoll(page: Page, { name, format, family, age, year }: NewRoll): Promise<void> {
  await page.goto('/rolls/new');
  await openMore(page);
  await page.getByLabel('Name of the roll').fill(name);
  if (format !== undefined) await choose(page, 'Format', format);
  if (family !== undefined) await choose(page, 'What film is it?', family);
  if (age !== undefined) await page.getByRole('radio', { name: age }).click();
  if (year !== undefined) await page.getByLabel('Expiry year').fill(year);
  await page.getByRole('radio', { name: 'Exposed, as metered' }).click();
  await page.getByRole('button', { name: 'Add it to the bench' }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
}

interface Seen {
  contrast?: string;
  fog?: string;
  shadows?: string;
}

/** Judges the dry film. */
async function judge(
  page: Page,
  { contrast = 'As wanted', fog = 'Clear', shadows = 'Open' }: Seen = {},
): Promise<void> {
  await page.getByRole('button', { name: 'Go to the verdict' }).click();
  await page.getByRole('radio', { name: contrast, exact: true }).click();
  await page.getByRole('radio', { name: fog, exact: true }).click();
  await page.getByRole('radio', { name: shadows, exact: true }).click();
  await page.getByRole('radio', { name: 'Even', exact: true }).click();
  await page.getByRole('button', { name: 'Save verdict' }).click();
  await expect(page.getByRole('region', { name: 'Outcome' })).toBeVisible();
}

/** Takes the time as it stands and says that the brew is mixed. */
async function useAndMix(page: Page): Promise<void> {
  await page.getByRole('button', { name: USE_TIME }).click();
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
}

test.beforeEach(async ({ page }) => {
  await page.clock.install({ time: MORNING });
});

test('a can of beer goes in whole, and has its time', async ({ page }) => {
  test.setTimeout(180_000);
  await putRoll(page, { name: 'Can of stout', age: 'Bought new' });
  await choose(page, 'Developer', 'Dark beer');
  await page.getByLabel('In the tank').fill('440');
  await page.getByRole('textbox', { name: 'Dark beer' }).fill('1 can');
  await expect(page.getByText('“1 can” is read as 440 ml in this jug, 1000 ml/l.')).toBeVisible();
  await page.getByRole('button', { name: 'Read it as a can of 330 ml' }).click();
  await expect(page.getByRole('textbox', { name: 'Dark beer' })).toHaveValue('750');
  await page.getByRole('button', { name: 'Read it as 440 ml in this jug, 1000 ml/l' }).click();
  await expect(page.getByRole('textbox', { name: 'Dark beer' })).toHaveValue('1000');
  const button = page.getByRole('button', { name: /^(Use \d[\d:]*( and mix)?|My time)$/ });
  await expect(button.first()).toBeVisible();
  await page.getByRole('button', { name: 'My time', exact: true }).click();
  await page.locator('#ownTimeMin').fill('half an hour');
  await expect(page.getByTestId('time')).toHaveText('30:00');
  await useAndMix(page);
  await throughTheTank(page);
  await judge(page, { contrast: 'A little soft' });
  const { runs } = await recordsOf(page, 'aetas');
  expect(runs).toMatchObject([{ setup: { developer: { agents: [{ agentId: 'dark-beer', amountPerL: 1000 }] } } }]);
});

test('coffee by spoons in this jug: what is said is what is reckoned, weighed and logged', async ({ page }) => {
  test.setTimeout(180_000);
  await putRoll(page, { name: 'Spoons', age: 'Bought new' });
  await expect(page.getByTestId('time')).not.toHaveText('');
  await page.getByLabel('In the tank').fill('half a litre');
  await page.getByRole('radio', { name: /^this jug of/ }).click();
  await page.getByRole('textbox', { name: 'Washing soda' }).fill('27 g');
  await page.getByRole('textbox', { name: 'Ascorbic acid' }).fill('8');
  await page.getByRole('textbox', { name: 'Instant coffee' }).fill('20');
  // 27, 8 and 20 g in half a litre are the standard brew: 54, 16 and 40 in a litre.
  await expect(page.getByText('“27 g” is read as 27.0 g in this jug, 54.0 g/l.')).toBeVisible();
  const standard = await timeOf(page);
  expect(standard).toBeGreaterThan(11 * 60);
  expect(standard).toBeLessThan(15 * 60);
  await page.getByRole('textbox', { name: 'Instant coffee' }).fill('3 tablespoons');
  await expect(page.getByText(/“3 tablespoons” is read as/)).toBeVisible();
  await expect.poll(async () => Math.abs((await timeOf(page)) - standard)).toBeGreaterThan(10);
  await useAndMix(page);
  await throughTheTank(page);
  await judge(page);
});

test('a known time stays with its developer, and a dilution with a letter is asked for once', async ({ page }) => {
  await putRoll(page, { name: 'Known', age: 'Bought new' });
  await page.getByLabel('I know a time for fresh film in this developer').check();
  await page.locator('#knownTimeMin').fill('12:00');
  await expect.poll(() => timeOf(page)).toBe(720);
  await choose(page, 'Developer', /^Hydroquinone syrup/);
  await expect(page.getByTestId('known-elsewhere')).toContainText('12:00 is known in instant coffee');
  await expect(page.getByLabel('I know a time for fresh film in this developer')).not.toBeChecked();
  await expect.poll(() => timeOf(page)).toBeLessThan(600);
  await page.getByLabel('Dilution, as written').fill('dilution H');
  await page.getByLabel('“dilution H” on this bottle is').fill('1+63');
  await page.getByRole('button', { name: 'Save as 1+63' }).click();
  await expect(page.getByLabel('Water', { exact: true })).toHaveValue('63');
  await page.getByLabel('Dilution, as written').fill('');
  await page.getByLabel('Dilution, as written').fill('1:31');
  await page.getByRole('button', { name: 'Read it as 1+30 instead' }).click();
  await expect(page.getByLabel('Water', { exact: true })).toHaveValue('30');
  await page.getByRole('button', { name: 'Read it as 1+31 instead' }).click();
  await page.getByLabel('Dilution, as written').fill('H');
  await expect(page.getByLabel('Water', { exact: true })).toHaveValue('63');
  await choose(page, 'Developer', /^Instant coffee/);
  await expect(page.locator('#knownTimeMin')).toHaveValue('12');
  await expect.poll(() => timeOf(page)).toBe(720);
});

test('part of a packet: so much of its weight as the jug is of what it makes', async ({ page }) => {
  test.setTimeout(180_000);
  await putRoll(page, { name: 'Powder', age: 'Bought new' });
  const rollId = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  await page.goto(`/brews/workbench?recipe=new&roll=${rollId}`);
  await addIngredient(page, 'Hut powder', /a packet, of which a part is taken/);
  await choose(page, 'It holds', 'Metol–hydroquinone borax powder');
  await page.getByLabel('The packet weighs').fill('90 g');
  await page.getByLabel('and makes').fill('1 litre');
  await page.getByRole('radio', { name: 'A volume' }).click();
  await page.locator('#bottleMl').fill('half a litre');
  await expect(page.getByText('“half a litre” is read as 500 ml.')).toBeVisible();
  await expect(page.getByTestId('amount-line-0')).toHaveText(/^45(\.0)? g$/);
  await expect(page.getByTestId('brew-time')).toHaveText(/\d+:\d\d/);
  await page.getByRole('button', { name: 'Guide me through mixing' }).click();
  for (let step = 0; step < 12; step++) {
    const finish = page.getByRole('heading', { name: 'It is mixed' });
    if ((await finish.count()) > 0) break;
    const title = await page.locator('main h2').first().textContent();
    await page.locator('[data-next-step]').first().click();
    await expect(page.locator('main h2').first()).not.toHaveText(title ?? '');
  }
  await page.getByRole('button', { name: 'Finish the jug' }).click();
  await expect(page.getByTestId('jug-rolls')).toContainText('Powder');
  await page.getByTestId('jug-rolls').getByRole('link', { name: 'Powder' }).click();
  // What was mixed for the roll is what the roll reckons with.
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  await openStage(page, 'Choose');
  await expect(page.locator('#developer')).toContainText('Brew without a name');
  await expect(page.getByText(/in metol–hydroquinone borax powder, undiluted/)).toBeVisible();
  await page.getByRole('button', { name: USE_TIME }).click();
  await throughTheTank(page);
  await judge(page);
});

test('a found roll of sheet years is stopped until SAFETY is read on its edge', async ({ page }) => {
  test.setTimeout(180_000);
  await putRoll(page, {
    name: 'Tin reel',
    format: '35 mm cine, a short length',
    family: /^Cine black-and-white/,
    year: '1950',
  });
  await expect(page.getByText('is likely on nitrate base')).toBeVisible();
  await page.getByRole('radio', { name: 'SAFETY' }).click();
  await expect(page.getByText('is likely on nitrate base')).toHaveCount(0);
  await openStage(page, 'Choose');
  await expect(page.getByRole('button', { name: USE_TIME })).toBeEnabled();
  await useAndMix(page);
  await throughTheTank(page);
  await judge(page, { fog: 'Slight fog' });
});

test('film of 1965 to 1975 on paper backing is no nitrate', async ({ page }) => {
  await putRoll(page, {
    name: 'Paper backed',
    format: '120 (roll film)',
    family: /^Panchromatic, cubic grain, medium/,
    year: '1970',
  });
  await expect(page.getByText(/nitrate/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: USE_TIME })).toBeEnabled();
});

test('a one-shot used once is told as such, and its jug is asked about', async ({ page }) => {
  test.setTimeout(240_000);
  await putRoll(page, { name: 'First', age: 'Bought new' });
  await choose(page, 'Developer', /^p-Aminophenol/);
  await page.getByLabel('Dilution, as written').fill('1+50');
  await expect.poll(() => timeOf(page)).toBeGreaterThan(600);
  const fresh = await timeOf(page);
  await useAndMix(page);
  await throughTheTank(page);
  await expect(page.getByRole('heading', { name: 'What became of each jug?' })).toBeVisible();
  await expect(page.getByText('A one-shot: it has done its film.')).toBeVisible();
  await page.getByRole('button', { name: 'Kept', exact: true }).first().click();
  await judge(page);
  await putRoll(page, { name: 'Second', age: 'Bought new' });
  await choose(page, 'Developer', /In a jug/);
  await expect(page.getByText('This working solution has had a film already')).toBeVisible();
  await expect
    .poll(async () => (await page.getByTestId('time').textContent()) !== '' && (await timeOf(page)) > fresh * 1.2)
    .toBe(true);
});

test('a second film in a used one-bath takes longer, and a thermometer’s step makes none', async ({ page }) => {
  test.setTimeout(240_000);
  await putRoll(page, { name: 'Warm one', age: 'Bought new' });
  await choose(page, 'Developer', /^One-bath/);
  await choose(page, 'How the tank is agitated', 'Continuous rotation');
  await page.getByLabel('Temperature', { exact: true }).fill('75 F');
  await expect.poll(() => timeOf(page)).toBe(240);
  await expect(page.getByText('In a one-bath, more agitation favours fixing')).toHaveCount(0);
  await page.getByLabel('Temperature', { exact: true }).fill('75.2 F');
  await expect.poll(() => timeOf(page)).toBe(240);
  await page.getByLabel('Temperature', { exact: true }).fill('75 F');
  await expect.poll(() => timeOf(page)).toBe(240);
  await useAndMix(page);
  await throughTheTank(page);
  await page.getByRole('button', { name: 'Kept', exact: true }).first().click();
  await judge(page);
  await putRoll(page, { name: 'Warm two', age: 'Bought new' });
  await choose(page, 'Developer', /In a jug/);
  await page.getByLabel('Temperature', { exact: true }).fill('75 F');
  await expect.poll(() => timeOf(page)).toBeGreaterThan(255);
});

test('black film is judged as black: its fog is taught, and exposure is not suspected', async ({ page }) => {
  test.setTimeout(180_000);
  await putRoll(page, { name: 'Black sister', year: '1975' });
  await useAndMix(page);
  await throughTheTank(page);
  await page.getByRole('button', { name: 'Go to the verdict' }).click();
  await page.getByRole('radio', { name: 'None: the film is black' }).click();
  await expect(page.getByText('Black film is fog')).toBeVisible();
  await page.getByRole('button', { name: 'Save verdict' }).click();
  await expect(page.getByRole('region', { name: 'Outcome' })).toContainText('No image: the film is black');
  const causes = page.getByRole('list', { name: 'Likely causes' });
  await expect(causes.getByRole('listitem').first()).toContainText('Fog');
  await expect(causes).not.toContainText('Too little exposure');
  await expect(causes).not.toContainText('Baking soda');
  const { verdicts } = await recordsOf(page, 'aetas');
  expect(verdicts).toMatchObject([{ fog: 'heavy', defects: ['no-image', 'black'] }]);
});
