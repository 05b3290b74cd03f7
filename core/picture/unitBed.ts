import { amplitudeToDb } from '@/core/maths';
import type { Channel } from '@/core/recording';

/** Water at the top the unit never takes for the bed, m. */
const TOP_M = 0.6;
/** Height of the window whose mean is the bed's strength, m. */
const WINDOW_M = 0.4;
/** The bed must stand this far over the water above it, dB. */
const LEAST_CONTRAST_DB = 18;
/** A bed where the last one was is kept while it is within this of the strongest anywhere, dB. */
const KEEP_DB = 12;
/** Share of the depth the bed may move a ping and still be the same. */
const KEEP_SHARE = 0.08;
/** The edge is where the level first comes within this of the strongest, dB. */
const ONSET_DB = 12;

/**
 * The depth a unit finds for itself, ping by ping: the strongest window after 20 log R, kept near the last one while it is
 * nearly as strong. Made to be quick and, like the real thing, to be fooled now and then; reading has a better one.
 * @param lookNoDeeperM seek no bed beyond, m; null for no limit
 * @returns range of the bed by ping, m; NaN where the unit is lost
 */
export function unitBed(channel: Channel, lookNoDeeperM: number | null): Float32Array {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM, levelDb, calibration } = channel;
  const out = new Float32Array(pingCount).fill(NaN);
  const window = Math.max(2, Math.round(Math.max(WINDOW_M, channel.resolutionM) / step));
  const first = Math.max(window, Math.ceil((Math.max(TOP_M, 4 * channel.resolutionM) - firstRangeM) / step));
  const deepest = lookNoDeeperM === null ? Infinity : (lookNoDeeperM - firstRangeM) / step;
  const last = Math.min(n - 1, Math.floor(deepest));
  const gain = new Float32Array(n);
  for (let j = 0; j < n; j++) {
    const range = Math.max(step, firstRangeM + j * step);
    gain[j] = amplitudeToDb(range) + 2 * (calibration?.absorptionDbPerM ?? 0) * range;
  }
  const { floor, max } = Math;
  let before = -1;
  for (let p = 0; p < pingCount; p++) {
    const row = p * n;
    let sum = 0;
    let strongest = -Infinity;
    let at = -1;
    let near = -Infinity;
    let nearAt = -1;
    const low = before * (1 - KEEP_SHARE) - 2;
    const high = before * (1 + KEEP_SHARE) + 2;
    for (let j = first; j <= last; j++) {
      sum += levelDb[row + j]! + gain[j]!;
      if (j - first >= window) sum -= levelDb[row + j - window]! + gain[j - window]!;
      else continue;
      if (sum > strongest) {
        strongest = sum;
        at = j - window + 1;
      }
      if (before >= 0 && j - window >= low && j - window <= high && sum > near) {
        near = sum;
        nearAt = j - window + 1;
      }
    }
    if (at < 0) continue;
    if (nearAt >= 0 && near > strongest - KEEP_DB * window) at = nearAt;
    // Water well above it, for contrast.
    let quiet = 0;
    let counted = 0;
    for (let j = max(first, floor(0.5 * at)); j < at - window; j++) {
      quiet += levelDb[row + j]! + gain[j]!;
      counted++;
    }
    let peak = -Infinity;
    for (let j = at; j < at + window && j < n; j++) peak = max(peak, levelDb[row + j]! + gain[j]!);
    if (counted > 4 && peak - quiet / counted < LEAST_CONTRAST_DB) {
      before = -1;
      continue;
    }
    let edge = max(first, at - window);
    while (edge < at + window && levelDb[row + edge]! + gain[edge]! < peak - ONSET_DB) edge++;
    before = edge;
    out[p] = firstRangeM + edge * step;
  }
  return out;
}
