import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { watchMemory } from './memory.mjs';

const WIDTH = 6000;
const HEIGHT = 4000;
const PATCHES = 21;

/** A 24-megapixel JPEG of a wedge of 21 steps, drawn and noised in the browser. */
async function wedge(page) {
  const base64 = await page.evaluate(
    async ([width, height, patches]) => {
      const canvas = new OffscreenCanvas(width, height);
      const context = canvas.getContext('2d');
      const grey = (densityD) => {
        const linear = 0.9 * 10 ** -densityD;
        const code = Math.round(255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055));
        return `rgb(${code} ${code} ${code})`;
      };
      context.fillStyle = grey(0);
      context.fillRect(0, 0, width, height);
      context.fillStyle = grey(0.1);
      context.fillRect(300, 1500, 5400, 1000);
      for (let at = 0; at < patches; at++) {
        context.fillStyle = grey(0.18 + 0.08 * at);
        context.fillRect(540 + at * 240, 1600, 240, 800);
      }
      // Grain, so that the file weighs what a photograph does.
      const tile = new OffscreenCanvas(512, 512);
      const noise = new ImageData(512, 512);
      for (let at = 0; at < noise.data.length; at += 4) {
        const value = (at * 2654435761) >>> 24;
        noise.data.set([value, value, value, 10], at);
      }
      tile.getContext('2d').putImageData(noise, 0, 0);
      context.fillStyle = context.createPattern(tile, 'repeat');
      context.fillRect(0, 0, width, height);
      const bytes = new Uint8Array(
        await (await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 })).arrayBuffer(),
      );
      let text = '';
      for (let at = 0; at < bytes.length; at += 8192) text += String.fromCharCode(...bytes.subarray(at, at + 8192));
      return btoa(text);
    },
    [WIDTH, HEIGHT, PATCHES],
  );
  const file = join(mkdtempSync(join(tmpdir(), 'aetas-')), 'wedge.jpg');
  writeFileSync(file, Buffer.from(base64, 'base64'));
  return file;
}

/** A large picture of a strip: from the file to its densities, each time in a page of its own that has settled. */
export async function benchStrip({ browser, address, report, longestTask }) {
  const drawing = await browser.newPage();
  const file = await wedge(drawing);
  await drawing.context().close();
  const rounds = [];
  for (let round = 0; round < 3; round++) {
    const page = await browser.newPage();
    await page.addInitScript(() => localStorage.setItem('aetas.bench', 'demo'));
    await page.goto(`${address}/rolls/past-03/strip`);
    await page.getByRole('button', { name: 'Choose a picture' }).waitFor();
    // The first visit keeps the whole program for when there is no network: that is no part of a picture.
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await page.waitForTimeout(3000);
    const memory = watchMemory();
    let took = 0;
    const task = await longestTask(page, async () => {
      const from = performance.now();
      await page.getByLabel('Picture of the strip', { exact: true }).setInputFiles(file);
      await page.getByTestId('strip-sentences').waitFor();
      took = performance.now() - from;
    });
    const read = await page.getByRole('table', { name: 'Densities of the strip' }).locator('tbody tr').count();
    rounds.push({ took, task, moreMb: memory(), read });
    await page.context().close();
  }
  const all = (of) => rounds.map(of).sort((a, b) => a - b);
  report('a 24-megapixel JPEG: patches read, the fewest', all(({ read }) => read)[0], '', undefined);
  report(
    'a 24-megapixel JPEG, opened, its row found, its patches read, in a fresh page',
    all(({ took }) => took)[1],
    'ms',
    2500,
  );
  report('  longest task over 50 ms, 0 for none', all(({ task }) => task)[1], 'ms', 50);
  report(
    '  memory of the page at the most, over what it held before, worst of three',
    all(({ moreMb }) => moreMb)[2],
    'MB',
    320,
  );
}
