import { interfaceMessages } from './language/catalogue.mjs';

/** Prints every text of the interface as one plain list. Read it from top to bottom as somebody who has never seen the program. */
let last = '';
for (const [text, [file]] of interfaceMessages(true)) {
  if (file !== last) console.log(`\n${file}`);
  last = file;
  console.log(`  ${text}`);
}
