import type { Channel } from '@/core/recording';
import { LOW_POWER_DB } from '@/core/rig';
import { PALETTE_BOTTOM_DB, type Settings } from './settings';

/** Depth over which top-water filtering fades out, m a step. */
const TOP_WATER_M = 0.5;
/** Most it takes away, at the surface, dB a step. */
const TOP_WATER_DB = 5;

/** Spreading each law makes up for, in powers of ten of the range. */
const SPREADING: Record<Settings['tvg'], number> = { target: 40, volume: 20, flat: 0 };

/** Range at which the laws meet, so that changing the law turns the picture about this depth and not about 1 m. */
const LAWS_MEET_M = 10;

/**
 * Time-varied gain: a·log R + 2αR − source level (dB). The target law (40 log R) makes a lone fish as strong at every depth,
 * so that a level becomes a target strength on the axis; the volume law (20 log R) does so for layers and clouds that fill
 * the beam. An uncalibrated channel gets the spreading part, and its levels stay relative.
 * @param rangeM 0 or more; nearer than the pulse as at the pulse's length
 */
export function timeVariedGain(channel: Channel, rangeM: number, law: Settings['tvg'] = 'target'): number {
  const range = Math.max(rangeM, channel.resolutionM);
  const power = SPREADING[law];
  const spreading = power * Math.log10(range) + (40 - power) * Math.log10(LAWS_MEET_M);
  return channel.calibration
    ? spreading + 2 * channel.calibration.absorptionDbPerM * range - channel.calibration.sourceLevelDb
    : spreading;
}

/** What top-water filtering takes away at a range, dB, 0 or more. */
export function topWaterCut(rangeM: number, topWater: number): number {
  const reach = TOP_WATER_M * topWater;
  return rangeM >= reach ? 0 : TOP_WATER_DB * topWater * (1 - rangeM / reach);
}

/** What the near-surface tail-off takes away at a range, dB, 0 or more: straight from `tailOffDb` at the surface to 0 at `tailOffM`. */
export const tailOffCut = (
  rangeM: number,
  { tailOffM, tailOffDb }: Pick<Settings, 'tailOffM' | 'tailOffDb'>,
): number => (rangeM >= tailOffM ? 0 : tailOffDb * (1 - rangeM / tailOffM));

/** How much weaker than sent at full power echoes are drawn, dB, 0 or less: a display does not make up for low power, the gain does. */
export const powerCut = ({ power }: Pick<Settings, 'power'>): number => (power === 'low' ? LOW_POWER_DB : 0);

/** Target strength drawn in the weakest colour with gain by hand, dB re 1 m², before the first colour. */
export const weakestColourDb = (settings: Pick<Settings, 'gainDb' | 'power'>): number =>
  PALETTE_BOTTOM_DB - settings.gainDb - powerCut(settings);

/** What is added to each sample of a channel before colours, dB, one a sample: TVG less top water, tail-off and low power. */
export function sampleGain(
  channel: Channel,
  settings: Pick<Settings, 'tvg' | 'topWater' | 'tailOffM' | 'tailOffDb' | 'power'>,
): Float32Array {
  const gain = new Float32Array(channel.sampleCount);
  // An uncalibrated channel's levels already are what was heard.
  const cut = channel.calibration ? powerCut(settings) : 0;
  for (let j = 0; j < gain.length; j++) {
    const range = channel.firstRangeM + j * channel.sampleStepM;
    gain[j] =
      timeVariedGain(channel, range, settings.tvg) +
      cut -
      topWaterCut(range, settings.topWater) -
      tailOffCut(range, settings);
  }
  return gain;
}
