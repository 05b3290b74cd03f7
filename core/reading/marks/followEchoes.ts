import { isGap } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { overAt, type Excess } from '../levels/background';
import { CELL, type Cells } from '../levels/cells';
import type { BedLine } from '../bed/bedLine';
import { BEGIN_DB, gateM, GAP_PINGS, GO_ON_DB } from './markRules';
import { localBackgroundDb, localCells } from '../levels/localBackground';

/** In the clutter under the surface it must stand this much farther out, dB; nearer than this nothing is sought, m. */
const IN_CLUTTER_DB = 12;
export const TOP_M = 1;
/** Thickness beyond which an echo is not one target's, pulse lengths. */
const THICKEST = 3.2;

/** A track of fewer pings knows too little of its way to tell a wave from another fish. */
const LEAST_IN_HEAVE = 6;

/** One echo followed from ping to ping. */
export interface EchoTrack {
  pings: number[];
  /** Leading edge, m, a ping. */
  rangeM: number[];
  /** Thickness at −6 dB, m. */
  thickM: number[];
  /** Level over background, dB, and sample of its peak. */
  overDb: number[];
  peakSample: number[];
  /** Of one too faint to be seen ping by ping: what all its pings together speak for it, nats. */
  nats?: number;
}

interface Peak {
  range: number;
  thick: number;
  over: number;
  sample: number;
}

/** What echoes are sought in: the excess, its cells, and over 0 where a sample is already spoken for. */
export interface Sought {
  excess: Excess;
  cells: Cells;
  taken: Uint8Array;
}

/** The echoes of one ping that stand out and are no thicker than one target's. */
function peaksOf(
  channel: Channel,
  { excess, cells, taken }: Sought,
  p: number,
  firstSample: number,
  clutterSample: number,
  endSample: number,
  out: Peak[],
): void {
  out.length = 0;
  const first = Math.max(1, firstSample);
  const end = Math.min(endSample, cells.ends[p]!);
  const row = p * channel.sampleCount;
  const cellRow = p * cells.cells;
  const half = localCells(channel.sampleStepM);
  const last = Math.ceil(end / CELL);
  for (let c = Math.floor(first / CELL); c < last; c++) {
    if (cells.mostDb[cellRow + c]! < GO_ON_DB) continue;
    let around = NaN;
    const to = Math.min(end, (c + 1) * CELL);
    for (let j = Math.max(first, c * CELL); j < to; j++) {
      if (taken[row + j]! > 0) continue;
      // In the clutter under the surface an echo counts by what it has over a mark's usual due.
      const over = overAt(excess, p, j) - (j < clutterSample ? IN_CLUTTER_DB : 0);
      if (over < GO_ON_DB) continue;
      const peak = peakAt(channel, row, j, over);
      if (!peak) continue;
      if (isGap(around)) around = localBackgroundDb(cells, half, p, c);
      peak.over -= around;
      if (peak.over >= GO_ON_DB) out.push(peak);
    }
  }
}

/** The peak at a sample of a ping's row, or null when it is none or is too thick for one target. */
export function peakAt(channel: Channel, row: number, j: number, over: number): Peak | null {
  const { sampleCount: n, sampleStepM: step, levelDb } = channel;
  const reach = Math.max(1, Math.round((0.6 * channel.resolutionM) / step));
  const level = levelDb[row + j]!;
  for (let k = Math.max(0, j - reach); k <= Math.min(n - 1, j + reach); k++)
    if (levelDb[row + k]! > level || (k < j && levelDb[row + k] === level)) return null;
  const edgeLevel = level - 6;
  let a = j;
  while (a > 0 && levelDb[row + a - 1]! > edgeLevel) a--;
  let b = j;
  while (b < n - 1 && levelDb[row + b + 1]! > edgeLevel) b++;
  if ((b - a + 1) * step > THICKEST * channel.resolutionM + 2 * step) return null;
  const before = a > 0 ? levelDb[row + a - 1]! : edgeLevel;
  const at = levelDb[row + a]!;
  const part = at > before ? Math.min(1, (at - edgeLevel) / (at - before)) : 0;
  return { range: channel.firstRangeM + (a - part) * step, thick: (b - a + 1) * step, over, sample: j };
}

interface Open extends EchoTrack {
  last: number;
  rate: number;
}

/**
 * Follows echoes from ping to ping: each track foretells its next range from its last rate, takes the nearest peak
 * within a pulse length of that, with the boat's heave or without it, and ends after a few pings without one.
 * @param heaveM of every ping as the bed tells it, m
 * @param span pings that are looked at; all when left out
 */
export function followEchoes(
  channel: Channel,
  bed: BedLine,
  sought: Sought,
  clutterM: number,
  heaveM: Float32Array,
  { fromPing, toPing }: { fromPing: number; toPing: number } = { fromPing: 0, toPing: channel.pingCount - 1 },
): EchoTrack[] {
  const { sampleCount: n, sampleStepM: step } = channel;
  const gate = gateM(step, channel.resolutionM);
  const clutter = Math.ceil((clutterM - channel.firstRangeM) / step);
  const first = Math.ceil((TOP_M - channel.firstRangeM) / step);
  const done: EchoTrack[] = [];
  let open: Open[] = [];
  const peaks: Peak[] = [];
  for (let p = fromPing; p <= toPing; p++) {
    const bedRange = bed.rangeM[p]!;
    const end = !isGap(bedRange)
      ? Math.floor((bedRange - channel.firstRangeM - 1.3 * channel.resolutionM) / step)
      : n - 1;
    peaksOf(channel, sought, p, first, clutter, Math.min(n - 1, end), peaks);
    const used = new Uint8Array(peaks.length);
    // The longest tracks choose first: they foretell best.
    open.sort((x, y) => y.pings.length - x.pings.length);
    for (const track of open) {
      const ahead = p - track.last;
      const foretold = track.rangeM[track.rangeM.length - 1]! + track.rate * ahead;
      const heaved =
        track.pings.length < LEAST_IN_HEAVE ? foretold : foretold + heaveM[p]! - heaveM[track.last]!;
      let best = -1;
      let bestOff = gate * (track.pings.length < 3 ? 1.4 : 1) * (1 + 0.3 * (ahead - 1));
      for (let k = 0; k < peaks.length; k++) {
        const { range } = peaks[k]!;
        const off = Math.min(Math.abs(range - foretold), Math.abs(range - heaved));
        if (used[k] === 0 && off < bestOff) {
          best = k;
          bestOff = off;
        }
      }
      if (best < 0) continue;
      used[best] = 1;
      const peak = peaks[best]!;
      const moved = (peak.range - track.rangeM[track.rangeM.length - 1]!) / ahead;
      track.rate += (track.pings.length < 4 ? 0.6 : 0.3) * (moved - track.rate);
      track.pings.push(p);
      track.rangeM.push(peak.range);
      track.thickM.push(peak.thick);
      track.overDb.push(peak.over);
      track.peakSample.push(peak.sample);
      track.last = p;
    }
    for (let k = 0; k < peaks.length; k++) {
      const peak = peaks[k]!;
      if (used[k] === 1 || peak.over < BEGIN_DB) continue;
      open.push({
        pings: [p],
        rangeM: [peak.range],
        thickM: [peak.thick],
        overDb: [peak.over],
        peakSample: [peak.sample],
        last: p,
        rate: 0,
      });
    }
    const going: Open[] = [];
    for (const track of open) (p - track.last > GAP_PINGS ? done : going).push(track);
    open = going;
  }
  return done.concat(open);
}
