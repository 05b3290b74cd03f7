import { expect, test, type Page } from '@playwright/test';
import { open, pictureDrawn } from './app';

/** Pixels of the glass, and how many of its neighbours across are the same: the larger it shows, the more. */
const glass = (page: Page): Promise<{ sum: number; same: number }> =>
  page.getByTestId('magnified').evaluate((node) => {
    const canvas = node as HTMLCanvasElement;
    const { width, height } = canvas;
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, width, height);
    let sum = 0;
    let same = 0;
    for (let i = 4; i < data.length; i += 4) {
      sum = (Math.imul(sum, 31) + data[i]! + 256 * data[i + 1]!) | 0;
      if (data[i] === data[i - 4] && data[i + 1] === data[i - 3]) same++;
    }
    return { sum, same };
  });

test(
  'a glass shows the picture larger under finger and keys, and changes nothing set',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/read');
    const before = await pictureDrawn(page);
    await page.getByTestId('magnify').click();
    const box = (await page.getByTestId('echo-picture').boundingBox())!;
    await page.mouse.move(box.x + 0.5 * box.width, box.y + 0.6 * box.height);
    await expect(page.getByTestId('magnified')).toBeVisible();
    const twice = await glass(page);
    await page.mouse.move(box.x + 0.3 * box.width, box.y + 0.4 * box.height);
    await expect.poll(async () => (await glass(page)).sum).not.toBe(twice.sum);
    // The depth under the glass is said, and follows the keys.
    const depth = (): Promise<string | null> => page.getByTestId('magnifier').getAttribute('aria-label');
    const said = await depth();
    expect(said).toMatch(/\d\u00a0m$/);
    await page.getByTestId('magnifier').focus();
    for (let k = 0; k < 4; k++) await page.keyboard.press('Shift+ArrowDown');
    await expect.poll(depth).not.toBe(said);
    const here = await glass(page);
    await page.getByRole('button', { name: 'Magnify 4 times' }).click();
    await expect.poll(async () => (await glass(page)).same).toBeGreaterThan(here.same);
    await page.getByRole('button', { name: 'Put the magnifier away' }).click();
    await expect(page.getByTestId('magnified')).toHaveCount(0);
    expect(await pictureDrawn(page)).toBe(before);
  },
);
