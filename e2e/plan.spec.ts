import { readFileSync } from 'node:fs';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { expectAccessible, open, setDial, watchErrors } from './app';

/** Nothing may stick out to the side: a page is read by going down. */
async function expectNoSideways(page: Page): Promise<void> {
  const out = await page.evaluate(() => {
    const all = [document.documentElement, ...document.querySelectorAll('*')];
    const wide = all.filter(
      (n) =>
        n.scrollWidth > n.clientWidth + 1 &&
        /auto|scroll/.test(getComputedStyle(n).overflowX + getComputedStyle(n).overflowY),
    );
    if (document.documentElement.scrollWidth > window.innerWidth + 1) wide.push(document.documentElement);
    return wide.slice(0, 3).map((n) => n.outerHTML.slice(0, 120));
  });
  expect(out).toEqual([]);
}

async function setLight(page: Page, light: string): Promise<void> {
  await page.getByRole('button', { name: 'Units, light and help' }).click();
  await page.getByRole('radio', { name: light }).click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
}

test('four changes to the brief take twelve taps from a cold start, tomorrow’s plan three', async ({
  page,
}) => {
  await open(page, '/');
  let taps = 0;
  const tap = async (what: Locator): Promise<void> => {
    taps++;
    await what.click();
  };
  const done = page.getByRole('button', { name: 'Done' });
  await tap(page.getByTestId('brief-species'));
  await tap(page.getByRole('radio', { name: 'Zander' }));
  await tap(done);
  await tap(page.getByTestId('brief-depth'));
  taps++;
  await setDial(page, 'depth-to', 18);
  await tap(done);
  await tap(page.getByTestId('brief-water'));
  await tap(page.getByRole('radio', { name: 'gravel' }));
  await tap(done);
  await tap(page.getByTestId('brief-presentation'));
  await tap(page.getByRole('radio', { name: 'Drift' }));
  await tap(done);
  expect(taps).toBeLessThanOrEqual(12);
  await expect(page.getByTestId('brief-species')).toContainText('Zander');
  await expect(page.getByTestId('setup-range')).toHaveText('0–21 m');
  await expect(page.getByTestId('brief-water')).toContainText('over gravel');

  await page.getByTestId('plans').click();
  await page.getByTestId('plan-name').fill('Shell bar');
  await page.getByTestId('keep-plan').click();
  await expect(page.getByTestId('plan-Shell bar')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  // Another day lies between.
  await page.getByTestId('brief-depth').click();
  await setDial(page, 'depth-to', 10);
  await done.click();
  await expect(page.getByTestId('setup-range')).toHaveText('0–12 m');
  await page.waitForTimeout(700);
  await page.reload();
  taps = 0;
  await tap(page.getByTestId('plans'));
  await tap(page.getByRole('button', { name: 'Use Shell bar again' }));
  expect(taps).toBeLessThanOrEqual(3);
  await expect(page.getByTestId('setup-range')).toHaveText('0–21 m');
  await expect(page.getByTestId('brief-species')).toContainText('Zander');
});

test(
  'phases have cards of their own, a held line keeps its value, and the miniature follows',
  { tag: '@once' },
  async ({ page }) => {
    const errors = watchErrors(page);
    await open(page, '/plan?demo');
    await expect(page.getByTestId('setup-beam')).toHaveText('83 kHz wide');
    await page.getByRole('radio', { name: 'Straight down' }).click();
    await expect(page.getByTestId('setup-beam')).toHaveText('200 kHz narrow');
    await expect(page.getByTestId('setup-boatSpeed')).toHaveText('still');
    await page.getByRole('radio', { name: 'Run', exact: true }).click();
    await expect(page.getByTestId('setup-boatSpeed')).toHaveText('21.6 km/h');
    await page.getByRole('radio', { name: 'Search', exact: true }).click();

    // The slice has a card of its own, without what is one for both pictures.
    await page.getByRole('radio', { name: 'Slice', exact: true }).click();
    await expect(page.getByRole('list', { name: 'Start setup of the slice' })).toContainText('a little haze');
    await expect(page.getByTestId('setup-boatSpeed')).toHaveCount(0);
    // What is held on it is held on it alone.
    const chosen = await page.getByTestId('setup-noiseRejection').innerText();
    await page.getByTestId('hold-noiseRejection').click();
    await setDial(page, 'pin-noiseRejection', 4);
    await expect(page.getByTestId('setup-noiseRejection')).not.toHaveText(chosen);
    await page.getByRole('radio', { name: 'Cone', exact: true }).click();
    await expect(page.getByTestId('setup-noiseRejection')).toHaveText(chosen);
    await expect(page.getByTestId('setup-boatSpeed')).toBeVisible();

    await expect(page.getByTestId('miniature')).toBeVisible();
    const sum = (): Promise<number> =>
      page.getByTestId('miniature').evaluate((node) => {
        const c = node as HTMLCanvasElement;
        const { data } = c.getContext('2d')!.getImageData(0, 0, c.width, c.height);
        return data.reduce((a, x, i) => (Math.imul(a, 31) + x * (i + 1)) | 0, 0);
      });
    const before = await sum();
    await page.getByTestId('hold-range').click();
    await setDial(page, 'pin-range', 30);
    await expect(page.getByTestId('setup-range')).toHaveText('0–30 m');
    await expect(page.getByText('You hold this;')).toBeVisible();
    await expect.poll(sum).not.toBe(before);
    await expectAccessible(page);
    // It is held through a change of depth, and let go.
    await page.getByTestId('brief-depth').click();
    await setDial(page, 'depth-to', 12);
    await page.getByRole('button', { name: 'Done' }).click();
    await expect(page.getByTestId('setup-range')).toHaveText('0–30 m');
    await page.getByRole('button', { name: 'Range: let go' }).click();
    await expect(page.getByTestId('setup-range')).toHaveText('0–14 m');

    await page.getByTestId('show-numbers').click();
    await expect(page.getByRole('img', { name: /200 kHz narrow at 9 m: of \d+ dB sent/ })).toBeVisible();
    await page.getByTestId('coverage').click();
    // 60° at 12 m covers 13.9 m; a fifth in common, 60 m: (60 − 13.9) / 11.1 = 4.2, so 6 lanes.
    await expect(page.getByTestId('lanes')).toContainText('6 lanes');
    await page.getByRole('radio', { name: 'Drifts before the wind' }).click();
    await expect(page.getByTestId('lanes')).toContainText('0.4 km/h');
    await expectAccessible(page);
    expect(errors).toEqual([]);
  },
);

test(
  'a window about the fish, and one locked to the bed, have scales of their own on the bench',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/plan?demo');
    await page.getByTestId('ways-range').click();
    await page.getByRole('button', { name: 'Range: make a window about the fish my habit' }).click();
    await expect(page.getByTestId('setup-range')).toHaveText('4–17 m');
    await page.getByTestId('take-to-bench').click();
    await expect(page.getByRole('img', { name: /Echo picture, 83 kHz wide, 4–17 m/ })).toBeVisible();
    await expect(page.getByText('4 m', { exact: true })).toBeVisible();
    await page.getByRole('link', { name: 'Plan' }).click();
    await page.getByTestId('brief-species').click();
    await page.getByTestId('find-species').fill('burb');
    await page.getByRole('radio', { name: 'Burbot' }).click();
    await page.getByRole('button', { name: 'Done' }).click();
    await expect(page.getByTestId('setup-zoom')).toHaveText('locked to the bed');
    await page.getByTestId('take-to-bench').click();
    await expect(page.getByRole('img', { name: /3 m over the bed/ })).toBeVisible();
    await expect(page.getByText('bed', { exact: true })).toBeVisible();
  },
);

test('the deck card shows a line at a time, by button, key and swipe', async ({ page }) => {
  await open(page, '/plan?demo');
  await page.getByTestId('deck').click();
  await expect(page.getByTestId('deck-value')).toHaveText('0–17 m');
  await page.getByTestId('deck-next').click();
  await expect(page.getByTestId('deck-value')).toHaveText('20 m');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('deck-value')).toHaveText('83 kHz wide');
  await page.keyboard.press('ArrowLeft');
  const card = (await page.getByTestId('deck-card').boundingBox())!;
  const [x, y] = [card.x + card.width / 2, card.y + card.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 120, y, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByTestId('deck-value')).toHaveText('83 kHz wide');
  await page.getByRole('checkbox', { name: 'Set on the unit' }).click();
  await expect(page.getByRole('checkbox', { name: 'Set on the unit' })).toBeChecked();
  await expectAccessible(page);
});

test('above 8 km/h the deck card only shows', { tag: '@once' }, async ({ page, context }) => {
  await context.grantPermissions(['geolocation']);
  await page.addInitScript(() => {
    const coords = { latitude: -47, longitude: -124, accuracy: 3, speed: 4 } as GeolocationCoordinates;
    navigator.geolocation.watchPosition = (got) => {
      setTimeout(() => got({ coords, timestamp: 0 } as GeolocationPosition), 0);
      return 1;
    };
  });
  await open(page, '/deck?demo');
  await page.getByRole('button', { name: 'Watch my speed' }).click();
  const tick = page.getByRole('checkbox', { name: 'Under way: this card only shows' });
  await expect(tick).toBeVisible();
  await expect(page.getByText('14.4 km/h')).toBeVisible();
  await tick.click();
  await expect(tick).not.toBeChecked();
});

test('the sheet prints on one page, and is saved as picture and file', { tag: '@once' }, async ({ page }) => {
  await open(page, '/plan?demo');
  await page.getByTestId('sheet').click();
  await expect(page.getByTestId('paper')).toContainText('Chart speed');
  await expectAccessible(page);
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)?.length).toBe(1);

  const file = page.waitForEvent('download');
  await page.getByTestId('save-json').click();
  const json = JSON.parse(readFileSync(await (await file).path(), 'utf8')) as {
    kind: string;
    plan: { brief: { toM: number } };
  };
  expect(json).toMatchObject({ kind: 'nimble-echo-plan', plan: { brief: { toM: 14 } } });
  const picture = page.waitForEvent('download');
  await page.getByTestId('save-png').click();
  const png = readFileSync(await (await picture).path());
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  // Wider and higher than nothing: the sheet at twice its size.
  expect(png.readUInt32BE(16)).toBeGreaterThan(500);
  expect(png.length).toBeGreaterThan(20_000);
});

test(
  'three taps set up a boat, and skipping goes on with a sensible one',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/plan');
    const first = page.getByTestId('first-run');
    await first.getByRole('button', { name: 'Sea, 50 and 200 kHz' }).click();
    await first.getByRole('button', { name: 'Large' }).click();
    await expectAccessible(page);
    await first.getByRole('button', { name: 'Sea', exact: true }).click();
    await expect(first).toHaveCount(0);
    await expect(page.getByTestId('brief-water')).toContainText('salt water');
    await expect(page.getByTestId('setup-beam')).toHaveText('50 kHz wide');
    await page.waitForTimeout(700);
    await page.reload();
    await expect(page.getByTestId('setup-beam')).toHaveText('50 kHz wide');
    await expect(page.getByTestId('first-run')).toHaveCount(0);
  },
);

test('a kind of one’s own, and what cannot be is said at the field', { tag: '@once' }, async ({ page }) => {
  await open(page, '/plan?demo');
  await page.getByTestId('brief-species').click();
  await page.getByTestId('add-species').click();
  await page.getByTestId('own-species-add').click();
  await expect(page.getByRole('alert')).toHaveText('Give it a name.');
  await page.getByTestId('own-species-name').fill('Bleak');
  await page.getByRole('radio', { name: 'near the top' }).click();
  await page.getByTestId('own-species-add').click();
  await expect(page.getByTestId('keeps')).toHaveText('Bleak usually keeps near the top.');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByTestId('brief-species')).toContainText('Bleak');

  await page.getByTestId('brief-depth').click();
  const bed = page.getByTestId('typed-to');
  await bed.fill('4000');
  await bed.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('It can be 2 to 300 m.');
  await bed.fill('deep');
  await bed.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('Type a number, 2 to 300 m.');
  // 14 m is 46 ft.
  await bed.fill('46');
  await bed.press('Enter');
  await expect(page.getByRole('alert')).toContainText('46 ft would be the 14 m before');
  await expect(page.getByTestId('brief-depth')).toHaveText('6–14 m');
  await bed.press('Enter');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByTestId('brief-depth')).toHaveText('6–46 m');
});

test('Plan, Boat, deck and sheet in every light, narrow, wide and at twice the text', async ({
  page,
}, info) => {
  test.skip(info.project.name === 'phone', 'sizes are set here');
  test.setTimeout(180_000);
  await open(page, '/plan?demo');
  for (const light of ['Dusk', 'Night red', 'Day']) {
    await setLight(page, light);
    await page.waitForTimeout(300);
    await expectAccessible(page);
  }
  for (const [width, height] of [
    [320, 640],
    [1600, 1000],
    // 1280 × 800 at 200 %.
    [640, 400],
  ] as const) {
    await page.setViewportSize({ width, height });
    for (const path of ['/plan', '/boat', '/deck', '/sheet']) {
      await open(page, path);
      await page.waitForTimeout(500);
      await expectNoSideways(page);
      // What axe finds does not change between a wide page and a wider one.
      if (width === 320 || (width === 1600 && path !== '/deck' && path !== '/sheet'))
        await expectAccessible(page);
    }
  }
});
