/** Euler's constant. */
const EULER = 0.5772156649;

/**
 * Of k intensities that are each exponential with mean 1, as noise and speckle are, the strongest: its mean, 1 + 1/2 + … + 1/k
 * (Rényi 1953). k at least 1.
 */
export function strongestMean(k: number): number {
  let sum = 0;
  for (let i = 1; i <= k; i++) sum += 1 / i;
  return sum;
}

/** What the strongest of k stays under in a share q of all draws: −ln(1 − q^(1/k)), since all k must. @param q inside 0…1 */
export const strongestQuantile = (k: number, q: number): number => -Math.log(1 - Math.pow(q, 1 / k));

/** Mean of the strongest's natural logarithm: −γ + Σ (−1)^i (k over i) ln i. Alternating sums lose their digits beyond k = 30. */
export function strongestLogMean(k: number): number {
  let sum = -EULER;
  let ways = 1;
  for (let i = 1; i <= k; i++) {
    ways = (-ways * (k - i + 1)) / i;
    sum += ways * Math.log(i);
  }
  return sum;
}
