import { gzipSync } from 'node:zlib';

/** Most that the bench may load before it shows, kB gzipped. */
export const FIRST_LOAD_LIMIT_KB = 220;

/**
 * Scripts that a page loads before it shows.
 * @param page address of the page
 * @returns how many, and their size, kB gzipped
 */
export async function firstLoad(page: string): Promise<{ files: number; sizeKb: number }> {
  const html = await (await fetch(page)).text();
  // Polyfills marked noModule are for browsers without modules: none that can run Aetas loads them.
  const tags = [...html.matchAll(/<script[^>]*\bsrc="([^"]+\.js)"[^>]*>/g)].filter(
    ([tag]) => !tag.includes('noModule'),
  );
  const scripts = [...new Set(tags.map(([, path]) => path ?? ''))];
  const sizes = await Promise.all(
    scripts.map(async (path) => gzipSync(Buffer.from(await (await fetch(new URL(path, page))).arrayBuffer())).length),
  );
  return { files: scripts.length, sizeKb: sizes.reduce((sum, size) => sum + size, 0) / 1024 };
}
