import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, expectStored, open } from './app';

/** The picture's ground, and the quarter with most that is not ground: what a person with perfect eyes taps. */
const look = (page: Page): Promise<{ ground: number; quarter: number }> =>
  page.getByTestId('eye-picture').evaluate((node) => {
    const canvas = node as HTMLCanvasElement;
    const { width, height } = canvas;
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, width, height);
    const colours = new Uint32Array(data.buffer);
    const times = new Map<number, number>();
    for (const c of colours) times.set(c, (times.get(c) ?? 0) + 1);
    const [ground] = [...times].sort((a, b) => b[1] - a[1])[0]!;
    const counts = [0, 0, 0, 0];
    colours.forEach((c, i) => {
      const q = (i / width < height / 2 ? 0 : 2) + (i % width < width / 2 ? 0 : 1);
      if (c !== ground) counts[q]!++;
    });
    return { ground, quarter: counts.indexOf(Math.max(...counts)) };
  });

test(
  'an eye check finds the palette a person sees more with, and takes it',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/plan?demo');
    await page.getByRole('button', { name: 'Units, light and help' }).click();
    await page.getByRole('radio', { name: 'Dusk' }).click();
    await page.getByTestId('eye-check').click();
    await page.getByTestId('eye-start').click();
    let best: number | null = null;
    for (let k = 1; k <= 24; k++) {
      await expect(page.getByTestId('eye-progress')).toContainText(`Picture ${k} of 24`);
      const { ground, quarter } = await look(page);
      best ??= ground;
      // Blind in the other palette.
      await page.getByTestId(ground === best ? `eye-quarter-${quarter}` : 'eye-none').click();
    }
    await expect(page.getByTestId('eye-result')).toContainText('You see more with');
    await expectAccessible(page);
    await page
      .getByTestId(/^eye-use-/)
      .first()
      .click();
    await expectStored(
      page,
      'preferences',
      /"palettes":\{.*"dusk":\{"cone":"moss"|"dusk":\{"cone":"graphite"/,
    );
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
  },
);
