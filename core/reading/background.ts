import { selectInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from './findings';

/** Seconds a local background is taken over: longer than a cloud stays under a drifting boat. */
const SPAN_S = 120;
/** Pings looked at in that span, and pings between the middles of two spans. */
const LOOKED_AT = 128;
const EVERY_PINGS = 64;

/** The share of pings a background is read at: fish and bait may fill up to two thirds of a span. */
const QUANTILE = 0.35;

/** Exponential intensity has that quantile this far under its mean, dB: 10 log(−ln(1 − q)). */
const QUANTILE_UNDER_MEAN_DB = 10 * Math.log10(-Math.log(1 - QUANTILE));

/** How far each sample stands over the water around it. */
export interface Excess {
  /** pings × samples, dB over the mean background. */
  overDb: Float32Array;
}

/**
 * Level over the local background: per range, a low quantile over two minutes of pings above the bed, which a layer or
 * steady noise fills and a fish does not. Between two middles it is interpolated.
 */
export function excessOf(channel: Channel, bed: BedLine, pingRate: number): Excess {
  const { pingCount, sampleCount: n, levelDb } = channel;
  const middles = Math.max(1, Math.ceil(pingCount / EVERY_PINGS));
  const back = new Float32Array(middles * n);
  const span = Math.max(LOOKED_AT, Math.round(SPAN_S * pingRate));
  const stride = Math.max(1, Math.floor(span / LOOKED_AT));
  const values = new Float32Array(Math.floor(span / stride) + 2);
  const bedSample = Int32Array.from(bed.rangeM, (r) =>
    r === r ? Math.floor((r - channel.firstRangeM) / channel.sampleStepM) : n,
  );
  for (let m = 0; m < middles; m++) {
    const middle = Math.min(pingCount - 1, m * EVERY_PINGS + EVERY_PINGS / 2);
    const from = Math.max(0, middle - (span >> 1));
    const to = Math.min(pingCount - 1, middle + (span >> 1));
    for (let j = 0; j < n; j++) {
      let count = 0;
      for (let p = from; p <= to; p += stride) if (j < bedSample[p]!) values[count++] = levelDb[p * n + j]!;
      back[m * n + j] =
        count >= 8
          ? selectInPlace(values, Math.floor(QUANTILE * count), count) - QUANTILE_UNDER_MEAN_DB
          : j > 0
            ? back[m * n + j - 1]!
            : 0;
    }
    smoothAlongRange(back, m * n, n);
  }
  const overDb = new Float32Array(pingCount * n);
  for (let p = 0; p < pingCount; p++) {
    const at = Math.min(middles - 1, Math.max(0, (p - EVERY_PINGS / 2) / EVERY_PINGS));
    const low = Math.floor(at);
    const high = Math.min(middles - 1, low + 1);
    const u = at - low;
    for (let j = 0; j < n; j++)
      overDb[p * n + j] = levelDb[p * n + j]! - (back[low * n + j]! * (1 - u) + back[high * n + j]! * u);
  }
  return { overDb };
}

/** Window a single mark's own surroundings are taken over: to either side in range, m (no fewer samples than this), and in pings. */
const ROUND_M = 0.6;
const ROUND_SAMPLES = 7;
const ROUND_PINGS = 5;
/** An echo counts for no more than this in the surroundings of another, dB: what is sought must not hide itself. */
const ROUND_CAP_DB = 12;
/** Mean of the logarithm of exponential intensity lies this far under its mean, dB (Euler's constant: 10 γ / ln 10). */
const LOG_MEAN_UNDER_DB = 2.51;

/**
 * Excess as a single mark must have it: over the background of its range and over what surrounds it as well, so that the
 * speckle of a late echo or of life that came and went is not taken for marks. pings × samples, dB.
 */
export function singleExcess(channel: Channel, bed: BedLine, { overDb }: Excess): Float32Array {
  const { pingCount, sampleCount: n, sampleStepM: step } = channel;
  const half = Math.max(ROUND_SAMPLES, Math.round(ROUND_M / step));
  const mean = new Float32Array(pingCount * n);
  const sum = new Float64Array(n + 1);
  for (let p = 0; p < pingCount; p++) {
    const row = p * n;
    const range = bed.rangeM[p]!;
    const end =
      range === range ? Math.max(1, Math.min(n, Math.floor((range - channel.firstRangeM) / step) - 3)) : n;
    for (let j = 0; j < n; j++) {
      const over = overDb[row + j]!;
      sum[j + 1] = sum[j]! + (over < ROUND_CAP_DB ? over : ROUND_CAP_DB);
    }
    for (let j = 0; j < end; j++) {
      const a = j < half ? 0 : j - half;
      const b = j + half + 1 < end ? j + half + 1 : end;
      mean[row + j] = (sum[b]! - sum[a]!) / (b - a);
    }
  }
  const out = new Float32Array(pingCount * n);
  const run = new Float64Array(n);
  let held = 0;
  for (let p = -ROUND_PINGS; p < pingCount; p++) {
    const coming = p + ROUND_PINGS;
    const gone = p - ROUND_PINGS - 1;
    if (coming < pingCount) {
      held++;
      for (let j = 0; j < n; j++) run[j]! += mean[coming * n + j]!;
    }
    if (gone >= 0) {
      held--;
      for (let j = 0; j < n; j++) run[j]! -= mean[gone * n + j]!;
    }
    if (p < 0) continue;
    for (let j = 0; j < n; j++) {
      const around = run[j]! / held + LOG_MEAN_UNDER_DB;
      out[p * n + j] = overDb[p * n + j]! - (around > 0 ? around : 0);
    }
  }
  return out;
}

/** Mean of five samples, in place: a median over few pings is itself a little ragged. */
function smoothAlongRange(values: Float32Array, from: number, count: number): void {
  let a = values[from]!;
  let b = a;
  for (let j = 2; j < count - 2; j++) {
    const c = values[from + j]!;
    const mean = (a + b + c + values[from + j + 1]! + values[from + j + 2]!) / 5;
    a = b;
    b = c;
    values[from + j] = mean;
  }
}
