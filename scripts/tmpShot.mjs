import { SIZES, withApp } from './pages.mjs';
await withApp(async (browser, base) => {
  for (const size of ['phone', 'wide']) {
    const c = await browser.newContext({ ...SIZES[size], serviceWorkers: 'block', locale: 'en-GB' });
    const page = await c.newPage();
    await page.goto(`${base}/tune?demo`);
    await page.getByTestId('echo-picture').waitFor();
    await page.waitForTimeout(1500);
    await page.getByRole('link', { name: 'Read' }).click();
    await page.getByTestId(/^finding-\d+$/).first().waitFor();
    await page.waitForTimeout(2000);
    await page.screenshot({ path: `/tmp/r-${size}.png` });
    await page.getByTestId('also-seen').scrollIntoViewIfNeeded();
    await page.waitForTimeout(400);
    await page.screenshot({ path: `/tmp/r2-${size}.png` });
    console.log(await page.getByTestId('also-seen').innerText());
    await c.close();
  }
});
