import { f1Of, scoreScreen } from './accuracy/screens';

// A screenshot in one panel, and a photo of two with grid lines and a lamp on the glass; forty are read by `npm run accuracy`.
it('pictures of screens, as a phone keeps them, show their bed and their fish', async () => {
  const [shot, photo] = [await scoreScreen(18, 5100), await scoreScreen(19, 5100)];
  for (const { bedNear, bedAll, deep } of [shot, photo]) {
    expect(bedNear / bedAll).toBeGreaterThanOrEqual(0.95);
    expect(deep).toBe(0);
  }
  const sum = {
    ...shot,
    found: shot.found + photo.found,
    missed: shot.missed + photo.missed,
    extra: shot.extra + photo.extra,
  };
  expect(sum.found + sum.missed).toBeGreaterThanOrEqual(5);
  expect(f1Of(sum)).toBeGreaterThanOrEqual(0.85);
});
