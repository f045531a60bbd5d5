import { Server, type IncomingMessage, type ServerResponse } from 'node:http';

/** Methods that no address answers, and that the framework would fail on before any of our code is asked. */
const REFUSED: ReadonlySet<string> = new Set(['TRACE', 'TRACK']);

type Emit = (this: Server, event: string, ...args: unknown[]) => boolean;

/** Answers such methods with 405, as RFC 9110 says, before the framework sees them. Once, as the server starts. */
export function refuseMethods(): void {
  const emit = Server.prototype.emit as Emit;
  const guarded: Emit = function (event, ...args) {
    const [request, response] = args as [IncomingMessage?, ServerResponse?];
    if (event !== 'request' || response === undefined || !REFUSED.has(request?.method ?? ''))
      return emit.call(this, event, ...args);
    response.writeHead(405, { Allow: 'GET, HEAD, POST, OPTIONS' }).end();
    return true;
  };
  Server.prototype.emit = guarded as typeof Server.prototype.emit;
}
