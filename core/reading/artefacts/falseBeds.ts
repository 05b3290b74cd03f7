import { clamp, isGap, median } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { BED_ECHOES, lateRange, pingPeriodM } from '@/core/rig';
import type { BedLine } from '../bed/bedLine';
import type { Finding, FishFinding } from '../finding';
import type { NamedEcho } from './notFish';

/** Ping periods tried, and how far over the water to either side a false bed must stand, dB, in this share of looks at some pings. */
const MOST_PERIODS = 3;
const FALSE_BED_DB = 2.5;
const FALSE_BED_SHARE = 0.6;
/** Pings a look takes together: of one alone noise says too much. */
const LOOK_PINGS = 5;
/** Nearer to the surface than this the water over it is full of bubbles, m: there it must stand so far over what its range usually gives, dB. */
const IN_CLUTTER_M = 3.5;
const OVER_USUAL_DB = 8;
const USUAL_STEP_M = 0.1;
/** Water it is looked for in from where it begins, and to either side, what it is held against, m. */
const THICK_M = 0.5;
const BESIDE_M = [0.8, 2] as const;
/** Pings it must last; fewer are enough where it slants by so much, m: bait does not keep to that. */
const LEAST_PINGS = 80;
const LEAST_PINGS_ON_SLANT = 40;
const SLANT_M = 1;

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
  const usual = new Map<number, number>();
  /** What a range gives in most pings in which it is water, dB. */
  const usualAt = (rangeM: number): number => {
    const key = Math.round(rangeM / USUAL_STEP_M);
    let level = usual.get(key);
    if (level === undefined) {
      const levels: number[] = [];
      for (let p = 0; p < pingCount; p += stride)
        if (bed.rangeM[p]! > rangeM + THICK_M + OVER_BED_M)
          levels.push(mean(p, key * USUAL_STEP_M, key * USUAL_STEP_M + THICK_M));
      level = median(levels);
      usual.set(key, level);
    }
    return level;
  };
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
      let overUsual = 0;
      let [nearest, farthest] = [Infinity, -Infinity];
      for (let p = k; p < pingCount; p += stride) {
        const at = atPing(p);
        if (!(at > 1.5 && at + BESIDE_M[1] < bed.rangeM[p]! - 0.5)) continue;
        const here = mean(p, at, at + THICK_M);
        nearest = Math.min(nearest, at);
        farthest = Math.max(farthest, at);
        overAbove += here - mean(p, at - BESIDE_M[1], at - BESIDE_M[0]);
        overBelow += here - mean(p, at + BESIDE_M[0], at + BESIDE_M[1]);
        if (at < IN_CLUTTER_M) overUsual += here - usualAt(at);
        if (++taken < LOOK_PINGS) continue;
        looked++;
        const stands = overAbove > FALSE_BED_DB * LOOK_PINGS || overUsual > OVER_USUAL_DB * LOOK_PINGS;
        if (stands && overBelow > 0) {
          shown++;
          low = Math.min(low, nearest);
          high = Math.max(high, farthest);
        }
        [taken, overAbove, overBelow, overUsual, nearest, farthest] = [0, 0, 0, 0, Infinity, -Infinity];
      }
      const lasts = looked * LOOK_PINGS * stride;
      const enough = high - low > SLANT_M ? LEAST_PINGS_ON_SLANT : LEAST_PINGS;
      if (lasts < enough || shown / looked < FALSE_BED_SHARE) continue;
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
/** Deeper in it than this its tail is too faint for marks, m. */
const DEEPEST_PIECE_M = 3;
/** Of a finding's pings so many must lie on it. */
const ON_SHARE = 0.8;
/** A fish in it stands so far over what it gives at that depth in itself, dB, by this many pings to either side. */
const FISH_OVER_DB = 10;
const OWN_PINGS = 40;

/** How far a mark stands over a false bed about it, as deep in it as the mark lies, dB; 0 where that cannot be told. */
function overItDb(
  { path, fromPing, toPing }: FishFinding,
  { rangeM }: FalseBed,
  { pingCount, sampleCount: n, sampleStepM: step, firstRangeM, levelDb }: Channel,
): number {
  const levelAt = (p: number, range: number): number => {
    const j = Math.round((range - firstRangeM) / step);
    return j >= 0 && j < n ? levelDb[p * n + j]! : NaN;
  };
  const told = Array.from(path, (range, i) => ({ p: fromPing + i, range, at: rangeM[fromPing + i]! })).filter(
    ({ range, at }) => !isGap(range) && !isGap(at),
  );
  const deepM = median(told.map(({ range, at }) => range - at));
  const own: number[] = [];
  for (let p = Math.max(0, fromPing - OWN_PINGS); p <= toPing + OWN_PINGS && p < pingCount; p++)
    own.push(levelAt(p, rangeM[p]! + deepM));
  const over = median(told.map(({ p, range }) => levelAt(p, range))) - median(own.filter((x) => !isGap(x)));
  return isGap(over) ? 0 : over;
}

/**
 * Whether a mark or cloud is a piece of a false bed: its top keeps to it, ping by ping, and it is no thicker. Deeper in it a mark is one
 * unless it stands out of it.
 */
export function isOnFalseBed(finding: Finding, falseBeds: readonly FalseBed[], channel: Channel): boolean {
  if (finding.kind === 'cover') return false;
  const top = finding.kind === 'fish' ? finding.path : finding.top;
  const bottom = finding.kind === 'cloud' ? finding.bottom : null;
  return falseBeds.some((falseBed) => {
    const { rangeM, thickM } = falseBed;
    const isWithin = (belowM: number): boolean => {
      let on = 0;
      let told = 0;
      top.forEach((range, i) => {
        const at = rangeM[finding.fromPing + i]!;
        if (isGap(range) || isGap(at)) return;
        told++;
        const thick = bottom && !isGap(bottom[i]!) ? bottom[i]! - range : 0;
        if (range > at - ABOUT_M && range < at + belowM && thick < thickM + 2 * ABOUT_M) on++;
      });
      return told > 0 && on >= ON_SHARE * told;
    };
    if (finding.kind !== 'fish') return isWithin(ABOUT_M);
    return (
      isWithin(clamp(thickM, ABOUT_M, DEEPEST_PIECE_M)) && overItDb(finding, falseBed, channel) < FISH_OVER_DB
    );
  });
}
