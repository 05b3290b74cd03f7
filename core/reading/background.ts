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
