import { expect, test, type Page } from '@playwright/test';
import { open, storedTexts, watchErrors } from './app';

interface Colours {
  gainDb: number;
  firstColourDb: number;
  colourSpreadDb: number;
}

/** What has been tried for the plan, as it lies on the device. */
async function triedOnDevice(page: Page): Promise<Colours[]> {
  const text = (await storedTexts(page)).plan;
  const { data } = JSON.parse(text ?? '{"data":{}}') as { data: { tried?: Record<string, Colours> } };
  return Object.values(data.tried ?? {});
}

test.describe('gain and colours tried on made passes @once', () => {
  test('are tried while a plan is read, kept, and taken to the bench', async ({ page }) => {
    const errors = watchErrors(page);
    await open(page, '/plan');
    await page.getByTestId('cell-gain').click();
    const sheet = page.getByRole('dialog', { name: 'Gain' });
    await expect(sheet.getByTestId('trying-share')).toBeVisible();
    await expect(sheet).toContainText(/Tried on \d made passes .* it shows about \d+ of \d+ fish/, {
      timeout: 30_000,
    });
    await expect(sheet.getByTestId('trying-share')).toBeHidden();
    await page.keyboard.press('Escape');
    // The slice's follows.
    await expect.poll(async () => (await triedOnDevice(page)).length, { timeout: 60_000 }).toBe(2);

    await page.reload();
    await page.getByTestId('cell-colourSpread').click();
    await expect(page.getByRole('dialog', { name: 'Colour spread' })).toContainText('Tried together');
    await page.keyboard.press('Escape');
    await page.getByRole('radio', { name: 'Slice' }).click({ force: true });
    await page.getByTestId('take-to-bench').click();
    await expect(page.getByTestId('echo-picture')).toBeVisible();
    const tried = await triedOnDevice(page);
    await expect
      .poll(async () => {
        const { settings } = (
          JSON.parse((await storedTexts(page)).bench ?? '{"data":{"settings":{}}}') as {
            data: { settings: Partial<Colours> };
          }
        ).data;
        return tried.some(
          (t) =>
            t.gainDb === settings.gainDb &&
            t.firstColourDb === settings.firstColourDb &&
            t.colourSpreadDb === settings.colourSpreadDb,
        );
      })
      .toBe(true);
    expect(errors).toEqual([]);
  });

  test('stop when asked to, and are left at that', async ({ page }) => {
    await open(page, '/plan');
    await page.getByTestId('cell-gain').click();
    const sheet = page.getByRole('dialog', { name: 'Gain' });
    const before = await sheet.getByTestId('sheet-gain').innerText();
    await sheet.getByRole('button', { name: 'Stop trying' }).click();
    await expect(sheet.getByTestId('trying-share')).toBeHidden();
    // Longer than a plan rests before it is tried.
    await page.waitForTimeout(3500);
    await expect(sheet).not.toContainText('Tried on');
    await expect(sheet.getByTestId('sheet-gain')).toHaveText(before);
  });
});
