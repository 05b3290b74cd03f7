/** How long frames are counted, ms. */
export const LIVE_MS = 4000;

/** Frames, and tasks over 50 ms, of a page over a while. @param {import('@playwright/test').Page} page */
export const framesOf = (page) =>
  page.evaluate(
    (lastsMs) =>
      new Promise((resolve) => {
        let frames = 0;
        let long = 0;
        new PerformanceObserver((list) => (long += list.getEntries().length)).observe({
          entryTypes: ['longtask'],
        });
        const begun = performance.now();
        const frame = () => {
          frames++;
          if (performance.now() - begun < lastsMs) requestAnimationFrame(frame);
          else resolve({ frames, long });
        };
        requestAnimationFrame(frame);
      }),
    LIVE_MS,
  );
