import { HOME } from '@/core/schema/basePath';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';

/** Made on request: what it answers hangs on how the server was started. */
export const dynamic = 'force-dynamic';

/** Takes a worker of another server at this address away, with all that it kept, and loads its pages anew. */
const FAREWELL = `self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil((async () => {
  for (const name of await caches.keys()) if (name.startsWith('aetas-')) await caches.delete(name);
  await self.registration.unregister();
  for (const client of await self.clients.matchAll()) await client.navigate(client.url).catch(() => undefined);
})()));
`;

/** The service worker of one’s own bench. The demo and the development server have none. */
export async function GET(): Promise<Response> {
  const kept = process.env.NODE_ENV === 'production' && process.env.AETAS_DEMO !== '1';
  const script = kept ? await readFile(join(process.cwd(), '.next', 'sw.js'), 'utf8').catch(() => FAREWELL) : FAREWELL;
  return new Response(script, {
    headers: {
      'Content-Type': 'text/javascript; charset=utf-8',
      'Cache-Control': 'no-cache',
      // The bench itself lies above the worker’s own folder.
      'Service-Worker-Allowed': HOME,
    },
  });
}
