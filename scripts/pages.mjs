/** What the scripts that drive the built app share: a server on a free port and a browser. */
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { ensureChromium, ensurePackages, run } from './tools.mjs';

export const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** The sizes every screen is looked at in. */
export const SIZES = {
  phone: { viewport: { width: 390, height: 844 }, deviceScaleFactor: 2, hasTouch: true },
  wide: { viewport: { width: 1280, height: 800 }, deviceScaleFactor: 1 },
};

/**
 * Serves the built app, opens a browser, runs `work`, and closes both.
 * @param {(browser: import('@playwright/test').Browser, base: string) => Promise<void>} work
 * @param {string[]} args more for the server
 */
export async function withApp(work, args = []) {
  ensurePackages();
  const executablePath = ensureChromium();
  if (!existsSync('build/server.mjs') && !run('node', ['scripts/build.mjs'])) process.exit(1);
  const server = spawn('node', ['build/server.mjs', '--port', '0', ...args], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  /** @type {string} */
  const base = await new Promise((resolve, reject) => {
    server.stdout.on('data', (chunk) => {
      const found = /https?:\/\/\S+?(?=\/\s)/.exec(String(chunk));
      if (found) resolve(found[0]);
    });
    server.on('exit', () => reject(new Error('the server stopped')));
  });
  const browser = await chromium.launch({ executablePath, args: FLAGS });
  try {
    await work(browser, base);
  } finally {
    await browser.close();
    server.removeAllListeners('exit');
    server.kill('SIGTERM');
  }
}
