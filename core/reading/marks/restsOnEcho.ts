import { isGap, medianInPlace } from '@/core/maths';
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

/**
 * Whether a mark has no water under it: a speck of what comes in from a slope before the bed does, or of the top of what stands on the bed.
 * A fish is one echo with water beneath it. Where the bed follows too soon nothing can be told, and it passes.
 */
export function restsOnEcho({ pings, peakSample }: EchoTrack, channel: Channel, bed: BedLine): boolean {
  const { levelDb, sampleCount: n, sampleStepM: step, firstRangeM, resolutionM: pulseM } = channel;
  const from = Math.ceil(Math.max(FROM.pulses * pulseM, FROM.leastM) / step);
  const to = Math.ceil(Math.max(TO.pulses * pulseM, TO.leastM) / step);
  /** Level of the water above a mark, dB. */
  const waterOver = (row: number, peak: number): number => {
    const top = Math.max(0, peak - from - Math.ceil(ABOVE_M / step));
    return peak - from > top ? medianInPlace(levelDb.slice(row + top, row + peak - from)) : Infinity;
  };
  const filledShare = (first: number, last: number, waterDb: number): number => {
    let filled = 0;
    for (let at = first; at < last; at++) if (levelDb[at]! > waterDb + FILLED_DB) filled++;
    return filled / (last - first);
  };
  let told = 0;
  let resting = 0;
  pings.forEach((ping, i) => {
    const peak = peakSample[i]!;
    const bedM = bed.rangeM[ping]!;
    const bedSample = isGap(bedM) ? n : Math.floor((bedM - OVER_BED_PULSES * pulseM - firstRangeM) / step);
    const end = Math.min(bedSample, n);
    if (Math.min(peak + to, end) - peak - from < FEWEST_SAMPLES) return;
    told++;
    const row = ping * n;
    const [first, near, last] = [row + peak + from, row + Math.min(peak + to, end), row + end];
    const under = medianInPlace(levelDb.slice(first, near));
    const waterDb = waterOver(row, peak);
    if (
      under > levelDb[row + peak]! - WEAKER_DB ||
      (filledShare(first, near, waterDb) > NEAR_SHARE && filledShare(first, last, waterDb) > FILLED_SHARE)
    )
      resting++;
  });
  return told > 0 && resting >= SHARE * told;
}
