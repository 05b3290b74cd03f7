/** Takes the current picture of each main view, phone and wide, from the demo data. */
import { Buffer } from 'node:buffer';
import { mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { SIZES, withApp } from './pages.mjs';
import { run } from './tools.mjs';

const OUT = 'docs/screenshots';
mkdirSync(OUT, { recursive: true });
if (!run('node', ['scripts/build.mjs'])) process.exit(1);

/**
 * An hour's recording, a good way into it.
 * @param {import('@playwright/test').Page} page
 */
async function openLong(page) {
  const file = join(mkdtempSync(join(tmpdir(), 'nimble-hour-')), 'vessmere.nc');
  run('npx', ['tsx', 'scripts/writeLongRecording.ts', file]);
  await page.getByRole('button', { name: 'Recordings and pictures' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByTestId('choose-recording').click(),
  ]);
  await chooser.setFiles(file);
  await page.getByTestId('read-share').waitFor({ timeout: 60_000 });
  await page.getByTestId('read-share').waitFor({ state: 'detached', timeout: 120_000 });
  await page
    .getByTestId(/^finding-\d+$/)
    .first()
    .click();
}

/**
 * The bench's water cut open.
 * @param {import('@playwright/test').Page} page
 */
async function benchShots(page) {
  /** @param {string} name */
  const shot = async (name) => {
    await page.waitForTimeout(1500);
    await page.screenshot({ path: `${OUT}/${name}-phone.png` });
  };
  /** @param {string} name */
  const dial = (name) =>
    page.getByRole('radiogroup', { name: 'Dial', exact: true }).getByRole('radio', { name }).click();
  await dial('Gain');
  await page.getByTestId('turn-cutaway').click();
  await page.getByTestId('cutaway').locator('svg').first().waitFor();
  const box = await page.getByTestId('picture-touch').boundingBox();
  if (box)
    await page
      .getByTestId('picture-touch')
      .click({ position: { x: 0.235 * box.width, y: 0.41 * box.height } });
  await shot('bench-cutaway');
  await page.getByTestId('turn-cutaway').click();
}

/**
 * A picture of a screen being calibrated: the bench's own, put on a unit of no maker.
 * @param {import('@playwright/test').Page} page @param {string} base
 */
async function ownScreenShot(page, base) {
  const url = await page.evaluate(() => {
    const picture = /** @type {HTMLCanvasElement} */ (document.querySelector('[data-testid="echo-picture"]'));
    const out = document.createElement('canvas');
    out.width = picture.width + 140;
    out.height = picture.height + 60;
    const g = /** @type {CanvasRenderingContext2D} */ (out.getContext('2d'));
    g.fillStyle = '#353a40';
    g.fillRect(0, 0, out.width, out.height);
    g.drawImage(picture, 20, 40);
    const bar = [
      .../** @type {Element} */ (document.querySelector('[aria-label^="Colours run"]')).querySelectorAll(
        'div',
      ),
    ];
    const colours = bar.map((d) => getComputedStyle(d).backgroundColor).filter((c) => c.startsWith('rgb('));
    colours.forEach((colour, i) => {
      g.fillStyle = colour;
      const tall = 300 / colours.length;
      g.fillRect(picture.width + 80, 340 - Math.ceil((i + 1) * tall), 16, Math.ceil(tall) + 1);
    });
    return out.toDataURL('image/png');
  });
  await page.goto(`${base}/screen?demo`);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByTestId('choose-picture').click(),
  ]);
  await chooser.setFiles({
    name: 'own.png',
    mimeType: 'image/png',
    buffer: Buffer.from(url.split(',')[1] ?? '', 'base64'),
  });
  const touch = page.getByTestId('own-picture-touch');
  const box = await touch.boundingBox();
  if (!box) throw new Error('no picture');
  for (const [x, y] of [
    [0.026, 0.075],
    [0.845, 0.96],
    [0.85, 0.075],
    [0.85, 0.96],
    [0.94, 0.61],
  ])
    await touch.click({ position: { x: (x ?? 0) * box.width, y: (y ?? 0) * box.height } });
  await page.waitForTimeout(300);
  await page.screenshot({ path: `${OUT}/screen-phone.png` });
}

/**
 * A drill before and after its answer: the same round each time.
 * @param {import('@playwright/test').Page} page @param {string} base @param {string} size
 */
async function trainShots(page, base, size) {
  await page.clock.install({ time: new Date('2026-11-27T19:00:00Z') });
  await page.goto(`${base}/train`);
  await page.getByTestId('drill-cover').click();
  await page.getByTestId('round-picture').waitFor();
  await page.waitForTimeout(800);
  if (size === 'phone') await page.screenshot({ path: `${OUT}/train-phone.png` });
  await page.getByTestId('option-0').click();
  await page.getByTestId('sure-1').click();
  await page.getByTestId('truth').waitFor();
  await page.waitForTimeout(500);
  await page.screenshot({ path: `${OUT}/${size === 'phone' ? 'train-truth-phone' : 'train-wide'}.png` });
}

/** Small copies of some pictures, for the guide in the app. */
async function guidePictures() {
  mkdirSync('public/guide', { recursive: true });
  const of = { plan: 'plan-phone', deck: 'deck-phone', read: 'read-phone', train: 'train-truth-phone' };
  for (const [name, file] of Object.entries(of))
    await sharp(`${OUT}/${file}.png`)
      .resize({ width: 390 })
      .png({ palette: true, colours: 64 })
      .toFile(`public/guide/${name}.png`);
}

/**
 * Deck with the simulated boat: the setup in use, the way back at night; the chart where there is room.
 * @param {import('@playwright/test').Page} page @param {string} base @param {string} size
 */
async function deckShots(page, base, size) {
  await page.goto(`${base}/deck?demo`);
  await page.getByTestId('open-feed').click();
  await page.getByTestId('feed-simulated').click();
  await page.getByTestId('live-depthM').waitFor();
  if (size === 'phone') {
    await page.waitForTimeout(7000);
    await page.screenshot({ path: `${OUT}/deck-phone.png` });
  }
  await page.getByTestId('mark').click();
  await page.getByTestId('mark-fish').click();
  await page.waitForTimeout(size === 'phone' ? 11_000 : 100_000);
  await page
    .getByTestId(size === 'phone' ? 'deck-find' : 'deck-map')
    .first()
    .click();
  if (size === 'wide') {
    await page.getByTestId('mute').click();
    await page.screenshot({ path: `${OUT}/deck-map-wide.png` });
    return;
  }
  const light = page.getByRole('radiogroup', { name: 'Light' });
  const turn = async (/** @type {RegExp} */ name) => {
    await page.getByRole('button', { name: 'Units, light and help' }).click();
    await light.getByRole('radio', { name }).click();
    await page.keyboard.press('Escape');
  };
  await turn(/Night/);
  await page.screenshot({ path: `${OUT}/deck-find-phone.png` });
  await turn(/Day/);
  // The choice is kept a moment after it is made.
  await page.waitForTimeout(1500);
}

/**
 * Three screens of a phone side by side: what bites share, the chart of that morning, and a guest's phone.
 * @param {import('@playwright/test').Browser} browser @param {string} base
 */
async function spotShots(browser, base) {
  const options = { ...SIZES.phone, locale: 'en-GB' };
  const [page, guest] = [await browser.newPage(options), await browser.newPage(options)];
  await page.goto(`${base}/deck?demo`);
  await page.getByTestId('deck-spot').click();
  await page.getByTestId('bite-pattern').waitFor();
  const spot = await page.screenshot();
  await page.getByTestId('open-call-out').click();
  await guest.goto(`${base}/call-out`);
  await guest.getByTestId('call-out-waits').filter({ hasText: 'Keep this open' }).waitFor();
  await page.getByTestId('call-out').click();
  await guest.getByTestId('sink-count').waitFor();
  const called = await guest.screenshot();
  await page.getByTestId('deck-map').first().click();
  await page.waitForTimeout(500);
  await page.getByTestId('deck-map').last().scrollIntoViewIfNeeded();
  const chart = await page.screenshot();
  const shots = [spot, chart, called];
  const { width = 0, height = 0 } = await sharp(spot).metadata();
  await sharp({ create: { width: width * shots.length, height, channels: 3, background: 'white' } })
    .composite(shots.map((input, k) => ({ input, left: k * width, top: 0 })))
    .png({ palette: true, colours: 128 })
    .toFile(`${OUT}/deck-spot-phone.png`);
  await page.close();
  await guest.close();
}

await withApp(
  async (browser, base) => {
    for (const [size, options] of Object.entries(SIZES)) {
      const page = await browser.newPage({ ...options, locale: 'en-GB' });
      await page.goto(`${base}/plan?demo`);
      await page.getByTestId('miniature').waitFor();
      await page.waitForTimeout(300);
      await page.screenshot({ path: `${OUT}/plan-${size}.png` });
      await deckShots(page, base, size);
      await page.goto(`${base}/plan?demo`);
      await page.getByTestId('take-to-bench').click();
      await page.getByTestId('echo-picture').waitFor();
      await page.waitForTimeout(1500);
      await page.getByText('Looking for the next move…').waitFor({ state: 'hidden' });
      await page.screenshot({ path: `${OUT}/tune-${size}.png` });
      if (size === 'phone') await benchShots(page);
      await page.getByRole('link', { name: 'Read' }).click();
      if (size === 'wide') await openLong(page);
      else await page.getByTestId('finding-2').click();
      await page.waitForTimeout(1500);
      await page.screenshot({ path: `${OUT}/read-${size}.png` });
      if (size === 'phone') {
        await page.getByTestId('crossing-sketch').scrollIntoViewIfNeeded();
        await page.screenshot({ path: `${OUT}/read-why-phone.png` });
        await ownScreenShot(page, base);
        await page.goto(`${base}/log?demo`);
      }
      await page.getByRole('link', { name: 'Log' }).click();
      await page.getByTestId('log-answers').waitFor();
      if (size === 'wide') await page.getByTestId('log-answers').evaluate((node) => node.scrollIntoView());
      else await page.getByTestId('evening').evaluate((node) => node.scrollIntoView());
      await page.waitForTimeout(600);
      await page.screenshot({ path: `${OUT}/log-${size}.png` });
      if (size === 'phone') {
        await page.getByRole('link', { name: 'Boat' }).click();
        await page.getByTestId('boat-card-depth').waitFor();
        await page.screenshot({ path: `${OUT}/boat-${size}.png` });
      }
      await page.close();
      const fresh = await browser.newPage({ ...options, locale: 'en-GB' });
      await trainShots(fresh, base, size);
      await fresh.close();
    }
    await spotShots(browser, base);
  },
  ['--call-out'],
);
await guidePictures();
