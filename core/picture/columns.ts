import type { Navigation } from '@/core/recording';

/** Pings behind each screen column, left to right. */
export interface Columns {
  /** First and last ping of each column; −1 where the pass had not begun. */
  from: Int32Array;
  to: Int32Array;
  /** Where between its ping and the next a column lies, 0…1: for who blends columns between pings. */
  part: Float32Array;
  /** Time at its right edge, s. */
  timeS: Float64Array;
}

/** Index of the last entry at or before a value in a rising list, −1 when there is none. */
export function pingAt(rising: Float64Array, value: number): number {
  let low = 0;
  let high = rising.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (rising[mid]! <= value) low = mid + 1;
    else high = mid;
  }
  return low - 1;
}

/** Slowest a chart that follows the boat still moves, columns a second. */
const SLOWEST_SYNC = 0.2;

/**
 * How far the chart has moved at each ping, columns: at its own speed, or at the boat's, one column for each
 * `metresPerColumn` of way.
 */
export function chartPosition(
  { timeS, speedMps }: Navigation,
  chartSpeed: number,
  metresPerColumn: number | null,
): Float64Array {
  const at = new Float64Array(timeS.length);
  for (let p = 1; p < at.length; p++) {
    const speed =
      metresPerColumn === null
        ? chartSpeed
        : Math.max(SLOWEST_SYNC, Math.abs(speedMps[p]!) / metresPerColumn);
    at[p] = at[p - 1]! + speed * (timeS[p]! - timeS[p - 1]!);
  }
  return at;
}

/**
 * Which pings each of `columns` columns shows when the right edge is at `nowS`. All pings of a column count and the
 * strongest is kept; when columns come faster than pings, a ping is repeated until the next, or blended into it.
 * @param position from chartPosition
 */
export function columnPings(
  timeS: Float64Array,
  position: Float64Array,
  nowS: number,
  columns: number,
): Columns {
  const from = new Int32Array(columns);
  const to = new Int32Array(columns);
  const part = new Float32Array(columns);
  const times = new Float64Array(columns);
  const newest = pingAt(timeS, nowS);
  const speedNow =
    timeS.length > 1
      ? (position[position.length - 1]! - position[0]!) / (timeS[timeS.length - 1]! - timeS[0]!)
      : 1;
  const now = newest < 0 ? 0 : position[newest]! + (nowS - timeS[newest]!) * speedNow;
  let last = newest;
  for (let c = columns - 1; c >= 0; c--) {
    const end = now - (columns - 1 - c);
    // A hair over, so that rounding does not push a ping into the next column.
    while (last >= 0 && position[last]! > end + 1e-6) last--;
    let before = last;
    while (before >= 0 && position[before]! > end - 1 + 1e-6) before--;
    to[c] = last;
    from[c] = last < 0 ? -1 : Math.min(last, before + 1);
    const next = last + 1;
    if (last >= 0 && next < position.length && next <= newest) {
      const gap = position[next]! - position[last]!;
      part[c] = gap > 0 ? Math.min(1, Math.max(0, (end - position[last]!) / gap)) : 0;
      times[c] = timeS[last]! + part[c]! * (timeS[next]! - timeS[last]!);
    } else times[c] = last >= 0 ? timeS[last]! : nowS - (columns - 1 - c) / speedNow;
  }
  return { from, to, part, timeS: times };
}

/** First filled column of a picture at or after a time, s; its last where none is. */
export function columnAt(
  { timeS, columns, columnsFilled }: { timeS: Float64Array; columns: number; columnsFilled: number },
  t: number,
): number {
  let low = columns - columnsFilled;
  let high = columns - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (timeS[middle]! < t) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Time a column stands for on a chart of steady speed, s. */
export const timeOfColumn = (column: number, nowS: number, chartSpeed: number, columns: number): number =>
  nowS - (columns - 1 - column) / chartSpeed;
