import { createServer } from 'node:http';
import { hostname, networkInterfaces } from 'node:os';
import { renderUnicodeCompact } from 'uqr';
import { authority, authorityFolder, certificateFor, fingerprintOf } from './authority.mjs';
import { ensureBuild } from './build.mjs';
import { portOf, serveOrSay } from './serve.mjs';
import { ensurePackages } from './shell.mjs';
import { CERTIFICATE_PATH, trustPage } from './trustPage.mjs';

/*
 * Serves Aetas to the telephones of the home network: pages over HTTPS at PORT, and at the next port, without it, how a phone
 * comes to trust this machine. Only reads: no record passes here.
 */
const port = portOf(process.env.PORT, 4343);
const host = process.env.HOST ?? '0.0.0.0';
const addresses =
  process.env.HOST === undefined
    ? Object.values(networkInterfaces())
        .flat()
        .filter(({ family, internal }) => family === 'IPv4' && !internal)
        .map(({ address }) => address)
    : [host];
if (addresses.length === 0) {
  console.error('This machine is on no network that a phone could reach. Connect it, then start again.');
  process.exit(1);
}
const names = [...addresses, `${hostname().split('.')[0]}.local`, 'localhost'];

ensurePackages();
await ensureBuild();
const own = await authority();
const tls = await certificateFor(names, own);
await serveOrSay({ host, port, tls, onlyReads: true }, `PORT=${port + 10} npm run phone`);

const safeAddresses = addresses.map((address) => `https://${address}:${port}`);
const page = trustPage(safeAddresses, fingerprintOf(own.cert));
const guide = createServer((request, response) => {
  if (request.method !== 'GET' && request.method !== 'HEAD') response.writeHead(405, { Allow: 'GET, HEAD' }).end();
  else if (request.url === CERTIFICATE_PATH)
    response.writeHead(200, { 'Content-Type': 'application/x-x509-ca-cert' }).end(own.cert);
  else response.writeHead(200, { 'Content-Type': 'text/html; charset=utf-8' }).end(page);
});
guide.once('error', () => {
  console.error(`Port ${port + 1} is taken by something else. Choose others: PORT=${port + 10} npm run phone`);
  process.exit(1);
});
guide.listen(port + 1, host, () => {
  const first = `http://${addresses[0]}:${port + 1}`;
  console.log(renderUnicodeCompact(first));
  console.log(`Scan it with the phone, or type: ${first}`);
  console.log(`Then: ${safeAddresses.join('  ')}`);
  console.log(`\nThe phone shows this line too; compare it before you trust:\n${fingerprintOf(own.cert)}`);
  console.log(`\nThe authority’s key stays in ${authorityFolder}, for you alone. Stop with Ctrl+C.`);
});
