import { isGap, median, selectInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { BED_ECHOES, lateRange, pingPeriodM } from '@/core/rig';
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

/** Ping periods tried, and how far over the water to either side a false bed must stand, dB, in this share of pings. */
const MOST_PERIODS = 3;
const FALSE_BED_DB = 4;
const FALSE_BED_SHARE = 0.6;
/** Water to either side it is held against, m. */
const BESIDE_M = [0.8, 2] as const;
const LEAST_LOOKS = 24;

/**
 * Names false beds: echoes of the bed (first, second, third) that come so late that they fall into a later ping, at
 * m·bed − n·c/2f. Looked for only where geometry puts them.
 */
export function findFalseBeds(channel: Channel, bed: BedLine, pingRate: number): NamedEcho[] {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM, levelDb } = channel;
  const period = pingPeriodM(pingRate, channel.soundSpeedMps);
  const mean = (p: number, fromM: number, toM: number): number => {
    const a = Math.max(0, Math.round((fromM - firstRangeM) / step));
    const b = Math.min(n - 1, Math.round((toM - firstRangeM) / step));
    let sum = 0;
    for (let j = a; j <= b; j++) sum += levelDb[p * n + j]!;
    return b >= a ? sum / (b - a + 1) : NaN;
  };
  const out: NamedEcho[] = [];
  const stride = Math.max(1, Math.floor(pingCount / 400));
  for (let m = 1; m <= BED_ECHOES; m++)
    for (let k = 1; k <= MOST_PERIODS; k++) {
      let looked = 0;
      let shown = 0;
      let low = Infinity;
      let high = -Infinity;
      for (let p = k; p < pingCount; p += stride) {
        // The echo belongs to the ping sent k before.
        const sent = bed.rangeM[p - k]!;
        const at = lateRange(m * sent, k, period);
        if (!(at > 1.5 && at + BESIDE_M[1] < bed.rangeM[p]! - 0.5)) continue;
        looked++;
        const here = mean(p, at, at + 0.5);
        const above = mean(p, at - BESIDE_M[1], at - BESIDE_M[0]);
        const below = mean(p, at + BESIDE_M[0], at + BESIDE_M[1]);
        if (here - above > FALSE_BED_DB && here > below) {
          shown++;
          low = Math.min(low, at);
          high = Math.max(high, at);
        }
      }
      if (looked >= LEAST_LOOKS && shown / looked >= FALSE_BED_SHARE)
        out.push({
          kind: 'false-bed',
          fromPing: 0,
          toPing: pingCount - 1,
          rangeM: [low, high],
          steadyDb: 0,
          slantM: 0,
        });
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
