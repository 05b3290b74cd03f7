import { clamp, isGap } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { overAt, type Excess } from '../levels/background';
import type { BedLine } from '../bed/bedLine';
import { CELL, STANDS_OUT_DB, type Cells } from '../levels/cells';
import { fitCrossing } from '../marks/crossing';
import type { CloudOutline } from './cloudOutline';
import { isFewBodies } from './fewBodies';
import { joinTorn } from './joinTorn';
import { scratchBytes } from '../levels/scratch';

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

/** Within so many pulses of the curve of one passing point, the strongest echoes of all pings are one body's. */
const ONE_BODY = 0.5;
/** What reaches farther up and down is more than one body, m. */
const BODY_TALL_M = 1.2;

/** Whether a cloud is one big body close by, whose side lobes and parts fill the window: its crests lie on one crossing curve. */
function isOneBody(
  { fromPing, top, bottom }: Pick<CloudOutline, 'fromPing' | 'top' | 'bottom'>,
  channel: Channel,
  timeS: Float64Array,
  speedMps: number,
): boolean {
  const { sampleCount: n, sampleStepM: step, firstRangeM, levelDb } = channel;
  const times: number[] = [];
  const crests: number[] = [];
  top.forEach((a, k) => {
    if (a < 0) return;
    const row = (fromPing + k) * n;
    let best = a;
    for (let j = a + 1; j <= Math.min(n - 1, bottom[k]!); j++)
      if (levelDb[row + j]! > levelDb[row + best]!) best = j;
    times.push(timeS[fromPing + k]!);
    crests.push(firstRangeM + best * step);
  });
  const curve = fitCrossing(times, crests, speedMps);
  return curve !== null && curve.offM < ONE_BODY * channel.resolutionM;
}

/** Clouds of a channel and, pings × samples, the number of the cloud a sample is in or close to, counted from 1; 0 for none. */
export function findClouds(
  channel: Channel,
  bed: BedLine,
  excess: Excess,
  cells: Cells,
  timeS: Float64Array,
  heaveM: Float32Array,
  speedMps: number,
  pingsPerM: number,
): { clouds: CloudOutline[]; taken: Uint8Array } {
  const { pingCount, sampleCount: n, sampleStepM: step } = channel;
  const halfPings = Math.round(clamp(WINDOW_WAY_M * pingsPerM, FEWEST_PINGS, MOST_PINGS));
  const windowM = Math.max(WINDOW_M, 4 * channel.resolutionM);
  const half = Math.max(1, Math.round(windowM / step / 2 / CELL));
  const bedSample = Int32Array.from(bed.rangeM, (r) =>
    !isGap(r) ? Math.floor((r - channel.firstRangeM - 2 * channel.resolutionM) / step) : n,
  );
  const full = filling(cells, bedSample, half, halfPings);
  const across = cells.cells;

  const taken = scratchBytes('taken', pingCount * n).fill(0);
  const clouds: CloudOutline[] = [];
  const members = new Int32Array(full.length);
  for (let start = full.indexOf(CORE); start >= 0; start = full.indexOf(CORE, start + 1)) {
    const count = gatherRegion(full, across, start, members);
    let fromPing = pingCount;
    let toPing = -1;
    for (let i = 0; i < count; i++) {
      const p = (members[i]! / across) | 0;
      if (p < fromPing) fromPing = p;
      if (p > toPing) toPing = p;
    }
    if (toPing - fromPing + 1 < LEAST_PINGS) continue;
    const pings = toPing - fromPing + 1;
    const top = new Int32Array(pings).fill(-1);
    const bottom = new Int32Array(pings).fill(-1);
    for (let i = 0; i < count; i++) {
      const at = members[i]!;
      const p = (at / across) | 0;
      const j = (at - p * across) * CELL;
      const k = p - fromPing;
      if (top[k] === -1 || j < top[k]!) top[k] = j;
      if (j + CELL - 1 > bottom[k]!) bottom[k] = j + CELL - 1;
    }
    let tallest = 0;
    for (let k = 0; k < pings; k++) if (top[k]! >= 0) tallest = Math.max(tallest, bottom[k]! - top[k]! + 1);
    // The window reaches half its height beyond the members it is centred on.
    if ((tallest + 2 * half * CELL) * step < LEAST_HEIGHT_M + WINDOW_M) continue;
    if (tallest * step < BODY_TALL_M && isOneBody({ fromPing, top, bottom }, channel, timeS, speedMps))
      continue;
    const cloud = trimmed({ fromPing, toPing, top: top.slice(), bottom: bottom.slice() }, excess, bedSample);
    if (isFewBodies(cloud, channel, bed, { excess, cells }, timeS, heaveM, speedMps)) continue;
    const reach = half * CELL;
    for (
      let p = Math.max(0, fromPing - SKIRT_PINGS);
      p <= Math.min(pingCount - 1, toPing + SKIRT_PINGS);
      p++
    ) {
      const k = Math.min(pings - 1, Math.max(0, p - fromPing));
      if (top[k]! < 0) continue;
      for (let j = Math.max(0, top[k]! - reach); j <= Math.min(n - 1, bottom[k]! + reach); j++)
        taken[p * n + j] = Math.min(MOST_NUMBER, clouds.length + 1);
    }
    clouds.push(cloud);
  }
  const whole = joinTorn(clouds, pingsPerM);
  if (whole.became.some((now, k) => now !== k))
    for (let i = 0; i < taken.length; i++)
      if (taken[i]! > 0 && taken[i]! < MOST_NUMBER)
        taken[i] = Math.min(MOST_NUMBER, whole.became[taken[i]! - 1]! + 1);
  return { clouds: whole.clouds, taken };
}

/** Highest number a sample can carry; more clouds than that share it. */
const MOST_NUMBER = 255;

/** Gives back the samples of clouds that are none after all. @param dropped by cloud, in the order they were found */
export function giveBack(taken: Uint8Array, dropped: readonly boolean[]): void {
  if (!dropped.some((gone, k) => gone && k + 1 < MOST_NUMBER)) return;
  for (let i = 0; i < taken.length; i++) {
    const number = taken[i]!;
    if (number > 0 && number < MOST_NUMBER && dropped[number - 1]) taken[i] = 0;
  }
}

/** Draws an outline in to the first and last sample of each ping that stands out, and measures what is inside. */
function trimmed(
  { fromPing, toPing, top, bottom }: Omit<CloudOutline, 'overDb' | 'fill'>,
  excess: Excess,
  bedSample: Int32Array,
): CloudOutline {
  let total = 0;
  let inside = 0;
  let filled = 0;
  for (let k = 0; k < top.length; k++) {
    if (top[k]! < 0) continue;
    const ping = fromPing + k;
    let a = top[k]!;
    let b = Math.min(bottom[k]!, bedSample[ping]! - 1);
    while (a <= b && overAt(excess, ping, a) < STANDS_OUT_DB) a++;
    while (b >= a && overAt(excess, ping, b) < STANDS_OUT_DB) b--;
    if (a > b) {
      top[k] = bottom[k] = -1;
      continue;
    }
    top[k] = a;
    bottom[k] = b;
    for (let j = a; j <= b; j++) {
      const over = overAt(excess, ping, j);
      total += over;
      if (over >= STANDS_OUT_DB) filled++;
    }
    inside += b - a + 1;
  }
  return {
    fromPing,
    toPing,
    top,
    bottom,
    overDb: total / Math.max(1, inside),
    fill: filled / Math.max(1, inside),
  };
}

/** How a cell counts. */
const SKIRT = 1;
const CORE = 2;

/** By ping and cell: CORE, SKIRT or 0, from how full the window about it is; by running sums along range and then pings. */
function filling(
  { cells, full: standing }: Cells,
  bedSample: Int32Array,
  half: number,
  halfPings: number,
): Uint8Array {
  const pingCount = bedSample.length;
  const rows = 2 * halfPings + 1;
  const column = new Int16Array(rows * cells);
  const run = new Int32Array(cells);
  const sum = new Int32Array(cells + 1);
  const full = scratchBytes('full', pingCount * cells).fill(0);
  const whole = rows * (2 * half + 1) * CELL;
  const [core, skirt] = [CORE_FILL * whole, SKIRT_FILL * whole];
  // Cells that may still count from some ping of the window.
  let deepest = cells;
  if (bedSample.length > 0) deepest = Math.min(cells, Math.ceil(Math.max(...bedSample) / CELL) + half);
  for (let p = 0; p < pingCount + halfPings; p++) {
    const slot = (p % rows) * cells;
    if (p < pingCount) {
      const row = p * cells;
      const end = Math.max(0, Math.min(cells, Math.floor(bedSample[p]! / CELL)));
      for (let c = 0; c < end; c++) sum[c + 1] = sum[c]! + standing[row + c]!;
      sum.fill(sum[end]!, end + 1);
      // What was in the slot has left the window.
      for (let c = half; c < cells - half && c < deepest; c++) {
        const here = sum[c + half + 1]! - sum[c - half]!;
        run[c]! += here - column[slot + c]!;
        column[slot + c] = here;
      }
    } else {
      for (let c = 0; c < deepest; c++) run[c]! -= column[slot + c]!;
      column.fill(0, slot, slot + cells);
    }
    const middle = p - halfPings;
    if (middle < 0) continue;
    const to = middle * cells;
    for (let c = 0; c < deepest; c++) if (run[c]! >= skirt) full[to + c] = run[c]! >= core ? CORE : SKIRT;
  }
  return full;
}

/** Collects the region joined to a cell, and blanks it; its cells stand in `members`. */
function gatherRegion(full: Uint8Array, cells: number, start: number, members: Int32Array): number {
  let count = 0;
  members[count++] = start;
  full[start] = 0;
  for (let i = 0; i < count; i++) {
    const at = members[i]!;
    const c = at % cells;
    if (c > 0 && full[at - 1]! > 0) {
      full[at - 1] = 0;
      members[count++] = at - 1;
    }
    if (c < cells - 1 && full[at + 1]! > 0) {
      full[at + 1] = 0;
      members[count++] = at + 1;
    }
    if (at >= cells && full[at - cells]! > 0) {
      full[at - cells] = 0;
      members[count++] = at - cells;
    }
    if (at + cells < full.length && full[at + cells]! > 0) {
      full[at + cells] = 0;
      members[count++] = at + cells;
    }
  }
  return count;
}
