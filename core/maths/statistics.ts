/** The k-th smallest (0-based) of the first `count` values; reorders them (quickselect, Hoare 1961). */
export function selectInPlace(values: Float32Array | Float64Array, k: number, count = values.length): number {
  let low = 0;
  let high = count - 1;
  while (low < high) {
    const pivot = values[(low + high) >> 1]!;
    let i = low;
    let j = high;
    while (i <= j) {
      while (values[i]! < pivot) i++;
      while (values[j]! > pivot) j--;
      if (i <= j) {
        const swap = values[i]!;
        values[i] = values[j]!;
        values[j] = swap;
        i++;
        j--;
      }
    }
    if (k <= j) high = j;
    else if (k >= i) low = i;
    else break;
  }
  return values[k]!;
}

/** Median of the first `count` values, the upper one of an even count; reorders them. NaN when there are none. */
export const medianInPlace = (values: Float32Array | Float64Array, count = values.length): number =>
  count > 0 ? selectInPlace(values, count >> 1, count) : NaN;

/** Median of a list, which is left as it was. NaN when it is empty. */
export const median = (values: readonly number[]): number => medianInPlace(Float64Array.from(values));

/** Value held to [low, high]. */
export const clamp = (value: number, low: number, high: number): number =>
  value < low ? low : value > high ? high : value;

/** Logistic function, 0…1. */
export const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** Shares that add up to 1 from logarithms of weights, whatever their size. An empty list gives an empty one. */
export function softmax(logs: readonly number[]): number[] {
  const most = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - most));
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / sum);
}
