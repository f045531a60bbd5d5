import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { root, run, tool } from './shell.mjs';

/** Everything that a build depends on. */
const sources = ['src', 'docs/method.md', 'package-lock.json', 'next.config.ts', 'postcss.config.mjs', 'tsconfig.json'];

function newestMs(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(stat.mtimeMs, ...readdirSync(path).map((name) => newestMs(join(path, name))));
}

/** Builds the production server unless the last build is newer than everything it depends on. */
export function ensureBuild() {
  const id = join(root, '.next', 'BUILD_ID');
  if (
    existsSync(id) &&
    readFileSync(id, 'utf8') !== '' &&
    statSync(id).mtimeMs > Math.max(...sources.map((path) => newestMs(join(root, path))))
  )
    return;
  console.log('Building.');
  const code = run(tool('next'), ['build']);
  if (code !== 0) {
    console.error('The build failed; the messages above say where.');
    process.exit(code);
  }
}
