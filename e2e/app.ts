import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Locator, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { readBackup } from '@/core/formats/backupFile';

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
      return inked > 200 && sum !== before;
    })
    .toBe(true);
  return (await pictureSum(page)).sum;
}

/**
 * Fails on any finding of axe on the page as it stands, contrast of 7:1 included. The page has no frames, so findings need
 * no second page to be gathered in.
 */
export async function expectAccessible(page: Page): Promise<void> {
  // A screen is loaded when it is first opened.
  await page.locator('h1').first().waitFor({ state: 'attached' });
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({
      preload: false,
      resultTypes: ['violations'],
      rules: { 'color-contrast-enhanced': { enabled: true } },
    })
    .analyze();
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

/** What is in a backup that was saved, by key. */
export function backupTexts(path: string): Record<string, string> {
  const opened = readBackup(readFileSync(path));
  if (!opened.ok) throw new Error(opened.problem);
  return opened.value.texts;
}

/** All that is kept on the device, as it lies there. */
export const storedTexts = (page: Page): Promise<Record<string, string>> =>
  page.evaluate(
    () =>
      new Promise<Record<string, string>>((resolve, reject) => {
        const opening = indexedDB.open('nimble-echo');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const db = opening.result;
          const out: Record<string, string> = {};
          if (!db.objectStoreNames.contains('entries')) {
            db.close();
            return resolve(out);
          }
          const cursor = db.transaction('entries').objectStore('entries').openCursor();
          cursor.onsuccess = () => {
            const at = cursor.result;
            if (!at) {
              db.close();
              return resolve(out);
            }
            out[String(at.key)] = String(at.value);
            at.continue();
          };
        };
      }),
  );

/** Lays texts on the device, as an older version or a damage would have left them; null takes a key away. */
export const layTexts = (page: Page, texts: Record<string, string | null>): Promise<void> =>
  page.evaluate(
    (entries) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('nimble-echo', 1);
        opening.onupgradeneeded = () => opening.result.createObjectStore('entries');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const db = opening.result;
          const tx = db.transaction('entries', 'readwrite');
          for (const [key, text] of Object.entries(entries))
            if (text === null) tx.objectStore('entries').delete(key);
            else tx.objectStore('entries').put(text, key);
          tx.oncomplete = () => {
            db.close();
            resolve();
          };
          tx.onerror = () => reject(tx.error);
        };
      }),
    texts,
  );

/** Waits until what is kept under a key holds some words. */
export async function expectStored(page: Page, key: string, words: string | RegExp): Promise<void> {
  await expect.poll(async () => (await storedTexts(page))[key] ?? '').toMatch(words);
}

/** Waits until the page has been laid out and drawn anew. */
export const drawnAnew = (page: Page): Promise<void> =>
  page.evaluate(
    () => new Promise<void>((done) => requestAnimationFrame(() => requestAnimationFrame(() => done()))),
  );

/** Gives the log a file to import. */
export async function importLog(page: Page, file: string): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByTestId('import-json').click(),
  ]);
  await chooser.setFiles(file);
}

/** Types into a field, or leaves what it holds, and enters it; a field entered is left a moment later. */
export async function enter(field: Locator, text?: string): Promise<void> {
  if (text !== undefined) await field.fill(text);
  await field.press('Enter');
  await expect(field).not.toBeFocused();
}

/** Opens a page of Boat by its card, from wherever on Boat one is. */
export async function boatPage(page: Page, name: string): Promise<void> {
  const card = page.getByTestId(`boat-card-${name}`);
  const back = page.getByRole('button', { name: 'Back to the boat' });
  await expect(card.or(back).first()).toBeVisible();
  if (await back.isVisible()) await back.click();
  await card.click();
}
