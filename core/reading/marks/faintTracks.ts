import { isGap } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { overAt } from '../levels/background';
import { CELL, type Cells } from '../levels/cells';
import { localBackgroundDb, localCells } from '../levels/localBackground';
import { scratchBytes, scratchFloats } from '../levels/scratch';
import type { BedLine } from '../bed/bedLine';
import { echoOdds, oddsAt } from './echoOdds';
import { peakAt, TOP_M, type EchoTrack, type Sought } from './followEchoes';
import { USUAL_PINGS } from './markRules';

/** What a ping costs a path, and what a step to the next cell costs besides, nats: noise alone must lead nowhere. */
const PING_COST = 0.6;
const STEP_COST = 1;
/** Nothing is gained where another mark or a cloud lies already, nats a ping. */
const SPOKEN_FOR = -4;
/** Room left around what is spoken for: cells and pings. */
const ROOM_CELLS = 1;
const ROOM_PINGS = 2;
/** Water over the bed that is left to what stands on it, m and pulses. */
const OVER_BED_M = 0.25;
const OVER_BED_PULSES = 1.5;

/** A path must gather so much to be a mark, nats: in 2,500 pings of noise alone no path does. */
const LEAST_NATS = 11;
/** Where the water about a path stands this far over its range, dB, its speckle is no noise: it stays from ping to ping. */
const MOST_ABOUT_DB = 1.5;
/** A ping of a path counts as its echo from this far over the background, dB. */
const ECHO_DB = 3;

/** Which way the best path to a cell came: it begins there, or from one cell nearer, the same, or one farther a ping before. */
const BEGINS = 0;
const SAME = 2;

/**
 * Echoes too weak to be seen ping by ping, found by adding up what many pings say along a line before any is decided upon (track before
 * detect by dynamic programming; Barniv 1985): the best path to a cell comes from the best of its neighbours a ping before, and begins anew
 * where none has gathered anything.
 * @param known marks and what is no fish, whose pings are left out
 */
export function faintTracks(
  channel: Channel,
  bed: BedLine,
  sought: Sought,
  known: readonly EchoTrack[],
  clutterM: number,
): EchoTrack[] {
  const { pingCount, sampleStepM: step, firstRangeM } = channel;
  const { excess, cells } = sought;
  const row = cells.cells;
  const odds = echoOdds(excess.cellsToOne, CELL);
  const cellAt = (rangeM: number): number => Math.floor((rangeM - firstRangeM) / (CELL * step));
  const first = Math.max(1, cellAt(Math.max(TOP_M, clutterM)) + 1);
  const ends = Int32Array.from(bed.rangeM, (range, p) => {
    const over = range - OVER_BED_M - OVER_BED_PULSES * channel.resolutionM;
    return Math.min(row - 1, cells.used[p]!, isGap(range) ? row : cellAt(over));
  });
  const half = localCells(step);
  const busy = spokenFor(channel, sought, known);
  const gathered = scratchFloats('faint-gathered', pingCount * row);
  const came = scratchBytes('faint-came', pingCount * row);
  gather(cells, half, odds, busy, first, ends, gathered, came);

  const paths: number[] = [];
  const most = (at: number): number => Math.max(gathered[at - 1]!, gathered[at]!, gathered[at + 1]!);
  for (let p = 0; p < pingCount; p++)
    for (let c = first, at = p * row + first; c < ends[p]!; c++, at++) {
      const here = gathered[at]!;
      if (here < LEAST_NATS || most(at) > here) continue;
      // A path that goes on to more is told by its end.
      if (p + 1 < pingCount && most(at + row) > here) continue;
      paths.push(at);
    }
  paths.sort((a, b) => gathered[b]! - gathered[a]!);
  const out: EchoTrack[] = [];
  for (const end of paths) {
    const path = [end];
    for (let at = end; came[at] !== BEGINS; path.push(at)) at += came[at]! - SAME - row;
    if (path.some((at) => busy[at] === 1)) continue;
    const track: EchoTrack = { pings: [], rangeM: [], thickM: [], overDb: [], peakSample: [] };
    let nats = 0;
    let aboutDb = 0;
    for (const at of path.reverse()) {
      const p = Math.floor(at / row);
      const cell = at - p * row;
      const around = localBackgroundDb(cells, half, p, cell);
      aboutDb += around / path.length;
      nats += oddsAt(odds, cells.mostDb[at]! - around) - PING_COST;
      const sample = strongestOf(channel, p, cell);
      const over = overAt(excess, p, sample) - around;
      const peak = over < ECHO_DB ? null : peakAt(channel, p * channel.sampleCount, sample, over);
      if (!peak) continue;
      track.pings.push(p);
      track.rangeM.push(peak.range);
      track.thickM.push(peak.thick);
      track.overDb.push(over);
      track.peakSample.push(peak.sample);
    }
    for (const at of path) busy.fill(1, at - ROOM_CELLS, at + ROOM_CELLS + 1);
    if (aboutDb < MOST_ABOUT_DB && nats >= LEAST_NATS && track.pings.length >= USUAL_PINGS)
      out.push({ ...track, nats });
  }
  return out;
}

/** Cells in which nothing is sought: 1 where a cloud, a mark or what is no fish lies. */
function spokenFor(
  { pingCount, sampleCount: n }: Channel,
  { cells: { cells: row }, taken }: Sought,
  known: readonly EchoTrack[],
): Uint8Array {
  const busy = scratchBytes('faint-busy', pingCount * row);
  busy.fill(0);
  for (let p = 0; p < pingCount; p++)
    for (let c = 0, j = p * n; c < row; c++, j += CELL)
      if (taken[j]! > 0 || taken[j + CELL - 1]! > 0) busy[p * row + c] = 1;
  for (const track of known)
    track.pings.forEach((ping, i) => {
      const cell = Math.floor(track.peakSample[i]! / CELL);
      const [from, to] = [Math.max(0, cell - ROOM_CELLS), Math.min(row, cell + ROOM_CELLS + 1)];
      for (let p = Math.max(0, ping - ROOM_PINGS); p <= Math.min(pingCount - 1, ping + ROOM_PINGS); p++)
        busy.fill(1, p * row + from, p * row + to);
    });
  return busy;
}

/** The strongest sample of a cell. */
function strongestOf({ levelDb, sampleCount: n }: Channel, ping: number, cell: number): number {
  let best = cell * CELL;
  for (let j = best + 1; j < Math.min(n, (cell + 1) * CELL); j++)
    if (levelDb[ping * n + j]! > levelDb[ping * n + best]!) best = j;
  return best;
}

/** Under this no cell speaks for an echo, dB. */
const LEAST_BEGIN_DB = 2;
/** Share by which what is known of the water about a cell follows each ping. */
const FOLLOWS = 0.1;

/**
 * Fills what the best path to each cell has gathered, nats, and which way it came. A cell counts by what it stands over the water about it
 * in this ping and those before: layers and haze are no marks. @param half cells to either side that are about it
 */
function gather(
  { mostDb, runDb, used, logMeanUnderDb, cells: row }: Cells,
  half: number,
  odds: Float32Array,
  busy: Uint8Array,
  first: number,
  ends: Int32Array,
  gathered: Float32Array,
  came: Uint8Array,
): void {
  gathered.fill(0);
  came.fill(BEGINS);
  const aboutDb = new Float32Array(row).fill(-logMeanUnderDb);
  for (let p = 0; p < ends.length; p++) {
    const end = ends[p]!;
    const last = used[p]! - 1;
    for (let c = first, at = p * row + first, before = at - row; c < end; c++, at++, before++) {
      const a = c - half - 1;
      const b = c + half > last ? last : c + half;
      const from = p * row + a;
      const mean = (runDb[at - c + b]! - (a < 0 ? 0 : runDb[from]!)) / (b - (a < -1 ? -1 : a));
      const about = aboutDb[c]! + FOLLOWS * (mean - aboutDb[c]!);
      aboutDb[c] = about;
      let best = 0;
      let way = BEGINS;
      if (p > 0) {
        best = gathered[before]!;
        if (best > 0) way = SAME;
        const nearer = gathered[before - 1]! - STEP_COST;
        if (nearer > best) {
          best = nearer;
          way = SAME - 1;
        }
        const farther = gathered[before + 1]! - STEP_COST;
        if (farther > best) {
          best = farther;
          way = SAME + 1;
        }
      }
      const around = about + logMeanUnderDb;
      const over = around > 0 ? mostDb[at]! - around : mostDb[at]!;
      // Most cells hold noise alone and no path comes to them.
      if (best === 0 && over < LEAST_BEGIN_DB) continue;
      const sum = best - PING_COST + (busy[at] === 1 ? SPOKEN_FOR : oddsAt(odds, over));
      if (sum <= 0) continue;
      gathered[at] = sum;
      came[at] = way;
    }
  }
}
