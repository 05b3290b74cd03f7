import { powerOf } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { Settings } from './settings';

/** How far over both neighbours a sample must stand to be another sounder's, dB, by step 1…3. */
const OTHER_SOUNDERS_DB = [Infinity, 20, 13, 7] as const;

/** Noise rejection does the same by the way, more with each step, dB. */
const REJECTION_DB = [Infinity, 24, 20, 17, 14, 12, 10, 8, 6] as const;

/**
 * Other sounders out: a level far over that of the ping before and the ping after is brought down to the greater of
 * them. The boat moves centimetres a ping, so a true echo is in its neighbours too; another boat's pulse is not. The first
 * ping is held against the two after it, the last against the two before.
 * @param level and @param out pings × samples, not the same array
 */
export function dropLonePings(
  level: Float32Array,
  pingCount: number,
  sampleCount: number,
  overDb: number,
  out: Float32Array,
): void {
  if (pingCount < 3 || overDb === Infinity) return out.set(level);
  for (let p = 0; p < pingCount; p++) {
    const row = p * sampleCount;
    const before = (p === 0 ? 2 : p - 1) * sampleCount;
    const after = (p === pingCount - 1 ? pingCount - 3 : p + 1) * sampleCount;
    for (let j = 0; j < sampleCount; j++) {
      const a = level[before + j]!;
      const b = level[after + j]!;
      const most = (a > b ? a : b) + overDb;
      const x = level[row + j]!;
      out[row + j] = x > most ? most - overDb : x;
    }
  }
}

/** Mean power of `count` pings ending with each, back as levels, to 0.01 dB. @param out not `level` itself */
export function averagePings(
  level: Float32Array,
  pingCount: number,
  sampleCount: number,
  count: number,
  out: Float32Array,
): void {
  const { log, min, max } = Math;
  const powerFrom = powerOf;
  const toDb = 10 / Math.LN10;
  const power = new Float64Array(sampleCount);
  const ring = new Float64Array(sampleCount * count);
  for (let p = 0; p < pingCount; p++) {
    const row = p * sampleCount;
    const slot = (p % count) * sampleCount;
    const held = 1 / min(count, p + 1);
    for (let j = 0; j < sampleCount; j++) {
      const fresh = powerFrom(level[row + j]!);
      const sum = power[j]! + fresh - ring[slot + j]!;
      power[j] = sum;
      ring[slot + j] = fresh;
      // Rounding in the running sum may leave a hair of nothing.
      out[row + j] = toDb * log(max(sum * held, 1e-30));
    }
  }
}

/** What is kept of the last filtering, so that other dials do not run it again. */
export interface Filtered {
  channel: Channel;
  key: string;
  level: Float32Array;
}

/** The channel's levels after the filters that work from ping to ping. Those of `last` when they still hold; else its room is used again. */
export function filteredLevels(
  channel: Channel,
  {
    otherSounders,
    noiseRejection,
    averaging,
  }: Pick<Settings, 'otherSounders' | 'noiseRejection' | 'averaging'>,
  last: Filtered | null,
): Filtered {
  const over = Math.min(
    OTHER_SOUNDERS_DB[otherSounders] ?? Infinity,
    REJECTION_DB[noiseRejection] ?? Infinity,
  );
  const key = `${over} ${averaging}`;
  if (last?.channel === channel && last.key === key) return last;
  let level = channel.levelDb;
  let room =
    last && last.level !== last.channel.levelDb && last.level.length === level.length ? last.level : null;
  if (over !== Infinity) {
    const out = room ?? new Float32Array(level.length);
    room = null;
    dropLonePings(level, channel.pingCount, channel.sampleCount, over, out);
    level = out;
  }
  if (averaging > 1) {
    const out = room ?? new Float32Array(level.length);
    averagePings(level, channel.pingCount, channel.sampleCount, averaging, out);
    level = out;
  }
  return { channel, key, level };
}
