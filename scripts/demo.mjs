import { createServer } from 'node:net';
import { ensureBuild } from './build.mjs';
import { demoAddress, ensurePackages, start, tool } from './shell.mjs';

const { host, port } = demoAddress;
const address = `http://${host}:${port}`;

function portIsFree() {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });
}

async function answers() {
  try {
    return (await fetch(address)).ok;
  } catch {
    return false;
  }
}

ensurePackages();
await ensureBuild();
if (!(await portIsFree())) {
  console.error(`Something else already listens on ${address}. Stop it (perhaps another demo), then start again.`);
  process.exit(1);
}
const server = start(tool('next'), ['start', '--hostname', host, '--port', String(port)], { AETAS_DEMO: '1' }, [
  'ignore',
  'ignore',
  'inherit',
]);
server.on('exit', (code) => process.exit(code ?? 0));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
while (!(await answers())) await new Promise((resolve) => setTimeout(resolve, 150));
console.log(`Aetas, with the demo bench: ${address}`);
console.log('Stop it with Ctrl+C.');
