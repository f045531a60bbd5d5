import { expect, test, type Locator, type Page } from '@playwright/test';
import { openDemo, openFact, openMore, recordsOf, typeAndGo } from './bench';

interface Form {
  form: string;
  path: string;
  field: (page: Page) => Locator;
  text: string;
  /** What brings the page to the field, once. */
  before?: (page: Page) => Promise<void>;
  /** What opens the field, each time. */
  open?: (page: Page) => Promise<void>;
}

const forms: readonly Form[] = [
  {
    form: 'a new roll',
    path: '/rolls/new',
    before: openMore,
    field: (page) => page.getByLabel('Note'),
    text: 'Behind the barograph',
  },
  {
    form: 'a plan',
    path: '/rolls/tin-3#choose',
    field: (page) => page.getByRole('textbox', { name: 'Instant coffee' }),
    text: '37',
  },
  {
    form: 'a hint that reads',
    path: '/rolls/tin-3#identify',
    open: (page) => openFact(page, 'When was it made?'),
    field: (page) => page.getByRole('textbox', { name: 'Year', exact: true }).first(),
    text: '1972',
  },
  {
    form: 'a hint half typed',
    path: '/rolls/tin-3#identify',
    open: (page) => openFact(page, 'When was it made?'),
    field: (page) => page.getByRole('textbox', { name: 'Year', exact: true }).first(),
    text: '19',
  },
  {
    form: 'X-ray passes',
    path: '/rolls/tin-3#identify',
    open: (page) => openFact(page, 'Where was it stored?'),
    field: (page) => page.getByLabel('X-ray passes'),
    text: '7',
  },
  {
    form: 'a sheet of the workbench',
    path: '/brews/workbench?recipe=coffee-standard',
    field: (page) => page.getByLabel(/^Instant coffee, in a litre/),
    text: '37',
  },
  { form: 'the kit', path: '/brews/kit', field: (page) => page.getByLabel('Smallest step'), text: '5' },
  {
    form: 'an amount that was weighed',
    path: '/brews/workbench?recipe=stop-citric',
    before: beginWeighing,
    field: (page) => page.locator('#actual'),
    text: '7.1',
  },
  {
    form: 'the exposure calculator',
    path: '/exposure',
    field: (page) => page.getByLabel('The meter says'),
    text: '11',
  },
  {
    form: 'a reading',
    path: '/rolls/tin-3#test',
    open: (page) => page.locator('#test').getByRole('button', { name: 'Take a clip' }).click(),
    field: (page) => page.locator('#test').getByRole('textbox').first(),
    text: '11:30',
  },
];

async function beginWeighing(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Guide me through mixing' }).click();
  await page.getByRole('button', { name: 'The water is in' }).click();
  await expect(page.getByRole('heading', { name: 'Citric acid' })).toBeVisible();
}

for (const [half, some] of [
  ['dossiers and plans', forms.slice(0, 5)],
  ['brews, readings and exposures', forms.slice(5)],
] as const) {
  test(`a page that goes at the very letter has it when it comes back: ${half}`, async ({ page }) => {
    for (const { form, path, before, field, text, open } of some) {
      await test.step(form, async () => {
        await openDemo(page, path);
        await before?.(page);
        await open?.(page);
        await expect(field(page)).not.toHaveValue(text);
        await typeAndGo(page, field(page), text);
        await open?.(page);
        await expect(field(page)).toHaveValue(text);
      });
    }
  });
}

test('what was typed at the last moment is in a file that is saved next, and a tick is there too', async ({ page }) => {
  await openDemo(page, '/rolls/new');
  await openMore(page);
  await typeAndGo(page, page.getByLabel('Note'), 'Behind the barograph');
  // Not the form itself: the table, as lists and files read it.
  await page.goto('/records');
  await expect(page.getByText(/unfinished form/)).toBeVisible();
  const draftsOf = async (): Promise<unknown[]> => (await recordsOf(page, 'aetas-demo')).drafts ?? [];
  expect(await draftsOf()).toContainEqual(
    expect.objectContaining({
      id: 'roll:new',
      values: expect.objectContaining({ note: 'Behind the barograph' }),
    }),
  );
  expect(await page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('aetas.typed')))).toEqual(
    [],
  );

  await page.goto('/rolls/tin-3#identify');
  await openFact(page, 'Condition');
  const tick = page.getByLabel(/^Brittle/);
  await expect(tick).not.toBeChecked();
  const loaded = page.waitForEvent('load');
  await tick.evaluate((box: HTMLInputElement) => {
    box.click();
    location.reload();
  });
  await loaded;
  await expect(tick).toBeChecked();
});

test('a number typed into the kit at the last moment counts everywhere, also before the kit is opened again', async ({
  page,
}) => {
  await openDemo(page, '/brews/kit');
  await typeAndGo(page, page.getByLabel('Smallest step'), '0.5');
  await page.goto('/');
  await expect
    .poll(async () => JSON.stringify((await recordsOf(page, 'aetas-demo')).settings))
    .toContain('"scaleStepG":0.5');
  expect(JSON.stringify((await recordsOf(page, 'aetas-demo')).drafts)).not.toContain('"kit"');
});
