import { demoAddress, ensurePackages, start, tool } from './shell.mjs';

ensurePackages();
const server = start(tool('next'), ['dev', '--hostname', demoAddress.host, '--port', String(demoAddress.port)]);
server.on('exit', (code) => process.exit(code ?? 0));
