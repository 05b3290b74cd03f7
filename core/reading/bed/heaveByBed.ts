import { isGap } from '@/core/maths';
import type { BedLine } from './bedLine';

/** The bed’s mean over so many seconds has no heave in it. */
const HEAVE_S = 5;

/** Heave at each ping as the bed tells it, m: all ranges are so much longer. 0 where no bed is known. @param pingRate pings a second */
export function heaveByBed({ rangeM }: BedLine, pingRate: number): Float32Array {
  const half = Math.max(1, Math.round((HEAVE_S / 2) * pingRate));
  const sum = new Float64Array(rangeM.length + 1);
  const count = new Int32Array(rangeM.length + 1);
  rangeM.forEach((range, p) => {
    sum[p + 1] = sum[p]! + (isGap(range) ? 0 : range);
    count[p + 1] = count[p]! + (isGap(range) ? 0 : 1);
  });
  return Float32Array.from(rangeM, (range, p) => {
    const [from, to] = [Math.max(0, p - half), Math.min(rangeM.length, p + half + 1)];
    return isGap(range) ? 0 : range - (sum[to]! - sum[from]!) / (count[to]! - count[from]!);
  });
}
