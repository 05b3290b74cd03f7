import { expect, test } from '@playwright/test';
import { expectAccessible, expectStored, goTo, open } from './app';

test('units and light follow the user and stay', { tag: '@once' }, async ({ page }) => {
  await open(page, '/plan');
  await expect(page.getByTestId('setup-range')).toHaveText('0–17 m');
  await page.getByRole('button', { name: 'Units, light and help' }).click();
  await page.getByRole('radio', { name: 'Feet, mph, °F' }).click();
  await page.getByRole('radio', { name: 'Dusk' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByTestId('setup-range')).toHaveText('0–56 ft');
  await expectAccessible(page);
  await expectStored(page, 'preferences', /feet.*dusk/);
  await page.reload();
  await expect(page.getByTestId('setup-range')).toHaveText('0–56 ft');
  for (const place of ['Tune', 'Read', 'Log'] as const) {
    await goTo(page, place);
    await expect(page).toHaveURL(new RegExp(place.toLowerCase()));
  }
});

test.describe('in a land of feet', () => {
  test.use({ locale: 'en-US' });
  test('units are feet from the start @once', async ({ page }) => {
    await open(page, '/plan');
    await expect(page.getByTestId('setup-range')).toHaveText('0–56 ft');
  });
});

test.describe('in a land of commas', () => {
  test.use({ locale: 'sv-SE' });
  test('numbers are written with them', { tag: '@once' }, async ({ page }) => {
    await open(page, '/plan?demo');
    await expect(page.getByTestId('brief-presentation')).toContainText('5,4\u00a0km/h');
    await expect(page.getByTestId('setup-pingRate')).toHaveText('12,5\u00a0a second');
  });
});

test('a path that is none says so, and a missing file is a 404 @once', async ({ page, request }) => {
  await page.goto('/nowhere');
  await expect(page.getByText('There is no such page')).toBeVisible();
  await page.getByRole('button', { name: 'Go to Plan' }).click();
  await expect(page).toHaveURL(/plan/);
  expect((await request.get('/nothing.js')).status()).toBe(404);
});
