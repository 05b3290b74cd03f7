/** Walks a day in Firefox: plan, bench, reading, log; says what it saw, and fails where a step does. FIREFOX names its program. */
import { spawn } from 'node:child_process';
import { launch } from 'puppeteer-core';

const server = spawn('node', ['build/server.mjs', '--port', '0'], { stdio: ['ignore', 'pipe', 'inherit'] });
/** @type {string} */
const base = await new Promise((resolve, reject) => {
  server.stdout.on('data', (chunk) => {
    const found = /https?:\/\/\S+?(?=\/\s)/.exec(String(chunk));
    if (found) resolve(found[0]);
  });
  server.on('exit', () => reject(new Error('the server stopped: run "npm run build" first')));
});
const browser = await launch({
  browser: 'firefox',
  executablePath: process.env.FIREFOX ?? '/usr/bin/firefox-esr',
  headless: true,
});
try {
  const page = await browser.newPage();
  await page.setViewport({ width: 390, height: 844 });
  /** @type {string[]} */
  const errors = [];
  page.on('pageerror', (error) => errors.push(String(error)));
  /** @param {string} id */
  const at = (id) => page.waitForSelector(`[data-testid="${id}"]`, { timeout: 60_000 });
  /** @param {string} id */
  const press = async (id) => {
    await at(id);
    await page.$eval(`[data-testid="${id}"]`, (node) => /** @type {HTMLElement} */ (node).click());
  };
  await page.goto(`${base}/plan?demo`);
  await at('miniature');
  console.log('plan: a fish is drawn');
  await press('take-to-bench');
  await page.waitForFunction(
    () => {
      const canvas = /** @type {HTMLCanvasElement | null} */ (
        document.querySelector('[data-testid="echo-picture"]')
      );
      const pixels = canvas?.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data;
      if (!pixels) return false;
      const colours = new Set(new Uint32Array(pixels.buffer));
      return colours.size > 20;
    },
    { timeout: 60_000 },
  );
  console.log('bench: the picture is drawn');
  await page.evaluate(() =>
    [...document.querySelectorAll('a')].find((a) => a.textContent?.includes('Read'))?.click(),
  );
  await at('finding-1');
  console.log('read: marks are found');
  await page.waitForFunction(
    () => !document.querySelector('[data-testid="open-keep"]')?.hasAttribute('disabled'),
    { timeout: 60_000 },
  );
  await press('open-keep');
  await (await at('call'))?.type('A day in Firefox');
  await press('keep');
  await page.waitForFunction(() => document.body.innerText.includes('Saved to the log.'), {
    timeout: 60_000,
  });
  await page.goto(`${base}/log`);
  await page.waitForFunction(() => document.body.innerText.includes('A day in Firefox'), {
    timeout: 60_000,
  });
  console.log('log: the entry is there after a reload');
  if (errors.length > 0) throw new Error(errors.join('\n'));
} finally {
  await browser.close();
  server.removeAllListeners('exit');
  server.kill('SIGTERM');
}
