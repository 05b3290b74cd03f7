import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { backupTexts, goTo, open, pictureDrawn, storedTexts } from '../app';

/** Makes a screen fail while it is drawn, once it is armed: angles cannot be worked out there, pictures painted, dates written. */
const plant = (page: Page): Promise<unknown> =>
  page.addInitScript(() => {
    const fails = (): void => {
      if ((window as unknown as { fails?: boolean }).fails) throw new Error('planted');
    };
    for (const name of ['tan', 'log10'] as const) {
      const real = Math[name];
      Math[name] = (x) => {
        fails();
        return real(x);
      };
    }
    const paint = CanvasRenderingContext2D.prototype.putImageData;
    CanvasRenderingContext2D.prototype.putImageData = function (
      this: CanvasRenderingContext2D,
      ...args: unknown[]
    ) {
      fails();
      return (paint as (...all: unknown[]) => void).apply(this, args);
    };
    const dates = Intl.DateTimeFormat.prototype;
    const format = Object.getOwnPropertyDescriptor(dates, 'format')!.get!;
    Object.defineProperty(dates, 'format', {
      get(this: Intl.DateTimeFormat) {
        fails();
        return format.call(this) as Intl.DateTimeFormat['format'];
      },
    });
  });

const setFails = (page: Page, fails: boolean): Promise<void> =>
  page.evaluate((is) => {
    (window as unknown as { fails?: boolean }).fails = is;
  }, fails);

/** How each screen is gone to from Plan, and where from where it fails. */
const WAYS: Record<string, (page: Page) => Promise<void>> = {
  '/tune': (page) => goTo(page, 'Tune'),
  '/read': (page) => goTo(page, 'Read'),
  '/log': (page) => goTo(page, 'Log'),
  '/boat': (page) => page.getByRole('link', { name: 'Boat' }).click(),
  '/deck': (page) => page.getByTestId('deck').click(),
  '/sheet': (page) => page.getByTestId('sheet').click(),
  '/plan': async (page) => {
    await setFails(page, false);
    await page.getByRole('link', { name: 'Boat' }).click();
    await page.getByTestId('boat-card-depth').waitFor();
    await setFails(page, true);
    await goTo(page, 'Plan');
  },
};

for (const [path, go] of Object.entries(WAYS))
  test(
    `a failure on ${path} leaves the rest usable and the data exportable`,
    { tag: '@once' },
    async ({ page }) => {
      await plant(page);
      await open(page, '/plan?demo');
      await expect.poll(async () => Object.keys(await storedTexts(page))).toContain('log/vessmere-3');
      // Plan itself has come to rest: what fails is the screen that is gone to.
      await page.getByTestId('miniature').waitFor();
      await setFails(page, true);
      await go(page);
      await expect(page.getByText('This screen stopped')).toBeVisible();
      await expect(page.getByText('planted')).toBeVisible();
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        page.getByTestId('export-all').click(),
      ]);
      expect(Object.keys(backupTexts(await file.path()))).toContain('log/vessmere-1');
      await setFails(page, false);
      await goTo(page, path === '/tune' ? 'Plan' : 'Tune');
      await expect(page.getByText('This screen stopped')).toHaveCount(0);
      if (path !== '/tune') await pictureDrawn(page);
      else await expect(page.getByTestId('setup-range')).toHaveText('0–17 m');
    },
  );

test('a plan that breaks a screen can be left aside', { tag: '@once' }, async ({ page }) => {
  await page.addInitScript(() => {
    const real = Math.log10;
    Math.log10 = (x) => {
      // Only while the bed lies at 13 m.
      if (x === 13) throw new Error('planted');
      return real(x);
    };
  });
  await open(page, '/plan');
  await page.getByTestId('brief-depth').click();
  await page.getByTestId('depth-to').fill('13');
  await expect(page.getByText('This screen stopped').first()).toBeVisible();
  await page.getByTestId('start-afresh').first().click();
  await expect(page.getByTestId('setup-range')).toHaveText('0–17 m');
  await page.getByRole('button', { name: 'Units, light and help' }).click();
  await page.getByTestId('kept').click();
  await expect(page.getByRole('list', { name: 'Set aside' })).toContainText('plan');
});

test('a pass left while it is read keeps its own marks', { tag: '@once' }, async ({ page }) => {
  /** Marks kept of the pass on the bench. */
  const keepAndCount = async (call: string): Promise<number> => {
    await page.getByTestId('open-keep').click();
    await page.getByTestId('call').fill(call);
    await page.getByTestId('keep').click();
    await page.getByText('Saved to the log.').waitFor();
    await page.getByRole('button', { name: 'Close', exact: true }).last().click();
    return 0;
  };
  await open(page, '/tune');
  await pictureDrawn(page);
  // Read, leave at once, other water, come back, keep.
  await goTo(page, 'Read');
  await goTo(page, 'Tune');
  await page.getByRole('button', { name: 'Other water of the same kind' }).click();
  await goTo(page, 'Read');
  await expect(page.getByTestId('seen-fish')).toBeVisible();
  await keepAndCount('After leaving');
  // The same water read in peace.
  await page.reload();
  await expect(page.getByTestId('seen-fish')).toBeVisible();
  await keepAndCount('In peace');
  await goTo(page, 'Log');
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByTestId('export-json').click()]);
  const { data } = JSON.parse(readFileSync(await file.path(), 'utf8')) as {
    data: { call: string; source: { seed: number }; marks: unknown[] }[];
  };
  const of = (call: string) => data.find((e) => e.call === call)!;
  expect(of('After leaving').source.seed).toBe(2);
  expect(of('After leaving').marks.length).toBeGreaterThan(3);
  expect(of('After leaving').marks).toEqual(of('In peace').marks);
});
