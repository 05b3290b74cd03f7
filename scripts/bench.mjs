/** Prints how fast the built app answers in headless Chromium, and which share of that is spent in the worker. */
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { withApp, SIZES } from './pages.mjs';
import { ensurePackages, run } from './tools.mjs';

ensurePackages();
// Bundled, as the app is: run from source the core is several times slower.
const folder = mkdtempSync(join(tmpdir(), 'nimble-bench-'));
for (const part of ['benchCore', 'benchReader']) {
  const outfile = join(folder, `${part}.cjs`);
  buildSync({
    entryPoints: [`scripts/${part}.ts`],
    bundle: true,
    platform: 'node',
    alias: { '@': '.' },
    outfile,
  });
  run('node', [outfile]);
}

const ROUNDS = 15;

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

  /** @param {string} name @param {string} dial @param {(i: number) => number} value */
  const measure = async (name, dial, value) => {
    const total = [];
    const work = [];
    for (let i = 0; i < ROUNDS; i++) {
      const { totalMs, workMs } = /** @type {{ totalMs: number, workMs: number }} */ (
        await turn(dial, value(i))
      );
      total.push(totalMs);
      work.push(workMs);
    }
    const all = median(total);
    console.log(
      `${name}: ${all.toFixed(0)} ms at the median, ${Math.round((100 * median(work)) / all)} % of it in the worker`,
    );
  };
  await measure('a display dial (gain)', 'dial-gain', (i) => -10 + (i % 7));
  await measure('a display dial (noise rejection)', 'dial-noise-rejection', (i) => (i % 7) + 1);
  // Each rate only once: a pass just left is kept ready and would cost nothing.
  await measure('a dial that needs new pings (ping rate)', 'dial-ping-rate', (i) => 5 + i * 0.5);
});
