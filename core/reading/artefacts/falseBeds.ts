import { isGap, median } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { BED_ECHOES, lateRange, pingPeriodM } from '@/core/rig';
import type { BedLine } from '../bed/bedLine';
import type { Finding } from '../finding';
import type { NamedEcho } from './notFish';

/** Ping periods tried, and how far over the water to either side a false bed must stand, dB, in this share of looks at some pings. */
const MOST_PERIODS = 3;
const FALSE_BED_DB = 2.5;
const FALSE_BED_SHARE = 0.6;
/** Pings a look takes together: of one alone noise says too much. */
const LOOK_PINGS = 5;
/** Water it is looked for in from where it begins, and to either side, what it is held against, m. */
const THICK_M = 0.5;
const BESIDE_M = [0.8, 2] as const;
/** Looks that are enough; fewer are where it slants by so much, m: bait does not keep to that. */
const LEAST_LOOKS = 16;
const LEAST_LOOKS_ON_SLANT = 8;
const SLANT_M = 2;

/** An echo of the bed that falls into a later ping: where it begins, ping by ping (NaN where the bed is lost), how thick it is, and its name. */
export interface FalseBed {
  rangeM: Float32Array;
  thickM: number;
  named: NamedEcho;
}

/** Pings a false bed's thickness is measured on at most, in steps of so much, m, from so far over it. */
const THICK_PINGS = 200;
const THICK_STEP_M = 0.25;
const OVER_IT_M = 2;
/** Over the true bed nothing is measured, m. */
const OVER_BED_M = 0.5;
/** Fewer levels tell nothing. */
const THICK_LOOKS = 16;

/** How far below where it begins a false bed, ping for ping on one level, stands over the quietest of the water about it, m. */
function thicknessM(
  { pingCount, sampleCount: n, sampleStepM: step, firstRangeM, levelDb }: Channel,
  bed: BedLine,
  rangeM: Float32Array,
): number {
  const stride = Math.max(1, Math.floor(pingCount / THICK_PINGS));
  const over: { offM: number; levelDb: number }[] = [];
  for (let k = -Math.round(OVER_IT_M / THICK_STEP_M); ; k++) {
    const levels: number[] = [];
    for (let p = 0; p < pingCount; p += stride) {
      const at = rangeM[p]! + k * THICK_STEP_M;
      const j = Math.round((at - firstRangeM) / step);
      if (j >= 0 && j < n && at < bed.rangeM[p]! - OVER_BED_M) levels.push(levelDb[p * n + j]!);
    }
    if (k > 0 && levels.length < THICK_LOOKS) break;
    if (levels.length >= THICK_LOOKS) over.push({ offM: k * THICK_STEP_M, levelDb: median(levels) });
  }
  const quietDb = Math.min(...over.map((o) => o.levelDb));
  const below = over.filter(({ offM }) => offM > 0);
  const end = below.find((o) => o.levelDb < quietDb + FALSE_BED_DB) ?? below[below.length - 1];
  return end?.offM ?? 0;
}

/**
 * Finds false beds: echoes of the bed, the first and those by way of the surface, that come so late that they fall into a later ping,
 * at m·bed − n·c/2f. Looked for only where geometry puts them. A false bed of a few pings may as well be bait there, and is not named.
 * @param pingRate pings a second
 */
export function findFalseBeds(channel: Channel, bed: BedLine, pingRate: number): FalseBed[] {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM, levelDb } = channel;
  const period = pingPeriodM(pingRate, channel.soundSpeedMps);
  const mean = (p: number, fromM: number, toM: number): number => {
    const a = Math.max(0, Math.round((fromM - firstRangeM) / step));
    const b = Math.min(n - 1, Math.round((toM - firstRangeM) / step));
    let sum = 0;
    for (let j = a; j <= b; j++) sum += levelDb[p * n + j]!;
    return b >= a ? sum / (b - a + 1) : NaN;
  };
  const out: FalseBed[] = [];
  const stride = Math.max(1, Math.floor(pingCount / 400));
  for (let m = 1; m <= BED_ECHOES; m++)
    for (let k = 1; k <= MOST_PERIODS; k++) {
      // The echo belongs to the ping sent k before.
      const atPing = (p: number): number => (p < k ? NaN : lateRange(m * bed.rangeM[p - k]!, k, period));
      let looked = 0;
      let shown = 0;
      let low = Infinity;
      let high = -Infinity;
      let taken = 0;
      let overAbove = 0;
      let overBelow = 0;
      let [nearest, farthest] = [Infinity, -Infinity];
      for (let p = k; p < pingCount; p += stride) {
        const at = atPing(p);
        if (!(at > 1.5 && at + BESIDE_M[1] < bed.rangeM[p]! - 0.5)) continue;
        const here = mean(p, at, at + THICK_M);
        nearest = Math.min(nearest, at);
        farthest = Math.max(farthest, at);
        overAbove += here - mean(p, at - BESIDE_M[1], at - BESIDE_M[0]);
        overBelow += here - mean(p, at + BESIDE_M[0], at + BESIDE_M[1]);
        if (++taken < LOOK_PINGS) continue;
        looked++;
        if (overAbove > FALSE_BED_DB * LOOK_PINGS && overBelow > 0) {
          shown++;
          low = Math.min(low, nearest);
          high = Math.max(high, farthest);
        }
        [taken, overAbove, overBelow, nearest, farthest] = [0, 0, 0, Infinity, -Infinity];
      }
      const enough = high - low > SLANT_M ? LEAST_LOOKS_ON_SLANT : LEAST_LOOKS;
      if (looked < enough || shown / looked < FALSE_BED_SHARE) continue;
      const rangeM = Float32Array.from({ length: pingCount }, (_, p) => atPing(p));
      out.push({
        rangeM,
        thickM: thicknessM(channel, bed, rangeM),
        named: {
          kind: 'false-bed',
          fromPing: 0,
          toPing: pingCount - 1,
          rangeM: [low, high],
          steadyDb: 0,
          slantM: 0,
        },
      });
    }
  return out;
}

/** Water about a false bed in which its pieces lie, m: it wanders by m times what the bed line does. */
const ABOUT_M = 0.6;
/** Of a finding's pings so many must lie on it. */
const ON_SHARE = 0.8;
/** It slants where it rises or falls by SLANT_M from so many pings before a mark to so many after. */
const SLANT_PINGS = 40;

function slantsAt({ rangeM }: FalseBed, fromPing: number, toPing: number): boolean {
  let [low, high] = [Infinity, -Infinity];
  for (let p = Math.max(0, fromPing - SLANT_PINGS); p <= toPing + SLANT_PINGS && p < rangeM.length; p++) {
    const at = rangeM[p]!;
    if (at < low) low = at;
    if (at > high) high = at;
  }
  return high - low > SLANT_M;
}

/**
 * Whether a mark or cloud is a piece of a false bed: its top keeps to it, ping by ping, and it is no thicker. A mark may lie in all of one
 * where it slants, which is soon past; in one that lies level a fish may.
 */
export function isOnFalseBed(finding: Finding, falseBeds: readonly FalseBed[]): boolean {
  if (finding.kind === 'cover') return false;
  const top = finding.kind === 'fish' ? finding.path : finding.top;
  const bottom = finding.kind === 'cloud' ? finding.bottom : null;
  return falseBeds.some((falseBed) => {
    const { rangeM, thickM } = falseBed;
    const wholly = finding.kind === 'fish' && slantsAt(falseBed, finding.fromPing, finding.toPing);
    const below = wholly ? Math.max(ABOUT_M, thickM) : ABOUT_M;
    let on = 0;
    let told = 0;
    top.forEach((range, i) => {
      const at = rangeM[finding.fromPing + i]!;
      if (isGap(range) || isGap(at)) return;
      told++;
      const thick = bottom && !isGap(bottom[i]!) ? bottom[i]! - range : 0;
      if (range > at - ABOUT_M && range < at + below && thick < thickM + 2 * ABOUT_M) on++;
    });
    return told > 0 && on >= ON_SHARE * told;
  });
}
