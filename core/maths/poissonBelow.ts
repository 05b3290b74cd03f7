/**
 * Chance of fewer events than a count under the Poisson law (Johnson, Kemp and Kotz 2005, eq. 4.1), 0…1; it is also the chance that a gamma
 * variable of that shape exceeds the mean. @param count events, a whole number, 0 or more @param mean events expected, 0 or more
 */
export function poissonBelow(count: number, mean: number): number {
  let term = Math.exp(-mean);
  let sum = 0;
  for (let k = 0; k < count; k++) {
    sum += term;
    term *= mean / (k + 1);
  }
  return Math.min(1, sum);
}
