import { readFileSync } from 'node:fs';
import { ensureBuild } from './build.mjs';
import { portOf, serveOrSay } from './serve.mjs';
import { ensurePackages } from './shell.mjs';

/*
 * Serves one's own bench: HOST, PORT, and TLS_CERT with TLS_KEY (files, PEM) where there is a certificate.
 */
const { HOST: host = '127.0.0.1', PORT, TLS_CERT, TLS_KEY } = process.env;
const port = portOf(PORT, 4320);

function pem(name, path) {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    console.error(`${name} names “${path}”, and that file cannot be read.`);
    process.exit(1);
  }
}

if ((TLS_CERT === undefined) !== (TLS_KEY === undefined)) {
  console.error('TLS_CERT and TLS_KEY go together: give both files, or neither.');
  process.exit(1);
}
const tls = TLS_CERT === undefined ? undefined : { cert: pem('TLS_CERT', TLS_CERT), key: pem('TLS_KEY', TLS_KEY) };
ensurePackages();
await ensureBuild();
await serveOrSay({ host, port, tls }, `PORT=${port + 1} npm start`);
console.log(`Aetas: ${tls === undefined ? 'http' : 'https'}://${host}:${port}${process.env.AETAS_BASE_PATH ?? ''}`);
console.log('Stop it with Ctrl+C.');
