import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import {
  backupTexts,
  drawnAnew,
  expectAccessible,
  goTo,
  importLog,
  layTexts,
  open,
  storedTexts,
  boatPage,
} from '../app';
import { entriesOf, entryOf, logFileOf, stored } from './kept';

const folder = mkdtempSync(path.join(tmpdir(), 'nimble-kept-'));
const rows = (page: Page) => page.getByTestId('log-entry');
/** Entries on the device, by id. */
const storedIds = async (page: Page): Promise<string[]> =>
  Object.keys(await storedTexts(page))
    .filter((key) => key.startsWith('log/'))
    .map((key) => key.slice(4))
    .sort();
/** Entries the log says it has: the list draws only what is in view. */
async function exported(page: Page): Promise<{ id: string; call: string }[]> {
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByTestId('export-json').click()]);
  return (JSON.parse(readFileSync(await file.path(), 'utf8')) as { data: { id: string; call: string }[] })
    .data;
}

/** Whether the device has room from now on. */
const setFull = (page: Page, full: boolean): Promise<void> =>
  page.evaluate((is) => {
    (window as unknown as { full?: boolean }).full = is;
  }, full);

test(
  'two tabs write twenty entries each at once, and both have all forty without a reload',
  { tag: '@once' },
  async ({ page, context }) => {
    const other = await context.newPage();
    await open(page, '/log');
    await open(other, '/log');
    const [a, b] = [logFileOf(folder, 'a', entriesOf('a', 20)), logFileOf(folder, 'b', entriesOf('b', 20))];
    await Promise.all([importLog(page, a), importLog(other, b)]);
    await expect(page.getByText('Imported 20 entries.')).toBeVisible();
    await expect(other.getByText('Imported 20 entries.')).toBeVisible();
    await expect.poll(async () => (await exported(page)).length).toBe(40);
    await expect.poll(async () => (await exported(other)).length).toBe(40);
    expect(await storedIds(page)).toHaveLength(40);
    // What one deletes is gone in the other, and what it undoes is back.
    await rows(page).first().getByRole('button').first().click();
    await page.getByRole('button', { name: /^Delete/ }).click();
    await expect.poll(async () => (await exported(other)).length).toBe(39);
    await page.getByText('Undo').click();
    await expect.poll(async () => (await exported(other)).length).toBe(40);
  },
);

test(
  'a plan changed in two tabs keeps what each has changed',
  { tag: '@once' },
  async ({ page, context }) => {
    const other = await context.newPage();
    await open(page, '/plan');
    await open(other, '/boat?page=boats');
    await other.getByTestId('boat-name').fill('Skiff');
    await page.getByTestId('brief-species').click();
    await page.getByRole('radio', { name: 'Zander' }).click();
    await page.getByRole('button', { name: 'Done' }).click();
    await expect
      .poll(async () => (await storedTexts(page))['plan'] ?? '')
      .toMatch(/(?=.*Skiff)(?=.*"speciesId":"zander")/);
    await other.getByRole('link', { name: 'Plan' }).click();
    await expect(other.getByTestId('brief-species')).toContainText('Zander');
  },
);

test('closing right after “kept” loses nothing, three times', { tag: '@once' }, async ({ context }) => {
  // Two by hand from a pass just read, the rest through the file door: all take the one way into storage.
  for (let k = 1; k <= 3; k++) {
    const page = await context.newPage();
    if (k <= 2) {
      await open(page, '/read');
      await page.getByTestId('open-keep').click();
      await page.getByTestId('call').fill(`Kept ${k}`);
      await page.getByTestId('keep').click();
      await page.getByText('Saved to the log.').waitFor();
    } else {
      await open(page, '/log');
      await importLog(page, logFileOf(folder, `once-${k}`, entriesOf(`once-${k}`, 1)));
      await page.getByText('Imported 1 entry.').waitFor();
    }
    await page.close();
  }
  const page = await context.newPage();
  await open(page, '/log');
  await expect.poll(async () => (await exported(page)).length).toBe(3);
  const calls = (await exported(page)).map((e) => e.call);
  expect(new Set(calls).size).toBe(3);
});

test(
  'a full device is said at once, and what could not be written is when there is room',
  { tag: '@once' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const put = IDBObjectStore.prototype.put;
      IDBObjectStore.prototype.put = function (...args) {
        if ((window as unknown as { full?: boolean }).full)
          throw new DOMException('Quota exceeded', 'QuotaExceededError');
        return put.apply(this, args);
      };
    });
    await open(page, '/log');
    await importLog(page, logFileOf(folder, 'before', entriesOf('before', 5)));
    await expect(page.getByText('Imported 5 entries.')).toBeVisible();
    await setFull(page, true);
    await importLog(page, logFileOf(folder, 'while', entriesOf('while', 30)));
    await expect(page.getByTestId('keeping-banner')).toContainText('Your device is full.');
    await expect(page.getByTestId('keeping-banner')).toContainText('held in memory');
    await expect(page.getByText(/Imported 30 entries, but your device is full/)).toBeVisible();
    await expectAccessible(page);
    // Nothing is lost meanwhile: all of it goes out.
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByTestId('keeping-banner').getByRole('button', { name: 'Export all data' }).click(),
    ]);
    const data = backupTexts(await file.path());
    expect(Object.keys(data).filter((key) => key.startsWith('log/'))).toHaveLength(35);
    await setFull(page, false);
    await page.getByTestId('keeping-banner').getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByTestId('keeping-banner')).toHaveCount(0);
    expect(await storedIds(page)).toHaveLength(35);
    await page.reload();
    await expect.poll(async () => (await exported(page)).length).toBe(35);
  },
);

test('no storage: one notice, a way to export, nothing claimed', { tag: '@once' }, async ({ page }) => {
  await page.addInitScript(() => {
    indexedDB.open = () => {
      throw new DOMException('not here', 'SecurityError');
    };
  });
  await open(page, '/read');
  await expect(page.getByTestId('keeping-banner')).toContainText('saves nothing here');
  await page.getByTestId('open-keep').click();
  await page.getByTestId('keep').click();
  await expect(page.getByText('This is held in memory')).toBeVisible();
  await goTo(page, 'Log');
  await expect(rows(page)).toHaveCount(1);
  expect(await exported(page)).toHaveLength(1);
});

test('a storage that never answers is waited for, said, and got over', { tag: '@once' }, async ({ page }) => {
  await page.addInitScript(() => {
    const open = indexedDB.open.bind(indexedDB);
    // A request that nobody ever settles.
    indexedDB.open = (...args) => {
      if ((window as unknown as { answers?: boolean }).answers) return open(...args);
      const request = open('nobody');
      Object.defineProperty(request, 'onsuccess', { set: () => undefined });
      request.addEventListener = () => undefined;
      return request;
    };
  });
  await page.goto('/plan');
  await expect(page.getByTestId('keeping-banner')).toContainText('does not answer');
  // The app can be used meanwhile.
  await expect(page.getByTestId('setup-range')).toHaveText('0–17 m');
});

test(
  'one damaged entry in fifty costs that one, is said, and can be looked at',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/log');
    const texts = Object.fromEntries(entriesOf('e', 50).map(stored));
    texts['log/e-20'] = texts['log/e-20']!.slice(0, 300);
    texts['log/e-31'] = texts['log/e-31']!.replace('"version":2', '"version":9');
    await layTexts(page, texts);
    await page.reload();
    await expect(page.getByText('1 of your log entries were written by a newer version')).toBeVisible();
    await page.getByRole('button', { name: 'Close' }).click();
    await expect(
      page.getByText('1 of your log entries could not be opened. They are set aside, not deleted'),
    ).toBeVisible();
    expect(await exported(page)).toHaveLength(48);
    // What a newer version wrote is left alone.
    expect((await storedTexts(page))['log/e-31']).toBe(texts['log/e-31']);

    await page.getByRole('button', { name: 'Units, light and help' }).click();
    await page.getByTestId('kept').click();
    await expect(page.getByTestId('aside-0')).toContainText('Log, 1 kB');
    await page.getByTestId('aside-0').getByRole('button', { name: 'Bring back' }).click();
    await expect(page.getByRole('alert')).toContainText('cut short or damaged');
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByTestId('aside-0').getByRole('button', { name: 'Export' }).click(),
    ]);
    expect(readFileSync(await file.path(), 'utf8')).toBe(texts['log/e-20']);
    await expectAccessible(page);
  },
);

test(
  'what an older version kept opens, and what of it is damaged can be brought back',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/log');
    const fixture = (name: string): Record<string, unknown> =>
      JSON.parse(readFileSync(`core/formats/fixtures/${name}.json`, 'utf8')) as Record<string, unknown>;
    const { entries } = fixture('log-first') as { entries: { id: string }[] };
    const { brief, rig, settings } = fixture('kept-first');
    const v1 = (data: unknown): string => JSON.stringify({ version: 1, data });
    await layTexts(page, {
      log: v1([...entries, { ...entries[0], id: 'broken', seed: -4 }]),
      plan: v1({ brief: { ...(brief as object), toM: 19 }, rig: { ...(rig as object), name: 'Old skiff' } }),
      plans: v1({
        plans: [
          { name: 'Shell bar', brief, rig: fixture('kept-places')['rig'], habits: {}, pins: { range: 22 } },
        ],
      }),
      boats: v1({ others: [{ ...(rig as object), name: 'Dory' }] }),
      bench: v1({ brief, rig, seed: 3, settings }),
      unit: v1({
        profile: { noiseRejection: { word: 'Reject', lowest: 1, highest: 9, step: 1, direction: 'more' } },
        chart: null,
      }),
      preferences: v1({ units: 'feet', theme: 'dusk' }),
    });
    await page.reload();
    await expect(page.getByText('1 of your log entries could not be opened.')).toBeVisible();
    await expect.poll(async () => (await exported(page)).length).toBe(entries.length);
    await goTo(page, 'Plan');
    await expect(page.getByTestId('setup-range')).toHaveText('0–72 ft');
    await expect(page.getByTestId('setup-noiseRejection')).toHaveText('1');
    await page.getByTestId('plans').click();
    await expect(page.getByText('Shell bar')).toBeVisible();
    await page.getByRole('dialog').getByRole('button', { name: 'Close', exact: true }).click();
    await page.getByRole('link', { name: 'Boat' }).click();
    await boatPage(page, 'boats');
    await expect(page.getByTestId('boat-name')).toHaveValue('Old skiff');
    await expect(page.getByRole('button', { name: 'Use Dory' })).toBeVisible();

    // A whole log that broke off in the middle: what is whole of it comes back.
    const whole = v1(entries);
    await layTexts(page, { 'log.damaged.1': whole.slice(0, whole.length - 900) });
    await page.reload();
    await page.getByRole('button', { name: 'Units, light and help' }).click();
    await page.getByTestId('kept').click();
    await expect(page.getByRole('list', { name: 'Set aside' }).getByRole('listitem')).toHaveCount(2);
    await page.getByTestId('aside-1').getByRole('button', { name: 'Bring back' }).click();
    await expect(page.getByTestId('aside-1')).toBeVisible();
  },
);

test('a plan of a newer version is called that and left alone', { tag: '@once' }, async ({ page }) => {
  await open(page, '/plan');
  const text = JSON.stringify({ format: 'nimble-echo-present-plan', version: 99, data: { all: 'new' } });
  await layTexts(page, { plan: text });
  await page.reload();
  await expect(page.getByText(/Your plan on this device was written by a newer version/)).toBeVisible();
  await page.getByTestId('brief-species').click();
  await page.getByRole('radio', { name: 'Zander' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByTestId('brief-species')).toContainText('Zander');
  await drawnAnew(page);
  expect((await storedTexts(page))['plan']).toBe(text);
});

test(
  'an import overwrites no words of the user’s: both are shown, and both can be kept',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/log');
    await importLog(page, logFileOf(folder, 'mine', entriesOf('m', 3)));
    await expect(page.getByText('Imported 3 entries.')).toBeVisible();
    const theirs = [entryOf('m-2', 1, { call: 'Their own words' }), entryOf('m-9', 9)];
    await importLog(page, logFileOf(folder, 'theirs', theirs));
    await expect(page.getByTestId('conflicts')).toContainText('1 entry is in the file and in your log');
    await expect(page.getByText('Mine: Call m-2')).toBeVisible();
    await expect(page.getByText('The file’s: Their own words')).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Keep both' }).click();
    await expect(page.getByText('Imported 2 entries.')).toBeVisible();
    const calls = (await exported(page)).map((e) => e.call);
    expect(calls.sort()).toEqual(['Call m-1', 'Call m-2', 'Call m-3', 'Call m-9', 'Their own words']);
  },
);

test(
  'ten thousand entries come in, all of them kept, and the limit is held at the door',
  { tag: '@once' },
  async ({ page }) => {
    test.setTimeout(240_000);
    await open(page, '/log');
    await importLog(page, logFileOf(folder, 'many', entriesOf('n', 10_000)));
    await expect(page.getByText('Imported 10000 entries.')).toBeVisible({ timeout: 120_000 });
    expect(await storedIds(page)).toHaveLength(10_000);
    // Rows are drawn as they come into view.
    expect(await rows(page).count()).toBeLessThan(200);
    await importLog(page, logFileOf(folder, 'more', entriesOf('x', 2)));
    await expect(page.getByTestId('import-problem')).toContainText('at most 10000 entries');
    await page.reload();
    await expect(page.getByText('Call n-10000', { exact: true })).toBeVisible({ timeout: 60_000 });
  },
);

test(
  'a backup fills another browser with all of it, and one that is damaged changes nothing',
  { tag: '@once' },
  async ({ page, browser, baseURL }) => {
    await open(page, '/log?demo');
    await expect.poll(async () => (await storedIds(page)).length).toBeGreaterThan(2);
    const openKept = async (on: Page): Promise<void> => {
      await on.getByRole('button', { name: 'Units, light and help' }).click();
      await on.getByTestId('kept').click();
    };
    await openKept(page);
    await expect(page.getByTestId('storage-used')).toContainText('MB used');
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByTestId('export-everything').click(),
    ]);
    const saved = await file.path();
    const texts = backupTexts(saved);
    expect(Object.keys(texts).some((key) => key.startsWith('days/'))).toBe(true);

    const other = await (await browser.newContext({ baseURL: baseURL! })).newPage();
    await open(other, '/log');
    await openKept(other);
    const bring = async (content: Buffer): Promise<void> => {
      const [chooser] = await Promise.all([
        other.waitForEvent('filechooser'),
        other.getByTestId('restore-backup').click(),
      ]);
      await chooser.setFiles({ name: 'backup.zip', mimeType: 'application/zip', buffer: content });
    };
    const bytes = readFileSync(saved);
    const before = await storedTexts(other);
    await bring(bytes.subarray(0, bytes.length / 2));
    await expect(other.getByTestId('backup-said')).toContainText('cut short or damaged');
    expect(await storedTexts(other)).toEqual(before);
    await bring(bytes);
    await expect(other.getByTestId('backup-said')).toContainText(/^Brought in \d+ things\./);
    await expectAccessible(other);
    const things = (all: Record<string, string>): Record<string, unknown> =>
      Object.fromEntries(
        Object.entries(all)
          .filter(([key]) => key.includes('/'))
          .map(([key, text]) => [key, JSON.parse(text) as unknown]),
      );
    await expect.poll(async () => things(await storedTexts(other))).toEqual(things(texts));
    await other.reload();
    await expect(other.getByTestId('log-entry').first()).toBeVisible();
    await other.context().close();
  },
);
