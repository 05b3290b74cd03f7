import { expect, test } from '@playwright/test';
import { expectAccessible, goTo, open } from './app';

test('units and light follow the user and stay', async ({ page }) => {
  await open(page, '/plan');
  await expect(page.getByTestId('setup-range')).toHaveText('0–17 m');
  await page.getByRole('button', { name: 'Units, light and help' }).click();
  await page.getByRole('radio', { name: 'Feet, mph, °F' }).click();
  await page.getByRole('radio', { name: 'Dusk' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByTestId('setup-range')).toHaveText('0–56 ft');
  await expectAccessible(page);
  await page.waitForTimeout(800);
  await page.reload();
  await expect(page.getByTestId('setup-range')).toHaveText('0–56 ft');
  for (const place of ['Tune', 'Read', 'Log'] as const) {
    await goTo(page, place);
    await expect(page).toHaveURL(new RegExp(place.toLowerCase()));
    await expectAccessible(page);
  }
});

test.describe('in a land of feet', () => {
  test.use({ locale: 'en-US' });
  test('units are feet from the start', async ({ page }) => {
    await open(page, '/plan');
    await expect(page.getByTestId('setup-range')).toHaveText('0–56 ft');
  });
});

test('damaged storage is set aside and said, not wiped', async ({ page }) => {
  await open(page, '/log?demo');
  await expect(page.getByText('Zander under the layer')).toBeVisible();
  await page.waitForTimeout(800);
  // Damage what is kept, as a half-finished write would.
  const keys = await page.evaluate(async () => {
    const names = (await indexedDB.databases()).map((d) => d.name!);
    const found: string[] = [];
    for (const name of names)
      await new Promise<void>((done) => {
        const opening = indexedDB.open(name);
        opening.onsuccess = () => {
          const db = opening.result;
          const stores = [...db.objectStoreNames];
          if (stores.length === 0) return done();
          const tx = db.transaction(stores, 'readwrite');
          for (const store of stores) {
            const cursor = tx.objectStore(store).openCursor();
            cursor.onsuccess = () => {
              const at = cursor.result;
              if (!at) return;
              found.push(String(at.key));
              if (String(at.key).endsWith('log')) {
                const text = JSON.stringify(at.value).includes('Zander') ? at.value : null;
                if (typeof text === 'string') at.update(text.slice(0, 40));
                else if (text) at.update({ ...text, value: String(text.value).slice(0, 40) });
              }
              at.continue();
            };
          }
          tx.oncomplete = () => {
            db.close();
            done();
          };
        };
        opening.onerror = () => done();
      });
    return found;
  });
  expect(keys).toContain('log');
  await page.goto('/log');
  await expect(page.getByText(/damaged.*set aside/)).toBeVisible();
  await expect(page.getByText('Nothing kept yet')).toBeVisible();
});

test('a path that is none says so, and a missing file is a 404', async ({ page, request }) => {
  await page.goto('/nowhere');
  await expect(page.getByText('There is no such page')).toBeVisible();
  await page.getByRole('button', { name: 'Go to Plan' }).click();
  await expect(page).toHaveURL(/plan/);
  expect((await request.get('/nothing.js')).status()).toBe(404);
});
