/** What a page asks the service worker. */
export const pageMessages = {
  /** Which version is served, and which could be: answered by `VersionsKept`. */
  versions: 'aetas:versions',
  /** Serve the newest version from now on. */
  take: 'aetas:take',
} as const;

/** What the service worker tells every page. */
export const workerMessages = {
  /** A newer version lies ready. */
  ready: 'aetas:ready',
  /** Another version is served now: pages load themselves anew. */
  taken: 'aetas:taken',
} as const;

/** The version that is served, and the newest one that lies ready. */
export interface VersionsKept {
  served: string;
  newest: string;
}

/** Address of the service worker; a route, so that a server without one can take it away again. */
export const WORKER_ADDRESS = '/sw.js';

/** Header that names the version which a server serves. */
export const VERSION_HEADER = 'aetas-version';

/** The page for what another program gave to Aetas. It is posted there too, and the service worker takes it. */
export const GIVEN_PAGE = '/given';

/** Field of the form in which a system posts files. */
export const GIVEN_FIELD = 'files';
