import { BASE_PATH, HOME } from '@/core/schema/basePath';
import { pageMessages, WORKER_ADDRESS, workerMessages, type VersionsKept } from './messages';

/** How long a service worker may take to answer, ms. */
const ANSWER_MS = 3000;

/** The browser’s service workers; null where it has none, as in a page that is not served safely. */
function container(): ServiceWorkerContainer | null {
  return globalThis.navigator?.serviceWorker ?? null;
}

/** Installs the service worker, which keeps all of Aetas for when there is no server. Quiet where that cannot be. */
export async function keepOffline(): Promise<void> {
  await container()
    ?.register(`${BASE_PATH}${WORKER_ADDRESS}`, { scope: HOME })
    .catch(() => undefined);
}

/** Looks whether the server has a newer version. */
export async function lookForVersion(): Promise<void> {
  const registration = await container()?.getRegistration();
  await registration?.update().catch(() => undefined);
}

/** The versions that are kept; null where no service worker answers. */
export async function versionsKept(): Promise<VersionsKept | null> {
  const registration = await container()?.getRegistration();
  const worker = registration?.active;
  if (worker == null) return null;
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    const late = setTimeout(() => resolve(null), ANSWER_MS);
    port1.onmessage = ({ data }: MessageEvent<VersionsKept>) => {
      clearTimeout(late);
      resolve(data);
    };
    worker.postMessage(pageMessages.versions, [port2]);
  });
}

/** Has the newest version served from now on; every page loads itself anew. */
export async function takeNewest(): Promise<void> {
  (await container()?.getRegistration())?.active?.postMessage(pageMessages.take);
}

/**
 * Tells when a newer version lies ready, and when another one is served.
 * @returns how to stop
 */
export function onVersions(tell: { ready: () => void; taken: () => void }): () => void {
  const heard = ({ data }: MessageEvent): void => {
    if (data === workerMessages.ready) tell.ready();
    if (data === workerMessages.taken) tell.taken();
  };
  const workers = container();
  workers?.addEventListener('message', heard);
  return () => workers?.removeEventListener('message', heard);
}
