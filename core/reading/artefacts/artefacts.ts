import { isGap, median, selectInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { overAt, type Excess } from '../levels/background';
import type { BedLine } from '../bed/bedLine';
import type { NamedEcho } from './notFish';

/** A whole ping this far over its neighbours is an electrical bar, dB. */
const BAR_DB = 3.5;
/** Samples of a ping looked at for that. */
const LOOKS = 110;
/** The lower quartile of n looks at noise strays by so much over √n, dB; looks nearer than a pulse are alike. Of so many times that there is hardly one. */
const STRAYS_DB = 8.7;
const STRAYS = 4.2;

/** What of a ping's water fills it all, dB over the background, and from where on it is more than noise. */
interface PingExcess {
  db: Float32Array;
  leastDb: Float32Array;
}

/** Lower quartile of the excess of each ping's water, dB: alike in all quiet pings. */
function pingExcess(channel: Channel, bed: BedLine, excess: Excess): PingExcess {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM, resolutionM } = channel;
  const db = new Float32Array(pingCount);
  const leastDb = new Float32Array(pingCount);
  const values = new Float32Array(2 * LOOKS + 2);
  for (let p = 0; p < pingCount; p++) {
    const range = bed.rangeM[p]!;
    const end = !isGap(range) ? Math.min(n, Math.floor((range - firstRangeM) / step) - 4) : n;
    const first = Math.min(end - 1, Math.ceil(1 / step));
    const stride = Math.max(1, Math.floor((end - first) / LOOKS));
    let count = 0;
    for (let j = first; j < end; j += stride) values[count++] = overAt(excess, p, j);
    // A low quantile: marks and bubbles fill half of a ping's water, a bar fills it all.
    db[p] = count > 4 ? selectInPlace(values, count >> 2, count) : 0;
    const apart = Math.max(1, Math.min(count, ((end - first) * step) / resolutionM));
    leastDb[p] = Math.max(BAR_DB, (STRAYS * STRAYS_DB) / Math.sqrt(apart));
  }
  return { db, leastDb };
}

/** Pings to either side that are looked at, and how much of a bar's excess they may have: a gust of bubbles and bait come and go slowly. */
const BESIDE = 6;
const BESIDE_SHARE = 0.4;

/** Whether a bar begins and ends at once: pings beside it that are none have little of its excess. */
function startsAtOnce(
  overUsual: Float32Array,
  isBar: (ping: number) => boolean,
  from: number,
  to: number,
): boolean {
  const sides: number[] = [];
  for (const way of [-1, 1]) {
    let p = way < 0 ? from - 1 : to + 1;
    for (let looked = 0; looked < BESIDE && p >= 0 && p < overUsual.length; p += way)
      if (!isBar(p)) {
        sides.push(overUsual[p]!);
        looked++;
      }
  }
  return (
    sides.length === 0 || median(sides) <= BESIDE_SHARE * median(Array.from(overUsual.subarray(from, to + 1)))
  );
}

/**
 * Names electrical bars (whole pings over their neighbours) and takes their excess off, so that nothing in them is claimed.
 * The excess is changed in place.
 */
export function takeOffBars(channel: Channel, bed: BedLine, excess: Excess): NamedEcho[] {
  const { pingCount, sampleCount: n } = channel;
  const { db, leastDb } = pingExcess(channel, bed, excess);
  const usual = median(Array.from(db));
  const overUsual = db.map((x) => x - usual);
  const isBar = (ping: number): boolean => overUsual[ping]! > leastDb[ping]!;
  const out: NamedEcho[] = [];
  for (let p = 0; p < pingCount; p++) {
    const from = p;
    if (!isBar(from)) continue;
    let to = p;
    while (to + 1 < pingCount && isBar(to + 1)) to++;
    p = to;
    if (!startsAtOnce(overUsual, isBar, from, to)) continue;
    for (let q = from; q <= to; q++) excess.barDb[q] = overUsual[q]!;
    out.push({
      kind: 'electrical-bar',
      fromPing: from,
      toPing: to,
      rangeM: [channel.firstRangeM, channel.firstRangeM + (n - 1) * channel.sampleStepM],
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
