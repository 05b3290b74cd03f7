/** Takes the current picture of each main view, phone and wide, from the demo data. */
import { mkdirSync } from 'node:fs';
import { SIZES, withApp } from './pages.mjs';
import { run } from './tools.mjs';

const OUT = 'docs/screenshots';
mkdirSync(OUT, { recursive: true });
if (!run('node', ['scripts/build.mjs'])) process.exit(1);

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
