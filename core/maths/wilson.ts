/** 95 % of a normal law lie within so many standard deviations. */
const Z = 1.96;

/** 95 % interval of a share counted as `good` of `all` (Wilson 1927); the whole of 0…1 for none counted. */
export function wilson(good: number, all: number): [low: number, high: number] {
  if (all === 0) return [0, 1];
  const p = good / all;
  const scale = 1 + Z ** 2 / all;
  const middle = (p + Z ** 2 / (2 * all)) / scale;
  const half = (Z * Math.sqrt((p * (1 - p)) / all + Z ** 2 / (4 * all * all))) / scale;
  return [Math.max(0, middle - half), Math.min(1, middle + half)];
}
