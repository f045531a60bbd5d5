import { rendererMb } from './memory.mjs';

/** Estimates that are asked for before memory is looked at, and in between. */
const WARM = 300;
const ASKED = 2000;

/** Moves the slider of a plan until so many estimates were asked of the worker; the page takes a new one while the last is under way. */
async function askFor(page, count) {
  const from = await page.evaluate(() => window.asked);
  for (let round = 0; (await page.evaluate(() => window.asked)) - from < count; round++)
    for (let step = 0; step < 12; step++) {
      await page.keyboard.press(round % 2 === 0 ? 'ArrowRight' : 'ArrowLeft');
      await page.waitForTimeout(20);
    }
}

/** What the page holds after everything that nobody needs was thrown away, and what its process holds with the worker, MB. */
async function heldMb(page, session) {
  await page.waitForTimeout(1500);
  await session.send('HeapProfiler.collectGarbage');
  const { usedSize } = await session.send('Runtime.getHeapUsage');
  return { heap: usedSize / 1e6, process: rendererMb() };
}

/** Memory over two thousand estimates: what the page keeps of them, and its process with the worker. */
export async function benchMemory(browser, address, report) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript(() => {
    localStorage.setItem('aetas.bench', 'demo');
    window.asked = 0;
    const post = Worker.prototype.postMessage;
    Worker.prototype.postMessage = function (...message) {
      // The library between page and worker sends a call as one message with its path.
      if (message[0]?.path?.at(-1)?.startsWith('estimate')) window.asked += 1;
      return post.apply(this, message);
    };
  });
  await page.goto(`${address}/rolls/tin-3`);
  await page.locator('[data-next-step]:enabled').first().waitFor();
  await page.locator('#why > summary').click();
  await page.locator('#why canvas').first().waitFor();
  const session = await page.context().newCDPSession(page);
  await page.getByRole('slider', { name: 'What if' }).focus();
  await askFor(page, WARM);
  const before = await heldMb(page, session);
  await askFor(page, ASKED);
  const after = await heldMb(page, session);
  report(`${ASKED} estimates: what the page holds more of than before`, Math.max(0, after.heap - before.heap), 'MB', 8);
  report('  its process, with the worker', Math.max(0, after.process - before.process), 'MB', 40);
  await page.context().close();
}
