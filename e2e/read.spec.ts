import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import {
  expectAccessible,
  goTo,
  importLog,
  open,
  pictureDrawn,
  pictureSum,
  setDial,
  storedTexts,
  watchErrors,
} from './app';

/** The pass of the first brief, read. */
async function readFirst(page: Page): Promise<void> {
  await open(page, '/plan');
  await page.getByTestId('take-to-bench').click();
  await pictureDrawn(page);
  await goTo(page, 'Read');
  await expect(page.getByTestId('seen-fish')).toBeVisible();
}

test('a mark is chosen on the picture and in the list, measured and looked at closely @once', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await readFirst(page);
  const whole = await pictureDrawn(page);
  // The list leads to the picture: closer, about the mark that is open.
  await page.getByTestId('finding-1').click();
  await expect(page.getByTestId('crossing-sketch')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('toolbar').getByRole('button', { name: 'Look closer' }).click();
  await expect(page.getByTestId('close-up')).toHaveText('×2');
  await pictureDrawn(page, whole);
  await page.getByRole('toolbar').getByRole('button', { name: 'Look wider' }).click();
  await expect(page.getByTestId('close-up')).toHaveCount(0);
  await expect.poll(async () => (await pictureSum(page)).sum).toBe(whole);
  // By keys alone: a place is pointed at, and its mark chosen.
  await page.getByTestId('finding-1').click();
  await expect(page.getByTestId('crossing-sketch')).toHaveCount(0);
  const touch = page.getByTestId('read-touch');
  await touch.focus();
  await touch.press('Shift+ArrowLeft');
  await expect(page.getByTestId('read-facts')).toHaveText(/m · .* · at \d:\d\d · \d+\sm astern/);
  await touch.press('Escape');
  // The ruler, by keys as well.
  await page.getByRole('button', { name: 'Ruler' }).click();
  await expect(page.getByTestId('read-facts')).toHaveText('Tap the first end.');
  await touch.focus();
  await touch.press('Enter');
  await touch.press('Shift+ArrowLeft');
  await touch.press('Shift+ArrowUp');
  await touch.press('Enter');
  await expect(page.getByTestId('read-facts')).toHaveText(
    /m high · [\d.]+\sm along · [\d.]+ s · \d+\sm astern/,
  );
  await page.getByRole('button', { name: 'Ruler' }).click();
  // Kinds are switched off, on the picture and in the list.
  await page.getByTestId('seen-cloud').click();
  await expect(page.getByRole('list', { name: 'Bait found' })).toHaveCount(0);
  // How it is drawn changes nothing of what was read.
  const before = await page.getByTestId('seen-fish').textContent();
  await page.getByRole('button', { name: 'Gain and colours' }).click();
  await setDial(page, 'dial-gain', 30);
  await pictureDrawn(page, whole);
  expect(await page.getByTestId('seen-fish').textContent()).toBe(before);
  await expectAccessible(page);
  expect(errors).toEqual([]);
});

test('what a user says of marks outlives a reload, an export and an import @once', async ({ page }, info) => {
  await readFirst(page);
  await page.getByTestId('finding-1').click();
  await page.getByTestId('agree').click();
  await expect(page.getByText('You said it is right.').first()).toBeVisible();
  // It can be gone back to on Deck.
  await page.getByTestId('keep-as-mark').click();
  await expect(page.getByText('Kept as a mark. Deck shows the way back to it.')).toBeVisible();
  await page.getByTestId('finding-2').click();
  await page.getByTestId('correct').click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectAccessible(page);
  await page.getByTestId('is-weed').click();
  await expect(page.getByTestId('finding-2')).toContainText('You said it is weed.');
  // Undone, and said again.
  await page.getByText('Undo').last().click();
  await expect(page.getByTestId('finding-2')).not.toContainText('You said it is weed.');
  await page.getByTestId('correct').click();
  await page.getByTestId('is-split').click();
  await expect(page.getByTestId('finding-2')).toContainText('You said it is 2 of them.');
  // A mark the reader has not.
  await page.getByRole('button', { name: 'Add a mark' }).click();
  await page.getByTestId('read-touch').focus();
  await page.getByTestId('read-touch').press('Enter');
  await page.getByTestId('add-fish').click();
  await expect(page.getByRole('list', { name: 'Marks you added' })).toContainText('a fish');
  await expect
    .poll(async () =>
      Object.entries(await storedTexts(page))
        .filter(([key]) => key.startsWith('corrections/'))
        .map(([, text]) => text)
        .join(),
    )
    .toContain('added');
  await page.reload();
  await expect(page.getByTestId('finding-1')).toContainText('You said it is right.');
  await expect(page.getByTestId('finding-2')).toContainText('You said it is 2 of them.');
  await page.getByTestId('open-keep').click();
  await page.getByTestId('call').fill('Judged');
  await page.getByTestId('keep').click();
  await goTo(page, 'Log');
  await expect(page.getByTestId('reader-record')).toContainText(
    'You judged 2 of the reader’s marks: 2 right',
  );
  await expect(page.getByTestId('reader-record')).toContainText('It missed 1');
  const [json] = await Promise.all([page.waitForEvent('download'), page.getByTestId('export-json').click()]);
  const file = info.outputPath('log.json');
  await json.saveAs(file);
  expect(readFileSync(file, 'utf8')).toContain('"agreed"');
  // Another device: nothing kept but the file.
  await page.evaluate(() => indexedDB.deleteDatabase('nimble-echo'));
  await page.goto('about:blank');
  await open(page, '/log');
  await expect(page.getByText('Nothing saved yet')).toBeVisible();
  await importLog(page, file);
  await page.getByRole('button', { name: /^Judged/ }).click();
  await page.getByRole('button', { name: 'Open on the bench' }).click();
  await pictureDrawn(page);
  await goTo(page, 'Read');
  await expect(page.getByTestId('finding-1')).toContainText('You said it is right.');
  await expect(page.getByRole('list', { name: 'Marks you added' })).toContainText('a fish');
});

test('made water tells the truth, the other beam what it has, and all of it can be taken away @once', async ({
  page,
}) => {
  await readFirst(page);
  await page.getByTestId('turn-truth').click();
  await expect(page.getByTestId('truth-score')).toHaveText(
    /\d of \d marks are right\. Of \d fish in the beam/,
  );
  await expect(page.getByTestId('truth-1')).toContainText('In truth:');
  await page.getByTestId('turn-together').click();
  await expect(page.getByTestId('together')).toHaveText(/Single marks on both pictures: [5-9]/);
  await expect(page.getByTestId('finding-1')).toContainText(
    /beam (has it too|does not have it|should have it)/,
  );
  const saved = async (testId: string): Promise<string> => {
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByTestId(testId).click()]);
    return readFileSync(await file.path(), 'latin1');
  };
  const table = (await saved('save-csv')).trim().split('\r\n');
  const places = JSON.parse(await saved('save-geojson')) as { source: string; features: unknown[] };
  expect(table[0]).toContain('user_says');
  expect(places.features).toHaveLength(table.length - 1);
  expect(places.source).toBe('simulated');
  const png = await saved('save-png');
  expect(png.slice(1, 4)).toBe('PNG');
  expect(png.length).toBeGreaterThan(20_000);
  // The pings as a recording, which opens again where it is dropped, on any place.
  const pings = Buffer.from(await saved('save-recording'), 'latin1');
  expect(pings.subarray(1, 4).toString()).toBe('HDF');
  await goTo(page, 'Log');
  const drop = (name: string, bytes: Buffer): Promise<void> =>
    page.evaluate(
      ({ name: as, text }) => {
        const dataTransfer = new DataTransfer();
        dataTransfer.items.add(new File([Uint8Array.from(atob(text), (c) => c.charCodeAt(0))], as));
        document.body.dispatchEvent(new DragEvent('drop', { dataTransfer, bubbles: true, cancelable: true }));
      },
      { name, text: bytes.toString('base64') },
    );
  await drop('words.txt', Buffer.from('nothing'));
  await expect(page.getByText('Recordings (.nc) and pictures of a screen open here.')).toBeVisible();
  await drop('half.nc', pings.subarray(0, pings.length / 2));
  await expect(page.getByText(/cut short or damaged/)).toBeVisible();
  await drop('own.nc', pings);
  await expect(page).toHaveURL(/read/);
  await expect(page.getByText('own.nc is on the bench.')).toBeVisible();
  await expect(page.getByTestId('seen-fish')).toBeVisible();
});

test('a fish that was caught is what later marks are held against @once', async ({ page }) => {
  const errors = watchErrors(page);
  await open(page, '/read');
  await page
    .getByTestId(/^finding-\d+$/)
    .first()
    .click();
  const own = page.getByTestId('own-fish');
  await expect(own).toContainText(/It (stands alone|is one of \d+)/);
  await expect(own).toContainText(/drawn in steps? \d/);
  await page.getByTestId('caught-this').click();
  await page.getByTestId('keep-caught').click();
  await expect(page.getByText('Say which fish it was.')).toBeVisible();
  await page.getByTestId('caught-kind').fill('perch');
  await page.getByRole('radio', { name: 'Measured', exact: true }).click({ force: true });
  await expectAccessible(page);
  await page.getByTestId('keep-caught').click();
  await expect(own).toContainText(/Your perch, 1 caught: mostly steps? \d.* too few to go by/);
  await page.reload();
  await page
    .getByTestId(/^finding-\d+$/)
    .nth(1)
    .click();
  await expect(page.getByTestId('own-fish')).toContainText('Your perch, 1 caught');
  expect(errors).toEqual([]);
});
