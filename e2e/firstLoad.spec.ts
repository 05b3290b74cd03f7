import { readFileSync, statSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { goTo, open } from './app';

/** Most that is loaded before a first visit is usable, bytes as sent with gzip; what a worker fetches comes after. */
const MOST_SCRIPT = 500_000;
const MOST_FONTS = 150_000;

test('a first visit loads little before it can be used', { tag: '@once' }, async ({ page }) => {
  // When the plan first stands, by the page's own clock: what is loaded later is not in its way.
  await page.addInitScript(() => {
    new MutationObserver((_changes, observer) => {
      if (!document.querySelector('[data-testid="brief-depth"]')) return;
      observer.disconnect();
      Object.assign(window, { usableMs: performance.now() });
    }).observe(document, { childList: true, subtree: true });
  });
  await open(page, '/plan');
  await expect(page.getByTestId('brief-depth')).toBeVisible();
  const asked = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter((e) => e.startTime <= (window as unknown as { usableMs: number }).usableMs)
      .map((e) => ({ by: e.initiatorType, file: `dist${new URL(e.name).pathname}` })),
  );
  const bytes = (of: RegExp, packed: string): number =>
    asked
      .filter(({ file }) => of.test(file))
      .reduce((sum, { file }) => sum + statSync(file + packed).size, 0);
  const script = asked
    .filter(({ by }) => by === 'script')
    .reduce((sum, { file }) => sum + statSync(`${file}.gz`).size, 0);
  // The app is there, and it is the real one.
  expect(script).toBeGreaterThan(400_000);
  expect(script).toBeLessThanOrEqual(MOST_SCRIPT);
  expect(bytes(/\.woff2$/, '')).toBeLessThanOrEqual(MOST_FONTS);
  // Charts, recordings and XML are left until they are wanted.
  expect(asked.filter(({ file }) => /recording|exchange/.test(file))).toEqual([]);
  // A property only the library of charts knows.
  const charts = asked.filter(
    ({ by, file }) => by === 'script' && readFileSync(file, 'utf8').includes('noOfSectionsBelowXAxis'),
  );
  expect(charts).toEqual([]);
});

test(
  'each place has a title, takes the focus at its beginning, and can be skipped to by keys',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/plan?demo');
    await expect(page).toHaveTitle('Plan – Nimble Echo');
    await page.keyboard.press('Tab');
    const skip = page.getByRole('link', { name: 'Skip to the page' });
    await expect(skip).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.locator('#main')).toBeFocused();
    expect(new URL(page.url()).pathname).toBe('/plan');
    await goTo(page, 'Log');
    await expect(page).toHaveTitle('Log – Nimble Echo');
    await expect(page.locator('#main')).toBeFocused();
    await page.goBack();
    await expect(page).toHaveTitle('Plan – Nimble Echo');
    await expect(page.locator('#main')).toBeFocused();
  },
);
