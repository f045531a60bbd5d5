import { expect, test } from '@playwright/test';
import { servePackagedCopy } from './packagedCopy';

/*
 * Behind a server that serves other things too: built for a path.
 */
const PATH = '/aetas';
const PORT = '4389';
const ADDRESS = `http://127.0.0.1:${PORT}`;
let served: Awaited<ReturnType<typeof servePackagedCopy>> | null = null;

test.use({ serviceWorkers: 'allow' });

test.beforeAll(async () => {
  test.setTimeout(600_000);
  served = await servePackagedCopy('path', PORT, { AETAS_BASE_PATH: PATH });
});

test.afterAll(() => {
  served?.stop();
  served?.remove();
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
  served?.stop();
  for (const path of ['/brews', '/handbook', '/log', '']) {
    await page.goto(`${ADDRESS}${PATH}${path}`);
    await expect(page.locator('main h1, main [data-testid=time]').first(), path).toBeVisible();
  }
  expect(strays).toEqual([]);
});
