import { fromDb, powerOf } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from '../bed/bedLine';

/** the clutter ends where the mean level has come within this of the quietest water below it, dB. */
const OVER_QUIET_DB = 4;
/** It is never taken for less than this, nor for more, m. */
const LEAST_M = 1;
const MOST_M = 3;
/** Pings looked at. */
const LOOKS = 120;

/**
 * How deep the clutter under the surface reaches, m: ringing, bubbles, wash. Singles in it cannot be told from it.
 * Found from the mean power by range down to the middle of the water.
 */
export function surfaceClutterReach(channel: Channel, bed: BedLine): number {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM, levelDb } = channel;
  const stride = Math.max(1, Math.floor(pingCount / LOOKS));
  const power = new Float64Array(n);
  let shallowest = Infinity;
  for (let p = 0; p < pingCount; p += stride) {
    if (bed.rangeM[p]! < shallowest) shallowest = bed.rangeM[p]!;
  }
  const last = Math.min(n - 1, Math.floor((0.6 * shallowest - firstRangeM) / step));
  const first = Math.ceil((LEAST_M - firstRangeM) / step);
  for (let p = 0; p < pingCount; p += stride)
    for (let j = first; j <= last; j++) power[j]! += powerOf(levelDb[p * n + j]!);
  let quiet = Infinity;
  for (let j = first; j <= last; j++) if (power[j]! < quiet) quiet = power[j]!;
  const enough = quiet * fromDb(OVER_QUIET_DB);
  let j = first;
  while (j < last && power[j]! > enough) j++;
  return Math.min(MOST_M, Math.max(LEAST_M, firstRangeM + j * step));
}
