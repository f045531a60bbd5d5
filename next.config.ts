import { join } from 'node:path';
import type { NextConfig } from 'next';
import { PHASE_PRODUCTION_BUILD } from 'next/constants';

/** What this build is called: all that was built from the same sources has the same name. */
const version = process.env.AETAS_VERSION ?? 'unnamed';

/** Under which path it is served; empty for a server of its own. */
const basePath = process.env.AETAS_BASE_PATH ?? '';

/** In which language its texts are: `en`, or one that `languages/` has catalogues of. */
const language = process.env.AETAS_LANGUAGE ?? 'en';

/** Texts are put into the sources while they are built, so another language costs nothing when the program runs. */
const translated: NextConfig =
  language === 'en'
    ? {}
    : {
        turbopack: {
          rules: {
            '*.{ts,tsx}': {
              condition: { not: 'foreign' },
              loaders: [{ loader: join(process.cwd(), 'scripts/language/loader.mjs'), options: { language } }],
            },
          },
        },
      };

const config: NextConfig = {
  ...translated,
  basePath,
  env: { AETAS_VERSION: version, AETAS_BASE_PATH: basePath, AETAS_LANGUAGE: language },
  reactStrictMode: true,
  poweredByHeader: false,
  // On one machine packing costs more than it saves: the browser tests switch it off.
  compress: process.env.AETAS_COMPRESS !== '0',
  // Components keep what has not changed by themselves.
  reactCompiler: true,
  devIndicators: false,
  // Types are a check of their own in `npm test`; the build does not repeat it.
  typescript: { ignoreBuildErrors: true },
};

/** The build makes a folder besides that runs by itself: `npm run package` takes it. */
export default function configFor(phase: string): NextConfig {
  return phase === PHASE_PRODUCTION_BUILD ? { ...config, output: 'standalone' } : config;
}
