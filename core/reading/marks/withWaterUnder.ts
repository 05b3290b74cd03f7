import { isGap, median, medianInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from '../bed/bedLine';
import type { EchoTrack } from './followEchoes';

/** Where water is looked for under a mark: from where its own echo has ended to a little farther, pulses, and no less than this, m. */
const FROM = { pulses: 1.2, leastM: 0.15 } as const;
const TO = { pulses: 3.5, leastM: 0.5 } as const;
/** Of the bed's own rise nothing is looked at, pulses. */
const OVER_BED_PULSES = 0.5;
/** What is under a mark is no water when it is weaker by no more than this, dB, in so large a share of its pings. */
const WEAKER_DB = 8;
const SHARE = 0.6;
/** Or when nearly all from it to the bed, and half of what is next to it, stands so far over the water above it, dB: branches with gaps. */
const FILLED_DB = 8;
const FILLED_SHARE = 0.75;
const NEAR_SHARE = 0.5;
/** Water looked at above a mark, m. */
const ABOVE_M = 1;
/** Fewer samples tell nothing. */
const FEWEST_SAMPLES = 2;

/** Samples of the peaks of marks with water under them, by ping. */
type Bodies = Map<number, number[]>;

/** Whether a mark has no water under it, and null where the bed or another mark leaves nothing to tell it by. */
function rests(
  { pings, peakSample }: EchoTrack,
  { levelDb, sampleCount: n, sampleStepM: step, firstRangeM, resolutionM: pulseM }: Channel,
  bed: BedLine,
  bodies: Bodies,
): boolean | null {
  const from = Math.ceil(Math.max(FROM.pulses * pulseM, FROM.leastM) / step);
  const to = Math.ceil(Math.max(TO.pulses * pulseM, TO.leastM) / step);
  /** Level of the water above a mark, dB. */
  const waterOver = (row: number, peak: number): number => {
    const top = Math.max(0, peak - from - Math.ceil(ABOVE_M / step));
    return peak - from > top ? medianInPlace(levelDb.slice(row + top, row + peak - from)) : Infinity;
  };
  /** Levels from one sample of a ping to another, without the echoes of what lies there, dB. */
  const levels = (ping: number, first: number, end: number): Float32Array => {
    const row = ping * n;
    const besides = bodies.get(ping);
    if (!besides) return levelDb.slice(row + first, row + end);
    return levelDb
      .subarray(row + first, row + end)
      .filter((_, k) => besides.every((peak) => Math.abs(first + k - peak) >= from));
  };
  const filledShare = (levels: Float32Array, waterDb: number): number => {
    let filled = 0;
    for (const level of levels) if (level > waterDb + FILLED_DB) filled++;
    return filled / levels.length;
  };
  let told = 0;
  let resting = 0;
  pings.forEach((ping, i) => {
    const peak = peakSample[i]!;
    const bedM = bed.rangeM[ping]!;
    const bedSample = isGap(bedM) ? n : Math.floor((bedM - OVER_BED_PULSES * pulseM - firstRangeM) / step);
    const end = Math.min(bedSample, n);
    const near = levels(ping, peak + from, Math.min(peak + to, end));
    if (near.length < FEWEST_SAMPLES) return;
    told++;
    const waterDb = waterOver(ping * n, peak);
    const filled =
      filledShare(near, waterDb) > NEAR_SHARE &&
      filledShare(levels(ping, peak + from, end), waterDb) > FILLED_SHARE;
    if (filled || medianInPlace(near) > levelDb[ping * n + peak]! - WEAKER_DB) resting++;
  });
  return told > 0 ? resting >= SHARE * told : null;
}

/**
 * Marks with water under them, or with another mark that has: others are specks of what comes in from a slope before the bed does, or
 * of the top of what stands on the bed. Where the bed follows too soon nothing can be told, and a mark stays.
 */
export function withWaterUnder<T extends { track: EchoTrack }>(
  marks: readonly T[],
  channel: Channel,
  bed: BedLine,
): T[] {
  const resting = new Set<EchoTrack>();
  const bodies: Bodies = new Map();
  const deepestFirst = marks
    .map(({ track }) => ({ track, sample: median(track.peakSample) }))
    .sort((a, b) => b.sample - a.sample);
  for (const { track } of deepestFirst) {
    const is = rests(track, channel, bed, bodies);
    if (is) resting.add(track);
    if (is !== false) continue;
    track.pings.forEach((ping, i) => {
      const there = bodies.get(ping);
      if (there) there.push(track.peakSample[i]!);
      else bodies.set(ping, [track.peakSample[i]!]);
    });
  }
  return marks.filter(({ track }) => !resting.has(track));
}
