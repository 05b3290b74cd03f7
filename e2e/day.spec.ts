import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { expectAccessible, goTo, open, pictureDrawn, setDial, watchErrors } from './app';

test('a day: plan, tune, read, keep, export, reload, still there @once', async ({ page }) => {
  const errors = watchErrors(page);
  await open(page, '/');
  await expect(page).toHaveURL(/plan/);
  await expect(page.getByTestId('setup-range')).toHaveText('0–17 m');
  await expect(page.getByTestId('setup-beam')).toHaveText('83 kHz wide');

  // The brief is a sentence; changing a piece changes the setup.
  await page.getByTestId('brief-depth').click();
  await setDial(page, 'depth-to', 12);
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByTestId('brief-depth')).toHaveText('6–12 m');
  await expect(page.getByTestId('setup-range')).toHaveText('0–14 m');
  await expectAccessible(page);

  // Where practitioners disagree the other ways are a tap away, and a chosen one is kept to.
  await page.getByTestId('cell-range').click();
  await expect(page.getByTestId('practice-range-one-for-all')).toContainText('0–20 m');
  await expectAccessible(page);
  await page.getByTestId('habit-range-one-for-all').click();
  await expect(page.getByTestId('setup-range')).toHaveText('0–20 m');
  await page.getByTestId('habit-range-margin').click();
  await expect(page.getByTestId('setup-range')).toHaveText('0–14 m');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);

  await page.getByTestId('take-to-bench').click();
  await expect(page).toHaveURL(/tune/);
  await pictureDrawn(page);
  await expectAccessible(page);

  await goTo(page, 'Read');
  await expect(page.getByTestId('seen-fish')).toContainText(/Fish [78]/);
  await expect(page.getByTestId('seen-cloud')).toContainText('Bait 1');
  await expect(page.getByTestId('also-seen')).toContainText('The bed');
  await page.getByTestId('finding-1').click();
  await expect(page.getByText('True depth')).toBeVisible();
  await expect(page.getByText('It could also be').first()).toBeVisible();
  await expectAccessible(page);
  await page.getByTestId('open-keep').click();
  await page.getByTestId('call').fill('Perch along the shelf');
  await page.getByTestId('note').fill('Three caught');
  await page.getByTestId('keep').click();
  await expect(page.getByText('Saved to the log.')).toBeVisible();

  await goTo(page, 'Log');
  await expect(page.getByText('Perch along the shelf')).toBeVisible();
  const [json] = await Promise.all([page.waitForEvent('download'), page.getByTestId('export-json').click()]);
  const log = JSON.parse(readFileSync(await json.path(), 'utf8'));
  expect(log.data).toHaveLength(1);
  expect(log.data[0].note).toBe('Three caught');
  expect(log.data[0].settings.rangeM).toBe(14);
  const [gpx] = await Promise.all([page.waitForEvent('download'), page.getByTestId('export-gpx').click()]);
  const waypoints = readFileSync(await gpx.path(), 'utf8').match(/<wpt /g) ?? [];
  expect(waypoints).toHaveLength(log.data[0].marks.length);

  await page.reload();
  await expect(page.getByText('Perch along the shelf')).toBeVisible();
  await page.getByText('Perch along the shelf').click();
  await expect(page.getByText('Three caught')).toBeVisible();
  await expectAccessible(page);
  await goTo(page, 'Plan');
  await expect(page.getByTestId('brief-depth')).toHaveText('6–12 m');

  await goTo(page, 'Log');
  await page.getByText('Perch along the shelf').click();
  await page.getByRole('button', { name: 'Delete Perch along the shelf' }).click();
  await expect(page.getByText('Nothing saved yet')).toBeVisible();
  await page.getByText('Undo').click();
  await expect(page.getByText('Perch along the shelf').first()).toBeVisible();
  expect(errors).toEqual([]);
});
