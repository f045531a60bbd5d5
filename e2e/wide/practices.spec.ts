import { expect, test, type Page } from '@playwright/test';
import { USE_TIME, MORNING, addRoll, choose, recordsOf, throughTheTank } from '../bench';

/*
 * Ways of working as people have them, typed as people type them, brought to the tank and into the log unchanged. The
 * numbers are check values of common practice, without a source; none of them is in the demo.
 */

interface LoggedStep {
  kind: string;
  name: string;
  durationS: number;
  untilClear?: boolean;
  cues: { startS: number; endS: number; turns: number | null }[];
}

interface LoggedRun {
  createdMs: number;
  developerName: string;
  temperatureC: number;
  movementName: string;
  pinned: { timeMin: number; own?: boolean };
  steps: LoggedStep[];
  setup: { developer: Record<string, unknown>; bromideGPerL: number };
}

/** Fills a movement of one’s own. */
async function build(page: Page, prefix: string, fields: Record<string, string>): Promise<void> {
  for (const [field, value] of Object.entries(fields)) {
    const at = page.locator(`#${prefix}${field}`);
    if (field.endsWith('Unit') || field === 'wake' || field === 'placement' || field === 'gesture') {
      await at.click();
      await page.getByRole('option', { name: value, exact: true }).click();
    } else await at.fill(value);
  }
}

/** Pins the user’s own time. */
async function myTime(page: Page, time: string): Promise<void> {
  const button = page.getByRole('button', { name: 'My time', exact: true });
  if ((await button.count()) > 0) await button.click();
  await page.locator('#ownTimeMin').fill(time);
  await page.getByRole('button', { name: USE_TIME }).click();
}

async function mixed(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
  await expect(page.getByRole('button', { name: 'Go to the tank' })).toBeVisible();
}

/** Through the tank to the end, and what the log then holds. */
async function develop(page: Page): Promise<LoggedRun> {
  await throughTheTank(page);
  // Records come in the order of their ids, which are random: the last run is the one laid out last.
  const { runs } = await recordsOf(page, 'aetas');
  return (runs as LoggedRun[]).sort((a, b) => a.createdMs - b.createdMs).at(-1) as LoggedRun;
}

const lengths = ({ steps }: LoggedRun, kind: string): [string, number][] =>
  steps.filter((step) => step.kind === kind).map(({ name, durationS }) => [name, durationS]);
const turnsOf = ({ steps }: LoggedRun, kind: string): (number | null)[] =>
  steps.filter((step) => step.kind === kind).flatMap(({ cues }) => cues.map(({ turns }) => turns));

test.beforeEach(async ({ page }) => {
  await page.clock.install({ time: MORNING });
  await addRoll(page);
});

test('coffee 40/16/54, 10 min, 5 turns each 30 s, three water rinses, 5-10-15-20', async ({ page }) => {
  await choose(page, 'How the tank is agitated', '5 inversions every 30 s');
  await myTime(page, '10');
  await mixed(page);
  await choose(page, 'After the developer', 'Plain water, three changes of six turns');
  await choose(page, /^Wash (\d changes|Running|As you)/, '4 changes: 5, 10, 15, 20 turns');
  const run = await develop(page);
  expect(run.pinned).toMatchObject({ timeMin: 10, own: true });
  const [tank] = run.steps.filter(({ kind }) => kind === 'develop');
  expect(tank?.durationS).toBe(600);
  expect(tank?.cues.map(({ startS }) => startS)).toEqual(Array.from({ length: 20 }, (_, n) => n * 30).slice(0, 20));
  expect(new Set(tank?.cues.map(({ turns }) => turns))).toEqual(new Set([5]));
  expect(turnsOf(run, 'stop')).toEqual([6, 6, 6]);
  expect(turnsOf(run, 'wash')).toEqual([5, 10, 15, 20]);
});

test('weighed coffee 9.6/4/18 g in 400 ml, 12 min, 10 then 3 turns, 3-6-12-24', async ({ page }) => {
  await addRoll(page, 'Shoebox, small film', '135 (35 mm cassette)');
  await page.locator('#volumeMl').fill('400');
  await page.locator('#agentPerL').fill('45');
  await page.locator('#ascorbicGPerL').fill('10');
  await page.locator('#sodaGPerL').fill('24');
  await choose(page, 'How the tank is agitated', 'First minute 10 inversions, then 3 a minute');
  await myTime(page, '12:00');
  await mixed(page);
  await choose(page, /^Wash (\d changes|Running|As you)/, '4 changes: 3, 6, 12, 24 turns');
  const run = await develop(page);
  expect(run.setup.developer).toMatchObject({ sodaGPerL: 24, ascorbicGPerL: 10 });
  const { brews } = await recordsOf(page, 'aetas');
  const jug = (brews as { volumeMl: number; parts: { target: number }[] }[]).at(-1);
  expect(jug?.volumeMl).toBe(400);
  expect(run.steps.find(({ kind }) => kind === 'develop')?.cues.map(({ turns }) => turns)).toEqual([
    10, 3, 3, 3, 3, 3, 3, 3, 3, 3, 3, 3,
  ]);
  expect(turnsOf(run, 'wash')).toEqual([3, 6, 12, 24]);
});

test('syrup 9 + 291, 6 min, stop 30 s, fix 10 min moved 30 s on and 30 s off', async ({ page }) => {
  await choose(page, 'Developer', /syrup/i);
  await page.getByLabel('Dilution, as written').fill('9+291');
  await myTime(page, '6:00');
  await mixed(page);
  await choose(page, 'After the developer', 'Acid stop, 30 s');
  const fix = page.getByRole('list', { name: 'Wet steps' }).getByRole('listitem').filter({ hasText: 'Fix' }).first();
  await fix.getByRole('button', { name: 'Change Fix' }).click();
  await fix.getByRole('textbox', { name: 'Time' }).fill('10 min');
  await fix.getByRole('button', { name: 'Agitation of this bath' }).click();
  await page.getByRole('option', { name: /^My own agitation/ }).click();
  const prefix = ((await fix.locator('[id$=move-firstN]').getAttribute('id')) ?? '').replace('firstN', '');
  await build(page, prefix, { firstN: '30', everyS: '60', everyN: '30' });
  const run = await develop(page);
  expect(run.setup.developer).toMatchObject({ parts: { concentrate: 9, water: 291 } });
  expect(lengths(run, 'stop')).toEqual([['Acid stop', 30]]);
  const [bath] = run.steps.filter(({ kind }) => kind === 'fix');
  expect(bath?.durationS).toBe(600);
  expect(bath?.cues.map(({ startS, endS }) => [startS, endS])).toEqual(
    Array.from({ length: 10 }, (_, minute) => [minute * 60, minute * 60 + 30]),
  );
});

test('a control without its main agent: no estimate, my time, and it goes into the log', async ({ page }) => {
  await choose(page, 'Developer', /^Something else/);
  // Nothing is wrong before something was typed, and there is nothing to take either.
  await expect(page.locator('#otherName')).not.toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByRole('button', { name: USE_TIME })).toHaveCount(0);
  await expect(page.locator('#why')).toHaveCount(0);
  await page.getByLabel('Developer’s name').fill('Soda and vitamin C alone');
  await myTime(page, '10:00');
  await mixed(page);
  const run = await develop(page);
  expect(run.developerName).toBe('Soda and vitamin C alone');
  expect(run.setup.developer).toEqual({ kind: 'other', name: 'Soda and vitamin C alone' });
  expect(run.steps.find(({ kind }) => kind === 'develop')?.durationS).toBe(600);
});

test('my own movement and my own baths are kept, and the next roll of the film begins with them', async ({ page }) => {
  await choose(page, 'How the tank is agitated', /^My own agitation/);
  await build(page, 'own-', { firstN: '10', everyS: '60', everyN: '10', stillFromMin: '8' });
  await expect(page.getByRole('img', { name: /^Agitation begins at .*7:00\.$/ })).toBeVisible();
  await page.locator('#own-name').fill('Still at the end');
  await page.getByRole('button', { name: 'Keep it for other baths and rolls' }).click();
  await myTime(page, '10:00');
  await mixed(page);
  await choose(page, 'After the developer', 'None');
  await page.getByRole('button', { name: 'Add a bath' }).click();
  await page.getByRole('option', { name: /^Rinse until clear.*after the fixer/ }).click();
  const clear = page
    .getByRole('list', { name: 'Wet steps' })
    .getByRole('listitem')
    .filter({ hasText: 'Rinse until clear' });
  await clear.getByRole('textbox', { name: 'Usually' }).fill('25');
  await clear.getByRole('button', { name: 'Move Rinse until clear up' }).click();
  await page.getByLabel('Keep these baths as').fill('Kitchen tap');
  await page.getByRole('button', { name: 'Save preset' }).click();
  await expect(page.getByText('Kitchen tap').first()).toBeVisible();
  const run = await develop(page);
  expect(run.steps.find(({ kind }) => kind === 'develop')?.cues.at(-1)?.startS).toBe(420);
  expect(run.movementName).toBe('Still at the end');
  expect(run.steps.find(({ untilClear }) => untilClear === true)?.durationS).toBe(1500);
  expect(run.steps.some(({ kind }) => kind === 'stop')).toBe(false);

  await addRoll(page, 'Shoebox, second roll');
  await expect(page.getByTestId('same-as')).toContainText('Same as Shoebox, hill fog');
  await expect(page.locator('#ownTimeMin')).toHaveValue('10');
  await expect(page.locator('#own-name')).toHaveValue('Still at the end');
});

test('baths are put in another order by hand, and stay so', async ({ page }) => {
  await myTime(page, '10:00');
  await mixed(page);
  const items = page.getByRole('list', { name: 'Wet steps' }).getByRole('listitem');
  const order = async (): Promise<string[]> =>
    items.evaluateAll((rows) => rows.map((row) => row.querySelector('span')?.textContent ?? ''));
  const before = await order();
  expect(before.length).toBeGreaterThan(3);
  await items.last().dragTo(items.nth(before.length - 3));
  const [last = ''] = before.slice(-1);
  const after = [...before.slice(0, -3), last, ...before.slice(-3, -1)];
  await expect.poll(order).toEqual(after);
  await page.reload();
  await expect.poll(order).toEqual(after);
});

test('two rolls in one coffee with bromide between them, 13 and 15 min', async ({ page }) => {
  await myTime(page, '13 min');
  await mixed(page);
  expect((await develop(page)).pinned.timeMin).toBe(13);
  const [jug] = (await recordsOf(page, 'aetas')).brews as { id: string }[];
  await page.goto(`/brews/${jug?.id ?? ''}`);
  await page.getByLabel('Amount added').fill('0,5');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Changes since it was mixed' })).toContainText('0.50 g added');
  await page.getByLabel('Poured away or lost').fill('5 l');
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByText('pour it away instead')).toBeVisible();

  await addRoll(page, 'Shoebox, second in the jug');
  await choose(page, 'Developer', /In a jug/);
  await page.locator('#ownTimeMin').fill('15:00');
  await page.getByRole('button', { name: /^Use 15:00/ }).click();
  const run = await develop(page);
  expect(run.pinned).toMatchObject({ timeMin: 15, own: true });
  expect(run.setup.bromideGPerL).toBe(1);
  const { brews } = await recordsOf(page, 'aetas');
  expect((brews as { films: number }[])[0]?.films).toBe(2);
});
