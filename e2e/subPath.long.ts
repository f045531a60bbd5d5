import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';

/*
 * Behind a server that serves other things too: built for a path, in a copy of the sources, since the build belongs to its path.
 */
const PATH = '/aetas';
const PORT = '4389';
const ADDRESS = `http://127.0.0.1:${PORT}`;
/** What a build needs. */
const SOURCES = [
  'src',
  'public',
  'docs',
  'scripts',
  'package.json',
  'package-lock.json',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
];

const folder = mkdtempSync(join(tmpdir(), 'aetas-path-'));
let server: ChildProcess | null = null;

test.use({ serviceWorkers: 'allow' });

test.beforeAll(async () => {
  test.setTimeout(600_000);
  for (const source of SOURCES) cpSync(source, join(folder, source), { recursive: true });
  // A bundler follows no link out of its folder; names for the same files take no room.
  const linked = spawnSync('cp', ['-al', join(process.cwd(), 'node_modules'), join(folder, 'node_modules')]);
  if (linked.status !== 0) cpSync('node_modules', join(folder, 'node_modules'), { recursive: true });
  rmSync(join(folder, 'node_modules/.cache'), { recursive: true, force: true });
  const made = spawnSync(process.execPath, ['scripts/package.mjs', join(folder, 'served')], {
    cwd: folder,
    env: { ...process.env, AETAS_BASE_PATH: PATH },
    encoding: 'utf8',
  });
  expect(made.stdout + made.stderr).toContain('node server.js');
  server = spawn(process.execPath, ['server.js'], {
    cwd: join(folder, 'served'),
    env: { ...process.env, NODE_ENV: 'production', HOSTNAME: '127.0.0.1', PORT, AETAS_BASE_PATH: PATH },
    stdio: 'ignore',
  });
  await expect(async () => expect((await fetch(`${ADDRESS}${PATH}/api/schema`)).ok).toBe(true)).toPass();
});

test.afterAll(() => {
  server?.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

test('under a path of another server every page, link, worker and file stays below it, with the server gone too', async ({
  page,
}) => {
  test.setTimeout(300_000);
  const strays: string[] = [];
  page.on('request', (request) => {
    const { origin, pathname, protocol } = new URL(request.url());
    if (protocol.startsWith('http') && !(origin === ADDRESS && `${pathname}/`.startsWith(`${PATH}/`)))
      strays.push(request.url());
  });
  await page.goto(`${ADDRESS}${PATH}/ask`);
  await expect(page.getByTestId('time')).toHaveText(/\d/);
  const before = await page.getByTestId('time').textContent();
  await page.getByLabel('Temperature, °C').fill('24');
  // The worker answers.
  await expect(page.getByTestId('time')).not.toHaveText(before ?? '');
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await expect(page).toHaveURL(`${ADDRESS}${PATH}/log`);
  await expect(page.getByRole('heading', { level: 1, name: 'Log' })).toBeVisible();
  const estimate = await page.request.post(`${ADDRESS}${PATH}/api/estimate`, { data: {} });
  expect(estimate.status()).toBe(422);
  expect((await page.request.get(`${ADDRESS}/log`)).status()).toBe(404);
  const manifest = (await (await page.request.get(`${ADDRESS}${PATH}/manifest.webmanifest`)).json()) as {
    start_url: string;
    scope?: string;
  };
  expect(manifest.start_url).toMatch(new RegExp(`^${PATH}`));
  const scope = await page.evaluate(async () => (await navigator.serviceWorker.ready).scope);
  // Without a slash at its end: the bench itself stands at the path.
  expect(scope).toBe(`${ADDRESS}${PATH}`);
  expect(strays).toEqual([]);

  await expect(async () => {
    await page.goto(`${ADDRESS}${PATH}/rolls`);
    expect(await page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  }).toPass();
  server?.kill('SIGKILL');
  for (const path of ['/brews', '/handbook', '/log', '']) {
    await page.goto(`${ADDRESS}${PATH}${path}`);
    await expect(page.locator('main h1, main [data-testid=time]').first(), path).toBeVisible();
  }
  expect(strays).toEqual([]);
});
