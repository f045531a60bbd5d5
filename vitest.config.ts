import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const long = process.env.AETAS_LONG === '1';
/** Tests of what keeps something between calls: a database, a worker, a feed. Each file has a world of its own. */
const keeping = ['src/data/**/*.test.ts', 'src/features/learning/**/*.test.ts'];
/** Tests that draw few cases in every run, and many in the long one. */
const drawing = [
  'src/core/chemistry/ph/solver.reference.test.ts',
  'src/core/estimate/{estimate,evidence}.test.ts',
  'src/core/inference/quantiles.reference.test.ts',
  'src/core/plan/{anyForm,changeForm,saidAndMeant}.test.ts',
  'src/core/sync/sync.test.ts',
  'src/core/trial/trial.test.ts',
  'src/data/shards.test.ts',
];
const shared = {
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: { environment: 'node', testTimeout: long ? 1_200_000 : 120_000 },
} as const;

export default defineConfig({
  ...shared,
  test: {
    ...shared.test,
    // Left to itself the runner keeps one core free: of two, that is half.
    maxWorkers: '100%',
    projects: long
      ? // Soaks are files of their own, and run alone.
        [{ ...shared, test: { ...shared.test, name: 'long', include: ['src/**/*.long.ts', ...drawing] } }]
      : [
          // Pure code is loaded once for all files: that was most of their time.
          {
            ...shared,
            test: {
              ...shared.test,
              name: 'pure',
              include: ['src/**/*.test.ts', 'calibration/*.test.ts', 'scripts/**/*.test.ts'],
              exclude: keeping,
              isolate: false,
            },
          },
          { ...shared, test: { ...shared.test, name: 'keeping', include: keeping } },
        ],
  },
});
