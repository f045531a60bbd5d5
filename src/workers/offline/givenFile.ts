/** Where a file lies that another program gave to Aetas, until it is used: one at a time. */
const CACHE = 'given';
const ADDRESS = '/given-file';
const NAME_HEADER = 'file-name';

/** Keeps a file until somebody says what it is for. Quiet where the browser keeps none. */
export async function keepGiven(file: File): Promise<void> {
  const headers = { 'content-type': file.type, [NAME_HEADER]: encodeURIComponent(file.name) };
  await (await caches.open(CACHE)).put(ADDRESS, new Response(file, { headers }));
}

/** The file that was given last; null when none waits. */
export async function givenFile(): Promise<File | null> {
  const found = await globalThis.caches?.open(CACHE).then((cache) => cache.match(ADDRESS));
  if (found === undefined) return null;
  const name = decodeURIComponent(found.headers.get(NAME_HEADER) ?? 'file');
  const blob = await found.blob();
  return new File([blob], name, { type: blob.type });
}

/** Forgets the file: it was used, or is not wanted. */
export async function dropGiven(): Promise<void> {
  await globalThis.caches?.delete(CACHE);
}
