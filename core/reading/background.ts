import { medianInPlace, selectInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from './findings';
import { scratchFloats } from './scratch';

/** Seconds a local background is taken over: longer than a cloud stays under a drifting boat. */
const SPAN_S = 120;
/** Pings looked at in that span, and pings between the middles of two spans. */
const LOOKED_AT = 48;
const EVERY_PINGS = 192;

/** The share of pings a background is read at: fish and bait may fill up to two thirds of a span. */
const QUANTILE = 0.35;

/** Exponential intensity has that quantile this far under its mean, dB: 10 log(−ln(1 − q)). */
const QUANTILE_UNDER_MEAN_DB = 10 * Math.log10(-Math.log(1 - QUANTILE));

/** Ranges gathered at a time, so that pings are read along their rows; of each pair of ranges one is looked at. */
const TILE = 16;
const EVERY_SAMPLES = 2;

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
  const middles = Math.max(1, Math.ceil(pingCount / EVERY_PINGS));
  const ranges = Math.ceil(n / EVERY_SAMPLES);
  const back = new Float32Array(middles * ranges);
  const span = Math.max(LOOKED_AT, Math.round(SPAN_S * pingRate));
  const most = 2 * LOOKED_AT + 2;
  const values = new Float32Array(TILE * most);
  const counts = new Int32Array(TILE);
  const bedSample = Int32Array.from(bed.rangeM, (r) =>
    r === r ? Math.floor((r - channel.firstRangeM) / channel.sampleStepM) : n,
  );
  for (let m = 0; m < middles; m++) {
    const middle = Math.min(pingCount - 1, m * EVERY_PINGS + EVERY_PINGS / 2);
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
  const mine = new Float32Array(ranges * EVERY_SAMPLES);
  for (let p0 = 0; p0 < pingCount; p0 += SHARED_PINGS) {
    const middle = p0 + SHARED_PINGS / 2;
    const at = Math.min(middles - 1, Math.max(0, (middle - EVERY_PINGS / 2) / EVERY_PINGS));
    const low = Math.floor(at);
    const u = at - low;
    const a = low * ranges;
    const b = Math.min(middles - 1, low + 1) * ranges;
    for (let i = 0; i < ranges; i++)
      mine.fill(back[a + i]! + (back[b + i]! - back[a + i]!) * u, i * EVERY_SAMPLES, (i + 1) * EVERY_SAMPLES);
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
/** An echo counts for no more than this in the surroundings of another, dB: what is sought must not hide itself. */
const ROUND_CAP_DB = 12;
/** Mean of the logarithm of exponential intensity lies this far under its mean, dB (Euler's constant: 10 γ / ln 10). */
const LOG_MEAN_UNDER_DB = 2.51;

/** Samples that share their surroundings. */
export const GROUP = 3;

/** What surrounds each group of samples of a ping, and how far its strongest stands over the background; pings × groups, dB. */
export interface Surroundings {
  groups: number;
  aroundDb: Float32Array;
  mostDb: Float32Array;
  /** First sample of each ping at or under its bed. */
  ends: Int32Array;
}

/**
 * What a single mark must stand over besides the background of its range, so that the speckle of a late echo or of life that
 * came and went is not taken for marks.
 */
export function surroundingsOf(channel: Channel, bed: BedLine, { overDb }: Excess): Surroundings {
  const { pingCount, sampleCount: n, sampleStepM: step } = channel;
  const groups = Math.ceil(n / GROUP);
  const half = Math.max(1, Math.round(Math.max(ROUND_SAMPLES, Math.round(ROUND_M / step)) / GROUP));
  const aroundDb = scratchFloats('around', pingCount * groups);
  const mostDb = scratchFloats('most', pingCount * groups);
  const sum = new Float64Array(groups + 1);
  const run = new Float64Array(groups);
  // Means along range of the pings in the window, each in its slot.
  const slots = 2 * ROUND_PINGS + 1;
  const mean = new Float32Array(slots * groups);
  const ends = Int32Array.from(bed.rangeM, (range) =>
    range === range ? Math.max(1, Math.min(n, Math.floor((range - channel.firstRangeM) / step) - 3)) : n,
  );
  const [cap, group] = [ROUND_CAP_DB, GROUP];
  let held = 0;
  for (let p = -ROUND_PINGS; p < pingCount; p++) {
    const coming = p + ROUND_PINGS;
    const gone = p - ROUND_PINGS - 1;
    if (gone >= 0) {
      held--;
      const slot = (gone % slots) * groups;
      const end = Math.ceil(ends[gone]! / group);
      for (let g = 0; g < end; g++) run[g]! -= mean[slot + g]!;
    }
    if (coming < pingCount) {
      held++;
      const row = coming * n;
      const slot = (coming % slots) * groups;
      const first = coming * groups;
      const last = ends[coming]!;
      const end = Math.ceil(last / group);
      for (let g = 0, j = 0; g < end; g++) {
        let level = 0;
        let most = -Infinity;
        const to = Math.min(last, j + group);
        const count = to - j;
        for (; j < to; j++) {
          const over = overDb[row + j]!;
          if (over > most) most = over;
          level += over < cap ? over : cap;
        }
        mostDb[first + g] = most;
        sum[g + 1] = sum[g]! + level / count;
      }
      for (let g = 0; g < end; g++) {
        const a = g < half ? 0 : g - half;
        const b = g + half + 1 < end ? g + half + 1 : end;
        const m = (sum[b]! - sum[a]!) / (b - a);
        mean[slot + g] = m;
        run[g]! += m;
      }
    }
    if (p < 0) continue;
    const per = 1 / held;
    const end = Math.ceil(ends[p]! / group);
    for (let g = 0, k = p * groups; g < end; g++, k++) {
      const mine = run[g]! * per + LOG_MEAN_UNDER_DB;
      aroundDb[k] = mine > 0 ? mine : 0;
    }
  }
  return { groups, aroundDb, mostDb, ends };
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
