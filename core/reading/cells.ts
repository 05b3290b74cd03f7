import type { Channel } from '@/core/recording';
import type { BedLine } from './findings';
import { scratchBytes, scratchFloats } from './scratch';

/** Samples to a cell. */
export const CELL = 3;
/** A sample belongs to something when it stands this far over the background, dB. */
export const FULL_DB = 6;
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
  /** Mean, each sample capped, and strongest, dB. */
  meanDb: Float32Array;
  mostDb: Float32Array;
  /** Samples that stand out. */
  full: Uint8Array;
}

/** Cells of an excess. @param over pings × samples, dB */
export function cellsOf(channel: Channel, bed: BedLine, over: Float32Array): Cells {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM } = channel;
  const cells = Math.ceil(n / CELL);
  const meanDb = scratchFloats('cell-mean', pingCount * cells);
  const mostDb = scratchFloats('cell-most', pingCount * cells);
  const full = scratchBytes('cell-full', pingCount * cells);
  const ends = Int32Array.from(bed.rangeM, (range) =>
    range === range ? Math.max(1, Math.min(n, Math.floor((range - firstRangeM) / step) - OVER_BED)) : n,
  );
  const used = ends.map((end) => Math.ceil(end / CELL));
  const [cap, fullDb, third] = [CAP_DB, FULL_DB, 1 / CELL];
  for (let p = 0; p < pingCount; p++) {
    const row = p * n;
    const last = ends[p]!;
    const end = used[p]!;
    const whole = Math.floor(last / CELL);
    for (let c = 0, j = row, at = p * cells; c < end; c++, j += CELL, at++) {
      if (c < whole) {
        const x = over[j]!;
        const y = over[j + 1]!;
        const z = over[j + 2]!;
        const two = x > y ? x : y;
        const most = two > z ? two : z;
        mostDb[at] = most;
        // Most cells hold noise alone: only the others are looked at sample by sample.
        if (most < fullDb) {
          meanDb[at] = (x + y + z) * third;
          full[at] = 0;
          continue;
        }
      }
      let most = -Infinity;
      let sum = 0;
      let count = 0;
      const to = Math.min(row + last, j + CELL);
      for (let k = j; k < to; k++) {
        const x = over[k]!;
        if (x > most) most = x;
        if (x >= fullDb) count++;
        sum += x < cap ? x : cap;
      }
      meanDb[at] = sum / (to - j);
      mostDb[at] = most;
      full[at] = count;
    }
  }
  return { cells, used, ends, meanDb, mostDb, full };
}
