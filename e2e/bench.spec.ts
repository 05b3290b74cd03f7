import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, expectStored, open, pictureDrawn, pictureSum, setDial, watchErrors } from './app';

/** The plan's water on the bench, drawn. */
async function bench(page: Page): Promise<number> {
  await open(page, '/plan?demo');
  await page.getByTestId('take-to-bench').click();
  return pictureDrawn(page);
}

async function showDial(page: Page, group: string, dial: string): Promise<void> {
  const chip = page
    .getByRole('radiogroup', { name: 'Dial', exact: true })
    .getByRole('radio', { name: group });
  if (!(await chip.count())) return;
  await chip.click();
  const one = page
    .getByRole('radiogroup', { name: 'Dial of the group' })
    .getByRole('radio', { name: dial, exact: true });
  if (await one.count()) await one.click();
}

const openWater = (page: Page, tab: string): Promise<void> =>
  page
    .getByRole('button', { name: 'Choose the water' })
    .click()
    .then(() => page.getByRole('radio', { name: tab }).click());

test('two pictures stand over one water, one is chosen by touch, and marks of one lie on the other', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await bench(page);
  const second = page.getByTestId('echo-picture-second');
  await showDial(page, 'Frequency', 'Pictures');
  const pictures = page.getByRole('radiogroup', { name: 'Pictures' });
  await pictures.getByRole('radio', { name: 'Two' }).click();
  await expect(second).toBeVisible();
  await expect(second).toHaveAttribute('aria-label', /455 kHz slice/);
  await page.getByTestId('picture-touch').hover({ position: { x: 60, y: 40 } });
  await expect(page.getByTestId('picture-facts')).toContainText('ago');
  await page.getByTestId('picture-touch-second').click({ position: { x: 60, y: 40 } });
  await expect(page.getByTestId('echo-picture')).toHaveAttribute('aria-label', /455 kHz slice/);
  await expect(second).toHaveAttribute('aria-label', /83 kHz wide/);
  await pictures.getByRole('radio', { name: 'One' }).click();
  await expect(second).toHaveCount(0);
  const plain = await pictureDrawn(page);
  await pictures.getByRole('radio', { name: 'With outlines' }).click();
  await pictureDrawn(page, plain);
  await expectAccessible(page);
  expect(errors).toEqual([]);
});

test(
  'keys point at a place, zoom, and turn dials; a list of them is on the question mark',
  { tag: '@once' },
  async ({ page }) => {
    let before = await bench(page);
    await page.getByTestId('picture-touch').focus();
    await page.keyboard.press('ArrowLeft');
    await expect(page.getByTestId('picture-facts')).toContainText('s ago');
    await page.keyboard.press('+');
    before = await pictureDrawn(page, before);
    await page.keyboard.press('-');
    before = await pictureDrawn(page, before);
    await page.keyboard.press('g');
    before = await pictureDrawn(page, before);
    await page.keyboard.press('u');
    await pictureDrawn(page, before);
    await page.keyboard.press('?');
    await expect(page.getByRole('list', { name: 'Keys of the bench' })).toContainText('Gain up');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('list', { name: 'Keys of the bench' })).toHaveCount(0);
  },
);

test(
  'a next move is named with its reason and made, and a walk goes a dial at a time',
  { tag: '@once' },
  async ({ page }) => {
    const start = await bench(page);
    await showDial(page, 'Gain', 'Gain');
    await setDial(page, 'dial-gain', 8);
    const loud = await pictureDrawn(page, start);
    await expect(page.getByTestId('do-move')).toBeVisible();
    await page.getByTestId('why-move').click();
    await expect(page.getByText(/You would pick out \d+ of the \d+ fish/)).toBeVisible();
    await page.getByTestId('do-move').click();
    const moved = await pictureDrawn(page, loud);
    await expect(page.getByTestId('start-walk')).toBeVisible();
    await setDial(page, 'dial-gain', 8);
    await pictureDrawn(page, moved);
    await page.getByTestId('start-walk').click();
    await expect(page.getByTestId('walk')).toContainText(/Move \d+ of \d+/);
    await expect(page.getByRole('button', { name: 'Put the walk away' })).toBeVisible();
    await page.getByRole('button', { name: 'Put the walk away' }).click();
    await expect(page.getByTestId('next-move')).toBeVisible();
  },
);

test(
  'a turn that unsettles the gain says so, and is set right and undone as one',
  { tag: '@once' },
  async ({ page }) => {
    const start = await bench(page);
    await showDial(page, 'Gain', 'Gain by depth');
    await page.getByRole('radiogroup', { name: 'Gain by depth' }).getByRole('radio', { name: 'Off' }).click();
    await pictureDrawn(page, start);
    await expect(page.getByTestId('next-move')).toContainText('Gain by depth asks for: Gain');
    await page.getByRole('button', { name: 'Do both as one turn' }).click();
    await expectStored(page, 'bench', /"tvg":"flat"/);
    await page.getByRole('button', { name: 'Undo the last turn' }).click();
    await expectStored(page, 'bench', /"tvg":"target"/);
    await expect.poll(async () => (await pictureSum(page)).sum).toBe(start);
  },
);

test(
  'settings are kept by name for a phase, come back on other water, and go on to Read and the log',
  { tag: '@once' },
  async ({ page }) => {
    const start = await bench(page);
    await showDial(page, 'Gain', 'Gain');
    await setDial(page, 'dial-gain', 9);
    await pictureDrawn(page, start);
    const save = page.getByRole('button', { name: 'Save or use these settings' });
    await save.click();
    await page.getByTestId('settings-name').fill('Loud');
    await page
      .getByRole('radiogroup', { name: 'Phase of the day' })
      .getByRole('radio', { name: 'Drift' })
      .click();
    await page.getByTestId('keep-settings').click();
    await expect(page.getByTestId('kept-settings-Loud')).toContainText('Loud · Drift');
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await setDial(page, 'dial-gain', 2);
    await expectStored(page, 'bench', /"gainDb":2,/);
    await page.reload();
    await pictureDrawn(page);
    await showDial(page, 'Gain', 'Gain');
    await expect(page.getByTestId('dial-gain-value')).toContainText('2');
    await save.click();
    await page.getByRole('button', { name: 'Set the water on the bench as Loud says' }).click();
    await expect(page.getByTestId('dial-gain-value')).toContainText('9');
    await save.click();
    await page.getByTestId('pass-to-log').click();
    await expect(page.getByTestId('call')).toBeVisible();
    await page.getByTestId('call').fill('Perch along the slope');
    await page.getByTestId('keep').click();
    await expect(page.getByText('Saved to the log.')).toBeVisible();
  },
);

test(
  'a complaint is found by everyday words, drawn on this boat, and mended',
  { tag: '@once' },
  async ({ page }) => {
    const start = await bench(page);
    await showDial(page, 'Gain', 'Gain');
    await setDial(page, 'dial-gain', 20);
    const loud = await pictureDrawn(page, start);
    await page.getByRole('button', { name: 'What is wrong with the picture' }).click();
    await page.getByTestId('symptom-search').fill('noise dots sensitivity');
    await expect(page.getByRole('list', { name: 'Complaints' }).getByRole('button').first()).toHaveText(
      'Specks everywhere',
    );
    await page.getByTestId('symptom-specks').click();
    await expect(page.getByTestId('symptom-picture')).toHaveCount(2);
    await expectAccessible(page);
    await page.getByTestId('turn-remedy').click();
    await expect.poll(async () => (await pictureSum(page)).sum).toBe(start);
    expect(loud).not.toBe(start);
  },
);

test(
  'the cutaway says what made an echo, and a lesson shows its two ways',
  { tag: '@once' },
  async ({ page }) => {
    await bench(page);
    await page.getByTestId('turn-cutaway').click();
    await expect(page.getByTestId('cutaway')).toContainText('The beam covers');
    // The keys' cursor begins in the middle of the water, near the right edge; the bed lies at four fifths of the window.
    await page.getByTestId('picture-touch').focus();
    for (let k = 0; k < 3; k++) await page.keyboard.press('Shift+ArrowDown');
    for (let k = 0; k < 3; k++) await page.keyboard.press('ArrowDown');
    await expect(page.getByTestId('cutaway')).toContainText('The bed');
    for (let k = 0; k < 6; k++) await page.keyboard.press('Shift+ArrowUp');
    await expect(page.getByTestId('cutaway')).toContainText('Open water');
    await expectAccessible(page);
    await page.getByTestId('turn-cutaway').click();
    await openWater(page, 'Traps');
    await page.getByTestId('trap-filter-eats-fish').click();
    await expect(page.getByTestId('lesson')).toContainText('No filter');
    const a = await pictureDrawn(page);
    await page.getByRole('radiogroup', { name: 'Way shown' }).getByRole('radio', { name: 'B' }).click();
    await expect(page.getByTestId('lesson')).toContainText('Much filter');
    await pictureDrawn(page, a);
    const sides = page.getByRole('radiogroup', { name: 'Show the two' });
    await sides.getByRole('radio', { name: 'Beside' }).click();
    await expect(page.getByTestId('echo-picture-second')).toBeVisible();
    await sides.getByRole('radio', { name: 'Wipe' }).click();
    await expect(page.getByTestId('wipe')).toBeVisible();
    await page.getByTestId('keep-shown').click();
    await expect(page.getByTestId('compare-line')).toHaveCount(0);
  },
);

test(
  'water of one’s own, a boat steered while it runs, and an alarm heard and seen',
  { tag: '@once' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const tones: number[] = ((window as unknown as { tones: number[] }).tones = []);
      const real = OscillatorNode.prototype.start;
      OscillatorNode.prototype.start = function (when?: number) {
        tones.push(this.frequency.value);
        real.call(this, when);
      };
    });
    let before = await bench(page);
    await openWater(page, 'My water');
    await page.getByRole('radiogroup', { name: 'Cover' }).getByRole('radio', { name: 'Timber' }).click();
    await page.keyboard.press('Escape');
    before = await pictureDrawn(page, before);
    await showDial(page, 'Boat', 'Way of the boat');
    await page.getByTestId('way-back').click();
    await expect(page.getByRole('button', { name: 'Pause the pass' })).toBeVisible();
    await pictureDrawn(page, before);
    await page.getByRole('button', { name: 'Pause the pass' }).click();
    await page.getByTestId('unsteer').click();
    await expect(page.getByTestId('unsteer')).toHaveCount(0);
    await showDial(page, 'Range', 'Shallow alarm');
    await setDial(page, 'dial-shallowAlarm', 50);
    await expect(page.getByTestId('shallow-alarm')).toContainText('Shallow');
    await expect
      .poll(() => page.evaluate(() => (window as unknown as { tones: number[] }).tones.length))
      .toBe(3);
    await showDial(page, 'Range', 'Level line');
    await setDial(page, 'dial-levelLine', 8);
    await expect(page.getByTestId('level-line')).toBeVisible();
  },
);

test(
  'a bench goes to another device as a link that asks first, and a damaged one changes nothing',
  { tag: '@once' },
  async ({ page }) => {
    const start = await bench(page);
    await showDial(page, 'Gain', 'Gain');
    await setDial(page, 'dial-gain', 3);
    await pictureDrawn(page, start);
    await page.evaluate(() => {
      Object.defineProperty(navigator, 'share', { value: undefined });
      Object.defineProperty(navigator, 'clipboard', {
        value: {
          writeText: async (text: string) => void ((window as unknown as { link: string }).link = text),
        },
      });
    });
    await page.getByRole('button', { name: 'Save or use these settings' }).click();
    await page.getByTestId('share-bench').click();
    await expect(page.getByText('The link is copied')).toBeVisible();
    const link = await page.evaluate(() => (window as unknown as { link: string }).link);
    expect(link.length).toBeLessThanOrEqual(2000);
    await page.keyboard.press('Escape');
    await setDial(page, 'dial-gain', 9);
    await expectStored(page, 'bench', /"gainDb":9,/);
    await page.goto(link);
    await page.getByTestId('open-linked').click();
    await expect(page.getByTestId('dial-gain-value')).toContainText('3');
    await expectStored(page, 'bench', /"gainDb":3,/);
    for (const bad of [
      `${link.slice(0, -30)}`,
      link.replace('#bench=', '#bench=AAAA'),
      '/tune#bench=%%%',
      `/tune#bench=${'A'.repeat(3000)}`,
    ]) {
      await page.goto('/plan');
      await page.goto(bad);
      await expect(page.getByText('This link is cut short or damaged.').first()).toBeVisible();
      await expect(page.getByTestId('dial-gain-value')).toContainText('3');
    }
  },
);

test(
  'a turn while the pass runs leaves what was drawn as it was, when that is asked for',
  { tag: '@once' },
  async ({ page }) => {
    await bench(page);
    await showDial(page, 'Back in time', 'Back in time');
    const before = await pictureDrawn(page);
    await setDial(page, 'dial-time', 60);
    const then = await pictureDrawn(page, before);
    await showDial(page, 'Back in time', 'What a turn redraws');
    await page
      .getByRole('radiogroup', { name: 'What a turn redraws' })
      .getByRole('radio', { name: 'New columns' })
      .click();
    await showDial(page, 'Gain', 'Gain');
    await setDial(page, 'dial-gain', 12);
    await expect(page.getByTestId('dial-gain-value')).toContainText('12');
    // No column has come since the turn.
    expect((await pictureSum(page)).sum).toBe(then);
    await showDial(page, 'Back in time', 'Back in time');
    await setDial(page, 'dial-time', 64);
    await pictureDrawn(page, then);
    const inkedAt = (part: number) =>
      page.getByTestId('echo-picture').evaluate((node, share) => {
        const canvas = node as HTMLCanvasElement;
        const x = Math.floor(share * canvas.width);
        const { data } = canvas
          .getContext('2d')!
          .getImageData(x, 0, Math.floor(0.05 * canvas.width), canvas.height);
        let inked = 0;
        for (let i = 0; i < data.length; i += 4) if (data[i] !== data[0]) inked++;
        return inked;
      }, part);
    // What came after the turn is louder than what stood before it.
    expect(await inkedAt(0.95)).toBeGreaterThan(1.2 * (await inkedAt(0.85)));
  },
);

test('on deck a complaint stands in large words alone', { tag: '@once' }, async ({ page }) => {
  await open(page, '/deck?demo');
  await page.getByTestId('deck-wrong').click();
  await page.getByTestId('symptom-search').fill('interference');
  await page.getByTestId('symptom-dashes').click();
  await expect(page.getByTestId('complaint-words')).toContainText('Turn the filter for other sounders up');
  await expectAccessible(page);
});
