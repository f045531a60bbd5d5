import { readFile } from 'node:fs/promises';
import { decode, encode } from 'fast-png';
import { expect, test, type Page } from '@playwright/test';
import { practiceStrip } from '../../src/core/kit/practiceStrip';
import { plainStrip, syntheticStrip, type SyntheticStrip } from '../../src/core/kit/syntheticStrip';
import { seedOf } from '../../src/features/strip/seedOf';
import { openDemo, recordsOf } from '../bench';

const STRIP = '/rolls/past-03/strip';

const file = (name: string, buffer: Buffer | Uint8Array, mimeType = 'image/png') => ({
  name,
  mimeType,
  buffer: Buffer.from(buffer),
});

function png(strip: SyntheticStrip): Uint8Array {
  const { grid } = syntheticStrip(strip);
  const data = grid.data as Uint8ClampedArray | Uint16Array;
  return encode({ width: grid.widthPx, height: grid.heightPx, data, channels: 3, depth: strip.bits });
}

/** A plain TIFF of 16 bits, red, green and blue, without compression. Source: TIFF 6.0, 1992. */
function tiff(strip: SyntheticStrip): Buffer {
  const { grid } = syntheticStrip(strip);
  const pixels = grid.widthPx * grid.heightPx * 3;
  const head = Buffer.alloc(8 + 2 + 9 * 12 + 4 + 6);
  head.write('II', 0);
  head.writeUInt16LE(42, 2);
  head.writeUInt32LE(8, 4);
  head.writeUInt16LE(9, 8);
  const bitsAt = 8 + 2 + 9 * 12 + 4;
  const entries: [tag: number, type: number, count: number, value: number][] = [
    [256, 4, 1, grid.widthPx],
    [257, 4, 1, grid.heightPx],
    [258, 3, 3, bitsAt],
    [259, 3, 1, 1],
    [262, 3, 1, 2],
    [273, 4, 1, head.length],
    [277, 3, 1, 3],
    [278, 4, 1, grid.heightPx],
    [279, 4, 1, pixels * 2],
  ];
  entries.forEach(([tag, type, count, value], at) => {
    head.writeUInt16LE(tag, 10 + at * 12);
    head.writeUInt16LE(type, 12 + at * 12);
    head.writeUInt32LE(count, 14 + at * 12);
    head.writeUInt32LE(value, 18 + at * 12);
  });
  for (const channel of [0, 1, 2]) head.writeUInt16LE(16, bitsAt + channel * 2);
  const body = Buffer.alloc(pixels * 2);
  for (let at = 0; at < pixels; at++) body.writeUInt16LE(grid.data[at] ?? 0, at * 2);
  return Buffer.concat([head, body]);
}

/** Densities as the table says them, clear film first. */
async function shown(page: Page): Promise<number[]> {
  const cells = await page
    .getByRole('table', { name: 'Densities of the strip' })
    .locator('tbody td:nth-of-type(2)')
    .allTextContents();
  return cells.map(Number);
}

async function choosePicture(page: Page, what: ReturnType<typeof file>): Promise<void> {
  await page.getByLabel('Picture of the strip', { exact: true }).setInputFiles(what);
}

test('a made-up strip is found, read near its truth, added to the evidence, saved, removed and brought back', async ({
  page,
}) => {
  const { strip, film } = practiceStrip(seedOf('past-03'));
  await openDemo(page, STRIP);
  await page.getByRole('button', { name: 'Try it on a made-up strip' }).click();
  const says = page.getByTestId('strip-sentences');
  await expect(says).toContainText('Average gradient');
  await expect(page.getByText('A row of 9 was found.')).toBeVisible();
  const read = await shown(page);
  const truth = [film.baseFogD, ...strip.stepsD.map((step) => step + film.baseFogD)];
  expect(read).toHaveLength(truth.length);
  // Nobody knows this camera: each density says how far it may be off, and no farther off it is.
  const doubts = await page
    .getByRole('table', { name: 'Densities of the strip' })
    .locator('tbody td:nth-of-type(3)')
    .allTextContents();
  for (const [at, density] of read.entries())
    expect(Math.abs(density - (truth[at] ?? 9))).toBeLessThanOrEqual(0.02 + 1.5 * Number(doubts[at]));
  const said = /Average gradient (\d\.\d+), 80 % likely (\d\.\d+) to (\d\.\d+)/.exec((await says.textContent()) ?? '');
  const [gradient, low, high] = [1, 2, 3].map((at) => Number(said?.[at])) as [number, number, number];
  expect(high / low).toBeGreaterThan(1.15);
  expect(film.gradient).toBeGreaterThan(low * 0.93);
  expect(film.gradient).toBeLessThan(high * 1.07);
  await expect(says).toContainText('Add a second exposure, two stops darker');
  // Two older strips of the roll lie on the same curve of contrast over time.
  await expect(page.getByTestId('two-strips')).toContainText('Clip, grey card');
  await page.getByRole('button', { name: 'Add to the evidence' }).click();
  const line = page.getByRole('listitem').filter({ hasText: 'Practice strip' });
  await expect(line).toContainText('in the evidence');
  const kept = await recordsOf(page, 'aetas-demo');
  expect(kept.readings).toHaveLength(3);
  expect(kept.photos).toHaveLength(1);
  const saving = page.waitForEvent('download');
  await line.getByRole('button', { name: /^Save as CGATS/ }).click();
  const text = await readFile(await (await saving).path(), 'utf8');
  expect(text).toMatch(/^CGATS\.17\r\n/);
  expect(text).toContain('"patch 9"');
  await line.getByRole('button', { name: /^Remove/ }).click();
  await expect(line).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(line).toHaveCount(1);
  await page.goto('/rolls/past-03#test');
  await expect(page.getByText(new RegExp(`by densities: gradient ${gradient.toFixed(2)}`)).first()).toBeVisible();
});

test('what is kept is of the marks as they stand, however fast it is pressed', async ({ page }) => {
  await openDemo(page, STRIP);
  await page.getByRole('button', { name: 'Try it on a made-up strip' }).click();
  await expect(page.getByTestId('strip-sentences')).toBeVisible();
  const keep = page.getByRole('button', { name: 'Keep it in the log alone' });
  await expect(keep).toBeEnabled();
  // Both in one moment: the densities on show are still those of the row as it ran before.
  await page.evaluate(async () => {
    for (const words of ['Turn the row round', 'Keep it in the log alone']) {
      [...document.querySelectorAll('button')].find(({ textContent }) => textContent === words)?.click();
      await new Promise((drawn) => setTimeout(drawn));
    }
  });
  await keep.click();
  await expect(page.getByText('Kept. It stands below')).toBeVisible();
  const { readings } = await recordsOf(page, 'aetas-demo');
  const steps = (readings as { name: string; steps: { densityD: number }[] }[]).find(
    ({ name }) => name === 'Practice strip',
  )?.steps;
  expect(steps?.[0]?.densityD).toBeGreaterThan(steps?.at(-1)?.densityD ?? 9);
});

test('marks move by dragging and by keys, a row from the wrong end is told, and marks outlive a reload', async ({
  page,
}) => {
  await openDemo(page, STRIP);
  await page.getByRole('button', { name: 'Try it on a made-up strip' }).click();
  await expect(page.getByTestId('strip-sentences')).toBeVisible();
  const before = await shown(page);
  await page.getByRole('button', { name: 'Turn the row round' }).click();
  await expect(page.getByText('The row gets thinner as its exposures grow')).toBeVisible();
  await page.getByRole('button', { name: 'Turn it round' }).click();
  await expect(page.getByText('The row gets thinner as its exposures grow')).toHaveCount(0);
  await expect.poll(() => shown(page)).toEqual(before);
  // The last patch, dragged onto bare light, and back by keys.
  const last = page.getByRole('button', { name: 'Last patch' });
  await last.scrollIntoViewIfNeeded();
  const box = await last.boundingBox();
  if (box === null) throw new Error('No mark.');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2 + 4, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => (await shown(page)).at(-1)).not.toBe(before.at(-1));
  const dragged = await shown(page);
  await last.focus();
  for (let press = 0; press < 3; press++) await page.keyboard.press('Shift+ArrowLeft');
  await expect.poll(() => shown(page)).not.toEqual(dragged);
  await page.getByLabel('Strip', { exact: true }).fill('Grey card, frames 30 to 38');
  await page.reload();
  await expect(page.getByLabel('Strip', { exact: true })).toHaveValue('Grey card, frames 30 to 38');
  await expect(page.getByText('Marks and numbers are kept; the picture is not.')).toBeVisible();
});

test('16 bits as TIFF and PNG, and two exposures merged, read to densities that 8 bits alone lose', async ({
  page,
}) => {
  const stepsD = Array.from({ length: 9 }, (_, at) => 0.1 + 0.4 * at);
  const deep: SyntheticStrip = {
    ...plainStrip,
    stepsD,
    baseFogD: 0.1,
    bits: 16,
    transfer: { id: 'linear' },
    noise: 0.0015,
  };
  await openDemo(page, STRIP);
  for (const [name, bytes, mime] of [
    ['deep.tif', tiff(deep), 'image/tiff'],
    ['deep.png', png(deep), 'image/png'],
  ] as const) {
    await choosePicture(page, file(name, bytes, mime));
    await expect(page.getByText(`${name}, 800 × 400, 16 bits`)).toBeVisible();
    await page.getByText('How the picture is read', { exact: true }).click();
    await page.getByRole('radio', { name: 'Linear', exact: true }).click();
    await page.getByRole('button', { name: 'Find the row' }).click();
    await expect.poll(async () => (await shown(page)).length).toBe(10);
    await expect.poll(async () => Math.abs(((await shown(page))[7] ?? 9) - 2.6)).toBeLessThanOrEqual(0.03);
    await page.getByRole('button', { name: `Close ${name}` }).click();
  }
  const eight: SyntheticStrip = { ...plainStrip, stepsD, baseFogD: 0.1, noise: 0.004 };
  await choosePicture(page, file('one.png', png(eight)));
  await page.getByText('How the picture is read', { exact: true }).click();
  await page.getByRole('radio', { name: 'sRGB', exact: true }).click();
  await page.getByRole('button', { name: 'Find the row' }).click();
  await expect(page.getByText('too dense for this picture').first()).toBeVisible();
  await page
    .getByLabel('Another exposure of the same strip')
    .setInputFiles(file('brighter.png', png({ ...eight, exposure: 14, seed: 3 })));
  await expect(page.getByText('Another exposure: brighter.png')).toBeVisible();
  // The brighter one sees into the dark; what it sees there is glare as well, and is told as such.
  await expect(page.getByText('too dense for this picture')).toHaveCount(0);
  await expect(page.getByRole('table', { name: 'Densities of the strip' })).toContainText('at least');
  await expect(page.getByTestId('strip-sentences')).toContainText('Glare or doubt rules');
  await page.getByRole('button', { name: 'Show it as a positive' }).click();
  await expect(page.getByRole('img', { name: 'The strip as a positive' })).toBeVisible();
});

test('empty, truncated, misnamed, oversized and clipped pictures are refused with a reason; nothing is stored', async ({
  page,
}) => {
  await openDemo(page, STRIP);
  const before = await recordsOf(page, 'aetas-demo');
  const good = Buffer.from(png(plainStrip));
  const huge = Buffer.from(good);
  huge.writeUInt32BE(30_000, 16);
  huge.writeUInt32BE(30_000, 20);
  const hugeTiff = tiff({ ...plainStrip, widthPx: 40, heightPx: 20, bits: 16 });
  hugeTiff.writeUInt32LE(60_000, 18);
  hugeTiff.writeUInt32LE(60_000, 30);
  const refused: [name: string, bytes: Buffer, words: RegExp][] = [
    ['empty.png', Buffer.alloc(0), /damaged, empty or was cut off/],
    ['cut.png', good.subarray(0, 4000), /damaged, empty or was cut off/],
    ['words.jpg', Buffer.from('no picture at all, only words that pretend'), /not a picture that a browser reads/],
    ['<img src=x onerror=alert(1)>.png', huge, /900 megapixels; 200 are the most/],
    ['huge.tif', hugeTiff, /3600 megapixels; 200 are the most/],
    ['cut.tif', tiff({ ...plainStrip, widthPx: 200, heightPx: 100, bits: 16 }).subarray(0, 9000), /damaged|cut off/],
  ];
  for (const [name, bytes, words] of refused) {
    await choosePicture(page, file(name, bytes));
    await expect(page.getByRole('alert').filter({ hasText: words })).toContainText(name);
  }
  await choosePicture(page, file('clipped.png', png({ ...plainStrip, exposure: 1.6 })));
  await expect(page.getByText('The bare light is clipped')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add to the evidence' })).toHaveCount(0);
  const after = await recordsOf(page, 'aetas-demo');
  for (const table of ['photos', 'evidence', 'readings'] as const) expect(after[table]).toEqual(before[table]);
  // The page is alive: a good picture is read next.
  await page.getByLabel('Another picture of the strip').setInputFiles(file('good.png', good));
  await expect(page.getByTestId('strip-sentences')).toBeVisible();
});

test('a densitometer: typed, read by the stand-in, opened from CGATS; unknown exposures give fog and range only', async ({
  page,
}) => {
  await openDemo(page, '/brews/kit');
  await page.locator('#densitometer').getByRole('radio', { name: 'Simulated densitometer' }).click();
  await page.goto(STRIP);
  await page.getByRole('radio', { name: 'A densitometer' }).click();
  await page.getByRole('button', { name: 'Read clear film' }).click();
  const { film } = practiceStrip(seedOf('past-03'));
  await expect
    .poll(async () => Math.abs(Number(await page.getByLabel('Clear film').inputValue()) - film.baseFogD))
    .toBeLessThanOrEqual(0.03);
  await expect(page.getByTestId('strip-sentences')).toContainText('Base + fog');
  const table = [
    'CGATS.17',
    'BEGIN_DATA_FORMAT',
    'SAMPLE_ID D_VIS',
    'END_DATA_FORMAT',
    'BEGIN_DATA',
    ...[0.5, 0.62, 0.8, 1.02, 1.24, 1.45, 1.6].map((density, at) => `${at + 1} ${density}`),
    'END_DATA',
  ].join('\n');
  await page
    .getByLabel('Densities from a CGATS file')
    .setInputFiles(file('wedge.txt', Buffer.from(table), 'text/plain'));
  await expect(page.getByLabel('Patch 7', { exact: true })).toHaveValue('1.6');
  await expect(page.getByTestId('strip-sentences')).toContainText('Average gradient');
  await page
    .getByLabel('Densities from a CGATS file')
    .setInputFiles(file('bad.txt', Buffer.from('CGATS.17\n'), 'text/plain'));
  await expect(page.getByRole('alert').filter({ hasText: 'bad.txt' })).toContainText('BEGIN_DATA_FORMAT is missing');
  await page.getByRole('button', { name: 'Exposures' }).click();
  await page.getByRole('option', { name: 'Nobody knows' }).click();
  await expect(page.getByTestId('strip-sentences')).toContainText('Nobody knows the exposures');
  await expect(page.getByTestId('strip-sentences')).not.toContainText('Average gradient');
});

test('a camera is calibrated by layers of one film in two exposures, and the next strip asks for no second one', async ({
  page,
}) => {
  // One layer, two, three, four of 0.30 D.
  const stairs: SyntheticStrip = { ...plainStrip, stepsD: [0.28, 0.58, 0.88, 1.18], baseFogD: 0.02, exposure: 0.85 };
  await openDemo(page, STRIP);
  await choosePicture(page, file('stairs.png', png(stairs)));
  // The two outer steps end with the film, so the search sees the inner ones: a hand adds one at each end.
  await expect.poll(async () => (await shown(page)).length).toBeGreaterThanOrEqual(2);
  await page.getByRole('button', { name: 'One more before' }).click();
  await page.getByRole('button', { name: 'One more after' }).click();
  const says = page.getByTestId('strip-sentences');
  await expect(says).toContainText('Add a second exposure');
  await page
    .getByLabel('Another exposure of the same strip')
    .setInputFiles(file('darker.png', png({ ...stairs, exposure: 0.85 / 4, seed: 5 })));
  await page.getByLabel('against the first').selectOption('2 stops darker');
  await page.getByText('How the picture is read', { exact: true }).click();
  await page.getByRole('checkbox', { name: 'Clear film is marked' }).uncheck();
  await expect.poll(async () => (await shown(page)).length).toBe(4);
  await page.getByText('Calibrate the camera by this strip').click();
  await expect(page.getByText('Two exposures are open: they tell the scale.')).toBeVisible();
  await page.getByRole('button', { name: 'Calibrate', exact: true }).click();
  await expect(page.getByTestId('residuals')).toContainText('Each step against the others');
  await page.getByLabel('Camera, settings and light').fill('Old telephone, window light');
  await page.getByRole('button', { name: 'Keep this calibration' }).click();
  await expect(page.getByText('Kept as “Old telephone, window light”')).toBeVisible();
  await page.getByRole('button', { name: 'Corrected for' }).click();
  await page.getByRole('option', { name: /Old telephone/ }).click();
  await page.getByRole('button', { name: 'Close darker.png' }).click();
  await expect.poll(async () => Math.abs(((await shown(page))[3] ?? 0) - 1.2)).toBeLessThan(0.06);
  await expect(says).not.toContainText('Add a second exposure');
});

test('a wedge by its table is refused where numbers miss, and thin frames that may be missing are asked for', async ({
  page,
}) => {
  await openDemo(page, STRIP);
  // Room for frames before the first that shows: its number is not known.
  const stepsD = [0.001, 0.001, 0.25, 0.45, 0.65, 0.85, 1.0];
  await choosePicture(page, file('thin.png', png({ ...plainStrip, stepsD, baseFogD: 0.2 })));
  const ask = page.getByRole('group', { name: 'Which exposure the first patch had' });
  await expect(ask).toBeVisible();
  const says = page.getByTestId('strip-sentences');
  await expect(says).not.toContainText('Effective speed');
  await ask.getByRole('button', { name: '−1 stops' }).click();
  await expect(ask).toHaveCount(0);
  await expect(page.locator('#firstStops')).toHaveValue('-1');
  await page.getByText('Calibrate the camera by this strip').click();
  await page.getByRole('radio', { name: 'A wedge with its table' }).click();
  await page.getByLabel('Known densities, first patch to last').fill('0.05 0.2');
  await expect(page.getByText('2 typed for')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Calibrate', exact: true })).toBeDisabled();
});

test('a chart goes out as a picture, a drawing and its points', async ({ page }) => {
  await openDemo(page, STRIP);
  await page.getByRole('button', { name: 'Try it on a made-up strip' }).click();
  const chart = page.getByRole('img', { name: /^Characteristic curve through 9 patches/ });
  await expect(chart).toBeVisible();
  const save = async (kind: string): Promise<Buffer> => {
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: `Save this chart as ${kind}` }).click();
    const download = await saving;
    expect(download.suggestedFilename()).toBe(`characteristic-curve.${kind.toLowerCase()}`);
    return readFile(await download.path());
  };
  await chart.hover();
  const size = await chart.evaluate((canvas: HTMLCanvasElement) => [canvas.width, canvas.height]);
  const png = decode(await save('PNG'));
  expect([png.width, png.height]).toEqual(size);
  expect(new Set(png.data).size).toBeGreaterThan(20);
  const svg = (await save('SVG')).toString('utf8');
  expect(svg).toMatch(/^<svg /);
  expect(svg).toContain('speed point');
  expect(svg.match(/<path /g)?.length).toBeGreaterThan(20);
  const rows = (await save('CSV')).toString('utf8').split('\r\n');
  expect(rows[0]).toBe('line,stops from the metered exposure,density');
  expect(rows).toHaveLength(82);
  // The chart on the screen is what it was.
  await expect(chart).toBeVisible();
});
