/**
 * Prints how fast the bench answers in headless Chromium: a dial of the display, a dial that needs new pings, two pictures live
 * against a bare page that blits as much, and the memory of minutes live. LIVE_MINUTES says how many; 1 else.
 */
import { execFileSync } from 'node:child_process';
import { framesOf, LIVE_MS } from './frames.mjs';
import { SIZES, withApp } from './pages.mjs';

const ROUNDS = 40;
/** Changes of the ping rate: each makes new pings, of which a few passes are kept ready. */
const PINGED = 10;
/** How much slower a phone's worker is taken to be. */
const SLOWER = 4;
const LIVE_MINUTES = Number(process.env.LIVE_MINUTES ?? 1);

/** @param {number[]} list @param {number} share */
const quantile = (list, share) =>
  [...list].sort((a, b) => a - b)[Math.floor(share * (list.length - 1))] ?? NaN;

/** Memory of the largest process that draws pages, workers and all, MB. */
function rendererMb() {
  const lines = execFileSync('ps', ['-eo', 'rss,args']).toString().split('\n');
  const sizes = lines.filter((l) => l.includes('--type=renderer')).map((l) => parseInt(l.trim(), 10) / 1024);
  return Math.max(...sizes);
}

await withApp(async (browser, base) => {
  const page = await browser.newPage({ ...SIZES.wide, locale: 'en-GB', serviceWorkers: 'block' });
  await page.goto(`${base}/tune`);
  await page.getByTestId('echo-picture-second').waitFor();
  await page.waitForTimeout(3000);
  const canvases = await page.locator('canvas').evaluateAll((all) =>
    all.map((c) => {
      const { width, height } = /** @type {HTMLCanvasElement} */ (c);
      return { width, height };
    }),
  );

  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Performance.enable');
  /** Script of the page itself so far, workers aside, ms. */
  const scriptMs = async () => {
    const { metrics } = await devtools.send('Performance.getMetrics');
    return 1000 * (metrics.find((m) => m.name === 'ScriptDuration')?.value ?? NaN);
  };

  /**
   * Turns a dial and waits until as many pictures stand on the screen; ms in all and in the worker.
   * @param {string} dial @param {number} value @param {number} pictures
   */
  const turn = (dial, value, pictures) =>
    page.evaluate(
      ({ dial, value, pictures }) =>
        new Promise((resolve) => {
          const input = /** @type {HTMLInputElement} */ (document.querySelector(`[data-testid="${dial}"]`));
          performance.clearMarks();
          const begun = performance.now();
          let painted = 0;
          const observer = new PerformanceObserver((list) => {
            painted += list.getEntriesByName('picture-painted').length;
            if (painted < pictures) return;
            observer.disconnect();
            requestAnimationFrame(() => {
              const arrived = /** @type {PerformanceMark[]} */ (
                performance.getEntriesByName('picture-arrived')
              );
              resolve({
                totalMs: performance.now() - begun,
                workMs: arrived.slice(0, pictures).reduce((sum, m) => sum + m.detail.workMs, 0),
              });
            });
          });
          observer.observe({ entryTypes: ['mark'] });
          // React listens to the native setter's input event.
          Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(
            input,
            String(value),
          );
          input.dispatchEvent(new Event('input', { bubbles: true }));
        }),
      { dial, value, pictures },
    );

  /** @param {string} name @param {string} dial @param {(i: number) => number} value @param {number} [rounds] @param {number} [pictures] */
  const measure = async (name, dial, value, rounds = ROUNDS, pictures = 1) => {
    const total = [];
    const work = [];
    const slow = [];
    const script = [];
    for (let i = 0; i < rounds; i++) {
      const before = await scriptMs();
      const { totalMs, workMs } = /** @type {{ totalMs: number, workMs: number }} */ (
        await turn(dial, value(i), pictures)
      );
      total.push(totalMs);
      work.push(workMs);
      slow.push(totalMs + (SLOWER - 1) * workMs);
      script.push((await scriptMs()) - before);
      await page.waitForTimeout(150);
    }
    const middle = quantile(total, 0.5);
    console.log(
      `${name}: ${middle.toFixed(0)} ms at the median, ${quantile(total, 0.95).toFixed(0)} at the 95th of 100, ${Math.round((100 * quantile(work, 0.5)) / middle)} % in the worker; were that ${SLOWER} times as slow, ${quantile(slow, 0.5).toFixed(0)} and ${quantile(slow, 0.95).toFixed(0)}; ${quantile(script, 0.5).toFixed(1)} ms script of the page`,
    );
  };
  await measure('a display dial (gain), until its picture stands', 'dial-gain', (i) => -10 + (i % 7));
  await measure('a display dial (noise rejection)', 'dial-noiseRejection', (i) => (i % 7) + 1);
  await measure(
    'range, which both pictures share, until both stand',
    'dial-range',
    (i) => 14 + (i % 5),
    ROUNDS,
    2,
  );
  // Each rate only once: a pass just left is kept ready and would cost nothing.
  await measure(
    'a dial that needs new pings (ping rate), until both pictures stand',
    'dial-pingRate',
    (i) => 5 + i * 0.5,
    PINGED,
    2,
  );

  // A bare page that blits as many pixels a frame is the most there can be.
  const bare = await browser.newPage(SIZES.wide);
  await bare.evaluate((sizes) => {
    const all = sizes.map(({ width, height }) => {
      const canvas = Object.assign(document.createElement('canvas'), { width, height });
      document.body.append(canvas);
      return { context: canvas.getContext('2d'), image: new ImageData(width, height) };
    });
    const frame = () => {
      for (const { context, image } of all) context?.putImageData(image, 0, 0);
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  }, canvases);
  await bare.bringToFront();
  const most = await framesOf(bare);
  await bare.close();
  await page.bringToFront();
  const play = page.getByRole('button', { name: 'Play the pass' });
  await play.click();
  await page.waitForTimeout(1500);
  /** How long after a column was due it stood on the screen, ms. */
  const late = page.evaluate(
    (lastsMs) =>
      new Promise((resolve) => {
        /** @type {Map<number, number>} */
        const due = new Map();
        /** @type {number[]} */
        const took = [];
        const observer = new PerformanceObserver((list) => {
          for (const entry of list.getEntries()) {
            const { nowS } = /** @type {PerformanceMark} */ (entry).detail ?? {};
            if (entry.name === 'column-due') due.set(nowS, entry.startTime);
            const from = due.get(nowS);
            if (entry.name === 'picture-painted' && from !== undefined) took.push(entry.startTime - from);
          }
        });
        observer.observe({ entryTypes: ['mark'] });
        setTimeout(() => {
          observer.disconnect();
          resolve(took);
        }, lastsMs);
      }),
    LIVE_MS,
  );
  const before = await scriptMs();
  const live = await framesOf(page);
  const script = (await scriptMs()) - before;
  console.log(
    `live with two pictures: ${(live.frames / most.frames).toFixed(2)} of the frames of a bare page that blits ${canvases.length} canvases as large; ${(script / live.frames).toFixed(1)} ms script a frame, ${live.long} tasks over 50 ms in ${LIVE_MS / 1000} s`,
  );

  const took = /** @type {number[]} */ (await late);
  const frameMs = LIVE_MS / most.frames;
  const inTime = took.filter((ms) => ms <= 2 * frameMs).length;
  console.log(
    `a new column, until it is painted: ${(quantile(took, 0.5) / frameMs).toFixed(1)} frames of the bare page at the median, ${(quantile(took, 0.95) / frameMs).toFixed(1)} at the 95th of 100; ${inTime} of ${took.length} within two`,
  );

  // A pass that ends is played again.
  const sizes = [];
  for (let second = 0; second < 60 * LIVE_MINUTES; second += 5) {
    if (await play.isVisible()) await play.click();
    await page.waitForTimeout(5000);
    sizes.push(rendererMb());
  }
  const part = Math.max(1, Math.floor(sizes.length / 4));
  const first = sizes.slice(part, 2 * part);
  console.log(
    `${LIVE_MINUTES} min live: ${quantile(first, 0.5).toFixed(0)} MB in the second quarter, ${quantile(sizes.slice(-part), 0.5).toFixed(0)} in the last, page and workers together`,
  );
});
