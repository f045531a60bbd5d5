import { expect, test } from '@playwright/test';
import { coffeeRequest } from '../src/core/testing/sampleRequest';
import { estimate, completeRequest } from '../src/core/estimate/estimate';

test('an estimate over HTTP is the core’s', async ({ request }) => {
  const answer = await request.post('/api/estimate', { data: coffeeRequest });
  expect(answer.status()).toBe(200);
  expect(await answer.json()).toEqual(JSON.parse(JSON.stringify(estimate(completeRequest(coffeeRequest)))));
});

test('every problem has its path and a sentence', async ({ request }) => {
  const answer = await request.post('/api/estimate', { data: { ...coffeeRequest, temperatureC: 400, film: { familyId: 'moon', iso: -1 } } });
  expect(answer.status()).toBe(422);
  const { problems } = (await answer.json()) as { problems: { path: string; message: string }[] };
  expect(problems.map(({ path }) => path).sort()).toEqual(['film.familyId', 'film.iso', 'temperatureC']);
  for (const { message } of problems) expect(message).toMatch(/\.$/);
});

test('what is not JSON, or too large, is refused', async ({ request }) => {
  const broken = await request.post('/api/estimate', { data: Buffer.from('{"film":'), headers: { 'content-type': 'application/json' } });
  expect(broken.status()).toBe(400);
  const large = await request.post('/api/estimate', { data: { ...coffeeRequest, padding: 'x'.repeat(300 * 1024) } });
  expect(large.status()).toBe(413);
  const nearly = await request.post('/api/estimate', { data: { ...coffeeRequest, padding: 'x'.repeat(200 * 1024) } });
  expect(nearly.status()).toBe(422);
});

test('the schema describes request and response', async ({ request }) => {
  const schema = (await (await request.get('/api/schema')).json()) as { request: { properties: object }; response: { properties: object } };
  expect(Object.keys(schema.request.properties)).toEqual(expect.arrayContaining(['film', 'age', 'developer', 'temperatureC', 'agitationId']));
  expect(Object.keys(schema.response.properties)).toEqual(expect.arrayContaining(['timeMin', 'band', 'ledger', 'cautions']));
});
