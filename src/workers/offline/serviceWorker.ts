/// <reference lib="webworker" />
import { Serwist, type PrecacheEntry, type SerwistPlugin } from 'serwist';
import { BASE_PATH, HOME } from '@/core/schema/basePath';
import { languageTag } from '@/core/units/language';
import { anyRecordPage, pageForRecord, plainPages, recordPageOf, recordPages } from './keptPages';
import { keepGiven } from './givenFile';
import { GIVEN_FIELD, GIVEN_PAGE, pageMessages, VERSION_HEADER, workerMessages, type VersionsKept } from './messages';

declare const self: ServiceWorkerGlobalScope & { __SW_MANIFEST: (PrecacheEntry | string)[] };

/** The version of this worker and of all that it keeps; the build puts it in. */
declare const AETAS_VERSION: string;

/** How long a page waits for the server before it is taken from what is kept, ms. Source: our choice. */
const SERVER_MS = 2500;

const cacheOf = (version: string): string => `aetas-${version}`;

/** Where stands which version is served. It changes on a person’s word alone, however often workers are replaced. */
const POINTER_CACHE = 'aetas-served';
const POINTER = '/served';

const pages = [...plainPages, ...recordPages.map(anyRecordPage)].map(addressOf);

/** A page’s own address, under the path that Aetas is served at. */
function addressOf(page: string): string {
  return page === '/' ? HOME : `${BASE_PATH}${page}`;
}

/** Refuses a page that another version of the server sent: a version is kept whole or not at all. Other files have their content in their names. */
const sameVersion: SerwistPlugin = {
  cacheWillUpdate: async ({ response }) => {
    if (!response.ok) return null;
    const isPage = response.headers.get('content-type')?.startsWith('text/html') === true;
    return isPage && response.headers.get(VERSION_HEADER) !== AETAS_VERSION ? null : response;
  },
};

const kept = new Serwist({
  precacheEntries: [...self.__SW_MANIFEST, ...pages.map((url) => ({ url, revision: null }))],
  precacheOptions: { cacheName: cacheOf(AETAS_VERSION), plugins: [sameVersion], concurrency: 8 },
  // The worker takes its place at once; what it serves stays as it is.
  skipWaiting: true,
  clientsClaim: true,
});
self.addEventListener('install', kept.handleInstall);
self.addEventListener('activate', (event) => {
  kept.handleActivate(event);
  event.waitUntil(announce());
});

async function announce(): Promise<void> {
  if ((await readPointer()) === null) await point(AETAS_VERSION);
  if ((await servedVersion()) !== AETAS_VERSION) await tellPages(workerMessages.ready);
}

async function readPointer(): Promise<string | null> {
  const found = await (await caches.open(POINTER_CACHE)).match(POINTER);
  return found === undefined ? null : found.text();
}

async function point(version: string): Promise<void> {
  await (await caches.open(POINTER_CACHE)).put(POINTER, new Response(version));
}

/** The version that is served: the one that was taken, while it is still kept. */
async function servedVersion(): Promise<string> {
  const version = await readPointer();
  return version !== null && (await caches.has(cacheOf(version))) ? version : AETAS_VERSION;
}

async function tellPages(kind: string): Promise<void> {
  for (const client of await self.clients.matchAll({ includeUncontrolled: true })) client.postMessage(kind);
}

/** Serves the version of this worker, and forgets the others. */
async function take(): Promise<void> {
  await point(AETAS_VERSION);
  for (const name of await caches.keys())
    if (name.startsWith('aetas-') && name !== POINTER_CACHE && name !== cacheOf(AETAS_VERSION))
      await caches.delete(name);
  await tellPages(workerMessages.taken);
}

self.addEventListener('message', (event) => {
  if (event.data === pageMessages.take) event.waitUntil(take());
  if (event.data === pageMessages.versions)
    event.waitUntil(
      servedVersion().then((served) => {
        const answer: VersionsKept = { served, newest: AETAS_VERSION };
        event.ports[0]?.postMessage(answer);
      }),
    );
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method === 'POST' && url.pathname === addressOf(GIVEN_PAGE)) return event.respondWith(takeGiven(request));
  if (request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith(addressOf('/api/')))
    return;
  if (request.mode === 'navigate') event.respondWith(pageAt(request, url.pathname));
  // A link that the server does not answer soon becomes a page of its own, and that is kept.
  else if (request.headers.has('rsc')) event.respondWith(fromServerSoon(request));
  else event.respondWith(fileAt(request));
});

/** A system shares files by posting them. They stay in this browser: no server sees them. */
async function takeGiven(request: Request): Promise<Response> {
  const [file] = (await request.formData()).getAll(GIVEN_FIELD);
  if (file instanceof File) await keepGiven(file);
  return Response.redirect(addressOf(GIVEN_PAGE), 303);
}

async function pageAt(request: Request, path: string): Promise<Response> {
  const cache = await caches.open(cacheOf(await servedVersion()));
  const plain = path.slice(BASE_PATH.length).replace(/\/+$/, '') || '/';
  const found = await cache.match(addressOf(plain));
  if (found !== undefined) return found;
  const record = recordPageOf(plain);
  const any = record === null ? undefined : await cache.match(addressOf(record.kept));
  if (record === null || any === undefined) return fetch(request).catch(() => noSuchPage());
  return new Response(pageForRecord(await any.text(), record.id), { status: any.status, headers: any.headers });
}

async function fileAt(request: Request): Promise<Response> {
  const cache = await caches.open(cacheOf(await servedVersion()));
  const found = await cache.match(request, { ignoreVary: true });
  if (found === undefined) return fetch(request);
  // A worker reads what it was started with from its own address; an answer without one leaves it as it was asked for.
  return request.destination === 'worker' ? new Response(found.body, { headers: found.headers }) : found;
}

function noSuchPage(): Response {
  const words =
    `<!doctype html><html lang="${languageTag}"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Aetas</title>` +
    `<h1>There is no such page here.</h1><p>And no server answers that could know it. <a href="${addressOf('/')}">Go to the bench</a>.</p></html>`;
  return new Response(words, { status: 404, headers: { 'Content-Type': 'text/html; charset=utf-8' } });
}

async function fromServerSoon(request: Request): Promise<Response> {
  const late = new Promise<Response>((resolve) => setTimeout(() => resolve(Response.error()), SERVER_MS));
  return Promise.race([fetch(request).catch(() => Response.error()), late]);
}
