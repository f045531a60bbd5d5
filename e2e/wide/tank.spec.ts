import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { EARLY, MORNING, openDemo, recordsOf } from '../bench';

type LoggedRun = {
  id: string;
  steps: { kind: string; durationS: number }[];
  events: { kind: string }[];
  createdMs: number;
};

/** The instruments' roll, mixed, at its tank, on a clock that is moved by hand. */
async function atTank(page: Page): Promise<void> {
  await page.clock.install({ time: MORNING });
  await openDemo(page, '/rolls/instruments');
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await expect(page.getByTestId('hands')).toHaveText('Ready: pre-soak');
}

async function developing(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Pre-soak is in: start' }).click();
  await page.clock.runFor(61_000);
  await page.getByRole('button', { name: 'Develop: it is in' }).click();
  await expect(page.getByRole('list', { name: 'Steps' }).locator('[aria-current]')).toContainText('Develop');
}

const clockS = async (page: Page): Promise<number> => {
  const [minutes = 0, seconds = 0] = ((await page.getByTestId('clock').textContent()) ?? '').split(':').map(Number);
  return minutes * 60 + seconds;
};

/** The instant at which the step ends, by the page's own clock: it stays, however long a reload takes. */
const endOf = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const [minutes = 0, seconds = 0] = (document.querySelector('[data-testid=clock]')?.textContent ?? '')
      .split(':')
      .map(Number);
    return Date.now() + (minutes * 60 + seconds) * 1000;
  });

async function lastRun(page: Page): Promise<LoggedRun> {
  const { runs } = await recordsOf(page, 'aetas-demo');
  return (runs as LoggedRun[]).sort((a, b) => a.createdMs - b.createdMs).at(-1) as LoggedRun;
}

test('clock, the hands’ word and the line never move, whatever they say', async ({ page }) => {
  await atTank(page);
  await developing(page);
  const places = async () => {
    const boxes = await Promise.all(['clock', 'hands', 'tank-line'].map((id) => page.getByTestId(id).boundingBox()));
    return boxes.map((box) => Math.round(box?.y ?? -1));
  };
  const first = await places();
  const seen = new Set<string>();
  for (let step = 0; step < 24; step++) {
    await page.clock.runFor(30_000);
    seen.add((await page.getByTestId('hands').textContent()) ?? '');
    expect(await places()).toEqual(first);
  }
  expect(seen.size).toBeGreaterThan(2);
  await expect(page.getByTestId('tank')).toHaveAttribute('data-over', 'true');
});

for (const [name, width, height] of [
  ['a phone', 390, 844],
  ['a phone on its side', 844, 390],
  ['a desk', 1280, 800],
  ['a desk at 200 %', 640, 400],
  ['a desk at 400 %', 320, 200],
] as const)
  test(`clock, hands’ word and the key that goes on stay in view on ${name}: in time, over it, with a note open`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height });
    await atTank(page);
    const seen = async (what: string): Promise<void> => {
      for (const id of ['clock', 'hands']) {
        const box = await page.getByTestId(id).boundingBox();
        expect(box?.y, `${id} ${what}`).toBeGreaterThanOrEqual(0);
        expect((box?.y ?? 999) + (box?.height ?? 0), `${id} ${what}`).toBeLessThanOrEqual(height);
        await expect(page.getByTestId(id), `${id} ${what}`).toBeInViewport({ ratio: 0.9 });
        // Nothing lies over it.
        const top = await page.getByTestId(id).evaluate((element) => {
          const { left, top: y, height: tall } = element.getBoundingClientRect();
          const at = document.elementFromPoint(left + 12, y + tall / 2);
          return at !== null && (element === at || element.contains(at));
        });
        expect(top, `${id} ${what}, covered`).toBe(true);
      }
    };
    await seen('before');
    await page.keyboard.press('Space');
    await expect(page.getByTestId('hands')).not.toContainText('Ready');
    await seen('in the first bath');
    await page.clock.fastForward(((await clockS(page)) + 20) * 1000);
    await expect(page.getByTestId('tank')).toHaveAttribute('data-over', 'true');
    await seen('over time');
    const more = page.getByRole('button', { name: 'More', exact: true });
    if (await more.isVisible()) await more.click();
    await seen('with its lesser keys');
    await page.getByRole('button', { name: 'Note', exact: true }).click();
    await expect(page.getByLabel('Note')).toBeVisible();
    await seen('with a note open');
    await page.getByRole('button', { name: 'Not now' }).click();
    await expect(page.locator('footer').getByRole('button').last()).toBeInViewport();
  });

test('a reading moves the end, the next bath far away stops the hand, and a reason lets it go on', async ({ page }) => {
  await atTank(page);
  await developing(page);
  await page.clock.runFor(30_000);
  const temperature = page.getByRole('group', { name: /^Temperature/ });
  for (let press = 0; press < 10; press++) await temperature.getByRole('button', { name: /^−/ }).click();
  await temperature.getByRole('button', { name: 'Record 19.0 °C' }).click();
  await expect(page.getByTestId('tank-temperature')).toContainText('The end has moved +');
  await expect(page.getByTestId('tank-temperature')).toContainText('19.0 °C in the tank, read just now');

  // It lasts through a reload, at the right second.
  const endMs = await endOf(page);
  await page.reload();
  await expect(page.getByTestId('tank-temperature')).toContainText('The end has moved +');
  expect(Math.abs((await endOf(page)) - endMs)).toBeLessThanOrEqual(2_000);

  await page.getByRole('radio', { name: 'next bath' }).click();
  for (let press = 0; press < 60; press++) await temperature.getByRole('button', { name: /^\+/ }).click();
  await temperature.getByRole('button', { name: 'Record 25.0 °C' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Wait.' })).toContainText('The next bath is at 25.0 °C');
  await expect(page.getByRole('button', { name: EARLY })).toBeDisabled();
  await page.getByLabel('Or go on because').fill('no ice in the hut');
  await page.getByRole('button', { name: 'Pour it in anyway' }).click();
  await expect(page.getByRole('list', { name: 'Steps' }).locator('[aria-current]')).toContainText('Acid stop');
  await expect(page.getByRole('list', { name: 'Notes' })).toContainText('no ice in the hut');
});

test('degrees that were stepped to stand while the tank cools, until they are recorded', async ({ page }) => {
  await atTank(page);
  await developing(page);
  const temperature = page.getByRole('group', { name: /^Temperature/ });
  const record = temperature.getByRole('button', { name: /^Record / });
  await page.getByRole('radio', { name: 'room' }).click();
  for (let press = 0; press < 80; press++) await temperature.getByRole('button', { name: /^−/ }).click();
  await record.click();
  await page.getByRole('radio', { name: 'tank' }).click();
  for (let press = 0; press < 3; press++) await temperature.getByRole('button', { name: /^\+/ }).click();
  await expect(record).toHaveText('Record 20.3 °C');
  await page.clock.runFor(200_000);
  await expect(page.getByTestId('tank-temperature')).toContainText('19.');
  await expect(record).toHaveText('Record 20.3 °C');
  await record.click();
  await expect(page.getByTestId('tank-temperature')).toContainText('in the tank, read just now');
});

test('a press at the tank, and a page that goes in the same breath: the press is kept', async ({ page }) => {
  await atTank(page);
  await developing(page);
  await page.clock.runFor(30_000);
  const keys = page.getByRole('group', { name: /^Temperature/ });
  await keys.getByRole('button', { name: /^−/ }).click();
  const loaded = page.waitForEvent('load');
  await keys.getByRole('button', { name: /^Record / }).evaluate((key: HTMLButtonElement) => {
    key.click();
    location.reload();
  });
  await loaded;
  await expect(page.getByTestId('tank-temperature')).toContainText('in the tank, read ');
});

test('late is told beside the doubt, and the early button wants to be held', async ({ page }) => {
  await atTank(page);
  await developing(page);
  const early = page.getByRole('button', { name: EARLY });
  await early.click();
  await expect(page.getByRole('list', { name: 'Steps' }).locator('[aria-current]')).toContainText('Develop');
  await page.clock.fastForward(((await clockS(page)) + 20) * 1000);
  await expect(page.getByTestId('slip')).toContainText(/late: small beside the doubt \(\d+:\d\d–\d+:\d\d\)/);
  await page.clock.fastForward(220_000);
  await expect(page.getByTestId('slip')).toContainText(/late: about .* grades? harder/);
  await page.getByRole('button', { name: 'Acid stop: it is in' }).click();
  // What became of it stands there while the stop works.
  await expect(page.getByTestId('slip')).toContainText(/late: about .* harder/);
});

test('space is the primary act even with the focus on another button; other keys rest; Escape closes a note', async ({
  page,
}) => {
  await atTank(page);
  await page.getByRole('button', { name: 'Note' }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByTestId('hands')).not.toContainText('Ready');
  await expect(page.getByLabel('Note')).toBeHidden();
  const address = page.url();
  for (const key of ['b', 'n', 's', '/', '?']) await page.keyboard.press(key);
  expect(page.url()).toBe(address);
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.getByRole('button', { name: 'Note' }).click();
  await page.keyboard.type('a b');
  await expect(page.getByLabel('Note')).toHaveValue('a b');
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Note')).toBeHidden();
  expect((await lastRun(page)).events.map(({ kind }) => kind)).toEqual(['begin']);
});

test('a pause counts for nothing in the wash, and is refused in the developer with its reason', async ({ page }) => {
  await atTank(page);
  await developing(page);
  await expect(page.getByText('The developer goes on working, whether the clock goes or not.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Pause the clock' })).toBeHidden();
  const { steps } = await lastRun(page);
  const wash = steps.findIndex(({ kind }) => kind === 'wash');
  for (let step = 1; step < wash; step++) {
    await page.clock.fastForward(1_000_000);
    await page.getByRole('button', { name: /: it is in$/ }).click();
  }
  await page.clock.runFor(5_000);
  await page.getByRole('button', { name: 'Pause the clock' }).click();
  const before = await clockS(page);
  await page.clock.fastForward(120_000);
  await expect(page.getByTestId('hands')).toHaveText('The clock is paused');
  expect(Math.abs((await clockS(page)) - before)).toBeLessThanOrEqual(1);
  await page.getByRole('button', { name: 'Start the clock again' }).click();
  await page.clock.runFor(2_000);
  expect(before - (await clockS(page))).toBeLessThanOrEqual(4);
});

test('a clearing test of 2:25 fixes for 4:50, and what is left to do is told at the end', async ({ page }) => {
  await atTank(page);
  await expect(page.getByRole('region', { name: 'Before the first pour' })).toContainText('cover this film');
  await page.getByLabel('The lid is on, and turns without leaking').check();
  await page.reload();
  await expect(page.getByLabel('The lid is on, and turns without leaking')).toBeChecked();
  await developing(page);
  for (const name of ['Acid stop', 'Fix']) {
    await page.clock.fastForward(1_000_000);
    await page.getByRole('button', { name: `${name}: it is in` }).click();
  }
  await page.getByRole('button', { name: 'The scrap is in' }).click();
  await page.clock.runFor(60_000);
  // A page that goes and comes back counts on from the drop.
  await page.reload();
  await expect(page.getByText(/^In the fixer for 1:[0-3]\d/)).toBeVisible();
  await page.getByRole('button', { name: 'Not now' }).click();
  await page.getByRole('button', { name: 'The scrap is in' }).click();
  await page.clock.runFor(145_000);
  await page.getByRole('button', { name: 'It is clear' }).click();
  const twice = page.getByRole('button', { name: /^× 2: 4:5\d$/ });
  await expect(page.getByRole('button', { name: /^× 3: 7:1\d$/ })).toBeVisible();
  await twice.click();
  await expect(page.getByRole('list', { name: 'Steps' }).locator('[aria-current]')).toContainText(/4:5\d/);
  while (!(await page.getByRole('button', { name: 'Hung to dry' }).isVisible())) {
    await page.clock.fastForward(1_000_000);
    const next = page.getByRole('button', { name: /: it is in$|^Hung to dry$/ });
    await next.click();
    if ((await page.getByTestId('hands').textContent()) === 'Hung to dry') break;
  }
  await expect(page.getByRole('region', { name: 'Dry' })).toContainText('Hanging in air');
  await expect(page.getByRole('region', { name: 'Where each bath goes' })).toContainText('never the drain');
  expect((await lastRun(page)).events.map(({ kind }) => kind)).toContain('clearing');
});

test('practice: the same screen at sixty times the pace, scored, and no mark in the log', async ({ page }) => {
  await page.clock.install({ time: MORNING });
  await openDemo(page, '/practice');
  const before = (await recordsOf(page, 'aetas-demo')).runs?.length;
  await page.getByRole('radio', { name: 'Sixty times as fast' }).click();
  await page.getByRole('button', { name: 'Start the first run' }).click();
  await page.getByRole('button', { name: 'Pre-soak is in: start' }).click();
  for (let turn = 0; turn < 120 && !(await page.getByTestId('practice-result').isVisible()); turn++) {
    await page.clock.runFor(500);
    const mishap = page.getByRole('alert').getByRole('button');
    if (await mishap.isVisible()) await mishap.click();
    const dip = page.getByRole('button', { name: 'Dip the thermometer' });
    // The bath may end between the look and the press: then there is nothing to dip into.
    if (turn % 4 === 0 && (await dip.isEnabled().catch(() => false)))
      await dip.click({ timeout: 1_000 }).catch(() => undefined);
    const next = page.getByRole('button', { name: /: it is in$|^Hung to dry$/ });
    // A bottle may go astray between the look and the press: then it is found first, next time round.
    if (await next.isVisible()) await next.click({ timeout: 1_000 }).catch(() => undefined);
  }
  await expect(page.getByTestId('practice-result')).toContainText(
    /Gradient 0\.\d\d, wanted 0\.58; with perfect timing 0\.\d\d/,
  );
  await page.getByRole('button', { name: 'leave the tank' }).click();
  await expect(page.getByRole('heading', { name: '1 of 3 runs' })).toBeVisible();
  expect((await recordsOf(page, 'aetas-demo')).runs?.length).toBe(before);
});

test('the evening: two rolls on one clock, shifted and told why, kept through a reload, and out as a calendar', async ({
  page,
}) => {
  await page.clock.install({ time: MORNING });
  await openDemo(page, '/');
  await page.getByRole('link', { name: 'Plan the evening' }).click();
  await page.getByRole('checkbox', { name: 'Instrument readings' }).check();
  await page.getByLabel('Start at').fill('25:00');
  await page.getByLabel('Let water stand').focus();
  await expect(page.getByText('give a time such as 18:30')).toBeVisible();
  await page.getByLabel('Start at').fill('18:30');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^The last film hangs at (19|20|21):\d\d\.$/);
  const others = page.getByRole('group', { name: 'Rolls, in the order of the evening' }).getByRole('checkbox');
  if ((await others.count()) > 1) {
    await others.last().check();
    await expect(page.getByRole('list', { name: 'What the plan changed' })).toContainText(
      'until a tank is free and its reel is dry',
    );
  }
  await expect(page.getByTestId('evening-strip')).toContainText('Develop');
  await page.reload();
  await expect(page.getByLabel('Start at')).toHaveValue('18:30');
  await expect(page.getByRole('checkbox', { name: 'Instrument readings' })).toBeChecked();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Add to calendar' }).click(),
  ]);
  const text = await readFile(await file.path(), 'utf8');
  expect(text).toContain('BEGIN:VCALENDAR');
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(2);
});

test('with the server gone an open tank goes to its end and into the log', async ({ context, page }) => {
  await atTank(page);
  await developing(page);
  await context.setOffline(true);
  for (let step = 0; step < 12 && (await page.getByTestId('hands').textContent()) !== 'Hung to dry'; step++) {
    await page.clock.fastForward(1_000_000);
    await page.getByRole('button', { name: /: it is in$|^Hung to dry$/ }).click();
  }
  await expect(page.getByTestId('hands')).toHaveText('Hung to dry');
  await expect.poll(async () => (await lastRun(page)).events.at(-1)?.kind).toBe('finish');
});

test('a page that slept through signals says which it missed', async ({ page }) => {
  await atTank(page);
  await developing(page);
  await page.clock.runFor(35_000);
  await page.clock.fastForward(90_000);
  await expect(page.getByText(/^This page was asleep and missed “.*” at \d+:\d\d/)).toBeVisible();
});

test('two rolls in one tank: one clock, a line in the log and a verdict for each', async ({ page }) => {
  await page.clock.install({ time: MORNING });
  await openDemo(page, '/rolls/instruments');
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
  await page.getByText('More rolls in this tank').click();
  const mate = page.getByRole('listitem').filter({ hasText: 'Tin 3, cloud studies' });
  await mate.getByRole('checkbox').check();
  await expect(mate).toContainText(/By itself \d+:\d\d \(\d+:\d\d to \d+:\d\d\): \d+:\d\d is .+ its likely range/);
  await expect(page.getByText('These reels, one on the other, need about')).toBeVisible();
  // The choice outlives a reload.
  await page.reload();
  await expect(mate.getByRole('checkbox')).toBeChecked();
  await expect(mate).toContainText('By itself');
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Instrument readings + Tin 3, cloud studies');
  await developing(page);
  for (let step = 0; step < 12 && (await page.getByTestId('hands').textContent()) !== 'Hung to dry'; step++) {
    await page.clock.fastForward(1_000_000);
    await page.getByRole('button', { name: /: it is in$|^Hung to dry$/ }).click();
  }
  await expect(page.getByText('Each roll has its own verdict')).toBeVisible();
  type Shared = { id: string; rollId: string; tankRunId?: string; events: unknown[] };
  await expect
    .poll(async () => {
      const runs = (await recordsOf(page, 'aetas-demo')).runs as Shared[];
      const [main, shared] = ['instruments', 'tin-3'].map((rollId) => runs.find((run) => run.rollId === rollId));
      return shared?.tankRunId === main?.id && JSON.stringify(shared?.events) === JSON.stringify(main?.events);
    })
    .toBe(true);
  await page.getByRole('link', { name: 'Tin 3, cloud studies' }).click();
  await expect(page.getByRole('radio', { name: 'Much too soft' })).toBeVisible();
  await page.goto('/log');
  for (const label of ['Instrument readings', 'Tin 3, cloud studies'])
    await expect(page.getByRole('link', { name: label }).first()).toBeVisible();
  const shared = ((await recordsOf(page, 'aetas-demo')).runs as Shared[]).find(({ rollId }) => rollId === 'tin-3');
  await page.goto(`/log/${shared?.id ?? ''}`);
  await expect(page.getByText('with Instrument readings')).toBeVisible();
});
