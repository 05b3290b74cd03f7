import { readFileSync } from 'node:fs';
import { expect, test, type Locator, type Page } from '@playwright/test';
import {
  drawnAnew,
  enter,
  expectAccessible,
  expectStored,
  open,
  pictureDrawn,
  setDial,
  watchErrors,
} from './app';

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

const LIGHT_STORED: Record<string, string> = {
  Day: '"theme":"day"',
  Dusk: '"theme":"dusk"',
  'Night red': '"theme":"night"',
};

async function setLight(page: Page, light: string): Promise<void> {
  await page.getByRole('button', { name: 'Units, light and help' }).click();
  await page.getByRole('radio', { name: light }).click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expectStored(page, 'preferences', LIGHT_STORED[light]!);
}

test('four changes to the brief take twelve taps from a cold start, tomorrow’s plan three @once', async ({
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
  await expectStored(page, 'plan', '"toM":10');
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
    await expect(page.getByRole('region', { name: 'Start setup of the slice' })).toBeVisible();
    await expect(page.getByTestId('setup-boatSpeed')).toHaveCount(0);
    // What is held on it is held on it alone.
    const chosen = await page.getByTestId('setup-noiseRejection').innerText();
    await page.getByTestId('cell-noiseRejection').click();
    await page.getByTestId('hold-noiseRejection').click();
    await setDial(page, 'pin-noiseRejection', 4);
    await page.keyboard.press('Escape');
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
    await page.getByTestId('cell-range').click();
    await page.getByTestId('hold-range').click();
    await setDial(page, 'pin-range', 30);
    await expect(page.getByTestId('sheet-range')).toHaveText('0–30 m');
    await expect(page.getByText('You hold this value.')).toBeVisible();
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await expect(page.getByTestId('setup-range')).toHaveText('0–30 m');
    await expect.poll(sum).not.toBe(before);
    // It is held through a change of depth, and let go.
    await page.getByTestId('brief-depth').click();
    await setDial(page, 'depth-to', 12);
    await page.getByRole('button', { name: 'Done' }).click();
    await expect(page.getByTestId('setup-range')).toHaveText('0–30 m');
    await page.getByTestId('cell-range').click();
    await page.getByTestId('hold-range').click();
    await page.keyboard.press('Escape');
    await expect(page.getByTestId('setup-range')).toHaveText('0–14 m');

    await page.getByTestId('show-numbers').click();
    await expect(page.getByRole('img', { name: /200 kHz narrow at 9 m: of \d+ dB sent/ })).toBeVisible();
    await page.getByTestId('coverage').click();
    // 60° at 12 m covers 13.9 m; a fifth in common, 60 m: (60 − 13.9) / 11.1 = 4.2, so 6 lanes.
    await expect(page.getByTestId('lanes')).toContainText('6 lanes');
    const drifts = page.getByRole('radio', { name: 'Drifts before the wind' });
    // What is loaded above may move it away under the click.
    await expect(async () => {
      await drifts.click();
      await expect(drifts).toBeChecked({ timeout: 1000 });
    }).toPass();
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
    await page.getByTestId('cell-range').click();
    await page.getByTestId('habit-range-around-fish').click();
    await page.keyboard.press('Escape');
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

/** The cells of the card that are wholly in view, and all of them. */
const cellsInView = (page: Page): Promise<[number, number]> =>
  page.evaluate(() => {
    const foot = document.querySelector('[role="navigation"]')!.getBoundingClientRect().top;
    const cells = [...document.querySelectorAll('[data-testid^="cell-"]')];
    const seen = cells.filter((c) => {
      const { top, bottom } = c.getBoundingClientRect();
      return top >= 0 && bottom <= Math.min(foot, window.innerHeight);
    });
    return [seen.length, cells.length];
  });

test('all values of a phase stand on one phone screen, what to expect folded @once', async ({
  page,
}, info) => {
  test.skip(info.project.name === 'wide', 'a phone is meant');
  await open(page, '/plan?demo');
  await page.getByTestId('fold-expectation').click();
  await expect(page.getByTestId('expectation')).toHaveCount(0);
  await expect(page.getByTestId('fold-expectation')).toContainText('You should see an arch.');
  for (const phase of ['Run', 'Search', 'Straight down']) {
    await page.getByRole('radio', { name: phase, exact: true }).click();
    const [seen, all] = await cellsInView(page);
    expect(all).toBeGreaterThanOrEqual(17);
    expect(seen).toBe(all);
  }
  // It stays folded.
  await expectStored(page, 'preferences', '"expectationFolded":true');
});

test('a sheet takes the focus, keeps it, and gives it back on Escape; chips answer the arrows', async ({
  page,
}) => {
  await open(page, '/plan?demo');
  await page.getByTestId('cell-gain').focus();
  await page.keyboard.press('Enter');
  const sheet = page.getByRole('dialog', { name: 'Gain' });
  await expect(sheet).toBeVisible();
  for (let k = 0; k < 14; k++) {
    await page.keyboard.press('Tab');
    expect(await sheet.evaluate((node) => node.contains(document.activeElement))).toBe(true);
  }
  await page.keyboard.press('Escape');
  await expect(sheet).toHaveCount(0);
  await expect(page.getByTestId('cell-gain')).toBeFocused();

  // The browser's back closes a sheet too, and leaves the page alone.
  await page.getByTestId('cell-gain').click();
  await expect(sheet).toBeVisible();
  await page.goBack();
  await expect(sheet).toHaveCount(0);
  await expect(page.getByTestId('cell-gain')).toBeVisible();

  await page.getByRole('radio', { name: 'Search', exact: true }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'Straight down' })).toBeChecked();
  await expect(page.getByTestId('setup-boatSpeed')).toHaveText('still');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('radio', { name: 'Search', exact: true })).toBeChecked();
});

test('the deck card shows five lines a page, ticks that stay, and later phases only what changes @once', async ({
  page,
}) => {
  await open(page, '/plan?demo');
  await page.getByTestId('deck').click();
  await page.getByRole('radio', { name: 'Run', exact: true }).click();
  const lines = page.getByTestId('deck-line');
  const place = page.getByTestId('deck-place');
  await expect(lines).toHaveCount(5);
  await expect(place).toHaveText(/^1 of [1-4]$/);
  await expect(lines.first()).toHaveAccessibleName('Range: 0–17 m');
  expect(
    await lines
      .first()
      .getByText('0–17 m')
      .evaluate((n) => parseFloat(getComputedStyle(n).fontSize)),
  ).toBeGreaterThanOrEqual(24);
  await page.getByTestId('deck-next').click();
  await expect(place).toHaveText(/^2 of/);
  await page.keyboard.press('ArrowRight');
  await expect(place).toHaveText(/^3 of/);
  await page.keyboard.press('ArrowLeft');
  const card = (await page.getByTestId('deck-card').boundingBox())!;
  const [x, y] = [card.x + card.width / 2, card.y + card.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 120, y, { steps: 5 });
  await page.mouse.up();
  await expect(place).toHaveText(/^3 of/);
  await lines.first().click();
  await expect(lines.first()).toBeChecked();
  await expectAccessible(page);
  // Place and ticks survive leaving.
  await expectStored(page, 'deck', /"run":2/);
  await page.reload();
  await expect(place).toHaveText(/^3 of/);
  await expect(lines.first()).toBeChecked();
  // Searching shows what is set otherwise than running, and all of it when asked.
  await page.getByRole('radio', { name: 'Search', exact: true }).click();
  await expect(page.getByRole('checkbox', { name: 'Range: 0–17 m' })).toHaveCount(0);
  await expect(page.getByRole('checkbox', { name: /^Boat speed/ })).toBeVisible();
  await page.getByRole('button', { name: 'Show all lines' }).click();
  await expect(page.getByRole('checkbox', { name: 'Range: 0–17 m' })).toBeVisible();
  await expect(place).toHaveText(/of [1-4]$/);
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
    format: string;
    data: { brief: { toM: number } };
  };
  expect(json).toMatchObject({ format: 'nimble-echo-plan', data: { brief: { toM: 14 } } });
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
    await expectStored(page, 'plan', 'cone-50');
    await expectStored(page, 'preferences', '"begun":true');
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
  await enter(bed, '4000');
  await expect(page.getByRole('alert')).toHaveText('It can be 2 to 300 m.');
  await enter(bed, 'deep');
  await expect(page.getByRole('alert')).toHaveText('Type a number, 2 to 300 m.');
  // 14 m is 46 ft.
  await enter(bed, '46');
  await expect(page.getByRole('alert')).toContainText('46 ft would be the 14 m before');
  await expect(page.getByTestId('brief-depth')).toHaveText('6–14 m');
  await enter(bed);
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
    await drawnAnew(page);
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
      await drawnAnew(page);
      await expectNoSideways(page);
      // What axe finds does not change between a wide page and a wider one.
      if (width === 320 || (width === 1600 && path !== '/deck' && path !== '/sheet'))
        await expectAccessible(page);
    }
  }
});

test(
  'sheets, chips and the deck hold on a phone on its side, and words grow with the browser’s own text',
  { tag: '@once' },
  async ({ page }) => {
    await page.setViewportSize({ width: 844, height: 390 });
    await open(page, '/tune?demo');
    await pictureDrawn(page);
    const side = (await page.getByTestId('echo-picture').boundingBox())!;
    expect(side.height).toBeGreaterThan(200);
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/plan?demo');
    const sizeOf = (): Promise<number> =>
      page.getByTestId('setup-range').evaluate((n) => parseFloat(getComputedStyle(n).fontSize));
    const before = await sizeOf();
    await page.addInitScript(() => {
      document.addEventListener('readystatechange', () => {
        document.documentElement.style.fontSize = '24px';
      });
    });
    await page.reload();
    await expect(page.getByTestId('setup-range')).toBeVisible();
    expect(await sizeOf()).toBeCloseTo(1.5 * before, 1);
  },
);

test('at night nothing on a screen outshines its brightest words', { tag: '@once' }, async ({ page }) => {
  await open(page, '/plan?demo');
  await setLight(page, 'Night red');
  for (const path of ['/plan', '/tune', '/read', '/log', '/boat', '/deck', '/train', '/guide']) {
    await open(page, path);
    if (path === '/tune' || path === '/read') await pictureDrawn(page);
    if (path === '/plan') await expect(page.getByTestId('miniature')).toBeVisible();
    await drawnAnew(page);
    const png = (await page.screenshot({ scale: 'css' })).toString('base64');
    // The picture's own pixels, read by the browser: the share over the luminance of the theme's brightest words, #ffa08f.
    const bright = await page.evaluate(async (data) => {
      const image = await createImageBitmap(
        new Blob([Uint8Array.from(atob(data), (c) => c.charCodeAt(0))], { type: 'image/png' }),
      );
      const canvas = new OffscreenCanvas(image.width, image.height);
      const context = canvas.getContext('2d')!;
      context.drawImage(image, 0, 0);
      const pixels = context.getImageData(0, 0, image.width, image.height).data;
      const linear = (c: number): number =>
        c <= 10.31475 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4;
      const table = Float64Array.from({ length: 256 }, (_, c) => linear(c));
      const luminance = (r: number, g: number, b: number): number =>
        0.2126 * table[r]! + 0.7152 * table[g]! + 0.0722 * table[b]!;
      const most = luminance(255, 160, 143) + 1e-6;
      let over = 0;
      for (let i = 0; i < pixels.length; i += 4)
        if (luminance(pixels[i]!, pixels[i + 1]!, pixels[i + 2]!) > most) over++;
      return over / (pixels.length / 4);
    }, png);
    expect({ path, bright: Math.max(0.001, bright) }).toEqual({ path, bright: 0.001 });
  }
});

test(
  'each beam on the bench keeps a gain of its own, and a plan’s slice opens as a slice',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/plan?demo');
    await page.getByRole('radio', { name: 'Slice', exact: true }).click();
    await page.getByTestId('take-to-bench').click();
    await expect(page.getByRole('img', { name: /Echo picture, 455 kHz slice/ })).toBeVisible();
    const gain = page.getByTestId('dial-gain');
    const pick = async (group: string): Promise<void> =>
      page
        .getByRole('radiogroup', { name: 'Dial', exact: true })
        .getByRole('radio', { name: group, exact: true })
        .click();
    await pick('Gain');
    const slices = await gain.inputValue();
    await pick('Frequency');
    await page.getByRole('radio', { name: '83 kHz wide' }).click();
    await pick('Gain');
    await expect(gain).not.toHaveValue(slices);
    await setDial(page, 'dial-gain', -3);
    await pick('Frequency');
    await page.getByRole('radio', { name: '455 kHz slice' }).click();
    await pick('Gain');
    await expect(gain).toHaveValue(slices);
    await pick('Frequency');
    await page.getByRole('radio', { name: '83 kHz wide' }).click();
    await pick('Gain');
    await expect(gain).toHaveValue('-3');
  },
);
