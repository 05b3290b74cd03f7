import type { Channel } from '@/core/recording';

/** Depth over which top-water filtering fades out, m a step. */
const TOP_WATER_M = 0.5;
/** Most it takes away, at the surface, dB a step. */
const TOP_WATER_DB = 5;

/**
 * Time-varied gain that makes a lone fish as strong at every depth: 40 log R + 2αR − source level (dB), so that a level
 * becomes a target strength on the axis. An uncalibrated channel gets the spreading part, and its levels stay relative.
 */
export function timeVariedGain(channel: Channel, rangeM: number): number {
  const range = Math.max(rangeM, channel.resolutionM);
  const spreading = 40 * Math.log10(range);
  return channel.calibration
    ? spreading + 2 * channel.calibration.absorptionDbPerM * range - channel.calibration.sourceLevelDb
    : spreading;
}

/** What top-water filtering takes away at a range, dB, 0 or more. */
export function topWaterCut(rangeM: number, topWater: number): number {
  const reach = TOP_WATER_M * topWater;
  return rangeM >= reach ? 0 : TOP_WATER_DB * topWater * (1 - rangeM / reach);
}

/** What is added to each sample of a channel before colours: TVG less the top-water cut, dB, one a sample. */
export function sampleGain(channel: Channel, topWater: number): Float32Array {
  const gain = new Float32Array(channel.sampleCount);
  for (let j = 0; j < gain.length; j++) {
    const range = channel.firstRangeM + j * channel.sampleStepM;
    gain[j] = timeVariedGain(channel, range) - topWaterCut(range, topWater);
  }
  return gain;
}

/** How far over both neighbours a sample must stand to be another sounder's, dB, by step 1…3. */
const OTHER_SOUNDERS_DB = [Infinity, 20, 13, 7] as const;

/**
 * Other sounders out: a level far over that of the ping before and the ping after is brought down to the greater of
 * them. The boat moves centimetres a ping, so a true echo is in its neighbours too; another boat's pulse is not.
 * @param out pings × samples, may not be the channel's own array
 */
export function dropOtherSounders(channel: Channel, step: number, out: Float32Array): void {
  const { pingCount, sampleCount: n, levelDb } = channel;
  const over = OTHER_SOUNDERS_DB[step] ?? Infinity;
  out.set(levelDb);
  if (over === Infinity) return;
  for (let p = 1; p < pingCount - 1; p++) {
    const row = p * n;
    for (let j = 0; j < n; j++) {
      const before = levelDb[row - n + j]!;
      const after = levelDb[row + n + j]!;
      const most = before > after ? before : after;
      if (levelDb[row + j]! > most + over) out[row + j] = most;
    }
  }
}
