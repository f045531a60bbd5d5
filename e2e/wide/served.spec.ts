import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { get } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';

const folders: string[] = [];
const running: ChildProcess[] = [];

function newFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'aetas-served-'));
  folders.push(folder);
  return folder;
}

/** Starts a program and waits until an address answers. */
async function startUntil(
  args: string[],
  cwd: string,
  env: NodeJS.ProcessEnv,
  answers: () => Promise<unknown>,
): Promise<void> {
  const child = spawn(process.execPath, args, { cwd, env, stdio: 'ignore' });
  running.push(child);
  await expect(answers).toPass({ timeout: 60_000 });
}

/** Asks over HTTPS, trusting one authority alone. */
function safely(url: string, ca: string): Promise<{ status: number; body: string }> {
  return new Promise((resolve, reject) => {
    get(url, { ca, agent: false }, (answer) => {
      let body = '';
      answer.on('data', (piece: Buffer) => (body += piece.toString()));
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, body }));
    }).on('error', reject);
  });
}

test.afterAll(() => {
  for (const child of running) child.kill('SIGKILL');
  for (const folder of folders) rmSync(folder, { recursive: true, force: true });
});

test('the package runs in an empty folder, with nothing but node', async () => {
  const folder = join(newFolder(), 'aetas');
  const made = spawnSync(process.execPath, ['scripts/package.mjs', folder], { encoding: 'utf8' });
  expect(made.stderr + made.stdout).toContain('node server.js');
  const address = 'http://127.0.0.1:4387';
  await startUntil(['server.js'], folder, { NODE_ENV: 'production', HOSTNAME: '127.0.0.1', PORT: '4387' }, async () => {
    expect((await fetch(address)).ok).toBe(true);
  });
  const page = await (await fetch(`${address}/log`)).text();
  for (const [, path = ''] of page.matchAll(/(?:src|href)="(\/_next\/[^"]+)"/g))
    expect((await fetch(`${address}${path}`)).status, path).toBe(200);
  expect(await (await fetch(`${address}/sw.js`)).text()).toContain('precach');
  expect((await fetch(`${address}/icons/any-192.png`)).status).toBe(200);
  expect((await fetch(`${address}/handbook/method`)).status).toBe(200);
});

test('a phone that trusts this machine reads pages over HTTPS, and brings nothing', async () => {
  const home = join(newFolder(), 'authority');
  const env = { ...process.env, AETAS_HOME: home, HOST: '127.0.0.1', PORT: '4388' };
  await startUntil(['scripts/phone.mjs'], process.cwd(), env, async () => {
    expect((await fetch('http://127.0.0.1:4389')).ok).toBe(true);
  });
  expect(statSync(home).mode & 0o777).toBe(0o700);
  expect(statSync(join(home, 'authority-key.pem')).mode & 0o777).toBe(0o600);
  const guide = await (await fetch('http://127.0.0.1:4389')).text();
  const offered = await (await fetch('http://127.0.0.1:4389/aetas-authority.crt')).text();
  expect(offered).toBe(readFileSync(join(home, 'authority.pem'), 'utf8'));
  expect(guide).toContain(new X509Certificate(offered).fingerprint256);
  expect(guide).toContain('https://127.0.0.1:4388');
  // Nothing that is served there holds the key.
  expect(guide + offered).not.toContain('PRIVATE KEY');
  expect((await safely('https://127.0.0.1:4388/ask', offered)).status).toBe(200);
  await expect(safely('https://127.0.0.1:4388/ask', '')).rejects.toThrow(/certificate/);
  const brought = await new Promise<number>((resolve, reject) => {
    const request = get(
      'https://127.0.0.1:4388/api/estimate',
      { ca: offered, agent: false, method: 'POST' },
      (answer) => resolve(answer.statusCode ?? 0),
    );
    request.on('error', reject);
  });
  expect(brought).toBe(405);
});

test('what cannot be served says what to change', async () => {
  const start = (env: Record<string, string>): string =>
    spawnSync(process.execPath, ['scripts/start.mjs'], { encoding: 'utf8', env: { ...process.env, ...env } }).stderr;
  const own = process.env.AETAS_PORT ?? '4311';
  expect(start({ PORT: own, HOST: '127.0.0.1' })).toContain(`Port ${own} is taken by something else. Choose another:`);
  expect(start({ PORT: 'tea' })).toContain('“tea” is no port.');
  expect(start({ HOST: '203.0.113.9', PORT: '4390' })).toContain('This machine has no address “203.0.113.9”.');
  expect(start({ TLS_CERT: 'cert.pem' })).toContain('TLS_CERT and TLS_KEY go together');
  expect(start({ TLS_CERT: 'no.pem', TLS_KEY: 'no.pem' })).toContain('TLS_CERT names “no.pem”');
});
