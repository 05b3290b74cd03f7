/** Prints how an hour's recording of two beams is opened, read and looked over in headless Chromium, against a bare page. */
import { join } from 'node:path';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { SIZES, withApp } from './pages.mjs';
import { framesOf } from './frames.mjs';
import { run } from './tools.mjs';

const file = join(mkdtempSync(join(tmpdir(), 'nimble-hour-')), 'hour.nc');
run('npx', ['tsx', 'scripts/writeLongRecording.ts', file]);

/**
 * Bytes of array buffers a page and its workers hold. @param {import('@playwright/test').Page} page
 * @returns {Promise<number>}
 */
async function arrayBuffers(page) {
  const session = await page.context().newCDPSession(page);
  /** @type {string[]} */
  const workers = [];
  /** @type {Map<string, (bytes: number) => void>} */
  const waiting = new Map();
  session.on('Target.attachedToTarget', ({ sessionId }) => workers.push(sessionId));
  session.on('Target.receivedMessageFromTarget', ({ sessionId, message }) => {
    const { result } = JSON.parse(message);
    if (sessionId && result?.backingStorageSize !== undefined)
      waiting.get(sessionId)?.(result.backingStorageSize);
  });
  await session.send('Target.setAutoAttach', {
    autoAttach: true,
    waitForDebuggerOnStart: false,
    flatten: false,
  });
  const own = /** @type {any} */ (await session.send('Runtime.getHeapUsage')).backingStorageSize;
  const theirs = await Promise.all(
    workers.map(
      (sessionId) =>
        new Promise((resolve) => {
          waiting.set(sessionId, resolve);
          void session.send('Target.sendMessageToTarget', {
            sessionId,
            message: JSON.stringify({ id: 1, method: 'Runtime.getHeapUsage' }),
          });
        }),
    ),
  );
  await session.detach();
  return theirs.reduce((sum, bytes) => sum + bytes, own);
}

await withApp(async (browser, base) => {
  const page = await browser.newPage({ ...SIZES.wide, locale: 'en-GB', serviceWorkers: 'block' });
  await page.goto(`${base}/read`);
  await page.getByTestId('seen-fish').waitFor();
  await page.evaluate(() => {
    Object.assign(globalThis, { longTasks: [] });
    new PerformanceObserver((list) =>
      /** @type {any} */ (globalThis).longTasks.push(...list.getEntries().map((e) => Math.round(e.duration))),
    ).observe({ type: 'longtask' });
  });
  const empty = await arrayBuffers(page);
  await page.getByRole('button', { name: 'Recordings and pictures' }).click();
  // Nobody has chosen a file before this.
  await page.waitForTimeout(1500);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByTestId('choose-recording').click(),
  ]);
  await chooser.setFiles(file);
  const begun = Date.now();
  const since = () => ((Date.now() - begun) / 1000).toFixed(1);
  await page.getByTestId('overview').waitFor({ timeout: 120_000 });
  const opened = since();
  await page.getByTestId('read-share').waitFor({ timeout: 120_000 });
  const first = since();
  let most = 0;
  const watch = setInterval(
    () =>
      void arrayBuffers(page).then(
        (bytes) => (most = Math.max(most, bytes)),
        () => undefined,
      ),
    700,
  );
  await page.getByTestId('read-share').waitFor({ state: 'detached', timeout: 300_000 });
  clearInterval(watch);
  console.log(
    `an hour of two beams: opened in ${opened} s, first marks after ${first} s, all read after ${since()} s`,
  );
  await page.waitForTimeout(1500);
  const mb = (/** @type {number} */ bytes) => `${Math.round((bytes - empty) / 1e6)} MB`;
  console.log(
    `array buffers over the empty app: ${mb(await arrayBuffers(page))} when all is read, ${mb(most)} at most meanwhile`,
  );

  const canvas = await page.getByTestId('echo-picture').evaluate((c) => {
    const { width, height } = /** @type {HTMLCanvasElement} */ (c);
    return { width, height };
  });
  const bare = await browser.newPage(SIZES.wide);
  await bare.evaluate(({ width, height }) => {
    const own = document.createElement('canvas');
    Object.assign(own, { width, height });
    document.body.append(own);
    const pixels = new ImageData(width, height);
    const frame = () => {
      own.getContext('2d')?.putImageData(pixels, 0, 0);
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  }, canvas);
  await bare.bringToFront();
  const bareFrames = await framesOf(bare);
  await bare.close();

  await page.bringToFront();
  // The picture is dragged to and fro, and looked at closer and wider.
  const box = await page.getByTestId('read-touch').boundingBox();
  if (!box) throw new Error('no picture');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const counted = framesOf(page);
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let k = 0; k < 100; k++) {
    await page.mouse.move(x + 200 * Math.sin(k / 8), y);
    await page.waitForTimeout(16);
  }
  await page.mouse.up();
  for (let k = 0; k < 6; k++) {
    await page.mouse.wheel(0, k % 2 ? 200 : -200);
    await page.waitForTimeout(200);
  }
  const live = await counted;
  const long = /** @type {number[]} */ (await page.evaluate(() => /** @type {any} */ (globalThis).longTasks));
  console.log(
    `an hour moved along and looked at closer: ${(live.frames / bareFrames.frames).toFixed(2)} of the frames of a bare page; ${live.long} tasks over 50 ms then, ${long.length} in all${long.length ? `, longest ${Math.max(...long)} ms` : ''}`,
  );
});
