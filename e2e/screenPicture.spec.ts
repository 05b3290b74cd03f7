import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, open, pictureDrawn, watchErrors } from './app';

const folder = mkdtempSync(path.join(tmpdir(), 'nimble-'));

/** The bench's picture on the screen of a unit of no maker: menu over it, legend beside it. */
async function ownScreen(page: Page): Promise<{ file: string; width: number; height: number }> {
  const { url, width, height } = await page.evaluate(() => {
    const picture = document.querySelector<HTMLCanvasElement>('[data-testid="echo-picture"]')!;
    const out = document.createElement('canvas');
    out.width = picture.width + 140;
    out.height = picture.height + 60;
    const g = out.getContext('2d')!;
    g.fillStyle = '#353a40';
    g.fillRect(0, 0, out.width, out.height);
    g.drawImage(picture, 20, 40);
    const bar = document.querySelector('[aria-label^="Colours run"]')!;
    const colours = [...bar.querySelectorAll('div')]
      .map((d) => getComputedStyle(d).backgroundColor)
      .filter((c) => c.startsWith('rgb('));
    colours.forEach((c, i) => {
      g.fillStyle = c;
      const tall = 300 / colours.length;
      g.fillRect(picture.width + 80, 340 - Math.ceil((i + 1) * tall), 16, Math.ceil(tall) + 1);
    });
    return { url: out.toDataURL('image/png'), width: picture.width, height: picture.height };
  });
  const file = path.join(folder, 'own.png');
  writeFileSync(file, Buffer.from(url.split(',')[1]!, 'base64'));
  return { file, width, height };
}

async function choose(page: Page, file: string): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByTestId('choose-picture').click(),
  ]);
  await chooser.setFiles(file);
}

/** A tap on the picture at one of its own pixels. */
async function tap(
  page: Page,
  at: [x: number, y: number],
  whole: [width: number, height: number],
): Promise<void> {
  const touch = page.getByTestId('own-picture-touch');
  const box = (await touch.boundingBox())!;
  await touch.click({ position: { x: (at[0] / whole[0]) * box.width, y: (at[1] / whole[1]) * box.height } });
}

test('a screenshot is calibrated in six taps, read like a pass, and the same screen again in two @once', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await open(page, '/plan');
  await page.getByTestId('take-to-bench').click();
  await pictureDrawn(page);
  const { file, width, height } = await ownScreen(page);
  await open(page, '/screen');
  await expectAccessible(page);
  await choose(page, file);
  await expect(page.getByTestId('asks')).toHaveText('1 of 4: Tap the top left corner of the echoes.');
  await expectAccessible(page);
  const whole: [number, number] = [width + 140, height + 60];
  const [right, foot] = [19 + width, 39 + height];
  for (const at of [
    [20, 40],
    [right, foot],
    [right, 40],
    [right, foot],
    [width + 88, 336],
    [width + 88, 46],
  ])
    await tap(page, at as [number, number], whole);
  await expect(page.getByTestId('asks')).toContainText('4 of 4');
  await page.getByTestId('depth-1').fill('17');
  await page.getByTestId('depth-1').press('Enter');
  await page.getByTestId('across').fill('64');
  await page.getByTestId('across').press('Enter');
  await page.getByTestId('keep-as').fill('Console');
  await expectAccessible(page);
  await page.getByTestId('read-picture').click();
  await expect(page).toHaveURL(/read/);
  await expect(page.getByTestId('seen-fish')).toHaveText(/Fish [2-9]/);
  await expect(page.getByText('Read from a picture')).toBeVisible();
  await expect(page.getByTestId('picture-doctor')).toContainText(/Turn this first|Your settings/);
  // Nothing is told of what only pings could tell.
  await page.getByTestId('finding-1').click();
  await expect(page.getByText('If it is a fish')).toHaveCount(0);
  await expectAccessible(page);
  // A further panel of the same picture, a part of it here, is another beam of the same pass.
  await page.getByRole('button', { name: 'Recordings and pictures' }).click();
  await page.getByRole('button', { name: 'Read a picture of your own screen' }).click();
  await choose(page, file);
  await page.getByRole('button', { name: 'Use the calibration Console' }).click();
  await page.getByTestId('add-panel').click();
  await expect(page.getByTestId('asks')).toHaveText(
    'Panel 2, 1 of 4: Tap the top left corner of the echoes.',
  );
  for (const at of [
    [20, 40],
    [right, foot],
    [right, 40],
    [right, foot],
  ])
    await tap(page, at as [number, number], whole);
  await page.getByTestId('same-legend').click();
  await page.getByTestId('keep-as').fill('Console, two panels');
  await expectAccessible(page);
  await page.getByTestId('read-picture').click();
  await expect(page.getByTestId('seen-fish')).toHaveText(/Fish [2-9]/);
  await expect(page.getByTestId('turn-together')).toBeVisible();
  // The same unit again: two taps.
  await page.getByRole('button', { name: 'Recordings and pictures' }).click();
  await page.getByRole('button', { name: 'Read a picture of your own screen' }).click();
  await choose(page, file);
  await page.getByRole('button', { name: 'Use the calibration Console, two panels' }).click();
  await page.getByTestId('read-picture').click();
  await expect(page.getByTestId('seen-fish')).toHaveText(/Fish [2-9]/);
  expect(errors).toEqual([]);
});

test('a file that is no good picture costs one sentence @once', async ({ page }) => {
  await open(page, '/screen');
  const header = Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex');
  const sized = (width: number, height: number): Buffer => {
    const size = Buffer.alloc(13);
    size.writeUInt32BE(width, 0);
    size.writeUInt32BE(height, 4);
    size.set([8, 6, 0, 0, 0], 8);
    return Buffer.concat([header, size, Buffer.alloc(40)]);
  };
  const cases: [name: string, bytes: Buffer, words: RegExp][] = [
    ['words.png', Buffer.from('just words'), /cut short or damaged/],
    ['wide.png', sized(30_000, 400), /30000 pixels long; 12000 is the most/],
    ['cut.png', sized(600, 400), /cut short or damaged/],
    ['note.txt', Buffer.from('just words'), /not a PNG, JPEG or WebP/],
  ];
  for (const [name, bytes, words] of cases) {
    const file = path.join(folder, name);
    writeFileSync(file, bytes);
    await choose(page, file);
    await expect(page.getByTestId('picture-problem')).toHaveText(words);
    await expect(page.getByTestId('choose-picture')).toBeVisible();
  }
});
