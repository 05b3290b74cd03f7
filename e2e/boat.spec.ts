import { expect, test } from '@playwright/test';
import { expectAccessible, goTo, open, setDial, watchErrors } from './app';

test('the boat’s numbers are answered at once, and the plan counts with them', async ({ page }) => {
  const errors = watchErrors(page);
  await open(page, '/plan');
  await expect(page.getByTestId('setup-beam')).toHaveText('83 kHz wide');
  await page.getByRole('link', { name: 'Boat' }).click();
  await expect(page).toHaveURL(/boat/);

  // 20° at 14 m: 2 · 14 · tan 10° = 4.9 m; a lure 1 m off is seen from 5.7 m.
  const narrow = page.getByTestId('answers-cone-200');
  await expect(narrow).toContainText('4.9 m wide');
  await expect(narrow).toContainText('from 5.7 m');
  await setDial(page, 'boat-depth', 20);
  await expect(narrow).toContainText('7.1 m wide');

  // A tilt turns the beams, and the bracket is told back.
  await page.getByTestId('tilt-along').fill('5');
  await page.getByTestId('tilt-along').press('Enter');
  await expect(page.getByTestId('shim')).toHaveText('Turn the bracket 5.0° down at the front.');
  await expect(page.getByText('1.7 m ahead')).toBeVisible();

  // What cannot be is said at the field, with what can, and not taken.
  await page.getByTestId('angle-cone-200').fill('200');
  await page.getByTestId('angle-cone-200').press('Enter');
  await expect(page.getByRole('alert')).toHaveText('It can be 5 to 120 °.');
  await expect(narrow).toContainText('7.1 m wide');
  await page.getByTestId('angle-cone-200').fill('wide');
  await page.getByTestId('angle-cone-200').press('Enter');
  await expect(page.getByRole('alert')).toHaveText('Type a number, 5 to 120 °.');
  await page.getByTestId('angle-cone-200').fill('40');
  await page.getByTestId('angle-cone-200').press('Enter');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(narrow).toContainText('14.6 m wide');
  await expectAccessible(page);

  // Another boat begins as a copy; the first is kept and can be gone back to.
  await page.getByTestId('add-boat').click();
  await expect(page.getByTestId('boat-name')).toHaveValue('Boat 2');
  await page.getByRole('checkbox', { name: /83\/200 kHz/ }).click();
  await expect(page.getByTestId('answers-cone-200')).toHaveCount(0);
  await goTo(page, 'Plan');
  await expect(page.getByTestId('setup-beam')).toHaveText('455 kHz slice');
  await page.getByRole('link', { name: 'Boat' }).click();
  await page.getByRole('button', { name: 'Use Small boat, stern mount' }).click();
  await expect(page.getByTestId('answers-cone-200')).toBeVisible();

  // All of it is still there after a reload.
  await page.waitForTimeout(600);
  await page.reload();
  await expect(page.getByTestId('boat-name')).toHaveValue('Small boat, stern mount');
  await expect(page.getByTestId('shim')).toContainText('5.0°');
  await expect(page.getByRole('button', { name: 'Use Boat 2' })).toBeVisible();
  expect(errors).toEqual([]);
});

test('the rod is moved by dragging as by typing, and a boat’s noise counts in the plan', async ({ page }) => {
  await open(page, '/boat');
  const rod = page.getByTestId('drag-rod');
  await rod.scrollIntoViewIfNeeded();
  const box = (await rod.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 40, { steps: 4 });
  await page.mouse.move(x, y - 74, { steps: 4 });
  await page.mouse.up();
  const forward = Number(await page.getByTestId('rod-x').inputValue());
  expect(forward).toBeGreaterThan(1.5);

  await page.getByTestId('lost-at').fill('4');
  await page.getByTestId('lost-at').press('Enter');
  const use = page.getByTestId('use-noise');
  const noise = Number(/(\d+) dB/.exec((await use.textContent()) ?? '')?.[1]);
  // Lost at 4 m, where 16 m is usual: a noisy boat.
  expect(noise).toBeGreaterThan(60);
  await use.click();
  await goTo(page, 'Plan');
  await expect(page.getByText(/lost/).first()).toBeVisible();
});
