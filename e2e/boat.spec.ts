import { expect, test } from '@playwright/test';
import { boatPage, enter, expectAccessible, expectStored, goTo, open, setDial, watchErrors } from './app';

test('the boat’s numbers are answered at once, and the plan counts with them @once', async ({ page }) => {
  const errors = watchErrors(page);
  await open(page, '/plan');
  await expect(page.getByTestId('setup-beam')).toHaveText('83 kHz wide');
  await page.getByRole('link', { name: 'Boat' }).click();
  await expect(page).toHaveURL(/boat/);

  await boatPage(page, 'depth');
  // 20° at 14 m: 2 · 14 · tan 10° = 4.9 m; a lure 1 m off is seen from 5.7 m.
  const narrow = page.getByTestId('answers').first();
  await expect(narrow).toContainText('4.9 m wide');
  await expect(narrow).toContainText('from 5.7 m');
  await setDial(page, 'boat-depth', 20);
  await expect(narrow).toContainText('7.1 m wide');
  // The fish has its own depth: 2 · 12 · tan 10° = 4.2 m. A steeper slope hides more, fewer pings leave no late echo.
  await setDial(page, 'boat-fish', 12);
  await expect(narrow).toContainText('4.2 m wide');
  await setDial(page, 'boat-slope', 25);
  await expect(narrow).toContainText('Hidden over a slope of 25°');
  await expect(page.getByText('False beds at 20 pings a second')).toBeVisible();
  await setDial(page, 'boat-pings', 5);
  await expect(page.getByText('none: all echoes are back in time')).toBeVisible();

  // A tilt turns the beams, and the bracket is told back.
  await boatPage(page, 'level');
  await enter(page.getByTestId('tilt-along'), '5');
  await expect(page.getByTestId('shim')).toHaveText('Turn the bracket 5° down at the front.');
  await boatPage(page, 'depth');
  await setDial(page, 'boat-depth', 20);
  await expect(page.getByText('1.7 m ahead')).toBeVisible();

  // 20 tan 5° = 1.7 m; 24 m on 480 rows is 5 cm, at ×2 half of it.
  await boatPage(page, 'level');
  await expect(page.getByTestId('off-by-depth')).toContainText('20 m: 1.7 m');
  await boatPage(page, 'screen');
  await setDial(page, 'screen-range', 24);
  await page.getByRole('radio', { name: '×2' }).click();
  await expect(page.getByTestId('screen-row')).toHaveText('One row is 2.5 cm of water.');
  await boatPage(page, 'level');
  // On the trailer: a level face under a deck 4° bow up there and 1° afloat looks 3° astern.
  await page.getByRole('radio', { name: 'On the trailer' }).click();
  for (const [id, value] of [
    ['deck-afloat-along', '1'],
    ['deck-trailer-along', '4'],
  ] as const) {
    await enter(page.getByTestId(id), value);
  }
  await expect(page.getByTestId('carried')).toContainText('3° astern');
  await page.getByRole('radio', { name: 'The transducer, afloat' }).click();

  // What cannot be is said at the field, with what can, and not taken.
  await boatPage(page, 'fitted');
  await enter(page.getByTestId('angle-cone-200'), '200');
  await expect(page.getByRole('alert')).toHaveText('It can be 5 to 120 °.');
  await enter(page.getByTestId('angle-cone-200'), 'wide');
  await expect(page.getByRole('alert')).toHaveText('Type a number, 5 to 120 °.');
  await enter(page.getByTestId('angle-cone-200'), '40');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await boatPage(page, 'depth');
  await setDial(page, 'boat-depth', 20);
  await expect(narrow).toContainText('14.6 m wide');
  await expectAccessible(page);

  // Another boat begins as a copy; the first is kept and can be gone back to.
  await boatPage(page, 'boats');
  await page.getByTestId('add-boat').click();
  await expect(page.getByTestId('boat-name')).toHaveValue('Boat 2');
  await boatPage(page, 'fitted');
  await page.getByRole('checkbox', { name: /83\/200 kHz/ }).click();
  await boatPage(page, 'depth');
  await expect(page.getByTestId('column-slice-455')).toBeVisible();
  await expect(page.getByTestId('column-cone-200')).toHaveCount(0);
  await goTo(page, 'Plan');
  await expect(page.getByTestId('setup-beam')).toHaveText('455 kHz slice');
  await page.getByRole('link', { name: 'Boat' }).click();
  await boatPage(page, 'boats');
  await page.getByRole('button', { name: 'Use Small boat, stern mount' }).click();
  await boatPage(page, 'depth');
  await expect(page.getByTestId('column-cone-200')).toBeVisible();
  await boatPage(page, 'boats');

  // All of it is still there after a reload.
  await expectStored(page, 'plan', '"name":"Small boat, stern mount"');
  await page.reload();
  await expect(page.getByTestId('boat-name')).toHaveValue('Small boat, stern mount');
  await expect(page.getByRole('button', { name: 'Use Boat 2' })).toBeVisible();
  await boatPage(page, 'level');
  await expect(page.getByTestId('shim')).toContainText('5°');
  expect(errors).toEqual([]);
});

test('a cone follows its frequency when asked to', { tag: '@once' }, async ({ page }) => {
  await open(page, '/boat?page=fitted');
  await enter(page.getByTestId('frequency-cone-200'), '120');
  // Its name tells the frequency, and follows it.
  await expect(page.getByTestId('name-cone-200')).toHaveValue('120 kHz narrow');
  // sin 10° · 200 / 120 = sin 16.82°.
  await page.getByRole('button', { name: /use a cone of 34 degrees/ }).click();
  await expect(page.getByTestId('angle-cone-200')).toHaveValue('33.6');
  await expect(page.getByRole('button', { name: /use a cone of/ })).toHaveCount(0);
});

test('things are moved on the boat by dragging as by typing, and a boat’s noise counts in the plan @once', async ({
  page,
}) => {
  await open(page, '/boat?page=depth');
  const offs = page
    .getByRole('rowgroup')
    .filter({ hasText: 'A mark set from' })
    .getByTestId('answer-slice-455');
  const offBefore = await offs.innerText();
  await boatPage(page, 'places');
  const drag = async (name: string, across: number, down: number): Promise<void> => {
    const dot = page.getByTestId(name);
    await dot.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    const box = (await dot.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + across / 2, y + down / 2, { steps: 4 });
    await page.mouse.move(x + across, y + down, { steps: 4 });
    await page.mouse.up();
  };
  const place = async (name: string): Promise<number> => Number(await page.getByTestId(name).inputValue());
  await drag('top-rod', 0, -74);
  const forward = await place('rod-x');
  expect(forward).toBeGreaterThan(1.5);
  // From the side, only how far forward it is.
  await drag('side-rod', 40, 30);
  await expect.poll(() => place('rod-x')).toBeGreaterThan(forward + 0.5);
  expect(await place('rod-y')).toBe(-0.8);

  // The first transducer is what all is counted from: it moves, and the rest stays where it is on the boat.
  const [rodBefore, sternBefore] = [await place('rod-x'), await place('stern-x')];
  await drag('top-transducer', 0, -60);
  await expect.poll(() => place('stern-x')).toBeLessThan(sternBefore - 1);
  const by = sternBefore - (await place('stern-x'));
  await expect.poll(async () => Number((rodBefore - (await place('rod-x')) - by).toFixed(6))).toBe(0);
  // The slice hangs with it until it is given a place of its own; its answers count from there.
  await enter(page.getByTestId('imaging-x'), '3.5');
  await boatPage(page, 'depth');
  await expect(offs).not.toHaveText(offBefore);

  await boatPage(page, 'noise');
  await enter(page.getByTestId('lost-at'), '4');
  const use = page.getByTestId('use-noise');
  const noise = Number(/(\d+) dB/.exec((await use.getAttribute('aria-label')) ?? '')?.[1]);
  // Lost at 4 m, where 16 m is usual: a noisy boat.
  expect(noise).toBeGreaterThan(60);
  await use.click();
  await goTo(page, 'Plan');
  await expect(page.getByText(/lost|faint/).first()).toBeVisible();
});

test(
  'an unknown cone is carried wide and narrow, found with a weight, and faults are drawn',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/boat?demo');
    const narrow = page.getByTestId('answers').first();
    await boatPage(page, 'fitted');
    await page
      .getByRole('checkbox', { name: /I do not know this cone/ })
      .first()
      .click();
    await boatPage(page, 'depth');
    // 20° may be 12.8° to 32°: at 14 m 3.1 to 8.0 m.
    await expect(narrow).toContainText('3.1 m to 8 m wide');
    await expect(narrow).toContainText('13° to 32°');
    await boatPage(page, 'fitted');
    await enter(page.getByTestId('cone-depth-cone-200'), '5');
    await enter(page.getByTestId('cone-side-cone-200'), '1.34');
    await expectAccessible(page);
    // 2 atan(1.34 / 5) = 30.0°.
    await page.getByTestId('cone-found-cone-200').click();
    await expect(page.getByTestId('angle-cone-200')).toHaveValue('30');
    await boatPage(page, 'depth');
    await expect(narrow).toContainText('7.5 m wide');

    await boatPage(page, 'fitted');
    await enter(page.getByTestId('power-cone-200'), '-5');
    await expect(page.getByRole('alert')).toHaveText('It can be 1 to 5000 W.');
    await enter(page.getByTestId('power-cone-200'), '300');

    await boatPage(page, 'mount');
    await page.getByTestId('faults').click();
    await expect(page.getByTestId('fault-wrong-kind')).toBeVisible();
    const ink = (fault: string): Promise<number> =>
      page.getByTestId(`fault-${fault}`).evaluate((node) => {
        const c = node as HTMLCanvasElement;
        const { data } = c.getContext('2d')!.getImageData(0, 0, c.width, c.height);
        let count = 0;
        for (let i = 0; i < data.length; i += 4)
          if (data[i] !== data[0] || data[i + 1] !== data[1] || data[i + 2] !== data[2]) count++;
        return count;
      });
    await expect.poll(() => ink('none')).toBeGreaterThan(1000);
    await expect.poll(() => ink('churned')).toBeGreaterThan(await ink('none'));
    await expectAccessible(page);
  },
);

test('a plan speaks in the unit’s own numbers once they are told', { tag: '@once' }, async ({ page }) => {
  await open(page, '/boat?demo');
  await boatPage(page, 'screen');
  await page.getByRole('radio', { name: 'Noise rejection', exact: true }).click();
  await enter(page.getByTestId('scale-lowest'), '5');
  await enter(page.getByTestId('scale-highest'), '1');
  await page.getByTestId('scale-tell').click();
  await expect(page.getByRole('alert')).toContainText('The highest must be above the lowest');
  await enter(page.getByTestId('scale-lowest'), '1');
  await enter(page.getByTestId('scale-highest'), '9');
  await page.getByTestId('scale-tell').click();

  await page.getByRole('radio', { name: 'Chart speed', exact: true }).click();
  await page.getByTestId('scale-tell').click();
  const type = async (id: string, value: string): Promise<void> => {
    await enter(page.getByTestId(id), value);
  };
  // 640 columns: at 3 in 64 s is 10 a second, at 6 in 32 s is 20; none at all at 0 is no line.
  await type('chart-first-shown', '3');
  await type('chart-first-time', '64');
  await type('chart-second-shown', '3');
  await page.getByTestId('chart-use').click();
  await expect(page.getByRole('alert')).toContainText('the two settings must differ');
  await type('chart-second-shown', '6');
  await type('chart-second-time', '32');
  await page.getByTestId('chart-use').click();
  await expect(page.getByTestId('chart-told')).toContainText('s a column');
  await expectAccessible(page);
  await goTo(page, 'Plan');
  // No rejection is the unit's lowest; a column a ping, 12.5 a second, lies between 3 and 4.
  await expect(page.getByTestId('setup-noiseRejection')).toHaveText('1');
  await expect(page.getByTestId('setup-chartSpeed')).toHaveText('4');
});

test(
  'every answer of Boat is two taps away, each card says its state, and a beam can be removed alone',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/boat?demo');
    await expect(page.getByTestId('boat-card-noise')).toContainText('assumed, not measured');
    await expect(page.getByTestId('boat-card-fitted')).toContainText(
      '200 kHz narrow, 83 kHz wide, 455 kHz slice',
    );
    for (const name of ['depth', 'fitted', 'screen', 'places', 'level', 'noise', 'mount', 'boats']) {
      await boatPage(page, name);
      // One tap from the home opens it; nothing on it needs more than one more.
      await expect(
        page
          .getByTestId(`boat-card-${name}`)
          .or(page.getByRole('button', { name: 'Back to the boat' }))
          .first(),
      ).toBeVisible();
      await expectAccessible(page);
    }
    await boatPage(page, 'fitted');
    await page.getByTestId('remove-cone-83').click();
    await expect(page.getByTestId('name-cone-83')).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByTestId('name-cone-83')).toBeVisible();
  },
);
