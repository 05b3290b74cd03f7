import { mkdtempSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, test } from '@playwright/test';
import { importLog, open } from './app';

const folder = mkdtempSync(path.join(tmpdir(), 'nimble-'));

function fileOf(name: string, text: string): string {
  const file = path.join(folder, name);
  writeFileSync(file, text);
  return file;
}

test('a bad import gets one plain sentence and changes nothing @once', async ({ page }) => {
  await open(page, '/log?demo');
  await expect(page.getByText('Zander under the layer')).toBeVisible();
  const rows = page.getByTestId('log-entry');
  await expect(rows).toHaveCount(3);

  const huge = fileOf('huge.json', '{');
  truncateSync(huge, 200e6);
  const cases: [string, RegExp][] = [
    [fileOf('not.json', 'just words'), /This is not a log file/],
    [fileOf('other.json', '{"name": "something else", "rows": []}'), /not a log/],
    [fileOf('cut.json', '{"format": "nimble-echo-log", "version": 1, "entries": [{"id": "x"'), /cut short/],
    [
      fileOf('wrong.json', '{"format": "nimble-echo-log", "version": 1, "entries": [{"id": "x"}]}'),
      /Entry 1 of this log is damaged/,
    ],
    [huge, /200 MB/],
  ];
  for (const [file, words] of cases) {
    await importLog(page, file);
    await expect(page.getByTestId('import-problem')).toHaveText(words);
    await expect(rows).toHaveCount(3);
  }
});

test('a log goes out and comes back in @once', async ({ page }) => {
  await open(page, '/log?demo');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByTestId('export-json').click(),
  ]);
  const file = path.join(folder, 'out.json');
  await download.saveAs(file);
  await page.getByText('Zander under the layer').click();
  await page.getByRole('button', { name: /^Delete/ }).click();
  const rows = page.getByTestId('log-entry');
  await expect(rows).toHaveCount(2);
  await importLog(page, file);
  await expect(rows).toHaveCount(3);
});
