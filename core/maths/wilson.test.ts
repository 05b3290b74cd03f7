import { fingerprintOf } from './textHash';
import { wilson } from './wilson';

describe('the interval of a counted share', () => {
  it('agrees with worked examples', () => {
    // Newcombe 1998, table I: 81 of 263, and 0 of 20.
    expect(wilson(81, 263)[0]).toBeCloseTo(0.2553, 3);
    expect(wilson(81, 263)[1]).toBeCloseTo(0.3662, 3);
    expect(wilson(0, 20)[0]).toBe(0);
    expect(wilson(0, 20)[1]).toBeCloseTo(0.1611, 3);
  });
  it('knows nothing of nothing', () => expect(wilson(0, 0)).toEqual([0, 1]));
});

it('texts that differ in a letter have other fingerprints', () => {
  const names = Array.from({ length: 2000 }, (_, i) => fingerprintOf(`pass ${i}`));
  expect(new Set(names).size).toBe(2000);
  expect(names[0]).toMatch(/^[0-9a-f]{16}$/);
});
