import { spawn, spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** Root of the project. */
export const root = fileURLToPath(new URL('..', import.meta.url));

/** Address of the server that `npm run demo` and `npm run dev` start. */
export const demoAddress = { host: '127.0.0.1', port: 4310 };

/** Environment of every command: nothing is sent anywhere. */
export const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

/**
 * Runs a command to its end, its output on the terminal.
 * @returns its exit code
 */
export function run(command, args, extra = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...env, ...extra } });
  if (error) console.error(`${command} could not be started: ${error.message}`);
  return status ?? 1;
}

/**
 * Runs a command beside others; its output comes at its end, in one piece.
 * @returns its exit code
 */
export function runBeside(command, args, extra = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], env: { ...env, ...extra } });
    const said = [];
    child.stdout.on('data', (piece) => said.push(piece));
    child.stderr.on('data', (piece) => said.push(piece));
    const end = (code, words = '') => {
      process.stdout.write(Buffer.concat(said));
      if (words !== '') console.error(words);
      resolve(code ?? 1);
    };
    child.on('error', (error) => end(1, `${command} could not be started: ${error.message}`));
    child.on('close', (code) => end(code));
  });
}

/** Starts a command and leaves it running. */
export function start(command, args, extra = {}, stdio = 'inherit') {
  return spawn(command, args, { cwd: root, stdio, env: { ...env, ...extra } });
}

/** Path of a tool that node_modules brings. */
export function tool(name) {
  return `${root}node_modules/.bin/${name}`;
}

/** Installs the packages when they are missing or older than the lock file. */
export function ensurePackages() {
  const installed = `${root}node_modules/.package-lock.json`;
  if (existsSync(installed) && statSync(installed).mtimeMs >= statSync(`${root}package-lock.json`).mtimeMs) return;
  console.log('Installing packages.');
  // Not `npm ci`: it refuses a lock file that lacks another platform's optional binaries.
  const code = run('npm', ['install', '--no-save', '--no-audit', '--no-fund']);
  if (code !== 0) {
    console.error(
      'The packages could not be installed: npm install failed. Check the network and the messages above, then try again.',
    );
    process.exit(code);
  }
}

/** Where Debian puts Chromium, and other usual places. The one without windows goes first: a whole run takes a quarter less time in it. */
const chromiumPlaces = [
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
];

/** Path of a Chromium, installed by apt-get where that is possible; exits with a clear sentence where it is not. */
export function ensureChromium() {
  const found = () => [process.env.CHROMIUM_PATH, ...chromiumPlaces].find((path) => path && existsSync(path));
  if (found()) return found();
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Chromium (apt-get).');
    run('apt-get', ['update', '-qq'], { DEBIAN_FRONTEND: 'noninteractive' });
    for (const name of ['chromium-headless-shell', 'chromium']) {
      if (!found())
        run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], {
          DEBIAN_FRONTEND: 'noninteractive',
        });
    }
  }
  if (!found()) {
    console.error(
      'The browser tests need Chromium, and it is not on this machine. Install it (on Debian: apt-get install chromium-headless-shell), or set CHROMIUM_PATH to its program.',
    );
    process.exit(1);
  }
  return found();
}
