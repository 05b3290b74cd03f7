import { poissonInterval } from './poissonInterval';

// Exact limits (Garwood 1936), from tables.
it.each([
  [0, 0, 3.69],
  [1, 0.03, 5.57],
  [5, 1.62, 11.67],
  [10, 4.8, 18.39],
  [50, 37.11, 65.92],
])('%d seen: %d to %d', (count, low, high) => {
  const [l, h] = poissonInterval(count);
  expect(Math.abs(l - low)).toBeLessThanOrEqual(0.05 + 0.01 * low);
  expect(Math.abs(h - high)).toBeLessThanOrEqual(0.05 + 0.01 * high);
});
