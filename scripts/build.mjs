import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root, run, tool } from './shell.mjs';

/** Everything that a build depends on. */
const sources = [
  'src',
  'public',
  'languages',
  'scripts/language',
  'docs/method.md',
  'package-lock.json',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
];

function newestMs(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(stat.mtimeMs, ...readdirSync(path).map((name) => newestMs(join(path, name))));
}

/** Path under which it is served behind another server; empty for one of its own. Next asks for no slash at its end. */
const basePath = (process.env.AETAS_BASE_PATH ?? '').replace(/\/+$/, '');

/** In which language its texts are. */
const language = process.env.AETAS_LANGUAGE ?? 'en';

/** What a build is made for besides its sources. */
const wanted = `${basePath}\n${language}`;
const builtForFile = join(root, '.next', 'built-for');

function builtFor() {
  return existsSync(builtForFile) ? readFileSync(builtForFile, 'utf8') : '';
}

function hashInto(hash, path) {
  if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) hashInto(hash, join(path, name));
  else hash.update(path.slice(root.length)).update(readFileSync(path));
}

/** Name of a version: the same sources have the same name. */
function versionName() {
  const hash = createHash('sha256');
  for (const path of sources) hashInto(hash, join(root, path));
  return hash.update(wanted).digest('hex').slice(0, 12);
}

/** Bundles the service worker, with the list of the files that it keeps. */
async function buildServiceWorker(version) {
  const { build } = await import('vite');
  const { injectManifest } = await import('@serwist/build');
  const { inProject, lookupOf } = await import('./language/catalogue.mjs');
  const { translateSource } = await import('./language/translate.mjs');
  const lookup = language === 'en' ? null : lookupOf(language);
  const bundled = join(root, '.next', 'cache', 'sw');
  await build({
    configFile: false,
    root,
    logLevel: 'warn',
    publicDir: false,
    plugins: [
      {
        name: 'language',
        enforce: 'pre',
        transform: (code, path) =>
          lookup !== null && inProject(path).startsWith('src/') ? translateSource(inProject(path), code, lookup) : null,
      },
    ],
    define: {
      AETAS_VERSION: JSON.stringify(version),
      'process.env.AETAS_BASE_PATH': JSON.stringify(basePath),
      'process.env.AETAS_LANGUAGE': JSON.stringify(language),
      'process.env.NODE_ENV': '"production"',
    },
    resolve: { alias: { '@': join(root, 'src') } },
    build: {
      outDir: bundled,
      emptyOutDir: true,
      rollupOptions: {
        input: join(root, 'src/workers/offline/serviceWorker.ts'),
        output: { format: 'iife', entryFileNames: 'sw.js' },
      },
    },
  });
  const { count, size, warnings } = await injectManifest({
    swSrc: join(bundled, 'sw.js'),
    swDest: join(root, '.next', 'sw.js'),
    globDirectory: join(root, '.next', 'static'),
    globPatterns: ['**/*.{js,css,woff2,svg,png}'],
    modifyURLPrefix: { '': `${basePath}/_next/static/` },
    // Every file there has its content in its name.
    dontCacheBustURLsMatching: /./,
    additionalPrecacheEntries: ['/manifest.webmanifest', ...publicFiles()].map((path) => ({
      url: `${basePath}${path}`,
      revision: version,
    })),
    maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
  });
  for (const words of warnings) console.warn(words);
  console.log(`Kept for when there is no server: ${count} files, ${(size / 1024 / 1024).toFixed(1)} MB.`);
}

/** Addresses of the files that are served as they are. */
function publicFiles() {
  return readdirSync(join(root, 'public'), { recursive: true, withFileTypes: true })
    .filter((file) => file.isFile())
    .map((file) => `${join(file.parentPath, file.name).slice(join(root, 'public').length)}`);
}

/** Builds the production server unless the last build is newer than everything it depends on. */
export async function ensureBuild() {
  const languages = ['en', ...readdirSync(join(root, 'languages'))];
  if (!languages.includes(language)) {
    console.error(`There are no texts in “${language}”. AETAS_LANGUAGE can be ${languages.join(' or ')}.`);
    process.exit(1);
  }
  const id = join(root, '.next', 'BUILD_ID');
  if (
    existsSync(id) &&
    existsSync(join(root, '.next', 'sw.js')) &&
    builtFor() === wanted &&
    readFileSync(id, 'utf8') !== '' &&
    statSync(id).mtimeMs > Math.max(...sources.map((path) => newestMs(join(root, path))))
  )
    return;
  console.log('Building.');
  const version = versionName();
  rmSync(join(root, '.next', 'sw.js'), { force: true });
  const code = run(tool('next'), ['build'], {
    AETAS_VERSION: version,
    AETAS_BASE_PATH: basePath,
    AETAS_LANGUAGE: language,
  });
  if (code !== 0) {
    console.error('The build failed; the messages above say where.');
    process.exit(code);
  }
  writeFileSync(builtForFile, wanted);
  await buildServiceWorker(version);
}
