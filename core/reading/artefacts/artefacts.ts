import { isGap, median, selectInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { overAt, type Excess } from '../levels/background';
import type { BedLine } from '../bed/bedLine';
import type { NamedEcho } from './notFish';

/** A whole ping this far over its neighbours is an electrical bar, dB. */
const BAR_DB = 3.5;
/** Samples of a ping looked at for that: of fewer, noise alone makes bars (the quartile of n looks at it strays by 8.7/√n dB). */
const LOOKS = 110;

/** Lower quartile of the excess of each ping's water, dB: alike in all quiet pings. */
function pingExcess(channel: Channel, bed: BedLine, excess: Excess): Float32Array {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM } = channel;
  const out = new Float32Array(pingCount);
  const values = new Float32Array(2 * LOOKS + 2);
  for (let p = 0; p < pingCount; p++) {
    const range = bed.rangeM[p]!;
    const end = !isGap(range) ? Math.min(n, Math.floor((range - firstRangeM) / step) - 4) : n;
    const first = Math.min(end - 1, Math.ceil(1 / step));
    const stride = Math.max(1, Math.floor((end - first) / LOOKS));
    let count = 0;
    for (let j = first; j < end; j += stride) values[count++] = overAt(excess, p, j);
    // A low quantile: marks and bubbles fill half of a ping's water, a bar fills it all.
    out[p] = count > 4 ? selectInPlace(values, count >> 2, count) : 0;
  }
  return out;
}

/**
 * Names electrical bars (whole pings over their neighbours) and takes their excess off, so that nothing in them is claimed.
 * The excess is changed in place.
 */
export function takeOffBars(channel: Channel, bed: BedLine, excess: Excess): NamedEcho[] {
  const { pingCount, sampleCount: n } = channel;
  const byPing = pingExcess(channel, bed, excess);
  const usual = median(Array.from(byPing));
  const out: NamedEcho[] = [];
  for (let p = 0; p < pingCount; p++) {
    if (!(byPing[p]! - usual > BAR_DB)) continue;
    let to = p;
    while (to + 1 < pingCount && byPing[to + 1]! - usual > BAR_DB) to++;
    for (let q = p; q <= to; q++) excess.barDb[q] = byPing[q]! - usual;
    out.push({
      kind: 'electrical-bar',
      fromPing: p,
      toPing: to,
      rangeM: [channel.firstRangeM, channel.firstRangeM + (n - 1) * channel.sampleStepM],
      steadyDb: 0,
      slantM: 0,
    });
    p = to;
  }
  return out;
}

/** Ringing is alike from ping to ping within this, dB, and this far over the quiet water, dB. */
const RING_STEADY_DB = 1.5;
const RING_OVER_DB = 10;

/** Names the face's own ringing: the nearest water, equally loud in every ping. Null when there is none past `pastM`. */
export function findRingDown(channel: Channel, clutterM: number, pastM = 0.3): NamedEcho | null {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM, levelDb } = channel;
  const looks = Math.min(pingCount, 64);
  const stride = Math.max(1, Math.floor(pingCount / looks));
  const spreadAt = (j: number): { mean: number; sd: number } => {
    let sum = 0;
    let square = 0;
    let count = 0;
    for (let p = 0; p < pingCount; p += stride) {
      const x = levelDb[p * n + j]!;
      sum += x;
      square += x * x;
      count++;
    }
    const mean = sum / count;
    return { mean, sd: Math.sqrt(Math.max(0, square / count - mean * mean)) };
  };
  const quiet = spreadAt(Math.min(n - 1, Math.ceil((clutterM + 1 - firstRangeM) / step))).mean;
  let j = 0;
  for (; j < n; j++) {
    const { mean, sd } = spreadAt(j);
    if (sd > RING_STEADY_DB || mean < quiet + RING_OVER_DB) break;
  }
  const ends = firstRangeM + j * step;
  if (j === 0 || ends < pastM) return null;
  return {
    kind: 'ring-down',
    fromPing: 0,
    toPing: pingCount - 1,
    rangeM: [firstRangeM, ends],
    steadyDb: 0,
    slantM: 0,
  };
}
