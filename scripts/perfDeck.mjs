/** Prints how Deck, its chart open, takes a boat's network that floods it with good lines and bad ones. */
import { createServer } from 'node:net';
import { SIZES, withApp } from './pages.mjs';

const SECONDS = 40;
const LINES_A_SECOND = 1000;
const EVERY_MS = 50;

/** @param {string} body */
const sentence = (body) => {
  let sum = 0;
  for (const letter of body) sum ^= letter.charCodeAt(0);
  return `$${body}*${sum.toString(16).toUpperCase().padStart(2, '0')}\r\n`;
};
/** @param {number} x @param {number} whole */
const degrees = (x, whole) =>
  `${String(Math.floor(x)).padStart(whole, '0')}${((x % 1) * 60).toFixed(4).padStart(7, '0')}`;

/** The n-th line of a boat going round, every seventh of it damaged one way or another. @param {number} n */
function line(n) {
  const s = n / LINES_A_SECOND;
  const lat = degrees(47.3 + 2e-4 * Math.sin(s / 20), 2);
  const lon = degrees(124.9 + 2e-4 * Math.cos(s / 20), 3);
  const good = [
    `GPRMC,060000,A,${lat},S,${lon},W,3.0,${((18 * s) % 360).toFixed(1)},020926,,`,
    `SDDPT,${(9 + Math.sin(s / 5)).toFixed(1)},0.3`,
    'WIMTW,17.2,C',
    `HCHDG,${((18 * s) % 360).toFixed(1)},,,,`,
    'IIXDR,U,12.5,V,BATT',
    `GPRMC,060000,A,${lat},S,${lon},W,3.0,${((18 * s) % 360).toFixed(1)},020926,,`,
  ];
  const kind = n % 7;
  if (kind < 6) return sentence(good[kind] ?? '');
  const bad = [
    sentence('SDDPT,9.0,0.3').replace('*', '*0'),
    '$GPRMC,060000,A,47',
    sentence('GPRMC,060000,A,6118.0000,N,00102.0000,E,900.0,0.0,020926,,'),
    `${'x'.repeat(4000)}\r\n`,
    sentence('SDDPT,31.2,0.3'),
  ];
  return bad[Math.floor(n / 7) % bad.length] ?? '';
}

const boat = createServer((socket) => {
  let n = 0;
  socket.on('error', () => undefined);
  const id = setInterval(() => {
    let text = '';
    for (let k = 0; k < (LINES_A_SECOND * EVERY_MS) / 1000; k++) text += line(n++);
    socket.write(text);
  }, EVERY_MS);
  socket.on('close', () => clearInterval(id));
});
await new Promise((done) => boat.listen(0, '127.0.0.1', () => done(undefined)));
const { port } = /** @type {import('node:net').AddressInfo} */ (boat.address());

await withApp(
  async (browser, base) => {
    const page = await browser.newPage({ ...SIZES.phone, locale: 'en-GB', serviceWorkers: 'block' });
    await page.goto(`${base}/deck`);
    await page.getByTestId('open-feed').click();
    await page.getByTestId('feed-gateway').click();
    await page.keyboard.press('Escape');
    await page.getByTestId('live-depthM').filter({ hasText: /\d/ }).waitFor();
    await page.getByTestId('mark').click();
    await page.getByTestId('mark-cover').click();
    await page.getByTestId('deck-map').first().click();
    await page.waitForTimeout(2000);
    await page.evaluate(() => {
      Object.assign(globalThis, { longTasks: [] });
      new PerformanceObserver((list) =>
        /** @type {any} */ (globalThis).longTasks.push(
          ...list.getEntries().map((e) => Math.round(e.duration)),
        ),
      ).observe({ type: 'longtask' });
    });
    await page.waitForTimeout(1000 * SECONDS);
    const long = /** @type {number[]} */ (
      await page.evaluate(() => /** @type {any} */ (globalThis).longTasks)
    );
    const depth = await page.getByTestId('live-depthM').textContent();
    console.log(
      `a flood of ${LINES_A_SECOND} lines a second for ${SECONDS} s, the chart open: ${long.length} tasks over 50 ms${long.length ? `, longest ${Math.max(...long)} ms` : ''}; depth shown at the end: ${depth}`,
    );
  },
  ['--feed', `tcp://127.0.0.1:${port}`],
);
boat.close();
