import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

const PORT = Number(process.env.AETAS_PORT ?? 4311);

/** Debian's Chromium, cut off from everything but this machine. */
export const chromium = {
  executablePath:
    process.env.CHROMIUM_PATH ??
    ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find((path) => existsSync(path)),
  args: [
    '--no-sandbox',
    '--disable-gpu',
    // Drawing in the browser's own process: a tenth less work for each page.
    '--in-process-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

export default defineConfig({
  testDir: 'e2e',
  // Crash sweeps are files of their own, and run alone.
  testMatch: process.env.AETAS_LONG === '1' ? '**/*.long.ts' : '**/*.spec.ts',
  // The main journeys are in every test; those that look at each corner come besides. Without a word all run.
  testIgnore:
    process.env.AETAS_WIDE === '0' ? '**/wide/**' : process.env.AETAS_WIDE === '1' ? /e2e\/[^/]+\.spec\.ts$/ : [],
  outputDir: 'test-results',
  fullyParallel: true,
  workers: 2,
  retries: 0,
  // Slow machines run the same journeys; a fault shows by its own, shorter limits.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [
    ['list'],
    [
      'json',
      { outputFile: process.env.AETAS_LONG === '1' ? 'test-results/browser-long.json' : 'test-results/browser.json' },
    ],
  ],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: chromium,
    trace: process.env.AETAS_TRACE === '1' ? 'retain-on-failure' : 'off',
    actionTimeout: 20_000,
    // Those that are about pages without a server allow them; the others ask the server itself.
    serviceWorkers: 'block',
    locale: 'en-GB',
    timezoneId: 'UTC',
  },
  webServer: {
    command: `node node_modules/next/dist/bin/next start --hostname 127.0.0.1 --port ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/schema`,
    reuseExistingServer: false,
    env: { NEXT_TELEMETRY_DISABLED: '1', AETAS_COMPRESS: '0' },
    stdout: 'ignore',
  },
});
