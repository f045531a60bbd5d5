import { createServer } from 'node:http';
import { createServer as createSafeServer } from 'node:https';
import { root } from './shell.mjs';

/** Methods that read and change nothing. */
const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Serves the built application until it is closed.
 * @param host address to listen on
 * @param port port; 0 for any that is free
 * @param tls `{ cert, key }` as PEM; without it the connection is not encrypted
 * @param onlyReads refuses every request that brings anything
 * @returns the server, listening; it fails with the system's error when it cannot
 */
export async function serve({ host, port, tls, onlyReads = false }) {
  process.env.NEXT_TELEMETRY_DISABLED = '1';
  process.env.NODE_ENV = 'production';
  const { default: next } = await import('next');
  const app = next({ dev: false, dir: root, hostname: host, port });
  await app.prepare();
  const answer = app.getRequestHandler();
  const handle = (request, response) => {
    if (onlyReads && !READS.has(request.method)) response.writeHead(405, { Allow: [...READS].join(', ') }).end();
    else void answer(request, response);
  };
  const server = tls === undefined ? createServer(handle) : createSafeServer(tls, handle);
  await new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, resolve);
  });
  return server;
}

/**
 * Serves, or ends this process with what to do.
 * @param settings as `serve` takes them
 * @param change how to choose another port, as a person types it
 */
export async function serveOrSay(settings, change) {
  try {
    return await serve(settings);
  } catch (error) {
    if (error?.code === 'EADDRINUSE')
      console.error(`Port ${settings.port} is taken by something else. Choose another: ${change}`);
    else if (error?.code === 'EADDRNOTAVAIL' || error?.code === 'ENOTFOUND')
      console.error(`This machine has no address “${settings.host}”. Choose one that it has, or 127.0.0.1.`);
    else console.error(`The server could not be started: ${error?.message ?? error}`);
    process.exit(1);
  }
}

/** A port as typed, or the usual one; ends this process when it is none. */
export function portOf(text, usual) {
  if (text === undefined || text === '') return usual;
  const port = Number(text);
  if (Number.isInteger(port) && port >= 1 && port <= 65535) return port;
  console.error(`“${text}” is no port. Give a whole number from 1 to 65535.`);
  process.exit(1);
}
