import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, goTo, open, storedTexts, watchErrors } from './app';

async function onDeck(page: Page, feed: 'simulated' | 'gateway' | 'off' = 'simulated'): Promise<void> {
  await open(page, '/deck');
  if (feed === 'off') return;
  await page.getByTestId('open-feed').click();
  await page.getByTestId(`feed-${feed}`).click();
  if (feed === 'gateway') await page.keyboard.press('Escape');
  await expect(page.getByTestId('live-depthM')).toHaveText(/\d\sm$/);
}

/** A day as it lies on the device. */
interface Kept {
  marks: { kind: string; at: string; errorM: number; heightM: number | null }[];
  bites: { answer: string; species: string; lengthM: number | null }[];
  calls: { what: string; proof: string | null }[];
  passes: { title: string }[];
  track: { supplyV: number | null }[];
  simulated: boolean;
  used: { control: string; phase: string }[];
  lanes: { count: number } | null;
}
const keptDay = async (page: Page): Promise<Kept | null> => {
  const text = Object.entries(await storedTexts(page)).find(([key]) => key.startsWith('days/'))?.[1];
  return text ? (JSON.parse(text) as { data: Kept }).data : null;
};

test('a phone on its side shows whole lines of the setup, and the mark beside the parts @once', async ({
  page,
}) => {
  await page.setViewportSize({ width: 844, height: 390 });
  await onDeck(page, 'off');
  const lines = page.getByTestId('deck-line');
  await lines.first().waitFor();
  const feet = await lines.evaluateAll((all) => all.map((line) => line.getBoundingClientRect().bottom));
  expect(feet.filter((foot) => foot <= 390).length).toBeGreaterThanOrEqual(2);
  const [mark, now] = [
    await page.getByTestId('mark').boundingBox(),
    await page.getByTestId('deck-now').boundingBox(),
  ];
  expect(mark!.y).toBeCloseTo(now!.y, 0);
  expect(mark!.height).toBeGreaterThanOrEqual(56);
});

/** Deck's own targets are for a wet thumb: at least 56 px high. */
async function expectLarge(page: Page): Promise<void> {
  const small = await page.locator('#main [role="button"], #main input[type="radio"]').evaluateAll((all) =>
    all.flatMap((one) => {
      const { height, width } = one.getBoundingClientRect();
      return width > 0 && height < 55.5 ? [`${one.getAttribute('aria-label')} ${height}`] : [];
    }),
  );
  expect(small).toEqual([]);
}

test('a fish seen some seconds ago is marked in three taps and gone back to in one @once', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await onDeck(page);
  await page.getByTestId('mark').click();
  await expectAccessible(page);
  const bar = (await page.getByTestId('mark-bar').boundingBox())!;
  // Eight seconds of the time the screen holds, from its right edge.
  const holdsS = Number(await page.getByTestId('mark-bar').getAttribute('aria-valuemax'));
  await page.mouse.click(bar.x + bar.width * (1 - 8 / holdsS), bar.y + bar.height / 2);
  await expect(page.getByTestId('mark-ago')).toHaveText(/0:0[789] ago/);
  await page.getByTestId('mark-fish').click();
  await expect(page.getByText(/^Fish marked, within/)).toBeVisible();
  await expect.poll(async () => (await keptDay(page))?.marks.length).toBe(1);
  const { marks, simulated } = (await keptDay(page))!;
  expect(simulated).toBe(true);
  const ago = Date.now() - Date.parse(marks[0]!.at);
  expect(ago).toBeGreaterThan(7000);
  await page.getByTestId('deck-find').click();
  await expect(page.getByTestId('find-distance')).toHaveText(/\d+\sm/);
  await expect(page.getByTestId('find-steer')).toHaveText(/Steer|Straight|Turn|Over it/);
  await expectAccessible(page);
  await expectLarge(page);
  await page.getByTestId('hold-spot').click();
  await expect(page.getByTestId('hold')).toContainText('off the spot');
  // By keys too.
  await page.getByTestId('mark').press('Enter');
  await page.getByTestId('mark-bar').press('ArrowLeft');
  await expect(page.getByTestId('mark-ago')).toHaveText('0:01 ago');
  await page.getByTestId('mark-bait').press('Enter');
  await expect.poll(async () => (await keptDay(page))?.marks.length).toBe(2);
  await page.getByText('Undo').last().click();
  await expect.poll(async () => (await keptDay(page))?.marks.length).toBe(1);
  expect(errors).toEqual([]);
});

test('bites and refusals are one tap each, and what they share is said @once', async ({ page }) => {
  await onDeck(page, 'off');
  await page.getByTestId('deck-spot').click();
  await expect(page.getByTestId('spot-clock')).toHaveText(/0:0\d/);
  await expectAccessible(page);
  await expectLarge(page);
  await page.getByRole('radio', { name: 'Left' }).click({ force: true });
  for (let k = 0; k < 4; k++) await page.getByTestId('answer-bite').click();
  await expect(page.getByTestId('bite-pattern')).toContainText('4 of 4 left.');
  await expect(page.getByTestId('bite-pattern')).toContainText(/Chance alone does that about 1 in \d+ times/);
  for (let k = 0; k < 2; k++) await page.getByTestId('answer-refusal').click();
  await expect(page.getByTestId('change-one')).toContainText('change one thing');
  await expect.poll(async () => (await keptDay(page))?.bites.length).toBe(6);
  // Nothing is lost by a reload.
  await page.reload();
  await page.getByTestId('deck-spot').click();
  await expect(page.getByTestId('bite-pattern')).toContainText('4 of 4 left.');
});

test('a call takes one tap and its proof another, and the record has an honest interval @once', async ({
  page,
}) => {
  await onDeck(page, 'off');
  await expectLarge(page);
  await page.getByTestId('deck-day').click();
  await expectLarge(page);
  await page.getByTestId('call-bait').click();
  await page.getByTestId('prove-refuted').click();
  await page.getByTestId('call-fish').click();
  await page.getByTestId('prove-camera').click();
  await page.getByTestId('call-weed').click();
  await page.getByTestId('prove-supported').click();
  // What is only supported counts for neither.
  await expect(page.getByTestId('day-record')).toContainText('Right 1 of 2 today. That fits 9 to 91 %');
  await page.getByTestId('day-note').fill('Wind from the west.');
  await page.getByTestId('day-note').blur();
  await expectAccessible(page);
  await goTo(page, 'Log');
  await page.getByTestId('open-days-record').click();
  await expect(page.getByTestId('days-record')).toContainText('Bait: 0 of 1');
  await expect(page.getByTestId('days-record')).toContainText('Said 80 %: right 1 of 2, so 9–91 %');
  await expectAccessible(page);
  await expect
    .poll(async () => (await keptDay(page))?.calls.map((c) => c.proof))
    .toEqual(['refuted', 'camera', 'supported']);
  // A pass saved on that day is told on its page.
  await goTo(page, 'Read');
  await page.getByTestId('open-keep').click();
  await page.getByTestId('call').fill('Perch along the bar');
  await page.getByTestId('keep').click();
  await expect
    .poll(async () => (await keptDay(page))?.passes.map((p) => p.title))
    .toEqual(['Perch along the bar']);
});

test('under way it is asked once whether someone else steers @once', async ({ page, context }) => {
  await context.grantPermissions(['geolocation']);
  await page.addInitScript(() => {
    const coords = {
      latitude: -47,
      longitude: -124,
      accuracy: 3,
      speed: 4,
      heading: 90,
    } as GeolocationCoordinates;
    navigator.geolocation.watchPosition = (got) => {
      setInterval(() => got({ coords, timestamp: 0 } as GeolocationPosition), 300);
      return 1;
    };
  });
  await open(page, '/deck?demo');
  await page.getByTestId('open-feed').click();
  await page.getByTestId('feed-device').click();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('live-speedMps')).toHaveText('14.4 km/h');
  const [first, second] = [page.getByTestId('deck-line').first(), page.getByTestId('deck-line').nth(1)];
  await first.click();
  await expect(first).not.toBeChecked();
  await page.getByRole('button', { name: 'I steer' }).click();
  await expect(first).not.toBeChecked();
  await first.click();
  await page.getByTestId('steered').click();
  await expect(first).toBeChecked();
  await second.click();
  await expect(second).toBeChecked();
});

test('the boat’s network comes through the server; its track, chart and files hold together @once', async ({
  page,
}) => {
  test.slow();
  await onDeck(page, 'gateway');
  await page.getByTestId('mark').click();
  await page.getByTestId('mark-cover').click();
  await expect.poll(async () => (await keptDay(page))?.track.length, { timeout: 40_000 }).toBeGreaterThan(2);
  await page.getByTestId('deck-map').first().click();
  await expect(page.getByRole('img', { name: /Chart of .* 1 mark,/ })).toBeVisible();
  await expectAccessible(page);
  const saved = async (kind: string): Promise<string> => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByTestId(`save-day-${kind}`).click(),
    ]);
    return readFileSync(await file.path(), 'utf8');
  };
  const gpx = await saved('gpx');
  expect(gpx).toContain('<type>cover</type>');
  expect(await saved('geojson')).toContain('FeatureCollection');
  expect(await saved('csv')).toContain('cover');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByTestId('open-places').click(),
  ]);
  await chooser.setFiles({ name: 'day.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(gpx) });
  await expect(page.getByTestId('places-said')).toContainText('1 mark and');
  const [again] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByTestId('open-places').click(),
  ]);
  await again.setFiles({ name: 'x.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from('nothing') });
  await expect(page.getByTestId('places-said')).toContainText('Nothing was changed.');
});

test('a catch is named and proves a call; lines set on the unit are kept with the day @once', async ({
  page,
}) => {
  await onDeck(page);
  await page.getByTestId('deck-line').first().click();
  await expect.poll(async () => (await keptDay(page))?.used.length).toBe(1);
  await page.getByTestId('deck-line').first().click();
  await expect.poll(async () => (await keptDay(page))?.used.length).toBe(0);
  await page.getByTestId('deck-line').first().click();
  await page.getByTestId('deck-day').click();
  await page.getByTestId('call-fish').click();
  await page.getByTestId('deck-spot').click();
  await page.getByTestId('answer-catch').click();
  const card = page.getByTestId('catch-card');
  await expect(card).toBeVisible();
  await expectAccessible(page);
  await expectLarge(page);
  await card.getByRole('radio', { name: 'Perch' }).click({ force: true });
  await card.locator('input[data-testid^="catch-length"]').fill('31');
  await card.locator('input[data-testid^="catch-length"]').press('Enter');
  await card.getByTestId('catch-proves').click();
  await card.getByTestId('catch-done').click();
  await expect(card).toHaveCount(0);
  await expect
    .poll(async () => (await keptDay(page))?.bites)
    .toMatchObject([{ answer: 'catch', species: 'Perch', lengthM: 0.31 }]);
  const day = (await keptDay(page))!;
  expect(day.calls).toMatchObject([{ what: 'fish', proof: 'caught' }]);
  // Proved on its own row, by one tap, it asks the same; a catch just noted is that one.
  await page.getByTestId('deck-day').click();
  await page.getByTestId('call-fish').click();
  await page.getByTestId('prove-caught').click();
  await expect(page.getByTestId('catch-card')).toBeVisible();
  await expect
    .poll(async () => (await keptDay(page))?.calls.map((c) => c.proof))
    .toEqual(['caught', 'caught']);
  expect((await keptDay(page))!.bites).toHaveLength(1);
  expect(day.used).toMatchObject([{ phase: 'search', control: 'beam' }]);
});

test('lanes are laid over the chart’s water, and the chart turns and is coloured three ways @once', async ({
  page,
}) => {
  await onDeck(page);
  await page.getByTestId('deck-map').first().click();
  await page.getByTestId('lay-lanes').click();
  await expectAccessible(page);
  await page.getByRole('radio', { name: /^40/ }).click({ force: true });
  await page.getByTestId('lanes-along').click();
  await expect(page.getByTestId('lanes-left')).toContainText(/lanes left|gone over/);
  const { lanes } = (await keptDay(page))!;
  expect(lanes!.count).toBeGreaterThan(0);
  await page.getByTestId('map-by').click();
  await expect(page.getByTestId('map-by')).toContainText('By hardness');
  await page.getByTestId('map-by').click();
  await expect(page.getByText(/Save a pass in Read/)).toBeVisible();
  await page.getByTestId('map-up').click();
  await expect(page.getByTestId('map-up')).toContainText('North up');
  await expectLarge(page);
  await page.getByTestId('lift-lanes').click();
  await expect(page.getByTestId('lanes-left')).toHaveCount(0);
  await page.getByText('Undo').last().click();
  await expect(page.getByTestId('lanes-left')).toBeVisible();
});

test('a second phone shows what is called out, and counts the lure down @once', async ({ page, context }) => {
  await onDeck(page, 'off');
  await page.getByTestId('deck-spot').click();
  await page.getByTestId('open-call-out').click();
  await expect(page.getByTestId('call-out')).toBeVisible();
  await page.getByTestId('call-out').click();
  await expect(page.getByTestId('call-out-heard')).toContainText('No other phone listens');
  const guest = await context.newPage();
  await open(guest, '/call-out');
  await expect(guest.getByTestId('call-out-waits')).toContainText('Keep this open');
  await page.getByTestId('call-out').click();
  await expect(page.getByTestId('call-out-heard')).toHaveText('One phone shows it.');
  await expect(guest.getByTestId('called-out')).toHaveText(/^Drop\. Stop at \S+\sm\.$/);
  await expect(guest.getByTestId('sink-count')).toHaveText(/\d+\ss/);
  await expectAccessible(guest);
  await expect(guest.getByTestId('sink-count')).toHaveText(/^[1-5]\ss$/, { timeout: 30_000 });
});
