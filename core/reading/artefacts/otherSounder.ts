import type { Channel } from '@/core/recording';
import { CELL, type Cells } from '../levels/cells';
import type { NamedEcho } from './notFish';

/** A dash stands this far over the water in its ping, and under this in the pings before and after, dB. */
const DASH_DB = 10;
const ALONE_DB = 6.5;
/** Cells to either side in which the neighbours must be quiet. */
const BESIDE = 2;
/** The nearest water is too full to look in, m. */
const TOP_M = 1.2;
/** More dashes in one ping are no sounder's. */
const MOST_A_PING = 2;
/** Time a clock is followed over, s: farther, two clocks drift apart. */
const SPAN_S = 14;
/** Ping rates a sounder may have, a second. */
const SLOWEST_HZ = 2;
const FASTEST_HZ = 30;
/** Dashes needed in a span and in all, and how much in step they must be on the whole: 1 is a perfect clock. */
const FEWEST = 5;
const FEWEST_IN_ALL = 12;
const IN_STEP = 0.3;
/** Chance that noise keeps time so well at any of the rates tried. */
const CHANCE = 5e-3;
/** Rates that come this near a multiple of the boat's own, turns in a span, are not told apart: all it hears lies in its own listening time. */
const OWN_TURNS = 3;

/** When dashes arrive that only one ping has, s, with their pings and ranges. */
interface Dashes {
  timeS: number[];
  ping: number[];
  rangeM: number[];
}

function dashesOf(channel: Channel, { cells, used, mostDb }: Cells, timeS: Float64Array): Dashes {
  const out: Dashes = { timeS: [], ping: [], rangeM: [] };
  const { sampleStepM: step, firstRangeM, soundSpeedMps } = channel;
  const first = Math.max(BESIDE, Math.ceil((TOP_M - firstRangeM) / step / CELL));
  const quiet = (p: number, c: number): boolean => {
    const end = Math.min(used[p]!, c + BESIDE + 1);
    for (let k = c - BESIDE; k < end; k++) if (mostDb[p * cells + k]! > ALONE_DB) return false;
    return true;
  };
  for (let p = 1; p + 1 < used.length; p++) {
    const before = out.timeS.length;
    for (let c = first; c < used[p]! - BESIDE; c++) {
      const here = mostDb[p * cells + c]!;
      if (here < DASH_DB || here < mostDb[p * cells + c - 1]! || here <= mostDb[p * cells + c + 1]!) continue;
      if (!quiet(p - 1, c) || !quiet(p + 1, c)) continue;
      const rangeM = firstRangeM + (c + 0.5) * CELL * step;
      out.timeS.push(timeS[p]! + (2 * rangeM) / soundSpeedMps);
      out.ping.push(p);
      out.rangeM.push(rangeM);
    }
    // A burst of noise fills a part of a ping; a sounder is heard once or twice in it.
    if (out.timeS.length - before > MOST_A_PING)
      for (const list of [out.timeS, out.ping, out.rangeM]) list.length = before;
  }
  return out;
}

/**
 * What the sum of n R² over so many spans exceeds by chance this seldom: each is exponential where nothing keeps time (Rayleigh 1919),
 * so their sum is a gamma variable.
 */
function leastSum(spans: number, chance: number): number {
  const tail = (s: number): number => {
    let term = Math.exp(-s);
    let sum = term;
    for (let k = 1; k < spans; k++) sum += term *= s / k;
    return sum;
  };
  let s = 1;
  while (tail(s) > chance) s += 0.25;
  return s;
}

/** Cosines of a turn, for phases as good as told to a thousandth of it. */
const TURN = 1024;
const COSINES = Float32Array.from({ length: TURN }, (_, k) => Math.cos((2 * Math.PI * k) / TURN));

/** How much in step times are with a clock, 0…1: the length of their mean phase (Rayleigh). */
function inStep(timeS: Float64Array, from: number, to: number, hz: number): number {
  const perS = hz * TURN;
  let x = 0;
  let y = 0;
  for (let i = from; i < to; i++) {
    const at = (perS * timeS[i]!) | 0;
    x += COSINES[at & (TURN - 1)]!;
    y += COSINES[(at - (TURN >> 2)) & (TURN - 1)]!;
  }
  return Math.hypot(x, y) / (to - from);
}

/**
 * Another sounder in earshot: dashes of one ping each whose arrival, to the millisecond, keeps the time of a clock that is not the
 * boat's own. Fading and drifting do not hide it; its slant may be too steep for any line to be followed.
 */
export function findOtherSounder(
  channel: Channel,
  cells: Cells,
  timeS: Float64Array,
  pingRate: number,
): NamedEcho | null {
  const dashes = dashesOf(channel, cells, timeS);
  // From the first on, so that phases stay small whole numbers.
  const at = Float64Array.from(dashes.timeS, (t) => t - dashes.timeS[0]!);
  const spans: [from: number, to: number][] = [];
  for (let from = 0, to = 0; from < at.length; from = to) {
    while (to < at.length && at[to]! - at[from]! < SPAN_S) to++;
    if (to - from >= FEWEST) spans.push([from, to]);
  }
  const count = spans.reduce((sum, [from, to]) => sum + to - from, 0);
  if (count < FEWEST_IN_ALL) return null;
  const step = 1 / (5 * SPAN_S);
  const least = leastSum(spans.length, (CHANCE * step) / (FASTEST_HZ - SLOWEST_HZ));
  let best = 0;
  for (let hz = SLOWEST_HZ; hz < FASTEST_HZ; hz += step) {
    const own = hz / pingRate;
    if (Math.abs(own - Math.round(own)) * pingRate * SPAN_S < OWN_TURNS) continue;
    let sum = 0;
    for (const [from, to] of spans) sum += (to - from) * inStep(at, from, to, hz) ** 2;
    if (sum > best) best = sum;
  }
  if (best < least || Math.sqrt(best / count) < IN_STEP) return null;
  const { ping, rangeM } = dashes;
  return {
    kind: 'another-sounder',
    fromPing: Math.min(...ping),
    toPing: Math.max(...ping),
    rangeM: [Math.min(...rangeM), Math.max(...rangeM)],
    steadyDb: 0,
    slantM: 0,
  };
}
