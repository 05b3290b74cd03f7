import { isGap, medianInPlace, selectInPlace, strongestMean, strongestQuantile, toDb } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from '../bed/bedLine';

/** Seconds a local background is taken over: longer than a cloud stays under a drifting boat. */
const SPAN_S = 120;
/** Pings looked at in that span. */
const LOOKED_AT = 48;
/** Pings between the middles of two spans: a third of a span, or so many. */
const FEWEST_BETWEEN = 192;

/** The share of pings a background is read at: fish and bait may fill up to two thirds of a span. */
const QUANTILE = 0.35;

/** Ranges gathered at a time, so that pings are read along their rows; of each pair of ranges one is looked at. */
const TILE = 16;
const EVERY_SHIFT = 1;
const EVERY_SAMPLES = 1 << EVERY_SHIFT;

/** Samples under the bed line for which an excess is still worked out; deeper it is left at 0. */
const UNDER_BED_SAMPLES = 4;
/** Pings that share one interpolated background: a power of two. */
const SHARED_SHIFT = 4;

/**
 * How far each sample stands over the water around it, dB over the mean background. Worked out where it is asked for, since most
 * samples never are.
 */
export interface Excess {
  sampleCount: number;
  /** pings × samples, dB. */
  levelDb: Float32Array;
  /** Background, a row for so many pings, dB. */
  backDb: Float32Array;
  /** Taken off a whole ping, dB: an electrical bar. */
  barDb: Float32Array;
  /** Samples of each ping from which on nothing is sought, and from which on nothing stands out: what stands on the bed. */
  end: Int32Array;
  lid: Int32Array;
  /** Of how many cells with noise of their own each sample is the strongest. */
  cellsToOne: number;
}

/** Row of the background of a ping. */
export const backRow = ({ sampleCount }: Excess, ping: number): number =>
  (ping >> SHARED_SHIFT) * sampleCount;

/** Excess of a sample, dB. */
export function overAt(excess: Excess, ping: number, sample: number): number {
  if (sample >= excess.end[ping]!) return 0;
  const n = excess.sampleCount;
  const over =
    excess.levelDb[ping * n + sample]! -
    excess.backDb[(ping >> SHARED_SHIFT) * n + sample]! -
    excess.barDb[ping]!;
  return sample < excess.lid[ping]! || over < 0 ? over : 0;
}

/**
 * Level over the local background: per range, a low quantile over two minutes of pings above the bed, which a layer or
 * steady noise fills and a fish does not. Between two middles it is interpolated.
 * @param cellsToOne of how many cells each sample is the strongest
 */
export function excessOf(channel: Channel, bed: BedLine, pingRate: number, cellsToOne: number): Excess {
  const { pingCount, sampleCount: n, levelDb } = channel;
  const ranges = Math.ceil(n / EVERY_SAMPLES);
  const span = Math.max(LOOKED_AT, Math.round(SPAN_S * pingRate));
  const between = Math.max(FEWEST_BETWEEN, Math.round(span / 3));
  const middles = Math.max(1, Math.ceil(pingCount / between));
  const back = new Float32Array(middles * ranges);
  const most = 2 * LOOKED_AT + 2;
  const values = new Float32Array(TILE * most);
  const counts = new Int32Array(TILE);
  const overMeanDb = toDb(strongestQuantile(cellsToOne, QUANTILE) / strongestMean(cellsToOne));
  const bedSample = Int32Array.from(bed.rangeM, (r) =>
    !isGap(r) ? Math.floor((r - channel.firstRangeM) / channel.sampleStepM) : n,
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
            ? selectInPlace(mine, Math.floor(QUANTILE * count), count) - overMeanDb
            : i > 0
              ? back[m * ranges + i - 1]!
              : 0;
      }
    }
    smoothAlongRange(back, m * ranges, ranges, EVERY_SAMPLES * channel.sampleStepM);
  }
  const shared = Math.ceil(pingCount / (1 << SHARED_SHIFT));
  const backDb = new Float32Array(shared * n);
  for (let s = 0; s < shared; s++) {
    const at = Math.min(middles - 1, Math.max(0, ((s + 0.5) * (1 << SHARED_SHIFT)) / between - 0.5));
    const low = Math.floor(at);
    const u = at - low;
    const a = low * ranges;
    const b = Math.min(middles - 1, low + 1) * ranges;
    for (let j = 0; j < n; j++) {
      const i = j >> EVERY_SHIFT;
      backDb[s * n + j] = back[a + i]! + (back[b + i]! - back[a + i]!) * u;
    }
  }
  const end = bedSample.map((sample) => Math.min(n, sample + UNDER_BED_SAMPLES));
  return {
    sampleCount: n,
    levelDb,
    backDb,
    barDb: new Float32Array(pingCount),
    end,
    lid: end.slice(),
    cellsToOne,
  };
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
