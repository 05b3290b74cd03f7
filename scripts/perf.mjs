/** Prints how fast the core is, how fast the built app loads, answers and runs live in headless Chromium, and how long a large log takes. */
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { withApp, SIZES } from './pages.mjs';
import { runBundled } from './runBundled.mjs';
import { ensurePackages } from './tools.mjs';

ensurePackages();
for (const part of ['perfCore', 'perfReader', 'perfSight', 'perfTuning', 'perfLog'])
  runBundled(`scripts/${part}.ts`);

await import('./perfLoad.mjs');
await import('./perfBench.mjs');
await import('./perfHour.mjs');
await import('./perfDeck.mjs');
await import('./perfDays.mjs');

const folder = mkdtempSync(join(tmpdir(), 'nimble-perf-'));
const ENTRIES = 10_000;

await withApp(async (browser, base) => {
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
