import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, open, pictureDrawn, watchErrors } from './app';

const file = path.join(mkdtempSync(path.join(tmpdir(), 'nimble-long-')), 'long.nc');
const LONG_S = 320;

test.beforeAll(() => {
  execFileSync('npx', ['tsx', 'scripts/writeLongRecording.ts', file, String(LONG_S)]);
});

const files = (page: Page) => page.getByRole('button', { name: 'Recordings and pictures' }).click();

test('a long recording is looked over part by part, and stays on the device @once', async ({
  page,
  browser,
}) => {
  const errors = watchErrors(page);
  await open(page, '/read');
  const choose = async (path: string): Promise<void> => {
    await files(page);
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByTestId('choose-recording').click(),
    ]);
    await chooser.setFiles(path);
  };
  // One that is damaged well behind its beginning is taken away again, and what was there before is back.
  const late = `${file}.late.nc`;
  const bytes = readFileSync(file);
  for (let k = 0; k < 64; k++) bytes[Math.floor(0.45 * bytes.length) + k]! ^= 85;
  writeFileSync(late, bytes);
  await choose(late);
  await expect(page.getByText(/(damaged|as they were written).*Nothing was changed/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('overview-place')).toHaveCount(0);
  await expect(page.getByTestId('seen-fish')).toBeVisible();
  await choose(file);
  const place = page.getByTestId('overview-place');
  await expect(place).toHaveAttribute('aria-valuetext', /^0:00 to 0:\d\d of \d:\d\d$/);
  await expect(page.getByTestId('seen-fish')).toHaveText(/Fish \d\d/);
  await expect(page.getByTestId('read-share')).toHaveCount(0);
  await pictureDrawn(page);
  await expectAccessible(page);
  // Along it by keys, and by dragging the picture.
  await place.press('ArrowRight');
  await place.press('ArrowRight');
  await expect(place).not.toHaveAttribute('aria-valuetext', /^0:00/);
  const before = await place.getAttribute('aria-valuetext');
  const box = (await page.getByTestId('read-touch').boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 20, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(place).not.toHaveAttribute('aria-valuetext', before!);
  // A mark of the list comes into view.
  await page
    .getByTestId(/^finding-\d+$/)
    .first()
    .click();
  await expect(page.getByText('Read a mark')).toHaveCount(0);

  // The file is still here after a reload.
  await page.reload();
  await expect(place).toBeVisible();
  await expect(page.getByTestId('seen-fish')).toHaveText(/Fish \d\d/);
  await files(page);
  await expect(page.getByTestId('kept-file-0')).toContainText(/long\.nc[\s\S]*Recording, \d+(\.\d)?\sMB/);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Delete long.nc' }).click();
  await expect(page.getByTestId('kept-file-0')).toHaveCount(0);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.reload();
  await expect(place).toBeVisible();
  // What takes room is said with what is saved, and a backup takes the file along to another device.
  await page.getByRole('button', { name: 'Units, light and help' }).click();
  await page.getByText('Saved on this device').click();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByTestId('export-everything').click(),
  ]);
  const other = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await open(other, '/read');
  await other.getByRole('button', { name: 'Units, light and help' }).click();
  await other.getByText('Saved on this device').click();
  const [restoring] = await Promise.all([
    other.waitForEvent('filechooser'),
    other.getByTestId('restore-backup').click(),
  ]);
  await restoring.setFiles(await saved.path());
  await expect(other.getByTestId('backup-said')).toContainText('Brought in');
  await other.goto('/read');
  await files(other);
  await other.getByRole('button', { name: 'Open long.nc' }).click();
  await expect(other.getByTestId('overview-place')).toBeVisible();
  await other.context().close();
  await expect(page.getByTestId('room-for-files')).toContainText(/take \d+(\.\d)?\sMB/);
  await page.getByRole('button', { name: 'Choose what to delete' }).click();
  await page.getByRole('button', { name: 'Delete long.nc' }).click();
  await expect(page.getByText('Deleted “long.nc”.').last()).toBeVisible();
  await page.goto('/read');
  await expect(
    page.getByText('This recording is no longer on this device. Open its file again.').first(),
  ).toBeVisible();
  expect(errors).toEqual([]);
});
