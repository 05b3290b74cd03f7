/** A straight line through points and how far they lie off it. */
export interface LineFit {
  slope: number;
  /** Value at the mean of x. */
  middle: number;
  /** Rms distance of the values from the line. */
  off: number;
}

/** Least-squares line of y over x, lists of one length. A slope of 0 where all x are one; NaN for empty lists. */
export function lineFit(x: readonly number[], y: readonly number[]): LineFit {
  const n = x.length;
  const mx = x.reduce((a, b) => a + b, 0) / n;
  const my = y.reduce((a, b) => a + b, 0) / n;
  let xx = 0;
  let xy = 0;
  for (let i = 0; i < n; i++) {
    xx += (x[i]! - mx) ** 2;
    xy += (x[i]! - mx) * (y[i]! - my);
  }
  const slope = xx > 0 ? xy / xx : 0;
  const square = y.reduce((sum, v, i) => sum + (v - my - slope * (x[i]! - mx)) ** 2, 0);
  return { slope, middle: my, off: Math.sqrt(square / n) };
}
