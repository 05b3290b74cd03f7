/** Prints how Log opens and answers over 5,000 saved passes and 300 days as full as a day may be. */
import { SIZES, withApp } from './pages.mjs';

const ENTRIES = 5000;
const DAYS = 300;
/** Points of a track, the most a day keeps. */
const TRACK = 4000;

await withApp(async (browser, base) => {
  const context = await browser.newContext({ ...SIZES.phone, locale: 'en-GB', serviceWorkers: 'block' });
  await context.addInitScript(() => {
    Object.assign(globalThis, { longTasks: [] });
    new PerformanceObserver((list) =>
      /** @type {any} */ (globalThis).longTasks.push(...list.getEntries().map((e) => e.duration)),
    ).observe({ type: 'longtask', buffered: true });
  });
  const page = await context.newPage();
  await page.goto(`${base}/log?demo`);
  await page.getByTestId('log-answers').waitFor();
  await page.waitForTimeout(1500);
  // The demo's own days and passes over and over, laid down as the app keeps them.
  await page.goto('about:blank');
  await page.goto(`${base}/no-such-file.txt`).catch(() => undefined);
  await page.evaluate(
    ({ ENTRIES, DAYS, TRACK }) =>
      new Promise((resolve, reject) => {
        const opening = indexedDB.open('nimble-echo');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const db = opening.result;
          const read = db.transaction('entries').objectStore('entries').getAll();
          const names = db.transaction('entries').objectStore('entries').getAllKeys();
          names.onsuccess = () => {
            const all = names.result.map((key, k) => ({ key: String(key), text: String(read.result[k]) }));
            /** @param {string} collection */
            const of = (collection) =>
              all.filter(({ key }) => key.startsWith(`${collection}/`)).map(({ text }) => JSON.parse(text));
            const tx = db.transaction('entries', 'readwrite');
            const store = tx.objectStore('entries');
            for (const { key } of all) if (/^(log|days)\//.test(key)) store.delete(key);
            const [days, passes] = [of('days'), of('log')];
            for (let k = 0; k < DAYS; k++) {
              const kept = days[k % days.length];
              const startMs = Date.parse(kept.data.startedAt) - 86400e3 * k;
              const startedAt = new Date(startMs).toISOString();
              const track = Array.from({ length: TRACK }, (_, i) => ({
                ...kept.data.track[i % kept.data.track.length],
                at: new Date(startMs + 10e3 * i).toISOString(),
              }));
              const data = { ...kept.data, id: `d${k}`, startedAt, track, simulated: false };
              store.put(JSON.stringify({ ...kept, data }), `days/d${k}`);
            }
            for (let k = 0; k < ENTRIES; k++) {
              const kept = passes[k % passes.length];
              store.put(JSON.stringify({ ...kept, data: { ...kept.data, id: `e${k}` } }), `log/e${k}`);
            }
            tx.oncomplete = () => {
              db.close();
              resolve(undefined);
            };
            tx.onerror = () => reject(tx.error);
          };
        };
      }),
    { ENTRIES, DAYS, TRACK },
  );
  /** @param {string} what @param {() => Promise<unknown>} act */
  const timed = async (what, act) => {
    await page.evaluate(() => Object.assign(globalThis, { longTasks: [] }));
    const begun = Date.now();
    await act();
    const tookMs = Date.now() - begun;
    await page.waitForTimeout(500);
    const tasks = /** @type {number[]} */ (
      await page.evaluate(() => /** @type {any} */ (globalThis).longTasks)
    );
    console.log(
      `  ${what}: ${tookMs} ms; tasks of the page over 50 ms: ${tasks.length}${tasks.length ? `, longest ${Math.max(...tasks).toFixed(0)} ms` : ''}`,
    );
  };
  console.log(`Log over ${ENTRIES} passes and ${DAYS} days of ${TRACK} points:`);
  await page.goto(`${base}/log`);
  await page.getByRole('navigation', { name: 'Places' }).waitFor();
  await page.getByText('Log', { exact: true }).first().waitFor();
  // The start of the app itself is the same with nothing kept.
  await page.waitForTimeout(500);
  await timed('kept things taken in, answers there', () =>
    page.getByTestId('log-answers').waitFor({ timeout: 120_000 }),
  );
  await page.waitForTimeout(3000);
  for (const name of ['Hour', 'Lure', 'Temperature', 'Depth'])
    await timed(`bites by ${name.toLowerCase()}`, async () => {
      await page.getByRole('radio', { name, exact: true }).click();
      await page.getByRole('table', { name: `Bites by ${name.toLowerCase()}` }).waitFor();
    });
  await timed('scrolled to its end', async () => {
    for (let k = 0; k < 20; k++) await page.mouse.wheel(0, 1200);
    await page.waitForTimeout(1000);
  });
});
