import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import { ensureBuild } from './build.mjs';
import { env, root } from './shell.mjs';

/*
 * The estimate over HTTP under load: what a page waits while twenty heavy estimates are under way, what fifty at once wait, and the
 * server's memory over ten thousand requests. Times are held against one heavy estimate alone, in the same run.
 */
const PORT = 4313;
const REQUESTS = Number(process.env.REQUESTS ?? 10_000);

await ensureBuild();
const server = spawn(
  'node',
  [`${root}node_modules/next/dist/bin/next`, 'start', '--hostname', '127.0.0.1', '--port', String(PORT)],
  {
    cwd: root,
    env,
    stdio: 'ignore',
  },
);

const base = { film: { familyId: 'pan-cubic-fast', iso: 200 }, temperatureC: 21, agitationId: 'ten-each-minute' };
const coffee = {
  kind: 'improvised',
  agents: [{ agentId: 'instant-coffee', amountPerL: 40 }],
  ascorbicGPerL: 16,
  sodaGPerL: 54,
};
/** As much evidence as a request may bring. */
const heavy = (nth) => ({
  ...base,
  developer: coffee,
  evidence: Array.from({ length: 140 }, (_, at) => ({
    kind: 'fog',
    id: `f${at}`,
    timeMin: 8 + (at % 7),
    baseFogD: 0.3 + ((at + nth) % 11) / 50,
    method: 'eye',
  })),
});

function send(path, body) {
  const start = performance.now();
  return new Promise((resolve, reject) => {
    const asked = httpRequest(
      {
        host: '127.0.0.1',
        port: PORT,
        path,
        method: body === undefined ? 'GET' : 'POST',
        headers: { 'content-type': 'application/json' },
      },
      (response) => {
        response.resume();
        response.on('end', () => resolve({ status: response.statusCode, ms: performance.now() - start }));
      },
    );
    asked.on('error', reject);
    asked.end(body === undefined ? undefined : JSON.stringify(body));
  });
}

const PAGES = ['/', '/rolls', '/handbook'];

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const most = (values) => Math.max(...values);
const memoryMb = () =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

async function ready() {
  for (let tries = 0; ; tries++) {
    try {
      return await send('/api/schema');
    } catch (error) {
      if (tries > 100) throw error;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }
}

let broken = 0;
function limit(what, value, most, unit) {
  const kept = value <= most;
  if (!kept) broken += 1;
  console.log(`${kept ? 'kept  ' : 'BROKEN'} ${what}: ${value.toFixed(1)} ${unit} (limit ${most})`);
}

try {
  await ready();
  for (let n = 0; n < 5; n++) await send('/api/estimate', heavy(n));
  for (const path of PAGES) for (let n = 0; n < 5; n++) await send(path);
  const alone = [];
  for (let n = 0; n < 9; n++) alone.push((await send('/api/estimate', heavy(n))).ms);
  console.log(`one heavy estimate alone: ${median(alone).toFixed(0)} ms`);
  const pages = [];
  for (let round = 0; round < 5; round++) {
    const behind = Array.from({ length: 20 }, (_, n) => send('/api/estimate', heavy(n)));
    for (const path of PAGES) pages.push((await send(path)).ms);
    await Promise.all(behind);
  }
  limit('a page behind twenty estimates, the longest', most(pages), 300, 'ms');
  const fifty = await Promise.all(Array.from({ length: 50 }, (_, n) => send('/api/estimate', heavy(n))));
  const answered = fifty.filter(({ status }) => status === 200);
  const refused = fifty.filter(({ status }) => status === 503);
  console.log(`of fifty at once: ${answered.length} answered, ${refused.length} asked to come again`);
  limit(
    'the median of those answered, in heavy estimates',
    median(answered.map(({ ms }) => ms)) / median(alone),
    40,
    'times one',
  );
  if (answered.length + refused.length !== 50) broken += 1;
  const small = (nth) => ({
    ...base,
    temperatureC: 18 + (nth % 100) / 20,
    developer: { ...coffee, sodaGPerL: 40 + (nth % 37) },
  });
  const ask = async (from, count) => {
    for (let n = from; n < from + count; n += 4)
      await Promise.all([0, 1, 2, 3].map((at) => send('/api/estimate', small(n + at))));
  };
  // A server takes its share of memory first, and then no more.
  await ask(0, REQUESTS);
  const before = memoryMb();
  await ask(REQUESTS, REQUESTS);
  const after = memoryMb();
  console.log(`memory: ${before.toFixed(0)} MB, and ${after.toFixed(0)} MB after ${REQUESTS} requests more`);
  limit('growth', after - before, 25, 'MB');
} finally {
  server.kill();
}
process.exit(broken === 0 ? 0 : 1);
