import type { Recording } from '@/core/recording';

/** Pings behind each screen column, left to right; a column between pings repeats the last one (`from` > `to` never happens). */
export interface Columns {
  /** First and last ping of each column; −1 where the pass had not begun. */
  from: Int32Array;
  to: Int32Array;
}

/** Index of the last ping at or before a time, −1 when there is none. */
export function pingAt(timeS: Float64Array, t: number): number {
  let low = 0;
  let high = timeS.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (timeS[mid]! <= t) low = mid + 1;
    else high = mid;
  }
  return low - 1;
}

/**
 * Which pings each of `columns` columns shows when the right edge is now. All pings of a column count and the strongest
 * is kept; when columns come faster than pings, a ping is repeated until the next.
 */
export function columnPings(
  recording: Recording,
  nowS: number,
  chartSpeed: number,
  columns: number,
): Columns {
  const from = new Int32Array(columns);
  const to = new Int32Array(columns);
  const { timeS } = recording.navigation;
  for (let c = 0; c < columns; c++) {
    const end = nowS - (columns - 1 - c) / chartSpeed;
    const last = pingAt(timeS, end);
    const before = pingAt(timeS, end - 1 / chartSpeed);
    to[c] = last;
    from[c] = last < 0 ? -1 : Math.min(last, before + 1);
  }
  return { from, to };
}

/** Time a column stands for, s: the inverse of the above. */
export const timeOfColumn = (column: number, nowS: number, chartSpeed: number, columns: number): number =>
  nowS - (columns - 1 - column) / chartSpeed;
