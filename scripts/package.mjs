import { cpSync, existsSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { ensureBuild } from './build.mjs';
import { ensurePackages, root } from './shell.mjs';

/*
 * Makes one folder that runs with `node server.js` alone: npm run package [-- FOLDER], else dist.
 */
const folder = resolve(process.argv[2] ?? join(root, 'dist'));
if (existsSync(folder) && !existsSync(join(folder, 'server.js'))) {
  console.error(`${folder} is there and is no package of Aetas. Name another folder, or take it away.`);
  process.exit(1);
}
ensurePackages();
await ensureBuild();
const standalone = join(root, '.next', 'standalone');
rmSync(folder, { recursive: true, force: true });
cpSync(standalone, folder, { recursive: true, verbatimSymlinks: true });
cpSync(join(root, '.next', 'static'), join(folder, '.next', 'static'), { recursive: true });
cpSync(join(root, '.next', 'sw.js'), join(folder, '.next', 'sw.js'));
cpSync(join(root, 'public'), join(folder, 'public'), { recursive: true });
console.log(`${folder}: start it with  HOSTNAME=127.0.0.1 PORT=4320 node server.js`);
