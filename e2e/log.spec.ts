import { expect, test } from '@playwright/test';
import { expectAccessible, goTo, open, storedTexts, watchErrors } from './app';

test('tomorrow on a known water is planned in three taps, each line from a day there; the days answer @once', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await open(page, '/log?demo');
  const card = page.getByTestId('evening');
  await expect(card).toContainText('Tomorrow on Vessmere');
  // Every line names its day.
  for (const line of await page.getByTestId('evening-line').all())
    await expect(line).toContainText(/Vessmere, |all \d+ days/);
  await expect(card).toContainText('Gain held at −9');
  await page.getByTestId('log-answers').waitFor();
  await expectAccessible(page);

  // What fish did, sorted another way; spots and held lines beside.
  const answers = page.getByTestId('log-answers');
  await expect(answers.getByRole('table', { name: 'Bites by depth' })).toContainText('8–10\u00a0m');
  await answers.getByRole('radio', { name: 'Hour' }).click({ force: true });
  await expect(answers.getByRole('table', { name: 'Bites by hour' })).toContainText('an hour, likely');
  await expect(answers.getByRole('table', { name: 'Spots, the best an hour first' })).toContainText(
    'Timber crib',
  );
  await expect(answers.getByRole('table', { name: /^Settings you used/ })).toContainText('At other values');
  await answers.getByRole('radio', { name: 'The Tolls' }).click({ force: true });
  await expect(answers.getByRole('table', { name: 'Spots, the best an hour first' })).not.toContainText(
    'Timber crib',
  );

  // From another place: Log, a water, the plan.
  await goTo(page, 'Plan');
  await goTo(page, 'Log');
  await card.getByRole('radio', { name: 'Corrie Sound' }).click({ force: true });
  await page.getByTestId('take-evening').click();
  await expect(page).toHaveURL(/\/plan$/);
  await expect(page.getByText('Tomorrow on Corrie Sound is your plan now.')).toBeVisible();
  await expect
    .poll(async () => {
      const plan = JSON.parse((await storedTexts(page))['plan'] ?? '{}') as {
        data?: { brief: { toM: number }; holds: Record<string, { cone: { gain?: number } }> };
      };
      return [plan.data?.brief.toM, plan.data?.holds['unit-1']?.cone.gain];
    })
    .toEqual([28, -6]);
  await page.getByText('Undo').last().click();
  await expect(page.getByTestId('brief-depth')).toContainText('6–14');
  expect(errors).toEqual([]);
});

test('a saved pass is sought by words, and its words are changed @once', async ({ page }) => {
  await open(page, '/log?demo');
  await page.getByTestId('log-search').fill('zander gain');
  await expect(page.getByTestId('log-entry')).toHaveCount(1);
  await page.getByTestId('log-entry').getByRole('button').first().click();
  await page.getByTestId('reword').click();
  await page.getByTestId('entry-call').fill('Zander, two of them');
  await expectAccessible(page);
  await page.getByTestId('entry-keep').click();
  await expect(page.getByTestId('log-entry')).toContainText('Zander, two of them');
  await page.reload();
  await expect(page.getByText('Zander, two of them')).toBeVisible();
  await page.getByTestId('log-search').fill('no such words');
  await expect(page.getByText('No entry has these words.')).toBeVisible();
});

test('a day stands on a page, is joined with the one before and taken apart again @once', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await open(page, '/log?demo');
  const rows = page.getByTestId('day-row');
  await expect(rows).toHaveCount(4);
  await page.getByTestId('all-days').click();
  await expect(rows).toHaveCount(7);
  await rows.first().click();
  const paper = page.getByTestId('paper');
  await expect(paper).toContainText('Vessmere, 6 September');
  await expect(paper).toContainText('What fish did');
  await expect(paper.getByLabel(/^The day’s way, with \d+ marks/)).toBeVisible();
  await expectAccessible(page);
  const [picture] = await Promise.all([page.waitForEvent('download'), page.getByTestId('save-png').click()]);
  expect(picture.suggestedFilename()).toBe('day.png');
  // Every word of it can be changed, and taken back.
  await page.getByTestId('reword-day').click();
  await page.getByTestId('day-words-note').fill('Wind came up at noon.');
  await page.locator('input[data-testid^="day-words-marks-"]').first().fill('the old crib');
  await page.locator('input[data-testid^="day-words-lures-"]').first().fill('white jig');
  await expectAccessible(page);
  await page.getByTestId('day-words-keep').click();
  for (const words of ['Wind came up at noon.', 'the old crib', 'white jig'])
    await expect(paper).toContainText(words);
  await page.getByText('Undo').last().click();
  await expect(paper).not.toContainText('the old crib');
  // The day goes out as a file, and comes in again beside the one that has changed since.
  const [out] = await Promise.all([page.waitForEvent('download'), page.getByTestId('save-day').click()]);
  const file = await out.path();
  await page.getByRole('button', { name: 'Back to the log' }).click();
  const takeIn = async (): Promise<void> => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByTestId('open-day-file').click(),
    ]);
    await chooser.setFiles(file);
  };
  await takeIn();
  await expect(page.getByText('This day is here already.')).toBeVisible();
  await page.getByTestId('all-days').click();
  await rows.first().click();
  await page.getByTestId('reword-day').click();
  await page.getByTestId('day-words-name').fill('Sunday');
  await page.getByTestId('day-words-keep').click();
  await page.getByRole('button', { name: 'Back to the log' }).click();
  await takeIn();
  await expect(page.getByText('“Vessmere, 6 September” was added.')).toBeVisible();
  await page.getByText('Undo').last().click();
  await page.getByText('Undo').last().click();
  await rows.first().click();
  await expect(paper).toContainText('Vessmere, 6 September');
  await page.getByTestId('join-day').click();
  await expect(page.getByText('are one day now.')).toBeVisible();
  await expect(paper).toContainText('The Tolls, 5 September');
  await expect(paper).toContainText('Back to Monday’s gain.');
  const days = async (): Promise<number> =>
    Object.keys(await storedTexts(page)).filter((key) => key.startsWith('days/')).length;
  await expect.poll(days).toBe(6);
  // Two trips taken for one come apart where they paused longest.
  await page.getByTestId('split-day').click();
  await expect.poll(days).toBe(7);
  await page.getByText('Undo').last().click();
  await expect.poll(days).toBe(6);
  await page.getByText('Undo').last().click();
  await expect.poll(days).toBe(7);
  expect(errors).toEqual([]);
});
