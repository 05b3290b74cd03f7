/**
 * The x in [low, high] where a falling function crosses zero, to within `tolerance`.
 * Returns `low` when the function is already below zero there and `high` when it is still above zero there.
 */
export function bisectFalling(f: (x: number) => number, low: number, high: number, tolerance = 1e-3): number {
  if (!(f(low) > 0)) return low;
  if (f(high) >= 0) return high;
  let a = low;
  let b = high;
  while (b - a > tolerance) {
    const mid = (a + b) / 2;
    if (f(mid) > 0) a = mid;
    else b = mid;
  }
  return (a + b) / 2;
}
