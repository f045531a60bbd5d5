import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    // Soaks are files of their own, and run alone.
    include: process.env.AETAS_LONG === '1' ? ['src/**/*.long.ts'] : ['src/**/*.test.ts'],
    environment: 'node',
    testTimeout: process.env.AETAS_LONG === '1' ? 1_200_000 : 30_000,
  },
});
