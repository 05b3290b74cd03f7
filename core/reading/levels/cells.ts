import { isGap, strongestLogMean, strongestMean, toDb } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { backRow, overAt, type Excess } from './background';
import type { BedLine } from '../bed/bedLine';
import { scratchBytes, scratchFloats } from './scratch';

/** Samples to a cell. */
export const CELL = 3;
/** A sample belongs to something when it stands this far over the background, dB. */
export const STANDS_OUT_DB = 6;
/** An echo counts for no more than this in the mean of its cell, dB: what is sought must not hide itself. */
const CAP_DB = 12;
/** Samples over the bed line that are left out: its edge. */
const OVER_BED = 3;

/** The excess in cells of a few samples: pings × cells each. What lies at and under the bed is left over from before. */
export interface Cells {
  cells: number;
  /** Cells of each ping that lie over its bed, and samples. */
  used: Int32Array;
  ends: Int32Array;
  /** Running sum down the ping of the mean of each cell, each sample capped; and strongest of each, dB. */
  runDb: Float32Array;
  mostDb: Float32Array;
  /** Samples that stand out. */
  full: Uint8Array;
  /** The mean of noise in dB lies so far under its mean, dB. */
  logMeanUnderDb: number;
}

/** Cells of an excess. */
export function cellsOf(channel: Channel, bed: BedLine, excess: Excess): Cells {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM } = channel;
  const cells = Math.ceil(n / CELL);
  const runDb = scratchFloats('cell-run', pingCount * cells);
  const mostDb = scratchFloats('cell-most', pingCount * cells);
  const full = scratchBytes('cell-full', pingCount * cells);
  const ends = Int32Array.from(bed.rangeM, (range) =>
    !isGap(range) ? Math.max(1, Math.min(n, Math.floor((range - firstRangeM) / step) - OVER_BED)) : n,
  );
  const used = ends.map((end) => Math.ceil(end / CELL));
  const { levelDb, backDb, barDb, lid } = excess;
  const [cap, fullDb, third] = [CAP_DB, STANDS_OUT_DB, 1 / CELL];
  for (let p = 0; p < pingCount; p++) {
    const row = p * n;
    const last = ends[p]!;
    const end = used[p]!;
    const open = Math.floor(Math.min(last, lid[p]!) / CELL);
    const bar = barDb[p]!;
    let run = 0;
    for (
      let c = 0, j = row, b = backRow(excess, p) + 1, at = p * cells;
      c < end;
      c++, j += CELL, b += CELL, at++
    ) {
      if (c < open) {
        // The background bends too little for each sample to need its own.
        const back = backDb[b]! + bar;
        const x = levelDb[j]! - back;
        const y = levelDb[j + 1]! - back;
        const z = levelDb[j + 2]! - back;
        const two = x > y ? x : y;
        const most = two > z ? two : z;
        mostDb[at] = most;
        // Most cells hold noise alone.
        if (most < fullDb) {
          run += (x + y + z) * third;
          full[at] = 0;
        } else {
          run += ((x < cap ? x : cap) + (y < cap ? y : cap) + (z < cap ? z : cap)) * third;
          full[at] = (x >= fullDb ? 1 : 0) + (y >= fullDb ? 1 : 0) + (z >= fullDb ? 1 : 0);
        }
        runDb[at] = run;
        continue;
      }
      let most = -Infinity;
      let sum = 0;
      let count = 0;
      const from = c * CELL;
      const to = Math.min(last, from + CELL);
      for (let k = from; k < to; k++) {
        const x = overAt(excess, p, k);
        if (x > most) most = x;
        if (x >= fullDb) count++;
        sum += x < cap ? x : cap;
      }
      run += sum / (to - from);
      runDb[at] = run;
      mostDb[at] = most;
      full[at] = count;
    }
  }
  const { cellsToOne } = excess;
  const logMeanUnderDb = toDb(strongestMean(cellsToOne)) - strongestLogMean(cellsToOne) * (10 / Math.LN10);
  return { cells, used, ends, runDb, mostDb, full, logMeanUnderDb };
}
