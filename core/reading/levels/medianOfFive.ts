import { isGap, medianInPlace } from '@/core/maths';

/** Median of five pings, which takes out the fades of single ones; a ping with fewer than three good neighbours keeps its own. */
export function medianOfFive(values: Float32Array): Float32Array {
  const out = new Float32Array(values.length);
  const five = new Float32Array(5);
  for (let p = 0; p < values.length; p++) {
    let count = 0;
    for (let q = Math.max(0, p - 2); q <= Math.min(values.length - 1, p + 2); q++)
      if (!isGap(values[q]!)) five[count++] = values[q]!;
    out[p] = count >= 3 ? medianInPlace(five, count) : values[p]!;
  }
  return out;
}
