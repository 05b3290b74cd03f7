import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Opens a place and waits until it shows. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
}

/** Goes to a place by its tab or rail. */
export async function goTo(page: Page, place: 'Plan' | 'Tune' | 'Read' | 'Log'): Promise<void> {
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place }).click();
}

/** The echo picture as the browser holds it: its size and a number that changes with any pixel. */
export async function pictureSum(
  page: Page,
): Promise<{ width: number; height: number; sum: number; inked: number }> {
  return page.getByTestId('echo-picture').evaluate((node) => {
    const canvas = node as HTMLCanvasElement;
    const { width, height } = canvas;
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, width, height);
    let sum = 0;
    let inked = 0;
    const ground = data[0]! + 256 * data[1]! + 65536 * data[2]!;
    for (let i = 0; i < data.length; i += 4) {
      const colour = data[i]! + 256 * data[i + 1]! + 65536 * data[i + 2]!;
      sum = (Math.imul(sum, 31) + colour) | 0;
      if (colour !== ground) inked++;
    }
    return { width, height, sum, inked };
  });
}

/** Waits for a picture, and for another than `before` when it is given. */
export async function pictureDrawn(page: Page, before?: number): Promise<number> {
  await expect(page.getByTestId('echo-picture')).toBeVisible();
  await expect
    .poll(async () => {
      const { sum, inked } = await pictureSum(page);
      return inked > 500 && sum !== before;
    })
    .toBe(true);
  return (await pictureSum(page)).sum;
}

/** Fails on any finding of axe on the page as it stands. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
}

/** Sets a native slider as a hand would leave it. */
export async function setDial(page: Page, name: string, value: number): Promise<void> {
  await page.getByTestId(name).fill(String(value));
}

/** Errors of the page itself; a test that ends with any has failed. */
export function watchErrors(page: Page): string[] {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error') errors.push(message.text());
  });
  return errors;
}
