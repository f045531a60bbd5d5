import { spawn, type ChildProcess } from 'node:child_process';
import { createServer, request as ask, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, test, type Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { plainPages } from '../../src/workers/offline/keptPages';
import { MORNING, USE_TIME, addRoll, recordsOf, throughTheTank } from '../bench';

test.use({ serviceWorkers: 'allow' });

/** What a server between the page and Aetas makes of it. */
type Mode = 'as it is' | 'newer' | 'newer, broken' | 'gone';

/** The name that the newer version has. */
const NEWER = 'newer-version';

/** A server of one’s own bench that a test can stop, or have turn into a newer version: it passes on what Aetas says. */
class Between {
  mode: Mode = 'as it is';
  readonly asked: string[] = [];
  private readonly server: Server;
  private constructor(
    public aetas: URL,
    private readonly version: string,
  ) {
    this.server = createServer((request, response) => {
      this.asked.push(request.url ?? '');
      if (this.mode === 'gone') return void request.socket.destroy();
      if (this.mode === 'newer, broken' && request.url === '/log') return void response.writeHead(500).end();
      const headers = { ...request.headers };
      delete headers.host;
      delete headers['accept-encoding'];
      const passed = ask(new URL(request.url ?? '/', this.aetas), { method: request.method, headers }, (answer) => {
        const pieces: Buffer[] = [];
        answer.on('data', (piece: Buffer) => pieces.push(piece));
        answer.on('end', () => {
          const newer = this.mode !== 'as it is';
          const sent = { ...answer.headers };
          delete sent['content-length'];
          delete sent['transfer-encoding'];
          if (newer && sent['aetas-version'] !== undefined) sent['aetas-version'] = NEWER;
          const whole = Buffer.concat(pieces);
          const body =
            newer && request.url === '/sw.js' ? Buffer.from(whole.toString().replaceAll(this.version, NEWER)) : whole;
          response.writeHead(answer.statusCode ?? 500, sent).end(body);
        });
      });
      passed.on('error', () => response.destroy());
      request.pipe(passed);
    });
  }

  static async open(aetas: string): Promise<Between> {
    const version = (await fetch(aetas)).headers.get('aetas-version') ?? '';
    expect(version).toMatch(/^[0-9a-f]{12}$/);
    const between = new Between(new URL(aetas), version);
    await new Promise<void>((resolve) => between.server.listen(0, '127.0.0.1', resolve));
    return between;
  }

  get address(): string {
    return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
  }

  close(): void {
    this.server.closeAllConnections();
    this.server.close();
  }
}

/** Waits until everything is kept. */
async function kept(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    while (navigator.serviceWorker.controller === null) await new Promise((resolve) => setTimeout(resolve, 50));
  });
}

const served = test.extend<{ between: Between }>({
  between: async ({ baseURL }, use) => {
    const between = await Between.open(baseURL ?? '');
    await use(between);
    between.close();
  },
});

served('with no server every page opens by its address, and links and workers go on', async ({ page, between }) => {
  served.setTimeout(180_000);
  await page.goto(between.address);
  await kept(page);
  between.mode = 'gone';
  for (const path of plainPages) {
    const answer = await page.goto(`${between.address}${path}`);
    expect(answer?.status(), path).toBe(200);
    await expect(page.locator('main h1').first(), path).toBeVisible();
  }
  await page.goto(`${between.address}/rolls/no-such-roll`);
  await expect(page.getByText('not on this bench')).toBeVisible();
  await page.goto(`${between.address}/nowhere`);
  await expect(page.getByRole('heading', { name: 'There is no such page here.' })).toBeVisible();
  await page.getByRole('link', { name: 'Go to the bench' }).click();
  // The worker answers the question.
  await expect(page.getByText(/\d+:\d\d/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Log' })).toBeVisible();
});

served(
  'with no server a roll goes from its tin into the log, with a reload at the tank, and out as a file',
  async ({ page, between }) => {
    served.setTimeout(240_000);
    await page.goto(between.address);
    await kept(page);
    between.mode = 'gone';
    await page.clock.install({ time: MORNING });
    await addRoll(page, 'Shoebox, hill fog', '120 (roll film)', between.address);
    await page.getByRole('button', { name: USE_TIME }).click();
    await page.getByRole('button', { name: 'I’ve mixed this recipe' }).click();
    await expect(page.getByRole('button', { name: 'Go to the tank' })).toBeVisible();
    await page.reload();
    await throughTheTank(page);
    await page.reload();
    await expect(page.getByTestId('hands')).toHaveText('Hung to dry');
    const { runs } = await recordsOf(page, 'aetas');
    expect(runs).toHaveLength(1);
    await page.goto(`${between.address}/records`);
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save all records' }).click(),
    ]);
    const path = await file.path();
    await page.getByLabel('File with records').setInputFiles(path);
    await expect(page.getByText(/1 roll/).first()).toBeVisible();
  },
);

served(
  'a newer version waits for a word, comes whole or not at all, and never under a film in the tank',
  async ({ page, between }) => {
    served.setTimeout(180_000);
    await page.goto(between.address);
    await kept(page);
    const offered = page.getByText('A new version of Aetas is ready.');
    const servedNow = (): Promise<string | undefined> =>
      page.evaluate(async () => (await (await caches.open('aetas-served')).match('/served'))?.text());
    const before = await servedNow();

    // Half a version is none.
    between.mode = 'newer, broken';
    await page.evaluate(async () => {
      const registration = await navigator.serviceWorker.ready;
      await registration.update().catch(() => undefined);
      while (registration.installing !== null) await new Promise((resolve) => setTimeout(resolve, 100));
    });
    await page.reload();
    await expect(page.locator('main h1').first()).toBeVisible();
    await expect(offered).toHaveCount(0);
    between.mode = 'gone';
    await page.goto(`${between.address}/log`);
    await expect(page.getByRole('heading', { level: 1, name: 'Log' })).toBeVisible();

    // A whole one is offered, and the pages stay as they are until then.
    between.mode = 'newer';
    await page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()));
    // All of its files are fetched first, which takes a busy machine a while.
    await expect(offered).toBeVisible({ timeout: 100_000 });
    expect(await servedNow()).toBe(before);
    const versionOf = async (): Promise<string | null> =>
      page.evaluate(async () => (await fetch('/log', { mode: 'same-origin' })).headers.get('aetas-version'));
    expect(await versionOf()).toBe(before);

    // Hands that work hold it up.
    await page.evaluate(() => {
      void navigator.locks.request('aetas.hands', () => new Promise(() => undefined));
    });
    await page.getByRole('button', { name: 'Use it now' }).click();
    await expect(page.getByText('The new version waits until that is done.')).toBeVisible();
    expect(await servedNow()).toBe(before);
    await page.reload();
    await expect(offered).toBeVisible();
    await page.getByRole('button', { name: 'Use it now' }).click();
    await expect(offered).toHaveCount(0);
    await expect.poll(servedNow).toBe(NEWER);
    expect(await page.evaluate(async () => (await caches.keys()).sort())).toEqual([`aetas-${NEWER}`, 'aetas-served']);
  },
);

served('what an installed application needs is there, and in its sizes', async ({ page, between }) => {
  const manifest = (await (await fetch(`${between.address}/manifest.webmanifest`)).json()) as {
    icons: { src: string; sizes: string; purpose: string }[];
    shortcuts: { url: string }[];
    start_url: string;
    display: string;
  };
  expect(manifest.display).toBe('standalone');
  expect(new Set(manifest.icons.map(({ purpose }) => purpose))).toEqual(new Set(['any', 'maskable']));
  for (const { src, sizes } of manifest.icons) {
    const picture = PNG.sync.read(Buffer.from(await (await fetch(`${between.address}${src}`)).arrayBuffer()));
    expect(`${picture.width}x${picture.height}`, src).toBe(sizes);
  }
  await page.goto(between.address);
  await expect(page.locator('link[rel=manifest]')).toHaveAttribute('href', '/manifest.webmanifest');
  await kept(page);
  between.mode = 'gone';
  for (const url of [manifest.start_url, ...manifest.shortcuts.map((shortcut) => shortcut.url)])
    expect((await page.goto(`${between.address}${url}`))?.status(), url).toBe(200);
});

served('a file that the system shares goes to its roll, or to Records, and to no server', async ({ page, between }) => {
  await page.goto(between.address);
  await kept(page);
  await addRoll(page, 'Shoebox, hill fog', '120 (roll film)', between.address);
  const share = async (name: string, type: string, base64: string): Promise<void> => {
    await page.evaluate(
      async ([fileName, fileType, data]) => {
        const bytes = Uint8Array.from(atob(data), (letter) => letter.charCodeAt(0));
        const form = document.createElement('form');
        Object.assign(form, { method: 'post', action: '/given', enctype: 'multipart/form-data' });
        const field = document.createElement('input');
        const files = new DataTransfer();
        files.items.add(new File([bytes], fileName, { type: fileType }));
        Object.assign(field, { type: 'file', name: 'files', files: files.files });
        form.append(field);
        document.body.append(form);
        form.submit();
      },
      [name, type, base64] as const,
    );
  };
  between.mode = 'gone';
  const picture = PNG.sync.write(new PNG({ width: 600, height: 200 })).toString('base64');
  await share('strip of the hill.png', 'image/png', picture);
  await expect(page.getByRole('heading', { name: 'Which roll is this a picture of?' })).toBeVisible();
  await page.getByRole('link', { name: 'Shoebox, hill fog' }).click();
  await page.getByRole('button', { name: 'Use “strip of the hill.png”, which was shared' }).click();
  await expect(page.getByText(/Drag the marks/)).toBeVisible();

  await page.goto(`${between.address}/records`);
  await expect(page.getByText('was given to Aetas')).toHaveCount(0);
  await share('rolls.csv', 'text/csv', Buffer.from('no, table').toString('base64'));
  await page.getByRole('link', { name: 'Open or merge it under Records' }).click();
  await page.getByRole('button', { name: 'Merge it into the bench' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'rolls.csv' })).toBeVisible();
  expect(between.asked.filter((url) => url.startsWith('/given?'))).toEqual([]);
});

served('a demo at the same address takes the worker away, with all that it kept', async ({ page, between }) => {
  await page.goto(between.address);
  await kept(page);
  const demo = await startDemo();
  try {
    between.aetas = new URL(demo.address);
    await page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()));
    await expect.poll(() => page.evaluate(async () => [...(await caches.keys())].length).catch(() => null)).toBe(0);
    await expect(page.locator('html')).toHaveAttribute('data-bench', 'demo');
  } finally {
    demo.server.kill('SIGKILL');
  }
});

async function startDemo(): Promise<{ server: ChildProcess; address: string }> {
  const port = 4398;
  const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '--port', String(port)], {
    stdio: 'ignore',
    env: { ...process.env, AETAS_DEMO: '1', NEXT_TELEMETRY_DISABLED: '1' },
  });
  const address = `http://127.0.0.1:${port}`;
  await expect(async () => expect((await fetch(`${address}/api/schema`)).ok).toBe(true)).toPass({ timeout: 60_000 });
  return { server, address };
}
