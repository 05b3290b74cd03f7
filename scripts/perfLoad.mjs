/** Prints how soon a first visit can be used on a slow phone and a slow line, and how soon each further screen stands. */
import { withApp, SIZES } from './pages.mjs';

const THROTTLE = 4;
/** A middling mobile line: 1.6 Mbit/s down, 150 ms. */
const SLOW_LINE = {
  offline: false,
  latency: 150,
  downloadThroughput: 1.6e6 / 8,
  uploadThroughput: 0.75e6 / 8,
};
const ROUNDS = 3;
const PLACES = ['Tune', 'Read', 'Log', 'Plan'];

/** @param {number[]} list */
const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

await withApp(async (browser, base) => {
  for (const [name, line] of /** @type {const} */ ([
    ['at a quarter of the speed', null],
    ['at a quarter of the speed, 1.6 Mbit/s and 150 ms', SLOW_LINE],
  ])) {
    /** @type {number[]} */
    const usable = [];
    /** @type {Record<string, number[]>} */
    const further = {};
    /** @type {number[]} */
    const work = [];
    for (let k = 0; k < ROUNDS; k++) {
      // A context of its own has nothing saved yet.
      const context = await browser.newContext({ ...SIZES.phone, serviceWorkers: 'block' });
      const page = await context.newPage();
      const devtools = await context.newCDPSession(page);
      await devtools.send('Emulation.setCPUThrottlingRate', { rate: THROTTLE });
      if (line) {
        await devtools.send('Network.enable');
        await devtools.send('Network.emulateNetworkConditions', line);
      }
      const begun = Date.now();
      await page.goto(`${base}/plan`, { waitUntil: 'commit' });
      await page.getByTestId('brief-depth').waitFor();
      usable.push(Date.now() - begun);
      if (!line) {
        await page.waitForTimeout(4000);
        for (const place of PLACES) {
          // Timed within the page: what drives it takes its own time.
          const ms = await page.evaluate(async (name) => {
            const link = [...document.querySelectorAll('a')].find((a) => a.textContent?.includes(name));
            const from = performance.now();
            link?.click();
            // The title follows when the screen has been put in place of the one before.
            while (!document.title.startsWith(name)) await new Promise(requestAnimationFrame);
            return performance.now() - from;
          }, place);
          (further[place] ??= []).push(Math.round(ms));
          await page.waitForTimeout(3000);
          if (place === 'Tune')
            work.push(
              await page.evaluate(() => {
                const mark = performance.getEntriesByName('picture-arrived').at(-1);
                return /** @type {PerformanceMark} */ (mark).detail.workMs;
              }),
            );
        }
      }
      await context.close();
    }
    console.log(`a first visit ${name}: usable after ${median(usable)} ms (of ${usable.join(', ')})`);
    if (work.length > 0) {
      // The browser slows its page, not its workers.
      const slow = THROTTLE * median(work);
      console.log(
        `  the bench's first picture: ${slow.toFixed(0)} ms in the worker, times ${THROTTLE} already`,
      );
    }
    for (const [place, ms] of Object.entries(further)) console.log(`  then ${place}: ${median(ms)} ms`);
  }
});
