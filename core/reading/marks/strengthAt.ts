import type { Channel } from '@/core/recording';

/** Strength of an echo as if on the axis: level with spreading and absorption made up for, dB; re 1 m² where calibrated. */
export function strengthAt(channel: Channel, ping: number, sample: number): number {
  const { levelDb, sampleCount, firstRangeM, sampleStepM, resolutionM, calibration } = channel;
  const range = Math.max(resolutionM, firstRangeM + sample * sampleStepM);
  const spread = levelDb[ping * sampleCount + sample]! + 40 * Math.log10(range);
  return calibration ? spread + 2 * calibration.absorptionDbPerM * range - calibration.sourceLevelDb : spread;
}
