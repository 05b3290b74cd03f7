import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { expectAccessible, goTo, open, storedTexts, watchErrors } from './app';

type Kept = { data: { drill: string; answers: { right: boolean; sure: number | null; turns: number }[] } };

test('a drill begins in two taps from Tune, shows the truth at once, and what was answered stays @once', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await open(page, '/tune');
  await page.getByRole('link', { name: 'Train' }).click();
  await expectAccessible(page);
  await page.getByTestId('drill-name').click();
  await expect(page.getByTestId('round-picture')).toBeVisible();
  await expect(page.getByTestId('round-count')).toHaveText('1 of 10');
  await expectAccessible(page);
  // By touch, then by keys.
  await page.getByTestId('option-0').click();
  await page.getByTestId('sure-1').click();
  await expect(page.getByTestId('outcome')).toHaveText(/^(Right\.|No: .+\.)$/);
  await expect(page.getByTestId('why')).not.toBeEmpty();
  await expect(page.getByLabel('The water from the side')).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('round-count')).toHaveText('2 of 10');
  await expect(page.getByTestId('option-0')).toBeVisible();
  await page.keyboard.press('2');
  await page.keyboard.press('3');
  await expect(page.getByTestId('outcome')).toBeVisible();
  await page.getByTestId('stop-sitting').click();
  await expect(page.getByTestId('drill-name')).toContainText('of 2 right');

  const kept = Object.entries(await storedTexts(page)).filter(([key]) => key.startsWith('training/'));
  expect(kept).toHaveLength(1);
  const { drill, answers } = (JSON.parse(kept[0]![1]) as Kept).data;
  expect([drill, answers.map((a) => a.sure)]).toEqual(['name', [0.8, 0.95]]);
  await page.reload();
  await expect(page.getByTestId('drill-name')).toContainText('of 2 right');
  await expect(page.getByTestId('training-progress')).toContainText('Said 80');
  await expectAccessible(page);
  expect(errors).toEqual([]);
});

test('a dial is turned till the fish show, and a drill is given to another and compared @once', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await page.setViewportSize({ width: 320, height: 700 });
  await open(page, '/train');
  await page.getByTestId('drill-dial').click();
  await expect(page.getByTestId('round-picture')).toBeVisible();
  await expectAccessible(page);
  const before = await page.getByTestId('round-dial').inputValue();
  await page.getByRole('button', { name: 'Gain: more' }).click();
  await expect(page.getByTestId('round-dial')).not.toHaveValue(before);
  await page.getByTestId('dialled').click();
  await expect(page.getByTestId('truth')).toContainText('of what the start setup shows, after 1 turn.');
  await page.getByTestId('stop-sitting').click();

  // A sitting of all its rounds, to be given away.
  await page.getByTestId('drill-bed').click();
  for (let k = 1; k <= 10; k++) {
    await expect(page.getByTestId('round-count')).toHaveText(`${k} of 10`);
    await page.getByTestId('option-2').click();
    await page.getByTestId('sure-0').click();
    await page.getByTestId('next-round').click();
  }
  await expect(page.getByTestId('sitting-result')).toHaveText(/^\d+ of 10 right$/);
  await expectAccessible(page);
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(320);
  await page.getByLabel('Your name').fill('Guide');
  const [saved] = await Promise.all([page.waitForEvent('download'), page.getByTestId('save-drill').click()]);
  const text = readFileSync(await saved.path(), 'utf8');
  await page.getByTestId('stop-sitting').click();

  const openFile = async (content: string): Promise<void> => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByTestId('open-drill').click(),
    ]);
    await chooser.setFiles({
      name: 'drill.json',
      mimeType: 'application/json',
      buffer: Buffer.from(content),
    });
  };
  await openFile(text.replace('"drill": "bed"', '"drill": "chess"'));
  await expect(page.getByText(/Nothing was changed/)).toBeVisible();
  await openFile(text);
  await expect(page.getByRole('dialog', { name: 'A drill for you' })).toContainText(
    'Guide gives you 10 rounds',
  );
  await expect(page.getByTestId('answers-compared')).toContainText('Guide');
  await page.getByTestId('take-drill').click();
  await expect(page.getByTestId('round-count')).toHaveText('1 of 10');
  expect(errors).toEqual([]);
});

test('marks of one’s own saved passes, told right or wrong, become a drill @once', async ({ page }) => {
  const errors = watchErrors(page);
  await open(page, '/train');
  await expect(page.getByTestId('drill-yours')).toHaveCount(0);
  await goTo(page, 'Read');
  await page.locator('[data-testid^="finding-"]').first().click();
  await page.getByTestId('agree').click();
  await page.getByTestId('open-keep').click();
  await page.getByTestId('keep').click();
  await expect(page.getByText('Saved to the log.')).toBeVisible();
  await open(page, '/train');
  await page.getByTestId('drill-yours').click();
  await expect(page.getByTestId('round-picture')).toBeVisible();
  await expect(page.getByTestId('round-count')).toHaveText('1 of 1');
  await expectAccessible(page);
  await page.getByTestId('option-0').click();
  await page.getByTestId('sure-2').click();
  await expect(page.getByTestId('why')).toContainText('You called it so');
  await page.getByTestId('next-round').click();
  await expect(page.getByTestId('sitting-result')).toHaveText(/^[01] of 1 right$/);
  await expect(page.getByTestId('share-drill')).toHaveCount(0);
  expect(errors).toEqual([]);
});
