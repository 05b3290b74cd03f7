import { powerOf } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { Settings } from './settings';

/** How far over both neighbours a sample must stand to be another sounder's, dB, by step 1…3. */
const OTHER_SOUNDERS_DB = [Infinity, 20, 13, 7] as const;

/** Noise rejection does the same by the way, more with each step, dB. */
const REJECTION_DB = [Infinity, 24, 20, 17, 14, 12, 10, 8, 6] as const;

/** Pings a filter does at a time, so that those no picture shows are left alone. */
const BLOCK = 64;

/**
 * Other sounders out: a level far over that of the ping before and the ping after is brought down to the greater of
 * them. The boat moves centimetres a ping, so a true echo is in its neighbours too; another boat's pulse is not. The first
 * ping is held against the two after it, the last against the two before.
 * @param level and @param out pings × samples, not the same array
 * @param fromPing and @param endPing pings that are written, the last one not
 */
export function dropLonePings(
  level: Float32Array,
  pingCount: number,
  sampleCount: number,
  overDb: number,
  out: Float32Array,
  fromPing = 0,
  endPing = pingCount,
): void {
  // Few samples stand alone: a copy and a look at each costs half of writing each.
  const begin = fromPing * sampleCount;
  out.set(level.subarray(begin, endPing * sampleCount), begin);
  if (pingCount < 3 || overDb === Infinity) return;
  for (let p = fromPing; p < endPing; p++) {
    const row = p * sampleCount;
    const before = (p === 0 ? 2 : p - 1) * sampleCount;
    const after = (p === pingCount - 1 ? pingCount - 3 : p + 1) * sampleCount;
    for (let j = 0; j < sampleCount; j++) {
      const least = level[row + j]! - overDb;
      const a = level[before + j]!;
      const b = level[after + j]!;
      if (least > a && least > b) out[row + j] = a > b ? a : b;
    }
  }
}

/**
 * Mean power of `count` pings ending with each, back as levels, to 0.01 dB.
 * @param out not `level` itself
 * @param fromPing and @param endPing pings that are written, the last one not
 */
export function averagePings(
  level: Float32Array,
  pingCount: number,
  sampleCount: number,
  count: number,
  out: Float32Array,
  fromPing = 0,
  endPing = pingCount,
): void {
  const { log, min, max } = Math;
  const powerFrom = powerOf;
  const toDb = 10 / Math.LN10;
  const power = new Float64Array(sampleCount);
  const ring = new Float64Array(sampleCount * count);
  const begin = max(0, fromPing - count + 1);
  for (let p = begin; p < endPing; p++) {
    const row = p * sampleCount;
    const slot = (p % count) * sampleCount;
    const held = 1 / min(count, p - begin + 1);
    const written = p >= fromPing;
    for (let j = 0; j < sampleCount; j++) {
      const fresh = powerFrom(level[row + j]!);
      const sum = power[j]! + fresh - ring[slot + j]!;
      power[j] = sum;
      ring[slot + j] = fresh;
      // Rounding in the running sum may leave a hair of nothing.
      if (written) out[row + j] = toDb * log(max(sum * held, 1e-30));
    }
  }
}

/** One filter's levels, of which blocks of pings are done. */
interface Pass {
  level: Float32Array;
  done: Uint8Array;
}

/** What is kept of the last filtering, so that other dials do not run it again. */
export interface Filtered {
  channel: Channel;
  key: string;
  overDb: number;
  averaging: number;
  /** Null where the filter leaves all as it is. */
  lone: Pass | null;
  mean: Pass | null;
}

const passOver = ({ levelDb, pingCount }: Channel, room: Pass | null | undefined): Pass => ({
  level: room?.level.length === levelDb.length ? room.level : new Float32Array(levelDb.length),
  done: new Uint8Array(Math.ceil(pingCount / BLOCK)),
});

/** Does the blocks that hold some pings and are not done yet. */
function doBlocks(
  { done }: Pass,
  pingCount: number,
  fromPing: number,
  endPing: number,
  run: (from: number, end: number) => void,
): void {
  for (let b = Math.floor(fromPing / BLOCK); b * BLOCK < endPing; b++) {
    if (done[b] === 1) continue;
    run(b * BLOCK, Math.min(pingCount, (b + 1) * BLOCK));
    done[b] = 1;
  }
}

/** Filters from ping to ping as set; those of `last` when they still hold, else its room is used again. */
export function pingFilters(
  channel: Channel,
  {
    otherSounders,
    noiseRejection,
    averaging,
  }: Pick<Settings, 'otherSounders' | 'noiseRejection' | 'averaging'>,
  last: Filtered | null = null,
): Filtered {
  const overDb = Math.min(
    OTHER_SOUNDERS_DB[otherSounders] ?? Infinity,
    REJECTION_DB[noiseRejection] ?? Infinity,
  );
  const key = `${overDb} ${averaging}`;
  if (last?.channel === channel && last.key === key) return last;
  return {
    channel,
    key,
    overDb,
    averaging,
    lone: overDb === Infinity ? null : passOver(channel, last?.lone),
    mean: averaging > 1 ? passOver(channel, last?.mean) : null,
  };
}

/**
 * A channel's levels after its filters, pings × samples.
 * @param fromPing and @param endPing pings whose levels are wanted, the last one not; others may not be done yet
 */
export function filteredLevels(
  { channel, overDb, averaging, lone, mean }: Filtered,
  fromPing = 0,
  endPing = channel.pingCount,
): Float32Array {
  const { levelDb, pingCount, sampleCount } = channel;
  const dropTo = (from: number, end: number): void => {
    if (lone)
      doBlocks(lone, pingCount, from, end, (a, b) => {
        dropLonePings(levelDb, pingCount, sampleCount, overDb, lone.level, a, b);
      });
  };
  if (!mean) {
    dropTo(fromPing, endPing);
    return lone?.level ?? levelDb;
  }
  doBlocks(mean, pingCount, fromPing, endPing, (a, b) => {
    dropTo(Math.max(0, a - averaging + 1), b);
    averagePings(lone?.level ?? levelDb, pingCount, sampleCount, averaging, mean.level, a, b);
  });
  return mean.level;
}
