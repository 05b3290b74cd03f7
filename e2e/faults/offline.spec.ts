import { readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { goTo, importLog, watchErrors } from '../app';
import { entriesOf, logFileOf } from './kept';
import { builtFiles, otherVersion, serve, type OwnServer } from './ownServer';

const SCREENS = [
  '/plan',
  '/tune',
  '/read',
  '/log',
  '/boat',
  '/boat?page=level',
  '/deck',
  '/sheet',
  '/eyes',
  '/train',
  '/guide',
  '/screen',
  '/nowhere',
];

const buildOf = (page: Page): Promise<string | null> =>
  page.locator('meta[name="build"]').getAttribute('content');

/** Opens the menu and waits until it says that the app is on the device. */
async function saved(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Units, light and help' }).click();
  await expect(page.getByTestId('offline-state')).toContainText('All of it works with no signal');
  await page.getByRole('button', { name: 'Close', exact: true }).click();
}

/** Puts another version in a server's place, at its address. */
async function redeploy(server: OwnServer): Promise<OwnServer> {
  await server.stop();
  return serve(otherVersion(), Number(new URL(server.base).port));
}

/** The page is looked at again, as after a phone was in a pocket. */
const lookAgain = (page: Page): Promise<void> =>
  page.evaluate(() => {
    document.dispatchEvent(new Event('visibilitychange'));
  });

test.describe('saved on the device', () => {
  test.use({ serviceWorkers: 'allow' });

  test(
    'with the server gone every screen opens, a pass is simulated and read, saved and exported',
    { tag: '@once' },
    async ({ page, context }) => {
      const server = await serve('dist');
      await page.goto(`${server.base}/plan`);
      await saved(page);
      await server.stop();
      // On this very visit too, pieces not asked for yet are there: screens are loaded when they are opened.
      const chart = builtFiles('dist').find((file) => /TrainScreen-\w+\.js$/.test(file))!;
      expect(
        await page.evaluate(async (url) => (await fetch(url)).status, `/${path.relative('dist', chart)}`),
      ).toBe(200);
      await page.close();
      const later = await context.newPage();
      // Nothing may come out of the browser's own cache.
      const devtools = await context.newCDPSession(later);
      await devtools.send('Network.clearBrowserCache');
      const errors = watchErrors(later);
      for (const screen of SCREENS) {
        await later.goto(server.base + screen);
        await expect(later.getByRole('heading').first()).toBeVisible();
      }
      // Every file of the app, workers and fonts too, is on the device.
      const files = builtFiles('dist')
        .filter((file) => !/\.(br|gz)$|sw\.js$|version\.json$|LICENSE\.txt$/.test(file))
        .map((file) => `/${path.relative('dist', file)}`);
      const missing = await later.evaluate(async (urls) => {
        const out: string[] = [];
        for (const url of urls) if (!(await fetch(url).catch(() => null))?.ok) out.push(url);
        return out;
      }, files);
      expect(missing).toEqual([]);
      expect(
        await later.evaluate(async () => (await document.fonts.load('16px AtkinsonHyperlegible')).length),
      ).toBe(1);
      await later.goto(`${server.base}/read`);
      await later.getByTestId('open-keep').click();
      await later.getByTestId('call').fill('No signal');
      await later.getByTestId('keep').click();
      await expect(later.getByText('Saved to the log.')).toBeVisible();
      await goTo(later, 'Log');
      const [file] = await Promise.all([
        later.waitForEvent('download'),
        later.getByTestId('export-json').click(),
      ]);
      expect(readFileSync(await file.path(), 'utf8')).toContain('No signal');
      expect(errors.filter((error) => !/version\.json|sw\.js|ERR_CONNECTION_REFUSED/.test(error))).toEqual(
        [],
      );
    },
  );

  test(
    'a new version is offered, never mixed with the old one, and taken when asked',
    { tag: '@once' },
    async ({ page }, info) => {
      const server = await serve('dist');
      await page.goto(`${server.base}/plan`);
      await saved(page);
      await page.reload();
      await page.getByTestId('brief-depth').waitFor();
      const before = await buildOf(page);
      const next = await redeploy(server);
      try {
        await lookAgain(page);
        await expect(page.getByTestId('update-banner')).toContainText('A new version of the app is ready');
        // Until it is taken, pieces not yet opened are still the old version's, which the server no longer has.
        const asked: string[] = [];
        page.on('request', (request) => asked.push(request.url()));
        await goTo(page, 'Log');
        await importLog(page, logFileOf(info.outputPath(), 'before', entriesOf('before', 3)));
        await expect(page.getByText('Imported 3 entries.')).toBeVisible();
        const old = new Set(builtFiles('dist').map((file) => path.basename(file)));
        for (const url of asked.filter((u) => /-[0-9a-f]{32}\.js$/.test(u)))
          expect(old).toContain(path.basename(url));
        expect(await buildOf(page)).toBe(before);
        await page.getByTestId('take-update').click();
        await expect.poll(() => buildOf(page).catch(() => null)).toBe([...before!].reverse().join(''));
        await expect(page.getByTestId('log-entry')).toHaveCount(3);
        await expect(page.getByTestId('update-banner')).toHaveCount(0);
      } finally {
        await next.stop();
      }
    },
  );
});

test(
  'where nothing is saved on the device, a new version is said, and a piece that is gone too',
  { tag: '@once' },
  async ({ page }) => {
    const server = await serve('dist');
    // The log's piece is not loaded while the page is idle: it is gone when it is wanted.
    const piece = builtFiles('dist').find((file) => /LogScreens-\w+\.js$/.test(file))!;
    await page.route(`**/${path.basename(piece)}`, (route) => route.abort());
    await page.goto(`${server.base}/plan`);
    await page.getByTestId('brief-depth').waitFor();
    const before = await buildOf(page);
    const next = await redeploy(server);
    try {
      await lookAgain(page);
      await expect(page.getByTestId('update-banner')).toContainText('There is a new version of the app');
      await page.getByRole('button', { name: 'Later' }).click();
      await goTo(page, 'Log');
      await expect(page.getByText('This page could not be loaded')).toBeVisible();
      await page.getByTestId('reload').click();
      await expect(page.getByTestId('import-json')).toBeVisible();
      expect(await buildOf(page)).not.toBe(before);
    } finally {
      await next.stop();
    }
  },
);

test('a worker that cannot start is said, with a way to try again', { tag: '@once' }, async ({ page }) => {
  let broken = true;
  await page.route('**/bench-*.js', (route) => (broken ? route.abort() : route.continue()));
  await page.goto('/tune');
  const again = page.getByRole('button', { name: /again/i }).first();
  await expect(again).toBeVisible();
  broken = false;
  await again.click();
  await expect(page.getByTestId('echo-picture')).toBeVisible();
});

test('a worker that does not answer is said, and can be stopped', { tag: '@once' }, async ({ page }) => {
  let mute = true;
  await page.route('**/bench-*.js', (route) =>
    mute
      ? route.fulfill({ contentType: 'text/javascript', body: 'self.onmessage = () => {};' })
      : route.continue(),
  );
  await page.goto('/tune');
  await expect(page.getByText('No answer for 2 seconds')).toBeVisible();
  mute = false;
  await page.getByRole('button', { name: 'Stop' }).first().click();
  await page.getByRole('button', { name: /again/i }).first().click();
  await expect(page.getByTestId('echo-picture')).toBeVisible();
});
