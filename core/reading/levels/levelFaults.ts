import { medianInPlace, selectInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';

/**
 * What was done to a recording's levels before it came here: nothing the reader was tried on has it. `cut`: levels over a
 * limit were written as the limit. `gain-in`: a gain that rises with range is already in them. `repeated`: pings that were lost
 * stand as the ping before.
 */
export type LevelFault =
  | { name: 'cut'; share: number }
  | { name: 'gain-in'; dbPerDecade: number }
  | { name: 'repeated'; share: number };

/** Levels this near under the loudest are held against those at it, dB. */
const LOUD_DB = 10;
/** Share of the loud levels at one and the same level, and how many at the least, from which they are cut. */
const CUT_SHARE = 0.01;
const FEWEST_CUT = 10;

/** Share of the loud levels that are exactly the loudest. */
function cutShare({ levelDb }: Channel): number {
  let most = -Infinity;
  for (const level of levelDb) if (level > most) most = level;
  let at = 0;
  let loud = 0;
  for (const level of levelDb) {
    if (level === most) at++;
    if (level > most - LOUD_DB) loud++;
  }
  return at >= FEWEST_CUT ? at / loud : 0;
}

/** Ranges and pings looked at for how the noise goes with range, and the nearest of them, m. */
const RANGES = 40;
const PINGS = 200;
const NEAREST_M = 1;
/** Noise does not rise with range, and what drifts in the water rises less than this a decade, dB. */
const RISES_DB = 16;

/**
 * How quiet water rises with range, dB a decade: the median of the slopes between any two ranges (Theil 1950, Sen 1968), or that
 * between the quietest of the near third and of the far third, if less: what swims or lies there leaves quiet ranges between.
 */
function noiseSlope({ levelDb, pingCount, sampleCount: n, firstRangeM, sampleStepM }: Channel): number {
  const step = Math.max(1, Math.floor(pingCount / PINGS));
  const row = new Float32Array(Math.ceil(pingCount / step));
  const at: number[] = [];
  const quiet: number[] = [];
  for (let k = 0; k < RANGES; k++) {
    const j = Math.floor(((k + 0.5) / RANGES) * n);
    const range = firstRangeM + j * sampleStepM;
    if (range < NEAREST_M) continue;
    row.forEach((_, i) => (row[i] = levelDb[i * step * n + j]!));
    at.push(Math.log10(range));
    quiet.push(selectInPlace(row, row.length >> 2));
  }
  const slopes: number[] = [];
  for (let a = 0; a < at.length; a++)
    for (let b = a + 1; b < at.length; b++) slopes.push((quiet[b]! - quiet[a]!) / (at[b]! - at[a]!));
  if (slopes.length === 0) return 0;
  const third = Math.ceil(quiet.length / 3);
  const quietest = (from: number, to: number): number => {
    let best = from;
    for (let i = from; i < to; i++) if (quiet[i]! < quiet[best]!) best = i;
    return best;
  };
  const near = quietest(0, third);
  const far = quietest(quiet.length - third, quiet.length);
  const between = far > near ? (quiet[far]! - quiet[near]!) / (at[far]! - at[near]!) : 0;
  return Math.min(between, medianInPlace(Float64Array.from(slopes)));
}

/** Two pings of noise are never alike: this share of them that are is told. */
const REPEATED_SHARE = 0.004;
/** Samples of a ping that are held against those of the one before. */
const COMPARED = 16;
/** A ping of noise changes at nearly each of them. */
const LEAST_TURNS = 8;

function repeatedShare({ levelDb, pingCount, sampleCount: n }: Channel): number {
  const step = Math.max(1, Math.floor(n / COMPARED));
  let alike = 0;
  for (let p = 1; p < pingCount; p++) {
    let j = 0;
    let turns = 0;
    while (j < n && levelDb[p * n + j] === levelDb[(p - 1) * n + j]) {
      if (j > 0 && levelDb[p * n + j] !== levelDb[p * n + j - step]) turns++;
      j += step;
    }
    // Pings with hardly anything in them, as a picture has, are alike without being repeated.
    if (j >= n && turns >= LEAST_TURNS) alike++;
  }
  return alike / pingCount;
}

/** Fewer pings than this tell nothing of that. */
const FEWEST_PINGS = 20;

/** What was done to a channel's levels, as far as they show it; none for a channel as its receiver heard it. */
export function levelFaults(channel: Channel): LevelFault[] {
  if (channel.pingCount < FEWEST_PINGS) return [];
  const cut = cutShare(channel);
  const slope = noiseSlope(channel);
  const repeated = repeatedShare(channel);
  return [
    ...(cut > CUT_SHARE ? [{ name: 'cut' as const, share: cut }] : []),
    ...(slope > RISES_DB ? [{ name: 'gain-in' as const, dbPerDecade: slope }] : []),
    ...(repeated > REPEATED_SHARE ? [{ name: 'repeated' as const, share: repeated }] : []),
  ];
}

/** A channel whose levels are taken for what they are: with such faults they are no measure of a fish or a bed. */
export const asTrusted = (channel: Channel, faults: readonly LevelFault[]): Channel =>
  faults.some((fault) => fault.name !== 'repeated') ? { ...channel, calibration: null } : channel;
