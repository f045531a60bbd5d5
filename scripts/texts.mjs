import { interfaceTexts } from './interfaceTexts.mjs';

/** Prints every text of the interface as one plain list. Read it from top to bottom as somebody who has never seen the program. */
for (const { file, texts } of interfaceTexts()) {
  console.log(`\n${file}`);
  for (const text of texts) console.log(`  ${text}`);
}
