import { medianInPlace, selectInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { CELL, type Cells } from './cells';
import type { BedLine } from './findings';
import { scratchFloats } from './scratch';

/** Seconds a local background is taken over: longer than a cloud stays under a drifting boat. */
const SPAN_S = 120;
/** Pings looked at in that span. */
const LOOKED_AT = 48;
/** Pings between the middles of two spans: a third of a span, or so many. */
const FEWEST_BETWEEN = 192;

/** The share of pings a background is read at: fish and bait may fill up to two thirds of a span. */
const QUANTILE = 0.35;

/** Exponential intensity has that quantile this far under its mean, dB: 10 log(−ln(1 − q)). */
const QUANTILE_UNDER_MEAN_DB = 10 * Math.log10(-Math.log(1 - QUANTILE));

/** Ranges gathered at a time, so that pings are read along their rows; of each pair of ranges one is looked at. */
const TILE = 16;
const EVERY_SHIFT = 1;
const EVERY_SAMPLES = 1 << EVERY_SHIFT;

/** Samples under the bed line for which an excess is still worked out; deeper it is left at 0. */
const UNDER_BED_SAMPLES = 4;
/** Pings that share one interpolated background. */
const SHARED_PINGS = 16;

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
  const ranges = Math.ceil(n / EVERY_SAMPLES);
  const span = Math.max(LOOKED_AT, Math.round(SPAN_S * pingRate));
  const between = Math.max(FEWEST_BETWEEN, Math.round(span / 3));
  const middles = Math.max(1, Math.ceil(pingCount / between));
  const back = new Float32Array(middles * ranges);
  const most = 2 * LOOKED_AT + 2;
  const values = new Float32Array(TILE * most);
  const counts = new Int32Array(TILE);
  const bedSample = Int32Array.from(bed.rangeM, (r) =>
    r === r ? Math.floor((r - channel.firstRangeM) / channel.sampleStepM) : n,
  );
  for (let m = 0; m < middles; m++) {
    const middle = Math.min(pingCount - 1, Math.round((m + 0.5) * between));
    const from = Math.max(0, middle - (span >> 1));
    const to = Math.min(pingCount - 1, middle + (span >> 1));
    // A short pass has fewer pings to choose from.
    const stride = Math.max(1, Math.floor((to - from + 1) / LOOKED_AT));
    let deepest = 0;
    for (let p = from; p <= to; p += stride) if (bedSample[p]! > deepest) deepest = bedSample[p]!;
    deepest = Math.min(ranges, Math.ceil(deepest / EVERY_SAMPLES));
    for (let i0 = 0; i0 < ranges; i0 += TILE) {
      const i1 = Math.min(ranges, i0 + TILE);
      counts.fill(0);
      if (i0 < deepest)
        for (let p = from; p <= to; p += stride) {
          const row = p * n;
          const end = Math.min(i1, Math.ceil(bedSample[p]! / EVERY_SAMPLES));
          for (let i = i0; i < end; i++) {
            const k = i - i0;
            values[k * most + counts[k]!++] = levelDb[row + i * EVERY_SAMPLES]!;
          }
        }
      for (let i = i0; i < i1; i++) {
        const count = counts[i - i0]!;
        const mine = values.subarray((i - i0) * most, (i - i0) * most + count);
        back[m * ranges + i] =
          count >= 8
            ? selectInPlace(mine, Math.floor(QUANTILE * count), count) - QUANTILE_UNDER_MEAN_DB
            : i > 0
              ? back[m * ranges + i - 1]!
              : 0;
      }
    }
    smoothAlongRange(back, m * ranges, ranges, EVERY_SAMPLES * channel.sampleStepM);
  }
  const overDb = scratchFloats('excess', pingCount * n);
  const mine = new Float32Array(n);
  for (let p0 = 0; p0 < pingCount; p0 += SHARED_PINGS) {
    const middle = p0 + SHARED_PINGS / 2;
    const at = Math.min(middles - 1, Math.max(0, middle / between - 0.5));
    const low = Math.floor(at);
    const u = at - low;
    const a = low * ranges;
    const b = Math.min(middles - 1, low + 1) * ranges;
    for (let j = 0; j < n; j++) {
      const i = j >> EVERY_SHIFT;
      mine[j] = back[a + i]! + (back[b + i]! - back[a + i]!) * u;
    }
    for (let p = p0; p < Math.min(pingCount, p0 + SHARED_PINGS); p++) {
      const row = p * n;
      // Under the bed nothing is sought.
      const end = Math.min(n, bedSample[p]! + UNDER_BED_SAMPLES);
      for (let j = 0; j < end; j++) overDb[row + j] = levelDb[row + j]! - mine[j]!;
      overDb.fill(0, row + end, row + n);
    }
  }
  return { overDb };
}

/** Window a single mark's own surroundings are taken over: to either side in range, m (no fewer samples than this), and in pings. */
const ROUND_M = 0.6;
const ROUND_SAMPLES = 7;
const ROUND_PINGS = 5;
/** Mean of the logarithm of exponential intensity lies this far under its mean, dB (Euler's constant: 10 γ / ln 10). */
const LOG_MEAN_UNDER_DB = 2.51;

/**
 * What a single mark must stand over besides the background of its range, so that the speckle of a late echo or of life that
 * came and went is not taken for marks: the mean about each cell over the bed, pings × cells, dB.
 */
export function surroundingsOf(channel: Channel, { cells, used, meanDb }: Cells): Float32Array {
  const { pingCount, sampleStepM: step } = channel;
  const half = Math.max(1, Math.round(Math.max(ROUND_SAMPLES, Math.round(ROUND_M / step)) / CELL));
  const aroundDb = scratchFloats('around', pingCount * cells);
  const sum = new Float64Array(cells + 1);
  const run = new Float64Array(cells);
  // Means along range of the pings in the window, each in its slot.
  const slots = 2 * ROUND_PINGS + 1;
  const mean = new Float32Array(slots * cells);
  const perWindow = 1 / (2 * half + 1);
  let held = 0;
  for (let p = -ROUND_PINGS; p < pingCount; p++) {
    const coming = p + ROUND_PINGS;
    const gone = coming - slots;
    // A ping that comes takes the slot of the one that goes.
    const slot = (coming % slots) * cells;
    const goneEnd = gone >= 0 ? used[gone]! : 0;
    if (gone >= 0) held--;
    let end = 0;
    if (coming < pingCount) {
      held++;
      end = used[coming]!;
      const first = coming * cells;
      for (let c = 0; c < end; c++) sum[c + 1] = sum[c]! + meanDb[first + c]!;
      for (let c = 0; c < end; c++) {
        const inner = c >= half && c + half < end;
        const a = c < half ? 0 : c - half;
        const b = c + half + 1 < end ? c + half + 1 : end;
        const m = (sum[b]! - sum[a]!) * (inner ? perWindow : 1 / (b - a));
        run[c]! += m - mean[slot + c]!;
        mean[slot + c] = m;
      }
    }
    for (let c = end; c < goneEnd; c++) {
      run[c]! -= mean[slot + c]!;
      mean[slot + c] = 0;
    }
    if (p < 0) continue;
    const per = 1 / held;
    const over = used[p]!;
    for (let c = 0, k = p * cells; c < over; c++, k++) {
      const mine = run[c]! * per + LOG_MEAN_UNDER_DB;
      aroundDb[k] = mine > 0 ? mine : 0;
    }
  }
  return aroundDb;
}

/** A line thinner than half of this that hangs at one range is no background: gear, or a fish under a boat that keeps still, m. */
const THIN_M = 1.2;

/** Median along range, in place: lines that hang at one range come out of it, layers and slopes stay. */
function smoothAlongRange(values: Float32Array, from: number, count: number, stepM: number): void {
  const half = Math.max(2, Math.round(THIN_M / stepM / 2));
  const raw = values.slice(from, from + count);
  const near = new Float32Array(2 * half + 1);
  for (let j = 0; j < count; j++) {
    const reach = Math.min(half, j, count - 1 - j);
    let k = 0;
    for (let i = j - reach; i <= j + reach; i++) near[k++] = raw[i]!;
    values[from + j] = medianInPlace(near, k);
  }
}
