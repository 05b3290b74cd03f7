import { amplitudeToDb, isGap, powerOf, selectInPlace, toDb } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from '../bed/bedLine';

/** A band of scatter at one depth that goes on through the pass. */
export interface Layer {
  /** Range of its middle, its top and its foot, m. */
  rangeM: number;
  topM: number;
  bottomM: number;
  /** Mean level over the water above and below it, dB. */
  overDb: number;
  /** Share of the pass that shows it, 0…1. */
  share: number;
}

/** Pings of one block, and height of the bins looked at, m. */
const BLOCK = 64;
/** Every which ping of a block is looked at. */
const EVERY = 4;
const BIN_M = 0.25;
/** Water above and below a bin it is held against: from and to this far, in bins. */
const NEAR = 4;
const FAR = 9;
/** It must stand this far over both, dB, in this share of the blocks. */
const OVER_DB = 2.5;
const SHARE = 0.6;
/** Water at the top and over the bed that is left out, m. */
const TOP_M = 1.5;
const OVER_BED_M = 1.5;

/** Median power by bin of some pings, so that fish and clouds do not count; level after 20 log R, dB. NaN under the bed. */
function profile(channel: Channel, bed: BedLine, from: number, to: number, bins: number): Float64Array {
  const { sampleCount: n, sampleStepM: step, firstRangeM, levelDb, calibration } = channel;
  const out = new Float64Array(bins).fill(NaN);
  const powers = new Float64Array(BLOCK);
  let shallowest = Infinity;
  for (let p = from; p <= to; p++) if (bed.rangeM[p]! < shallowest) shallowest = bed.rangeM[p]!;
  for (let b = 0; b < bins; b++) {
    const top = b * BIN_M;
    if (top < TOP_M || top + BIN_M > shallowest - OVER_BED_M) continue;
    const first = Math.max(0, Math.ceil((top - firstRangeM) / step));
    const last = Math.min(n - 1, Math.floor((top + BIN_M - firstRangeM) / step));
    let count = 0;
    for (let p = from; p <= to; p += EVERY) {
      let sum = 0;
      for (let j = first; j <= last; j++) sum += powerOf(levelDb[p * n + j]!);
      powers[count++] = sum / (last - first + 1);
    }
    const range = top + BIN_M / 2;
    out[b] =
      toDb(selectInPlace(powers, count >> 1, count)) +
      amplitudeToDb(range) +
      2 * (calibration?.absorptionDbPerM ?? 0) * range;
  }
  return out;
}

function meanOf(values: Float64Array, from: number, to: number): number {
  let sum = 0;
  let count = 0;
  for (let b = Math.max(0, from); b <= Math.min(values.length - 1, to); b++)
    if (!isGap(values[b]!)) {
      sum += values[b]!;
      count++;
    }
  return count > 0 ? sum / count : NaN;
}

/**
 * Layers of a pass: bins of depth whose median level stands over the water a metre or two above and below through most of
 * the pass. Medians keep fish out, the share of blocks keeps clouds out.
 */
export function findLayers(channel: Channel, bed: BedLine): Layer[] {
  const bins = Math.floor((channel.sampleCount * channel.sampleStepM) / BIN_M);
  const blocks = Math.max(1, Math.floor(channel.pingCount / BLOCK));
  const shown = new Float64Array(bins);
  const over = new Float64Array(bins);
  for (let k = 0; k < blocks; k++) {
    const level = profile(channel, bed, k * BLOCK, Math.min(channel.pingCount, (k + 1) * BLOCK) - 1, bins);
    for (let b = 0; b < bins; b++) {
      const above = meanOf(level, b - FAR, b - NEAR);
      const below = meanOf(level, b + NEAR, b + FAR);
      const excess = level[b]! - Math.max(above, below);
      if (excess > OVER_DB) {
        shown[b]! += 1 / blocks;
        over[b]! += excess / blocks;
      }
    }
  }
  // A layer rises and falls: a bin and its neighbours share its blocks.
  const joined = shown.map((s, b) => s + (shown[b - 1] ?? 0) * 0.5 + (shown[b + 1] ?? 0) * 0.5);
  const layers: Layer[] = [];
  for (let b = 0; b < bins; b++) {
    if (!(joined[b]! >= SHARE)) continue;
    let to = b;
    while (to + 1 < bins && joined[to + 1]! >= SHARE / 2) to++;
    let strongest = b;
    for (let k = b; k <= to; k++) if (over[k]! > over[strongest]!) strongest = k;
    layers.push({
      rangeM: (strongest + 0.5) * BIN_M,
      topM: b * BIN_M,
      bottomM: (to + 1) * BIN_M,
      overDb: over[strongest]! / Math.max(shown[strongest]!, 1 / blocks),
      share: Math.min(1, joined[strongest]!),
    });
    b = to;
  }
  return layers;
}
