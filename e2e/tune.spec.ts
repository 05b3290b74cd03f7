import { expect, test, type Page } from '@playwright/test';
import { open, pictureDrawn, pictureSum, setDial, watchErrors } from './app';

/** Shows a dial: on a phone one at a time. */
async function show(page: Page, dial: string): Promise<void> {
  const chip = page.getByRole('radiogroup', { name: 'Dial' }).getByRole('radio', { name: dial });
  if (await chip.count()) await chip.click();
}

test('every dial changes the picture as it says', async ({ page }) => {
  const errors = watchErrors(page);
  await open(page, '/tune');
  let before = await pictureDrawn(page);
  const first = await pictureSum(page);
  expect([first.width, first.height]).toEqual([640, 480]);

  const inkedAfter = async (dial: string, name: string, value: number): Promise<number> => {
    await show(page, dial);
    await setDial(page, name, value);
    before = await pictureDrawn(page, before);
    return (await pictureSum(page)).inked;
  };
  const loud = await inkedAfter('Gain', 'dial-gain', 10);
  expect(loud).toBeGreaterThan(first.inked * 1.3);
  const cut = await inkedAfter('Colour', 'dial-first-colour', 20);
  expect(cut).toBeLessThan(loud);
  await inkedAfter('Colour', 'dial-colour-spread', 45);
  const quiet = await inkedAfter('Noise', 'dial-noise-rejection', 8);
  expect(quiet).toBeLessThan(cut);
  // Back to a picture with something in it before the window changes.
  const unfiltered = await inkedAfter('Noise', 'dial-noise-rejection', 0);
  const shallow = await inkedAfter('Range', 'dial-range', 13);
  expect(shallow).toBeLessThan(unfiltered);
  await inkedAfter('Chart speed', 'dial-chart-speed', 5);
  await inkedAfter('Back in time', 'dial-time', 60);
  await show(page, 'Frequency');
  await page.getByRole('radio', { name: '200 kHz narrow' }).click();
  before = await pictureDrawn(page, before);
  expect(errors).toEqual([]);
});

test('keys turn a dial, and the pass plays', async ({ page }) => {
  await open(page, '/tune');
  const first = await pictureDrawn(page);
  await show(page, 'Gain');
  await page.getByTestId('dial-gain').focus();
  await page.keyboard.press('ArrowRight');
  await pictureDrawn(page, first);
  await page.getByRole('button', { name: 'Play the pass' }).click();
  await expect(page.getByRole('button', { name: 'Pause the pass' })).toBeVisible();
  const one = (await pictureSum(page)).sum;
  await expect.poll(async () => (await pictureSum(page)).sum).not.toBe(one);
  await page.getByRole('button', { name: 'Pause the pass' }).click();
  await expect(page.getByRole('button', { name: 'Play the pass' })).toBeVisible();
});
