import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { ensureChromium, root } from './shell.mjs';

/*
 * Draws the icons that systems show from the one drawing: node scripts/icons.mjs. A maskable one has its drawing in the middle
 * four fifths, since a system cuts the rest off as it likes (published: W3C, Web Application Manifest, safe zone).
 */
const drawing = readFileSync(join(root, 'src/app/icon.svg'), 'utf8');
const paper = /fill="(#\w+)"/.exec(drawing)[1];
const wanted = [
  ...[48, 96, 192, 512].map((size) => ({ name: `any-${size}`, size, share: 1 })),
  ...[192, 512].map((size) => ({ name: `maskable-${size}`, size, share: 0.8 })),
  { name: 'apple-180', size: 180, share: 0.86 },
];
const folder = join(root, 'public/icons');
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({ executablePath: ensureChromium(), args: ['--no-sandbox'] });
for (const { name, size, share } of wanted) {
  const page = await browser.newPage({ viewport: { width: size, height: size } });
  await page.setContent(
    `<body style="margin:0;background:${paper};display:grid;place-items:center;height:100vh"><div style="width:${size * share}px;height:${size * share}px">${drawing}</div>`,
  );
  writeFileSync(join(folder, `${name}.png`), await page.screenshot());
  await page.close();
}
await browser.close();
