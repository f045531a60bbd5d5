import { cpSync, mkdirSync, mkdtempSync, readFileSync, readdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { root, run } from '../shell.mjs';
import { languages, lookupOf } from './catalogue.mjs';
import { translateSource } from './translate.mjs';

/*
 * Checks the types of the sources with the texts of each language in them. A name of something in the code that was taken for a text, and
 * translated, shows here: it is no longer one of the names that the code knows.
 */
const folder = mkdtempSync(join(tmpdir(), 'aetas-language-'));
let failed = false;
try {
  for (const file of ['tsconfig.json', 'next-env.d.ts', 'package.json', 'next.config.ts', 'vitest.config.ts'])
    cpSync(join(root, file), join(folder, file));
  symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'));
  cpSync(join(root, '.next', 'types'), join(folder, '.next', 'types'), { recursive: true });
  for (const language of languages()) {
    const lookup = lookupOf(language);
    for (const name of readdirSync(join(root, 'src'), { recursive: true })) {
      const path = `src/${name.split('\\').join('/')}`;
      if (!/\.tsx?$/.test(path) || /\.(test|long)\.tsx?$/.test(path)) continue;
      const code = readFileSync(join(root, path), 'utf8');
      mkdirSync(dirname(join(folder, path)), { recursive: true });
      writeFileSync(join(folder, path), path.endsWith('.d.ts') ? code : translateSource(path, code, lookup));
    }
    const code = run(process.execPath, [
      join(root, 'node_modules/typescript-native/bin/tsc'),
      '--noEmit',
      '-p',
      folder,
    ]);
    console.log(`Types with the texts in “${language}”: ${code === 0 ? 'sound' : 'NOT SOUND'}.`);
    failed ||= code !== 0;
  }
} finally {
  rmSync(folder, { recursive: true, force: true });
}
process.exit(failed ? 1 : 0);
