import { lineFit, poissonBelow } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { CELL, type Cells } from '../levels/cells';
import type { EchoTrack } from '../marks/followEchoes';
import type { NamedEcho } from './notFish';

/** A dash stands this far over the water in its ping, and under this in the pings before and after, dB. */
const DASH_DB = 10;
const ALONE_DB = 6.5;
/** Cells to either side in which the neighbours must be quiet. */
const BESIDE = 2;
/** The nearest water is too full to look in, m. */
const TOP_M = 1.2;
/** More dashes in one ping than this, or than the fastest sounder sends while it is listened, are no sounder's. */
const MOST_A_PING = 2;
/** Times a clock is followed over, s: where few dashes are heard only the longer shows it, and where two clocks drift apart the shorter. */
const SPANS_S = [14, 30] as const;
/** Ping rates a sounder may have, a second. */
const SLOWEST_HZ = 2;
const FASTEST_HZ = 30;
/** Dashes needed in a span and in all, and how much in step they must be on the whole: 1 is a perfect clock. */
const FEWEST = 5;
const FEWEST_IN_ALL = 12;
const IN_STEP = 0.3;
/** Chance that noise keeps time so well at any of the rates tried. */
const CHANCE = 1e-2;
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
    const listenedS = (2 * (firstRangeM + used[p]! * CELL * step)) / soundSpeedMps;
    if (out.timeS.length - before > Math.max(MOST_A_PING, Math.ceil(FASTEST_HZ * listenedS)))
      for (const list of [out.timeS, out.ping, out.rangeM]) list.length = before;
  }
  return out;
}

/**
 * What the sum of n R² over so many spans exceeds by chance this seldom: each is exponential where nothing keeps time (Rayleigh 1919),
 * so their sum is a gamma variable.
 */
function leastSum(spans: number, chance: number): number {
  let s = 1;
  while (poissonBelow(spans, s) > chance) s += 0.25;
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

/** Dashes of a stretch of time, by their place among all. */
type Span = readonly [from: number, to: number];

/** Stretches of time long enough to hear a clock in and too short for it to drift. */
function spansOf(at: Float64Array, spanS: number): Span[] {
  const spans: Span[] = [];
  for (let from = 0, to = 0; from < at.length; from = to) {
    while (to < at.length && at[to]! - at[from]! < spanS) to++;
    if (to - from >= FEWEST) spans.push([from, to]);
  }
  return spans;
}

/** The rate at which dashes keep time, pings a second, or null when they keep none. */
function rateKept(at: Float64Array, spans: readonly Span[], spanS: number, pingRate: number): number | null {
  const count = spans.reduce((sum, [from, to]) => sum + to - from, 0);
  if (count < FEWEST_IN_ALL) return null;
  const step = 1 / (5 * spanS);
  const tried = (SPANS_S.length * (FASTEST_HZ - SLOWEST_HZ)) / step;
  const least = leastSum(spans.length, CHANCE / tried);
  let best = 0;
  let kept = 0;
  for (let hz = SLOWEST_HZ; hz < FASTEST_HZ; hz += step) {
    const own = hz / pingRate;
    if (Math.abs(own - Math.round(own)) * pingRate * spanS < OWN_TURNS) continue;
    let sum = 0;
    for (const [from, to] of spans) sum += (to - from) * inStep(at, from, to, hz) ** 2;
    if (sum > best) [best, kept] = [sum, hz];
  }
  return best < least || Math.sqrt(best / count) < IN_STEP ? null : kept;
}

/** A clock over a span: beats that dashes keep to. */
interface Clock {
  fromS: number;
  toS: number;
  atS: number;
  everyS: number;
}

/** How far a time is from the nearest beat, s. */
const offBeat = ({ atS, everyS }: Clock, timeS: number): number => {
  const beats = (timeS - atS) / everyS;
  return Math.abs(beats - Math.round(beats)) * everyS;
};

/** Share of a turn within which a dash belongs to a clock, looked at more and more closely. */
const NEAR_TURNS = [0.15, 0.06, 0.03];
/** A clock still holds so long before its first dash and after its last, s. */
const BESIDE_S = 3;
/** A mark comes with a beat when it is no farther off it, s. */
const ON_BEAT_S = 5e-4;

/** The clock of a span, by a straight line through the beats of its dashes; null where too few keep to it. */
function clockOf(at: Float64Array, [from, to]: Span, hz: number): Clock | null {
  let x = 0;
  let y = 0;
  for (let i = from; i < to; i++) {
    x += Math.cos(2 * Math.PI * hz * at[i]!);
    y += Math.sin(2 * Math.PI * hz * at[i]!);
  }
  const clock: Clock = {
    fromS: at[from]!,
    toS: at[to - 1]!,
    atS: Math.atan2(y, x) / (2 * Math.PI * hz),
    everyS: 1 / hz,
  };
  for (const near of NEAR_TURNS) {
    const its = Array.from(at.subarray(from, to)).filter((t) => offBeat(clock, t) < near * clock.everyS);
    if (its.length < FEWEST) return null;
    const beats = its.map((t) => Math.round((t - clock.atS) / clock.everyS));
    const { slope, middle } = lineFit(beats, its);
    if (!(slope > 0)) return null;
    clock.atS = middle - (slope * beats.reduce((sum, n) => sum + n, 0)) / beats.length;
    clock.everyS = slope;
  }
  return clock;
}

/** Whether a time comes with a beat of clocks that held then. */
const keeps = (clocks: readonly Clock[], atS: number): boolean =>
  clocks.some((c) => atS > c.fromS - BESIDE_S && atS < c.toS + BESIDE_S && offBeat(c, atS) < ON_BEAT_S);

/**
 * The clocks of spans at about a rate. Heard for a small part of each own ping only, a rate is not told from one more or less by the boat's
 * own: of those the one that most dashes keep to is the clock's.
 */
function clocksOf(at: Float64Array, spans: readonly Span[], hz: number, pingRate: number): Clock[] {
  let best: Clock[] = [];
  let most = 0;
  const first = Math.ceil((SLOWEST_HZ - hz) / pingRate);
  for (let k = first; hz + k * pingRate < FASTEST_HZ; k++) {
    const clocks = spans
      .map((span) => clockOf(at, span, hz + k * pingRate))
      .filter((clock) => clock !== null);
    const count = at.reduce((sum, t) => sum + (keeps(clocks, t) ? 1 : 0), 0);
    // A faster clock has more beats to come near by chance.
    const told = count - 2 * ON_BEAT_S * (hz + k * pingRate) * at.length;
    if (told > most) [best, most] = [clocks, told];
  }
  return best;
}

/** Another sounder in earshot, and when it is heard; pings count as in the channel it was found in. */
export interface OtherSounder {
  named: NamedEcho;
  /** Whether what a ping draws at a range arrives with its beat. */
  beats: (ping: number, rangeM: number) => boolean;
}

/** More than this many are not told apart. */
const MOST_SOUNDERS = 3;

/**
 * Other sounders in earshot: dashes of one ping each whose arrival, to the millisecond, keeps the time of a clock that is not the
 * boat's own (Rayleigh 1919; the beats by a least-squares line). Fading and drifting do not hide it; its slant may be too steep for any line
 * to be followed. @param timeS when each ping went out, s @param pingRate the boat's own, a second, over 0
 */
export function findOtherSounders(
  channel: Channel,
  cells: Cells,
  timeS: Float64Array,
  pingRate: number,
): OtherSounder[] {
  const dashes = dashesOf(channel, cells, timeS);
  const sounders: OtherSounder[] = [];
  // From the first on, so that phases stay small whole numbers.
  const firstS = dashes.timeS[0]!;
  let left = dashes.timeS.map((t, i) => ({
    atS: t - firstS,
    ping: dashes.ping[i]!,
    rangeM: dashes.rangeM[i]!,
  }));
  while (sounders.length < MOST_SOUNDERS) {
    const at = Float64Array.from(left, (d) => d.atS);
    let spans: Span[] = [];
    let hz: number | null = null;
    for (const spanS of SPANS_S) {
      spans = spansOf(at, spanS);
      hz = rateKept(at, spans, spanS, pingRate);
      if (hz !== null) break;
    }
    if (hz === null) break;
    const clocks = clocksOf(at, spans, hz, pingRate);
    const onBeat = (atS: number): boolean => keeps(clocks, atS);
    const own = left.filter((d) => onBeat(d.atS));
    const its = own.length > 0 ? own : left;
    sounders.push({
      named: {
        kind: 'another-sounder',
        fromPing: Math.min(...its.map((d) => d.ping)),
        toPing: Math.max(...its.map((d) => d.ping)),
        rangeM: [Math.min(...its.map((d) => d.rangeM)), Math.max(...its.map((d) => d.rangeM))],
        steadyDb: 0,
        slantM: 0,
      },
      beats: (ping, rangeM) => onBeat(timeS[ping]! + (2 * rangeM) / channel.soundSpeedMps - firstS),
    });
    if (own.length === 0) break;
    left = left.filter((d) => !onBeat(d.atS));
  }
  return sounders;
}

/** What a track draws as loudly as this under its loudest ping is its own, dB: the rest may be noise beside a dash. */
const AS_LOUD_DB = 6;

/** Whether all that is loud in a track arrives with other sounders' beats: then it is theirs. */
export function keepsTime({ pings, rangeM, overDb }: EchoTrack, sounders: readonly OtherSounder[]): boolean {
  if (sounders.length === 0) return false;
  const loudest = Math.max(...overDb);
  return pings.every(
    (ping, i) => overDb[i]! < loudest - AS_LOUD_DB || sounders.some((its) => its.beats(ping, rangeM[i]!)),
  );
}
