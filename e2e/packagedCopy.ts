import { spawn, spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from '@playwright/test';

/** What a build needs. */
const SOURCES = [
  'src',
  'public',
  'docs',
  'languages',
  'scripts',
  'package.json',
  'package-lock.json',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
];

/**
 * Packages a copy of the sources and serves it: a build belongs to its path and its language.
 * @param name of its folder
 * @param port port to serve at
 * @param settings what it is built and served with
 * @returns how to stop the server, and how to take all of it away
 */
export async function servePackagedCopy(
  name: string,
  port: string,
  settings: Record<string, string>,
): Promise<{ stop: () => void; remove: () => void }> {
  const folder = mkdtempSync(join(tmpdir(), `aetas-${name}-`));
  for (const source of SOURCES) cpSync(source, join(folder, source), { recursive: true });
  // A bundler follows no link out of its folder; names for the same files take no room.
  const linked = spawnSync('cp', ['-al', join(process.cwd(), 'node_modules'), join(folder, 'node_modules')]);
  if (linked.status !== 0) cpSync('node_modules', join(folder, 'node_modules'), { recursive: true });
  rmSync(join(folder, 'node_modules/.cache'), { recursive: true, force: true });
  const made = spawnSync(process.execPath, ['scripts/package.mjs', join(folder, 'served')], {
    cwd: folder,
    env: { ...process.env, ...settings },
    encoding: 'utf8',
  });
  expect(made.stdout + made.stderr).toContain('node server.js');
  const server = spawn(process.execPath, ['server.js'], {
    cwd: join(folder, 'served'),
    env: { ...process.env, NODE_ENV: 'production', HOSTNAME: '127.0.0.1', PORT: port, ...settings },
    stdio: 'ignore',
  });
  const address = `http://127.0.0.1:${port}${settings.AETAS_BASE_PATH ?? ''}`;
  await expect(async () => expect((await fetch(`${address}/api/schema`)).ok).toBe(true)).toPass();
  return {
    stop: () => server.kill('SIGKILL'),
    remove: () => rmSync(folder, { recursive: true, force: true }),
  };
}
