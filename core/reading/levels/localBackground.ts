import { CELL, type Cells } from './cells';

/** Window a single mark's own surroundings are taken over: to either side in range, m (no fewer samples than this), and in pings. */
const ROUND_M = 0.6;
const ROUND_SAMPLES = 7;
const ROUND_PINGS = 5;

/** Cells to either side in range that a cell's surroundings are taken over. */
export const localCells = (sampleStepM: number): number =>
  Math.max(1, Math.round(Math.max(ROUND_SAMPLES, Math.round(ROUND_M / sampleStepM)) / CELL));

/**
 * What a single mark must stand over besides the background of its range, so that the speckle of a late echo or of life that
 * came and went is not taken for marks: the mean about a cell over the bed, dB. @param half localCells of the channel
 */
export function localBackgroundDb(
  { cells, used, runDb, logMeanUnderDb }: Cells,
  half: number,
  ping: number,
  cell: number,
): number {
  const first = Math.max(0, ping - ROUND_PINGS);
  const last = Math.min(used.length - 1, ping + ROUND_PINGS);
  const a = Math.max(0, cell - half);
  let sum = 0;
  for (let p = first; p <= last; p++) {
    const end = used[p]!;
    // A ping whose bed lies nearer has nothing here, and counts as quiet.
    if (cell >= end) continue;
    const b = Math.min(end, cell + half + 1);
    const row = p * cells - 1;
    sum += (runDb[row + b]! - (a > 0 ? runDb[row + a]! : 0)) / (b - a);
  }
  return Math.max(0, sum / (last - first + 1) + logMeanUnderDb);
}
