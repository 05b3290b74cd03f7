import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, expect, test, type Browser } from '@playwright/test';
import { importLog, storedTexts } from '../app';
import { entriesOf, logFileOf } from './kept';

/** Starts the browser as a process of its own, on a profile that stays. */
async function start(profile: string, executable: string, flags: readonly string[]) {
  const process = spawn(executable, [
    ...flags,
    '--headless',
    '--remote-debugging-port=0',
    `--user-data-dir=${profile}`,
    'about:blank',
  ]);
  const address = await new Promise<string>((resolve, reject) => {
    process.stderr.on('data', (chunk) => {
      const found = /DevTools listening on (ws:\S+)/.exec(String(chunk));
      if (found) resolve(found[1]!);
    });
    process.on('exit', () => reject(new Error('the browser stopped')));
  });
  return { process, browser: await chromium.connectOverCDP(address) };
}

const kill = async (process: ChildProcess, browser: Browser): Promise<void> => {
  const gone = new Promise((done) => process.once('exit', done));
  process.kill('SIGKILL');
  await gone;
  await browser.close().catch(() => undefined);
};

test(
  'a browser killed in the middle of writing loses nothing that was kept before',
  { tag: '@once' },
  async ({ baseURL, launchOptions }) => {
    const folder = mkdtempSync(path.join(tmpdir(), 'nimble-killed-'));
    const profile = path.join(folder, 'profile');
    const flags = launchOptions.args ?? [];
    const executable = launchOptions.executablePath!;
    let kept = 0;
    // Later and later into an import, so that the kill meets every stage of it.
    for (const [round, waitMs] of [20, 400].entries()) {
      const { process, browser } = await start(profile, executable, flags);
      const page = await browser.contexts()[0]!.newPage();
      await page.goto(`${baseURL}/log`);
      await page.getByTestId('import-json').waitFor();
      const before = Object.keys(await storedTexts(page)).filter((key) => key.startsWith('log/'));
      expect(before.length).toBeGreaterThanOrEqual(kept);
      await importLog(page, logFileOf(folder, `first-${round}`, entriesOf(`first-${round}`, 10)));
      await page.getByText('Imported 10 entries.').waitFor();
      kept = before.length + 10;
      await importLog(page, logFileOf(folder, `more-${round}`, entriesOf(`more-${round}`, 500)));
      await new Promise((done) => setTimeout(done, waitMs));
      await kill(process, browser);
    }
    const { process, browser } = await start(profile, executable, flags);
    const page = await browser.contexts()[0]!.newPage();
    await page.goto(`${baseURL}/log`);
    await page.getByTestId('log-entry').first().waitFor();
    const texts = await storedTexts(page);
    const ids = Object.keys(texts).filter((key) => key.startsWith('log/'));
    expect(ids.length).toBeGreaterThanOrEqual(kept);
    for (let round = 0; round < 2; round++)
      for (let k = 1; k <= 10; k++) expect(ids).toContain(`log/first-${round}-${k}`);
    // No text is half written.
    for (const id of ids) expect(() => JSON.parse(texts[id]!) as unknown).not.toThrow();
    await expect(page.getByText(/could not be opened/)).toHaveCount(0);
    await kill(process, browser);
  },
);
