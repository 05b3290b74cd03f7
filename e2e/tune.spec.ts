import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, open, pictureDrawn, pictureSum, setDial, watchErrors } from './app';

/** Shows a dial: on a phone one at a time. */
async function show(page: Page, group: string, dial?: string): Promise<void> {
  const chip = page
    .getByRole('radiogroup', { name: 'Dial', exact: true })
    .getByRole('radio', { name: group });
  if (await chip.count()) await chip.click();
  const one = page
    .getByRole('radiogroup', { name: 'Dial of the group' })
    .getByRole('radio', { name: dial ?? group, exact: true });
  if (dial && (await one.count())) await one.click();
}

test('every dial changes the picture as it says @once', async ({ page }) => {
  const errors = watchErrors(page);
  await open(page, '/tune');
  let before = await pictureDrawn(page);
  const first = await pictureSum(page);
  expect([first.width, first.height]).toEqual([640, 480]);

  const inkedAfter = async (group: string, name: string, value: number, dial?: string): Promise<number> => {
    await show(page, group, dial);
    await setDial(page, name, value);
    before = await pictureDrawn(page, before);
    return (await pictureSum(page)).inked;
  };
  await expect(page.getByTestId('meter-words')).toContainText('Open water');
  const loud = await inkedAfter('Gain', 'dial-gain', 10);
  await expect(page.getByTestId('meter-words')).toContainText('Specks fill the open water');
  await expect(page.getByTestId('turn-words')).toContainText('more specks');
  expect(loud).toBeGreaterThan(first.inked * 1.3);
  const cut = await inkedAfter('Colour', 'dial-firstColour', 20);
  expect(cut).toBeLessThan(loud);
  await inkedAfter('Colour', 'dial-colourSpread', 45, 'Colour spread');
  const quiet = await inkedAfter('Noise rejection', 'dial-noiseRejection', 8);
  expect(quiet).toBeLessThan(cut);
  // Back to a picture with something in it before the window changes.
  const unfiltered = await inkedAfter('Noise rejection', 'dial-noiseRejection', 0);
  const shallow = await inkedAfter('Range', 'dial-range', 13);
  expect(shallow).toBeLessThan(unfiltered);
  await inkedAfter('Chart speed', 'dial-chartSpeed', 5);
  await inkedAfter('Back in time', 'dial-time', 60);
  await show(page, 'Frequency');
  await page
    .getByRole('radiogroup', { name: 'Frequency', exact: true })
    .getByRole('radio', { name: '200 kHz narrow' })
    .click();
  before = await pictureDrawn(page, before);
  expect(errors).toEqual([]);
});

test('keys turn a dial, and the pass plays', async ({ page }) => {
  await open(page, '/tune');
  const first = await pictureDrawn(page);
  await show(page, 'Gain');
  await page.getByTestId('dial-gain').focus();
  await page.keyboard.press('ArrowRight');
  await pictureDrawn(page, first);
  await page.getByRole('button', { name: 'Play the pass' }).click();
  await expect(page.getByRole('button', { name: 'Pause the pass' })).toBeVisible();
  const one = (await pictureSum(page)).sum;
  await expect.poll(async () => (await pictureSum(page)).sum).not.toBe(one);
  await page.getByRole('button', { name: 'Pause the pass' }).click();
  await expect(page.getByRole('button', { name: 'Play the pass' })).toBeVisible();
});

test(
  'every setting of a unit can be turned, taken back, and put back to the start setup',
  { tag: '@once' },
  async ({ page }) => {
    const errors = watchErrors(page);
    await open(page, '/plan?demo');
    await page.getByTestId('take-to-bench').click();
    const start = await pictureDrawn(page);
    let before = start;
    const changes = async (turn: () => Promise<void>): Promise<void> => {
      await turn();
      before = await pictureDrawn(page, before);
    };
    const choose = (group: string, dial: string, way: string) => async (): Promise<void> => {
      await show(page, group, dial);
      await page
        .getByRole('radiogroup', { name: dial, exact: true })
        .getByRole('radio', { name: way })
        .click();
    };
    const turn = (group: string, dial: string, name: string, value: number) => async (): Promise<void> => {
      await show(page, group, dial);
      await setDial(page, name, value);
    };
    await changes(choose('Gain', 'Gain by depth', 'Off'));
    await changes(choose('Gain', 'Gain by depth', 'For fish'));
    await changes(choose('Gain', 'Who sets the gain', 'Auto, with your offset'));
    await changes(choose('Gain', 'Who sets the gain', 'By hand'));
    await changes(choose('Frequency', 'Power', 'Low'));
    await changes(choose('Frequency', 'Power', 'Full'));
    await changes(choose('Colour', 'Below the bed', 'Colours of its own'));
    await changes(turn('Noise rejection', 'Averaging', 'dial-averaging', 4));
    await changes(turn('Range', 'Zoom', 'dial-zoom', 2));
    await changes(turn('Range', 'Lock to the bed', 'dial-bedLock', 4));
    await page.getByRole('button', { name: 'Lock to the bed: off' }).click();
    before = await pictureDrawn(page, before);
    await changes(() => page.getByRole('button', { name: 'Undo the last turn' }).click());
    await page.getByTestId('back-to-start').click();
    await expect.poll(() => pictureDrawn(page)).toBe(start);
    await expectAccessible(page);
    expect(errors).toEqual([]);
  },
);

test(
  'two ways to set the same pings are shown in turn, and either is kept',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/plan?demo');
    await page.getByTestId('take-to-bench').click();
    const a = await pictureDrawn(page);
    await page.getByTestId('compare').click();
    await show(page, 'Gain');
    await setDial(page, 'dial-gain', 6);
    const b = await pictureDrawn(page, a);
    const way = (name: string) =>
      page.getByRole('radiogroup', { name: 'Way shown' }).getByRole('radio', { name });
    await way('A').click();
    await expect.poll(async () => (await pictureSum(page)).sum).toBe(a);
    await way('B').click();
    await expect.poll(async () => (await pictureSum(page)).sum).toBe(b);
    await way('A').click();
    await page.getByTestId('keep-shown').click();
    await expect(page.getByTestId('compare')).toBeVisible();
    await expect.poll(async () => (await pictureSum(page)).sum).toBe(a);
  },
);
