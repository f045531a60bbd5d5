import { expect, test, type Page } from '@playwright/test';
import { USE_TIME, MORNING, openDemo, recordsOf } from './bench';

type Shake = { atMs: number; tones: number };
type StoredRun = {
  createdMs: number;
  steps: { durationS: number }[];
  events: { kind: string; stepIndex?: number; atMs: number }[];
};

/** Writes down every signal that the hand would feel, with the instant at which it came. */
async function feelSignals(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const felt: Shake[] = [];
    Object.assign(window, { felt });
    Object.defineProperty(navigator, 'vibrate', {
      value: (pattern: number[]) => felt.push({ atMs: Date.now(), tones: pattern.length / 2 }),
    });
  });
}

const felt = (page: Page): Promise<Shake[]> => page.evaluate(() => (window as unknown as { felt: Shake[] }).felt);

async function lastRun(page: Page, bench: 'aetas' | 'aetas-demo'): Promise<StoredRun> {
  const { runs } = await recordsOf(page, bench);
  return (runs as StoredRun[]).sort((a, b) => a.createdMs - b.createdMs).at(-1) as StoredRun;
}

/** The cloud studies with a time of one's own, at its tank. */
async function atTank(page: Page, minutes: string, movement: string | RegExp): Promise<void> {
  // The stand-in probe would move the end: these are about the plan's own seconds.
  await openDemo(page, '/brews/kit');
  const typed = page.locator('#probe').getByRole('radio', { name: 'I type what I read' });
  await typed.click();
  await expect(typed).toBeChecked();
  await page.goto('/rolls/tin-3#choose');
  await page.getByTestId('time').waitFor();
  await page.getByRole('button', { name: 'How the tank is agitated' }).click();
  await page.getByRole('option', { name: movement }).click();
  await page.getByRole('button', { name: 'My time', exact: true }).click();
  await page.locator('#ownTimeMin').fill(minutes);
  await page.getByRole('button', { name: USE_TIME }).click();
  await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
  await page.getByRole('button', { name: 'Go to the tank' }).click();
  await expect(page.getByTestId('hands')).toHaveText(/^Ready/);
}

const percentile99 = (values: number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.ceil(0.99 * sorted.length) - 1)] ?? Number.POSITIVE_INFINITY;
};

/** Bare timers in a worker of the same browser, due at the given instants: how late this machine itself is. */
async function bareTimers(page: Page, dueMs: number[]): Promise<void> {
  await page.evaluate((due) => {
    const source = `onmessage = ({ data }) => data.forEach((due, at) => setTimeout(() => postMessage([at, Date.now() - due]), due - Date.now()))`;
    const worker = new Worker(URL.createObjectURL(new Blob([source], { type: 'text/javascript' })));
    const late: number[] = [];
    worker.onmessage = ({ data: [at, ms] }: MessageEvent<[number, number]>) => (late[at] = ms);
    worker.postMessage(due);
    Object.assign(window, { late });
  }, dueMs);
}

// Alone on the machine: `@alone` keeps it out of the company of other workers.
test('a real run of three minutes: every signal within a tenth of a second @alone', async ({ page }) => {
  test.setTimeout(400_000);
  await feelSignals(page);
  await atTank(page, '3:00', /10 s each minute/);
  await page.getByRole('button', { name: 'Pre-soak is in: start' }).click();
  await page.waitForTimeout(61_000);
  await page.getByRole('button', { name: 'Develop: it is in' }).click();
  const before = (await felt(page)).length;
  await expect
    .poll(async () => (await lastRun(page, 'aetas-demo')).events.filter(({ kind }) => kind === 'begin').length)
    .toBe(2);
  const startMs = (await lastRun(page, 'aetas-demo')).events.filter(({ kind }) => kind === 'begin').at(-1)?.atMs ?? 0;
  // 30 still, 55 ready, 60 move, 70 still, 115, 120, 130, 163 ready, 168 pour, 180 over: as worked by hand in core.
  const due = [30, 55, 60, 70, 115, 120, 130, 163, 168, 180].map((second) => startMs + second * 1000);
  await bareTimers(page, due);
  await page.waitForTimeout(182_000);
  const shakes = (await felt(page)).slice(before);
  expect(shakes).toHaveLength(due.length);
  const bare = await page.evaluate(() => (window as unknown as { late: number[] }).late);
  const errors = shakes.map(({ atMs }, index) => atMs - (due[index] ?? 0));
  console.log(`signals late by ${errors.join(' ')} ms; bare timers by ${bare.join(' ')} ms`);
  // No signal is early, and none later than a tenth of a second beside what the machine itself was late.
  for (const [index, error] of errors.entries()) {
    expect(error).toBeGreaterThanOrEqual(-5);
    expect(error - (bare[index] ?? 0)).toBeLessThanOrEqual(100);
  }
});

test('a stand of 75 minutes on a simulated clock: no signal lost, none late', async ({ page }) => {
  test.setTimeout(400_000);
  await feelSignals(page);
  await page.clock.install({ time: MORNING });
  await atTank(page, '75', /10 s each minute/);
  await page.getByRole('button', { name: 'Pre-soak is in: start' }).click();
  await page.clock.runFor(61_000);
  await page.getByRole('button', { name: 'Develop: it is in' }).click();
  const before = (await felt(page)).length;
  for (let minute = 0; minute < 76; minute++) await page.clock.runFor(60_000);
  const run = await lastRun(page, 'aetas-demo');
  const startMs = run.events.filter(({ kind }) => kind === 'begin').at(-1)?.atMs ?? 0;
  const shakes = (await felt(page)).slice(before);
  const seconds = shakes.map(({ atMs }) => Math.round((atMs - startMs) / 100) / 10);
  console.log(
    seconds.filter((second, at) => second - (seconds[at - 1] ?? -9) < 4).join(' '),
    '|',
    seconds.slice(-6).join(' '),
  );
  // 74 movements at whole minutes with their readying and their end, the first end, pouring with its readying, and the end.
  expect(shakes).toHaveLength(74 * 3 + 1 + 3);
  const marks = new Set([0, 5, 10, 30, 43, 48, 55]);
  const off = shakes.map(({ atMs }) => {
    const second = ((atMs - startMs) / 1000) % 60;
    return (
      Math.min(...[...marks].map((mark) => Math.min(Math.abs(second - mark), 60 - Math.abs(second - mark)))) * 1000
    );
  });
  expect(percentile99(off)).toBeLessThanOrEqual(100);
});

test('a tank killed at twenty moments goes on at the right second, twenty of twenty', async ({ context }) => {
  test.setTimeout(400_000);
  let page = await context.newPage();
  await atTank(page, '12', /10 s each minute/);
  const address = page.url();
  await page.getByRole('button', { name: 'Pre-soak is in: start' }).click();
  await page.waitForTimeout(1_000);
  const start = (await lastRun(page, 'aetas-demo')).events[0]?.atMs ?? 0;
  const { durationS } = (await lastRun(page, 'aetas-demo')).steps[0] ?? { durationS: 0 };
  let whole = 0;
  for (let kill = 0; kill < 20; kill++) {
    await page.waitForTimeout(100 + ((kill * 617) % 1_400));
    await page.close({ runBeforeUnload: false });
    page = await context.newPage();
    await page.goto(address);
    await expect(page.getByTestId('clock')).toHaveText(/\d:\d\d/);
    const [shown, now] = await page.evaluate(
      () => [document.querySelector('[data-testid=clock]')?.textContent ?? '', Date.now()] as const,
    );
    const [minutes = 0, seconds = 0] = shown.replace('+', '').split(':').map(Number);
    const remaining = (shown.startsWith('+') ? -1 : 1) * (minutes * 60 + seconds);
    const { events } = await lastRun(page, 'aetas-demo');
    if (Math.abs(durationS - (now - start) / 1000 - remaining) <= 1.3 && events.length === 1) whole += 1;
  }
  console.log(`${whole} of 20 went on at the right second`);
  expect(whole).toBe(20);
});

test('eight hours at the tank, at sixty times the pace, keep their memory', async ({ page }) => {
  test.setTimeout(700_000);
  await openDemo(page, '/practice');
  await page.getByRole('radio', { name: 'Sixty times as fast' }).click();
  await page.getByRole('button', { name: 'Start the first run' }).click();
  await page.getByRole('button', { name: 'Pre-soak is in: start' }).click();
  const session = await page.context().newCDPSession(page);
  const heapMb = async (): Promise<number> => {
    await session.send('HeapProfiler.collectGarbage');
    const { usedSize } = await session.send('Runtime.getHeapUsage');
    return usedSize / 1e6;
  };
  await page.waitForTimeout(20_000);
  const before = await heapMb();
  // The developer is in and over its time for the rest: clock, line and words are drawn all the while.
  const develop = page.getByRole('button', { name: 'Develop: it is in' });
  if (await develop.isVisible()) await develop.click();
  await page.waitForTimeout(480_000 - 20_000);
  const growth = (await heapMb()) - before;
  console.log(`memory grew by ${growth.toFixed(1)} MB in eight hours of the tank`);
  expect(growth).toBeLessThan(10);
});
