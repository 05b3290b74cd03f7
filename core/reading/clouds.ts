import { clamp } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from './findings';
import type { Excess } from './background';

/** A sample belongs to something when it stands this far over the background, dB. */
const FULL_DB = 6;
/** Size of the window whose filling is measured: metres of range, and metres of way either side as pings (within bounds). */
const WINDOW_M = 0.6;
const WINDOW_WAY_M = 0.5;
const FEWEST_PINGS = 3;
const MOST_PINGS = 14;
/** A window filled this much holds many echoes: a lone fish fills a pulse length of it. */
const CORE_FILL = 0.55;
/** A cloud reaches out from its core as far as windows are filled this much. */
const SKIRT_FILL = 0.33;
/** Clouds smaller than this are specks, m of height. */
const LEAST_HEIGHT_M = 0.4;
const LEAST_PINGS = 5;
/** Pings and samples a cloud keeps for itself around its edge. */
const SKIRT_PINGS = 8;

/** A cloud's outline by ping. */
export interface CloudOutline {
  fromPing: number;
  toPing: number;
  /** Samples, −1 where it has a gap; rows of fromPing…toPing. */
  top: Int32Array;
  bottom: Int32Array;
  /** Mean level over background inside, dB. */
  overDb: number;
}

/** Clouds of a channel and, pings × samples, 1 where a sample is in or close to one. */
export function findClouds(
  channel: Channel,
  bed: BedLine,
  excess: Excess,
  pingsPerM: number,
): { clouds: CloudOutline[]; taken: Uint8Array } {
  const { pingCount, sampleCount: n, sampleStepM: step } = channel;
  const over = excess.overDb;
  const halfPings = Math.round(clamp(WINDOW_WAY_M * pingsPerM, FEWEST_PINGS, MOST_PINGS));
  const half = Math.max(1, Math.round(Math.max(WINDOW_M, 4 * channel.resolutionM) / step / 2));
  const bedSample = Int32Array.from(bed.rangeM, (r) =>
    r === r ? Math.floor((r - channel.firstRangeM - 2 * channel.resolutionM) / step) : n,
  );

  // Filling by running sums, first along range and then along pings.
  const column = new Float32Array(pingCount * n);
  const sum = new Float32Array(n + 1);
  for (let p = 0; p < pingCount; p++) {
    const row = p * n;
    const end = Math.min(n, bedSample[p]!);
    for (let j = 0; j < n; j++) sum[j + 1] = sum[j]! + (j < end && over[row + j]! >= FULL_DB ? 1 : 0);
    for (let j = half; j < n - half; j++)
      column[row + j] = (sum[j + half + 1]! - sum[j - half]!) / (2 * half + 1);
  }
  /** 1 = in a skirt, 2 = in a core. */
  const full = new Uint8Array(pingCount * n);
  const run = new Float32Array(n);
  for (let p = 0; p < pingCount + halfPings; p++) {
    if (p < pingCount) for (let j = 0; j < n; j++) run[j]! += column[p * n + j]!;
    const old = p - 2 * halfPings - 1;
    if (old >= 0) for (let j = 0; j < n; j++) run[j]! -= column[old * n + j]!;
    const middle = p - halfPings;
    if (middle < 0) continue;
    const whole = 2 * halfPings + 1;
    for (let j = 0; j < n; j++)
      full[middle * n + j] = run[j]! >= CORE_FILL * whole ? 2 : run[j]! >= SKIRT_FILL * whole ? 1 : 0;
  }

  const seen = new Uint8Array(pingCount * n);
  const taken = new Uint8Array(pingCount * n);
  const clouds: CloudOutline[] = [];
  const stack: number[] = [];
  for (let start = 0; start < full.length; start++) {
    if (full[start] !== 2 || seen[start] === 1) continue;
    const members: number[] = [];
    stack.push(start);
    seen[start] = 1;
    let fromPing = pingCount;
    let toPing = -1;
    while (stack.length > 0) {
      const at = stack.pop()!;
      members.push(at);
      const p = Math.floor(at / n);
      const j = at - p * n;
      if (p < fromPing) fromPing = p;
      if (p > toPing) toPing = p;
      for (const next of [j > 0 ? at - 1 : -1, j < n - 1 ? at + 1 : -1, at - n, at + n])
        if (next >= 0 && next < full.length && full[next]! > 0 && seen[next] === 0) {
          seen[next] = 1;
          stack.push(next);
        }
    }
    if (toPing - fromPing + 1 < LEAST_PINGS) continue;
    const pings = toPing - fromPing + 1;
    const top = new Int32Array(pings).fill(-1);
    const bottom = new Int32Array(pings).fill(-1);
    let total = 0;
    for (const at of members) {
      const p = Math.floor(at / n);
      const j = at - p * n;
      const k = p - fromPing;
      if (top[k] === -1 || j < top[k]!) top[k] = j;
      if (j > bottom[k]!) bottom[k] = j;
      total += over[at]!;
    }
    let tallest = 0;
    for (let k = 0; k < pings; k++) if (top[k]! >= 0) tallest = Math.max(tallest, bottom[k]! - top[k]!);
    // The window reaches half its height beyond the members it is centred on.
    if ((tallest + 2 * half) * step < LEAST_HEIGHT_M + WINDOW_M) continue;
    clouds.push({ fromPing, toPing, top, bottom, overDb: total / members.length });
    for (
      let p = Math.max(0, fromPing - SKIRT_PINGS);
      p <= Math.min(pingCount - 1, toPing + SKIRT_PINGS);
      p++
    ) {
      const k = Math.min(pings - 1, Math.max(0, p - fromPing));
      if (top[k]! < 0) continue;
      for (let j = Math.max(0, top[k]! - half); j <= Math.min(n - 1, bottom[k]! + half); j++)
        taken[p * n + j] = 1;
    }
  }
  return { clouds, taken };
}
