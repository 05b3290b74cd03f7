/** Takes the current picture of each main view, phone and wide, from the demo data. */
import { mkdirSync } from 'node:fs';
import { SIZES, withApp } from './pages.mjs';
import { run } from './tools.mjs';

const OUT = 'docs/screenshots';
mkdirSync(OUT, { recursive: true });
if (!run('node', ['scripts/build.mjs'])) process.exit(1);

/**
 * The bench's own views: two pictures, a comparison, the cutaway, a complaint, night.
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
  await dial('Frequency');
  await page.getByRole('radio', { name: 'Pictures' }).click();
  await page.getByRole('radio', { name: 'Two', exact: true }).click();
  await page.getByTestId('echo-picture-second').waitFor();
  await page.getByRole('radio', { name: 'Power' }).click();
  await shot('bench-two');
  await page.getByRole('radio', { name: 'Pictures' }).click();
  await page.getByRole('radio', { name: 'One', exact: true }).click();
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
  await page.getByRole('button', { name: 'What is wrong with the picture' }).click();
  await page.getByTestId('symptom-second-bed').click();
  await page.getByTestId('symptom-picture').first().waitFor();
  await shot('bench-complaint');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Choose the water' }).click();
  await page.getByRole('radio', { name: 'Traps' }).click();
  await page.getByTestId('trap-filter-eats-fish').click();
  await page.getByTestId('lesson').waitFor();
  await page.getByRole('radio', { name: 'Wipe' }).click();
  await page.getByTestId('wipe').waitFor();
  await shot('bench-compare');
  await page.getByTestId('keep-shown').click();
  await page.getByRole('link', { name: 'Plan' }).click();
  await page.getByTestId('take-to-bench').click();
  await page.getByTestId('echo-picture').waitFor();
  await page.getByRole('button', { name: 'Units, light and help' }).click();
  const light = page.getByRole('radiogroup', { name: 'Light' });
  await light.getByRole('radio', { name: /Night/ }).click();
  await page.keyboard.press('Escape');
  await shot('bench-night');
  await page.getByRole('button', { name: 'Units, light and help' }).click();
  await light.getByRole('radio', { name: /Day/ }).click();
  await page.keyboard.press('Escape');
}

await withApp(async (browser, base) => {
  for (const [size, options] of Object.entries(SIZES)) {
    const page = await browser.newPage({ ...options, locale: 'en-GB' });
    await page.goto(`${base}/plan?demo`);
    await page.getByTestId('miniature').waitFor();
    await page.waitForTimeout(300);
    await page.screenshot({ path: `${OUT}/plan-${size}.png` });
    if (size === 'phone') {
      await page.goto(`${base}/deck?demo`);
      await page.getByTestId('deck-line').first().waitFor();
      await page.screenshot({ path: `${OUT}/deck-${size}.png` });
    } else {
      await page.goto(`${base}/sheet?demo`);
      await page.getByTestId('paper').waitFor();
      await page.screenshot({ path: `${OUT}/sheet-${size}.png` });
    }
    await page.goto(`${base}/plan?demo`);
    await page.getByTestId('take-to-bench').click();
    await page.getByTestId('echo-picture').waitFor();
    await page.waitForTimeout(1500);
    await page.screenshot({ path: `${OUT}/tune-${size}.png` });
    if (size === 'phone') await benchShots(page);
    await page.getByRole('link', { name: 'Read' }).click();
    await page.getByTestId('finding-2').click();
    await page.waitForTimeout(1500);
    await page.screenshot({ path: `${OUT}/read-${size}.png` });
    await page.getByRole('link', { name: 'Log' }).click();
    await page.getByText('Zander under the layer').click();
    await page.screenshot({ path: `${OUT}/log-${size}.png` });
    await page.getByRole('link', { name: 'Boat' }).click();
    await page.getByTestId('boat-card-depth').waitFor();
    await page.screenshot({ path: `${OUT}/boat-${size}.png` });
    await page.close();
  }
});
