/** Prints how fast the built app answers in headless Chromium, what of that is the worker's and what the page's own script. */
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { withApp, SIZES } from './pages.mjs';
import { runBundled } from './runBundled.mjs';
import { ensurePackages } from './tools.mjs';

ensurePackages();
for (const part of ['perfCore', 'perfReader', 'perfSight', 'perfTuning']) runBundled(`scripts/${part}.ts`);

await import('./perfLoad.mjs');

const folder = mkdtempSync(join(tmpdir(), 'nimble-perf-'));
const ROUNDS = 15;
const ENTRIES = 10_000;

/** @param {number[]} list */
const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

await withApp(async (browser, base) => {
  const page = await browser.newPage({ ...SIZES.wide, locale: 'en-GB' });
  await page.goto(`${base}/tune`);
  await page.getByTestId('echo-picture').waitFor();
  await page.waitForTimeout(1500);

  /**
   * Turns a dial and waits for the picture to stand on the screen; ms in all and in the worker.
   * @param {string} dial @param {number} value
   */
  const turn = (dial, value) =>
    page.evaluate(
      ({ dial, value }) =>
        new Promise((resolve) => {
          const input = /** @type {HTMLInputElement} */ (document.querySelector(`[data-testid="${dial}"]`));
          performance.clearMarks('picture-painted');
          const begun = performance.now();
          const observer = new PerformanceObserver((list) => {
            if (!list.getEntriesByName('picture-painted').length) return;
            observer.disconnect();
            requestAnimationFrame(() => {
              const arrived = /** @type {PerformanceMark} */ (
                performance.getEntriesByName('picture-arrived').at(-1)
              );
              resolve({ totalMs: performance.now() - begun, workMs: arrived.detail.workMs });
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
      { dial, value },
    );

  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Performance.enable');
  /** Script of the page itself so far, workers aside, ms. */
  const scriptMs = async () => {
    const { metrics } = await devtools.send('Performance.getMetrics');
    return 1000 * (metrics.find((m) => m.name === 'ScriptDuration')?.value ?? NaN);
  };

  /** @param {string} name @param {string} dial @param {(i: number) => number} value */
  const measure = async (name, dial, value) => {
    const total = [];
    const work = [];
    const script = [];
    for (let i = 0; i < ROUNDS; i++) {
      const before = await scriptMs();
      const { totalMs, workMs } = /** @type {{ totalMs: number, workMs: number }} */ (
        await turn(dial, value(i))
      );
      total.push(totalMs);
      work.push(workMs);
      script.push((await scriptMs()) - before);
    }
    const all = median(total);
    console.log(
      `${name}: ${all.toFixed(0)} ms at the median, ${Math.round((100 * median(work)) / all)} % of it in the worker, ${median(script).toFixed(1)} ms script of the page`,
    );
  };
  await measure('a display dial (gain)', 'dial-gain', (i) => -10 + (i % 7));
  await measure('a display dial (noise rejection)', 'dial-noiseRejection', (i) => (i % 7) + 1);
  // Each rate only once: a pass just left is kept ready and would cost nothing.
  await measure('a dial that needs new pings (ping rate)', 'dial-pingRate', (i) => 5 + i * 0.5);
  // Live with two pictures, against the same page at rest.
  const live = await page.evaluate(
    () =>
      new Promise((resolve) => {
        let frames = 0;
        const begun = performance.now();
        const frame = () => {
          frames++;
          if (performance.now() - begun < 4000) requestAnimationFrame(frame);
          else resolve(frames);
        };
        requestAnimationFrame(frame);
      }),
  );
  await page.getByRole('button', { name: 'Play the pass' }).click();
  await page.waitForTimeout(1500);
  const scriptBefore = await scriptMs();
  const playing = await page.evaluate(
    () =>
      new Promise((resolve) => {
        let frames = 0;
        let long = 0;
        new PerformanceObserver((list) => (long += list.getEntries().length)).observe({
          entryTypes: ['longtask'],
        });
        const begun = performance.now();
        const frame = () => {
          frames++;
          if (performance.now() - begun < 4000) requestAnimationFrame(frame);
          else resolve({ frames, long });
        };
        requestAnimationFrame(frame);
      }),
  );
  console.log(
    `live with two pictures: ${(playing.frames / live).toFixed(2)} of the frames of the page at rest, ${((await scriptMs()) - scriptBefore) / playing.frames} ms script a frame, ${playing.long} tasks over 50 ms in 4 s`,
  );
  await page.close();

  // Ten thousand entries, made of the demo's, into an empty log.
  const demoPage = await browser.newPage(SIZES.phone);
  await demoPage.goto(`${base}/log?demo`);
  const [download] = await Promise.all([
    demoPage.waitForEvent('download'),
    demoPage.getByTestId('export-json').click(),
  ]);
  const demo = JSON.parse(readFileSync(await download.path(), 'utf8'));
  await demoPage.close();
  const file = join(folder, 'many.json');
  const data = Array.from({ length: ENTRIES }, (_, k) => ({
    ...demo.data[k % demo.data.length],
    id: `e${k}`,
  }));
  writeFileSync(file, JSON.stringify({ ...demo, data }));

  const log = await browser.newPage(SIZES.phone);
  await log.goto(`${base}/log`);
  await log.getByText('Nothing saved yet').waitFor();
  await log.waitForTimeout(1000);
  await log.evaluate(() => {
    Object.assign(globalThis, { longTasks: [] });
    new PerformanceObserver((list) =>
      /** @type {any} */ (globalThis).longTasks.push(...list.getEntries().map((e) => e.duration)),
    ).observe({ type: 'longtask' });
  });
  const begun = Date.now();
  const [chooser] = await Promise.all([
    log.waitForEvent('filechooser'),
    log.getByTestId('import-json').click(),
  ]);
  await chooser.setFiles(file);
  await log.getByText(`Imported ${ENTRIES} entries`).waitFor({ timeout: 120_000 });
  const tookS = (Date.now() - begun) / 1000;
  const tasks = /** @type {number[]} */ (await log.evaluate(() => /** @type {any} */ (globalThis).longTasks));
  console.log(
    `${ENTRIES} log entries imported in ${tookS.toFixed(1)} s; tasks of the page over 50 ms: ${tasks.length}${tasks.length ? `, longest ${Math.max(...tasks).toFixed(0)} ms` : ''}`,
  );
});
