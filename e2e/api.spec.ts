import { readFile } from 'node:fs/promises';
import { request as httpRequest } from 'node:http';
import { expect, test } from '@playwright/test';
import { coffeeRequest } from '../src/core/testing/sampleRequest';
import { estimate, completeRequest } from '../src/core/estimate/estimate';

test('an estimate over HTTP is the core’s', async ({ request }) => {
  const answer = await request.post('/api/estimate', { data: coffeeRequest });
  expect(answer.status()).toBe(200);
  expect(await answer.json()).toEqual(JSON.parse(JSON.stringify(estimate(completeRequest(coffeeRequest)))));
});

test('evidence moves it, and the examples of the documentation work as they stand', async ({ request }) => {
  const bodies = [...(await readFile('docs/api.md', 'utf8')).matchAll(/-d '(\{[^']*\})'/g)].map(
    ([, body]) => JSON.parse(body ?? '') as { evidence?: unknown[] },
  );
  expect(bodies.some(({ evidence }) => evidence?.length === 5)).toBe(true);
  for (const data of bodies) expect((await request.post('/api/estimate', { data })).status()).toBe(200);
  const clip = { kind: 'clip', id: 'clip', timeMin: 11, gradient: 0.4, method: 'densities' };
  const answer = await request.post('/api/estimate', { data: { ...coffeeRequest, evidence: [clip] } });
  expect(((await answer.json()) as { timeMin: number }).timeMin).toBeGreaterThan(
    estimate(completeRequest(coffeeRequest)).timeMin,
  );
  const bad = await request.post('/api/estimate', { data: { ...coffeeRequest, evidence: [{ ...clip, timeMin: -1 }] } });
  expect(bad.status()).toBe(422);
  expect(((await bad.json()) as { problems: { path: string }[] }).problems[0]?.path).toBe('evidence[0].timeMin');
});

test('every problem has its path and a sentence', async ({ request }) => {
  const answer = await request.post('/api/estimate', {
    data: { ...coffeeRequest, temperatureC: 400, film: { familyId: 'moon', iso: -1 } },
  });
  expect(answer.status()).toBe(422);
  const { problems } = (await answer.json()) as { problems: { path: string; message: string }[] };
  expect(problems.map(({ path }) => path).sort()).toEqual(['film.familyId', 'film.iso', 'temperatureC']);
  for (const { message } of problems) expect(message).toMatch(/\.$/);
});

test('a method that no address answers is refused and breaks nothing', async ({ baseURL, request }) => {
  const { hostname, port } = new URL(baseURL ?? '');
  const status = await new Promise((resolve, reject) => {
    httpRequest({ hostname, port, path: '/api/estimate', method: 'TRACE' }, (answer) => {
      answer.resume();
      resolve(answer.statusCode);
    })
      .on('error', reject)
      .end();
  });
  expect(status).toBe(405);
  expect((await request.post('/api/estimate', { data: coffeeRequest })).status()).toBe(200);
});

test('many at once are answered in turns, or asked to come again, and a page is answered meanwhile', async ({
  request,
}) => {
  const all = Array.from({ length: 60 }, () => request.post('/api/estimate', { data: coffeeRequest }));
  expect((await request.get('/')).status()).toBe(200);
  const answers = await Promise.all(all);
  for (const answer of answers) expect([200, 503]).toContain(answer.status());
  expect(answers.filter((answer) => answer.status() === 200).length).toBeGreaterThanOrEqual(40);
  const refused = answers.find((answer) => answer.status() === 503);
  if (refused !== undefined) expect(refused.headers()['retry-after']).toBe('1');
});

test('what is not JSON, or too large, is refused', async ({ request }) => {
  // Other tests may be asking for much at the same time: what is told to come again comes again.
  const asked = async (options: Parameters<typeof request.post>[1]) => {
    for (;;) {
      const answer = await request.post('/api/estimate', options);
      if (answer.status() !== 503) return answer;
      await new Promise((resolve) => setTimeout(resolve, 500));
    }
  };
  const broken = await asked({
    data: Buffer.from('{"film":'),
    headers: { 'content-type': 'application/json' },
  });
  expect(broken.status()).toBe(400);
  const large = await asked({ data: { ...coffeeRequest, padding: 'x'.repeat(300 * 1024) } });
  expect(large.status()).toBe(413);
  const nearly = await asked({ data: { ...coffeeRequest, padding: 'x'.repeat(200 * 1024) } });
  expect(nearly.status()).toBe(422);
});

test('the schema describes request and response', async ({ request }) => {
  const schema = (await (await request.get('/api/schema')).json()) as {
    request: { properties: object };
    response: { properties: object };
  };
  expect(Object.keys(schema.request.properties)).toEqual(
    expect.arrayContaining(['film', 'age', 'developer', 'temperatureC', 'agitationId']),
  );
  expect(Object.keys(schema.response.properties)).toEqual(
    expect.arrayContaining(['timeMin', 'band', 'ledger', 'cautions']),
  );
});

test('only JSON is read, and equal ids of evidence are refused', async ({ request }) => {
  const form = await request.post('/api/estimate', { headers: { 'content-type': 'text/plain' }, data: '{}' });
  expect(form.status()).toBe(415);
  const piece = { kind: 'fog', id: 'one', timeMin: 12, baseFogD: 0.4, method: 'densities' };
  const twice = await request.post('/api/estimate', { data: { ...coffeeRequest, evidence: [piece, piece] } });
  expect(twice.status()).toBe(422);
});

test('every page closes its doors, and an address that does not read says so', async ({ request, page }) => {
  for (const path of ['/', '/rolls/new', '/brews', '/handbook', '/no-such-page']) {
    const headers = (await request.get(path)).headers();
    expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[^']+';.*frame-ancestors 'none'/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['referrer-policy']).toBe('no-referrer');
    expect(headers['permissions-policy']).toContain('microphone=()');
    expect(headers['cross-origin-opener-policy']).toBe('same-origin');
  }
  const nonces = await Promise.all(
    [0, 1].map(async () => (await request.get('/')).headers()['content-security-policy']),
  );
  expect(nonces[0]).not.toBe(nonces[1]);
  const wrong: string[] = [];
  page.on('console', (message) => message.type() === 'error' && wrong.push(message.text()));
  await page.goto('/');
  await expect(page.locator('main h1').first()).toBeVisible();
  expect(wrong).toEqual([]);
  expect((await request.get('/rolls/%E0%A4%A')).status()).toBe(404);
});
