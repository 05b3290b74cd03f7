import { isGap, selectInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { PALETTE_BOTTOM_DB } from './settings';

/** Auto gain puts the quiet quarter of the water this far under the bottom of the palette, dB. */
const NOISE_UNDER_DB = 12;
/** How fast it follows, s: slow enough not to flicker, quick enough to spoil a comparison. */
const FOLLOW_S = 4;
/** Samples of a ping it looks at. */
const LOOKS = 48;

/**
 * Gain a unit on auto chooses, dB a ping: it measures the noise in the lowest third of the open water and turns the gain
 * until that lies just under the first colour, so it goes down when the engine is put in gear or the boat picks up speed,
 * and one fish looks different from minute to minute.
 * @param level pings × samples @param sampleGain dB a sample @param bedM by ping, NaN where unknown
 */
export function autoGain(
  channel: Channel,
  level: Float32Array,
  sampleGain: Float32Array,
  bedM: Float32Array,
  timeS: Float64Array,
): Float32Array {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM } = channel;
  const gain = new Float32Array(pingCount);
  const looks = new Float32Array(LOOKS);
  let followed = NaN;
  for (let p = 0; p < pingCount; p++) {
    const foot = bedM[p]! > 0 ? (0.93 * bedM[p]! - firstRangeM) / step : 0.95 * n;
    const from = 0.7 * foot;
    for (let k = 0; k < LOOKS; k++) {
      const j = Math.min(n - 1, Math.max(0, Math.round(from + ((foot - from) * (k + 0.5)) / LOOKS)));
      looks[k] = level[p * n + j]! + sampleGain[j]!;
    }
    const noise = selectInPlace(looks, LOOKS >> 2);
    const wanted = PALETTE_BOTTOM_DB - NOISE_UNDER_DB - noise;
    const dt = p > 0 ? timeS[p]! - timeS[p - 1]! : Infinity;
    const share = 1 - Math.exp(-dt / FOLLOW_S);
    followed = !isGap(followed) ? followed + (wanted - followed) * share : wanted;
    gain[p] = followed;
  }
  return gain;
}
