/** 95 % of a normal law lie within so many standard deviations. */
const Z = 1.96;

/** 95 % interval of the mean of a count seen once (Byar's approximation to the Poisson law; Breslow and Day 1987, eq. 2.13). */
export function poissonInterval(count: number): [low: number, high: number] {
  const low = count === 0 ? 0 : count * (1 - 1 / (9 * count) - Z / (3 * Math.sqrt(count))) ** 3;
  const more = count + 1;
  return [Math.max(0, low), more * (1 - 1 / (9 * more) + Z / (3 * Math.sqrt(more))) ** 3];
}
