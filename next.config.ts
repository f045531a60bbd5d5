import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  // Components keep what has not changed by themselves.
  reactCompiler: true,
  devIndicators: false,
  // Types are a check of their own in `npm test`; the build does not repeat it.
  typescript: { ignoreBuildErrors: true },
};

export default config;
