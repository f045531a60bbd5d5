import { readFileSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, test } from 'vitest';

const root = fileURLToPath(new URL('..', import.meta.url));

/** Classes that name a side of the screen: right-to-left scripts turn the page round, and these would stay. */
const sided =
  /(?<![\w-])(-?m[lr]-|p[lr]-|border-[lr](-|\b)|rounded-[lr](-|\b)|text-(left|right)\b|-?(left|right)-[\d[])/;

test('no class names a side of the screen: pages turn with the script that is read', () => {
  const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.tsx'));
  expect(files.length).toBeGreaterThan(200);
  const found = files.flatMap((file) =>
    [...readFileSync(`${root}/${file}`, 'utf8').matchAll(/"[^"\n]*"|'[^'\n]*'|`[^`]*`/g)].flatMap(([text]) =>
      sided.test(text) ? [`${file}: ${text.slice(0, 80)}`] : [],
    ),
  );
  expect(found).toEqual([]);
});
